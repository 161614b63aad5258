package velvetbezel.sheet.fit;

import java.util.List;

/**
 * A radio's body, from the face's lower left corner, seen from the front; z from the face's front plane.
 *
 * @param thickness of the face before the chassis
 * @param offsetX   how far the chassis stands off the middle of the face
 */
public record RadioBody(
        Length faceWidth,
        Length faceHeight,
        Length thickness,
        Length width,
        Length height,
        Length depth,
        double offsetX,
        double offsetY,
        List<Socket> sockets,
        List<Hole> holes) {
    public RadioBody {
        sockets = List.copyOf(sockets);
        holes = List.copyOf(holes);
    }

    /**
     * A socket at the rear.
     *
     * @param x    from the left as seen from the front, of the chassis
     * @param out  how far the plug's housing stands out
     * @param bend room that its leads need to turn
     */
    public record Socket(String plug, double x, double y, double width, double height, Length out, Length bend) {}

    /** A threaded hole in both sides, or in one. @param most screw length inside, in mm */
    public record Hole(int number, String sides, double z, double y, String thread, double most) {}
}
