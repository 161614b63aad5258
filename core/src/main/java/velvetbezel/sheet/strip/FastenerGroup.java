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
 * @param stays   how many stay out with the kit that goes in
 * @param to      where they go instead: "the new radio"; an empty text where they are spare
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
        Fact<Millimetres> length,
        int stays,
        String to) {
    public FastenerGroup {
        drives = List.copyOf(drives);
        after = Set.copyOf(after);
        behind = List.copyOf(behind);
    }

    /** With a kit in which some are not put back. */
    public FastenerGroup without(int staysOut, String goesTo) {
        return new FastenerGroup(id, kind, drives, count, hidden, mayDrop, after, behind, length, staysOut, goesTo);
    }

    /** "hex 7", or "hex 8 or T25". */
    public String tool() {
        return String.join(" or ", drives.stream().map(ScrewDrive::words).toList());
    }
}
