package velvetbezel.worksheet;

import java.util.List;

/**
 * One load beside what bears it.
 *
 * @param what    what is loaded
 * @param figures the load and its limit, with units
 * @param text    why, or what to do
 * @param goods   small goods that the advice needs, by their names in the tables
 */
public record Load(Kind kind, String what, String figures, Verdict verdict, String text, List<String> goods) {
    public Load {
        goods = List.copyOf(goods);
    }

    /** Headings of the load table. */
    public enum Kind {
        LEAD("Leads and fuses"),
        LIMIT("Limits of fuses and outputs"),
        DROP("Voltage drop"),
        SPEAKER("Speakers"),
        LINE("Line level"),
        SUPPLY("Supplies that must not be too high");

        private final String heading;

        Kind(String heading) {
            this.heading = heading;
        }

        public String heading() {
            return heading;
        }
    }

    /** NO_FUSE where the load is borne and no fuse suits it; UNKNOWN where a sheet does not say what is needed. */
    public enum Verdict {
        BEARS,
        CLOSE,
        OVER,
        NO_FUSE,
        UNKNOWN;

        /** Whether something must be done about it. */
        public boolean wrong() {
            return this == OVER || this == NO_FUSE;
        }
    }
}
