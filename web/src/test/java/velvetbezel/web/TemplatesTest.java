package velvetbezel.web;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Templates can be read, and name no field of a job by themselves. */
class TemplatesTest {
    private static final int WIDTH = 140;

    @Test
    void linesAreReadAtOnceAndFieldsHaveTheirNamesFromTheCode() throws IOException {
        List<String> wrong = new ArrayList<>();
        try (var files = Files.walk(Path.of("src/main/resources/templates"))) {
            for (Path f : files.filter(f -> f.toString().endsWith(".html")).toList()) {
                List<String> lines = Files.readAllLines(f);
                for (int i = 0; i < lines.size(); i++) {
                    if (lines.get(i).length() > WIDTH) wrong.add("%s:%d is wide".formatted(f, i + 1));
                    if (lines.get(i).matches(".*\"f:[^\"$|]+\".*"))
                        wrong.add("%s:%d names a field".formatted(f, i + 1));
                }
            }
        }
        assertEquals(List.of(), wrong);
    }
}
