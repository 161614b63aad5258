package velvetbezel.strip;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import velvetbezel.sheet.strip.Behind;
import velvetbezel.sheet.strip.ConnectorOf;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.ItemConnector;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.sheet.strip.ItemPosition;
import velvetbezel.sheet.strip.PossibleExtra;
import velvetbezel.sheet.strip.Work;
import velvetbezel.sheet.strip.WorkPhase;

/**
 * What has to be opened for what is wanted, and nothing else: the parts in front of it, the parts in front of those,
 * and so on.
 */
final class Needed {
    private final Dash dash;
    private final Map<ItemId, ItemPosition> levels = new LinkedHashMap<>();
    private final Set<ConnectorOf> off = new LinkedHashSet<>();
    private final Deque<Behind> open = new ArrayDeque<>();

    private Needed(Dash dash) {
        this.dash = dash;
    }

    /** From the closed car, or from where somebody stopped before the exchange. */
    static Needed of(Dash dash, Wanted wanted, CarState car) {
        Needed n = new Needed(dash);
        wanted.away().forEach(i -> n.want(new Behind(i, ItemPosition.AWAY)));
        wanted.off().forEach(n::wantOff);
        for (PossibleExtra x : dash.strip().extras())
            if (wanted.extras().contains(x.id())) x.open().forEach(n::want);
        n.works(car, wanted.exchanges());
        n.asItIs(car);
        n.close();
        n.batteries();
        return n;
    }

    /** What is in front of a battery is opened where a plug has to be moved that needs it off. */
    private void batteries() {
        if (off.stream().noneMatch(c -> dash.connector(c).orElseThrow().needsDead())) return;
        dash.strip().facts().batteries().forEach(b -> b.behind().forEach(this::want));
        close();
    }

    /** What is left to be opened after the exchange: nothing but for works, and for what was closed with a plug off. */
    static Needed afterExchange(Dash dash, CarState car) {
        Needed n = new Needed(dash);
        n.works(car, true);
        car.off().forEach(c -> n.want(new Behind(c.item(), ItemPosition.LOOSE)));
        n.asItIs(car);
        n.close();
        n.batteries();
        return n;
    }

    private void works(CarState car, boolean any) {
        if (!any) return;
        for (Work w : dash.works())
            if (!car.works().contains(w.id()) && w.phase() != WorkPhase.LAST) {
                w.open().forEach(this::want);
                w.unplugged().forEach(this::wantOff);
            }
    }

    /** What stands open is brought home, whoever opened it. */
    private void asItIs(CarState car) {
        car.positions().forEach((item, at) -> {
            if (dash.has(item) && at != ItemPosition.HOME) levels.merge(item, at, Needed::more);
        });
        car.off().stream().filter(c -> dash.connector(c).isPresent()).forEach(off::add);
    }

    private static ItemPosition more(ItemPosition a, ItemPosition b) {
        return a.compareTo(b) >= 0 ? a : b;
    }

    private void want(Behind behind) {
        open.add(behind);
    }

    private void wantOff(ConnectorOf connector) {
        dash.connector(connector).ifPresent(c -> {
            off.add(c.id());
            reach(c);
        });
    }

    private void reach(ItemConnector c) {
        if (c.reach() == ItemPosition.LOOSE) want(new Behind(c.id().item(), ItemPosition.LOOSE));
        c.behind().forEach(this::want);
    }

    private void close() {
        while (!open.isEmpty()) {
            Behind b = open.poll();
            DashItem item = dash.item(b.item());
            if (item == null) continue;
            ItemPosition was = levels.getOrDefault(b.item(), ItemPosition.HOME);
            if (was.compareTo(b.atLeast()) >= 0) continue;
            levels.put(b.item(), b.atLeast());
            if (was == ItemPosition.HOME) item.hiders().forEach(this::want);
            if (b.atLeast() == ItemPosition.AWAY) item.connectors().forEach(c -> wantOff(c.id()));
        }
    }

    ItemPosition level(ItemId item) {
        return levels.getOrDefault(item, ItemPosition.HOME);
    }

    /** Parts to be opened, in the order of the sheet. */
    List<DashItem> items() {
        return dash.strip().items().stream()
                .filter(i -> level(i.id()) != ItemPosition.HOME)
                .toList();
    }

    /** Plugs to be taken off. */
    Set<ConnectorOf> off() {
        return off;
    }

    boolean isOff(ConnectorOf connector) {
        return off.contains(connector);
    }

    /**
     * Parts that have to be fastened before the function test: they cannot hang, or they are behind one that must be in
     * for the test and cannot lie aside.
     */
    Set<ItemId> early() {
        Set<ItemId> early = new LinkedHashSet<>();
        Deque<ItemId> found = new ArrayDeque<>();
        for (DashItem i : items()) {
            boolean inForTest = !i.connectors().isEmpty();
            if (inForTest && !i.rests().known().orElse(false)) found.add(i.id());
            if (inForTest && !i.liesAside() && level(i.id()) == ItemPosition.AWAY) found.addAll(dash.hiddenBy(i.id()));
        }
        while (!found.isEmpty()) {
            ItemId id = found.poll();
            if (level(id) == ItemPosition.HOME || !early.add(id)) continue;
            found.addAll(dash.hiddenBy(id));
        }
        return early;
    }
}
