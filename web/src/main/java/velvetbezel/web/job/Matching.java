package velvetbezel.web.job;

import java.util.Map;
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

    /** A colour never changes what becomes of a function. */
    private static boolean decides(String field) { return field.equals(Fields.VEHICLE) || Fields.rebuilds(field) && !field.endsWith(".colour"); }

    Matched kits(OpenJob open) {
        String facts = open.job().fields().entrySet().stream().filter(f -> decides(f.getKey())).sorted(Map.Entry.comparingByKey()).toList().toString();
        return recent.get(library.revision() + facts, () -> Matcher.match(open.factory().orElseThrow(), open.vehicle().orElseThrow(), library.radios(), library.parts(), open.catalogue()));
    }
}
