package velvetbezel.sheet;

import java.util.Arrays;
import java.util.Optional;

/** How a lead gets to the wires of an access point. */
public enum Mate {
    /** A plug of its own that something may be plugged into. */
    FREE("free"),
    /** A tap: the plug stays mated, the wire stays whole, and what it fed goes on being fed. */
    STAYS_MATED("tap"),
    /** The plug is taken apart: its wires are open to what is plugged in instead. */
    PARTED("parted"),
    /** The wires are cut: their ends are bare. */
    CUT("cut");

    private final String word;

    Mate(String word) {
        this.word = word;
    }

    /** As sheets write it. */
    public String word() {
        return word;
    }

    static Optional<Mate> find(String word) {
        return Arrays.stream(values()).filter(m -> m.word.equals(word)).findFirst();
    }
}
