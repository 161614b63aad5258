package velvetbezel.controls;

import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.function.CarFunction;
import velvetbezel.function.Catalogue;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.harness.SettingId;
import velvetbezel.sheet.Choice;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.Guard;
import velvetbezel.sheet.HowSet;
import velvetbezel.sheet.KeyPress;
import velvetbezel.sheet.Rule;

/**
 * What a device is told to do at each press of each button.
 *
 * @param unreachable commands that the radio knows and no press gives
 */
public record ButtonMap(Instance device, List<Cell> cells, List<String> unreachable) {
    /** Commands that go on as long as their button is held (common practice, no source). */
    private static final Set<String> REPEATING = Set.of("volume up", "volume down");

    private static final String DELIVERED = "as delivered";

    public ButtonMap {
        cells = List.copyOf(cells);
        unreachable = List.copyOf(unreachable);
    }

    /** What is noteworthy about a press. */
    public enum Finding {
        /** Its device gives no choice. */
        FIXED,
        /** It does nothing. */
        IDLE,
        /** Another press does the same. */
        TWICE,
        /** Its short press goes on while it is held, so a long one never comes about. */
        REPEATS,
        /** Nothing in this kit understands its command. */
        UNHEARD,
        /** The car acts on this button by itself. */
        CAR_TOO
    }

    /** One press. */
    public record Cell(KeyPress press, Decision decision, Set<Finding> findings) {
        public String command() {
            return decision.value().orElse(KeyPress.NOTHING);
        }
    }

    /** @param set the installation with everything that is decided */
    public static List<ButtonMap> of(Installation set, SetUpPlan plan) {
        return set.instances().stream()
                .filter(i ->
                        i.device().settings().stream().anyMatch(c -> c.press().isPresent()))
                .map(i -> of(set, i, plan.presses()))
                .toList();
    }

    private static ButtonMap of(Installation set, Instance device, List<Decision> presses) {
        List<Cell> bare = new ArrayList<>();
        for (Choice c : device.device().settings())
            c.press().ifPresent(p -> presses.stream()
                    .filter(d -> d.id().equals(new SettingId(device.id(), c.name())))
                    .findFirst()
                    .ifPresent(d -> bare.add(new Cell(p, d, Set.of()))));
        Set<String> heard = heard(set.instances().stream().filter(i -> i != device));
        Set<String> byCar = heard(set.instances().stream().filter(i -> i.owner() == Instance.Owner.CAR));
        List<Cell> cells = bare.stream()
                .map(c -> new Cell(c.press, c.decision, findings(c, bare, device, heard, byCar)))
                .toList();
        return new ButtonMap(device, cells, unreachable(set, cells));
    }

    private static Set<Finding> findings(
            Cell cell, List<Cell> all, Instance device, Set<String> heard, Set<String> byCar) {
        Set<Finding> findings = EnumSet.noneOf(Finding.class);
        String command = cell.command();
        if (cell.press.fixed().isPresent()) findings.add(Finding.FIXED);
        if (byCar.contains("button." + cell.press.button())) findings.add(Finding.CAR_TOO);
        if (command.equals(KeyPress.NOTHING)) {
            // a long press that does nothing is the usual thing
            if (!cell.press.held()) findings.add(Finding.IDLE);
            return findings;
        }
        if (all.stream().anyMatch(c -> c != cell && c.command().equals(command))) findings.add(Finding.TWICE);
        boolean goesOn = all.stream()
                .anyMatch(c -> !c.press.held()
                        && c.press.button().equals(cell.press.button())
                        && REPEATING.contains(c.command()));
        if (cell.press.held() && goesOn) findings.add(Finding.REPEATS);
        if (sends(device, cell).filter(s -> !heard.contains(s)).isPresent()) findings.add(Finding.UNHEARD);
        return findings;
    }

    /** The message of a press; empty where its command is none. */
    private static Optional<String> sends(Instance device, Cell cell) {
        Guard.Setting chosen = new Guard.Setting(cell.decision.id().setting(), cell.command());
        return device.device().rules().stream()
                .filter(r -> r.when().parts().anyMatch(chosen::equals))
                .map(Rule::then)
                .flatMap(List::stream)
                .filter(Effect.Emit.class::isInstance)
                .map(e -> ((Effect.Emit) e).signal())
                .findFirst();
    }

    /** Messages that any of these devices listens for. */
    static Set<String> heard(Stream<Instance> devices) {
        return devices.flatMap(
                        i -> i.device().rules().stream().flatMap(r -> i.device().parts(r.when())))
                .filter(Guard.Hears.class::isInstance)
                .map(g -> ((Guard.Hears) g).signal())
                .collect(Collectors.toSet());
    }

    private static List<String> unreachable(Installation set, List<Cell> cells) {
        Set<String> given = cells.stream().map(Cell::command).collect(Collectors.toSet());
        Set<String> known =
                new LinkedHashSet<>(heard(set.instances().stream().filter(i -> i.owner() == Instance.Owner.RADIO)));
        return known.stream()
                .filter(s -> s.startsWith(KeyPress.COMMAND))
                .map(s -> s.substring(KeyPress.COMMAND.length()))
                .filter(c -> !given.contains(c))
                .sorted()
                .toList();
    }

    /** Functions that are wanted at a button and do not come about. */
    public static List<FunctionId> missed(
            Catalogue catalogue, Collection<FunctionId> wanted, Map<FunctionId, Kind> kinds) {
        Set<FunctionId> asked = new HashSet<>(wanted);
        return catalogue.functions().stream()
                .filter(f -> asked.contains(f.id()) && !f.pressed().isEmpty())
                .map(CarFunction::id)
                .filter(f -> Optional.ofNullable(kinds.get(f))
                        .filter(k -> !k.works() && k != Kind.UNKNOWN)
                        .isPresent())
                .toList();
    }

    /** All buttons of a device as one setting: they are loaded together. */
    static Decision decision(String instance, List<Decision> presses) {
        List<Decision> otherwise =
                presses.stream().filter(d -> !d.asDelivered()).toList();
        String value = otherwise.isEmpty()
                ? DELIVERED
                : otherwise.stream().map(ButtonMap::words).collect(Collectors.joining("; "));
        Set<FunctionId> lost = new LinkedHashSet<>();
        otherwise.forEach(d -> lost.addAll(d.lostWhileUnset()));
        return new Decision(
                new SettingId(instance, SetUpPlan.BUTTON_MAP),
                presses.get(0).how(),
                HowSet.Moment.BEFORE_POWER,
                DELIVERED,
                List.of(DELIVERED, value),
                new Decision.Wanted.Value(value),
                otherwise.isEmpty()
                        ? new Decision.Ground.ByDefault()
                        : otherwise.get(0).ground(),
                List.copyOf(lost));
    }

    private static String words(Decision d) {
        return "%s: %s".formatted(label(d), d.value().orElse(KeyPress.NOTHING));
    }

    private static String label(Decision d) {
        String name = d.id().setting();
        return name.substring(name.indexOf(' ') + 1);
    }
}
