package velvetbezel.draft;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.sheet.LeadRole;

/** A factory radio that nobody described: what the car's plugs ask of one, taken from standard devices. */
public final class FactoryRadio {
    private static final Object CAUTION = Map.of(
            "station",
            "Arrive",
            "text",
            "The factory radio is assumed: a plain one with what the plugs carry stands for it.",
            "why",
            "The sheet does not describe it; the baseline test tells what this car's radio really did.");

    /** A position with a wire of the car. */
    record Wired(String plug, String position, LeadRole role) {}

    private final List<Wired> wires;
    private final Map<String, Object> radio;
    private final Map<String, String> names = new HashMap<>();

    /** @param chosen standard devices behind the plugs, whose pieces make up the radio */
    FactoryRadio(List<Wired> wires, List<Blocks.Standard> chosen, Map<String, Object> values) {
        this.wires = wires;
        Map<String, Object> built = Map.of("id", "factory radio", "name", "factory radio");
        for (Blocks.Standard block : chosen) built = Merge.objects(built, Block.filledPiece(block.radio(), values));
        this.radio = new LinkedHashMap<>(built);
        if (radio.remove("names") instanceof Map<?, ?> said)
            said.forEach((role, name) -> names.put(Blocks.label((String) role), (String) name));
    }

    /**
     * A vehicle's tree with a radio, where it has none.
     *
     * @return the tree itself where it describes one, or is none of a vehicle
     */
    public static Object in(Object tree, Blocks blocks) {
        if (!(tree instanceof Map<?, ?> sheet) || !"vehicle".equals(sheet.get("kind")) || sheet.get("radio") != null)
            return tree;
        List<Map<?, ?>> plugs = maps(sheet.get("plugs")).stream()
                .filter(p -> p.get("access") == null)
                .toList();
        List<Wired> wires = new ArrayList<>();
        for (Map<?, ?> plug : plugs)
            for (Map<?, ?> position : maps(plug.get("positions")))
                role(position).ifPresent(r -> wires.add(new Wired(text(plug, "id"), text(position, "position"), r)));
        FactoryRadio radio =
                new FactoryRadio(wires, blocks.behind(present(wires)), Map.of("buttons", list(sheet.get("buttons"))));
        Map<String, Object> whole = new LinkedHashMap<>();
        sheet.forEach((k, v) -> whole.put((String) k, v));
        List<Object> cautions = new ArrayList<>(list(sheet.get("cautions")));
        cautions.add(CAUTION);
        whole.put("cautions", cautions);
        whole.put("radio", radio.tree(plugs.stream().map(radio::socket).toList()));
        return whole;
    }

    private static Set<String> present(List<Wired> wires) {
        return wires.stream().map(w -> w.role.label()).collect(Collectors.toSet());
    }

    /** @param plugs its halves of the car's plugs */
    Map<String, Object> tree(List<? extends Map<String, Object>> plugs) {
        Map<String, Object> whole = new LinkedHashMap<>(radio);
        whole.put("plugs", plugs);
        Set<String> present = present(wires);
        List<String> terminals = names.entrySet().stream()
                .filter(e -> !present.contains(e.getKey()))
                .map(Map.Entry::getValue)
                .distinct()
                .toList();
        if (!terminals.isEmpty()) whole.put("terminals", terminals);
        return whole;
    }

    /** The first position of a role has the name that the radio's rules use. */
    Map<String, Object> position(Object number, Wired wire) {
        Map<String, Object> position = new LinkedHashMap<>();
        position.put("position", number);
        boolean first = wires.stream()
                .filter(w -> w.role == wire.role)
                .findFirst()
                .filter(wire::equals)
                .isPresent();
        if (first && names.containsKey(wire.role.label())) position.put("name", names.get(wire.role.label()));
        position.put("role", wire.role.label());
        return position;
    }

    /** The radio's half of a plug of the car. */
    private Map<String, Object> socket(Map<?, ?> plug) {
        Map<String, Object> half = new LinkedHashMap<>();
        plug.forEach((k, v) -> half.put((String) k, v));
        half.put("socket", !Boolean.TRUE.equals(plug.get("socket")));
        List<Object> positions = new ArrayList<>();
        for (Map<?, ?> p : maps(plug.get("positions"))) {
            Optional<Wired> wire = wires.stream()
                    .filter(w -> w.plug.equals(text(plug, "id")) && w.position.equals(text(p, "position")))
                    .findFirst();
            positions.add(wire.map(w -> (Object) position(p.get("position"), w))
                    .orElseGet(() -> Map.of("position", p.get("position"), "empty", true)));
        }
        half.put("positions", positions);
        return half;
    }

    private static Optional<LeadRole> role(Map<?, ?> position) {
        Object role = position.get("role") instanceof Map<?, ?> said ? said.get("value") : position.get("role");
        return role instanceof String text ? LeadRole.find(text) : Optional.empty();
    }

    private static String text(Map<?, ?> map, String key) {
        return String.valueOf(map.get(key));
    }

    private static List<Object> list(Object value) {
        return value instanceof List<?> l ? new ArrayList<>(l) : List.of();
    }

    private static List<Map<?, ?>> maps(Object value) {
        List<Map<?, ?>> maps = new ArrayList<>();
        for (Object o : list(value)) if (o instanceof Map<?, ?> m) maps.add(m);
        return maps;
    }
}
