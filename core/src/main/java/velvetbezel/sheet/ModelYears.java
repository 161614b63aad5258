package velvetbezel.sheet;

import java.util.List;

/** A span of model years, both included. */
public record ModelYears(int first, int last) {
    private static final int FIRST = 1950;
    private static final int LAST = 2100;

    /** @param node {@code [2004, 2009]}; every year where it is at fault */
    static ModelYears read(Node node) {
        List<Node> ends = node.list();
        if (ends.size() != 2) {
            node.fault("expected the first and the last model year, as a list of two.");
            return new ModelYears(FIRST, LAST);
        }
        ModelYears years =
                new ModelYears(ends.get(0).whole(FIRST, LAST), ends.get(1).whole(FIRST, LAST));
        if (years.first > years.last)
            node.fault("the first year, %d, is after the last, %d.".formatted(years.first, years.last));
        return years;
    }

    boolean hold(ModelYears other) {
        return first <= other.first && other.last <= last;
    }

    @Override
    public String toString() {
        return first == last ? String.valueOf(first) : last == LAST ? first + " on" : first + " to " + last;
    }
}
