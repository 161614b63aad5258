package velvetbezel.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** The table "to change … open …" names files that are there and hold what they are named for. */
class ToChangeTest {
    private static final Path ROOT = Path.of("..");
    private static final Pattern ROW = Pattern.compile("(?m)^\\| ([^|]+) \\| `([^`]+)` \\| `([^`]+)` \\|$");
    private static final int LEAST = 20;

    @Test
    void everyFileOfTheTableHoldsWhatItIsNamedFor() throws IOException {
        List<MatchResult> rows = ROW.matcher(Files.readString(ROOT.resolve("docs/ARCHITECTURE.md")))
                .results()
                .toList();
        List<String> wrong = new ArrayList<>();
        for (MatchResult row : rows) {
            Path file = ROOT.resolve(row.group(2));
            if (!Files.exists(file)) wrong.add(row.group(1) + ": there is no " + row.group(2));
            else if (!Files.readString(file).contains(row.group(3)))
                wrong.add("%s: %s holds no \"%s\"".formatted(row.group(1), row.group(2), row.group(3)));
        }
        assertEquals(List.of(), wrong);
        assertTrue(rows.size() >= LEAST, "only " + rows.size());
    }

    /** Every type that the page names exists: a name left over from before misleads. */
    @Test
    void typesThatThePageNamesExist() throws IOException {
        String page = Files.readString(ROOT.resolve("docs/ARCHITECTURE.md"));
        Set<String> named = Pattern.compile("`(?:\\w+\\.)?([A-Z][A-Za-z0-9]*[a-z][A-Za-z0-9]*)(?:\\.\\w+)*`")
                .matcher(page)
                .results()
                .map(m -> m.group(1))
                .collect(Collectors.toCollection(TreeSet::new));
        try (var files = Files.walk(ROOT)) {
            for (Path f :
                    files.filter(f -> f.toString().matches(".*/src/.*\\.java")).toList())
                Pattern.compile("(?:class|record|interface|enum) (\\w+)")
                        .matcher(Files.readString(f))
                        .results()
                        .forEach(m -> named.remove(m.group(1)));
        }
        assertEquals(Set.of(), named);
    }
}
