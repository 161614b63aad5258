package velvetbezel.web.prove;

import static velvetbezel.store.JobCodec.key;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import velvetbezel.function.CheckPhase;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.job.Entry;
import velvetbezel.prove.Baseline;
import velvetbezel.prove.Check;
import velvetbezel.prove.CommonCause;
import velvetbezel.prove.MeterReadings;
import velvetbezel.prove.Result;
import velvetbezel.prove.Verdict;
import velvetbezel.web.job.BeforePower;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Station;
import velvetbezel.web.job.TestLine;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/** Prove: one check at a time in the car, all of them beside it where there is room. */
public record ProveView(
        Frame frame,
        String heading,
        String verdict,
        boolean wrong,
        boolean kit,
        FirstPower power,
        Optional<Current> current,
        List<TestLine> lines,
        List<Group> groups,
        List<TestLine> notDue) {
    /** Checks of one phase. */
    public record Group(String heading, List<TestLine> lines) {}

    /**
     * Power for the first time.
     *
     * @param on      whether it was said to be on
     * @param missing what should come before it
     */
    public record FirstPower(boolean on, List<String> missing, String field) {
        static FirstPower of(OpenJob open) {
            Entry.FirstPower entry = new Entry.FirstPower();
            return new FirstPower(open.has(entry), BeforePower.things(open), key(entry));
        }
    }

    /**
     * The check in hand.
     *
     * @param previous address of the one before, or empty text
     * @param suspect  where to look first if it is not right
     * @param meter    what a voltmeter must show meanwhile
     */
    public record Current(
            String previous,
            int number,
            int of,
            String id,
            String name,
            String ask,
            String expected,
            String before,
            String suspect,
            List<String> meter,
            String resultField,
            String result,
            String noteField,
            String note,
            boolean doubtful,
            Map<String, String> shown) {
        public boolean answered() {
            return !result.equals(Result.OPEN.name());
        }
    }

    /** All checks at once, sent ahead for work without a connection. */
    public record Ahead(Frame frame, List<Current> cards, List<TestLine> lines) {
        static Ahead of(OpenJob open) {
            List<OpenJob.Tried> due = due(open);
            Optional<MeterReadings> meter = meter(open);
            return new Ahead(
                    Frame.of(open, Station.PROVE, Frame.Trouble.NONE),
                    due.stream().map(t -> current(open, t, due, meter)).toList(),
                    due.stream().map(t -> TestLine.of(open, t, false)).toList());
        }
    }

    static ProveView of(OpenJob open, Optional<String> asked, Frame.Trouble trouble) {
        Frame frame = Frame.of(open, Station.PROVE, trouble);
        List<OpenJob.Tried> due = due(open);
        if (due.isEmpty())
            return new ProveView(
                    frame,
                    "No kit is chosen yet",
                    "The checks are computed from the kit: choose one at Match.",
                    false,
                    false,
                    FirstPower.of(open),
                    Optional.empty(),
                    List.of(),
                    List.of(),
                    List.of());
        Optional<OpenJob.Tried> current = due.stream()
                .filter(t ->
                        asked.filter(t.check().function().id().text()::equals).isPresent())
                .findFirst()
                .or(() -> asked.isPresent()
                        ? Optional.empty()
                        : due.stream().filter(t -> t.result() == Result.OPEN).findFirst());
        List<TestLine> lines = due.stream()
                .map(t -> TestLine.of(open, t, current.filter(t::equals).isPresent()))
                .toList();
        return new ProveView(
                frame,
                heading(due),
                verdict(open, due),
                !of(open, Verdict.Kind.WRONG).isEmpty(),
                true,
                FirstPower.of(open),
                current.map(t -> current(open, t, due, meter(open))),
                lines,
                groups(due, lines),
                open.tried().stream()
                        .filter(t -> !t.check().due())
                        .map(t -> TestLine.of(open, t, false))
                        .toList());
    }

    /** @param lines one for each of those due */
    private static List<Group> groups(List<OpenJob.Tried> due, List<TestLine> lines) {
        List<Group> groups = new ArrayList<>();
        for (CheckPhase phase : CheckPhase.values()) {
            List<TestLine> own = IntStream.range(0, due.size())
                    .filter(i -> due.get(i).check().function().phase() == phase)
                    .mapToObj(lines::get)
                    .toList();
            if (!own.isEmpty()) groups.add(new Group(Say.it("prove.phase." + phase), own));
        }
        return groups;
    }

    private static List<OpenJob.Tried> due(OpenJob open) {
        return open.tried().stream().filter(t -> t.check().due()).toList();
    }

    private static String heading(List<OpenJob.Tried> due) {
        long right = due.stream()
                .filter(t -> t.verdict().kind() == Verdict.Kind.SETTLED)
                .count();
        long wrong = due.stream()
                .filter(t -> t.verdict().kind() == Verdict.Kind.WRONG)
                .count();
        if (right == due.size()) return "All %s are right".formatted(Words.count(due.size(), "check"));
        if (wrong > 0)
            return "%s not right, %s right, %s to try"
                    .formatted(Words.sentence(Words.count((int) wrong)), Words.count((int) right), Words.count((int)
                            (due.size() - right - wrong)));
        return right == 0
                ? toTry(due)
                : "%s of %d right, %s to try"
                        .formatted(Words.sentence(Words.count((int) right)), due.size(), Words.count((int)
                                (due.size() - right)));
    }

    private static String toTry(List<OpenJob.Tried> due) {
        long before = due.stream()
                .filter(t -> t.check().function().phase() == CheckPhase.BEFORE_CLOSING)
                .count();
        String checks = Words.sentence(Words.count(due.size(), "check"));
        return before == due.size()
                ? Say.it("prove.before", checks)
                : Say.it("prove.some.before", checks, Words.count((int) before));
    }

    private static String verdict(OpenJob open, List<OpenJob.Tried> due) {
        long lost = open.tried().size() - due.size();
        long before = due.stream()
                .filter(t -> t.before() == Baseline.NOT_TESTED
                        && open.had().contains(t.check().function().id()))
                .count();
        return open.state()
                        .get(new Entry.ClosedWithOpenChecks())
                        .map(n -> Say.it("prove.closed", n) + " ")
                        .orElse("")
                + together(open)
                + "Each says what must happen, from running this installation."
                + (lost == 0
                        ? ""
                        : " %s not tried: lost with this kit, as told before the purchase."
                                .formatted(Words.sentence(Words.count((int) lost)) + (lost == 1 ? " is" : " are")))
                + (before == 0
                        ? ""
                        : " %s no baseline to compare with."
                                .formatted(
                                        Words.sentence(Words.count((int) before)) + (before == 1 ? " has" : " have")));
    }

    /** Several that fail at once have one cause more often than several. */
    private static String together(OpenJob open) {
        List<FunctionId> failing = of(open, Verdict.Kind.WRONG);
        List<String> causes = open.design()
                .map(d -> new CommonCause(d.installation(), d.outcomes())
                        .of(
                                failing,
                                open.tried().stream()
                                        .filter(t -> t.result() == Result.RIGHT)
                                        .map(t -> t.check().function().id())
                                        .toList()))
                .orElse(List.of());
        if (causes.isEmpty()) return "";
        return "%s fail together: look at %s first, which they share and nothing that works does. "
                .formatted(Words.list(failing.stream().map(open::functionName).toList()), causes.get(0));
    }

    private static List<FunctionId> of(OpenJob open, Verdict.Kind kind) {
        return open.tried().stream()
                .filter(t -> t.verdict().kind() == kind)
                .map(t -> t.check().function().id())
                .toList();
    }

    private static String words(MeterReadings.Line line) {
        return line.nominal()
                .map(v -> Say.it(
                        "prove.meter",
                        line.joint().label(),
                        "%.1f".formatted(v.value()),
                        "%.1f".formatted(line.low().value()),
                        "%.1f".formatted(line.high().value())))
                .orElseGet(() -> Say.it("prove.meter.nothing", line.joint().label()));
    }

    private static Optional<MeterReadings> meter(OpenJob open) {
        return open.design().map(d -> new MeterReadings(d.installation()));
    }

    private static Current current(
            OpenJob open, OpenJob.Tried t, List<OpenJob.Tried> due, Optional<MeterReadings> meter) {
        Check check = t.check();
        String suspect = check.suspects().isEmpty()
                ? ""
                : "If it is not right, look at the %s first."
                        .formatted(check.suspects().get(0).label());
        int place = due.indexOf(t);
        return new Current(
                place == 0 ? "" : TestLine.href(open, due.get(place - 1).check()),
                place + 1,
                due.size(),
                check.function().id().text(),
                check.function().name(),
                check.function().ask(),
                check.expected(),
                TestLine.before(open, t, " at arrival"),
                suspect,
                meter.map(m -> m.of(check).stream().map(ProveView::words).toList())
                        .orElse(List.of()),
                key(new Entry.ResultGiven(check.function().id())),
                t.result().name(),
                key(new Entry.ResultNoted(check.function().id())),
                open.text(new Entry.ResultNoted(check.function().id())),
                check.outcome() instanceof Outcome.Unknown,
                open.shown(Stream.of(
                        new Entry.ResultGiven(check.function().id()),
                        new Entry.ResultNoted(check.function().id()))));
    }
}
