package velvetbezel.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.controls.Decision;
import velvetbezel.function.FunctionId;
import velvetbezel.harness.TerminalId;
import velvetbezel.prove.Result;
import velvetbezel.sheet.HowSet;
import velvetbezel.sheet.Sheet;
import velvetbezel.worksheet.JointRow;
import velvetbezel.worksheet.Reading;
import velvetbezel.worksheet.Rework;

/**
 * What another kit, a moved lead or a settled fact does to work already done: which ticks, readings and results fall,
 * and which joints have to come apart. What is not named stands.
 */
public final class Consequences {
    private final JobState before;
    private final Optional<Design> was;
    private final Optional<Design> is;
    private final Map<Entry<?>, Change<?>> changes = new LinkedHashMap<>();

    private Consequences(JobState before, Optional<Design> was, Optional<Design> is) {
        this.before = before;
        this.was = was;
        this.is = is;
    }

    /**
     * @param was what was built from the job before the change
     * @param is  what is built from it afterwards
     */
    public static List<Change<?>> of(JobState before, Optional<Design> was, Optional<Design> is) {
        Consequences c = new Consequences(before, was, is);
        c.joints();
        c.caps();
        c.results();
        c.stand();
        c.settings();
        return List.copyOf(c.changes.values());
    }

    /**
     * What is set anew is out of date no more; a device that reads a setting when power comes has to be given power anew,
     * so power for the first time is still to come.
     *
     * @param made what a person changed
     */
    public static List<Change<?>> ofSetting(JobState before, Optional<Design> design, List<? extends Change<?>> made) {
        List<Change<?>> more = new ArrayList<>();
        for (Change<?> c : made) {
            if (!(c.entry() instanceof Entry.SettingMade m) || c.value().isEmpty()) continue;
            Entry.SettingRevoked revoked = new Entry.SettingRevoked(m.setting());
            if (before.has(revoked)) more.add(Change.gone(revoked));
            boolean atPower = design.flatMap(d -> d.setUp().of(m.setting()))
                    .filter(d -> d.when() == HowSet.Moment.BEFORE_POWER)
                    .isPresent();
            if (atPower && before.has(new Entry.FirstPower())) more.add(Change.gone(new Entry.FirstPower()));
        }
        return more;
    }

    /** What is perceived of a function says that it is not right, and holds as long as it is not. */
    public static List<Change<?>> ofSymptom(JobState before, List<? extends Change<?>> made) {
        List<Change<?>> more = new ArrayList<>();
        for (Change<?> c : made) {
            if (c.entry() instanceof Entry.SymptomSeen s && c.value().isPresent()) {
                Entry.ResultGiven result = new Entry.ResultGiven(s.function());
                if (!before.says(result, Result.NOT_RIGHT)) more.add(Change.set(result, Result.NOT_RIGHT));
            }
            if (c.entry() instanceof Entry.ResultGiven r && !c.value().equals(Optional.of(Result.NOT_RIGHT))) {
                Entry.SymptomSeen symptom = new Entry.SymptomSeen(r.function());
                if (before.has(symptom)) more.add(Change.gone(symptom));
            }
        }
        return more;
    }

    /** Joints whose leads are others now are to be taken apart; with the earlier kit chosen again they stand. */
    private void joints() {
        for (JointRow row : Rework.between(rows(was), rows(is)).undo()) {
            if (before.has(new Entry.JointMade(row.id())))
                put(Change.set(new Entry.JointToUndo(row.id()), Rework.words(row)));
            falls(new Entry.JointMade(row.id()));
            falls(new Entry.ReadBack(row.id()));
            for (Reading r : row.readings()) falls(new Entry.ReadingTaken(r.at(), r.state()));
        }
        for (JointRow row : rows(is))
            if (before.says(new Entry.JointToUndo(row.id()), Rework.words(row))) {
                put(Change.gone(new Entry.JointToUndo(row.id())));
                put(Change.set(new Entry.JointMade(row.id()), Entry.Done.DONE));
            }
    }

    private static List<JointRow> rows(Optional<Design> design) {
        return design.map(d -> d.worksheet().joints()).orElse(List.of());
    }

    private void caps() {
        Set<TerminalId> still = caps(is);
        caps(was).stream().filter(t -> !still.contains(t)).forEach(t -> falls(new Entry.CapMade(t)));
    }

    private static Set<TerminalId> caps(Optional<Design> design) {
        return design.stream()
                .flatMap(d -> d.worksheet().caps().stream())
                .map(c -> c.lead().id())
                .collect(Collectors.toSet());
    }

    /** Of another kit every result falls; of this one those that the change can touch. */
    private void results() {
        Predicate<FunctionId> touched = was.isPresent() && is.isPresent()
                ? new Touched(was.get(), is.get())::has
                : f -> was.isPresent() || is.isPresent();
        for (Entry.ResultGiven e : before.all(Entry.ResultGiven.class)) if (touched.test(e.function())) falls(e);
        for (Entry.ResultNoted e : before.all(Entry.ResultNoted.class)) if (touched.test(e.function())) falls(e);
        for (Entry.SymptomSeen e : before.all(Entry.SymptomSeen.class)) if (touched.test(e.function())) falls(e);
    }

    /** Another radio or kit stands otherwise: what was measured and done at the bench was of the earlier one. */
    private void stand() {
        if (holds(was).equals(holds(is))) return;
        before.all(Entry.FaceStands.class).forEach(this::falls);
        before.all(Entry.BenchStepDone.class).forEach(this::falls);
        falls(new Entry.HolesTaken());
    }

    /** What is set and is to be otherwise now is to be set anew; with the earlier value decided again it stands. */
    private void settings() {
        for (Decision old : decisions(was)) {
            Optional<Decision> now = is.flatMap(d -> d.setUp().of(old.id()));
            if (now.isEmpty()) {
                falls(new Entry.SettingMade(old.id()));
                falls(new Entry.SettingFound(old.id()));
                falls(new Entry.SettingRevoked(old.id()));
            } else if (!now.get().value().equals(old.value())) revoked(old, now.get());
        }
    }

    private static List<Decision> decisions(Optional<Design> design) {
        return design.map(d -> d.setUp().decisions()).orElse(List.of());
    }

    private void revoked(Decision old, Decision now) {
        Entry.SettingRevoked revoked = new Entry.SettingRevoked(old.id());
        if (now.value().isPresent() && before.says(revoked, now.value().get())) {
            put(Change.gone(revoked));
            put(Change.set(new Entry.SettingMade(old.id()), Entry.Evidence.SET));
        } else if (before.has(new Entry.SettingMade(old.id()))) {
            old.value().ifPresent(v -> put(Change.set(revoked, v)));
            falls(new Entry.SettingMade(old.id()));
        }
    }

    /** Ids of the radio and of what holds it. */
    private static Set<String> holds(Optional<Design> design) {
        return design.stream()
                .map(d -> d.installation().recipe())
                .flatMap(r -> Stream.concat(
                        r.radio().stream().map(Sheet::id),
                        r.parts().values().stream()
                                .filter(p -> p.holds().isPresent())
                                .map(Sheet::id)))
                .collect(Collectors.toSet());
    }

    private void falls(Entry<?> entry) {
        if (before.has(entry)) put(Change.gone(entry));
    }

    private void put(Change<?> change) {
        changes.put(change.entry(), change);
    }
}
