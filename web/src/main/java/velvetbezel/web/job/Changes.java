package velvetbezel.web.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import velvetbezel.function.Catalogue;
import velvetbezel.sheet.Fault;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.store.Job;
import velvetbezel.store.Jobs;
import velvetbezel.worksheet.JointRow;
import velvetbezel.worksheet.Rework;

/** Takes in what a person changed at a job: checked as a whole, then written and logged as one change. */
@Service
class Changes {
    private final Desk desk;
    private final Jobs jobs;
    private final WarmUp warmUp;

    Changes(Desk desk, Jobs jobs, WarmUp warmUp) {
        this.desk = desk;
        this.jobs = jobs;
        this.warmUp = warmUp;
    }

    /**
     * @param seen  the job's seq when the page was loaded
     * @param typed field to what was typed; an empty text takes the field away
     * @throws InvalidInput with every fault; nothing is written then
     * @throws velvetbezel.store.StaleEdit if somebody else changed one of the fields since
     */
    void change(int number, String who, long seen, Map<String, String> typed) {
        OpenJob before = desk.open(number);
        Map<String, Optional<String>> changes = accepted(typed, before.catalogue());
        OpenJob after = changes.keySet().stream().anyMatch(Fields::rewires) ? after(before, changes) : before;
        String what = new Phrases(after).changes(changes);
        if (after != before) changes.putAll(outdated(before, after));
        jobs.change(before.job().id(), who, what, seen, changes);
        if (after != before) warmUp.soon(number);
    }

    private static Map<String, Optional<String>> accepted(Map<String, String> typed, Catalogue catalogue) {
        Map<String, Optional<String>> accepted = new LinkedHashMap<>();
        List<Fault> faults = new ArrayList<>();
        typed.forEach((field, value) -> {
            try {
                accepted.put(field, Fields.accept(field, value));
                Fields.function(field)
                        .filter(f -> catalogue.find(f).isEmpty())
                        .ifPresent(f -> faults.add(new Fault(
                                field,
                                "\"%s\" is no function of the catalogue; it has %s."
                                        .formatted(
                                                f,
                                                String.join(
                                                        ", ",
                                                        catalogue.functions().stream()
                                                                .map(k -> k.id().text())
                                                                .toList())))));
            } catch (InvalidInput e) {
                faults.addAll(e.faults());
            }
        });
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        return accepted;
    }

    /** The job as it would be; what cannot be built is refused at the field that was changed. */
    private OpenJob after(OpenJob before, Map<String, Optional<String>> changes) {
        Map<String, String> fields = new LinkedHashMap<>(before.job().fields());
        changes.forEach((field, value) -> value.ifPresentOrElse(v -> fields.put(field, v), () -> fields.remove(field)));
        Job job = before.job();
        OpenJob after = desk.open(new Job(job.id(), job.number(), job.title(), job.seq(), fields));
        if (!after.trouble().isEmpty()) {
            String field = changes.keySet().stream()
                    .filter(Fields::rewires)
                    .findFirst()
                    .orElseThrow();
            throw new InvalidInput(
                    after.trouble().stream().map(t -> new Fault(field, t)).toList());
        }
        return after;
    }

    /**
     * Work that another kit or another fact undoes: joints whose leads are others now, to be taken apart, their
     * readings, caps
     * of leads that are gone, and every result of the final test. The log keeps it, and undo brings it back.
     */
    private static Map<String, Optional<String>> outdated(OpenJob before, OpenJob after) {
        Map<String, Optional<String>> gone = new LinkedHashMap<>();
        for (JointRow row : Rework.between(before.joints(), after.joints()).undo()) {
            if (before.done(Fields.joint(row.id()))) gone.put(Fields.undo(row.id()), Optional.of(Rework.words(row)));
            take(before, gone, Fields.joint(row.id()));
            take(before, gone, Fields.readBack(row.id()));
            row.readings().forEach(r -> take(before, gone, Fields.reading(r)));
        }
        for (JointRow row : after.joints())
            stillThere(before, row).ifPresent(f -> {
                gone.put(f, Optional.empty());
                gone.put(Fields.joint(row.id()), Optional.of(Fields.DONE));
            });
        before.design().ifPresent(d -> d.worksheet().caps().stream()
                .map(c -> Fields.cap(c.lead().id()))
                .filter(f -> after.design().stream()
                        .flatMap(a -> a.worksheet().caps().stream())
                        .noneMatch(c -> Fields.cap(c.lead().id()).equals(f)))
                .forEach(f -> take(before, gone, f)));
        if (!before.design().map(Changes::wiring).equals(after.design().map(Changes::wiring)))
            before.job().fields().keySet().stream()
                    .filter(f -> f.startsWith("result"))
                    .forEach(f -> take(before, gone, f));
        return gone;
    }

    /** What a final test rests on: the devices and their conductors. A colour is not among it. */
    private static List<Object> wiring(Design d) {
        return List.of(
                d.installation().instances().stream()
                        .map(i -> i.id() + "/" + i.sheet())
                        .toList(),
                d.installation().settings(),
                d.installation().conductors());
    }

    /** A joint that an earlier kit had, that was to be undone and is not yet: with that kit chosen again it stands. */
    private static Optional<String> stillThere(OpenJob before, JointRow row) {
        return Optional.of(Fields.undo(row.id()))
                .filter(f ->
                        before.job().field(f).filter(Rework.words(row)::equals).isPresent());
    }

    private static void take(OpenJob before, Map<String, Optional<String>> gone, String field) {
        if (before.done(field)) gone.put(field, Optional.empty());
    }
}
