package velvetbezel.simulate;

/**
 * CRC-16/CCITT-FALSE: polynomial 0x1021, starting at 0xFFFF, nothing reflected; of "123456789" it is 0x29B1 (the check
 * value of the CRC catalogues).
 */
final class Crc16 {
    private static final int POLYNOMIAL = 0x1021;
    private static final int START = 0xFFFF;

    private Crc16() {}

    /** Of the first bytes. */
    static int of(byte[] bytes, int length) {
        int crc = START;
        for (int i = 0; i < length; i++) {
            crc ^= (bytes[i] & 0xFF) << 8;
            for (int bit = 0; bit < 8; bit++) crc = (crc & 0x8000) == 0 ? crc << 1 : crc << 1 ^ POLYNOMIAL;
        }
        return crc & 0xFFFF;
    }
}
