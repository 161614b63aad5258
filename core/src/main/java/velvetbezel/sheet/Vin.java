package velvetbezel.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Vehicle identification number: 17 characters, no I, O or Q. Check digit, weights and model-year codes:
 * 49 CFR 565.15 (from memory). The check digit binds for vehicles sold in North America only.
 */
public record Vin(String text) {
    private static final String LETTERS = "ABCDEFGHJKLMNPRSTUVWXYZ";
    private static final String VALUES = "12345678123457923456789";
    private static final int[] WEIGHTS = {8, 7, 6, 5, 4, 3, 2, 10, 0, 9, 8, 7, 6, 5, 4, 3, 2};
    private static final String YEAR_CODES = "ABCDEFGHJKLMNPRSTVWXY123456789";

    /** @throws InvalidInput naming the field "vin" if the text is not a VIN */
    public Vin {
        text = text.strip().toUpperCase(Locale.ROOT);
        List<InputProblem> faults = new ArrayList<>();
        if (text.length() != 17)
            faults.add(new InputProblem(
                    "vin",
                    "A VIN has 17 characters; \"%s\" has %d. Read it again at the windscreen or the door pillar."
                            .formatted(text, text.length())));
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (c == 'I' || c == 'O' || c == 'Q')
                faults.add(new InputProblem(
                        "vin",
                        "Character %d is %s, and a VIN has no I, O or Q. It is probably %s."
                                .formatted(i + 1, c, c == 'I' ? "1" : "0")));
            else if (!(c >= '0' && c <= '9') && LETTERS.indexOf(c) < 0)
                faults.add(new InputProblem(
                        "vin",
                        "Character %d is \"%s\"; a VIN has only digits and capital letters.".formatted(i + 1, c)));
        }
        if (!faults.isEmpty()) throw new InvalidInput(faults);
    }

    /** The check digit that the other sixteen characters ask for: 0 to 9 or X. */
    public char expectedCheckDigit() {
        int sum = 0;
        for (int i = 0; i < 17; i++) sum += WEIGHTS[i] * valueOf(text.charAt(i));
        return "0123456789X".charAt(sum % 11);
    }

    public boolean checkDigitRight() {
        return text.charAt(8) == expectedCheckDigit();
    }

    private static int valueOf(char c) {
        return Character.isDigit(c) ? c - '0' : VALUES.charAt(LETTERS.indexOf(c)) - '0';
    }

    /** A warning where the check digit is wrong; no proof against the VIN outside North America. */
    public Optional<String> warning() {
        return checkDigitRight()
                ? Optional.empty()
                : Optional.of(
                        "Check digit (position 9) is %s where %s is expected. It binds for vehicles sold in North America (49 CFR 565); elsewhere it proves nothing. Compare the VIN once more."
                                .formatted(text.charAt(8), expectedCheckDigit()));
    }

    /**
     * Model year by position 10, with the 30-year cycle settled by position 7: a digit there means 1980 to
     * 2009, a letter 2010 to 2039 (passenger cars and light trucks).
     *
     * @return empty where position 10 is no year code (U, Z, 0)
     */
    public Optional<Integer> modelYear() {
        int code = YEAR_CODES.indexOf(text.charAt(9));
        if (code < 0) return Optional.empty();
        return Optional.of((Character.isDigit(text.charAt(6)) ? 1980 : 2010) + code);
    }
}
