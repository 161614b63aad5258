package velvetbezel.store;

import java.util.Optional;

/**
 * Who sends a change, from where.
 *
 * @param device two devices of one person are two writers; empty text where it is not known
 * @param change names the change: sent twice, it counts once
 */
public record Sender(String who, String device, Optional<String> change) {
    /** A person at an unknown device, whose changes have no names. */
    public static Sender named(String who) {
        return new Sender(who, "", Optional.empty());
    }
}
