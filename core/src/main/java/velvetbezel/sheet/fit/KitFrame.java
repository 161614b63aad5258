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
        String finish) {
    public KitFrame {
        inserts = List.copyOf(inserts);
        trims = Map.copyOf(trims);
    }

    public enum Mount {
        FRAME,
        ISO,
        SLEEVE,
        FRONT,
        TOP
    }

    public record Aperture(Length x, Length y, Length width, Length height) {}

    /** A bracket with its slots. @param flip whether it may be put in upside down; empty: nobody knows */
    public record Bracket(String mark, double height, double thickness, Optional<Boolean> flip, List<Slot> slots) {
        public Bracket {
            slots = List.copyOf(slots);
        }
    }

    /** From the plane that ends at the finished face. */
    public record Slot(String id, double z0, double z1, double y0, double y1) {}
}
