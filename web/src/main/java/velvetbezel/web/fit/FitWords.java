package velvetbezel.web.fit;

import java.util.Locale;
import velvetbezel.fit.SmallSums;

/** Numbers and codes as the station says them. */
final class FitWords {
    private FitWords() {}

    /** Tenths only where they say something. */
    static String mm(double mm) {
        return SmallSums.tenths(mm);
    }

    static String code(Enum<?> e) {
        return e.name().toLowerCase(Locale.ROOT);
    }

    /** "site.bands[upper band].depth" as people say it. */
    static String what(String path) {
        return path.replaceFirst("^(site|body|frame)\\.", "")
                .replaceFirst("^(bands|obstructions|places|inserts)\\[([^\\]]+)]", "$2")
                .replaceFirst("\\.boxes\\[1]", "")
                .replaceFirst("\\.boxes\\[(\\d+)]", ", box $1")
                .replaceFirst("\\.([xyz])\\[1]$", ", where it begins in $1")
                .replaceFirst("\\.([xyz])\\[2]$", ", where it ends in $1")
                .replaceFirst("opening\\.w$", "width of the opening")
                .replaceFirst("opening\\.h$", "height of the opening")
                .replaceAll("[\\[\\].]+", " ")
                .strip();
    }
}
