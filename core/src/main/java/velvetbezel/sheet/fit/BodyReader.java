package velvetbezel.sheet.fit;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import velvetbezel.sheet.Node;
import velvetbezel.sheet.Provenance;

/** Reads a radio's body. */
final class BodyReader extends LengthReader {
    BodyReader(String sheet, Provenance usual) {
        super(sheet, usual);
    }

    RadioBody body(Node node) {
        node.only("face", "chassis", "knobs", "ring", "feet", "rear", "sockets", "holes", "fingers", "things");
        Node face = node.at("face").only("w", "h", "d");
        Node chassis = node.at("chassis").only("w", "h", "d", "x", "y");
        // a screen on feet has nothing behind its face
        boolean flat = node.has("feet") && !node.has("chassis");
        Length width = flat ? positive(face.at("w")) : positive(chassis.at("w"));
        Length height = flat ? positive(face.at("h")) : positive(chassis.at("h"));
        List<RadioBody.Hole> holes =
                node.at("holes").list().stream().map(BodyReader::hole).toList();
        twice(holes.stream().map(RadioBody.Hole::number).toList(), node.at("holes"));
        return new RadioBody(
                positive(face.at("w")),
                positive(face.at("h")),
                zero(face.at("d")),
                zero(node.at("knobs")),
                zero(node.at("ring")),
                width,
                height,
                flat ? zero(chassis.at("d")) : positive(chassis.at("d")),
                chassis.at("x").number(-Length.MOST, Length.MOST, 0),
                chassis.at("y").number(-Length.MOST, Length.MOST, 0),
                optional(node.at("feet")),
                node.at("rear").list().stream()
                        .map(n -> rear(n, width.likely(), height.likely()))
                        .toList(),
                node.at("sockets").list().stream()
                        .map(n -> socket(n, width.likely(), height.likely()))
                        .toList(),
                holes,
                node.at("fingers").list().stream().map(this::fingers).toList(),
                node.at("things").list().stream()
                        .map(n -> thing(n, kind(n.at("what"))))
                        .toList());
    }

    private static Thing.Kind kind(Node node) {
        return node.one(Thing.Kind::find, Thing.Kind.all(), Thing.Kind.MODULE);
    }

    private RadioBody.FingerRoom fingers(Node node) {
        node.only("what", "side", "y", "room");
        double[] y = two(node.at("y"));
        return new RadioBody.FingerRoom(
                node.at("what").text(),
                node.at("side").one(BodyReader::side, "left, right", RadioBody.Side.RIGHT),
                y[0],
                y[1],
                positive(node.at("room")));
    }

    private static Optional<RadioBody.Side> side(String word) {
        return Arrays.stream(RadioBody.Side.values())
                .filter(s -> s.name().equalsIgnoreCase(word))
                .findFirst();
    }

    private RadioBody.RearBox rear(Node node, double chassisWidth, double chassisHeight) {
        node.only("id", "x", "y", "w", "h", "out");
        double[] at = atRear(node, chassisWidth, chassisHeight);
        return new RadioBody.RearBox(node.at("id").text(), at[0], at[1], at[2], at[3], positive(node.at("out")));
    }

    /** Measured from the left as seen from behind, which is from the right as seen from the front. */
    private RadioBody.Socket socket(Node node, double chassisWidth, double chassisHeight) {
        node.only("plug", "x", "y", "w", "h", "out", "bend");
        double[] at = atRear(node, chassisWidth, chassisHeight);
        return new RadioBody.Socket(
                node.at("plug").text(), at[0], at[1], at[2], at[3], zero(node.at("out")), length(node.at("bend"), 0));
    }

    /** x from the left as seen from the front, y, width and height. */
    private static double[] atRear(Node node, double chassisWidth, double chassisHeight) {
        double w = node.at("w").number(0.1, Length.MOST);
        double h = node.at("h").number(0.1, Length.MOST);
        double x = node.at("x").number(0, Length.MOST);
        double y = node.at("y").number(0, Length.MOST);
        if (x + w > chassisWidth + 1 || y + h > chassisHeight + 1)
            node.fault("lies outside the rear, which is %.0f × %.0f mm.".formatted(chassisWidth, chassisHeight));
        return new double[] {chassisWidth - x - w, y, w, h};
    }

    private static RadioBody.Hole hole(Node node) {
        node.only("n", "sides", "z", "y", "thread", "most");
        return new RadioBody.Hole(
                node.at("n").whole(1, 40),
                node.at("sides").text("both"),
                node.at("z").number(0, Length.MOST),
                node.at("y").number(0, Length.MOST),
                node.at("thread").text("M5"),
                node.at("most").number(0, 50, 0));
    }
}
