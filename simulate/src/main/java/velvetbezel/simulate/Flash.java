package velvetbezel.simulate;

import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.Optional;
import java.util.zip.CRC32;

/**
 * Two slots for a set-up and a record of each, written byte by byte; power may go at any of them. In force is the slot
 * with a valid record whose body matches it and whose count is higher.
 */
final class Flash {
    static final int SLOT = 2048;
    private static final int RECORD = 20;
    private static final int SUM_AT = 16;

    private final byte[] bytes = new byte[2 * (SLOT + RECORD)];
    /** So many bytes can still be written before power goes; below zero it never does. */
    private long left = -1;

    /** What is known of a slot. */
    record Stored(int slot, int count, int length, int crc) {}

    Flash() {
        Arrays.fill(bytes, (byte) 0xFF);
    }

    void cutAfter(long writes) {
        left = writes;
    }

    private static int recordAt(int slot) {
        return 2 * SLOT + slot * RECORD;
    }

    private void write(int at, byte b) {
        if (left == 0) throw new PowerCut();
        if (left > 0) left--;
        bytes[at] = b;
    }

    void body(int slot, int offset, byte[] part) {
        for (int i = 0; i < part.length; i++) write(slot * SLOT + offset + i, part[i]);
    }

    byte[] body(int slot, int offset, int length) {
        return Arrays.copyOfRange(bytes, slot * SLOT + offset, slot * SLOT + offset + length);
    }

    void blank(int slot) {
        for (int i = 0; i < RECORD; i++) write(recordAt(slot) + i, (byte) 0xFF);
    }

    /** Its last byte is the moment at which the slot comes into force. */
    void record(int slot, int count, int length, int crc) {
        ByteBuffer record = ByteBuffer.allocate(RECORD);
        record.putInt(count).putInt(length).putInt(crc).putInt(0);
        record.putInt(crc(record.array(), SUM_AT));
        for (int i = 0; i < RECORD; i++) write(recordAt(slot) + i, record.get(i));
    }

    static int crc(byte[] of, int length) {
        CRC32 crc = new CRC32();
        crc.update(of, 0, length);
        return (int) crc.getValue();
    }

    /** Empty where its record or its body is not whole. */
    Optional<Stored> stored(int slot) {
        ByteBuffer record = ByteBuffer.wrap(bytes, recordAt(slot), RECORD).slice();
        byte[] copy = new byte[RECORD];
        record.get(copy);
        record.rewind();
        int count = record.getInt();
        int length = record.getInt();
        int crc = record.getInt();
        record.getInt();
        boolean valid = record.getInt() == crc(copy, SUM_AT) && length >= 0 && length <= SLOT;
        return valid && crc(body(slot, 0, length), length) == crc
                ? Optional.of(new Stored(slot, count, length, crc))
                : Optional.empty();
    }

    Optional<Stored> inForce() {
        Optional<Stored> a = stored(0);
        Optional<Stored> b = stored(1);
        if (a.isEmpty()) return b;
        return b.isPresent() && b.get().count > a.get().count ? b : a;
    }
}
