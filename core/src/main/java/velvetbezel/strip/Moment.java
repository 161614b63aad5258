package velvetbezel.strip;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import velvetbezel.sheet.strip.Battery;
import velvetbezel.sheet.strip.Behind;
import velvetbezel.sheet.strip.Circuit;
import velvetbezel.sheet.strip.ConnectorOf;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.FastenerGroup;
import velvetbezel.sheet.strip.GroupOf;
import velvetbezel.sheet.strip.ItemConnector;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.sheet.strip.ItemKind;
import velvetbezel.sheet.strip.ItemPosition;
import velvetbezel.sheet.strip.VehicleFacts;
import velvetbezel.sheet.strip.Work;
import velvetbezel.sheet.strip.WorkPhase;
import velvetbezel.state.StateField;

/** One step of a run with the car before and after it: whatever a guard may ask. */
final class Moment {
    final Dash dash;
    final StripStep step;
    final CarState before;
    final CarState after;
    private final RunFacts run;

    /**
     * What holds of a whole run.
     *
     * @param needed   parts that are opened for what is wanted
     * @param early    parts that may be fastened before the test
     * @param counted  whether fasteners are counted in it at all
     * @param later    works that are still done later in it
     * @param passed   parts that come loose in it with the vehicle as they need it
     */
    record RunFacts(
            Wanted wanted,
            Set<ItemId> needed,
            Set<ItemId> early,
            boolean counted,
            Set<String> later,
            Set<ItemId> passed) {}

    Moment(Dash dash, StripStep step, CarState before, CarState after, RunFacts run) {
        this.dash = dash;
        this.step = step;
        this.before = before;
        this.after = after;
        this.run = run;
    }

    boolean holds(StripGuard guard) {
        if (guard instanceof StripGuard.Not n) return !holds(n.of());
        if (guard instanceof StripGuard.Any a) return a.of().stream().anyMatch(this::holds);
        if (guard instanceof StripGuard.Word w) return w.in().contains((w.after() ? after : before).word(w.field()));
        if (guard instanceof StripGuard.Changes c) return changes(c);
        if (guard instanceof StripGuard.Clamp c) return clamp(c);
        return holds((StripGuard.Circumstance) guard);
    }

    private boolean changes(StripGuard.Changes c) {
        String was = before.word(c.field());
        String is = after.word(c.field());
        return !was.equals(is)
                && (c.from().isEmpty() || c.from().contains(was))
                && (c.to().isEmpty() || c.to().contains(is));
    }

    private boolean clamp(StripGuard.Clamp c) {
        if (!(step instanceof StripStep.SetState s) || !HazardRules.isClamp(s.field())) return false;
        if (before.word(s.field()).equals(s.to())) return false;
        boolean negative = CarState.NEGATIVES.contains(s.field());
        return (c.pole().isEmpty() || c.pole().equals(negative ? "negative" : "positive"))
                && (c.to().isEmpty() || c.to().equals(s.to().equals(CarState.ON) ? "on" : "off"));
    }

    private boolean holds(StripGuard.Circumstance c) {
        return switch (c) {
            case LIVE_BEFORE -> before.live(facts());
            case LIVE_AFTER -> after.live(facts());
            case LIVE_EITHER -> before.live(facts()) || after.live(facts());
            case LIVE_ALL -> before.allLive(facts());
            case OPEN_AIRBAG -> !openAirbags().isEmpty();
            case OPEN_ANY -> !open().isEmpty();
            case TOUCHES_AIRBAG -> touches(Circuit.AIRBAG);
            case TOUCHES_POWERED -> connector().filter(ItemConnector::supply).isPresent();
            case HIGH_VOLTAGE -> touches(Circuit.HIGH_VOLTAGE);
            case HOLDING_BRAKE -> step instanceof StripStep.SetState s && s.footBrake();
            case BY_RELEASE -> step instanceof StripStep.SetState s && s.by() == StripStep.By.RELEASE;
            case LEVER_WRONG_KEY -> dash.lever()
                    .filter(l -> !l.manual() && !l.keyWords().contains(before.word(StateField.KEY)))
                    .isPresent();
            case LEVER_NEEDS_BATTERY -> dash.lever()
                    .filter(l -> !l.manual() && l.needsBattery())
                    .isPresent();
            case LEVER_NEEDS_FOOT -> dash.lever()
                    .filter(l -> !l.manual() && l.needsFoot())
                    .isPresent();
            case LEVER_MANUAL -> !dash.parkInterlock();
            case LEVER_STILL_NEEDED -> !leverNeededBy().isEmpty();
            case BATTERY_COVERED -> batteryCover().isPresent();
            case BATTERY_SHUT_IN -> shutIn().isPresent();
            case LEVER_GONE -> gone(ItemConnector.LEVER, before);
            case PINNED -> pinned().isPresent();
            case NEGATIVES_ON -> someNegativeOn();
            case SOME_BATTERIES -> someBatteries();
            case POWER_WORK_LEFT -> !powerWorksLeft().isEmpty();
            case PLUG_WORK_LEFT -> !worksOfThisPlug().isEmpty();
            case HAS_FASTENERS -> item().filter(i -> !fastenersIn(i).isEmpty()).isPresent();
            case HAS_PLUGS -> item().filter(i -> !plugsOn(i).isEmpty()).isPresent();
            case HAS_OPEN_PLUGS -> item().filter(i -> !plugsOff(i).isEmpty()).isPresent();
            case MAY_DROP -> !mayDrop().isEmpty();
            case BREAKABLE -> item().filter(i -> !i.breaks().isEmpty()).isPresent();
            case UNSURE_COUNT -> item().filter(i -> !unsure(i).isEmpty()).isPresent();
            case RECORDED -> run.counted();
            case COVERED -> cover().isPresent();
            case NOT_CLEAR -> item().filter(i -> !notClear(i).isEmpty()).isPresent();
            case ELECTRIC_DEAD -> item().filter(i -> electricWhy(i).isPresent()).isPresent();
            case OUT_OF_REACH -> outOfReach();
            case UNTESTED -> !before.tested();
            case EARLY -> item().filter(i -> run.early().contains(i.id())).isPresent();
            case BURIED -> !buried().isEmpty();
            case TOO_SOON -> !tooSoon().isEmpty();
            case WORK_CLOSED -> closedFor().isPresent();
            case WORK_DEAD -> !lacking().isEmpty();
            case WAITS -> !waitsFor().isEmpty();
            case POPS_UP -> popUp().isPresent();
            case WAIT_AFTER_OFF -> waits();
            case END_KEY -> !before.word(StateField.KEY).equals(CarState.KEY_OFF);
            case END_LEVER -> dash.parkInterlock()
                    && !before.word(StateField.GEAR).equals(CarState.PARK);
            case END_COLUMN -> !before.word(StateField.COLUMN)
                    .equals(StateField.COLUMN.words().get(0));
            case END_ITEMS -> !notHome().isEmpty();
            case END_TRAY -> left().isPresent();
            case END_NO_EXCHANGE -> !run.wanted().away().isEmpty()
                    && !before.exchanged()
                    && before.trays().groups().size() > 0;
        };
    }

    VehicleFacts facts() {
        return dash.strip().facts();
    }

    // --- what the step is about

    Optional<DashItem> item() {
        if (step instanceof StripStep.Loosen s) return Optional.ofNullable(dash.item(s.item()));
        if (step instanceof StripStep.Lift s) return Optional.ofNullable(dash.item(s.item()));
        if (step instanceof StripStep.PutIn s) return Optional.ofNullable(dash.item(s.item()));
        if (step instanceof StripStep.Fasten s) return Optional.ofNullable(dash.item(s.item()));
        return step instanceof StripStep.Undo s
                ? Optional.ofNullable(dash.item(s.group().item()))
                : Optional.empty();
    }

    Optional<ItemConnector> connector() {
        if (step instanceof StripStep.Unplug s) return dash.connector(s.connector());
        return step instanceof StripStep.PlugIn s ? dash.connector(s.connector()) : Optional.empty();
    }

    Optional<Work> work() {
        return step instanceof StripStep.DoWork s ? dash.work(s.work()) : Optional.empty();
    }

    private boolean touches(Circuit circuit) {
        return connector().filter(c -> c.circuit() == circuit).isPresent();
    }

    /** Whether the school lets this plug be moved with the battery on: plain, and not of a part that is exchanged. */
    boolean mayMoveLive() {
        return run.wanted().school().plainPlugsLive()
                && connector()
                        .filter(c -> c.circuit() == Circuit.PLAIN)
                        .filter(c -> dash.item(c.id().item()).kind() != ItemKind.RADIO)
                        .isPresent();
    }

    // --- plugs

    List<ConnectorOf> open() {
        return before.off().stream().sorted().toList();
    }

    List<ConnectorOf> openAirbags() {
        return open().stream()
                .filter(c -> dash.connector(c)
                        .filter(o -> o.circuit() == Circuit.AIRBAG)
                        .isPresent())
                .toList();
    }

    List<ConnectorOf> plugsOn(DashItem item) {
        return item.connectors().stream()
                .map(ItemConnector::id)
                .filter(c -> !before.off().contains(c))
                .toList();
    }

    List<ConnectorOf> plugsOff(DashItem item) {
        return item.connectors().stream()
                .map(ItemConnector::id)
                .filter(before.off()::contains)
                .toList();
    }

    boolean gone(String function, CarState car) {
        return dash.givers(function).stream().anyMatch(car.off()::contains);
    }

    private boolean outOfReach() {
        if (step instanceof StripStep.Lift s) return before.position(s.item()) == ItemPosition.HOME;
        return connector().filter(c -> !dash.inReach(c, before)).isPresent();
    }

    // --- batteries

    private boolean someNegativeOn() {
        for (int b = 0; b < dash.batteries(); b++)
            if (before.word(CarState.NEGATIVES.get(b)).equals(CarState.ON)) return true;
        return false;
    }

    private boolean someBatteries() {
        return before.live(facts()) && !before.allLive(facts());
    }

    /** The battery whose clamp the step moves. */
    private Optional<Battery> moved() {
        return step instanceof StripStep.SetState s ? facts().battery(s.field()) : Optional.empty();
    }

    Optional<ItemId> batteryCover() {
        return moved().flatMap(b -> Dash.cover(b.behind(), before));
    }

    /** A battery that is off while what the step closes in front of it opens by power only. */
    Optional<Battery> shutIn() {
        if (!(step instanceof StripStep.Fasten f)) return Optional.empty();
        for (int b = 0; b < facts().batteries().size(); b++) {
            Battery battery = facts().batteries().get(b);
            boolean front = battery.behind().stream().anyMatch(h -> h.item().equals(f.item()));
            if (front && battery.behindElectricLock() && !before.feeds(b)) return Optional.of(battery);
        }
        return Optional.empty();
    }

    /** Parts that are still to come past the lever, where the lever needs the battery and has no other way. */
    List<ItemId> leverNeededBy() {
        boolean free = dash.lever()
                .filter(l -> l.manual() || !l.needsBattery() || l.release().isPresent())
                .isPresent();
        if (free || before.exchanged() || dash.lever().isEmpty()) return List.of();
        return run.needed().stream()
                .filter(i ->
                        before.position(i) == ItemPosition.HOME && !run.passed().contains(i))
                .filter(i -> notClear(dash.item(i)).contains(StateField.GEAR))
                .sorted()
                .toList();
    }

    // --- parts

    /** A part that hangs in the way of what the step moves. */
    Optional<ItemId> pinned() {
        if (!(step instanceof StripStep.SetState s) || before.word(s.field()).equals(s.to())) return Optional.empty();
        return before.positions().entrySet().stream()
                .filter(e -> e.getValue() == ItemPosition.LOOSE)
                .map(e -> dash.item(e.getKey()))
                .filter(i -> i != null && i.pins() && i.clear().containsKey(s.field()))
                .filter(i -> !i.clear().get(s.field()).contains(s.to()))
                .map(DashItem::id)
                .findFirst();
    }

    /** Groups with fasteners still in, as far as they were counted out. */
    List<FastenerGroup> fastenersIn(DashItem item) {
        return item.fasteners().stream()
                .filter(g -> stillIn(new GroupOf(item.id(), g.id()), g.count().least()) > 0)
                .toList();
    }

    int stillIn(GroupOf group, int count) {
        Trays.Tray tray = before.trays().of(group);
        return count - (tray.out() - tray.in());
    }

    List<FastenerGroup> mayDrop() {
        if (step instanceof StripStep.Undo s)
            return dash.group(s.group()).filter(FastenerGroup::mayDrop).stream().toList();
        return List.of();
    }

    List<FastenerGroup> unsure(DashItem item) {
        return item.fasteners().stream()
                .filter(g -> !g.count().sure() || g.drives().size() > 1)
                .toList();
    }

    Optional<ItemId> cover() {
        if (step instanceof StripStep.Unplug s)
            return dash.connector(s.connector()).flatMap(c -> Dash.cover(c.behind(), before));
        if (step instanceof StripStep.Undo s)
            return Dash.cover(
                    concat(
                            dash.item(s.group().item()) == null
                                    ? List.of()
                                    : dash.item(s.group().item()).behind(),
                            dash.group(s.group()).map(FastenerGroup::behind).orElse(List.of())),
                    before);
        return item().flatMap(i -> Dash.cover(i.hiders(), before));
    }

    private static List<Behind> concat(List<Behind> a, List<Behind> b) {
        List<Behind> both = new ArrayList<>(a);
        both.addAll(b);
        return both;
    }

    /** Fields whose word is not as the part needs it. */
    List<StateField> notClear(DashItem item) {
        return item.clear().keySet().stream()
                .filter(f -> !item.clear().get(f).contains(before.word(f)))
                .sorted()
                .toList();
    }

    /** Why a part that opens by power does not; empty where it does, or opens by hand. */
    Optional<String> electricWhy(DashItem item) {
        if (item.openedBy().isEmpty()) return Optional.empty();
        if (!before.live(facts())) return Optional.of("the battery is off");
        if (!item.openedBy().get().contains(before.word(StateField.KEY)))
            return Optional.of("the key is at " + before.word(StateField.KEY));
        return item.uses().stream().filter(f -> gone(f, before)).findFirst().map(f -> "its %s is unplugged"
                .formatted(f));
    }

    /** What is behind a part and not finished. */
    List<String> buried() {
        Optional<DashItem> item = item();
        if (item.isEmpty()
                || step instanceof StripStep.PutIn p
                        && (p.forNow() || item.get().liesAside())) return List.of();
        Set<String> left = new TreeSet<>();
        for (ItemId hidden : dash.hiddenBy(item.get().id())) {
            if (!dash.item(hidden).returns()) continue;
            if (before.position(hidden) != ItemPosition.HOME) left.add(hidden.name());
            plugsOff(dash.item(hidden)).forEach(c -> left.add(c.name() + " of " + c.item()));
        }
        for (ConnectorOf c : before.off())
            if (dash.connector(c).stream().flatMap(o -> o.behind().stream()).anyMatch(b -> b.item()
                    .equals(item.get().id()))) left.add(c.name() + " of " + c.item());
        return List.copyOf(left);
    }

    List<ItemId> notHome() {
        return before.positions().keySet().stream()
                .filter(i -> dash.has(i) && dash.item(i).returns())
                .sorted()
                .toList();
    }

    /** The first group with fasteners over. */
    Optional<GroupOf> left() {
        return before.trays().groups().entrySet().stream()
                .filter(e -> e.getValue().left() > 0)
                .filter(e -> !dash.has(e.getKey().item())
                        || dash.item(e.getKey().item()).returns())
                .map(Map.Entry::getKey)
                .sorted()
                .findFirst();
    }

    // --- works

    /** Works that want power, are not done, and could be done now. */
    List<String> powerWorksLeft() {
        List<String> left = new ArrayList<>();
        for (Work w : dash.works())
            if (w.wantsPower()
                    && !before.works().contains(w.id())
                    && before.live(facts())
                    && w.plugged().stream().noneMatch(before.off()::contains)
                    && w.open().stream().allMatch(b -> Dash.reached(b, before))
                    && before.works().containsAll(w.after())) left.add(w.id());
        return left;
    }

    List<String> worksOfThisPlug() {
        List<String> left = new ArrayList<>();
        if (step instanceof StripStep.Unplug s)
            for (Work w : dash.works())
                if (w.wantsPower()
                        && !before.works().contains(w.id())
                        && w.plugged().contains(s.connector())) left.add(w.id());
        return left;
    }

    boolean doneLater(String work) {
        return run.later().contains(work);
    }

    /** Works and milestones that come first and are not done. */
    List<String> tooSoon() {
        List<String> first = new ArrayList<>();
        work().ifPresent(w -> {
            w.after().stream().filter(a -> !before.works().contains(a)).sorted().forEach(first::add);
            if (w.phase() == WorkPhase.AFTER_TEST && !before.tested()) first.add("the function test");
            if (w.phase() == WorkPhase.LAST && !notHome().isEmpty())
                first.add("closing " + notHome().get(0));
        });
        return first;
    }

    Optional<ItemId> closedFor() {
        return work().flatMap(w -> Dash.cover(w.open(), before));
    }

    /** What a work needs and does not have. */
    List<String> lacking() {
        List<String> lacking = new ArrayList<>();
        work().ifPresent(w -> {
            w.needs().forEach((field, words) -> {
                if (!words.contains(before.word(field)))
                    lacking.add("%s %s".formatted(field.label(), String.join(" or ", new TreeSet<>(words))));
            });
            w.plugged().stream().filter(before.off()::contains).forEach(c -> lacking.add(c + " plugged in"));
            w.unplugged().stream().filter(c -> !before.off().contains(c)).forEach(c -> lacking.add(c + " unplugged"));
        });
        return lacking.stream().sorted().toList();
    }

    /** Works that have to be done before this part goes in; what belongs before the function test is not looked at. */
    List<String> waitsFor() {
        List<String> first = new ArrayList<>();
        if (item().isEmpty() || step instanceof StripStep.Loosen) return first;
        ItemId item = item().get().id();
        boolean forNow = step instanceof StripStep.PutIn p && p.forNow();
        for (Work w : dash.works()) {
            boolean open = w.open().stream()
                    .anyMatch(b -> b.item().equals(item) && after.position(item).compareTo(b.atLeast()) < 0);
            boolean due = w.phase() != WorkPhase.AFTER_TEST || step instanceof StripStep.Fasten;
            boolean early = w.phase() == WorkPhase.BEFORE || w.phase() == WorkPhase.LAST;
            if (!forNow
                    && !early
                    && due
                    && (open || w.before().contains(item))
                    && !before.works().contains(w.id())) first.add(w.id());
        }
        return first;
    }

    Optional<VehicleFacts.PopUp> popUp() {
        return facts().popUps().stream()
                .filter(p -> p.when().entrySet().stream()
                        .anyMatch(e -> !before.word(e.getKey()).equals(after.word(e.getKey()))
                                && e.getValue().contains(after.word(e.getKey()))))
                .findFirst();
    }

    private boolean waits() {
        return touches(Circuit.AIRBAG) && step instanceof StripStep.Unplug && !before.live(facts());
    }
}
