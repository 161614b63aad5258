package velvetbezel.sheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Where a button lies on the steering wheel, in a box of 100 by 60 that the wheel fills.
 *
 * @param x     of its left edge; {@code y} of its upper one, from the top
 * @param place in words: "left spoke"
 */
public record WheelKey(String button, double x, double y, double width, double height, String place) {
    public static final int WIDTH = 100;
    public static final int HEIGHT = 60;
    private static final double LEAST = 2;

    /** Layouts by the name that a person reads off the car, each with its buttons. */
    static Map<String, List<WheelKey>> layouts(Node node, List<String> buttons) {
        Map<String, List<WheelKey>> layouts = new LinkedHashMap<>();
        node.fields().forEach((name, keys) -> {
            List<WheelKey> read =
                    keys.list().stream().map(k -> read(k, buttons)).toList();
            DeviceReader.twice(keys, read.stream().map(WheelKey::button).toList(), "button");
            layouts.put(name, read);
        });
        return layouts;
    }

    private static WheelKey read(Node node, List<String> buttons) {
        node.only("button", "zone", "place");
        String button = node.at("button").text();
        if (!buttons.contains(button))
            node.at("button")
                    .fault("\"%s\" is no button of this vehicle; its buttons are %s."
                            .formatted(button, String.join(", ", buttons)));
        List<Node> zone = new ArrayList<>(node.at("zone").list());
        if (zone.size() != 4) node.at("zone").fault("has to be four numbers: left, top, width and height.");
        while (zone.size() < 4) zone.add(node.at("zone").at("?"));
        double x = zone.get(0).number(0, WIDTH, 0);
        double y = zone.get(1).number(0, HEIGHT, 0);
        return new WheelKey(
                button,
                x,
                y,
                zone.get(2).number(LEAST, WIDTH - x, LEAST),
                zone.get(3).number(LEAST, HEIGHT - y, LEAST),
                node.at("place").text(""));
    }
}
