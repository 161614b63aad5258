package velvetbezel.drawing;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** The job's map: a vertical wire loom from which each station branches off. */
public record LoomDrawing(double width, double height, List<Strand> strands, List<Band> bands, List<Branch> branches) {
    private static final double PITCH = 84;
    private static final double FIRST = 62;
    private static final double KNOT_X = 73;
    private static final String[] COLOURS = {"plum", "violet", "brass", "grey", "dark"};

    /** How far the work of a station is. */
    public enum State {
        SETTLED,
        OPEN,
        WRONG
    }

    /** A station as the job sees it. */
    public record Station(String name, String note, String href, State state, boolean current) {}

    public record Strand(String path, String colour) {}

    public record Band(double y) {}

    public record Branch(
            String name,
            String note,
            String href,
            String style,
            String word,
            boolean current,
            String path,
            double x,
            double y) {}

    public String viewBox() {
        return Shapes.path("0 0 %.0f %.0f", width, height);
    }

    public static LoomDrawing of(List<Station> stations) {
        double height = FIRST + PITCH * stations.size();
        List<Strand> strands = new ArrayList<>();
        for (int i = 0; i < COLOURS.length; i++)
            strands.add(new Strand(Shapes.path("M%d 0V%.0f", 27 + 5 * i, height - 4 * i), COLOURS[i]));
        List<Band> bands = new ArrayList<>();
        List<Branch> branches = new ArrayList<>();
        for (int i = 0; i < stations.size(); i++) {
            Station s = stations.get(i);
            double y = FIRST + PITCH * i;
            bands.add(new Band(y - 44));
            branches.add(new Branch(
                    s.name(),
                    s.note(),
                    s.href(),
                    s.state().name().toLowerCase(Locale.ROOT),
                    word(s.state()),
                    s.current(),
                    Shapes.path("M47 %.0fC47 %.0f 53 %.0f 69 %.0f", y - 26, y - 4, y, y),
                    KNOT_X,
                    y));
        }
        return new LoomDrawing(176, height, List.copyOf(strands), List.copyOf(bands), List.copyOf(branches));
    }

    private static String word(State state) {
        return switch (state) {
            case SETTLED -> "settled";
            case OPEN -> "open";
            case WRONG -> "something is wrong";
        };
    }
}
