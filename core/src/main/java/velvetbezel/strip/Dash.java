package velvetbezel.strip;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.strip.Behind;
import velvetbezel.sheet.strip.ConnectorOf;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.FastenerGroup;
import velvetbezel.sheet.strip.GroupOf;
import velvetbezel.sheet.strip.ItemConnector;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.sheet.strip.ItemKind;
import velvetbezel.sheet.strip.ItemPosition;
import velvetbezel.sheet.strip.Lever;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.sheet.strip.Work;
import velvetbezel.state.StateField;

/** A sheet's strip-down with its parts, plugs and works at hand by name, and what hides what. */
final class Dash {
    /** Where nobody said how the lever is moved: the worse case of everything. */
    private static final Lever UNSAID = new Lever(
            Fact.missing(new FieldRef("", "strip.facts.lever.key")),
            Fact.missing(new FieldRef("", "strip.facts.lever.foot brake")),
            Fact.missing(new FieldRef("", "strip.facts.lever.battery")),
            Optional.empty(),
            false);

    private final StripDown strip;
    private final Map<ItemId, DashItem> items = new LinkedHashMap<>();
    private final Map<ConnectorOf, ItemConnector> connectors = new LinkedHashMap<>();
    private final Map<GroupOf, FastenerGroup> groups = new HashMap<>();
    private final Map<String, Work> works = new LinkedHashMap<>();
    private final Map<String, Set<ConnectorOf>> givers = new HashMap<>();
    private final Map<ItemId, List<ItemId>> hides = new HashMap<>();

    Dash(StripDown strip) {
        this.strip = strip;
        for (DashItem i : strip.items()) {
            items.put(i.id(), i);
            i.fasteners().forEach(g -> groups.put(new GroupOf(i.id(), g.id()), g));
            for (ItemConnector c : i.connectors()) {
                connectors.put(c.id(), c);
                c.gives().forEach(f -> givers.computeIfAbsent(f, x -> new TreeSet<>())
                        .add(c.id()));
            }
            i.hiders().forEach(b -> hides.computeIfAbsent(b.item(), x -> new ArrayList<>())
                    .add(i.id()));
        }
        strip.works().forEach(w -> works.put(w.id(), w));
    }

    StripDown strip() {
        return strip;
    }

    DashItem item(ItemId id) {
        return items.get(id);
    }

    boolean has(ItemId id) {
        return items.containsKey(id);
    }

    Iterable<DashItem> items() {
        return items.values();
    }

    Optional<ItemConnector> connector(ConnectorOf id) {
        return Optional.ofNullable(connectors.get(id));
    }

    Optional<FastenerGroup> group(GroupOf id) {
        return Optional.ofNullable(groups.get(id));
    }

    Optional<Work> work(String id) {
        return Optional.ofNullable(works.get(id));
    }

    Iterable<Work> works() {
        return works.values();
    }

    /** Plugs that give a function of the car. */
    Set<ConnectorOf> givers(String function) {
        return givers.getOrDefault(function, Set.of());
    }

    /** Parts that this one is in front of. */
    List<ItemId> hiddenBy(ItemId id) {
        return hides.getOrDefault(id, List.of());
    }

    int batteries() {
        return strip.facts().batteryCount();
    }

    /** The lever's facts; empty where nothing of this dash moves it. */
    Optional<Lever> lever() {
        if (strip.facts().lever().isPresent()) return strip.facts().lever();
        boolean asked = strip.items().stream().anyMatch(i -> i.clear().containsKey(StateField.GEAR))
                || strip.works().stream().anyMatch(w -> w.needs().containsKey(StateField.GEAR));
        return asked ? Optional.of(UNSAID) : Optional.empty();
    }

    /** Whether the key stays in the lock while the lever is out of park. */
    boolean parkInterlock() {
        return lever().filter(l -> !l.manual()).isPresent();
    }

    static boolean reached(Behind behind, CarState car) {
        return car.position(behind.item()).compareTo(behind.atLeast()) >= 0;
    }

    /** The first part in front that is not yet where it has to be. */
    static Optional<ItemId> cover(List<Behind> behind, CarState car) {
        return behind.stream().filter(b -> !reached(b, car)).map(Behind::item).findFirst();
    }

    /** Where a plug's part has to be before a hand gets to the plug. */
    boolean inReach(ItemConnector connector, CarState car) {
        return items.get(connector.id().item()).kind() == ItemKind.FIXED
                || connector.reach() == ItemPosition.HOME
                || car.position(connector.id().item()) != ItemPosition.HOME;
    }
}
