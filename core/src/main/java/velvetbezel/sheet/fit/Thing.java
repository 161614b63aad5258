package velvetbezel.sheet.fit;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Something that wants a place of its own: an antenna, a microphone, a socket, a module.
 *
 * @param lead mm of its own lead; empty where nobody stated it
 * @param plug mm that its smaller plug needs to pass a hole; empty as well
 */
public record Thing(Kind kind, String name, Optional<Length> lead, Optional<Length> plug) {
    /** What it is, which decides the rules of its place. */
    public enum Kind {
        GPS_ANTENNA,
        MICROPHONE,
        SOCKET,
        AERIAL,
        MODULE,
        CAMERA;

        public String word() {
            return name().toLowerCase(Locale.ROOT).replace('_', ' ').replace("gps", "GPS");
        }

        public static Optional<Kind> find(String word) {
            return Arrays.stream(values()).filter(k -> k.word().equals(word)).findFirst();
        }

        public static String all() {
            return Arrays.stream(values()).map(Kind::word).collect(Collectors.joining(", "));
        }
    }
}
