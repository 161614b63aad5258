package velvetbezel.store;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.jooq.Condition;
import org.jooq.Field;
import org.jooq.impl.DSL;

/** Words that people search by, in a column that holds a blank before each word. */
final class SearchWords {
    /** The index knows three letters at a time: a shorter word is looked for with the blank before it. */
    private static final int SHORT = 3;

    private SearchWords() {}

    /** All words occur, in any order; one of fewer than three letters at the start of a word. */
    static Condition all(Field<String> column, String text) {
        Condition all = DSL.noCondition();
        for (String word : words(text)) all = all.and(column.like("%" + literal(word) + "%"));
        return all;
    }

    /** What such a column holds. */
    static String column(List<String> words) {
        return " " + String.join(" ", words).toLowerCase(Locale.ROOT);
    }

    private static String literal(String word) {
        return (word.length() < SHORT ? " " + word : word)
                .replace("\\", "\\\\")
                .replace("%", "\\%")
                .replace("_", "\\_");
    }

    private static List<String> words(String text) {
        return Arrays.stream(text.toLowerCase(Locale.ROOT).strip().split("\\s+"))
                .filter(w -> !w.isEmpty())
                .toList();
    }
}
