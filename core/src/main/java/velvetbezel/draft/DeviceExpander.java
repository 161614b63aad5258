package velvetbezel.draft;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.sheet.CommonCode;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.LeadState;
import velvetbezel.sheet.PartKind;

/** The long sheet of a radio or part from its short one. */
final class DeviceExpander {
    private static final String TERMINAL = "@";
    private static final String GIVES = "gives ";
    private static final String RATINGS = "ratings";
    private static final String CABLE = "cable";
    private static final String NAMES = "names";
    private static final String DEVICE = "device";
    /** The place where all its leads end. */
    private static final String AT = "at";
    /** Where a wire goes that ends in the part itself. */
    static final String INSIDE = "inside";

    private static final List<String> OURS = List.of(
            "format",
            "plugs",
            "leads",
            "RCA",
            "has",
            "numbers",
            "bare",
            RATINGS,
            CABLE,
            NAMES,
            DEVICE,
            AT,
            ShortSheet.BY_HAND,
            ShortSheet.REVISION,
            ShortSheet.PAPER);

    private final ShortSheet sheet;
    private final Archetypes catalogue;
    private final List<InputProblem> faults;
    private final DevicePieces pieces;
    private final boolean commonCode;
    /** Terminal of each role, "gives" before it where it gives. */
    private final Map<String, String> terminals = new HashMap<>();
    /** Names of positions that rules ask for, by their terminal. */
    private final Map<String, String> named = new HashMap<>();
    /** What the sheet calls the lead of a role, "gives" before it where it gives. */
    private final Map<String, String> names = new HashMap<>();

    private final Set<String> leadNames = new HashSet<>();
    /** Positions that others are carried on to: "out 3". */
    private final Set<String> targets;

    DeviceExpander(ShortSheet sheet, Archetypes catalogue, List<InputProblem> faults) {
        this.sheet = sheet;
        this.catalogue = catalogue;
        this.faults = faults;
        boolean radio = sheet.kind().equals("radio");
        this.commonCode = radio || "common code".equals(sheet.whole().get("bare"));
        this.pieces = new DevicePieces(catalogue, radio ? catalogue.radio() : catalogue.part(), sheet);
        Archetypes.object(sheet.whole().get(NAMES)).forEach((role, name) -> names.put(roleName(role), (String) name));
        this.targets = sheet.plugs().stream()
                .flatMap(p -> p.leads().stream())
                .flatMap(l -> l.to().stream())
                .map(t -> t.replace('.', ' '))
                .collect(Collectors.toSet());
        Set<String> features = pieces.features();
        sheet.has().keySet().stream()
                .filter(f -> !features.contains(f))
                .forEach(f -> faults.add(new InputProblem(
                        "has." + f,
                        "is nothing the catalogue knows; the nearest are %s.".formatted(Nearest.to(f, features)))));
    }

    List<Archetype> taken() {
        return pieces.taken();
    }

    List<Choosing> open() {
        return List.of();
    }

    Map<String, Object> tree() {
        Map<String, Object> tree = Headers.whole(sheet.whole(), faults);
        OURS.forEach(tree::remove);
        tree.put("format", Headers.SHEET);
        boolean wireless = sheet.kind().equals("part")
                && PartKind.find(String.valueOf(tree.get("part")))
                        .filter(PartKind::wireless)
                        .isPresent();
        if (wireless && sheet.plugs().isEmpty() && sheet.leads().isEmpty()) return tree;
        tree.put("device", device());
        return tree;
    }

    private Map<String, Object> device() {
        Map<String, Object> device = new LinkedHashMap<>();
        device.put("id", sheet.kind());
        device.put("name", sheet.whole().getOrDefault("name", sheet.kind()));
        device.putAll(Archetypes.object(sheet.whole().get(DEVICE)));
        List<Map<String, Object>> leads = leads();
        sheet.plugs().forEach(this::terminalsOf);
        Map<String, Object> built = pieces.built();
        Map<String, Object> resolved = Archetypes.object(resolve(built));
        List<Object> wires = new ArrayList<>();
        List<Object> plugs = new ArrayList<>();
        for (ShortPlug plug : sheet.plugs()) plugs.add(plug.tree(l -> position(plug, l, wires, resolved)));
        if (!leads.isEmpty()) device.put("leads", leads);
        if (!plugs.isEmpty()) device.put("plugs", plugs);
        if (!wires.isEmpty()) device.put("wires", wires);
        if (sheet.whole().get(CABLE) instanceof Map<?, ?> cable) device.put(CABLE, cable(cable));
        if (sheet.whole().containsKey(RATINGS))
            device.put(RATINGS, sheet.whole().get(RATINGS));
        return Merge.objects(device, resolved);
    }

    private List<Map<String, Object>> leads() {
        List<Map<String, Object>> leads = new ArrayList<>();
        for (ShortLead lead : sheet.leads()) {
            String role = lead.role().map(LeadRole::label).orElse(ShortLines.UNKNOWN);
            String name = name((lead.gives() ? GIVES : "") + role, role, leadNames);
            terminals.putIfAbsent((lead.gives() ? GIVES : "") + role, name);
            Map<String, Object> tree = new LinkedHashMap<>();
            tree.put("name", name);
            tree.putAll(LeadTree.role(lead));
            tree.putAll(LeadTree.wire(coloured(lead), OptionalDouble.empty()));
            if (sheet.whole().containsKey(AT)) tree.put("end", sheet.whole().get(AT));
            leads.add(tree);
        }
        return leads;
    }

    /** The name of a lead that was typed, or the usual one of its role; a second one gets a number. */
    private String name(String typed, String role, Set<String> used) {
        String usual = names.getOrDefault(typed, catalogue.names().getOrDefault(role, role));
        String name = usual;
        for (int n = 2; !used.add(name); n++) name = usual + " " + n;
        return name;
    }

    /** With the usual aftermarket colour, where none was typed and the common code holds. */
    private ShortLead coloured(ShortLead lead) {
        return commonCode && lead.colour().isEmpty() && lead.state() == LeadState.USED
                ? lead.coloured(lead.role().flatMap(CommonCode::colour))
                : lead;
    }

    private void terminalsOf(ShortPlug plug) {
        for (ShortLead lead : plug.leads()) {
            String role = lead.role().map(LeadRole::label).orElse(ShortLines.UNKNOWN);
            terminals.putIfAbsent(
                    (lead.gives() ? GIVES : "") + role,
                    plug.id() + "." + lead.position().orElseThrow());
        }
    }

    /** Puts the terminals of this device in the places of their roles. */
    private Object resolve(Object tree) {
        if (tree instanceof String text && text.startsWith(TERMINAL)) return terminal(Roles.label(text.substring(1)));
        if (tree instanceof List<?> list)
            return list.stream().map(this::resolve).toList();
        if (!(tree instanceof Map<?, ?> map)) return tree;
        Map<String, Object> copy = new LinkedHashMap<>();
        map.forEach((k, v) -> copy.put((String) k, resolve(v)));
        return copy;
    }

    private String terminal(String role) {
        String gives = roleName(role);
        String terminal = terminals.get(gives);
        if (terminal == null) {
            InputProblem fault = new InputProblem(
                    "leads",
                    "hold no lead that %s, which %s."
                            .formatted(role.startsWith(GIVES) ? role : "is " + role, needing()));
            if (!faults.contains(fault)) faults.add(fault);
            return role;
        }
        if (!terminal.contains(".")) return terminal;
        if (named.containsKey(terminal)) return named.get(terminal);
        String bare = Roles.label(role.startsWith(GIVES) ? role.substring(GIVES.length()) : role);
        String name = names.getOrDefault(gives, catalogue.names().getOrDefault(bare, bare));
        if (leadNames.contains(name) || named.containsValue(name)) return terminal;
        named.put(terminal, name);
        return name;
    }

    private static String roleName(String role) {
        return role.startsWith(GIVES) ? GIVES + Roles.label(role.substring(GIVES.length())) : Roles.label(role);
    }

    private String needing() {
        return sheet.has().isEmpty()
                ? "every %s needs; type it".formatted(sheet.kind())
                : sheet.has().keySet().stream()
                        .collect(Collectors.joining(", ", "\"", "\" needs; type it, or take that off"));
    }

    // --- positions of its plugs

    private Map<String, Object> position(
            ShortPlug plug, ShortLead lead, List<Object> wires, Map<String, Object> built) {
        int number = lead.position().orElseThrow();
        Map<String, Object> position = new LinkedHashMap<>();
        position.put("position", number);
        String terminal = plug.id() + "." + number;
        if (named.containsKey(terminal)) position.put("name", named.get(terminal));
        position.putAll(LeadTree.role(lead));
        if (sheet.kind().equals("part") && endsBare(plug, lead)) {
            position.put("bare", true);
            position.putAll(LeadTree.wire(coloured(lead), OptionalDouble.empty()));
        }
        String from = named.getOrDefault(terminal, terminal);
        for (String to : lead.to())
            if (!to.equals(INSIDE))
                end(to, built)
                        .ifPresentOrElse(
                                end -> wires.add(wire(from, end, lead)),
                                () -> faults.add(new InputProblem(
                                        "plugs." + plug.id(),
                                        "position %d goes to \"%s\", and this part has no such plug, position or lead."
                                                .formatted(number, to))));
        return position;
    }

    /** A wire ends bare unless it is carried on, something is carried on to it, or its plug is one of ready leads. */
    private boolean endsBare(ShortPlug plug, ShortLead lead) {
        boolean ready = plug.family().startsWith("RCA")
                || lead.role().filter(r -> r.group() == LeadRole.Group.PLUGGED).isPresent();
        String place = plug.id() + " " + lead.position().orElseThrow();
        return !ready && lead.to().isEmpty() && !targets.contains(place);
    }

    private static Map<String, Object> wire(String from, String to, ShortLead lead) {
        Map<String, Object> wire = new LinkedHashMap<>();
        wire.put("from", from);
        wire.put("to", to);
        Map<String, Object> as = LeadTree.wire(lead, OptionalDouble.empty());
        List.of("gauge", "metres").forEach(k -> {
            if (as.containsKey(k)) wire.put(k, as.get(k));
        });
        return wire;
    }

    /** "out 3" is position 3 of plug out; "RCA fl+" the line of that corner at an RCA plug; else a lead's name. */
    private Optional<String> end(String to, Map<String, Object> built) {
        for (ShortPlug p : sheet.plugs()) {
            if (to.matches("\\Q" + p.id() + "\\E[ .]\\d{1,3}")
                    && Integer.parseInt(to.substring(p.id().length() + 1)) <= p.size())
                return Optional.of(p.id() + "." + to.substring(p.id().length() + 1));
            if (!to.startsWith("RCA ") || !p.family().startsWith("RCA")) continue;
            Optional<LeadRole> line = LeadRole.read("line " + to.substring("RCA ".length()));
            Optional<ShortLead> at = p.leads().stream()
                    .filter(l -> l.role().isPresent() && l.role().equals(line))
                    .findFirst();
            if (at.isPresent())
                return Optional.of(p.id() + "." + at.get().position().getAsInt());
        }
        return terminals.containsValue(to) || names(built).contains(to) ? Optional.of(to) : Optional.empty();
    }

    /** Names of the leads and positions that pieces brought. */
    private static Set<String> names(Object tree) {
        Set<String> names = new HashSet<>();
        if (tree instanceof Map<?, ?> map) {
            if (map.get("name") instanceof String name) names.add(name);
            map.values().forEach(v -> names.addAll(names(v)));
        }
        if (tree instanceof List<?> list) list.forEach(e -> names.addAll(names(e)));
        return names;
    }

    // --- cables

    /** {@code {"wires": "S8, remote", "ends": ["dash", "boot"]}} as the reader has it. */
    private Map<String, Object> cable(Map<?, ?> typed) {
        if (!(typed.get("wires") instanceof String text)) return Archetypes.object(typed);
        ShortLines.Read read = ShortLines.read(text);
        read.unread()
                .forEach(u -> faults.add(new InputProblem("cable.wires", "\"%s\" %s".formatted(u.words(), u.why()))));
        List<Object> wires = new ArrayList<>();
        for (ShortLead lead : read.leads()) {
            Map<String, Object> wire = new LinkedHashMap<>();
            wire.put("role", lead.role().map(LeadRole::label).orElse(ShortLines.UNKNOWN));
            wire.putAll(LeadTree.wire(
                    lead.colour().isPresent() ? lead : lead.coloured(lead.role().flatMap(CommonCode::colour)),
                    OptionalDouble.empty()));
            wires.add(wire);
        }
        Map<String, Object> cable = Archetypes.object(typed);
        cable.put("wires", wires);
        return cable;
    }
}
