package velvetbezel.web.job;

import org.springframework.stereotype.Service;
import velvetbezel.match.Matched;
import velvetbezel.match.Matcher;
import velvetbezel.store.Library;

/** The kits for a job's car, worked out once for each state of its sheets. */
@Service
class Matching {
    private static final int KEPT = 20;
    private final Library library;
    private final Recent<String, Matched> recent = new Recent<>(KEPT);

    Matching(Library library) { this.library = library; }

    Matched kits(OpenJob open) {
        String key = library.revision() + open.job().fields().entrySet().stream().filter(f -> f.getKey().equals(Fields.VEHICLE) || f.getKey().startsWith("settled/")).sorted(java.util.Map.Entry.comparingByKey()).toList();
        return recent.get(key, () -> Matcher.match(open.vehicle().orElseThrow(), library.radios(), library.parts(), open.catalogue()));
    }
}
