package velvetbezel.units;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** Insulation colours, with their IEC 60757 codes and the short forms that people also write. */
public enum Colour {
    BLACK("BK", "BLK", "SCHWARZ"),
    BROWN("BN", "BRN", "BR"),
    TAN("TN"),
    BEIGE("BE", "BG"),
    RED("RD", "R"),
    ORANGE("OG", "ORG", "OR", "ORN"),
    YELLOW("YE", "YEL", "Y"),
    GREEN("GN", "GRN"),
    DARK_GREEN("DG", "DKGN"),
    BLUE("BU", "BLU"),
    DARK_BLUE("DB", "DKBU"),
    VIOLET("VT", "VIO", "PURPLE", "PUR", "LILAC"),
    GREY("GY", "GRAY", "GRY"),
    WHITE("WH", "WHT", "W"),
    PINK("PK", "PNK"),
    TURQUOISE("TQ", "TURQ"),
    LIGHT_GREEN("LG", "LTGN"),
    LIGHT_BLUE("LB", "LTBU"),
    GOLD("GD"),
    SILVER("SR"),
    CLEAR("CL", "TRANSPARENT"),
    /** No insulation: a shield or drain wire. Never the same as black. */
    BARE("BA", "UNINSULATED");

    private final String code;
    private final List<String> alsoWritten;

    Colour(String code, String... alsoWritten) {
        this.code = code;
        this.alsoWritten = List.of(alsoWritten);
    }

    /** IEC 60757 code; shades that the standard lacks carry codes of ours. */
    public String code() {
        return code;
    }

    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    private static final Map<String, Colour> BY_WORD = byWord();

    private static Map<String, Colour> byWord() {
        Map<String, Colour> all = new HashMap<>();
        for (Colour c : values())
            Stream.concat(Stream.of(c.name(), c.code), c.alsoWritten.stream()).forEach(w -> all.putIfAbsent(w, c));
        return Map.copyOf(all);
    }

    static Optional<Colour> find(String text) {
        return Optional.ofNullable(BY_WORD.get(
                text.strip().toUpperCase(Locale.ROOT).replace(' ', '_').replace('-', '_')));
    }
}
