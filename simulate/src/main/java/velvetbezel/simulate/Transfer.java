package velvetbezel.simulate;

/** How far a set-up is on its way into an interface. The last one is how it ended. */
public sealed interface Transfer {
    /** @param serial of the interface that answers */
    record Identified(String serial, int revision) implements Transfer {}

    record Sending(int bytes, int of) implements Transfer {}

    /** Read back, and the same. */
    record Compared() implements Transfer {}

    /** The new set-up is in force. */
    record InForce() implements Transfer {}

    /** The set-up before this one is in force again. */
    record WentBack() implements Transfer {}

    /** The interface will not have it. */
    record Refused(Refusal why) implements Transfer {}

    /** The earlier set-up is in force. */
    record Interrupted(Reason why) implements Transfer {}

    /** The answer to the last command is lost: plug in again, and it says which set-up is in force. */
    record Doubtful() implements Transfer {}

    /** Why a transfer did not come to its end. */
    enum Reason {
        UNPLUGGED,
        TOO_NOISY,
        CANCELLED,
        /** What was read back differs from what was sent. */
        READ_BACK_DIFFERS
    }

    /** Whether nothing more follows. */
    default boolean ended() {
        return !(this instanceof Identified || this instanceof Sending || this instanceof Compared);
    }
}
