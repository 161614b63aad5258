package velvetbezel.strip;

/** Sets of task numbers as words of 64 bits. */
final class Bits {
    private Bits() {}

    static long[] none(int tasks) {
        return new long[(tasks + 63) >>> 6];
    }

    static boolean has(long[] set, int n) {
        return (set[n >>> 6] & 1L << n) != 0;
    }

    static void add(long[] set, int n) {
        set[n >>> 6] |= 1L << n;
    }

    static void remove(long[] set, int n) {
        set[n >>> 6] &= ~(1L << n);
    }

    static void addAll(long[] set, long[] more) {
        for (int w = 0; w < set.length; w++) set[w] |= more[w];
    }

    static boolean covers(long[] set, long[] part) {
        for (int w = 0; w < set.length; w++) if ((part[w] & ~set[w]) != 0) return false;
        return true;
    }
}
