package velvetbezel.web.prove;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.diagnose.Diagnosis;
import velvetbezel.diagnose.Finding;
import velvetbezel.diagnose.Observation;
import velvetbezel.diagnose.SymptomTable;
import velvetbezel.diagnose.Trial;
import velvetbezel.function.FunctionId;
import velvetbezel.job.Change;
import velvetbezel.job.Entry;
import velvetbezel.prove.Baseline;
import velvetbezel.prove.Result;
import velvetbezel.web.job.OpenJob;

/** What a job's answers and readings say against its kit's table. */
record Search(OpenJob open, SymptomTable table) {
    /** A symptom that no fault here would give. */
    static final String SOMETHING_ELSE = "something else";

    /** Checks that are not right, and of which nobody said in which way. */
    List<OpenJob.Tried> unsaid() {
        return wrong().stream()
                .filter(t -> !open.has(
                                new Entry.SymptomSeen(t.check().function().id()))
                        && table.indexOf(new Trial.OfCheck(t.check().function().id())) >= 0)
                .toList();
    }

    /** Not right now, and not so before anything was touched. */
    List<OpenJob.Tried> wrong() {
        return open.tried().stream()
                .filter(t -> t.result() == Result.NOT_RIGHT && t.before() != Baseline.FAULTY)
                .toList();
    }

    List<Observation> seen() {
        List<Observation> seen = new ArrayList<>();
        for (OpenJob.Tried t : open.tried()) {
            Trial test = new Trial.OfCheck(t.check().function().id());
            if (table.indexOf(test) < 0) continue;
            if (t.result() == Result.RIGHT) seen.add(new Observation.OfTest(test, 0));
            if (t.result() == Result.COULD_NOT_TEST) seen.add(new Observation.CouldNot(test));
        }
        wrong().forEach(t -> seen.add(new Observation.OfTest(
                new Trial.OfCheck(t.check().function().id()),
                finding(t.check().function().id()))));
        for (Trial test : table.tests())
            if (test instanceof Trial.OfReading r)
                open.state()
                        .get(new Entry.ProbeRead(r.at(), r.in()))
                        .ifPresent(v -> seen.add(new Observation.OfTest(r, table.findingOf(r, v))));
        open.state().all(Entry.PlaceLooked.class).forEach(e -> table.place(e.place())
                .ifPresent(p -> seen.add(new Observation.OfLook(p, false))));
        return seen;
    }

    private int finding(FunctionId function) {
        Optional<String> said = open.state().get(new Entry.SymptomSeen(function));
        if (said.isEmpty()) return Observation.NOT_RIGHT;
        int i = table.indexOf(new Trial.OfCheck(function));
        List<Finding> findings = i < 0 ? List.of() : table.findings().get(i);
        for (int k = 0; k < findings.size(); k++)
            if (((Finding.Symptom) findings.get(k)).key().equals(said.get())) return k;
        return Observation.NONE_OF_THEM;
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
     */
    List<Change<?>> mended(String place) {
        List<Change<?>> changes = new ArrayList<>();
        changes.add(Change.set(new Entry.PlaceLooked(place), Entry.Look.MENDED));
        List<FunctionId> again = new ArrayList<>();
        wrong().forEach(t -> again.add(t.check().function().id()));
        for (Trial test : table.touchedFrom(place)) {
            if (test instanceof Trial.OfCheck c) again.add(c.function());
            else if (test instanceof Trial.OfReading r) gone(changes, new Entry.ProbeRead(r.at(), r.in()));
        }
        again.stream().distinct().forEach(f -> {
            gone(changes, new Entry.ResultGiven(f));
            gone(changes, new Entry.SymptomSeen(f));
        });
        return changes;
    }

    private void gone(List<Change<?>> changes, Entry<?> entry) {
        if (open.has(entry)) changes.add(Change.gone(entry));
    }
}
