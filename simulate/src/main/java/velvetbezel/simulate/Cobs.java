package velvetbezel.simulate;

import java.io.ByteArrayOutputStream;
import java.util.Optional;

/**
 * Consistent overhead byte stuffing (Cheshire and Baker, 1999): bytes written without a zero, so that a zero can end a
 * frame. Each block begins with the distance to the next zero.
 */
final class Cobs {
    private static final int FULL = 0xFF;

    private Cobs() {}

    static byte[] encode(byte[] bytes) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ByteArrayOutputStream block = new ByteArrayOutputStream();
        for (byte b : bytes) {
            if (b != 0) block.write(b);
            // a full block ends without a zero of its own
            if (b == 0 || block.size() == FULL - 1) flush(out, block);
        }
        flush(out, block);
        return out.toByteArray();
    }

    private static void flush(ByteArrayOutputStream out, ByteArrayOutputStream block) {
        out.write(block.size() + 1);
        out.writeBytes(block.toByteArray());
        block.reset();
    }

    /** Empty where it is no such coding. */
    static Optional<byte[]> decode(byte[] coded) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        int at = 0;
        while (at < coded.length) {
            int code = coded[at] & 0xFF;
            if (code == 0 || at + code > coded.length) return Optional.empty();
            for (int i = 1; i < code; i++) {
                if (coded[at + i] == 0) return Optional.empty();
                out.write(coded[at + i]);
            }
            at += code;
            if (code < FULL && at < coded.length) out.write(0);
        }
        return Optional.of(out.toByteArray());
    }
}
