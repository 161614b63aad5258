package velvetbezel.simulate;

import java.io.ByteArrayOutputStream;
import java.util.Optional;

/** Puts bytes from a line together to frames; what is no whole frame is dropped at the next zero. */
final class FrameReader {
    /** Longer than any frame: the rest of a line that lost its zero. */
    private static final int MOST = 1024;

    private final ByteArrayOutputStream coded = new ByteArrayOutputStream();

    /** The frame that this byte ends, if it does. */
    Optional<Frame> take(byte b) {
        if (b != 0) {
            if (coded.size() < MOST) coded.write(b);
            return Optional.empty();
        }
        Optional<Frame> frame = Frame.read(coded.toByteArray());
        coded.reset();
        return frame;
    }
}
