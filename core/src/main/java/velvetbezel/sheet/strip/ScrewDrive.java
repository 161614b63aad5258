package velvetbezel.sheet.strip;

import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import velvetbezel.units.Millimetres;

/** What turns a fastener, or takes it out. */
public sealed interface ScrewDrive {
    /** @param acrossFlats as the standard's series has it: 7, 8, 10 (ISO 272, from memory) */
    record Hex(Millimetres acrossFlats) implements ScrewDrive {}

    /** @param size number of the drive, as in T20 (ISO 10664, from memory) */
    record Hexalobular(int size) implements ScrewDrive {}

    record CrossHead(int number) implements ScrewDrive {}

    record HexSocket(Millimetres acrossFlats) implements ScrewDrive {}

    record Slotted() implements ScrewDrive {}

    record ReleaseKey() implements ScrewDrive {}

    /** A nut of knurled plastic, a collar. */
    record Thread() implements ScrewDrive {}

    record ByHand() implements ScrewDrive {}

    /** For a message about what is none. */
    String ALL = "hex 7, T20, cross 2, hex socket 4, slotted, release key, thread, by hand";

    Pattern SIZED = Pattern.compile("(hex socket|hex|cross|T) ?(\\d{1,2}(?:[.,]\\d{1,2})?)");
    double LEAST_HEX = 3;
    double LEAST_SOCKET = 1.5;
    double MOST_HEX = 36;

    /** Sizes outside 3 to 36 mm, and drives of no size, are none. */
    static Optional<ScrewDrive> find(String text) {
        switch (text) {
            case "slotted":
                return Optional.of(new Slotted());
            case "release key":
                return Optional.of(new ReleaseKey());
            case "thread":
                return Optional.of(new Thread());
            case "by hand":
                return Optional.of(new ByHand());
            default:
                return sized(text);
        }
    }

    private static Optional<ScrewDrive> sized(String text) {
        Matcher m = SIZED.matcher(text);
        if (!m.matches()) return Optional.empty();
        double size = Double.parseDouble(m.group(2).replace(',', '.'));
        return switch (m.group(1)) {
            case "hex" -> hex(size, LEAST_HEX, Hex::new);
            case "hex socket" -> hex(size, LEAST_SOCKET, HexSocket::new);
            case "cross" -> whole(size, 0, 4).map(CrossHead::new);
            default -> whole(size, 1, 60).map(Hexalobular::new);
        };
    }

    private static Optional<ScrewDrive> hex(double size, double least, Function<Millimetres, ScrewDrive> of) {
        return size >= least && size <= MOST_HEX ? Optional.of(of.apply(new Millimetres(size))) : Optional.empty();
    }

    private static Optional<Integer> whole(double size, int least, int most) {
        return size == Math.rint(size) && size >= least && size <= most ? Optional.of((int) size) : Optional.empty();
    }

    /** As people write it: "hex 7", "T20". */
    default String words() {
        if (this instanceof Hex h) return "hex " + plain(h.acrossFlats());
        if (this instanceof HexSocket h) return "hex socket " + plain(h.acrossFlats());
        if (this instanceof Hexalobular h) return "T" + h.size();
        if (this instanceof CrossHead c) return "cross " + c.number();
        if (this instanceof Slotted) return "slotted";
        if (this instanceof ReleaseKey) return "release key";
        return this instanceof Thread ? "thread" : "by hand";
    }

    private static String plain(Millimetres mm) {
        return mm.value() == Math.rint(mm.value()) ? String.valueOf((int) mm.value()) : String.valueOf(mm.value());
    }
}
