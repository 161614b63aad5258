package velvetbezel.drawing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import velvetbezel.sheet.WheelKey;

/** A steering wheel seen from its driver, with its buttons and what each of them does. */
public record WheelDrawing(String layout, List<Key> keys) {
    /** The rim lies outside the box of the buttons. */
    private static final int RIM = 6;

    private static final double LINE = 3.2;
    /** From the base line of a text to the middle of its small letters. */
    private static final double HALF_LETTER = 0.9;
    /** Letters of a line that a button of usual width holds. */
    private static final int LETTERS = 9;

    /** One button. @param place where it is, in words */
    public record Key(String button, String place, Shapes.Box box, List<Shapes.Text> lines) {}

    public String viewBox() {
        return "%d 0 %d %d".formatted(-RIM, WheelKey.WIDTH + 2 * RIM, WheelKey.HEIGHT);
    }

    /** @param does by button, what it does where that is not its name: short press first */
    public static WheelDrawing of(String layout, List<WheelKey> keys, Map<String, List<String>> does) {
        return new WheelDrawing(
                layout,
                keys.stream()
                        .map(k -> key(k, does.getOrDefault(k.button(), List.of())))
                        .toList());
    }

    private static Key key(WheelKey k, List<String> does) {
        List<String> words = new ArrayList<>(broken(k.button()));
        int names = words.size();
        does.forEach(d -> words.addAll(broken(d)));
        double y = k.y() + k.height() / 2 - (words.size() - 1) * LINE / 2 + HALF_LETTER;
        List<Shapes.Text> lines = new ArrayList<>();
        for (int i = 0; i < words.size(); i++)
            lines.add(new Shapes.Text(
                    k.x() + k.width() / 2, y + i * LINE, "middle", i < names ? "name" : "does", words.get(i)));
        return new Key(k.button(), k.place(), new Shapes.Box(k.x(), k.y(), k.width(), k.height()), lines);
    }

    /** In lines that a button holds, broken between words. */
    private static List<String> broken(String text) {
        List<String> lines = new ArrayList<>();
        for (String word : Arrays.asList(text.split(" "))) {
            int last = lines.size() - 1;
            if (last >= 0 && lines.get(last).length() + 1 + word.length() <= LETTERS)
                lines.set(last, lines.get(last) + " " + word);
            else lines.add(word);
        }
        return lines;
    }
}
