package velvetbezel.draft;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import velvetbezel.sheet.Flow;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.LeadState;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.SheetTree;
import velvetbezel.units.WireColour;

/** A lead between the line a person types and the tree of a sheet. */
final class LeadTree {
    /** Length of a wire behind a car's plug that nobody measured, m (from memory). */
    static final double CAR_METRES = 1.5;

    private static final String CARRIED_ON = "carried on";
    private static final Map<String, Object> THICK = usual(14, "a thick wire");
    private static final Map<String, Object> THIN = usual(22, "a thin wire");

    private LeadTree() {}

    private static Map<String, Object> usual(int gauge, String by) {
        return SheetTree.claim(gauge, Provenance.Origin.ASSUMED, by, "");
    }

    /** Usual gauge of a wire of this role, AWG (from memory): thin for what carries no load. */
    private static Map<String, Object> usual(Optional<LeadRole> role) {
        boolean signal = role.map(LeadRole::group)
                .filter(g -> g == LeadRole.Group.CONTROL || g == LeadRole.Group.LINE || g == LeadRole.Group.PLUGGED)
                .isPresent();
        return usual(signal ? 22 : 18, "usual gauge");
    }

    /** What it is for, and which way it works. */
    static Map<String, Object> role(ShortLead lead) {
        Map<String, Object> tree = new LinkedHashMap<>();
        String role = lead.role().map(LeadRole::label).orElse(ShortLines.UNKNOWN);
        Map<String, Object> said = new LinkedHashMap<>();
        said.put(lead.guessed() ? "guessed" : "value", role);
        lead.from().ifPresent(o -> said.put("from", o.word()));
        boolean plain = lead.role().isEmpty() || said.size() == 1 && !lead.guessed();
        tree.put("role", plain ? role : said);
        if (lead.state() != LeadState.USED) tree.put("state", lead.state().word());
        if (lead.gives()) tree.put("flow", Flow.GIVES.word());
        return tree;
    }

    /** Colour, gauge and length of its wire. @param metres its length where nobody typed one */
    static Map<String, Object> wire(ShortLead lead, OptionalDouble metres) {
        Map<String, Object> tree = new LinkedHashMap<>();
        lead.colour()
                .map(WireColour::words)
                .ifPresent(c -> tree.put(
                        "colour",
                        lead.from()
                                .<Object>map(o -> SheetTree.claim(c, o, "", ""))
                                .orElse(c)));
        tree.put("gauge", lead.size().map(LeadTree::gauge).orElseGet(() -> usual(lead.role())));
        OptionalDouble length = lead.metres().isPresent() ? lead.metres() : metres;
        length.ifPresent(m -> tree.put("metres", m));
        return tree;
    }

    private static Object gauge(String size) {
        return switch (size) {
            case "thick" -> THICK;
            case "thin" -> THIN;
            default -> size.endsWith(" AWG") ? (Object) Integer.valueOf(size.replace(" AWG", "")) : size;
        };
    }

    /**
     * The line that says as much of a position or lead as a line can; empty where it holds nothing.
     *
     * @param metres its length where a line says none
     */
    static Optional<ShortLead> read(Map<?, ?> tree, OptionalDouble metres) {
        if (Boolean.TRUE.equals(tree.get("empty")) || CARRIED_ON.equals(tree.get("role"))) return Optional.empty();
        Optional<String> role = said(tree.get("role"));
        boolean guessed = tree.get("role") instanceof Map<?, ?> m && m.containsKey("guessed");
        Optional<LeadRole> known = role.flatMap(LeadRole::find);
        if (known.isEmpty() && !role.equals(Optional.of(ShortLines.UNKNOWN))) return Optional.empty();
        Optional<WireColour> colour = said(tree.get("colour")).flatMap(WireColour::read);
        Optional<Provenance.Origin> from = origin(tree.get("role"));
        if (tree.get("colour") instanceof Map<?, ?> claim && !origin(claim).equals(from)) colour = Optional.empty();
        return Optional.of(new ShortLead(
                tree.get("position") == null
                        ? OptionalInt.empty()
                        : OptionalInt.of(Integer.parseInt(tree.get("position").toString())),
                said(tree.get("state")).flatMap(LeadState::find).orElse(LeadState.USED),
                Flow.GIVES.word().equals(tree.get("flow")),
                known,
                guessed && known.isPresent(),
                colour,
                size(tree.get("gauge"), known),
                tree.get("metres") instanceof Number n
                                && !(metres.isPresent() && metres.getAsDouble() == n.doubleValue())
                        ? OptionalDouble.of(n.doubleValue())
                        : OptionalDouble.empty(),
                List.of(),
                from));
    }

    private static Optional<String> said(Object field) {
        if (field instanceof String text) return Optional.of(text);
        if (!(field instanceof Map<?, ?> m)) return Optional.empty();
        return Optional.ofNullable(m.get("value") != null ? m.get("value") : m.get("guessed"))
                .map(Object::toString);
    }

    /** Who says so, where nothing more is said of it. */
    private static Optional<Provenance.Origin> origin(Object field) {
        return field instanceof Map<?, ?> m && m.get("by") == null && m.get("date") == null
                ? Optional.ofNullable((String) m.get("from")).flatMap(Provenance.Origin::find)
                : Optional.empty();
    }

    private static Optional<String> size(Object gauge, Optional<LeadRole> role) {
        if (gauge instanceof Number n) return Optional.of(n + " AWG");
        if (THICK.equals(gauge)) return Optional.of("thick");
        if (THIN.equals(gauge)) return Optional.of("thin");
        return gauge instanceof String text && !usual(role).equals(gauge) ? Optional.of(text) : Optional.empty();
    }
}
