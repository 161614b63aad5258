package velvetbezel.sheet.fit;

import java.util.List;
import java.util.Optional;

/**
 * A radio's body, from the face's lower left corner, seen from the front; z from the face's front plane. All in mm.
 *
 * @param thickness of the face before the chassis
 * @param knobs     how far they stand before the face
 * @param ring      width of the trim ring that comes with it, a side; 0 where it has none
 * @param offsetX   how far the chassis stands off the middle of the face
 * @param feet      mm that its own feet hold it before the panel; empty where it has none
 * @param rear      boxes behind the chassis: a heat-sink, a fan
 * @param fingers   room that a hand needs beside the face
 * @param things    what comes with it and wants a place of its own
 */
public record RadioBody(
        Length faceWidth,
        Length faceHeight,
        Length thickness,
        Length knobs,
        Length ring,
        Length width,
        Length height,
        Length depth,
        double offsetX,
        double offsetY,
        Optional<Length> feet,
        List<RearBox> rear,
        List<Socket> sockets,
        List<Hole> holes,
        List<FingerRoom> fingers,
        List<Thing> things) {
    public RadioBody {
        rear = List.copyOf(rear);
        sockets = List.copyOf(sockets);
        holes = List.copyOf(holes);
        fingers = List.copyOf(fingers);
        things = List.copyOf(things);
    }

    /**
     * A socket at the rear.
     *
     * @param x    from the left as seen from the front, of the chassis
     * @param out  how far the plug's housing stands out
     * @param bend room that its leads need to turn
     */
    public record Socket(String plug, double x, double y, double width, double height, Length out, Length bend) {}

    /** Something that stands out at the rear, placed as a socket is. */
    public record RearBox(String id, double x, double y, double width, double height, Length out) {}

    /** A threaded hole in both sides, or in one. @param most screw length inside, in mm; 0 where nobody stated it */
    public record Hole(int number, String sides, double z, double y, String thread, double most) {}

    /** A slot or socket at one side of the face, and what a hand needs beside it. */
    public record FingerRoom(String what, Side side, double y0, double y1, Length room) {}

    /** A side of the face. */
    public enum Side {
        LEFT,
        RIGHT
    }
}
