package velvetbezel.web.job;

import java.util.Arrays;
import java.util.List;
import velvetbezel.drawing.LoomDrawing;
import velvetbezel.drawing.LoomDrawing.State;
import velvetbezel.function.Outcome;
import velvetbezel.identify.WhichSystem;
import velvetbezel.job.Design;
import velvetbezel.job.Entry;
import velvetbezel.prove.Verdict;
import velvetbezel.sheet.AudioSign;
import velvetbezel.sheet.Doubt;
import velvetbezel.strip.CarState;
import velvetbezel.strip.StripStep;

/** How far a station of a job is, in a mark and a few words. */
public record Progress(State state, String note) {
    static LoomDrawing loom(OpenJob open, Station current) {
        return LoomDrawing.of(Arrays.stream(Station.values())
                .map(s -> {
                    Progress p = of(s, open);
                    return new LoomDrawing.Station(s.label(), p.note, open.path(s), p.state, s == current);
                })
                .toList());
    }

    public static Progress of(Station station, OpenJob open) {
        return switch (station) {
            case ARRIVE -> arrive(open);
            case MATCH -> match(open);
            case FIT -> fit(open);
            case WIRE -> wire(open);
            case CONTROLS -> controls(open);
            case OPEN_UP -> openUp(open);
            case PROVE -> prove(open);
            case HAND_OVER -> open.has(new Entry.HandedOver())
                    ? new Progress(State.SETTLED, "done")
                    : new Progress(State.OPEN, "");
        };
    }

    private static Progress arrive(OpenJob open) {
        if (!open.trouble().isEmpty()) return new Progress(State.WRONG, "sheet not usable");
        if (open.vehicle().isEmpty()) return new Progress(State.OPEN, "which car?");
        if (otherSystem(open)) return new Progress(State.WRONG, "audio system?");
        int all = open.had().size();
        boolean unsure = open.which().filter(w -> !w.sure()).isPresent();
        boolean doubtful = unsure || open.doubts().stream().anyMatch(d -> d.kind() != Doubt.Kind.ASSUMED);
        return new Progress(
                open.baselinesTaken() == all && !doubtful ? State.SETTLED : State.OPEN,
                open.baselinesTaken() < all
                        ? "%d to test".formatted(all - open.baselinesTaken())
                        : unsure ? "which trim?" : doubtful ? "facts open" : "all tested");
    }

    /** What was seen speaks for another sheet than the chosen one. */
    private static boolean otherSystem(OpenJob open) {
        WhichSystem which = open.which().orElseThrow();
        if (which.candidates().size() == 1) return open.audio().orElseThrow() == AudioSign.Verdict.CONTRADICTS;
        return which.sure()
                && !which.candidates().get(0).vehicle().equals(open.vehicle().orElseThrow());
    }

    private static Progress match(OpenJob open) {
        if (open.design().isEmpty())
            return new Progress(State.OPEN, open.vehicle().isPresent() ? "no kit yet" : "");
        Design design = open.design().get();
        boolean wrong =
                !design.installation().faults().isEmpty() || !open.mustsLost().isEmpty();
        boolean unknown = design.outcomes().values().stream().anyMatch(Outcome.Unknown.class::isInstance);
        return new Progress(
                wrong ? State.WRONG : unknown ? State.OPEN : State.SETTLED,
                design.installation().recipe().radio().orElseThrow().device().name());
    }

    private static Progress fit(OpenJob open) {
        return open.fit()
                .report()
                .map(r -> switch (r.verdict()) {
                    case GOES_IN -> new Progress(State.SETTLED, "goes in");
                    case GOES_IN_AFTER, GOES_IN_PERHAPS_AFTER -> new Progress(State.SETTLED, "something goes");
                    case MEASURE_FIRST -> new Progress(State.OPEN, "measure first");
                    case DOES_NOT_GO_IN -> new Progress(State.WRONG, "does not go in");
                })
                .orElse(new Progress(State.OPEN, open.design().isPresent() ? "not measured" : ""));
    }

    private static Progress wire(OpenJob open) {
        if (open.design().isEmpty()) return new Progress(State.OPEN, "");
        int all = open.joints().size();
        int joined = open.jointsDone().size();
        boolean wrong = !open.design().get().misfed().isEmpty()
                || !open.state().all(Entry.JointToUndo.class).isEmpty()
                || open.measured().stream().anyMatch(OpenJob.Measured::differs)
                || open.joints().stream().anyMatch(j -> open.readBack(j, Entry.Agreement.DIFFERS));
        boolean settled = joined == all
                && open.joints().stream().allMatch(j -> open.readBack(j, Entry.Agreement.AGREES))
                && open.measured().stream().allMatch(OpenJob.Measured::agrees)
                && open.design().get().worksheet().caps().stream()
                        .allMatch(c -> open.has(new Entry.CapMade(c.lead().id())));
        String note = joined < all ? "%d of %d joined".formatted(joined, all) : "all %d joined".formatted(all);
        return new Progress(wrong ? State.WRONG : settled ? State.SETTLED : State.OPEN, note);
    }

    private static Progress controls(OpenJob open) {
        if (open.design().isEmpty()) return new Progress(State.OPEN, "");
        List<SetUpView.Line> lines = SetUpView.of(open);
        long left = lines.stream().filter(l -> !l.set()).count();
        boolean wrong = lines.stream().anyMatch(SetUpView.Line::wrong) || OpenKeys.wrong(open);
        return new Progress(
                wrong ? State.WRONG : left == 0 ? State.SETTLED : State.OPEN,
                OpenKeys.wrong(open)
                        ? "see the wheel"
                        : lines.isEmpty() ? "nothing to set" : left == 0 ? "all set" : "%d to set".formatted(left));
    }

    private static Progress openUp(OpenJob open) {
        if (open.vehicle().isEmpty()) return new Progress(State.OPEN, "");
        List<StripStep> steps = open.dash().steps();
        if (steps.isEmpty())
            return new Progress(State.OPEN, open.dash().sheet().isPresent() ? "order planned" : "no order yet");
        CarState car = open.dash().car();
        int off = car.positions().size();
        boolean together =
                car.exchanged() && car.tested() && off == 0 && car.off().isEmpty();
        return together
                ? new Progress(State.SETTLED, "closed again")
                : new Progress(State.OPEN, off == 0 ? "begun" : "%d open".formatted(off));
    }

    private static Progress prove(OpenJob open) {
        List<OpenJob.Tried> tried = open.tried();
        if (tried.isEmpty()) return new Progress(State.OPEN, "");
        long due = tried.stream().filter(t -> t.check().due()).count();
        long right = tried.stream()
                .filter(t -> t.check().due() && t.verdict().kind() == Verdict.Kind.SETTLED)
                .count();
        boolean wrong = tried.stream().anyMatch(t -> t.verdict().kind() == Verdict.Kind.WRONG);
        boolean settled = tried.stream().allMatch(t -> t.verdict().kind() == Verdict.Kind.SETTLED);
        return new Progress(
                wrong ? State.WRONG : settled ? State.SETTLED : State.OPEN, "%d of %d right".formatted(right, due));
    }
}
