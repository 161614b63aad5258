package velvetbezel.simulate;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.Optional;

/**
 * One message on the line: COBS(type, sequence number, length of the payload in two bytes, payload, CRC-16 of all before),
 * ended by a zero. Numbers have their high byte first. The length is needed beside the CRC: a CRC-16 stays right when a
 * zero byte is appended, and damaged COBS can append one.
 */
record Frame(Type type, int seq, byte[] payload) {
    private static final int HEAD = 4;
    private static final int CRC = 2;

    /** In the order of their numbers on the line. */
    enum Type {
        IDENTIFY,
        BEGIN,
        BLOCK,
        CHECK,
        READ,
        COMMIT,
        UNDO,
        OK,
        REFUSED
    }

    /** As it goes over the line. */
    byte[] bytes() {
        ByteBuffer body = ByteBuffer.allocate(HEAD + payload.length + CRC);
        body.put((byte) type.ordinal())
                .put((byte) seq)
                .putShort((short) payload.length)
                .put(payload);
        body.putShort((short) Crc16.of(body.array(), HEAD + payload.length));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.writeBytes(Cobs.encode(body.array()));
        out.write(0);
        return out.toByteArray();
    }

    /** What stood between two zeros; empty where it is no whole frame. */
    static Optional<Frame> read(byte[] coded) {
        return Cobs.decode(coded).flatMap(Frame::checked);
    }

    private static Optional<Frame> checked(byte[] body) {
        if (body.length < HEAD + CRC) return Optional.empty();
        ByteBuffer in = ByteBuffer.wrap(body);
        int type = in.get() & 0xFF;
        int seq = in.get() & 0xFF;
        int length = in.getShort() & 0xFFFF;
        boolean whole = length == body.length - HEAD - CRC
                && type < Type.values().length
                && Crc16.of(body, HEAD + length) == (in.getShort(HEAD + length) & 0xFFFF);
        return whole
                ? Optional.of(new Frame(Type.values()[type], seq, Arrays.copyOfRange(body, HEAD, HEAD + length)))
                : Optional.empty();
    }

    /** The same message, sent once more. */
    boolean same(Frame other) {
        return type == other.type && seq == other.seq && Arrays.equals(payload, other.payload);
    }
}
