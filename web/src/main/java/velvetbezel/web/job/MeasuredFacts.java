package velvetbezel.web.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
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

    /** With an opening to write measures into, where one was measured and the sheet has none yet. */
    static Object withOpening(Object tree, Set<String> paths) {
        boolean measured = paths.stream().anyMatch(p -> p.startsWith("site."));
        return measured && SheetTree.get(tree, "site").isEmpty()
                ? SheetTree.put(tree, "site", Optional.of(Map.of("opening", Map.of())))
                : tree;
    }

    /**
     * @throws velvetbezel.sheet.InvalidInput if the vehicle's sheet is not in the library or would not be a good one
     */
    void offer(OpenJob open, String who) {
        Job job = open.job();
        Optional<Map<String, Object>> fitting = fitting(open);
        String vehicle = job.state().get(new Entry.VehicleChosen()).orElse("");
        Map<String, String> facts = facts(job);
        if (facts.isEmpty() && fitting.isEmpty()) return;
        library.change(
                vehicle,
                who,
                "Measured on job %d: %s".formatted(job.number(), what(facts, fitting)),
                library.revision(vehicle),
                tree -> {
                    Object changed = withOpening(tree, facts.keySet());
                    for (var fact : facts.entrySet())
                        changed = SheetTree.measured(
                                changed,
                                fact.getKey(),
                                JobOpener.value(fact.getKey(), fact.getValue()),
                                "job " + job.number());
                    return fitting.isPresent() ? withFitting(changed, fitting.get()) : changed;
                });
    }

    private static String what(Map<String, String> facts, Optional<Map<String, Object>> fitting) {
        return Stream.concat(facts.keySet().stream(), fitting.stream().map(f -> "how the radio stands"))
                .collect(Collectors.joining(", "));
    }

    /** How the radio came to stand in its holes, as the vehicle's sheet keeps it; empty until it was measured. */
    static Optional<Map<String, Object>> fitting(OpenJob open) {
        OpenFit fit = open.fit();
        return fit.stands(open).filter(seen -> !fit.kit().isEmpty()).map(seen -> {
            Map<String, Object> fitting = new LinkedHashMap<>();
            fitting.put("kit", fit.kit());
            fitting.put("computed", fit.report().orElseThrow().computed());
            fitting.put("seen", seen);
            fitting.put("note", "job " + open.job().number());
            return fitting;
        });
    }

    /** The record of one job stands once, whatever was offered before. */
    private static Object withFitting(Object tree, Map<String, Object> fitting) {
        List<Object> all = new ArrayList<>();
        Object said = SheetTree.get(tree, "site.fittings").orElse(List.of());
        for (Object old : said instanceof List<?> list ? list : List.of())
            if (!(old instanceof Map<?, ?> map && fitting.get("note").equals(map.get("note")))) all.add(old);
        all.add(fitting);
        return SheetTree.put(tree, "site.fittings", Optional.of(all));
    }
}
