package velvetbezel.match;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import velvetbezel.fit.Collision;
import velvetbezel.fit.DepthLeft;
import velvetbezel.fit.FaceGap;
import velvetbezel.fit.FitQuestion;
import velvetbezel.fit.FitReport;
import velvetbezel.fit.FitVerdict;
import velvetbezel.fit.Fitter;
import velvetbezel.fit.Remedy;
import velvetbezel.fit.Slack;
import velvetbezel.fit.WallLeft;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.fit.Obstruction;
import velvetbezel.units.Millimetres;

/**
 * Whether a radio goes into a car with what could hold it, and what that asks of the car. Only what is certain excludes;
 * what is open is a question on the kit.
 */
final class HolderFit {
    private HolderFit() {}

    /** With the plugs of every kit, so that what it refuses no kit with this holder can mend. */
    static Optional<FitReport> report(Sheet.Vehicle vehicle, Sheet.Radio radio, Optional<Sheet.Part> holder) {
        return report(vehicle, radio, holder, PlugsInUse.always(radio));
    }

    /**
     * Empty where opening, radio or holder are not measured.
     *
     * @param holder empty: the radio holds itself
     * @param used   plugs that need room behind the radio
     */
    static Optional<FitReport> report(
            Sheet.Vehicle vehicle, Sheet.Radio radio, Optional<Sheet.Part> holder, Set<String> used) {
        if (vehicle.site().isEmpty() || radio.shape().isEmpty()) return Optional.empty();
        if (holder.isPresent() && holder.get().frame().isEmpty()) return Optional.empty();
        return Optional.of(Fitter.of(new FitQuestion(
                vehicle.site().get(),
                radio.shape().get(),
                holder.flatMap(Sheet.Part::frame),
                holder.map(Sheet::id).orElse(""),
                used,
                "")));
    }

    /** Whether nothing certain speaks against this holder. */
    static boolean lets(Sheet.Vehicle vehicle, Sheet.Radio radio, Sheet.Part holder) {
        return whyNot(vehicle, radio, Optional.of(holder)).isEmpty();
    }

    /** Why a radio is in no kit, whatever holds it; empty where something may. */
    static Optional<String> out(Sheet.Vehicle vehicle, Sheet.Radio radio, List<Sheet.Part> parts) {
        if (Slots.needsNoFrame(vehicle, radio))
            return report(vehicle, radio, Optional.empty()).isPresent()
                    ? whyNot(vehicle, radio, Optional.empty())
                    : coarse(vehicle, radio);
        Optional<String> reason = Optional.empty();
        for (Sheet.Part p : parts) {
            if (!Slots.madeToHold(vehicle, radio, p)) continue;
            if (report(vehicle, radio, Optional.of(p)).isEmpty()) return coarse(vehicle, radio);
            Optional<String> why = whyNot(vehicle, radio, Optional.of(p));
            if (why.isEmpty()) return Optional.empty();
            reason = reason.or(() -> why);
        }
        return reason.or(() -> coarse(vehicle, radio));
    }

    /** Where nobody measured more than outer sizes: a chassis deeper than the room behind the opening. */
    private static Optional<String> coarse(Sheet.Vehicle vehicle, Sheet.Radio radio) {
        Optional<Millimetres> room = vehicle.space().depth().known();
        Optional<Millimetres> chassis = radio.body().depth().known();
        if (radio.screen()
                || room.isEmpty()
                || chassis.isEmpty()
                || chassis.get().compareTo(room.get()) <= 0) return Optional.empty();
        return Optional.of("Too deep: its chassis is %s, and there is %s behind the opening."
                .formatted(chassis.get(), room.get()));
    }

    /** In one sentence with the millimetres; empty where it goes in, may go in, or nobody measured. */
    static Optional<String> whyNot(Sheet.Vehicle vehicle, Sheet.Radio radio, Optional<Sheet.Part> holder) {
        Optional<FitReport> report = report(vehicle, radio, holder);
        boolean brackets =
                holder.flatMap(Sheet.Part::frame).flatMap(f -> f.left()).isPresent()
                        && radio.shape().filter(s -> !s.holes().isEmpty()).isPresent();
        if (report.isEmpty()) return Optional.empty();
        FitReport r = report.get();
        if (brackets && r.holes().isEmpty())
            return Optional.of("No two holes a side of it meet the slots of %s."
                    .formatted(holder.get().name()));
        if (r.verdict() != FitVerdict.DOES_NOT_GO_IN) return Optional.empty();
        return Optional.of(reason(r));
    }

    private static String reason(FitReport r) {
        for (FaceGap g : r.gaps())
            if (g.slack() instanceof Slack.Short s)
                return "%s mm too %s for the opening it comes through."
                        .formatted(mm(s), g.side() == FaceGap.Side.WIDTH ? "wide" : "tall");
        for (Collision c : r.collisions())
            if (c.certain() && c.refused())
                return "Its %s meets the %s, %s mm, which %s."
                        .formatted(c.body(), c.with(), mm(c.slack()), stays((Remedy.Refused) c.remedy()));
        for (DepthLeft d : r.depths())
            if (d.slack() instanceof Slack.Short s)
                return "Too deep: its %s lacks %s mm of room to %s.".formatted(d.body(), mm(s), d.to());
        for (WallLeft w : r.walls())
            if (w.slack() instanceof Slack.Short s)
                return "Its %s lacks %s mm beside it in the %s.".formatted(w.body(), mm(s), w.band());
        return r.neighbours().stream()
                .filter(n -> n.slack() instanceof Slack.Short)
                .map(n -> "Its face covers the %s, which a hand must reach.".formatted(n.id()))
                .findFirst()
                .orElse("It does not go in.");
    }

    private static String mm(Slack slack) {
        return String.valueOf(Math.round(-slack.left().likely()));
    }

    private static String stays(Remedy.Refused refused) {
        return switch (refused.reason()) {
            case BEARS -> "carries %s and stays".formatted(refused.of());
            case NO_LICENCE -> "no sheet of a kit or the car names for cutting";
            case MOVES_TOO_LITTLE -> "moves too little";
            case NEVER -> "stays";
        };
    }

    /** What a radio with its holder asks of the car beside the parts' own times: things out of the way, things cut. */
    static Cost works(Sheet.Vehicle vehicle, Sheet.Radio radio, Optional<Sheet.Part> holder) {
        Map<String, Remedy> goes = new LinkedHashMap<>();
        report(vehicle, radio, holder).ifPresent(r -> r.collisions().stream()
                .filter(c -> c.certain() && !c.insertOfKit() && !c.refused())
                .forEach(c -> goes.putIfAbsent(c.with(), c.remedy())));
        if (goes.isEmpty()) return Cost.NOTHING;
        int minutes = 0;
        int times = 0;
        for (Obstruction o : vehicle.site().orElseThrow().obstructions())
            if (goes.containsKey(o.id())) {
                minutes += (int) Math.ceil(o.minutes());
                // what the holder's sheet says to cut is in the holder's own time
                boolean inHolder = holder.flatMap(Sheet.Part::frame)
                        .filter(f -> f.trims().containsKey(o.id()))
                        .isPresent();
                if (o.minutes() == 0 && !inHolder) times++;
            }
        long trims = goes.values().stream()
                .filter(r -> r instanceof Remedy.Trim || r instanceof Remedy.CutOff)
                .count();
        // what the holder's own sheet counts as its cuts is not counted again
        int cuts = (int) Math.max(0, trims - holder.map(Sheet.Part::cuts).orElse(0));
        return new Cost(0, minutes, cuts, 0, new Cost.Missing(0, times, 0));
    }

    /** What a person should know of a whole kit before buying. */
    static List<String> remarks(Sheet.Vehicle vehicle, FitReport report) {
        Set<String> remarks = new LinkedHashSet<>();
        for (Collision c : report.collisions())
            if (c.certain() && !c.insertOfKit() && !c.refused()) remarks.add(remark(vehicle, c));
        if (report.verdict() == FitVerdict.DOES_NOT_GO_IN)
            remarks.add("With all leads of this kit plugged in it does not go in: " + reason(report));
        if (report.verdict() == FitVerdict.MEASURE_FIRST)
            remarks.add("Whether it goes in depends on a measure nobody took: Fit says which.");
        return List.copyOf(remarks);
    }

    private static String remark(Sheet.Vehicle vehicle, Collision c) {
        double minutes = vehicle.site().orElseThrow().obstructions().stream()
                .filter(o -> o.id().equals(c.with()))
                .mapToDouble(Obstruction::minutes)
                .sum();
        String how = c.remedy() instanceof Remedy.Unscrew
                ? "is taken out"
                : c.remedy() instanceof Remedy.MoveAside ? "is moved aside" : "is cut back";
        return minutes == 0
                ? "It goes in once the %s %s.".formatted(c.with(), how)
                : "It goes in once the %s %s, %s min.".formatted(c.with(), how, Math.round(minutes));
    }
}
