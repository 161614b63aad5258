package velvetbezel.match;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import velvetbezel.sheet.Sheet;

/**
 * A radio that is no part of a kit because something it needs is not in the library.
 *
 * @param things what is not there
 */
public record Lacking(Sheet.Radio radio, List<Thing> things) {
    /**
     * @param need  empty for a part that the job wants beside what a kit needs
     * @param words what is looked for, for a sentence that says it is not there
     */
    public record Thing(Optional<KitNeed> need, String words) {}

    public Lacking {
        things = List.copyOf(things);
    }

    /** Nothing lacks where the list is empty. */
    static Lacking of(Sheet.Vehicle vehicle, Sheet.Radio radio, List<Sheet.Part> parts, KitDecisions decisions) {
        Stream<Thing> needs = Slots.needs(vehicle, radio).stream()
                .filter(n -> !decisions.fill(vehicle, radio, n))
                .filter(n ->
                        decisions.of(n.kind()).isPresent() || parts.stream().noneMatch(n.fits()))
                .map(n -> new Thing(Optional.of(n.kind()), n.words()));
        Stream<Thing> also = decisions.also().stream()
                .filter(k -> parts.stream().noneMatch(p -> p.kind() == k))
                .map(k -> new Thing(Optional.empty(), "%s is in the library".formatted(k.label())));
        return new Lacking(radio, Stream.concat(needs, also).toList());
    }
}
