package velvetbezel.web.prove;

import static velvetbezel.store.JobCodec.key;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import velvetbezel.diagnose.Advice;
import velvetbezel.diagnose.Diagnosis;
import velvetbezel.diagnose.Fault;
import velvetbezel.diagnose.FaultKind;
import velvetbezel.diagnose.Finding;
import velvetbezel.diagnose.RepairPoint;
import velvetbezel.diagnose.SymptomTable;
import velvetbezel.diagnose.Trial;
import velvetbezel.function.CarFunction;
import velvetbezel.function.FunctionId;
import velvetbezel.job.Entry;
import velvetbezel.prove.Meter;
import velvetbezel.prove.Result;
import velvetbezel.store.JobCodec;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.SymptomWords;
import velvetbezel.web.prove.Ask.Answer;
import velvetbezel.web.prove.Ask.Deed;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/** Puts the one next thing of a search into words and buttons. */
final class NextThing {
    private static final int MOST_ANSWERS = 8;
    private static final int MOST_KINDS = 4;
    /** A finding less likely than this is no button of its own. */
    private static final double SAID = 0.01;

    private final OpenJob open;
    private final Search search;
    private final SymptomTable table;
    private final SymptomWords words;

    NextThing(OpenJob open, Search search) {
        this.open = open;
        this.search = search;
        this.table = search.table();
        this.words = new SymptomWords(open.design().orElseThrow().installation());
    }

    /** What is not right is asked for its symptom first. */
    Optional<Ask> of(Diagnosis d) {
        return search.unsaid().map(t -> symptom(t.check().function())).or(() -> d.next()
                .flatMap(this::of));
    }

    private Optional<Ask> of(Advice advice) {
        if (advice instanceof Advice.LookAt l) return Optional.of(look(l.place(), l.belief()));
        if (advice instanceof Advice.ProveMeter p) return Optional.of(meter(p.belief()));
        if (!(advice instanceof Advice.Try t)) return Optional.empty();
        if (t.test() instanceof Trial.OfSwap s) return Optional.of(swap(s, t.chances()));
        return Optional.of(
                t.test() instanceof Trial.OfCheck c
                        ? check(function(c.function()), t.chances(), false)
                        : reading((Trial.Measured) t.test(), t.chances()));
    }

    private CarFunction function(FunctionId id) {
        return open.catalogue().find(id).orElseThrow();
    }

    /** A check that is known not to be right is asked for its symptom. */
    private Ask symptom(CarFunction f) {
        return check(f, search.chances(new Trial.OfCheck(f.id())), true);
    }

    private Ask check(CarFunction f, List<Double> chances, boolean wrong) {
        Entry.ResultGiven result = new Entry.ResultGiven(f.id());
        Entry.SymptomSeen symptom = new Entry.SymptomSeen(f.id());
        List<Answer> answers = new ArrayList<>();
        if (!wrong) answers.add(new Answer(key(result), Result.RIGHT.name(), Say.it("find.right"), true));
        answers.addAll(symptoms(new Trial.OfCheck(f.id()), key(symptom), chances, 1));
        answers.add(new Answer(key(symptom), Search.SOMETIMES, Say.it("find.sometimes"), false));
        answers.add(new Answer(key(symptom), Search.SOMETHING_ELSE, Say.it("find.something.else"), false));
        answers.add(new Answer(
                key(result),
                wrong ? Result.OPEN.name() : Result.COULD_NOT_TEST.name(),
                Say.it(wrong ? "find.not.wrong" : "find.could.not"),
                false));
        return new Ask(
                Say.it(wrong ? "find.symptom" : "find.try", f.name()),
                f.ask(),
                Say.it(wrong ? "find.symptom.why" : "find.try.why"),
                answers,
                "",
                "",
                open.shown(Stream.of(result)),
                List.of());
    }

    private Ask swap(Trial.OfSwap swap, List<Double> chances) {
        String field = key(Search.entry(swap));
        List<Answer> answers = new ArrayList<>(symptoms(swap, field, chances, 0));
        answers.add(new Answer(field, Search.SOMETHING_ELSE, Say.it("find.something.else"), false));
        return new Ask(
                Say.it("find.swap", swap.words(), function(swap.again()).name()),
                Say.it("find.swap.how", function(swap.again()).ask()),
                Say.it("find.swap.why"),
                answers,
                "",
                "",
                Map.of(),
                List.of());
    }

    /**
     * What faults would show, the likeliest first; of two that sound the same one is a button.
     *
     * @param first the first finding that is a button of its own
     */
    private List<Answer> symptoms(Trial test, String field, List<Double> chances, int first) {
        List<Finding> findings = table.findings().get(table.indexOf(test));
        Map<String, Integer> by = new LinkedHashMap<>();
        IntStream.range(first, findings.size())
                .boxed()
                .sorted(Comparator.comparingDouble((Integer k) -> -chances.get(k)))
                .filter(k -> chances.get(k) >= SAID)
                .limit(MOST_ANSWERS)
                .forEach(k -> by.merge(words.of(findings.get(k)), k, (a, b) -> a));
        return by.entrySet().stream()
                .map(e ->
                        new Answer(field, Search.text((Finding.Symptom) findings.get(e.getValue())), e.getKey(), false))
                .toList();
    }

    private Ask reading(Trial.Measured m, List<Double> chances) {
        String field = key(Search.entry(m));
        List<Finding> findings = table.findings().get(table.indexOf(m));
        List<Answer> answers = IntStream.range(0, findings.size())
                .boxed()
                .filter(k -> chances.get(k) >= SAID)
                .sorted(Comparator.comparingDouble(k -> k == 0 ? -1 : low(findings.get(k))))
                .map(k -> new Answer(field, typed(findings.get(k)), words.of(findings.get(k)), k == 0))
                .toList();
        return new Ask(
                Say.it("find.measure", m.words()),
                Say.it("find.measure.how." + m.meter(), state(m)),
                Say.it("find.measure.why", words.of(findings.get(0))),
                answers,
                field,
                Say.it("find.example." + m.meter()),
                Map.of(),
                List.of());
    }

    /** In which state of the car it is read. */
    static String state(Trial.Measured m) {
        return Say.it(m instanceof Trial.OfReading r ? "find.state." + r.in() : "find.state." + m.meter());
    }

    private static double low(Finding finding) {
        return finding instanceof Finding.Between b ? b.low() : 0;
    }

    /** The middle of a band stands for it. */
    private static String typed(Finding finding) {
        if (finding instanceof Finding.Between b)
            return "%.3f %s".formatted((b.low() + b.high()) / 2, Say.it("find.unit." + b.meter()));
        Meter meter = ((Finding.Nothing) finding).meter();
        return meter == Meter.OHMS ? Say.it("find.open") : "0 " + Say.it("find.unit." + meter);
    }

    private Ask meter(double belief) {
        return new Ask(
                Say.it("find.prove.meter"),
                Say.it("find.prove.meter.how"),
                Say.it("find.prove.meter.why", Words.percent(belief)),
                List.of(new Answer(key(new Entry.MeterProved()), "done", Say.it("find.meter.good"), true)),
                "",
                "",
                Map.of(),
                List.of(new Deed("meter", Map.of(), Say.it("find.meter.bad"))));
    }

    private Ask look(RepairPoint place, double belief) {
        Entry.PlaceLooked looked = new Entry.PlaceLooked(place.name());
        return new Ask(
                Say.it("find.look", place.words()),
                Say.it("find.look." + place.kind()),
                Say.it("find.look.why", Words.percent(belief), Words.minutes(place.cost())),
                List.of(new Answer(
                        key(looked),
                        JobCodec.text(looked, search.nothingAt(place)),
                        Say.it("find.nothing.there"),
                        false)),
                "",
                "",
                Map.of(),
                deeds(place));
    }

    /** What is there to be mended, the likeliest first: what it was is what the rates learn from. */
    private List<Deed> deeds(RepairPoint place) {
        List<FaultKind> kinds = table.faults().stream()
                .filter(f -> f.place().equals(place))
                .map(Fault::kind)
                .distinct()
                .limit(MOST_KINDS)
                .toList();
        List<Deed> deeds = new ArrayList<>();
        for (FaultKind k : kinds)
            deeds.add(new Deed(
                    "mended",
                    Map.of("place", place.name(), "kind", k.label()),
                    Say.it("find.mended.as", Say.it("fault." + k))));
        deeds.add(new Deed("mended", Map.of("place", place.name()), Say.it("find.mended.other")));
        return deeds;
    }
}
