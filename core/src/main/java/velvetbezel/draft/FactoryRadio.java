package velvetbezel.draft;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import velvetbezel.sheet.LeadRole;

/** A factory radio that nobody described: what the car's plugs ask of one, taken from the catalogue. */
public final class FactoryRadio {
    private static final Object CAUTION = Map.of(
            "station",
            "Arrive",
            "text",
            "The factory radio is assumed: a plain one with what the plugs carry stands for it.",
            "why",
            "The sheet does not describe it; the baseline test tells what this car's radio really did.");

    private FactoryRadio() {}

    /**
     * A vehicle's tree with a radio, where it has none.
     *
     * @return the tree itself where it describes one, or is none of a vehicle
     */
    public static Object in(Object tree, Archetypes catalogue) {
        if (!(tree instanceof Map<?, ?> sheet) || !"vehicle".equals(sheet.get("kind")) || sheet.get("radio") != null)
            return tree;
        List<ShortPlug> plugs = plugs(sheet.get("plugs"));
        CarPieces pieces = new CarPieces(catalogue, plugs, Map.of(), Map.of(), texts(sheet.get("buttons")), Set.of());
        Map<String, Object> whole = Archetypes.object(sheet);
        List<Object> cautions = new ArrayList<>(list(sheet.get("cautions")));
        cautions.add(CAUTION);
        whole.put("cautions", cautions);
        whole.put("radio", tree(pieces, plugs));
        return whole;
    }

    /** Its tree: the other halves of the plugs at its place, and what the pieces behind them have for it. */
    static Map<String, Object> tree(CarPieces pieces, List<ShortPlug> plugs) {
        Map<String, Object> radio = new LinkedHashMap<>(pieces.radio());
        Map<String, String> names = pieces.names(Optional.empty());
        List<ShortPlug> here = plugs.stream().filter(ShortPlug::atTheRadio).toList();
        Set<String> used = new HashSet<>();
        List<Object> halves = new ArrayList<>(halves(here, names, used));
        halves.addAll(list(radio.get("plugs")));
        radio.put("plugs", halves);
        Set<String> asked = new HashSet<>();
        texts(radio, asked);
        List<String> terminals = names.values().stream()
                .distinct()
                .filter(n -> !used.contains(n) && asked.contains(n))
                .toList();
        if (!terminals.isEmpty()) radio.put("terminals", terminals);
        return radio;
    }

    /** The names of one role go to the plug whose name comes first, however the plugs were listed. */
    private static List<Map<String, Object>> halves(List<ShortPlug> here, Map<String, String> names, Set<String> used) {
        Map<String, Map<String, Object>> byPlug = new HashMap<>();
        here.stream()
                .sorted(Comparator.comparing(ShortPlug::id))
                .forEach(p -> byPlug.put(p.id(), p.partnerTree(l -> position(l, names, used))));
        return here.stream().map(p -> byPlug.get(p.id())).toList();
    }

    /**
     * A position of a partner: the first of a role has the name that the partner's rules use.
     *
     * @param used names that are taken; this one is added
     */
    static Map<String, Object> position(ShortLead lead, Map<String, String> names, Set<String> used) {
        Map<String, Object> position = new LinkedHashMap<>();
        position.put("position", lead.position().orElseThrow());
        lead.role().map(LeadRole::label).map(names::get).filter(used::add).ifPresent(n -> position.put("name", n));
        position.put("role", lead.role().map(LeadRole::label).orElse(ShortLines.UNKNOWN));
        return position;
    }

    /** The plugs of a long sheet. */
    static List<ShortPlug> plugs(Object trees) {
        List<ShortPlug> plugs = new ArrayList<>();
        for (Object entry : list(trees)) if (entry instanceof Map<?, ?> plug) plugs.add(plug(plug));
        return plugs;
    }

    private static ShortPlug plug(Map<?, ?> plug) {
        List<ShortLead> leads = new ArrayList<>();
        for (Object position : list(plug.get("positions")))
            if (position instanceof Map<?, ?> p)
                LeadTree.read(p, OptionalDouble.of(LeadTree.CAR_METRES)).ifPresent(leads::add);
        return new ShortPlug(
                String.valueOf(plug.get("id")),
                String.valueOf(plug.get("family")),
                Boolean.TRUE.equals(plug.get("socket")),
                plug.get("size") instanceof Integer size ? size : 1,
                plug.get("access") == null ? Optional.empty() : Optional.of(Archetypes.object(plug.get("access"))),
                Optional.ofNullable((String) plug.get("in")),
                Optional.empty(),
                !leads.isEmpty()
                        && list(plug.get("positions")).stream()
                                .allMatch(p -> p instanceof Map<?, ?> m
                                        && (Boolean.TRUE.equals(m.get("bare")) || Boolean.TRUE.equals(m.get("empty")))),
                leads);
    }

    private static void texts(Object tree, Set<String> into) {
        if (tree instanceof Map<?, ?> map) map.values().forEach(v -> texts(v, into));
        else if (tree instanceof List<?> list) list.forEach(e -> texts(e, into));
        else if (tree instanceof String text) into.add(text);
    }

    private static List<?> list(Object value) {
        return value instanceof List<?> l ? l : List.of();
    }

    private static List<String> texts(Object value) {
        return list(value).stream().map(Object::toString).toList();
    }
}
