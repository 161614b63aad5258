package velvetbezel.cases;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.BiFunction;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import velvetbezel.harness.CapReferee;
import velvetbezel.harness.Installation;

/** Ten whole jobs, each with two traps: every line of their expected conclusions, counted by the program. */
class CasesTest {
    /** Lines that the program cannot conclude yet, each with what it waits for. */
    private static final Map<String, String> NOT_YET =
            Map.of("N7 outcome of pocket", "what a dash kit gives beside holding the radio is said by the fit");

    /** Parts of a case that are words, or that wait for the stations that come. */
    private static final List<String> LATER =
            List.of("fit", "order", "wrong_order", "tests", "diagnosis", "choices", "settings", "notes");

    private static List<CaseLines.Line> all(BiFunction<String, Integer, CaseFile> file) {
        List<CaseLines.Line> lines = new ArrayList<>();
        for (String id : CaseFile.IDS)
            for (int trap = 0; trap < 3; trap++) lines.addAll(CaseLines.of(file.apply(id, trap)));
        return lines;
    }

    @Test
    void everyLineOfTheTenJobsComesOutAsDerivedOnPaper() {
        List<CaseLines.Line> lines = all(CaseFile::of);
        List<CaseLines.Line> right =
                lines.stream().filter(CaseLines.Line::right).toList();
        List<CaseLines.Line> wrong = lines.stream()
                .filter(l -> !l.right() && !NOT_YET.containsKey(l.key()))
                .toList();
        Map<String, Integer> later = later();
        System.out.printf(
                "cases: %d lines right, %d wrong, not yet %d and %s%n",
                right.size(), wrong.size(), lines.size() - right.size() - wrong.size(), later);
        wrong.forEach(System.out::println);
        assertEquals(List.of(), wrong);
        assertEquals(
                List.of(),
                right.stream().filter(l -> NOT_YET.containsKey(l.key())).toList(),
                "right now: take them off the list");
    }

    /** Typed from the paper in lines and answers, the same jobs come to the same conclusions. */
    @Test
    void shortSheetsConcludeWhatLongOnesDo() {
        assertEquals(all(CaseFile::of), all(CaseFile::typed));
    }

    @Test
    void everyReasonOfACapIsTrueOfTheTenJobsAndTheirTraps() {
        for (String id : CaseFile.IDS)
            for (int trap = 0; trap < 3; trap++) {
                Installation job = CaseFile.of(id, trap).built();
                CapReferee referee = new CapReferee(job);
                assertEquals(
                        List.of(),
                        job.caps().stream().filter(c -> !referee.holds(c)).toList(),
                        id + " " + trap);
            }
    }

    /** Lines of a case that nothing here compares, by what they are about. */
    private static Map<String, Integer> later() {
        Map<String, Integer> later = new TreeMap<>();
        for (String id : CaseFile.IDS) {
            JsonNode expected = CaseFile.of(id, 0).expected();
            for (String about : LATER) later.merge(about, lines(expected.get(about)), Integer::sum);
        }
        return later;
    }

    private static int lines(JsonNode node) {
        return node.isArray() ? node.size() : 1;
    }
}
