package velvetbezel.draft;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import velvetbezel.sheet.LeadRole;

/**
 * Which standard devices stand behind the plugs of a car: by the roles at them and by what was chosen, with the values
 * that fill them.
 */
final class CarPieces {
    private static final List<String> CORNERS = List.of("fl", "fr", "rl", "rr");
    private static final List<String> FRONT = List.of("fl", "fr");
    private static final List<String> LADDERS = List.of("ladder", "ladder 2");
    private static final List<String> OTHER_SOURCES = List.of("aux input", "USB", "satellite");
    private static final List<String> MAY_BE_HELD = List.of("next", "previous");
    /** A steering key whose resistance nobody measured lies between these, Ω (from memory). */
    private static final List<Integer> LADDER_RANGE = List.of(10, 10_000);

    private final Archetypes catalogue;
    private final List<ShortPlug> plugs;
    private final Map<String, Object> has;
    private final Map<String, Object> numbers;
    private final Set<String> facts = new HashSet<>();
    private final Map<String, Object> values = new HashMap<>();
    private final List<Archetype> taken;
    private final List<Archetype> struck;
    /** Roles of wires that only what was struck out would stand behind. */
    private final Set<String> unserved = new HashSet<>();

    /**
     * @param buttons   of the steering wheel; those of a ladder where there are none
     * @param otherwise pieces that are struck out
     */
    CarPieces(
            Archetypes catalogue,
            List<ShortPlug> plugs,
            Map<String, Object> has,
            Map<String, Object> numbers,
            List<String> buttons,
            Set<String> otherwise) {
        this.catalogue = catalogue;
        this.plugs = plugs;
        this.has = has;
        this.numbers = numbers;
        rolesAtThePlugs();
        for (int before = -1; before != facts.size(); ) {
            before = facts.size();
            derived();
            choices();
        }
        lists(buttons);
        struck = taken(otherwise::contains);
        values.put(ShortLines.UNKNOWN, unknown());
        if (!struck.isEmpty()) unserved(taken(id -> !otherwise.contains(id)));
        taken = taken(id -> !otherwise.contains(id));
    }

    /** Also a role whose wire would go on to a device that was struck out. */
    private void unserved(List<Archetype> kept) {
        Map<String, String> ends = ends(kept);
        Set<Object> there = new HashSet<>();
        if (devices(kept).get("devices") instanceof List<?> devices)
            devices.forEach(d -> there.add(((Map<?, ?>) d).get("id")));
        unserved.addAll(ends(struck).keySet());
        unserved.addAll(ends.keySet());
        ends.forEach((role, end) -> {
            if (there.contains(end.substring(0, end.indexOf('.')))) unserved.remove(role);
        });
        values.put(ShortLines.UNKNOWN, unknown());
        add(ShortLines.UNKNOWN, !unserved.isEmpty());
    }

    private List<Archetype> taken(Predicate<String> ids) {
        return Archetypes.taken(catalogue.car(), facts::contains).stream()
                .filter(a -> ids.test(a.id()))
                .toList();
    }

    private void rolesAtThePlugs() {
        for (ShortPlug plug : plugs)
            for (ShortLead lead : plug.leads()) {
                String role = lead.role().map(LeadRole::label).orElse(ShortLines.UNKNOWN);
                facts.add(role);
                if (plug.atTheRadio()) facts.add(role + Roles.AT_THE_RADIO);
            }
        has.forEach((name, answer) -> {
            if (catalogue.choices().stream().noneMatch(c -> c.id().equals(name)))
                facts.addAll(Choosing.words(name, answer));
        });
    }

    private void choices() {
        for (Choosing c : catalogue.choices())
            if (c.when().stream().allMatch(w -> w.holds(facts::contains)))
                facts.addAll(Choosing.words(c.id(), has.getOrDefault(c.id(), c.startAnswer())));
    }

    /** What follows from the roles and choices. */
    private void derived() {
        add("line", anyCorner("line ", " +", Roles.AT_THE_RADIO));
        add("speakers" + Roles.AT_THE_RADIO, anyCorner("", " +", Roles.AT_THE_RADIO));
        add("amplifier", facts.contains("line") || facts.contains("amplifier speaker level"));
        add("speakers", anyCorner("", " +", "") || facts.contains("amplifier") || facts.contains("fibre out"));
        add("shared return", facts.contains("line common"));
        add("bus", here("data high", "") || here("data", ""));
        add("one wire", here("data", "") || here("data high", "") && !here("data low", ""));
        add("bus" + Roles.AT_THE_RADIO, here("data high", Roles.AT_THE_RADIO) || here("data", Roles.AT_THE_RADIO));
        add(
                "woken by the bus",
                here("bus", Roles.AT_THE_RADIO)
                        && (!here("accessory", Roles.AT_THE_RADIO) || facts.contains("accessory by bus")));
        add(
                "other sources",
                OTHER_SOURCES.stream().anyMatch(r -> here(r, Roles.AT_THE_RADIO))
                        || facts.contains("factory aux jack"));
        add("outputs at a plug", plugs.stream().anyMatch(p -> p.partner().isPresent()));
    }

    private void add(String fact, boolean holds) {
        if (holds) facts.add(fact);
    }

    private boolean here(String role, String where) {
        return facts.contains(role + where);
    }

    private boolean anyCorner(String before, String after, String where) {
        return !corners(before, after, where).isEmpty();
    }

    private List<String> corners(String before, String after, String where) {
        return CORNERS.stream()
                .filter(c -> facts.contains(before + longName(c) + after + where))
                .toList();
    }

    private String longName(String corner) {
        return catalogue.words().get("long").get(corner);
    }

    private void lists(List<String> buttons) {
        List<String> at = corners("", " +", "");
        List<String> inputs = facts.contains("line")
                ? corners("line ", " +", Roles.AT_THE_RADIO)
                : facts.contains("amplifier") ? corners("", " +", Roles.AT_THE_RADIO) : List.of();
        List<String> corners = at.isEmpty() && facts.contains("speakers") ? CORNERS : at;
        values.put("corners", corners);
        values.put("inputs", inputs);
        values.put(
                "front corners",
                FRONT.stream()
                        .filter(inputs.isEmpty() ? corners::contains : inputs::contains)
                        .toList());
        Map<String, Object> ladder = ladder("ladder");
        Map<String, Object> second = ladder("ladder 2");
        List<String> keys = buttons.isEmpty()
                ? Stream.concat(ladder.keySet().stream(), second.keySet().stream())
                        .toList()
                : buttons;
        if (ladder.isEmpty() && second.isEmpty()) keys.forEach(k -> ladder.put(k, unmeasured(k)));
        values.put("ladder", ladder);
        values.put("ladder 2", second);
        values.put("buttons", keys);
        values.put("held", MAY_BE_HELD.stream().filter(keys::contains).toList());
        numbers.forEach((name, value) -> {
            if (!LADDERS.contains(name)) values.put(name, value);
        });
    }

    private List<String> unknown() {
        List<String> wires = new ArrayList<>();
        for (ShortPlug plug : plugs)
            for (ShortLead lead : plug.leads())
                if (unknown(lead) && lead.to().isEmpty())
                    wires.add(plug.id() + lead.position().orElse(0));
        return wires;
    }

    /** Whether nobody knows what stands behind it. */
    boolean unknown(ShortLead lead) {
        return lead.role().isEmpty() || unserved.contains(lead.role().get().label());
    }

    private Map<String, Object> ladder(String name) {
        Object said = has.get(name);
        Map<String, Object> ladder = Archetypes.object(said);
        ladder.replaceAll((key, ohms) -> ohms instanceof Number ? ohms : unmeasured(key));
        if (said instanceof List<?> keys) keys.forEach(k -> ladder.put((String) k, unmeasured((String) k)));
        return ladder;
    }

    private static Object unmeasured(String key) {
        return Map.of("missing", "resistance of \"%s\"".formatted(key), "range", LADDER_RANGE);
    }

    boolean holds(String word) {
        return facts.contains(word);
    }

    List<Archetype> taken() {
        return taken;
    }

    /** What would be taken if it were not struck out. */
    List<Archetype> struck() {
        return struck;
    }

    /** The questions that the roles leave open. */
    List<Choosing> open() {
        return catalogue.choices().stream()
                .filter(c -> c.when().stream().allMatch(w -> w.holds(facts::contains)))
                .toList();
    }

    List<String> buttons() {
        return ((List<?>) values.get("buttons"))
                .stream().map(String.class::cast).toList();
    }

    /** What fills a piece. */
    Template template(Archetype piece) {
        Map<String, Object> all = new HashMap<>();
        piece.params().forEach(p -> all.put(p.name(), p.start()));
        all.putAll(values);
        return new Template(all, facts::contains, catalogue.words());
    }

    /** All pieces together: devices and wires. */
    Map<String, Object> devices() {
        return devices(taken);
    }

    private Map<String, Object> devices(List<Archetype> pieces) {
        Map<String, Object> built = new LinkedHashMap<>();
        for (Archetype piece : pieces)
            built = Merge.objects(built, template(piece).object(piece.adds()));
        return built;
    }

    /** Where the wire of each role goes. */
    Map<String, String> ends() {
        return ends(taken);
    }

    private Map<String, String> ends(List<Archetype> pieces) {
        Map<String, String> to = new LinkedHashMap<>();
        for (Archetype piece : pieces)
            for (Object entry : (List<?>) template(piece).fill(piece.to())) {
                Map<?, ?> end = (Map<?, ?>) entry;
                to.put(Roles.label((String) end.get("role")), (String) end.get("to"));
            }
        return to;
    }

    /** What the factory radio has for them. */
    Map<String, Object> radio() {
        Map<String, Object> built = new LinkedHashMap<>(Map.of("id", "factory radio", "name", "factory radio"));
        for (Archetype piece : taken)
            built = Merge.objects(built, template(piece).object(piece.radio()));
        return built;
    }

    /**
     * What a device's rules call the terminal of each role; others name those of what was struck out as well.
     *
     * @param device empty for the factory radio
     */
    Map<String, String> names(Optional<String> device) {
        Map<String, String> names = new LinkedHashMap<>();
        for (Archetype piece : Stream.concat(taken.stream(), struck.stream()).toList())
            for (Object entry : (List<?>) template(piece).fill(piece.names())) {
                Map<?, ?> name = (Map<?, ?>) entry;
                if (Optional.ofNullable((String) name.get("on")).equals(device))
                    names.put(Roles.label((String) name.get("role")), (String) name.get("name"));
            }
        return names;
    }
}
