package velvetbezel.match;

import java.util.ArrayList;
import java.util.List;
import velvetbezel.sheet.Sheet;

/**
 * A radio that is no part of a kit because something it needs is not in the library.
 *
 * @param things   what is not there, in words
 * @param there    one part of every other kind it needs
 * @param byHand   whether all that is not there can be made by hand or be an own part: all but what joins plugs
 */
public record Lacking(Sheet.Radio radio, List<String> things, List<Sheet.Part> there, boolean byHand) {
    public Lacking {
        things = List.copyOf(things);
        there = List.copyOf(there);
    }

    /** Nothing lacks where the list is empty. */
    static Lacking of(Sheet.Vehicle vehicle, Sheet.Radio radio, List<Sheet.Part> parts) {
        List<String> things = new ArrayList<>();
        List<Sheet.Part> there = new ArrayList<>();
        boolean byHand = true;
        for (Slots.Need need : Slots.needs(vehicle, radio)) {
            List<Sheet.Part> here = parts.stream().filter(need.fits()).toList();
            if (!here.isEmpty()) there.add(here.get(0));
            else if (!need.mayBeEmpty()) {
                things.add(need.words());
                byHand &= !need.joinsPlugs();
            }
        }
        return new Lacking(radio, things, there, byHand);
    }
}
