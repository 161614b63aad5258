package velvetbezel.sheet.fit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.Node;
import velvetbezel.sheet.Provenance;

/** Reads an opening with what is behind and before it. */
final class SiteReader extends LengthReader {
    private static final int MOST_BOXES = 60;

    SiteReader(String sheet, Provenance usual) {
        super(sheet, usual);
    }

    Site site(Node node) {
        node.only(
                "id",
                "opening",
                "depth",
                "bands",
                "obstructions",
                "lean",
                "trims",
                "held",
                "fittings",
                "places",
                "ways");
        Optional<Site.HeldRadio> held = node.has("held") ? Optional.of(held(node.at("held"))) : Optional.empty();
        Node opening = node.at("opening").only("w", "h");
        Length width = room(opening.at("w"), held.map(Site.HeldRadio::faceWidth));
        Length height = room(opening.at("h"), held.map(Site.HeldRadio::faceHeight));
        List<Band> bands = node.at("bands").list().stream().map(this::band).toList();
        touching(bands, node.at("bands"));
        List<Obstruction> obstructions =
                node.at("obstructions").list().stream().map(this::obstruction).toList();
        int boxes = obstructions.stream().mapToInt(o -> o.pieces().size()).sum();
        if (boxes > MOST_BOXES)
            node.at("obstructions").fault("have %d boxes; at most %d are read.".formatted(boxes, MOST_BOXES));
        twice(obstructions.stream().map(Obstruction::id).toList(), node.at("obstructions"));
        List<MountingPlace> places =
                node.at("places").list().stream().map(this::place).toList();
        twice(places.stream().map(MountingPlace::id).toList(), node.at("places"));
        return new Site(
                node.at("id").text("dash"),
                width,
                height,
                bands.isEmpty() ? List.of(asOpening(node, width, height, held)) : bands,
                bands.isEmpty(),
                obstructions,
                node.at("lean").number(-45, 45, 0),
                trims(node.at("trims"), obstructions),
                held,
                node.at("fittings").list().stream().map(SiteReader::fitting).toList(),
                places,
                routes(node.at("ways"), places));
    }

    /** A radio that stood in it tells how large it is at least. */
    private Length room(Node node, Optional<Length> stood) {
        return node.present() || stood.isEmpty()
                ? positive(node)
                : Length.missing(new FieldRef(sheet, node.path()), stood.get().least(), Length.MOST);
    }

    private Site.HeldRadio held(Node node) {
        node.only("face", "d");
        Node face = node.at("face").only("w", "h");
        return new Site.HeldRadio(positive(face.at("w")), positive(face.at("h")), positive(node.at("d")));
    }

    private static Site.Fitting fitting(Node node) {
        node.only("kit", "computed", "seen", "note");
        return new Site.Fitting(
                node.at("kit").text(),
                node.at("computed").number(-200, 200),
                node.at("seen").number(-200, 200),
                node.at("note").text(""));
    }

    private static Map<String, String> trims(Node node, List<Obstruction> obstructions) {
        Map<String, String> trims = new LinkedHashMap<>();
        node.fields().forEach((id, words) -> {
            if (obstructions.stream().noneMatch(o -> o.id().equals(id)))
                words.fault("names nothing that is in the way here; expected one of %s."
                        .formatted(obstructions.stream().map(Obstruction::id).collect(Collectors.joining(", "))));
            trims.put(id, words.text());
        });
        return trims;
    }

    private MountingPlace place(Node node) {
        Map<MountingPlace.Known, Double> facts = new EnumMap<>(MountingPlace.Known.class);
        node.fields().forEach((name, value) -> {
            if (List.of("id", "words", "room", "behind").contains(name)) return;
            Optional<MountingPlace.Known> known = MountingPlace.Known.find(name);
            if (known.isEmpty()) value.fault("is not known of a place; expected " + MountingPlace.Known.all() + ".");
            known.ifPresent(k -> facts.put(
                    k, k.truth() ? (value.truth(false) ? 1.0 : 0.0) : value.number(-Length.MOST, Length.MOST)));
        });
        String id = node.at("id").text();
        return new MountingPlace(
                id,
                node.at("words").text(id),
                facts,
                node.has("room") ? Optional.of(box(node.at("room").only("x", "y", "z"))) : Optional.empty(),
                node.at("behind").texts());
    }

    private List<Route> routes(Node node, List<MountingPlace> places) {
        Set<String> known = places.stream().map(MountingPlace::id).collect(Collectors.toCollection(HashSet::new));
        known.add(Route.RADIO);
        return node.list().stream().map(n -> route(n, known)).toList();
    }

    private Route route(Node node, Set<String> known) {
        node.only("a", "b", "length", "over", "passes behind", "hole");
        for (String end : List.of("a", "b"))
            if (!known.contains(node.at(end).text("")))
                node.at(end)
                        .fault("is no place of this car; expected one of %s."
                                .formatted(known.stream().sorted().collect(Collectors.joining(", "))));
        Set<Route.Over> over = node.at("over").list().stream()
                .map(n -> n.one(Route.Over::find, Route.Over.all(), Route.Over.FLAP))
                .collect(Collectors.toSet());
        return new Route(
                node.at("a").text(""),
                node.at("b").text(""),
                along(node.at("length")),
                over,
                node.at("passes behind").truth(false),
                optional(node.at("hole")));
    }

    /** Nobody measured behind: as wide and high as the opening, and of unknown depth. */
    private Band asOpening(Node node, Length width, Length height, Optional<Site.HeldRadio> held) {
        Length nothing = zero(node.at("none"));
        Length depth = room(node.at("depth"), held.map(Site.HeldRadio::depth));
        return new Band("behind the opening", nothing, width, nothing, height, depth, 0);
    }

    private Band band(Node node) {
        node.only("id", "x", "y", "depth", "taper");
        Length[] x = ends(node.at("x"));
        Length[] y = ends(node.at("y"));
        Length depth = positive(node.at("depth"));
        double taper = node.at("taper").number(0, 50, 0);
        if (!depth.missing() && 2 * taper * depth.likely() / 100 >= x[1].likely() - x[0].likely())
            node.at("taper").fault("closes the band before its depth.");
        return new Band(node.at("id").text("band"), x[0], x[1], y[0], y[1], depth, taper);
    }

    private static void touching(List<Band> bands, Node node) {
        List<Band> sorted = new ArrayList<>(bands);
        sorted.sort(Comparator.comparingDouble(b -> b.y0().likely()));
        for (int i = 1; i < sorted.size(); i++) {
            double gap = sorted.get(i).y0().likely() - sorted.get(i - 1).y1().likely();
            if (Math.abs(gap) > 0.5)
                node.fault("%s and %s %s by %.0f mm; each band ends where the next begins."
                        .formatted(
                                sorted.get(i - 1).id(),
                                sorted.get(i).id(),
                                gap > 0 ? "leave a gap" : "overlap",
                                Math.abs(gap)));
        }
    }

    private Obstruction obstruction(Node node) {
        node.only("id", "fasteners", "minutes", "carries", "reached", "boxes");
        return new Obstruction(
                node.at("id").text(),
                node.at("fasteners").text(""),
                node.at("minutes").number(0, 600, 0),
                node.at("carries").text(""),
                node.at("reached").truth(false),
                node.at("boxes").list().stream().map(this::piece).toList());
    }

    private Obstruction.Piece piece(Node node) {
        node.only("x", "y", "z", "may", "by", "bears");
        Obstruction.May may = node.at("may")
                .one(
                        Obstruction.May::find,
                        "unscrew, move, trim, cut off, never",
                        Obstruction.May.NEVER,
                        Obstruction.May.NEVER);
        return new Obstruction.Piece(
                box(node),
                may,
                node.at("by").number(0, 500, 0),
                node.at("bears").text(""));
    }
}
