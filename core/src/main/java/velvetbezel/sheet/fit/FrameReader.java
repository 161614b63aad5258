package velvetbezel.sheet.fit;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import velvetbezel.sheet.Node;
import velvetbezel.sheet.Provenance;

/** Reads how a kit holds a radio. */
final class FrameReader extends LengthReader {
    FrameReader(String sheet, Provenance usual) {
        super(sheet, usual);
    }

    KitFrame frame(Node node) {
        node.only(
                "mount",
                "aperture",
                "inserts",
                "trims",
                "brackets",
                "plane",
                "feet",
                "bracket plane",
                "finish",
                "keep",
                "screws",
                "clips",
                "rings",
                "tabs",
                "screws out");
        KitFrame.Mount mount = node.at("mount")
                .one(
                        FrameReader::mount,
                        Arrays.stream(KitFrame.Mount.values())
                                .map(m -> m.name().toLowerCase(Locale.ROOT))
                                .collect(Collectors.joining(", ")),
                        KitFrame.Mount.FRAME);
        if (mount == KitFrame.Mount.FRAME && !node.has("aperture"))
            node.at("aperture").fault("is missing; a frame says what the face comes through: {\"w\": 182, \"h\": 53}.");
        Node brackets = node.at("brackets").only("left", "right");
        if (brackets.has("left") != brackets.has("right"))
            brackets.at(brackets.has("left") ? "right" : "left").fault("is missing; a radio hangs on both sides.");
        Map<String, String> trims = new LinkedHashMap<>();
        node.at("trims").fields().forEach((id, words) -> trims.put(id, words.text()));
        return new KitFrame(
                mount,
                node.has("aperture") ? Optional.of(aperture(node.at("aperture"))) : Optional.empty(),
                node.at("inserts").list().stream().map(this::insert).toList(),
                trims,
                bracket(brackets.at("left")),
                bracket(brackets.at("right")),
                zero(node.at("plane")),
                zero(node.at("feet")),
                node.has("bracket plane")
                        ? length(node.at("bracket plane"), -Length.MOST)
                        : zero(node.at("bracket plane")),
                bench(node),
                node.at("finish").text(""));
    }

    private KitFrame.Bench bench(Node node) {
        Node clips = node.at("clips").only("count", "pull");
        return new KitFrame.Bench(
                node.at("keep").texts(),
                node.has("screws") ? node.at("screws").whole(1, 20) : 0,
                clips.has("count") ? clips.at("count").whole(1, 60) : 0,
                clips.at("pull").text(""),
                node.at("rings").texts(),
                node.at("tabs").list().stream().map(this::tab).toList(),
                node.at("screws out").list().stream()
                        .map(n -> new KitFrame.ScrewsOut(
                                n.only("of", "back", "to").at("of").text(),
                                n.at("back").whole(0, 60),
                                n.at("to").text("")))
                        .toList());
    }

    private KitFrame.Tab tab(Node node) {
        node.only("id", "wall", "reach");
        return new KitFrame.Tab(node.at("id").text(), length(node.at("wall"), 0), positive(node.at("reach")));
    }

    private static Optional<KitFrame.Mount> mount(String word) {
        return Arrays.stream(KitFrame.Mount.values())
                .filter(m -> m.name().toLowerCase(Locale.ROOT).equals(word))
                .findFirst();
    }

    private KitFrame.Aperture aperture(Node node) {
        node.only("x", "y", "w", "h");
        return new KitFrame.Aperture(
                node.has("x") ? length(node.at("x"), -Length.MOST) : zero(node.at("x")),
                node.has("y") ? length(node.at("y"), -Length.MOST) : zero(node.at("y")),
                positive(node.at("w")),
                positive(node.at("h")));
    }

    private Obstruction insert(Node node) {
        node.only("id", "x", "y", "z", "may");
        Obstruction.May may = node.at("may")
                .one(Obstruction.May::find, "cut off, trim, never", Obstruction.May.CUT_OFF, Obstruction.May.CUT_OFF);
        return new Obstruction(
                node.at("id").text(), "", 0, "", false, List.of(new Obstruction.Piece(box(node), may, 0, "")));
    }

    private static Optional<KitFrame.Bracket> bracket(Node node) {
        if (!node.present()) return Optional.empty();
        node.only("mark", "height", "thickness", "flip", "slots");
        double height = node.at("height").number(1, Length.MOST);
        return Optional.of(new KitFrame.Bracket(
                node.at("mark").text(""),
                height,
                node.at("thickness").number(0, 20, 1.5),
                node.has("flip") ? Optional.of(node.at("flip").truth(false)) : Optional.empty(),
                node.at("slots").list().stream().map(n -> slot(n, height)).toList()));
    }

    private static KitFrame.Slot slot(Node node, double height) {
        node.only("id", "z", "y", "countersunk");
        double[] z = two(node.at("z"));
        double[] y = two(node.at("y"));
        if (y[0] < 0 || y[1] > height)
            node.at("y").fault("lies outside its bracket, which is %.0f mm high.".formatted(height));
        return new KitFrame.Slot(
                node.at("id").text(),
                z[0],
                z[1],
                y[0],
                y[1],
                node.at("countersunk").truth(false));
    }
}
