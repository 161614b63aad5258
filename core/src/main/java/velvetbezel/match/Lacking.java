package velvetbezel.match;

import java.util.List;
import velvetbezel.sheet.Sheet;

/**
 * A radio that is no part of a kit because something it needs is not in the library.
 *
 * @param things what is not there
 */
public record Lacking(Sheet.Radio radio, List<Thing> things) {
    /** @param words what is looked for, for a sentence that says it is not there */
    public record Thing(KitNeed need, String words) {}

    public Lacking {
        things = List.copyOf(things);
    }

    /** Nothing lacks where the list is empty. */
    static Lacking of(Sheet.Vehicle vehicle, Sheet.Radio radio, List<Sheet.Part> parts, Fillings fillings) {
        return new Lacking(
                radio,
                Slots.needs(vehicle, radio).stream()
                        .filter(n -> !n.mayBeEmpty() && fillings.of(n.kind()).isEmpty())
                        .filter(n -> parts.stream().noneMatch(n.fits()))
                        .map(n -> new Thing(n.kind(), n.words()))
                        .toList());
    }
}
