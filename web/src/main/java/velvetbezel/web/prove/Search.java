package velvetbezel.web.prove;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import velvetbezel.diagnose.Diagnosis;
import velvetbezel.diagnose.FaultKind;
import velvetbezel.diagnose.Finding;
import velvetbezel.diagnose.Observation;
import velvetbezel.diagnose.RepairPoint;
import velvetbezel.diagnose.SymptomTable;
import velvetbezel.diagnose.Trial;
import velvetbezel.function.FunctionId;
import velvetbezel.job.Change;
import velvetbezel.job.Consequences;
import velvetbezel.job.Entry;
import velvetbezel.job.JobState;
import velvetbezel.prove.Baseline;
import velvetbezel.prove.Meter;
import velvetbezel.prove.MeterReading;
import velvetbezel.prove.Result;
import velvetbezel.web.job.OpenJob;

/**
 * What a job's answers and readings say against its kit's table.
 *
 * @param state what the job says
 */
record Search(OpenJob open, SymptomTable table, JobState state) {
    Search(OpenJob open, SymptomTable table) {
        this(open, table, open.state());
    }

    /** The same once something more was said. */
    Search after(List<Change<?>> said) {
        JobState then = state.with(said);
        return new Search(open, table, then.with(Consequences.ofSymptom(state, said)));
    }

    /** A symptom that no fault here would give. */
    static final String SOMETHING_ELSE = "something else";
    /** All is as it should be, although two things are exchanged. */
    private static final String RIGHT = "right";
    /** It is wrong at times only. */
    static final String SOMETIMES = "sometimes";

    /** A check that is not right, and of which nobody said in which way. */
    Optional<OpenJob.Tried> unsaid() {
        return wrong().stream()
                .filter(t -> !state.has(
                                new Entry.SymptomSeen(t.check().function().id()))
                        && table.indexOf(new Trial.OfCheck(t.check().function().id())) >= 0)
                .findFirst();
    }

    /** Not right now, and not so before anything was touched. */
    List<OpenJob.Tried> wrong() {
        return open.tried().stream()
                .filter(t -> result(t) == Result.NOT_RIGHT && t.before() != Baseline.FAULTY)
                .toList();
    }

    private Result result(OpenJob.Tried t) {
        return state.get(new Entry.ResultGiven(t.check().function().id())).orElse(Result.OPEN);
    }

    List<Observation> seen() {
        List<Observation> seen = new ArrayList<>();
        for (OpenJob.Tried t : open.tried()) {
            Trial test = new Trial.OfCheck(t.check().function().id());
            if (table.indexOf(test) < 0) continue;
            if (result(t) == Result.RIGHT) seen.add(new Observation.OfTest(test, 0));
            if (result(t) == Result.COULD_NOT_TEST) seen.add(new Observation.CouldNot(test));
        }
        wrong().forEach(t -> seen.add(new Observation.OfTest(
                new Trial.OfCheck(t.check().function().id()),
                finding(t.check().function().id()))));
        measured().forEach((m, reading) -> {
            if (reading.possible()) seen.add(new Observation.OfTest(m, table.findingOf(m, reading.shown())));
        });
        for (Trial test : table.tests())
            if (test instanceof Trial.OfSwap s)
                state.get(entry(s)).ifPresent(said -> seen.add(new Observation.OfTest(s, finding(s, said))));
        if (state.has(new Entry.MeterProved())) seen.add(new Observation.MeterProved());
        for (Entry.PlaceLooked e : state.all(Entry.PlaceLooked.class))
            table.place(e.place()).ifPresent(p -> {
                seen.add(new Observation.OfLook(p, false));
                if (state.says(e, Entry.Look.NOTHING_WRONG_TWICE)) seen.add(new Observation.OfLook(p, false));
            });
        return seen;
    }

    /** What was read so far, what cannot be read in a car included. */
    Map<Trial.Measured, MeterReading> measured() {
        Map<Trial.Measured, MeterReading> read = new LinkedHashMap<>();
        for (Trial test : table.tests())
            if (test instanceof Trial.Measured m) reading(m).ifPresent(v -> read.put(m, v));
        return read;
    }

    private Optional<MeterReading> reading(Trial.Measured m) {
        if (m instanceof Trial.OfReading r)
            return state.get(new Entry.ProbeRead(r.at(), r.in()))
                    .map(v -> new MeterReading(Meter.VOLTS, OptionalDouble.of(v.value())));
        if (m instanceof Trial.OfOhms o) return state.get(new Entry.OhmsRead(o.from(), o.to()));
        return state.get(new Entry.StandbyRead());
    }

    /** What is said of a place where nothing wrong was seen, the first time and again. */
    Entry.Look nothingAt(RepairPoint place) {
        return state.has(new Entry.PlaceLooked(place.name()))
                ? Entry.Look.NOTHING_WRONG_TWICE
                : Entry.Look.NOTHING_WRONG;
    }

    /** Where a job keeps what was read. */
    static Entry<?> entry(Trial.Measured m) {
        if (m instanceof Trial.OfReading r) return new Entry.ProbeRead(r.at(), r.in());
        return m instanceof Trial.OfOhms o ? new Entry.OhmsRead(o.from(), o.to()) : new Entry.StandbyRead();
    }

    private int finding(FunctionId function) {
        Optional<String> said = state.get(new Entry.SymptomSeen(function));
        if (said.isEmpty()) return Observation.NOT_RIGHT;
        if (said.get().equals(SOMETIMES)) return Observation.SOMETIMES;
        return finding(new Trial.OfCheck(function), said.get());
    }

    private int finding(Trial test, String said) {
        int i = table.indexOf(test);
        List<Finding> findings = i < 0 ? List.of() : table.findings().get(i);
        for (int k = 0; k < findings.size(); k++)
            if (text((Finding.Symptom) findings.get(k)).equals(said)) return k;
        return Observation.NONE_OF_THEM;
    }

    /** As a job keeps it; a job keeps no empty text. */
    static String text(Finding.Symptom symptom) {
        return symptom.right() ? RIGHT : symptom.key();
    }

    static Entry.SwapSeen entry(Trial.OfSwap swap) {
        return new Entry.SwapSeen(swap.again(), swap.words());
    }

    private Map<FunctionId, Baseline> baseline() {
        Map<FunctionId, Baseline> baseline = new HashMap<>();
        open.tried().forEach(t -> baseline.put(t.check().function().id(), t.before()));
        return baseline;
    }

    Diagnosis diagnosis() {
        return Diagnosis.of(table, seen(), baseline());
    }

    List<Double> chances(Trial test) {
        return Diagnosis.chances(table, test, seen(), baseline());
    }

    /**
     * What was mended at a place is tried again: every check that a fault there could change and every one that was not
     * right is open again, and what was measured there counts no more.
     *
     * @param kind what was wrong there; empty where it is in no list
     */
    List<Change<?>> mended(String place, Optional<FaultKind> kind) {
        List<Change<?>> changes = new ArrayList<>();
        changes.add(Change.set(new Entry.PlaceLooked(place), Entry.Look.MENDED));
        kind.ifPresent(k -> changes.add(Change.set(new Entry.FaultMended(place), k)));
        List<FunctionId> again = new ArrayList<>();
        for (Trial test : table.touchedFrom(place)) {
            if (test instanceof Trial.OfCheck c) again.add(c.function());
            else if (test instanceof Trial.Measured m) gone(changes, entry(m));
            else if (test instanceof Trial.OfSwap s) gone(changes, entry(s));
        }
        again(changes, again);
        return changes;
    }

    /** Something that no list has was mended: whatever was not right is tried again. */
    List<Change<?>> otherMended(String words) {
        List<Change<?>> changes = new ArrayList<>();
        changes.add(Change.set(new Entry.OtherFaultMended(), words));
        again(changes, List.of());
        return changes;
    }

    /** The meter showed nothing whatever was there: what it showed as nothing was never read. */
    List<Change<?>> meterMended() {
        List<Change<?>> changes = new ArrayList<>();
        measured().forEach((m, reading) -> {
            if (new Finding.Nothing(m.meter()).holds(reading.shown())) gone(changes, entry(m));
        });
        changes.add(Change.set(new Entry.MeterProved(), Entry.Done.DONE));
        return changes;
    }

    private void again(List<Change<?>> changes, List<FunctionId> touched) {
        Stream.concat(wrong().stream().map(t -> t.check().function().id()), touched.stream())
                .distinct()
                .forEach(f -> {
                    gone(changes, new Entry.ResultGiven(f));
                    gone(changes, new Entry.SymptomSeen(f));
                });
    }

    private void gone(List<Change<?>> changes, Entry<?> entry) {
        if (state.has(entry)) changes.add(Change.gone(entry));
    }
}
