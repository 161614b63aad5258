package velvetbezel.strip;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.strip.Behind;
import velvetbezel.sheet.strip.Circuit;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.ItemConnector;
import velvetbezel.sheet.strip.ItemPosition;
import velvetbezel.sheet.strip.Lever;
import velvetbezel.sheet.strip.Minutes;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.sheet.strip.VehicleFacts;

/** Single answers about a car that would free a way, or shorten one: each is planned, none is guessed. */
final class Relaxations {
    private static final Provenance SUPPOSED = Provenance.of(Provenance.Origin.ASSUMED);
    private final Planner planner;
    private final StripDown strip;
    private final Wanted wanted;
    private final CarState from;
    private final List<StripPlan.Relaxation> found = new ArrayList<>();

    Relaxations(Planner planner, StripDown strip, Wanted wanted, CarState from) {
        this.planner = planner;
        this.strip = strip;
        this.wanted = wanted;
        this.from = from;
    }

    /** Demands without which there is an order, the one with the fewest changes first. */
    List<StripPlan.Relaxation> all() {
        lever();
        for (DashItem item : strip.items()) {
            if (item.pins()) item(StripPlan.Relaxation.Kind.PART_RESTS, item, Relaxations::resting);
            for (ItemConnector c : item.connectors()) connector(item, c);
        }
        found.sort(Comparator.comparingInt(StripPlan.Relaxation::changes));
        return List.copyOf(found);
    }

    /**
     * The one question that saves most: whether a part that has to be away may hang on its leads instead.
     *
     * @param changes of the order that there is now
     */
    Optional<StripPlan.Relaxation> question(int changes) {
        for (DashItem item : strip.items())
            for (Behind b : item.behind())
                if (b.atLeast() == ItemPosition.AWAY && hangs(b))
                    tryIt(
                            StripPlan.Relaxation.Kind.REACHED_WHILE_LOOSE,
                            item.id() + " behind " + b.item(),
                            strip.withItems(replace(item, reachedWhileLoose(item, b))));
        found.sort(Comparator.comparingInt(StripPlan.Relaxation::changes));
        return found.stream().filter(r -> r.changes() < changes).findFirst();
    }

    private boolean hangs(Behind b) {
        return strip.item(b.item()).filter(i -> !i.connectors().isEmpty()).isPresent();
    }

    private void lever() {
        Lever lever = new Dash(strip).lever().filter(l -> !l.manual()).orElse(null);
        if (lever == null) return;
        if (lever.needsBattery())
            tryIt(
                    StripPlan.Relaxation.Kind.LEVER_WITHOUT_BATTERY,
                    "",
                    with(new Lever(
                            lever.key(),
                            lever.footBrake(),
                            new Fact.Known<>(false, SUPPOSED),
                            lever.release(),
                            false)));
        if (lever.release().isEmpty())
            tryIt(
                    StripPlan.Relaxation.Kind.MECHANICAL_RELEASE,
                    "",
                    with(new Lever(
                            lever.key(),
                            lever.footBrake(),
                            lever.battery(),
                            Optional.of(new Lever.MechanicalRelease(new Minutes(1, 2, 4), List.of())),
                            false)));
    }

    private StripDown with(Lever lever) {
        VehicleFacts f = strip.facts();
        return new StripDown(
                strip.items(),
                strip.works(),
                strip.extras(),
                new VehicleFacts(
                        Optional.of(lever),
                        f.batteries(),
                        f.radioCode(),
                        f.startUp(),
                        f.waitAfterOff(),
                        f.popUps(),
                        f.forgets()));
    }

    private void connector(DashItem item, ItemConnector c) {
        if (c.circuit() == Circuit.AIRBAG)
            item(
                    StripPlan.Relaxation.Kind.NO_AIRBAG_PLUG,
                    c.id().toString(),
                    item,
                    i -> with(i, c, c.gives(), Circuit.PLAIN));
        if (!c.gives().isEmpty())
            item(
                    StripPlan.Relaxation.Kind.FUNCTION_ELSEWHERE,
                    c.id().toString(),
                    item,
                    i -> with(i, c, Set.of(), c.circuit()));
    }

    private void item(StripPlan.Relaxation.Kind kind, DashItem item, UnaryOperator<DashItem> change) {
        item(kind, item.id().name(), item, change);
    }

    private void item(StripPlan.Relaxation.Kind kind, String of, DashItem item, UnaryOperator<DashItem> change) {
        tryIt(kind, of, strip.withItems(replace(item, change.apply(item))));
    }

    private List<DashItem> replace(DashItem old, DashItem other) {
        return strip.items().stream()
                .map(i -> i.id().equals(old.id()) ? other : i)
                .toList();
    }

    private void tryIt(StripPlan.Relaxation.Kind kind, String of, StripDown other) {
        planner.plan(other, wanted, from, false)
                .found()
                .ifPresent(o -> found.add(new StripPlan.Relaxation(kind, of, o.changes())));
    }

    private static DashItem resting(DashItem i) {
        return copy(i, i.connectors(), i.behind(), new Fact.Known<>(true, SUPPOSED));
    }

    private static DashItem with(DashItem i, ItemConnector old, Set<String> gives, Circuit circuit) {
        ItemConnector other = new ItemConnector(
                old.id(),
                old.unlock(),
                old.lock(),
                circuit,
                old.supply(),
                old.reach(),
                old.behind(),
                gives,
                old.plug());
        List<ItemConnector> connectors = i.connectors().stream()
                .map(c -> c.id().equals(old.id()) ? other : c)
                .toList();
        return copy(i, connectors, i.behind(), i.rests());
    }

    private static DashItem reachedWhileLoose(DashItem i, Behind away) {
        List<Behind> behind = i.behind().stream()
                .map(b -> b.equals(away) ? new Behind(b.item(), ItemPosition.LOOSE) : b)
                .toList();
        return copy(i, i.connectors(), behind, i.rests());
    }

    private static DashItem copy(DashItem i, List<ItemConnector> connectors, List<Behind> behind, Fact<Boolean> rests) {
        return new DashItem(
                i.id(),
                i.kind(),
                i.area(),
                i.fasteners(),
                i.clips(),
                connectors,
                behind,
                i.clear(),
                rests,
                i.liesAside(),
                i.returns(),
                i.openedBy(),
                i.uses(),
                i.minutes(),
                i.breaks(),
                i.pictures());
    }
}
