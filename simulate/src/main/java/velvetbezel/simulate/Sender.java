package velvetbezel.simulate;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;

/**
 * Loads a set-up into an interface: identifies it, sends, has it checked, reads all back and compares, and only then has
 * it put in force. A frame without an answer is sent again; a load that fails is begun anew; what is in force at the
 * end is asked, never guessed.
 */
final class Sender {
    private static final long PATIENCE_MILLIS = 250;
    private static final int RESENDS = 12;
    private static final int LOADS = 3;

    private final Line line;
    private final Consumer<Transfer> progress;
    private final BooleanSupplier cancelled;
    private final FrameReader reader = new FrameReader();
    private int seq;
    private int resends;

    /** No answer, however often it was asked. */
    private static final class Silence extends RuntimeException {
        private static final long serialVersionUID = 1;

        Silence() {
            super("no answer", null, false, false);
        }
    }

    private record Identity(int revision, int count, int length, int crc, String serial) {}

    Sender(Line line, Consumer<Transfer> progress, BooleanSupplier cancelled) {
        this.line = line;
        this.progress = progress;
        this.cancelled = cancelled;
    }

    int resends() {
        return resends;
    }

    /** @param image what is stored, as it is */
    Transfer load(byte[] image, String serial, int revision) {
        Transfer end = new Transfer.Interrupted(Transfer.Reason.TOO_NOISY);
        for (int i = 0; i < LOADS && noisy(end); i++) end = once(image, serial, revision);
        progress.accept(end);
        return end;
    }

    /** Brings the set-up before the one in force back. */
    Transfer undo() {
        Transfer end;
        try {
            identify();
            Frame answer = ask(Frame.Type.UNDO, new byte[0]);
            end = answer.type() == Frame.Type.REFUSED ? refused(answer) : new Transfer.WentBack();
        } catch (PowerCut | Silence e) {
            end = new Transfer.Doubtful();
        }
        progress.accept(end);
        return end;
    }

    private static boolean noisy(Transfer end) {
        return end instanceof Transfer.Interrupted i
                && (i.why() == Transfer.Reason.TOO_NOISY || i.why() == Transfer.Reason.READ_BACK_DIFFERS);
    }

    private Transfer once(byte[] image, String serial, int revision) {
        boolean committing = false;
        int before = 0;
        try {
            Identity who = identify();
            before = who.count;
            progress.accept(new Transfer.Identified(who.serial, who.revision));
            Optional<Transfer> refused = send(image, serial, revision);
            if (refused.isPresent()) return refused.get();
            if (!readBack(image)) return new Transfer.Interrupted(Transfer.Reason.READ_BACK_DIFFERS);
            progress.accept(new Transfer.Compared());
            committing = true;
            Frame answer = ask(Frame.Type.COMMIT, new byte[0]);
            if (answer.type() == Frame.Type.REFUSED) return refused(answer);
            return settled(image, before);
        } catch (PowerCut e) {
            return committing ? new Transfer.Doubtful() : new Transfer.Interrupted(Transfer.Reason.UNPLUGGED);
        } catch (Silence e) {
            return committing ? afterSilence(image, before) : new Transfer.Interrupted(Transfer.Reason.TOO_NOISY);
        }
    }

    /** The commit was not answered: the interface says what is in force, if it says anything. */
    private Transfer afterSilence(byte[] image, int before) {
        try {
            return settled(image, before);
        } catch (PowerCut | Silence e) {
            return new Transfer.Doubtful();
        }
    }

    private Transfer settled(byte[] image, int before) {
        Identity now = identify();
        boolean ours = now.length == image.length && now.crc == Flash.crc(image, image.length) && now.count > before;
        return ours ? new Transfer.InForce() : new Transfer.Interrupted(Transfer.Reason.TOO_NOISY);
    }

    private Optional<Transfer> send(byte[] image, String serial, int revision) {
        byte[] name = serial.getBytes(StandardCharsets.US_ASCII);
        Frame begin = ask(
                Frame.Type.BEGIN,
                ByteBuffer.allocate(10 + name.length)
                        .putInt(image.length)
                        .putInt(Flash.crc(image, image.length))
                        .putShort((short) revision)
                        .put(name)
                        .array());
        if (begin.type() == Frame.Type.REFUSED) return Optional.of(refused(begin));
        for (int at = 0; at < image.length; at += StandIn.BLOCK) {
            if (cancelled.getAsBoolean()) return Optional.of(new Transfer.Interrupted(Transfer.Reason.CANCELLED));
            byte[] part = Arrays.copyOfRange(image, at, Math.min(image.length, at + StandIn.BLOCK));
            Frame block = ask(
                    Frame.Type.BLOCK,
                    ByteBuffer.allocate(4 + part.length).putInt(at).put(part).array());
            if (block.type() == Frame.Type.REFUSED) return Optional.of(refused(block));
            progress.accept(new Transfer.Sending(at + part.length, image.length));
        }
        Frame check = ask(Frame.Type.CHECK, new byte[0]);
        // a damaged block that passed its CRC: what came is not what was sent
        return check.type() == Frame.Type.REFUSED
                ? Optional.of(new Transfer.Interrupted(Transfer.Reason.READ_BACK_DIFFERS))
                : Optional.empty();
    }

    private boolean readBack(byte[] image) {
        for (int at = 0; at < image.length; at += StandIn.BLOCK) {
            int length = Math.min(StandIn.BLOCK, image.length - at);
            Frame answer = ask(
                    Frame.Type.READ,
                    ByteBuffer.allocate(6).putInt(at).putShort((short) length).array());
            if (answer.type() == Frame.Type.REFUSED
                    || !Arrays.equals(answer.payload(), Arrays.copyOfRange(image, at, at + length))) return false;
        }
        return true;
    }

    private Identity identify() {
        ByteBuffer in = ByteBuffer.wrap(ask(Frame.Type.IDENTIFY, new byte[0]).payload());
        int revision = in.getShort() & 0xFFFF;
        int count = in.getInt();
        int length = in.getInt();
        int crc = in.getInt();
        byte[] name = new byte[in.remaining()];
        in.get(name);
        return new Identity(revision, count, length, crc, new String(name, StandardCharsets.US_ASCII));
    }

    private static Transfer refused(Frame answer) {
        return new Transfer.Refused(
                answer.payload().length == 1
                        ? Refusal.of(answer.payload()[0]).orElse(Refusal.MALFORMED)
                        : Refusal.MALFORMED);
    }

    /** Sends until the answer to this very frame comes. */
    private Frame ask(Frame.Type type, byte[] payload) {
        Frame frame = new Frame(type, seq = (seq + 1) & 0xFF, payload);
        for (int i = 0; i <= RESENDS; i++) {
            if (i > 0) resends++;
            line.send(frame.bytes());
            Optional<Frame> answer = answer(frame);
            if (answer.isPresent()) return answer.get();
        }
        throw new Silence();
    }

    /** What comes in pieces is put together until nothing comes any more. */
    private Optional<Frame> answer(Frame to) {
        for (byte[] come = line.receive(PATIENCE_MILLIS); come.length > 0; come = line.receive(PATIENCE_MILLIS))
            for (byte b : come) {
                Optional<Frame> frame = reader.take(b)
                        .filter(f -> f.seq() == to.seq())
                        .filter(f -> f.type() == Frame.Type.OK || f.type() == Frame.Type.REFUSED);
                if (frame.isPresent()) return frame;
            }
        return Optional.empty();
    }
}
