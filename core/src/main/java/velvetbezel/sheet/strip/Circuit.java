package velvetbezel.sheet.strip;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** What kind of circuit a plug belongs to, as far as it decides how it may be moved. */
public enum Circuit {
    PLAIN,
    /** Airbag or belt tensioner, its lamp included: moved only with every battery off. */
    AIRBAG,
    /** Of a hybrid's or electric car's drive: not a job for this tool. */
    HIGH_VOLTAGE;

    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    static Optional<Circuit> find(String word) {
        return Arrays.stream(values()).filter(c -> c.word().equals(word)).findFirst();
    }
}
