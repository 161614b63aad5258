package velvetbezel.simulate;

import java.util.Arrays;
import java.util.Optional;

/** Why a stand-in does not do what it is told. */
public enum Refusal {
    /** Its payload has another shape than the command wants. */
    MALFORMED,
    WRONG_REVISION,
    WRONG_SERIAL,
    TOO_LONG,
    /** A block before any begin, or not the next one. */
    OUT_OF_ORDER,
    /** Not all of it has come, or another than was announced. */
    INCOMPLETE,
    /** There is no earlier set-up. */
    NOTHING_BEFORE;

    static Optional<Refusal> of(int number) {
        return Arrays.stream(values()).filter(r -> r.ordinal() == number).findFirst();
    }
}
