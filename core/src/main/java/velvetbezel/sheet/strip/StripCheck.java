package velvetbezel.sheet.strip;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import velvetbezel.sheet.Node;

/** What one part, plug or work says of another must be sayable: it is there, and nothing waits for itself. */
final class StripCheck {
    private final StripDown strip;
    private final Node node;
    private final Map<ItemId, DashItem> items = new LinkedHashMap<>();

    private StripCheck(StripDown strip, Node node) {
        this.strip = strip;
        this.node = node;
        strip.items().forEach(i -> items.putIfAbsent(i.id(), i));
    }

    static void check(StripDown strip, Node node) {
        StripCheck check = new StripCheck(strip, node);
        check.twice("items", strip.items(), i -> i.id().name());
        check.twice("works", strip.works(), Work::id);
        check.twice("extras", strip.extras(), PossibleExtra::id);
        check.twice("facts.batteries", strip.facts().batteries(), Battery::id);
        check.itemsByThemselves();
        check.works();
        strip.extras().forEach(x -> check.known(check.at("extras", x.id()) + ".open", x.open()));
        strip.facts()
                .lever()
                .flatMap(Lever::release)
                .ifPresent(r -> check.known("facts.lever.release.behind", r.behind()));
        for (Battery b : strip.facts().batteries())
            check.known(check.at("facts.batteries", b.id()) + ".behind", b.behind());
        if (strip.facts().batteries().size() > 2) check.fault("facts.batteries", "names more than two batteries.");
        check.circles();
    }

    private String at(String list, Object id) {
        return list + "[" + id + "]";
    }

    private void fault(String path, String message) {
        Node at = node;
        for (String step : path.split("(?<=])\\.|\\.(?![^\\[]*])")) at = at.at(step);
        at.fault(message);
    }

    private <T> void twice(String list, List<T> entries, Function<T, String> id) {
        Set<String> seen = new HashSet<>();
        for (T entry : entries)
            if (!seen.add(id.apply(entry))) fault(list, "names \"%s\" twice.".formatted(id.apply(entry)));
    }

    private void itemsByThemselves() {
        for (DashItem item : strip.items()) {
            String at = at("items", item.id());
            known(at + ".behind", item.behind());
            itself(at, item.id(), item.behind());
            twice(at + ".fasteners", item.fasteners(), FastenerGroup::id);
            twice(at + ".leads", item.connectors(), c -> c.id().name());
            Set<String> groups =
                    item.fasteners().stream().map(FastenerGroup::id).collect(Collectors.toSet());
            for (FastenerGroup g : item.fasteners()) {
                String of = at(at + ".fasteners", g.id());
                known(of + ".behind", g.behind());
                itself(of, item.id(), g.behind());
                for (String after : g.after())
                    if (!groups.contains(after))
                        fault(
                                of + ".after",
                                "\"%s\" is no group of %s; it has %s.".formatted(after, item.id(), groups));
                if (g.after().contains(g.id())) fault(of + ".after", "names the group itself.");
            }
            for (ItemConnector c : item.connectors()) known(at(at + ".leads", c.id().name()) + ".behind", c.behind());
            if (item.kind() == ItemKind.FIXED && !item.groups().isEmpty())
                fault(at + ".fasteners", "are of a part that never comes off; take them away, or the kind.");
        }
    }

    private void itself(String at, ItemId id, List<Behind> behind) {
        if (behind.stream().anyMatch(b -> b.item().equals(id)))
            fault(at + ".behind", "says that %s hides itself; name the part in front of it.".formatted(id));
    }

    private void known(String path, Collection<Behind> behind) {
        for (Behind b : behind) {
            DashItem there = items.get(b.item());
            if (there == null)
                fault(path, "\"%s\" is no part of this dash; it has %s.".formatted(b.item(), items.keySet()));
            else if (b.atLeast() == ItemPosition.AWAY && there.kind() == ItemKind.LID)
                fault(
                        path,
                        "waits until %s is away, and a lid is only opened; write \"%s:loose\"."
                                .formatted(b.item(), b.item()));
            else if (there.kind() == ItemKind.FIXED)
                fault(path, "waits for %s, which never comes off.".formatted(b.item()));
        }
    }

    private void works() {
        Set<String> ids = strip.works().stream().map(Work::id).collect(Collectors.toSet());
        for (Work w : strip.works()) {
            String at = at("works", w.id());
            known(at + ".open", w.open());
            for (String after : w.after())
                if (!ids.contains(after)) fault(at + ".after", "\"%s\" is no work of this sheet.".formatted(after));
            if (w.after().contains(w.id())) fault(at + ".after", "comes after itself.");
            connectors(at + ".plugged", w.plugged());
            connectors(at + ".unplugged", w.unplugged());
            for (ItemId i : w.before())
                if (!items.containsKey(i)) fault(at + ".before", "\"%s\" is no part of this dash.".formatted(i));
        }
    }

    private void connectors(String path, Set<ConnectorOf> named) {
        for (ConnectorOf c : named)
            if (strip.connector(c).isEmpty()) fault(path, "\"%s\" is no plug of a part of this dash.".formatted(c));
    }

    // --- circles

    private void circles() {
        Map<String, List<String>> waits = new LinkedHashMap<>();
        for (DashItem item : items.values()) {
            List<String> of = new ArrayList<>();
            item.hiders().forEach(b -> of.add(b.item().name()));
            item.connectors()
                    .forEach(c -> c.behind().forEach(b -> of.add(b.item().name())));
            of.remove(item.id().name());
            waits.put(item.id().name(), of);
        }
        circle("items", waits);
        Map<String, List<String>> works = new LinkedHashMap<>();
        strip.works().forEach(w -> works.put(w.id(), List.copyOf(w.after())));
        circle("works", works);
        for (DashItem item : items.values()) {
            Map<String, List<String>> groups = new LinkedHashMap<>();
            item.fasteners().forEach(g -> groups.put(g.id(), List.copyOf(g.after())));
            circle(at("items", item.id()) + ".fasteners", groups);
        }
    }

    /** Names the first circle found: "a waits for b waits for a". */
    private void circle(String path, Map<String, List<String>> waits) {
        Map<String, Boolean> done = new HashMap<>();
        for (String start : waits.keySet()) {
            List<String> found = walk(start, waits, done, new ArrayDeque<>());
            if (found.size() > 2) {
                fault(
                        path,
                        "go in a circle: %s. One of them is reached without the other."
                                .formatted(String.join(" waits for ", found)));
                return;
            }
        }
    }

    private List<String> walk(
            String at, Map<String, List<String>> waits, Map<String, Boolean> done, Deque<String> way) {
        if (Boolean.FALSE.equals(done.get(at))) {
            List<String> circle = new ArrayList<>(way);
            circle.subList(0, circle.indexOf(at)).clear();
            circle.add(at);
            return circle;
        }
        if (done.containsKey(at)) return List.of();
        done.put(at, false);
        way.addLast(at);
        for (String next : waits.getOrDefault(at, List.of())) {
            List<String> found = walk(next, waits, done, way);
            if (!found.isEmpty()) return found;
        }
        way.removeLast();
        done.put(at, true);
        return List.of();
    }
}
