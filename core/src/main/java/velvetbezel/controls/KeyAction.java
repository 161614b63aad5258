package velvetbezel.controls;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import velvetbezel.function.Catalogue;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.sheet.KeyPress;

/**
 * What a button of the wheel does once a kit is in.
 *
 * @param press whether a short press is acted on; empty where the catalogue asks nothing of it
 * @param hold  the same of a long one
 */
public record KeyAction(String button, Optional<Does> press, Optional<Does> hold) {
    /** What becomes of a press. */
    public enum Does {
        WORKS,
        DEAD,
        UNKNOWN
    }

    /** In the order of the catalogue; a button that neither this car nor the kit knows is left out. */
    public static List<KeyAction> of(Catalogue catalogue, Map<FunctionId, Kind> kinds) {
        return catalogue.functions().stream()
                .flatMap(f -> f.pressed().stream())
                .filter(b -> !b.equals(KeyPress.HELD))
                .distinct()
                .map(b -> new KeyAction(
                        b, does(Set.of(b), catalogue, kinds), does(Set.of(b, KeyPress.HELD), catalogue, kinds)))
                .filter(a -> a.press.isPresent() || a.hold.isPresent())
                .toList();
    }

    private static Optional<Does> does(Set<String> pressed, Catalogue catalogue, Map<FunctionId, Kind> kinds) {
        return catalogue.functions().stream()
                .filter(f -> f.pressed().equals(pressed))
                .flatMap(f -> Optional.ofNullable(kinds.get(f.id())).stream())
                .filter(k -> k != Kind.ABSENT)
                .map(k -> k.works() ? Does.WORKS : k == Kind.UNKNOWN ? Does.UNKNOWN : Does.DEAD)
                .findFirst();
    }

    /** How many buttons act on a short press. */
    public static int working(Catalogue catalogue, Map<FunctionId, Kind> kinds) {
        return (int) of(catalogue, kinds).stream()
                .filter(a -> a.press.equals(Optional.of(Does.WORKS)))
                .count();
    }
}
