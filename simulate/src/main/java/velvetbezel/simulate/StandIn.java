package velvetbezel.simulate;

import java.nio.BufferUnderflowException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Optional;

/**
 * A control interface on a line: keeps what it was sent in flash, and answers every whole frame once. A frame that comes
 * again is answered as before and does nothing twice. What is not in flash is gone when power goes.
 */
final class StandIn {
    static final int BLOCK = 192;

    private final String serial;
    private final int revision;
    private final Flash flash;
    private Optional<Begun> begun = Optional.empty();
    private Optional<Frame> last = Optional.empty();
    private Optional<Frame> answer = Optional.empty();

    /** A set-up that is coming in. */
    private record Begun(int slot, int length, int crc, int received) {}

    /** Ends a command that is not done. */
    private static final class Refused extends RuntimeException {
        private static final long serialVersionUID = 1;
        private final transient Refusal why;

        Refused(Refusal why) {
            super(why.name(), null, false, false);
            this.why = why;
        }
    }

    StandIn(String serial, int revision, Flash flash) {
        this.serial = serial;
        this.revision = revision;
        this.flash = flash;
    }

    Frame take(Frame frame) {
        if (last.filter(frame::same).isPresent()) return answer.orElseThrow();
        Frame reply;
        try {
            reply = new Frame(Frame.Type.OK, frame.seq(), done(frame));
        } catch (Refused r) {
            reply = refused(frame, r.why);
        } catch (BufferUnderflowException e) {
            reply = refused(frame, Refusal.MALFORMED);
        }
        last = Optional.of(frame);
        answer = Optional.of(reply);
        return reply;
    }

    private static Frame refused(Frame frame, Refusal why) {
        return new Frame(Frame.Type.REFUSED, frame.seq(), new byte[] {(byte) why.ordinal()});
    }

    private byte[] done(Frame frame) {
        ByteBuffer in = ByteBuffer.wrap(frame.payload());
        return switch (frame.type()) {
            case IDENTIFY -> identify();
            case BEGIN -> begin(in);
            case BLOCK -> block(in);
            case CHECK -> check();
            case READ -> read(in);
            case COMMIT -> commit();
            case UNDO -> undo();
            case OK, REFUSED -> throw new Refused(Refusal.MALFORMED);
        };
    }

    private byte[] identify() {
        byte[] name = serial.getBytes(StandardCharsets.US_ASCII);
        Optional<Flash.Stored> now = flash.inForce();
        return ByteBuffer.allocate(14 + name.length)
                .putShort((short) revision)
                .putInt(now.map(Flash.Stored::count).orElse(0))
                .putInt(now.map(Flash.Stored::length).orElse(0))
                .putInt(now.map(Flash.Stored::crc).orElse(0))
                .put(name)
                .array();
    }

    private byte[] begin(ByteBuffer in) {
        int length = in.getInt();
        int crc = in.getInt();
        int wanted = in.getShort() & 0xFFFF;
        byte[] name = new byte[in.remaining()];
        in.get(name);
        if (wanted != revision) throw new Refused(Refusal.WRONG_REVISION);
        if (!new String(name, StandardCharsets.US_ASCII).equals(serial)) throw new Refused(Refusal.WRONG_SERIAL);
        if (length < 0 || length > Flash.SLOT) throw new Refused(Refusal.TOO_LONG);
        int slot = flash.inForce().map(s -> 1 - s.slot()).orElse(0);
        begun = Optional.empty();
        flash.blank(slot);
        begun = Optional.of(new Begun(slot, length, crc, 0));
        return new byte[0];
    }

    private byte[] block(ByteBuffer in) {
        int offset = in.getInt();
        byte[] part = new byte[in.remaining()];
        in.get(part);
        if (part.length == 0 || part.length > BLOCK) throw new Refused(Refusal.MALFORMED);
        Begun b = begun.orElseThrow(() -> new Refused(Refusal.OUT_OF_ORDER));
        if (offset != b.received) throw new Refused(Refusal.OUT_OF_ORDER);
        if (offset + part.length > b.length) throw new Refused(Refusal.TOO_LONG);
        flash.body(b.slot, offset, part);
        begun = Optional.of(new Begun(b.slot, b.length, b.crc, offset + part.length));
        return new byte[0];
    }

    private Begun whole() {
        Begun b = begun.orElseThrow(() -> new Refused(Refusal.OUT_OF_ORDER));
        if (b.received != b.length || Flash.crc(flash.body(b.slot, 0, b.length), b.length) != b.crc)
            throw new Refused(Refusal.INCOMPLETE);
        return b;
    }

    private byte[] check() {
        whole();
        return new byte[0];
    }

    /** Of what is coming in. */
    private byte[] read(ByteBuffer in) {
        int offset = in.getInt();
        int length = in.getShort() & 0xFFFF;
        Begun b = begun.orElseThrow(() -> new Refused(Refusal.OUT_OF_ORDER));
        if (length > BLOCK || offset < 0 || offset + length > b.received) throw new Refused(Refusal.OUT_OF_ORDER);
        return flash.body(b.slot, offset, length);
    }

    private byte[] commit() {
        Begun b = whole();
        flash.record(b.slot, flash.inForce().map(Flash.Stored::count).orElse(0) + 1, b.length, b.crc);
        begun = Optional.empty();
        return new byte[0];
    }

    /** The other slot comes into force again, under a higher count. */
    private byte[] undo() {
        Flash.Stored now = flash.inForce().orElseThrow(() -> new Refused(Refusal.NOTHING_BEFORE));
        Flash.Stored before = flash.stored(1 - now.slot()).orElseThrow(() -> new Refused(Refusal.NOTHING_BEFORE));
        begun = Optional.empty();
        flash.record(before.slot(), now.count() + 1, before.length(), before.crc());
        return new byte[0];
    }
}
