package velvetbezel.simulate;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Frames on the line, with the check values of their standards. */
class FrameTest {
    private static byte[] hex(String text) {
        return HexFormat.of().parseHex(text == null ? "" : text.replace(" ", ""));
    }

    /** The check value that the catalogues of CRCs give for both. */
    @Test
    void checksumsOf123456789() {
        byte[] digits = "123456789".getBytes(StandardCharsets.US_ASCII);
        assertEquals(0x29B1, Crc16.of(digits, digits.length));
        assertEquals(0xCBF43926, Flash.crc(digits, digits.length));
    }

    /** Examples of the paper that describes it (Cheshire and Baker, 1999). */
    @ParameterizedTest
    @CsvSource({",01", "00,01 01", "11 22 00 33,03 11 22 02 33", "00 00,01 01 01", "11 00 00 00,02 11 01 01 01"})
    void cobsOfTheUsualExamples(String plain, String coded) {
        assertArrayEquals(hex(coded), Cobs.encode(hex(plain)));
        assertArrayEquals(hex(plain), Cobs.decode(hex(coded)).orElseThrow());
    }

    @Test
    void whateverIsEncodedHasNoZeroAndComesBack() {
        Random random = new Random(11);
        for (int i = 0; i < 2000; i++) {
            byte[] bytes = new byte[random.nextInt(700)];
            random.nextBytes(bytes);
            if (i % 2 == 0) for (int k = 0; k < bytes.length; k++) if (bytes[k] == 0) bytes[k] = 1;
            byte[] coded = Cobs.encode(bytes);
            for (byte b : coded) assertFalse(b == 0);
            assertArrayEquals(bytes, Cobs.decode(coded).orElseThrow());
        }
    }

    @Test
    void frameComesBackAndADamagedOneDoesNot() {
        Random random = new Random(23);
        for (int i = 0; i < 5000; i++) {
            byte[] payload = new byte[random.nextInt(200)];
            random.nextBytes(payload);
            Frame frame = new Frame(Frame.Type.BLOCK, random.nextInt(256), payload);
            byte[] bytes = frame.bytes();
            byte[] coded = Arrays.copyOf(bytes, bytes.length - 1);
            assertTrue(Frame.read(coded).orElseThrow().same(frame));
            int at = random.nextInt(coded.length);
            byte[] damaged = coded.clone();
            damaged[at] ^= (byte) (1 + random.nextInt(255));
            assertFalse(Frame.read(damaged).filter(f -> !f.same(frame)).isPresent());
        }
    }

    /** A CRC-16 alone stays right when a zero is appended: the length is what refuses it. */
    @Test
    void zeroAppendedIsRefusedByTheLength() {
        byte[] coded = new Frame(Frame.Type.CHECK, 7, new byte[] {1, 2, 3}).bytes();
        byte[] body = Cobs.decode(Arrays.copyOf(coded, coded.length - 1)).orElseThrow();
        byte[] longer = Arrays.copyOf(body, body.length + 1);
        assertEquals(0, Crc16.of(body, body.length));
        assertEquals(0, Crc16.of(longer, longer.length));
        assertEquals(Optional.empty(), Frame.read(Cobs.encode(longer)));
    }
}
