package velvetbezel.web.openup;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import velvetbezel.drawing.OpenUpDrawing;
import velvetbezel.job.Entry;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.sheet.strip.WorkPhase;
import velvetbezel.store.JobCodec;
import velvetbezel.strip.HexFit;
import velvetbezel.strip.Openings;
import velvetbezel.strip.StripPlan;
import velvetbezel.strip.StripStep;
import velvetbezel.strip.TimeRange;
import velvetbezel.strip.Tools;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenDash;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.PhotoLine;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Say;

/**
 * Open up at the counter and bench: the whole order, what lies ready, and what else is worth doing.
 *
 * @param orderly  whether there is an order
 * @param blocks   the order in three parts
 * @param advice   what excludes an order, and what would free it
 * @param question the one answer that would save most; empty text where none does
 */
public record OpenUpView(
        Frame frame,
        String heading,
        String verdict,
        String rests,
        boolean sheet,
        String sheetId,
        boolean orderly,
        Optional<OpenUpDrawing> drawing,
        List<Block> blocks,
        List<String> advice,
        String question,
        List<ToolLine> tools,
        List<ExtraLine> extras,
        List<Choice> schools,
        String bench,
        List<Option> experience,
        String experienceField,
        List<PhotoLine> photos) {
    /** @param name "Take apart" */
    public record Block(String name, List<StepLine> lines) {}

    public record ToolLine(String name, String uses, String instead) {}

    /** @param field of the job; @param taken whether it is ticked */
    public record ExtraLine(String name, String minutes, String more, String field, boolean taken) {}

    public record Choice(String label, String field, boolean on) {}

    public record Option(String value, String label, boolean chosen) {}

    static OpenUpView of(OpenJob open, Course course, Frame.Trouble trouble) {
        Optional<StripDown> strip = course.dash().sheet();
        return new OpenUpView(
                Frame.of(open, Station.OPEN_UP, trouble),
                heading(open, course),
                verdict(open, course),
                rests(course.dash()),
                strip.isPresent(),
                open.vehicle().map(Sheet.Vehicle::id).orElse(""),
                course.plan().found().isPresent() || course.begun(),
                drawing(course),
                blocks(course),
                advice(course.plan()),
                question(course),
                strip.map(s -> tools(s, course.steps())).orElse(List.of()),
                strip.map(s -> extras(open, course)).orElse(List.of()),
                schools(open),
                bench(course),
                experience(open),
                JobCodec.key(new Entry.ExperienceSaid()),
                PhotoLine.of(open));
    }

    /** What the order comes to, in a few words. */
    static String heading(OpenJob open, Course course) {
        if (open.vehicle().isEmpty()) return Say.it("heading.no.car");
        if (course.dash().sheet().isEmpty()) return Say.it("heading.none");
        if (course.plan() instanceof StripPlan.NoOrder) return Say.it("heading.no.order");
        if (course.plan() instanceof StripPlan.NotFound) return Say.it("heading.not.found");
        if (course.plan() instanceof StripPlan.Nothing) return Say.it("heading.nothing");
        if (course.finished()) return Say.it("heading.all.done");
        StripPlan.Order order = course.plan().found().orElseThrow();
        return course.begun()
                ? Say.it("heading.left", order.steps().size(), course.steps().size())
                : Say.it("heading.steps", order.steps().size(), order.changes());
    }

    private static String verdict(OpenJob open, Course course) {
        if (open.vehicle().isEmpty()) return Say.it("verdict.no.car");
        if (course.dash().sheet().isEmpty()) return Say.it("verdict.none");
        if (course.plan() instanceof StripPlan.NoOrder) return Say.it("verdict.no.order");
        if (course.plan() instanceof StripPlan.NotFound n) return Say.it("verdict.not.found", n.statesLooked());
        if (course.plan() instanceof StripPlan.Nothing) return Say.it("verdict.nothing");
        if (course.finished()) return Say.it("verdict.done");
        StripPlan.Order order = course.plan().found().orElseThrow();
        return time(open, order.minutes()) + " " + proof(course.plan());
    }

    private static String proof(StripPlan plan) {
        if (plan instanceof StripPlan.Least) return Say.it("verdict.least");
        StripPlan.BestFound best = (StripPlan.BestFound) plan;
        return best.fewestChanges()
                ? Say.it("verdict.best.changes")
                : Say.it("verdict.best", best.order().changes(), best.atLeast());
    }

    private static String time(OpenJob open, TimeRange t) {
        Entry.Experience e = open.state().get(new Entry.ExperienceSaid()).orElse(Entry.Experience.PRACTISED);
        return Say.it(
                "verdict.time",
                Math.round(t.low() * e.least()),
                Math.round(t.high() * e.most()),
                Math.round(t.least() * e.least()),
                Math.round(t.most() * e.most()));
    }

    private static String rests(OpenDash dash) {
        return dash.presumed().isEmpty() ? "" : Say.it("rests.head", String.join(", ", dash.presumed()));
    }

    private static Optional<OpenUpDrawing> drawing(Course course) {
        if (course.steps().size() < 2 || course.ran().isEmpty()) return Optional.empty();
        return Optional.of(OpenUpDrawing.of(
                course.steps(),
                course.ran().get().states().subList(0, course.steps().size() + 1),
                course.done(),
                (field, word) -> StepWords.word(word),
                s -> s instanceof StripStep.Exchange ? "exchange" : s instanceof StripStep.FunctionTest ? "test" : ""));
    }

    private static List<Block> blocks(Course course) {
        StepWords words = new StepWords(course.dash().sheet());
        List<StripStep> steps = course.steps();
        int exchange = steps.indexOf(new StripStep.Exchange());
        int test = steps.lastIndexOf(new StripStep.FunctionTest());
        List<StepLine> apart = new ArrayList<>();
        List<StepLine> between = new ArrayList<>();
        List<StepLine> together = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            StepLine line = StepLine.of(i, steps.get(i), i < course.done(), words, course.found());
            if (exchange < 0 || i < exchange) apart.add(line);
            else if (i <= test) between.add(line);
            else together.add(line);
        }
        return List.of(
                        new Block(Say.it("block.apart"), apart),
                        new Block(Say.it("block.between"), between),
                        new Block(Say.it("block.together"), together))
                .stream()
                .filter(b -> !b.lines().isEmpty())
                .toList();
    }

    private static List<String> advice(StripPlan plan) {
        if (!(plan instanceof StripPlan.NoOrder none)) return List.of();
        List<String> advice = new ArrayList<>();
        none.deadEnds().forEach(d -> advice.add(Say.it("dead." + code(d.kind()), d.wants(), d.off())));
        none.relaxations().forEach(r -> advice.add(Say.it("free." + code(r.kind()), r.of(), r.changes())));
        return advice;
    }

    private static String code(Enum<?> kind) {
        return kind.name().toLowerCase(Locale.ROOT);
    }

    private static String question(Course course) {
        if (course.begun() || course.plan().found().isEmpty()) return "";
        int changes = course.plan().found().get().changes();
        return course.planner()
                .question(
                        course.dash().sheet().orElseThrow(),
                        course.dash().wanted(),
                        course.dash().car(),
                        changes)
                .map(r -> Say.it("free." + code(r.kind()), r.of(), r.changes(), changes - r.changes()))
                .orElse("");
    }

    private static List<ToolLine> tools(StripDown strip, List<StripStep> steps) {
        return Tools.of(strip, steps).stream()
                .map(t -> new ToolLine(t.name(), String.join(", ", t.uses()), instead(t.substitutes())))
                .toList();
    }

    private static String instead(Map<String, HexFit> serve) {
        return serve.entrySet().stream()
                .map(e -> Say.it(
                        "tool." + code(e.getValue().verdict()),
                        e.getKey(),
                        String.format(
                                Locale.ROOT, "%+.2f", e.getValue().clearance().value()),
                        String.format(Locale.ROOT, "%.1f", e.getValue().degrees())))
                .collect(Collectors.joining("; "));
    }

    private static List<ExtraLine> extras(OpenJob open, Course course) {
        StripDown strip = course.dash().sheet().orElseThrow();
        List<ExtraLine> lines = new ArrayList<>();
        for (String taken : course.dash().wanted().extras().stream().sorted().toList())
            lines.add(new ExtraLine(taken, "", "", JobCodec.key(new Entry.ExtraTaken(taken)), true));
        if (course.begun()) return lines;
        for (Openings.Saving s :
                new Openings(course.planner(), strip, course.dash().wanted()).all())
            lines.add(new ExtraLine(
                    s.extra().id(),
                    Say.it("extra.adds", Math.round(s.adds()), Math.round(s.alone())),
                    s.more().isEmpty() ? "" : Say.it("extra.more", String.join(", ", s.more())),
                    JobCodec.key(new Entry.ExtraTaken(s.extra().id())),
                    false));
        return lines;
    }

    private static List<Choice> schools(OpenJob open) {
        List<Choice> schools = new ArrayList<>();
        for (Entry.OpenUpSchool s : Entry.OpenUpSchool.values()) {
            Entry.OpenUpWay entry = new Entry.OpenUpWay(s);
            schools.add(new Choice(Say.it("school." + code(s)), JobCodec.key(entry), open.has(entry)));
        }
        return schools;
    }

    /** Minutes of bench work that the car stands open for, or does not. */
    private static String bench(Course course) {
        double minutes = course.dash().sheet().stream()
                .flatMap(s -> s.works().stream())
                .filter(w -> w.phase() == WorkPhase.BENCH)
                .mapToDouble(w -> w.minutes().usual())
                .sum();
        if (minutes == 0) return "";
        return Say.it(
                course.dash().wanted().school().benchFirst() ? "school.bench.first" : "school.dash.first",
                Math.round(minutes));
    }

    private static List<Option> experience(OpenJob open) {
        Entry.Experience said = open.state().get(new Entry.ExperienceSaid()).orElse(Entry.Experience.PRACTISED);
        List<Option> options = new ArrayList<>();
        for (Entry.Experience e : Entry.Experience.values())
            options.add(new Option(
                    JobCodec.text(new Entry.ExperienceSaid(), e), Say.it("experience." + code(e)), e == said));
        return options;
    }
}
