package velvetbezel.web.arrive;

import static velvetbezel.store.JobCodec.key;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.function.CarFunction;
import velvetbezel.identify.WhichSystem;
import velvetbezel.job.Entry;
import velvetbezel.prove.Baseline;
import velvetbezel.sheet.AudioSign;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Position;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.Trait;
import velvetbezel.sheet.Vin;
import velvetbezel.store.Library;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.Ids;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Question;
import velvetbezel.web.job.Questions;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Words;

/** Arrive: which car, which audio system, what the customer wants, and what worked before anything was touched. */
public record ArriveView(
        Frame frame,
        String heading,
        String verdict,
        List<Option> vehicles,
        Input vin,
        String vinWarning,
        String vinYear,
        Input customer,
        Input phone,
        Input due,
        Input note,
        List<Sign> signs,
        List<Read> traits,
        String audio,
        Question.Mark audioMark,
        List<Candidate> candidates,
        String look,
        List<Built> built,
        int changed,
        List<String> roles,
        List<Group> groups) {
    public record Option(String id, String name, boolean chosen) {}

    /** A text a person types. */
    public record Input(String field, String id, String value) {}

    /** @param answer "yes", "no" or empty text; @param decides whether it would decide most now */
    public record Sign(String field, String id, String text, String answer, boolean decides) {}

    /** A trait that sheets of this model state. @param values what they state */
    public record Read(String field, String id, String text, String value, List<String> values, boolean decides) {}

    /**
     * A position of the car's plugs.
     *
     * @param sheet what its sheet says;
     * @param now what a former owner made of it, or empty text
     */
    public record Built(String field, String id, String place, String sheet, String now) {}

    /** A sheet of this model. @param share how sure, in words */
    public record Candidate(String id, String name, String share, int percent, boolean chosen) {}

    public record Group(String name, List<Row> rows) {}

    /** A function. @param had whether the factory installation has it, so that a baseline makes sense */
    public record Row(
            String name,
            String ask,
            boolean had,
            boolean wishable,
            String baselineField,
            String baseline,
            String wishField,
            boolean usualMust,
            String wish,
            String id) {}

    static ArriveView of(OpenJob open, List<Library.Entry> vehicles, Frame.Trouble trouble) {
        String chosen = open.text(new Entry.VehicleChosen());
        String vin = open.text(new Entry.VinRead());
        return new ArriveView(
                Frame.of(open, Station.ARRIVE, trouble),
                heading(open),
                verdict(open),
                vehicles.stream()
                        .map(v -> new Option(v.id(), v.name(), v.id().equals(chosen)))
                        .toList(),
                input(open, new Entry.VinRead()),
                Questions.vin(vin).flatMap(Vin::warning).orElse(""),
                year(open, vin),
                input(open, new Entry.CustomerNamed()),
                input(open, new Entry.PhoneNoted()),
                input(open, new Entry.DueBy()),
                input(open, new Entry.NoteWritten()),
                Arrays.stream(AudioSign.values())
                        .map(s -> new Sign(
                                key(new Entry.SignSeen(s)),
                                Ids.of(new Entry.SignSeen(s)),
                                s.text(),
                                open.text(new Entry.SignSeen(s)),
                                decides(open, new WhichSystem.SignLook(s))))
                        .toList(),
                traits(open),
                audio(open),
                audioMark(open),
                candidates(open),
                look(open),
                built(open),
                (int) built(open).stream().filter(b -> !b.now.isEmpty()).count(),
                roles(open),
                groups(open));
    }

    private static boolean decides(OpenJob open, WhichSystem.Look look) {
        return open.which().flatMap(WhichSystem::next).filter(look::equals).isPresent();
    }

    /** What a sheet of this model states can tell it from the others; what a setting of the kit hangs on is asked too. */
    private static List<Read> traits(OpenJob open) {
        List<Sheet.Vehicle> sheets = open.which()
                .map(w -> w.candidates().stream()
                        .map(WhichSystem.Candidate::vehicle)
                        .toList())
                .orElse(List.of());
        return Arrays.stream(Trait.values())
                .filter(t -> sheets.size() > 1
                                && sheets.stream().anyMatch(s -> s.traits().containsKey(t))
                        || !forSettings(open, t).isEmpty()
                        || !wheels(open, t).isEmpty())
                .map(t -> new Read(
                        key(new Entry.TraitSeen(t)),
                        Ids.of(new Entry.TraitSeen(t)),
                        t.text(),
                        open.text(new Entry.TraitSeen(t)),
                        t == Trait.BUILT
                                ? List.of()
                                : Stream.concat(
                                                sheets.stream()
                                                        .map(s -> s.traits().get(t)),
                                                Stream.concat(forSettings(open, t).stream(), wheels(open, t).stream()))
                                        .filter(Objects::nonNull)
                                        .distinct()
                                        .sorted()
                                        .toList(),
                        decides(open, new WhichSystem.TraitLook(t))))
                .toList();
    }

    /** Values among which it decides for a device of the kit. */
    private static List<String> forSettings(OpenJob open, Trait trait) {
        return open.design().stream()
                .flatMap(d -> d.setUp().decisions().stream())
                .filter(d -> d.how().fact().equals(Optional.of(trait)))
                .flatMap(d -> d.values().stream())
                .toList();
    }

    /** Layouts that the wheel may have, where the sheet leaves it open. */
    private static Set<String> wheels(OpenJob open, Trait trait) {
        return open.vehicle()
                .filter(v -> trait == Trait.STEERING_LAYOUT && v.wheels().size() > 1)
                .map(v -> v.wheels().keySet())
                .orElse(Set.of());
    }

    private static List<Built> built(OpenJob open) {
        List<Built> built = new ArrayList<>();
        open.factory().ifPresent(f -> {
            for (Plug plug : f.recipe().vehicle().car().plugs())
                for (Position p : plug.positions()) {
                    Entry.PositionAltered entry = new Entry.PositionAltered(plug.id(), p.number());
                    built.add(new Built(
                            key(entry),
                            Ids.of(entry),
                            plug.id() + " " + p.number(),
                            p.role().map(LeadRole::label).orElse("empty"),
                            open.text(entry)));
                }
        });
        return built;
    }

    /** Roles that this car has a wire for. */
    private static List<String> roles(OpenJob open) {
        return open.factory().stream()
                .flatMap(f -> f.recipe().vehicle().car().plugs().stream())
                .flatMap(p -> p.positions().stream())
                .flatMap(p -> p.role().stream())
                .distinct()
                .sorted()
                .map(LeadRole::label)
                .toList();
    }

    private static Input input(OpenJob open, Entry<?> entry) {
        return new Input(key(entry), key(entry), open.text(entry));
    }

    private static String heading(OpenJob open) {
        return open.vehicle()
                .map(v -> "%s %s, %s: %s to keep"
                        .formatted(
                                v.make(),
                                v.model(),
                                v.amplified() ? "amplified" : "plain audio",
                                Words.count(open.had().size(), "function")))
                .orElse("Which car is it?");
    }

    private static String verdict(OpenJob open) {
        if (open.vehicle().isEmpty()) return "Choose its sheet; everything else is computed from it.";
        Optional<CarFunction> next = open.factoryFunctions().stream()
                .filter(f -> open.baseline(f.id()) == Baseline.NOT_TESTED)
                .findFirst();
        long faulty = open.factoryFunctions().stream()
                .filter(f -> open.baseline(f.id()) == Baseline.FAULTY)
                .count();
        String found = faulty == 0
                ? ""
                : " %s faulty before the work began."
                        .formatted(Words.sentence(Words.count((int) faulty)) + (faulty == 1 ? " was" : " were"));
        return next.map(f -> "%s tested. Next: %s, before anything is touched."
                                .formatted(
                                        open.baselinesTaken() == 0
                                                ? "None is"
                                                : open.baselinesTaken() == 1
                                                        ? "One is"
                                                        : Words.sentence(Words.count((int) open.baselinesTaken()))
                                                                + " are",
                                        lower(f.name())))
                        .orElse("The baseline is complete.")
                + found;
    }

    private static String lower(String name) {
        return name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
    }

    private static String year(OpenJob open, String vin) {
        Optional<Integer> year = Questions.vin(vin).flatMap(Vin::modelYear);
        return year.isEmpty()
                ? ""
                : open.vehicle()
                        .map(v -> {
                            boolean within = year.get() >= v.fromYear() && year.get() <= v.toYear();
                            if (!v.northAmerica())
                                return "Its year code would read %d; outside North America that is no proof."
                                        .formatted(year.get());
                            return within
                                    ? "Model year %d, within this sheet's %d to %d."
                                            .formatted(year.get(), v.fromYear(), v.toYear())
                                    : "Model year %d by 49 CFR 565, and this sheet is for %d to %d: is it the right vehicle?"
                                            .formatted(year.get(), v.fromYear(), v.toYear());
                        })
                        .orElse("");
    }

    private static List<Candidate> candidates(OpenJob open) {
        return open.which()
                .filter(w -> w.candidates().size() > 1)
                .map(w -> w.candidates().stream()
                        .map(c -> new Candidate(
                                c.vehicle().id(),
                                c.vehicle().name(),
                                Words.percent(c.share()),
                                (int) Math.round(c.share() * 100),
                                c.vehicle().id().equals(open.text(new Entry.VehicleChosen()))))
                        .toList())
                .orElse(List.of());
    }

    private static String look(OpenJob open) {
        return open.which()
                .filter(w -> !w.sure())
                .flatMap(WhichSystem::next)
                .map(s -> "What would decide most: %s.".formatted(Words.small(s.text())))
                .orElse("");
    }

    private static String audio(OpenJob open) {
        Optional<WhichSystem> several = open.which().filter(w -> w.candidates().size() > 1);
        if (several.isPresent()) {
            WhichSystem.Candidate first = several.get().candidates().get(0);
            if (!several.get().sure())
                return "Not told apart yet: %d sheets of this model."
                        .formatted(several.get().candidates().size());
            return first.vehicle().id().equals(open.text(new Entry.VehicleChosen()))
                    ? "What was seen agrees with the chosen sheet."
                    : "What was seen speaks for another sheet.";
        }
        return open.audio()
                .map(verdict -> switch (verdict) {
                    case AGREES -> "What was looked at agrees with the sheet.";
                    case CONTRADICTS -> open.vehicle().orElseThrow().amplified()
                            ? "What was looked at speaks for the plain system, and the sheet is amplified."
                            : "What was seen speaks for an amplifier, and the sheet is of the plain system.";
                    case UNDECIDED -> "The signs speak against each other.";
                    case NOTHING_SEEN -> "%s by the sheet alone."
                            .formatted(open.vehicle().orElseThrow().amplified() ? "Amplified" : "Plain");
                })
                .orElse("Choose the vehicle first.");
    }

    private static Question.Mark audioMark(OpenJob open) {
        Optional<WhichSystem> several = open.which().filter(w -> w.candidates().size() > 1);
        if (several.isPresent())
            return !several.get().sure()
                    ? Question.Mark.OPEN
                    : several.get().candidates().get(0).vehicle().id().equals(open.text(new Entry.VehicleChosen()))
                            ? Question.Mark.SETTLED
                            : Question.Mark.WRONG;
        return open.audio()
                .map(v -> v == AudioSign.Verdict.AGREES
                        ? Question.Mark.SETTLED
                        : v == AudioSign.Verdict.CONTRADICTS ? Question.Mark.WRONG : Question.Mark.OPEN)
                .orElse(Question.Mark.OPEN);
    }

    private static List<Group> groups(OpenJob open) {
        return open.catalogue().functions().stream()
                .filter(f -> open.had().contains(f.id()) || f.wish())
                .collect(Collectors.groupingBy(CarFunction::group, LinkedHashMap::new, Collectors.toList()))
                .entrySet()
                .stream()
                .map(g -> new Group(
                        g.getKey(), g.getValue().stream().map(f -> row(open, f)).toList()))
                .toList();
    }

    private static Row row(OpenJob open, CarFunction f) {
        return new Row(
                f.name(),
                f.ask(),
                open.had().contains(f.id()),
                f.wish(),
                key(new Entry.BaselineTaken(f.id())),
                open.baseline(f.id()).name(),
                key(new Entry.WishMade(f.id())),
                f.must() && open.had().contains(f.id()),
                open.text(new Entry.WishMade(f.id())),
                Ids.of("row/" + f.id()));
    }
}
