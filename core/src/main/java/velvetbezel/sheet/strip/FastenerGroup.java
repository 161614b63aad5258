package velvetbezel.sheet.strip;

import java.util.List;
import java.util.Set;
import velvetbezel.sheet.Fact;
import velvetbezel.units.Millimetres;

/**
 * Fasteners of one kind that are undone together.
 *
 * @param kind    "screw", "bolt", "nut", "rivet"
 * @param drives  several where the sheet says "hex 8 or T25, by year"
 * @param hidden  not seen from the seat
 * @param mayDrop falls into the dash when it comes free
 * @param after   groups of the same part that come out first
 * @param behind  parts in front of it, beside those in front of its part
 * @param length  in mm, so that a screw in the hand finds its hole
 */
public record FastenerGroup(
        String id,
        String kind,
        List<ScrewDrive> drives,
        Count count,
        boolean hidden,
        boolean mayDrop,
        Set<String> after,
        List<Behind> behind,
        Fact<Millimetres> length) {
    public FastenerGroup {
        drives = List.copyOf(drives);
        after = Set.copyOf(after);
        behind = List.copyOf(behind);
    }

    /** "hex 7", or "hex 8 or T25". */
    public String tool() {
        return String.join(" or ", drives.stream().map(ScrewDrive::words).toList());
    }
}
