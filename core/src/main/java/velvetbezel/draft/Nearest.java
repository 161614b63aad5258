package velvetbezel.draft;

import java.util.Collection;
import java.util.Comparator;
import java.util.Locale;
import java.util.stream.Collectors;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** Words that a misspelt one may have meant. */
public final class Nearest {
    private static final int MOST = 3;

    private Nearest() {}

    /** The nearest of some words by edit distance, three at the most. */
    public static String to(String word, Collection<String> words) {
        LevenshteinDistance distance = LevenshteinDistance.getDefaultInstance();
        String typed = word.toLowerCase(Locale.ROOT);
        return words.stream()
                .distinct()
                .sorted(Comparator.comparingInt((String s) -> distance.apply(s.toLowerCase(Locale.ROOT), typed))
                        .thenComparing(s -> s))
                .limit(MOST)
                .collect(Collectors.joining(", "));
    }
}
