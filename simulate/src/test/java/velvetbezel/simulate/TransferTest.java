package velvetbezel.simulate;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A set-up on its way into an interface, cut and garbled wherever that can happen: never half of one is in force. */
class TransferTest {
    private static final String SERIAL = "CW-20417";
    private static final int REVISION = 3;
    private static final byte[] OLD = image(600, 1);
    private static final byte[] NEW = image(728, 2);

    private static byte[] image(int length, long seed) {
        byte[] image = new byte[length];
        new Random(seed).nextBytes(image);
        return image;
    }

    private static Transfer load(Flash flash, byte[] image, double garbled, long unplugAfter, long seed) {
        StandIn device = new StandIn(SERIAL, REVISION, flash);
        return new Sender(new SimulatedLine(device, seed, garbled, unplugAfter), t -> {}, () -> false)
                .load(image, SERIAL, REVISION);
    }

    private static Flash loaded(boolean old) {
        Flash flash = new Flash();
        if (old) assertEquals(new Transfer.InForce(), load(flash, OLD, 0, -1, 1));
        return flash;
    }

    private static Optional<byte[]> inForce(Flash flash) {
        return flash.inForce().map(s -> flash.body(s.slot(), 0, s.length()));
    }

    /** 0 for nothing, 1 for the old one, 2 for the new one. */
    private static int which(Flash flash, boolean old) {
        Optional<byte[]> body = inForce(flash);
        if (body.isEmpty()) {
            assertTrue(!old, "the earlier set-up is gone");
            return 0;
        }
        if (Arrays.equals(body.get(), NEW)) return 2;
        assertArrayEquals(OLD, body.get(), "half of one is in force");
        return 1;
    }

    @Test
    void wholeLoadIsReadBackAndInForce() {
        Flash flash = loaded(true);
        List<Transfer> seen = new ArrayList<>();
        StandIn device = new StandIn(SERIAL, REVISION, flash);
        new Sender(new SimulatedLine(device, 1, 0, -1), seen::add, () -> false).load(NEW, SERIAL, REVISION);
        assertEquals(new Transfer.Identified(SERIAL, REVISION), seen.get(0));
        assertEquals(new Transfer.Sending(192, 728), seen.get(1));
        assertEquals(new Transfer.Compared(), seen.get(seen.size() - 2));
        assertEquals(new Transfer.InForce(), seen.get(seen.size() - 1));
        assertArrayEquals(NEW, inForce(flash).orElseThrow());
    }

    /** Unplugged after every single byte, with an earlier set-up and without: old or new, whole; and loading again works. */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void unpluggedAfterAnyByteOldOrNewIsWholeAndLoadingAgainWorks(boolean old) {
        boolean newSeen = false;
        for (long bytes = 0; ; bytes++) {
            Flash flash = loaded(old);
            Transfer end = load(flash, NEW, 0, bytes, 1);
            int now = which(flash, old);
            if (end instanceof Transfer.Interrupted) assertTrue(now != 2, "told as the earlier one");
            if (end instanceof Transfer.InForce) {
                assertEquals(2, now);
                break;
            }
            // along the line, once new always new
            assertTrue(!newSeen || now == 2);
            newSeen |= now == 2;
            assertEquals(new Transfer.InForce(), load(flash, NEW, 0, -1, 1));
            assertEquals(2, which(flash, old));
        }
        assertTrue(newSeen, "a cut after the commit leaves the new one in force");
    }

    /** Power gone at every byte that is written to flash. */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void powerGoneAtAnyByteOfFlashOldOrNewIsWhole(boolean old) {
        for (long writes = 0; ; writes++) {
            Flash flash = loaded(old);
            flash.cutAfter(writes);
            Transfer end = load(flash, NEW, 0, -1, 1);
            flash.cutAfter(-1);
            int now = which(flash, old);
            if (end instanceof Transfer.InForce) {
                assertEquals(2, now);
                // 20 blanked, 728 of the body, 20 of the record
                assertEquals(768, writes);
                return;
            }
            assertEquals(new Transfer.InForce(), load(flash, NEW, 0, -1, 1));
        }
    }

    @ParameterizedTest
    @CsvSource({"0.0001, 100", "0.001, 100", "0.003, 100"})
    void noisyLineLoadsWithSomeFramesSentAgain(double garbled, int runs) {
        for (int run = 0; run < runs; run++) {
            Flash flash = loaded(true);
            assertEquals(new Transfer.InForce(), load(flash, NEW, garbled, -1, run));
            assertEquals(2, which(flash, true));
        }
    }

    /** Where nothing gets through, it gives up; what is in force is whole. */
    @ParameterizedTest
    @ValueSource(doubles = {0.01, 0.03, 0.2})
    void lineTooNoisyGivesUpWithAWholeSetUpInForce(double garbled) {
        for (int run = 0; run < 100; run++) {
            Flash flash = loaded(true);
            Transfer end = load(flash, NEW, garbled, -1, run);
            int now = which(flash, true);
            if (end instanceof Transfer.Interrupted) assertEquals(1, now, end.toString());
            if (end instanceof Transfer.InForce) assertEquals(2, now);
        }
    }

    @ParameterizedTest
    @CsvSource({"CW-20418, 3, WRONG_SERIAL", "CW-20417, 4, WRONG_REVISION"})
    void setUpOfAnotherInterfaceIsRefused(String serial, int revision, Refusal why) {
        Flash flash = loaded(true);
        StandIn device = new StandIn(SERIAL, REVISION, flash);
        Transfer end =
                new Sender(new SimulatedLine(device, 1, 0, -1), t -> {}, () -> false).load(NEW, serial, revision);
        assertEquals(new Transfer.Refused(why), end);
        assertEquals(1, which(flash, true));
    }

    @Test
    void cancelledLoadLeavesTheEarlierSetUp() {
        Flash flash = loaded(true);
        StandIn device = new StandIn(SERIAL, REVISION, flash);
        int[] asked = {0};
        Transfer end = new Sender(new SimulatedLine(device, 1, 0, -1), t -> {}, () -> ++asked[0] > 2)
                .load(NEW, SERIAL, REVISION);
        assertEquals(new Transfer.Interrupted(Transfer.Reason.CANCELLED), end);
        assertEquals(1, which(flash, true));
    }

    @Test
    void frameSentTwiceIsAnsweredTwiceAndDoneOnce() {
        Flash flash = loaded(true);
        StandIn device = new StandIn(SERIAL, REVISION, flash);
        assertEquals(Frame.Type.OK, device.take(begin(1)).type());
        Frame block = new Frame(Frame.Type.BLOCK, 2, new byte[] {0, 0, 0, 0, 9, 9});
        assertEquals(Frame.Type.OK, device.take(block).type());
        assertEquals(Frame.Type.OK, device.take(block).type());
        Frame again = new Frame(Frame.Type.BLOCK, 3, new byte[] {0, 0, 0, 0, 9, 9});
        assertEquals(Refusal.OUT_OF_ORDER.ordinal(), device.take(again).payload()[0]);
    }

    private static Frame begin(int seq) {
        byte[] name = SERIAL.getBytes(StandardCharsets.US_ASCII);
        return new Frame(
                Frame.Type.BEGIN,
                seq,
                ByteBuffer.allocate(10 + name.length)
                        .putInt(2)
                        .putInt(0)
                        .putShort((short) REVISION)
                        .put(name)
                        .array());
    }

    @Test
    void undoBringsTheEarlierSetUpBackWhole() {
        Flash flash = loaded(true);
        load(flash, NEW, 0, -1, 1);
        StandIn device = new StandIn(SERIAL, REVISION, flash);
        assertEquals(
                Frame.Type.OK,
                device.take(new Frame(Frame.Type.UNDO, 1, new byte[0])).type());
        assertArrayEquals(OLD, inForce(flash).orElseThrow());
        assertEquals(3, flash.inForce().orElseThrow().count());
    }

    @Test
    void emptyInterfaceHasNothingToUndo() {
        StandIn device = new StandIn(SERIAL, REVISION, new Flash());
        assertEquals(
                Refusal.NOTHING_BEFORE.ordinal(),
                device.take(new Frame(Frame.Type.UNDO, 1, new byte[0])).payload()[0]);
    }

    @Test
    void payloadOfTheWrongShapeIsRefusedAndNothingIsWritten() {
        Flash flash = loaded(true);
        StandIn device = new StandIn(SERIAL, REVISION, flash);
        assertEquals(
                Refusal.MALFORMED.ordinal(),
                device.take(new Frame(Frame.Type.BEGIN, 1, new byte[] {1, 2})).payload()[0]);
        assertEquals(1, which(flash, true));
    }
}
