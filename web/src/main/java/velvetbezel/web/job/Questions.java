package velvetbezel.web.job;

import static velvetbezel.store.JobCodec.key;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import velvetbezel.fit.FitReport;
import velvetbezel.fit.FitVerdict;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.identify.WhichSystem;
import velvetbezel.job.Design;
import velvetbezel.job.Entry;
import velvetbezel.prove.Verdict;
import velvetbezel.sheet.AudioSign;
import velvetbezel.sheet.Doubt;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.Trait;
import velvetbezel.sheet.Vin;
import velvetbezel.web.job.Question.Mark;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;
import velvetbezel.worksheet.GoodsIn;
import velvetbezel.worksheet.Load;

/** Everything a job still leaves open, what is wrong first. */
public final class Questions {
    /** So many questions of one kind are asked as one. */
    private static final int MANY = 3;

    private final OpenJob open;
    private final List<Question> found = new ArrayList<>();

    private Questions(OpenJob open) {
        this.open = open;
    }

    static List<Question> of(OpenJob open) {
        Questions q = new Questions(open);
        open.trouble()
                .forEach(t -> q.found.add(Question.go(
                        Mark.WRONG,
                        "A sheet of this job cannot be used",
                        t,
                        "Choose another",
                        open.path(Station.ARRIVE))));
        if (open.vehicle().isEmpty())
            q.found.add(Question.go(
                    Mark.OPEN,
                    "Which car is it?",
                    "Nothing can be computed before the car is known.",
                    "Choose the vehicle",
                    open.path(Station.ARRIVE) + "#vehicle"));
        open.vehicle().ifPresent(q::vehicle);
        if (open.vehicle().isPresent()
                && open.design().isEmpty()
                && open.trouble().isEmpty())
            q.found.add(Question.go(
                    Mark.OPEN,
                    "No kit is chosen",
                    "The worksheet and the final test are computed from the kit.",
                    "Compare the kits",
                    open.path(Station.MATCH)));
        open.design().ifPresent(q::design);
        q.goesIn();
        q.dash();
        q.found.sort(Comparator.comparing(Question::mark));
        return List.copyOf(q.found);
    }

    /** Facts the answers rest on that were only assumed. */
    static List<Question> assumptions(OpenJob open) {
        return open.doubts().stream()
                .filter(d -> d.kind() == Doubt.Kind.ASSUMED)
                .map(d -> doubt(d, Mark.OPEN))
                .toList();
    }

    private void vehicle(Sheet.Vehicle vehicle) {
        vin();
        audio(vehicle);
        open.doubts().stream()
                .filter(d -> d.kind() == Doubt.Kind.CONFLICT)
                .forEach(d -> found.add(doubt(d, Mark.WRONG)));
        missing(open.doubts().stream()
                .filter(d -> d.kind() == Doubt.Kind.MISSING)
                .toList());
        long left = open.had().size() - open.baselinesTaken();
        if (left > 0 && open.jointsDone().isEmpty())
            found.add(Question.go(
                    Mark.OPEN,
                    "Baseline: %s to test".formatted(Words.count((int) left, "function")),
                    "Before anything is touched: it keeps old faults from being blamed on the work.",
                    "Test and record",
                    open.path(Station.ARRIVE) + "#baseline"));
    }

    private void vin() {
        String vin = open.text(new Entry.VinRead());
        if (vin.isEmpty())
            found.add(Question.go(
                    Mark.OPEN,
                    "VIN not recorded",
                    "It names the car in the record and gives the model year.",
                    "Type it",
                    open.path(Station.ARRIVE) + "#vin"));
        else
            vin(vin).flatMap(Vin::warning)
                    .ifPresent(w -> found.add(Question.go(
                            Mark.OPEN,
                            "VIN: check digit",
                            w,
                            "Compare once more",
                            open.path(Station.ARRIVE) + "#vin")));
    }

    /** Empty for a text that is no VIN, which is refused where it is typed. */
    public static Optional<Vin> vin(String text) {
        try {
            return Optional.of(new Vin(text));
        } catch (InvalidInput e) {
            return Optional.empty();
        }
    }

    private void audio(Sheet.Vehicle vehicle) {
        if (open.which().filter(w -> w.candidates().size() > 1).isPresent()) {
            which(vehicle, open.which().get());
            return;
        }
        String says = vehicle.amplified() ? "amplified" : "plain";
        AudioSign.Verdict verdict = open.audio().orElseThrow();
        if (verdict == AudioSign.Verdict.CONTRADICTS)
            found.add(Question.go(
                    Mark.WRONG,
                    "Plain or amplified?",
                    vehicle.amplified()
                            ? "What was looked for and not found speaks for the plain system, and the chosen sheet is amplified. The wrong harness loses the sound."
                            : "%s was seen, and the chosen sheet is of the plain system. The wrong harness loses the sound."
                                    .formatted(AudioSign.strongest(open.signsSeen())
                                            .orElseThrow()
                                            .text()),
                    vehicle.amplified() ? "Choose the plain vehicle" : "Choose the amplified vehicle",
                    open.path(Station.ARRIVE) + "#vehicle"));
        if (verdict == AudioSign.Verdict.UNDECIDED)
            found.add(Question.go(
                    Mark.OPEN,
                    "Plain or amplified: the signs speak against each other",
                    "Look for the strongest sign that was not looked for yet: the pinout label on the radio's chassis.",
                    "Record what was seen",
                    open.path(Station.ARRIVE) + "#audio"));
        if (verdict == AudioSign.Verdict.NOTHING_SEEN)
            found.add(Question.go(
                    Mark.OPEN,
                    "Audio system: %s, by the sheet alone".formatted(says),
                    "Trim decides the harness. Record what is seen on this car.",
                    "Record what was seen",
                    open.path(Station.ARRIVE) + "#audio"));
    }

    /** Where the library has several sheets of the model: is the chosen one the likeliest, and is that sure? */
    private void which(Sheet.Vehicle vehicle, WhichSystem which) {
        WhichSystem.Candidate first = which.candidates().get(0);
        String look = which.next()
                .map(s -> " What would decide: %s.".formatted(Words.small(s.text())))
                .orElse("");
        if (which.sure() && !first.vehicle().id().equals(vehicle.id()))
            found.add(Question.go(
                    Mark.WRONG,
                    "It looks like the other trim",
                    "What was seen speaks for \"%s\" (%s), and \"%s\" is chosen. The wrong harness loses the sound."
                            .formatted(first.vehicle().name(), Words.percent(first.share()), vehicle.name()),
                    "Choose by what was seen",
                    open.path(Station.ARRIVE) + "#audio"));
        else if (!which.sure())
            found.add(Question.go(
                    Mark.OPEN,
                    "Which %s is it?".formatted(vehicle.model()),
                    "%d sheets of this model; the likeliest is \"%s\" at %s.%s"
                            .formatted(
                                    which.candidates().size(),
                                    first.vehicle().name(),
                                    Words.percent(first.share()),
                                    look),
                    "Record what was seen",
                    open.path(Station.ARRIVE) + "#audio"));
    }

    /** One after the other; many colours that nobody stated are one question, the next of them to settle. */
    private void missing(List<Doubt> missing) {
        List<Doubt> colours = missing.stream().filter(Doubt::ofColour).toList();
        missing.stream()
                .filter(d -> colours.size() < MANY || !d.ofColour())
                .forEach(d -> found.add(doubt(d, Mark.OPEN)));
        if (colours.size() < MANY) return;
        Question next = doubt(colours.get(0), Mark.OPEN);
        found.add(new Question(
                Mark.OPEN,
                "%s at the plugs are not known".formatted(Words.sentence(Words.count(colours.size(), "colour"))),
                "Next, %s. %s".formatted(colours.get(0).what(), next.text()),
                next.link(),
                next.settle()));
    }

    private static Question doubt(Doubt doubt, Mark mark) {
        String field = key(new Entry.FactSettled(doubt.field()));
        boolean wire = doubt.field().path().endsWith(".wired");
        List<String> choices = wire ? List.of("there", "not there") : doubt.values();
        String text = doubt.claims().isEmpty()
                ? "Nobody has stated it."
                : "It is said to be " + String.join(", and ", doubt.claims()) + ".";
        return new Question(
                mark,
                doubt.what(),
                text + (doubt.kind() == Doubt.Kind.ASSUMED ? "" : " Look at the plug and choose."),
                Optional.empty(),
                Optional.of(new Question.Settle(field, choices, !wire)));
    }

    private void design(Design design) {
        GoodsIn.of(design.installation()).stream()
                .filter(c -> open.cameOtherwise(c))
                .forEach(c -> found.add(Question.go(
                        Mark.WRONG,
                        "Came otherwise: " + open.sheetName(c.sheet()),
                        "At goods-in this was not so: " + Words.small(c.what()),
                        "Send it back, or change the plan",
                        "/jobs/%d/goods-in".formatted(open.job().number()))));
        design.misfed()
                .forEach(f -> found.add(Question.go(
                        Mark.WRONG,
                        "A joint would do harm",
                        Words.sentence(f.message()),
                        "Look at the joints",
                        open.path(Station.WIRE))));
        List<Load> unfused = design.overloads().stream()
                .filter(l -> l.verdict() == Load.Verdict.NO_FUSE)
                .toList();
        if (!unfused.isEmpty())
            found.add(Question.go(
                    Mark.WRONG,
                    "No fuse fits %s".formatted(Words.count(unfused.size(), "feed")),
                    "%s: %s.".formatted(unfused.get(0).what(), unfused.get(0).figures()),
                    "See the loads",
                    "/jobs/%d/loads".formatted(open.job().number())));
        List<Load> over = design.overloads().stream()
                .filter(l -> l.verdict() == Load.Verdict.OVER)
                .toList();
        if (!over.isEmpty())
            found.add(Question.go(
                    Mark.WRONG,
                    Words.sentence(Words.count(over.size(), "load")) + (over.size() == 1 ? " is" : " are")
                            + " too much",
                    "%s: %s.".formatted(over.get(0).what(), over.get(0).figures()),
                    "See the loads",
                    "/jobs/%d/loads".formatted(open.job().number())));
        design.installation()
                .faults()
                .forEach(f -> found.add(Question.go(
                        Mark.WRONG,
                        "Two outputs are tied together",
                        Words.sentence(f.message()),
                        "Choose another kit",
                        open.path(Station.MATCH))));
        for (FunctionId lost : open.mustsLost())
            found.add(Question.go(
                    Mark.WRONG,
                    open.functionName(lost) + " must stay, and is lost",
                    "The customer asked for it, and the chosen kit does not keep it.",
                    "Choose another kit",
                    open.path(Station.MATCH)));
        unknown(design);
        for (OpenJob.Measured m : open.measured()) {
            String where = "%s, %s".formatted(m.reading().place(), m.reading().state());
            if (m.differs())
                found.add(Question.go(
                        Mark.WRONG,
                        "%s reads %s"
                                .formatted(
                                        where,
                                        Words.volts(m.volts().orElseThrow().value())),
                        "Expected %s. Do not join before it is explained.".formatted(Words.expected(m.reading())),
                        "Measure again",
                        open.path(Station.WIRE) + "#exceptions"));
        }
        long unmeasured =
                open.measured().stream().filter(m -> m.volts().isEmpty()).count();
        if (unmeasured > 0)
            found.add(Question.go(
                    Mark.OPEN,
                    "%s to take".formatted(Words.sentence(Words.count((int) unmeasured, "reading"))),
                    "At positions that carry something else than their label says.",
                    "Measure at the plug",
                    open.path(Station.WIRE) + "#exceptions"));
        List<SetUpView.Line> unset = SetUpView.of(open).stream()
                .filter(l -> !l.set() && l.beforePower())
                .toList();
        if (!unset.isEmpty())
            found.add(Question.go(
                    Mark.OPEN,
                    "%s to make before power".formatted(Words.sentence(Words.count(unset.size(), "setting"))),
                    Words.sentence(unset.get(0).words()) + ".",
                    "Set and tick",
                    open.path(Station.CONTROLS)));
        open.joints().stream()
                .filter(j -> open.readBack(j, Entry.Agreement.DIFFERS))
                .forEach(j -> found.add(Question.go(
                        Mark.WRONG,
                        "The %s differs on reading back".formatted(j.id().label()),
                        "Open it and join it again.",
                        "See the worksheet",
                        open.path(Station.WIRE) + "#" + Ids.of(new Entry.JointMade(j.id())))));
        open.tried().stream()
                .filter(t -> t.verdict().kind() == Verdict.Kind.WRONG)
                .forEach(t -> found.add(Question.go(
                        Mark.WRONG,
                        t.check().function().name() + " is not right",
                        t.verdict().text(),
                        "Try again",
                        TestLine.href(open, t.check()))));
    }

    private void goesIn() {
        open.fit().report().map(FitReport::verdict).ifPresent(v -> {
            if (v == FitVerdict.DOES_NOT_GO_IN)
                found.add(Question.go(
                        Mark.WRONG,
                        Say.it("question.not.in"),
                        Say.it("question.not.in.text"),
                        Say.it("question.fit"),
                        open.path(Station.FIT)));
            if (v == FitVerdict.MEASURE_FIRST)
                found.add(Question.go(
                        Mark.OPEN,
                        Say.it("question.measure"),
                        Say.it("question.measure.text"),
                        Say.it("question.measure.go"),
                        "/jobs/%d/measure".formatted(open.job().number())));
        });
    }

    /** What the order rests on because nobody stated it. */
    private void dash() {
        List<String> taken = open.dash().presumed();
        if (!taken.isEmpty())
            found.add(Question.go(
                    Mark.OPEN,
                    Say.it("question.order"),
                    Words.sentence(String.join(", ", taken)) + ".",
                    Say.it("question.order.go"),
                    "/sheets/%s/strip".formatted(open.vehicle().orElseThrow().id())));
    }

    private void unknown(Design design) {
        Map<String, String> byField = design.outcomes().entrySet().stream()
                .filter(e -> e.getValue() instanceof Outcome.Unknown)
                .flatMap(e -> ((Outcome.Unknown) e.getValue())
                        .fields().stream().map(f -> Map.entry(f, open.functionName(e.getKey()))))
                .collect(Collectors.groupingBy(
                        e -> said(e.getKey()),
                        TreeMap::new,
                        Collectors.mapping(Map.Entry::getValue, Collectors.joining(", "))));
        byField.forEach((field, functions) -> found.add(new Question(
                Mark.OPEN,
                "Not known: " + field,
                "On it rests: " + functions + ".",
                Optional.empty(),
                Optional.empty())));
        boolean wheel = design.installation().recipe().vehicle().wheelOpen();
        for (Trait look : design.setUp().looks())
            found.add(Question.go(
                    Mark.OPEN,
                    Say.it("controls.look", Words.small(look.text())),
                    Say.it(wheel && look == Trait.STEERING_LAYOUT ? "question.look.wheel" : "question.look"),
                    Say.it("question.look.go"),
                    open.path(Station.ARRIVE) + "#" + Ids.of(new Entry.TraitSeen(look))));
    }

    /** A field is named by its doubt where it has one, which then is the thing to settle. */
    private String said(FieldRef field) {
        return open.doubts().stream()
                .filter(d -> d.field().equals(field))
                .map(Doubt::what)
                .findFirst()
                .or(() -> Trait.find(field.path()).map(t -> Words.small(t.text())))
                .orElse(field.toString());
    }
}
