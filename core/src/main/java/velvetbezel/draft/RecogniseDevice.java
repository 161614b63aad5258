package velvetbezel.draft;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import velvetbezel.draft.Archetype.Param;
import velvetbezel.sheet.CommonCode;
import velvetbezel.sheet.LeadRole;

/** The short sheet of a radio or part, as near as the catalogue comes. */
final class RecogniseDevice {
    private static final String SAID = "said ";
    private static final String LINES = "line outputs";
    private static final List<Object> LINE_OUTPUTS =
            List.of(true, List.of("front"), List.of("rear"), List.of("front", "rear", "subwoofer"));

    private final Map<String, Object> whole;
    private final Archetypes catalogue;
    private final List<Archetype> of;
    private final Map<String, Object> device;
    private final Map<String, Object> has = new LinkedHashMap<>();
    private Map<String, Object> numbers = new LinkedHashMap<>();
    private final Map<String, Map<String, Object>> plugs = new LinkedHashMap<>();

    RecogniseDevice(Map<String, Object> whole, Archetypes catalogue) {
        this.whole = whole;
        this.catalogue = catalogue;
        this.of = whole.get("kind").equals("radio") ? catalogue.radio() : catalogue.part();
        this.device = Archetypes.object(whole.get("device"));
        for (ShortPlug p : FactoryRadio.plugs(device.get("plugs"))) plugs.put(p.id(), plug(p));
    }

    Map<String, Object> tree() {
        if (device.isEmpty()) return head();
        int best = cost();
        for (boolean better = true; better; ) {
            int before = best;
            best = features(best);
            best = spokenNumbers(best);
            best = fewerPlugs(best);
            better = best < before;
        }
        return typed();
    }

    /** With these features and numbers. */
    Map<String, Object> tree(Map<String, Object> features, Map<String, Object> values) {
        if (device.isEmpty()) return head();
        has.putAll(features);
        numbers.putAll(values);
        dropBrought();
        return typed();
    }

    /** A plug that a piece brings need not be typed. */
    private void dropBrought() {
        Object pieces = new DevicePieces(catalogue, of, shortSheet()).built().get("plugs");
        for (Object plug : Recognise.list(pieces))
            plugs.remove(Archetypes.object(plug).get("id"));
    }

    /** Adds the feature that leaves least by hand, as long as one leaves less than before. */
    private int features(int best) {
        int least = best;
        for (boolean better = true; better; ) {
            better = false;
            String feature = null;
            Object answer = null;
            for (String f : new TreeSet<>(new DevicePieces(catalogue, of, shortSheet()).features())) {
                if (f.startsWith(LINES + " ") || has.containsKey(f) || !mayHave(f)) continue;
                for (Object a : f.equals(LINES) ? LINE_OUTPUTS : List.<Object>of(true)) {
                    has.put(f, a);
                    int cost = cost();
                    has.remove(f);
                    if (cost >= least) continue;
                    least = cost;
                    feature = f;
                    answer = a;
                    better = true;
                }
            }
            if (better) has.put(feature, answer);
        }
        cost();
        return least;
    }

    /** Whether some rule of a feature's pieces is there by name; a piece without rules may always be. */
    private boolean mayHave(String feature) {
        List<?> pieces = of.stream()
                .filter(a ->
                        a.when().stream().anyMatch(w -> w.wanted() && w.words().equals(feature)))
                .flatMap(a -> Recognise.list(a.adds().get("rules")).stream())
                .toList();
        return pieces.isEmpty()
                || pieces.stream()
                        .anyMatch(r -> isThere((String) Archetypes.object(r).get("id")));
    }

    private boolean isThere(String ruleId) {
        Pattern id = Pattern.compile(Arrays.stream(ruleId.split("\\$\\{[^}]*}", -1))
                .map(Pattern::quote)
                .collect(Collectors.joining(".+")));
        return Recognise.list(device.get("rules")).stream()
                .anyMatch(r -> id.matcher(String.valueOf(Archetypes.object(r).get("id")))
                        .matches());
    }

    /** Numbers whose typing makes a difference. */
    private int spokenNumbers(int best) {
        int least = best;
        for (String number : spoken()) {
            if (numbers.containsKey(number)) continue;
            Map<String, Object> before = new LinkedHashMap<>(numbers);
            numbers.put(number, start(number));
            int cost = cost();
            if (cost < least) least = cost;
            else numbers = before;
        }
        cost();
        return least;
    }

    private List<String> spoken() {
        return of.stream()
                .flatMap(a -> a.params().stream())
                .map(Param::name)
                .filter(n -> of.stream()
                        .anyMatch(a -> a.adds().toString().contains(SAID + n)
                                || a.when().stream().anyMatch(w -> w.words().equals(SAID + n))))
                .distinct()
                .toList();
    }

    private Object start(String number) {
        return of.stream()
                .flatMap(a -> a.params().stream())
                .filter(p -> p.name().equals(number))
                .findFirst()
                .orElseThrow()
                .start();
    }

    /** A plug that a piece brings need not be typed. */
    private int fewerPlugs(int best) {
        int least = best;
        for (String id : List.copyOf(plugs.keySet())) {
            Map<String, Object> plug = plugs.remove(id);
            int cost = cost();
            if (cost <= least) least = cost;
            else plugs.put(id, plug);
        }
        cost();
        return least;
    }

    /** Reads the numbers that go with what is chosen, and says what is left to be written by hand. */
    private int cost() {
        Map<String, Object> kept = new LinkedHashMap<>(numbers);
        List<Archetype> taken = new DevicePieces(catalogue, of, shortSheet()).taken();
        numbers = new LinkedHashMap<>(Holes.of(taken));
        kept.keySet().forEach(k -> numbers.putIfAbsent(k, new Template.Hole(k, kept.get(k))));
        Object withHoles = new DeviceExpander(shortSheet(), catalogue, new ArrayList<>()).tree();
        Map<String, Object> found = Holes.read(withHoles, whole);
        DevicePieces pieces = new DevicePieces(catalogue, of, shortSheet());
        found.putAll(Holes.lists(taken, device.get("rules"), pieces::holds));
        List<String> spoken = spoken();
        numbers = new LinkedHashMap<>(found);
        numbers.keySet().removeIf(k -> spoken.contains(k) && !kept.containsKey(k));
        spoken.stream().filter(kept::containsKey).forEach(k -> numbers.putIfAbsent(k, kept.get(k)));
        return Recognise.cost(typed(), whole, catalogue);
    }

    private ShortSheet shortSheet() {
        return ShortSheet.read(typed(), new ArrayList<>());
    }

    // --- the tree

    private Map<String, Object> head() {
        Map<String, Object> tree = new LinkedHashMap<>();
        tree.put("format", ShortSheet.FORMAT);
        tree.putAll(whole);
        tree.put("format", ShortSheet.FORMAT);
        tree.remove("device");
        return tree;
    }

    private Map<String, Object> typed() {
        Map<String, Object> tree = head();
        String leads = Recognise.list(device.get("leads")).stream()
                .map(Archetypes::object)
                .filter(l -> !brought(l))
                .flatMap(l -> LeadTree.read(l, OptionalDouble.empty()).stream())
                .map(this::withoutUsualColour)
                .map(ShortLead::text)
                .collect(Collectors.joining(", "));
        if (!leads.isEmpty()) tree.put("leads", leads);
        if (!plugs.isEmpty()) tree.put("plugs", new LinkedHashMap<>(plugs));
        ends().ifPresent(e -> tree.put("at", e));
        tree.put("device", Map.of("id", device.get("id"), "name", device.getOrDefault("name", device.get("id"))));
        Map<String, Object> names = names();
        if (!names.isEmpty()) tree.put("names", names);
        if (device.get("ratings") != null) tree.put("ratings", device.get("ratings"));
        if (device.get("cable") != null) tree.put("cable", device.get("cable"));
        if (!has.isEmpty()) tree.put("has", new LinkedHashMap<>(has));
        if (!numbers.isEmpty()) tree.put("numbers", new LinkedHashMap<>(numbers));
        return tree;
    }

    /** Where all its leads end, if they end at one place that is not the dash. */
    private Optional<Object> ends() {
        List<Object> ends = Recognise.list(device.get("leads")).stream()
                .map(l -> Archetypes.object(l).getOrDefault("end", ""))
                .distinct()
                .toList();
        return ends.size() == 1 && !ends.get(0).equals("") ? Optional.of(ends.get(0)) : Optional.empty();
    }

    /** What its leads and positions are called, where that is not the usual. */
    private Map<String, Object> names() {
        Map<String, Object> names = new LinkedHashMap<>();
        Recognise.list(device.get("leads")).forEach(l -> name(Archetypes.object(l), names));
        for (Object plug : Recognise.list(device.get("plugs")))
            if (plugs.containsKey(Archetypes.object(plug).get("id")))
                Recognise.list(Archetypes.object(plug).get("positions"))
                        .forEach(p -> name(Archetypes.object(p), names));
        return names;
    }

    private void name(Map<String, Object> lead, Map<String, Object> names) {
        if (!(lead.get("name") instanceof String name) || !(lead.get("role") instanceof String role)) return;
        boolean gives = "gives".equals(lead.get("flow"));
        if (!name.equals(catalogue.names().getOrDefault(role, role)))
            names.putIfAbsent((gives ? "gives " : "") + role, name);
    }

    /** Leads that a relay's piece brings. */
    private boolean brought(Map<String, Object> lead) {
        return Boolean.TRUE.equals(has.get("relay"))
                && lead.get("name").toString().matches("\\d\\d");
    }

    /** A radio's lead in the colour of the common code need not say so. */
    private ShortLead withoutUsualColour(ShortLead lead) {
        boolean usual = whole.get("kind").equals("radio")
                && lead.colour().isPresent()
                && lead.colour().equals(lead.role().flatMap(CommonCode::colour));
        return usual ? lead.coloured(Optional.empty()) : lead;
    }

    private Map<String, Object> plug(ShortPlug plug) {
        Map<String, Object> tree = plug.head(false);
        tree.remove("cut");
        tree.put(
                "positions",
                plug.leads().stream().map(l -> carriedOn(plug, l).text()).collect(Collectors.joining(", ")));
        return tree;
    }

    private ShortLead carriedOn(ShortPlug plug, ShortLead typed) {
        ShortLead lead = typed;
        Map<String, Object> position = position(plug.id(), lead.position().orElse(0));
        String terminal = plug.id() + "." + lead.position().orElse(0);
        List<String> ends = new ArrayList<>();
        for (Object w : Recognise.list(device.get("wires"))) {
            Map<String, Object> wire = Archetypes.object(w);
            if (!wire.get("from").equals(terminal) && !wire.get("from").equals(position.get("name"))) continue;
            ends.add(end(wire));
            lead = lead.sizedAs(wire);
        }
        boolean plugged =
                lead.role().filter(r -> r.group() == LeadRole.Group.PLUGGED).isPresent();
        boolean ready = plugged || plug.family().startsWith("RCA") || reached(terminal, position.get("name"));
        if (ends.isEmpty()
                && !Boolean.TRUE.equals(position.get("bare"))
                && !ready
                && whole.get("kind").equals("part")) ends.add(DeviceExpander.INSIDE);
        return lead.to(ends);
    }

    private boolean reached(String terminal, Object name) {
        return Recognise.list(device.get("wires")).stream()
                .map(w -> Archetypes.object(w).get("to"))
                .anyMatch(t -> t.equals(terminal) || t.equals(name));
    }

    /** A position as "out 3", a lead by its name, a terminal within the part as "inside". */
    private String end(Map<String, Object> wire) {
        String to = (String) wire.get("to");
        for (Object plug : Recognise.list(device.get("plugs")))
            for (Object position : Recognise.list(Archetypes.object(plug).get("positions"))) {
                String number = String.valueOf(Archetypes.object(position).get("position"));
                String id = (String) Archetypes.object(plug).get("id");
                if (to.equals(Archetypes.object(position).get("name")) || to.equals(id + "." + number))
                    return id + " " + number;
            }
        boolean lead = Recognise.list(device.get("leads")).stream()
                .anyMatch(l -> to.equals(Archetypes.object(l).get("name")));
        return lead ? to : DeviceExpander.INSIDE;
    }

    private Map<String, Object> position(String plug, int number) {
        for (Object p : Recognise.list(device.get("plugs")))
            if (plug.equals(Archetypes.object(p).get("id")))
                for (Object position : Recognise.list(Archetypes.object(p).get("positions")))
                    if (String.valueOf(number)
                            .equals(String.valueOf(Archetypes.object(position).get("position"))))
                        return Archetypes.object(position);
        return Map.of();
    }
}
