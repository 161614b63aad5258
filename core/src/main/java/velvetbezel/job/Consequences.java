package velvetbezel.job;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import velvetbezel.function.FunctionId;
import velvetbezel.harness.TerminalId;
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
        return List.copyOf(c.changes.values());
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
    }

    private void falls(Entry<?> entry) {
        if (before.has(entry)) put(Change.gone(entry));
    }

    private void put(Change<?> change) {
        changes.put(change.entry(), change);
    }
}
