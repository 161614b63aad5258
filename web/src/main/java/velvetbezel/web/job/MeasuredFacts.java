package velvetbezel.web.job;

import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import velvetbezel.job.Entry;
import velvetbezel.sheet.SheetTree;
import velvetbezel.store.Job;
import velvetbezel.store.Library;

/** Writes what was measured on a job's car into the vehicle's sheet, so that the next fitter of this model has it. */
@Service
class MeasuredFacts {
    private final Library library;

    MeasuredFacts(Library library) {
        this.library = library;
    }

    /**
     * Facts settled on this job's car that its sheet in the library does not have as measured.
     *
     * @return paths to values
     */
    static Map<String, String> facts(Job job) {
        return job.state()
                .get(new Entry.VehicleChosen())
                .map(v -> job.state().settled(v))
                .orElse(Map.of());
    }

    /**
     * @throws velvetbezel.sheet.InvalidInput if the vehicle's sheet is not in the library or would not be a good one
     */
    void offer(Job job, String who) {
        String vehicle = job.state().get(new Entry.VehicleChosen()).orElse("");
        Map<String, String> facts = facts(job);
        if (facts.isEmpty()) return;
        library.change(
                vehicle,
                who,
                "Measured on job %d: %s".formatted(job.number(), String.join(", ", List.copyOf(facts.keySet()))),
                library.revision(vehicle),
                tree -> {
                    Object changed = tree;
                    for (var fact : facts.entrySet())
                        changed = SheetTree.measured(
                                changed,
                                fact.getKey(),
                                JobOpener.value(fact.getKey(), fact.getValue()),
                                "job " + job.number());
                    return changed;
                });
    }
}
