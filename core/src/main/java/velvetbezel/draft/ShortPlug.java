package velvetbezel.draft;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.Flow;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.LeadState;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Position;
import velvetbezel.sheet.Provenance;
import velvetbezel.units.WireColour;

/**
 * A plug as a short sheet has it.
 *
 * @param socket  it is the socket half
 * @param size    number of positions
 * @param access  where it lies, as a sheet's tree writes it, unless it is at the radio's place
 * @param housing the plug in whose housing it sits
 * @param partner the device that has the other half, unless it is the factory radio
 * @param cut     the wires were cut off here: their ends are bare
 * @param leads   each at its position
 */
record ShortPlug(
        String id,
        String family,
        boolean socket,
        int size,
        Optional<Map<String, Object>> access,
        Optional<String> housing,
        Optional<String> partner,
        boolean cut,
        List<ShortLead> leads) {
    ShortPlug {
        leads = List.copyOf(leads);
    }

    /** The same with its other half on a device. */
    ShortPlug with(String device) {
        return new ShortPlug(id, family, socket, size, access, housing, Optional.of(device), cut, leads);
    }

    /** A car's plugs are sockets but for the antenna's, and a radio's or part's are none, where nothing is said. */
    static boolean usualSocket(boolean car, int size, List<ShortLead> leads) {
        boolean antenna =
                size == 2 && leads.stream().flatMap(l -> l.role().stream()).anyMatch(LeadRole.ANTENNA::equals);
        return car && !antenna;
    }

    /** What a short sheet says of it beside its positions. */
    Map<String, Object> head(boolean car) {
        Map<String, Object> head = new LinkedHashMap<>();
        if (!family.equals(id)) head.put("family", family);
        if (socket != usualSocket(car, size, leads)) head.put("socket", socket);
        int highest = leads.stream().mapToInt(l -> l.position().orElse(0)).max().orElse(1);
        if (size != highest) head.put("size", size);
        access.ifPresent(a -> head.put("access", a));
        housing.ifPresent(h -> head.put("in", h));
        partner.ifPresent(d -> head.put("partner", d));
        if (cut) head.put("cut", true);
        return head;
    }

    boolean atTheRadio() {
        return access.isEmpty();
    }

    /** Its tree in a sheet, with every position that no lead is at as empty. */
    Map<String, Object> tree(Function<ShortLead, Map<String, Object>> position) {
        Map<String, Object> tree = half(socket, position);
        access.ifPresent(a -> tree.put("access", a));
        return tree;
    }

    /** The tree of what plugs into it. */
    Map<String, Object> partnerTree(Function<ShortLead, Map<String, Object>> position) {
        return half(!socket, position);
    }

    private Map<String, Object> half(boolean asSocket, Function<ShortLead, Map<String, Object>> position) {
        Map<String, Object> tree = new LinkedHashMap<>();
        tree.put("id", id);
        tree.put("family", family);
        if (asSocket) tree.put("socket", true);
        tree.put("size", size);
        housing.ifPresent(h -> tree.put("in", h));
        Map<Integer, ShortLead> at = leads.stream()
                .collect(Collectors.toMap(l -> l.position().orElseThrow(), l -> l, (first, second) -> first));
        List<Object> positions = new ArrayList<>();
        for (int n = 1; n <= size; n++) positions.add(at.containsKey(n) ? position.apply(at.get(n)) : empty(n));
        tree.put("positions", positions);
        return tree;
    }

    /** As it can be drawn, with every position. */
    Plug face() {
        List<Position> positions = new ArrayList<>();
        for (int n = 1; n <= size; n++) {
            int number = n;
            positions.add(position(
                    n,
                    leads.stream().filter(l -> l.position().orElse(0) == number).findFirst()));
        }
        return new Plug(id, family, socket, size, positions, housing, Optional.empty());
    }

    private Position position(int number, Optional<ShortLead> lead) {
        Provenance from = Provenance.of(lead.flatMap(ShortLead::from).orElse(Provenance.Origin.STATED));
        Fact<WireColour> colour = lead.flatMap(ShortLead::colour)
                .<Fact<WireColour>>map(c -> new Fact.Known<>(c, from))
                .orElse(Fact.missing(new FieldRef(id, "colour")));
        Fact<LeadRole> role = lead.flatMap(ShortLead::role)
                .<Fact<LeadRole>>map(
                        r -> lead.get().guessed() ? new Fact.Guessed<>(r, from) : new Fact.Known<>(r, from))
                .orElse(Fact.missing(new FieldRef(id, "role")));
        return new Position(
                String.valueOf(number),
                "",
                lead.map(l -> role),
                lead.map(ShortLead::state).orElse(LeadState.USED),
                Flow.SHARES,
                colour,
                Fact.missing(new FieldRef(id, "gauge")),
                LeadTree.CAR_METRES,
                false,
                new Fact.Known<>(true, from),
                Optional.empty());
    }

    private static Map<String, Object> empty(int position) {
        Map<String, Object> tree = new LinkedHashMap<>();
        tree.put("position", position);
        tree.put("empty", true);
        return tree;
    }

    boolean carries(LeadRole role) {
        return leads.stream().anyMatch(l -> l.role().filter(role::equals).isPresent());
    }
}
