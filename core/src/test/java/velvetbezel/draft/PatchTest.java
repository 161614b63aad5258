package velvetbezel.draft;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetbezel.Demo;

/** Differences of trees: JSON merge patches (RFC 7396), with lists of named entries. */
class PatchTest {
    /** Test cases of RFC 7396, appendix A, that hold objects. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            {"a":"b"}                 | {"a":"c"}             | {"a":"c"}
            {"a":"b"}                 | {"b":"c"}             | {"a":"b","b":"c"}
            {"a":"b"}                 | {"a":null}            | {}
            {"a":"b","b":"c"}         | {"a":null}            | {"b":"c"}
            {"a":["b"]}               | {"a":"c"}             | {"a":"c"}
            {"a":"c"}                 | {"a":["b"]}           | {"a":["b"]}
            {"a":{"b":"c"}}           | {"a":{"b":"d","c":null}} | {"a":{"b":"d"}}
            {"e":null}                | {"a":1}               | {"e":null,"a":1}
            {}                        | {"a":{"bb":{}}}       | {"a":{"bb":{}}}
            """)
    void objectIsPatchedAsTheStandardSays(String tree, String patch, String result) {
        assertEquals(Demo.parse(result), Patch.apply(Demo.parse(tree), Demo.parse(patch)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            [{"id":"a","x":1},{"id":"b"}] | [{"id":"a","x":2}]        | [{"id":"a","x":2},{"id":"b"}]
            [{"id":"a"},{"id":"b"}]       | [{"id":"a","gone":true}]  | [{"id":"b"}]
            [{"id":"a"}]                  | [{"id":"c","y":3}]        | [{"id":"a"},{"id":"c","y":3}]
            [{"from":"p","to":"q","metres":1}] | [{"from":"p","to":"q","metres":2}] | [{"from":"p","to":"q","metres":2}]
            """)
    void listOfNamedEntriesIsPatchedEntryByEntry(String tree, String patch, String result) {
        assertEquals(Demo.parse(result), Patch.apply(Demo.parse(tree), Demo.parse(patch)));
    }

    /** What lies between two trees, put on the first, gives the second. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
    void differencePutOnTheFirstGivesTheSecond(int seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 200; i++) {
            Object a = any(random, 3);
            Object b = any(random, 3);
            Object again = Patch.between(a, b).map(p -> Patch.apply(a, p)).orElse(a);
            assertTrue(Patch.same(b, again), () -> a + " to " + b);
            assertEquals(Optional.empty(), Patch.between(b, again));
        }
    }

    private static Object any(Random random, int depth) {
        int kind = random.nextInt(depth == 0 ? 2 : 5);
        if (kind == 0) return random.nextInt(3);
        if (kind == 1) return "text " + random.nextInt(3);
        if (kind == 2) return named(random, depth);
        Map<String, Object> map = new LinkedHashMap<>();
        for (int n = 1 + random.nextInt(3); n > 0; n--) map.put("field " + random.nextInt(4), any(random, depth - 1));
        return map;
    }

    private static Object named(Random random, int depth) {
        List<Object> list = new ArrayList<>();
        for (int n = 1; n <= 1 + random.nextInt(3); n++) {
            Map<String, Object> entry = new LinkedHashMap<>();
            entry.put("id", "entry " + (n + random.nextInt(2) * 3));
            entry.put("value", any(random, depth - 1));
            list.add(entry);
        }
        return list;
    }
}
