package velvetbezel.drawing;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BinaryOperator;
import java.util.function.Function;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.sheet.strip.ItemPosition;
import velvetbezel.state.StateField;
import velvetbezel.strip.CarState;
import velvetbezel.strip.StripStep;

/**
 * A strip-down from left to right, one step a column: how key, lever and batteries stand at each, and below what of the
 * dash hangs loose (thin) or is away (thick).
 *
 * @param now where the work is; empty before it begins
 */
public record OpenUpDrawing(
        double width, double height, List<Track> tracks, List<Bar> bars, List<Sign> signs, Optional<Double> now) {
    private static final double LEFT = 150;
    private static final double RIGHT = 790;
    private static final double TRACK = 26;
    private static final double ROW = 18;
    private static final double TOP = 26;
    private static final double LETTER = 6.4;

    /** One field of the vehicle. */
    public record Track(String name, double y, List<Span> spans) {}

    /** @param word empty where it is at rest, or too narrow for its word; the word is then in the title */
    public record Span(double x, double width, String word, String title, boolean rest) {}

    /** One part: drawn through {@code loose} thinly and {@code away} thickly. */
    public record Bar(String name, double y, List<Span> loose, List<Span> away) {}

    /** Exchange and function test. */
    public record Sign(double x, String name) {}

    public String viewBox() {
        return Shapes.path("0 0 %.0f %.0f", width, height);
    }

    /**
     * @param states the car before each step, and after the last
     * @param done   steps done of them
     * @param word   what people call a word of a field
     * @param signs  name of a step that is marked; an empty text for the others
     */
    public static OpenUpDrawing of(
            List<StripStep> steps,
            List<CarState> states,
            int done,
            BinaryOperator<String> word,
            Function<StripStep, String> signs) {
        double step = (RIGHT - LEFT) / Math.max(1, steps.size());
        Set<StateField> fields = new LinkedHashSet<>(List.of(StateField.KEY, StateField.BATTERY));
        Set<ItemId> items = new LinkedHashSet<>();
        for (CarState car : states) {
            for (StateField f : StateField.values())
                if (f.kind() == StateField.Kind.WORD
                        && !car.word(f).equals(states.get(0).word(f))) fields.add(f);
            items.addAll(car.positions().keySet().stream().sorted().toList());
        }
        List<Track> tracks = new ArrayList<>();
        double y = TOP;
        for (StateField f : fields.stream().sorted().toList()) {
            tracks.add(
                    new Track(name(f), y, spans(states, step, c -> word.apply(f.label(), c.word(f)), rest(f, word))));
            y += TRACK;
        }
        y += 8;
        List<Bar> bars = new ArrayList<>();
        for (ItemId item : inOrder(items, steps)) {
            bars.add(new Bar(
                    item.name(),
                    y,
                    at(item, ItemPosition.LOOSE, states, step),
                    at(item, ItemPosition.AWAY, states, step)));
            y += ROW;
        }
        List<Sign> marked = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++)
            if (!signs.apply(steps.get(i)).isEmpty())
                marked.add(new Sign(LEFT + (i + 0.5) * step, signs.apply(steps.get(i))));
        return new OpenUpDrawing(
                RIGHT + 10, y + 6, tracks, bars, marked, done > 0 ? Optional.of(LEFT + done * step) : Optional.empty());
    }

    /** What people call it. */
    private static String name(StateField f) {
        return f == StateField.GEAR ? "lever" : f.label();
    }

    private static String rest(StateField f, BinaryOperator<String> word) {
        return word.apply(f.label(), f.words().get(0));
    }

    /** Parts in the order in which they come loose. */
    private static List<ItemId> inOrder(Set<ItemId> items, List<StripStep> steps) {
        Set<ItemId> order = new LinkedHashSet<>();
        for (StripStep s : steps) if (s instanceof StripStep.Loosen l && items.contains(l.item())) order.add(l.item());
        order.addAll(items);
        return List.copyOf(order);
    }

    private static List<Span> spans(List<CarState> states, double step, Function<CarState, String> word, String rest) {
        List<Span> spans = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= states.size(); i++) {
            String now = word.apply(states.get(from));
            if (i < states.size() && word.apply(states.get(i)).equals(now)) continue;
            double width = (Math.min(i, states.size() - 1) - from) * step;
            if (width > 0) spans.add(span(from, step, width, now, now.equals(rest)));
            from = i;
        }
        return spans;
    }

    private static Span span(int from, double step, double width, String word, boolean rest) {
        boolean fits = word.length() * LETTER < width - 4;
        return new Span(LEFT + from * step, width, !rest && fits ? word : "", word, rest);
    }

    private static List<Span> at(ItemId item, ItemPosition position, List<CarState> states, double step) {
        return spans(states, step, c -> c.position(item) == position ? position.word() : "", "").stream()
                .filter(s -> !s.rest())
                .toList();
    }
}
