package velvetbezel.sheet.fit;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How a kit holds a radio.
 *
 * @param mount    what it is
 * @param aperture what the face comes through, with where its lower left corner lies; empty: the opening itself
 * @param inserts  parts of the kit that may be in the way
 * @param trims    the licence to cut: what of the car the kit's sheet says to cut, and how
 * @param plane    mm by which the finished face comes nearer the seat
 * @param feet     mm between the panel and the back of a screen that stands before it
 * @param bracketPlane mm from the plane that the slots are measured from to the finished face
 * @param bench    what is done with it before it goes into the car
 * @param finish   colour and texture of what shows
 */
public record KitFrame(
        Mount mount,
        Optional<Aperture> aperture,
        List<Obstruction> inserts,
        Map<String, String> trims,
        Optional<Bracket> left,
        Optional<Bracket> right,
        Length plane,
        Length feet,
        Length bracketPlane,
        Bench bench,
        String finish) {
    public KitFrame {
        inserts = List.copyOf(inserts);
        trims = Map.copyOf(trims);
    }

    /** A screen's own feet, and no kit. */
    public static KitFrame onFeet(Length feet) {
        Length none = Length.of(feet.field(), 0, feet.origin(), 0);
        return new KitFrame(
                Mount.FRONT,
                Optional.empty(),
                List.of(),
                Map.of(),
                Optional.empty(),
                Optional.empty(),
                none,
                feet,
                none,
                new Bench(List.of(), 0, 0, "", List.of(), List.of(), List.of()),
                "");
    }

    /** What a kit is; a front stands on feet before the panel, a top on the dash. */
    public enum Mount {
        FRAME,
        ISO,
        SLEEVE,
        FRONT,
        TOP
    }

    /** What the face comes through. */
    public record Aperture(Length x, Length y, Length width, Length height) {}

    /** A bracket with its slots. @param flip whether it may be put in upside down; empty: nobody knows */
    public record Bracket(String mark, double height, double thickness, Optional<Boolean> flip, List<Slot> slots) {
        public Bracket {
            slots = List.copyOf(slots);
        }
    }

    /** From the bracket plane. @param countersunk whether it takes a countersunk head */
    public record Slot(String id, double z0, double z1, double y0, double y1, boolean countersunk) {}

    /**
     * What is done at the bench.
     *
     * @param keep   factory parts that move over: clips, brackets, their screws
     * @param screws a side; 0 where the sheet says nothing
     * @param clips  how many; 0 where the sheet says nothing
     * @param pull   how they go in: "straight", "lower edge first"
     * @param rings  closed rings that leads go through first
     * @param tabs   of a sleeve
     * @param screwsOut screws of the car of which not all go back
     */
    public record Bench(
            List<String> keep,
            int screws,
            int clips,
            String pull,
            List<String> rings,
            List<Tab> tabs,
            List<ScrewsOut> screwsOut) {
        public Bench {
            keep = List.copyOf(keep);
            rings = List.copyOf(rings);
            tabs = List.copyOf(tabs);
            screwsOut = List.copyOf(screwsOut);
        }
    }

    /**
     * Screws of the car that a kit does not put back.
     *
     * @param of   part and group as the vehicle's strip-down has them: "radio/rear"
     * @param back how many go back
     * @param to   where the others go; an empty text where they are spare
     */
    public record ScrewsOut(String of, int back, String to) {}

    /** A tab of a sleeve. @param wall mm to the wall it is to grip @param reach mm that it folds out */
    public record Tab(String id, Length wall, Length reach) {}
}
