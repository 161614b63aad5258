package velvetbezel.strip;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import velvetbezel.sheet.strip.ConnectorOf;
import velvetbezel.sheet.strip.GroupOf;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.sheet.strip.ItemPosition;
import velvetbezel.sheet.strip.ScrewDrive;
import velvetbezel.state.StateField;

/**
 * Makes a strip-down out of what was recorded while somebody did it: what came off, with how many fasteners, in which
 * order. That one part was off before another came loose says that it may be in front of it, not that it is: each such
 * link is assumed, and more recordings, or a person's answer, take links away.
 */
public final class Recorder {
    private final List<List<StripStep>> recordings;
    private final Set<String> airbags;
    private final Set<Link> free;

    /** That one part waited for another. @param on as a sheet writes it: "surround", "surround:loose" */
    public record Link(String waits, String on) {}

    /**
     * @param recordings of the same car, each in the order it was done
     * @param airbags    plugs that a person said belong to an airbag circuit, "fascia.airbag lamp"
     * @param free       links that are none: a person says that the one could have come first
     */
    public Recorder(List<List<StripStep>> recordings, Set<String> airbags, Set<Link> free) {
        this.recordings = recordings.stream().map(List::copyOf).toList();
        this.airbags = Set.copyOf(airbags);
        this.free = Set.copyOf(free);
    }

    /** Every link that the sheet would have; each was seen so, and is assumed. */
    public List<Link> links() {
        List<Map<String, Seen>> seen = recordings.stream().map(this::seen).toList();
        Set<String> items = new LinkedHashSet<>();
        seen.forEach(s -> items.addAll(s.keySet()));
        return items.stream()
                .flatMap(i -> behind(i, of(i, seen), seen).stream().map(b -> new Link(i, b)))
                .toList();
    }

    private static List<Seen> of(String item, List<Map<String, Seen>> seen) {
        return seen.stream()
                .filter(s -> s.containsKey(item))
                .map(s -> s.get(item))
                .toList();
    }

    /** Everything of one recording that bears on one part. */
    private static final class Seen {
        final Map<String, Integer> fasteners = new LinkedHashMap<>();
        final Map<StateField, Set<String>> clear = new LinkedHashMap<>();
        final Set<String> before = new LinkedHashSet<>();
        boolean lifted;
    }

    /** The {@code strip} of a sheet, as a tree that the reader takes. */
    public Map<String, Object> tree() {
        List<Map<String, Seen>> seen = recordings.stream().map(this::seen).toList();
        Set<String> items = new LinkedHashSet<>();
        seen.forEach(s -> items.addAll(s.keySet()));
        List<Object> list = new ArrayList<>();
        for (String item : items) list.add(item(item, of(item, seen), seen));
        Map<String, Object> strip = new LinkedHashMap<>();
        strip.put("items", list);
        return strip;
    }

    private Map<String, Seen> seen(List<StripStep> steps) {
        Map<String, Seen> seen = new LinkedHashMap<>();
        CarState car = CarState.CLOSED;
        for (StripStep s : steps) {
            if (s instanceof StripStep.Exchange) break;
            if (s instanceof StripStep.Undo u && !u.group().name().isBlank())
                at(seen, u.group().item()).fasteners.merge(u.group().name(), u.count(), Integer::sum);
            if (s instanceof StripStep.Unplug u) at(seen, u.connector().item());
            if (s instanceof StripStep.Loosen l) loosened(at(seen, l.item()), car, l.item());
            if (s instanceof StripStep.Lift l) at(seen, l.item()).lifted = true;
            car = car.after(s);
        }
        return seen;
    }

    private static Seen at(Map<String, Seen> seen, ItemId item) {
        return seen.computeIfAbsent(item.name(), i -> new Seen());
    }

    private static void loosened(Seen seen, CarState car, ItemId item) {
        for (StateField f : List.of(StateField.GEAR, StateField.COLUMN, StateField.DOOR))
            if (!car.word(f).equals(f.words().get(0))) seen.clear.put(f, Set.of(car.word(f)));
        car.positions().forEach((i, at) -> seen.before.add(at == ItemPosition.AWAY ? i.name() : i.name() + ":loose"));
        seen.before.remove(item.name() + ":loose");
    }

    private Map<String, Object> item(String id, List<Seen> of, List<Map<String, Seen>> all) {
        Map<String, Object> tree = new LinkedHashMap<>();
        tree.put("id", id);
        List<Object> fasteners = new ArrayList<>();
        Map<String, Integer> counts = new LinkedHashMap<>();
        of.forEach(s -> s.fasteners.forEach((g, n) -> counts.merge(g, n, Math::max)));
        counts.forEach((group, count) -> {
            if (group.equals(GroupOf.CLIPS)) tree.put("clips", Map.of("count", count));
            else fasteners.add(group(group, count));
        });
        if (!fasteners.isEmpty()) tree.put("fasteners", fasteners);
        List<Object> leads = leads(id);
        if (!leads.isEmpty()) tree.put("leads", leads);
        List<String> behind = behind(id, of, all);
        if (!behind.isEmpty()) tree.put("behind", behind);
        Map<String, Object> clear = clear(of);
        if (!clear.isEmpty()) tree.put("clear", clear);
        if (of.stream().noneMatch(s -> s.lifted) && leads.isEmpty()) tree.put("kind", "lid");
        return tree;
    }

    /** The name ends with the drive where somebody said it: "front hex 7". */
    private static Map<String, Object> group(String name, int count) {
        Map<String, Object> group = new LinkedHashMap<>();
        group.put("id", name);
        group.put("drive", drive(name));
        group.put("count", count);
        return group;
    }

    private static String drive(String name) {
        for (String rest = name; ; rest = rest.substring(rest.indexOf(' ') + 1)) {
            if (ScrewDrive.find(rest).isPresent()) return rest;
            if (rest.indexOf(' ') < 0) return "by hand";
        }
    }

    private List<Object> leads(String item) {
        Set<String> names = new LinkedHashSet<>();
        for (List<StripStep> steps : recordings)
            for (StripStep s : steps)
                if (s instanceof StripStep.Unplug u
                        && u.connector().item().name().equals(item))
                    names.add(u.connector().name());
        List<Object> leads = new ArrayList<>();
        for (String n : names) {
            Map<String, Object> lead = new LinkedHashMap<>(Map.of("id", n));
            if (airbags.contains(new ConnectorOf(new ItemId(item), n).toString())) lead.put("circuit", "airbag");
            leads.add(lead);
        }
        return leads;
    }

    /** Links seen in every recording, without those that follow from others. */
    private List<String> behind(String id, List<Seen> of, List<Map<String, Seen>> all) {
        Set<String> always = new TreeSet<>(of.get(0).before);
        for (Seen s : of) always.removeIf(b -> !s.before.contains(b));
        always.removeIf(b -> free.contains(new Link(id, b)));
        List<String> reduced = new ArrayList<>();
        for (String b : always) {
            boolean implied = always.stream().filter(o -> !o.equals(b)).anyMatch(o -> all.stream()
                    .allMatch(m -> !m.containsKey(plain(o))
                            || m.get(plain(o)).before.contains(b) && !free.contains(new Link(plain(o), b))));
            if (!implied) reduced.add(b);
        }
        return reduced;
    }

    private static String plain(String behind) {
        return behind.endsWith(":loose") ? behind.substring(0, behind.length() - ":loose".length()) : behind;
    }

    /** What all recordings agree on. */
    private static Map<String, Object> clear(List<Seen> of) {
        Map<String, Object> clear = new LinkedHashMap<>();
        of.get(0).clear.forEach((f, words) -> {
            if (of.stream().allMatch(s -> words.equals(s.clear.get(f)))) clear.put(f.label(), List.copyOf(words));
        });
        return clear;
    }
}
