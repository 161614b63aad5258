package velvetbezel.draft;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.draft.Expansion.AssumedValue;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.SheetReader;
import velvetbezel.sheet.SheetTree;

/** Makes long sheets from short ones, with the catalogue of what standard devices do. */
public final class Expander {
    private static final String KINDS = "vehicle, radio, part";

    private Expander() {}

    /** Whether a document is a short sheet. */
    public static boolean isShort(Object tree) {
        return ShortSheet.is(tree);
    }

    /**
     * The long sheet of a short one. The same text and catalogue always give the same sheet.
     *
     * @throws InvalidInput with every fault: unread words, roles nothing stands behind, choices nothing hangs on
     */
    public static Expansion expand(Object tree, Archetypes catalogue) {
        List<InputProblem> faults = new ArrayList<>();
        Expansion expansion = expand(tree, catalogue, faults);
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        return expansion;
    }

    /** What can be made of a sheet that is still being typed. */
    public static Attempt attempt(Object tree, Archetypes catalogue) {
        List<InputProblem> faults = new ArrayList<>();
        Expansion expansion = expand(tree, catalogue, faults);
        ShortSheet sheet = ShortSheet.read(tree, new ArrayList<>());
        boolean car = sheet.kind().equals("vehicle");
        return new Attempt(
                expansion,
                car ? Optional.of(Enough.of(sheet, expansion.open(), faults)) : Optional.empty(),
                sheet.plugs().stream().map(ShortPlug::face).toList(),
                faults.stream().distinct().toList());
    }

    /** As far as it goes: what is wrong is added to the faults, and the rest is expanded all the same. */
    static Expansion expand(Object tree, Archetypes catalogue, List<InputProblem> faults) {
        ShortSheet sheet = ShortSheet.read(tree, faults);
        if (sheet.kind().equals("vehicle")) {
            CarExpander car = new CarExpander(sheet, catalogue, faults);
            Map<String, Object> whole = byHand(sheet, car.tree());
            if (faults.isEmpty()) restsOn(car.pieces().struck(), whole).ifPresent(faults::add);
            return new Expansion(
                    whole,
                    car.pieces().taken(),
                    car.pieces().struck(),
                    assumed(car.pieces().taken(), sheet.numbers().keySet()),
                    car.pieces().open());
        }
        if (!Set.of("radio", "part").contains(sheet.kind())) {
            faults.add(new InputProblem("kind", "\"%s\" is none of %s.".formatted(sheet.kind(), KINDS)));
            return Expansion.NOTHING;
        }
        DeviceExpander device = new DeviceExpander(sheet, catalogue, faults);
        return new Expansion(
                byHand(sheet, device.tree()),
                device.taken(),
                List.of(),
                assumed(device.taken(), sheet.numbers().keySet()),
                device.open());
    }

    /** Whether what is left names something that was struck out. */
    private static Optional<InputProblem> restsOn(List<Archetype> struck, Map<String, Object> whole) {
        if (struck.isEmpty()) return Optional.empty();
        try {
            SheetReader.read(whole);
            return Optional.empty();
        } catch (InvalidInput e) {
            return Optional.of(new InputProblem(
                    ShortSheet.OTHERWISE,
                    "Without \"%s\" the rest cannot be worked out, since it rests on it (%s: %s). Leave it in, or write the difference by hand."
                            .formatted(
                                    struck.stream().map(Archetype::id).collect(Collectors.joining("\" and \"")),
                                    e.faults().get(0).field(),
                                    e.faults().get(0).message())));
        }
    }

    /** What is written out stands over what was expanded. */
    private static Map<String, Object> byHand(ShortSheet sheet, Map<String, Object> tree) {
        Object byHand = sheet.whole().get(ShortSheet.BY_HAND);
        return byHand == null ? tree : Archetypes.object(Patch.apply(SheetTree.copy(tree), SheetTree.copy(byHand)));
    }

    private static List<AssumedValue> assumed(List<Archetype> taken, Set<String> typed) {
        return taken.stream()
                .flatMap(a -> a.params().stream()
                        .filter(p -> !typed.contains(p.name())
                                && p.start() != null
                                && !(p.start() instanceof Map<?, ?> m && m.isEmpty()))
                        .map(p -> new AssumedValue(a.id(), p.name(), words(p.start()), p.unit())))
                .toList();
    }

    private static String words(Object start) {
        return start instanceof Map<?, ?> m && m.get("range") instanceof List<?> range
                ? "%s to %s".formatted(Template.text(range.get(0)), Template.text(range.get(1)))
                : Template.text(start);
    }
}
