package velvetbezel.diagnose;

/**
 * What a person opens, looks at and mends.
 *
 * @param name    tells it from other places of the installation
 * @param words   for people: "the amp remote joint"
 * @param minutes to look at it once its location is open
 * @param away    to get there, where it is not at the radio's place
 */
public record RepairPoint(Kind kind, String name, String words, int minutes, int away)
        implements Comparable<RepairPoint> {
    /** Minutes to look at one (from memory). */
    public enum Kind {
        JOINT(2),
        PLUG(1),
        LEAD(3),
        LOOM(20),
        FUSE(2),
        DEVICE(5),
        SETTINGS(2),
        MOUNTING(3);

        private final int minutes;

        Kind(int minutes) {
            this.minutes = minutes;
        }
    }

    static RepairPoint of(Kind kind, String name, String words, int away) {
        return new RepairPoint(kind, name, words, kind.minutes, away);
    }

    public int cost() {
        return minutes + away;
    }

    @Override
    public int compareTo(RepairPoint other) {
        return name.compareTo(other.name);
    }
}
