package velvetbezel.fit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.sheet.fit.Obstruction;
import velvetbezel.sheet.fit.RadioBody;
import velvetbezel.sheet.fit.Site;
import velvetbezel.sheet.fit.SpaceBox;

/** What lies beside the face: what a hand must reach in the car, and the radio's own slots. */
final class Beside {
    private Beside() {}

    /** How far a body reaches over a box in each of the four directions across the slide. */
    static Map<Collision.Escape, Affine> across(Bodies.Body body, SpaceBox box) {
        return Map.of(
                Collision.Escape.LEFT, body.x1().minus(Affine.of(box.x0())),
                Collision.Escape.RIGHT, Affine.of(box.x1()).minus(body.x0()),
                Collision.Escape.BELOW, body.y1().minus(Affine.of(box.y0())),
                Collision.Escape.ABOVE, Affine.of(box.y1()).minus(body.y0()));
    }

    /** Of each thing that must be reached the side on which it clears the face most; what stands before it is free. */
    static List<Neighbour> neighbours(Site site, Bodies.Body face, Affine plane) {
        List<Neighbour> neighbours = new ArrayList<>();
        for (Obstruction o : site.obstructions()) {
            if (!o.reached()) continue;
            for (Obstruction.Piece p : o.pieces()) {
                Affine before = Affine.of(p.box().z1()).plus(plane).minus(face.z0());
                if (before.range().most() <= 0) continue;
                across(face, p.box()).entrySet().stream()
                        .min(Comparator.comparingDouble(
                                e -> e.getValue().range().likely()))
                        .ifPresent(e -> neighbours.add(new Neighbour(
                                o.id(),
                                e.getKey().opposite(),
                                Slack.of(Affine.of(0).minus(e.getValue())))));
            }
        }
        return neighbours;
    }

    /** Beside each slot of the radio the nearest thing, less what a hand needs. */
    static List<FingerLeft> fingers(Site site, RadioBody radio, Bodies.Body face, Affine plane) {
        List<FingerLeft> left = new ArrayList<>();
        for (RadioBody.FingerRoom f : radio.fingers())
            site.obstructions().stream()
                    .flatMap(o -> o.pieces().stream().flatMap(p -> beside(f, face, p.box(), plane).stream()
                            .map(room -> new FingerLeft(f.what(), o.id(), Slack.of(room.minus(f.room()))))))
                    .min(Comparator.comparingDouble(l -> l.slack().left().likely()))
                    .ifPresent(left::add);
        return left;
    }

    /** Mm from the face's side to a box at the height of a slot; empty where the box lies elsewhere. */
    private static Optional<Affine> beside(RadioBody.FingerRoom f, Bodies.Body face, SpaceBox box, Affine plane) {
        Affine over = face.y0().plus(f.y1()).minus(Affine.of(box.y0()));
        Affine under = Affine.of(box.y1()).minus(face.y0().plus(f.y0()));
        // a hand reaches from before the face to the panel
        Affine near = Affine.of(box.z1()).plus(plane).minus(face.z0());
        Affine deep = Affine.of(0).minus(Affine.of(box.z0())).minus(plane);
        boolean meets = over.range().most() > 0
                && under.range().most() > 0
                && near.range().most() > 0
                && deep.range().most() > 0;
        if (!meets) return Optional.empty();
        Affine room = f.side() == RadioBody.Side.RIGHT
                ? Affine.of(box.x0()).minus(face.x1())
                : face.x0().minus(Affine.of(box.x1()));
        return room.range().most() <= 0 ? Optional.empty() : Optional.of(room);
    }
}
