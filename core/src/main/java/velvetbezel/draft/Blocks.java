package velvetbezel.draft;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import velvetbezel.sheet.Fault;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Node;

/**
 * The building blocks that come with the program: standard devices of a car, by the roles at its plugs (common
 * practice, no source), and pieces of radios and parts.
 *
 * @param vehicle standard devices, in the order in which they are put together
 */
public record Blocks(List<Standard> vehicle, List<Block> device) {
    public Blocks {
        vehicle = List.copyOf(vehicle);
        device = List.copyOf(device);
    }

    /**
     * A standard device of a car.
     *
     * @param needs  roles that must be at the plugs
     * @param unless roles whose presence leaves it out
     * @param adds   devices and wires
     * @param to     where the wire of each role goes
     * @param radio  what the factory radio has for it, with the names of its positions by role
     */
    record Standard(
            String id,
            List<String> needs,
            List<String> unless,
            Map<String, Object> adds,
            Map<String, Object> to,
            Map<String, Object> radio) {}

    /** The standard devices of a car whose plugs carry some roles. */
    List<Standard> behind(Set<String> present) {
        return vehicle.stream()
                .filter(b -> b.needs().stream().map(Blocks::label).allMatch(present::contains)
                        && b.unless().stream().map(Blocks::label).noneMatch(present::contains))
                .toList();
    }

    /** A role as its label, whatever minus sign a file has. */
    static String label(String role) {
        return LeadRole.find(role).map(LeadRole::label).orElse(role);
    }

    public List<Block> of(String kind) {
        return device.stream().filter(b -> b.kind().equals(kind)).toList();
    }

    public Optional<Block> find(String kind, String id) {
        return of(kind).stream().filter(b -> b.id().equals(id)).findFirst();
    }

    /** @throws InvalidInput with every fault */
    public static Blocks read(Object tree) {
        List<Fault> faults = new ArrayList<>();
        Node node = Node.root(tree, faults);
        Map<?, ?> root = (Map<?, ?>) tree;
        List<Standard> vehicle = new ArrayList<>();
        for (Object entry : (List<?>) root.get("vehicle")) vehicle.add(standard((Map<?, ?>) entry));
        List<Block> device = new ArrayList<>();
        List<Node> nodes = node.at("device").list();
        for (int i = 0; i < nodes.size(); i++)
            device.add(block(nodes.get(i), (Map<?, ?>) ((List<?>) root.get("device")).get(i)));
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        return new Blocks(vehicle, device);
    }

    private static Standard standard(Map<?, ?> entry) {
        Map<String, Object> adds = map(entry);
        List.of("block", "needs", "unless", "to", "radio").forEach(adds::remove);
        return new Standard(
                (String) entry.get("block"),
                texts(entry.get("needs")),
                texts(entry.get("unless")),
                adds,
                map(entry.get("to")),
                map(entry.get("radio")));
    }

    private static List<String> texts(Object list) {
        return list instanceof List<?> l ? l.stream().map(Object::toString).toList() : List.of();
    }

    private static Map<String, Object> map(Object tree) {
        Map<String, Object> copy = new LinkedHashMap<>();
        if (tree instanceof Map<?, ?> m) m.forEach((k, v) -> copy.put((String) k, v));
        return copy;
    }

    private static Block block(Node node, Map<?, ?> entry) {
        List<Block.Field> fields = new ArrayList<>();
        if (entry.get("fields") instanceof List<?> list) for (Object f : list) fields.add(field((Map<?, ?>) f));
        return new Block(
                node.at("block").text(), node.at("text").text(), node.at("for").text(), fields, map(entry.get("adds")));
    }

    private static Block.Field field(Map<?, ?> f) {
        return new Block.Field(
                text(f, "name"),
                text(f, "label"),
                Block.Field.Kind.valueOf(text(f, "kind").toUpperCase(Locale.ROOT)),
                text(f, "start"),
                text(f, "unit"));
    }

    private static String text(Map<?, ?> map, String name) {
        return map.get(name) == null ? "" : map.get(name).toString();
    }
}
