package velvetbezel.draft;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import velvetbezel.sheet.Flow;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.LeadRole;

/** A car's long sheet from its short one. */
final class CarExpander {
    private static final List<String> OURS = List.of(
            "format",
            "plugs",
            "places",
            "has",
            "numbers",
            ShortSheet.OTHERWISE,
            ShortSheet.BY_HAND,
            ShortSheet.REVISION,
            ShortSheet.PAPER);

    private final ShortSheet sheet;
    private final List<InputProblem> faults;
    private final CarPieces pieces;

    CarExpander(ShortSheet sheet, Archetypes catalogue, List<InputProblem> faults) {
        this.sheet = sheet;
        this.faults = faults;
        this.pieces =
                new CarPieces(catalogue, sheet.plugs(), sheet.has(), sheet.numbers(), buttons(), sheet.otherwise());
        new CarFaults(sheet, catalogue, pieces, faults).find();
    }

    private List<String> buttons() {
        return sheet.whole().get("buttons") instanceof List<?> keys
                ? keys.stream().map(Object::toString).toList()
                : List.of();
    }

    CarPieces pieces() {
        return pieces;
    }

    Map<String, Object> tree() {
        Map<String, Object> tree = Headers.whole(sheet.whole(), faults);
        OURS.forEach(tree::remove);
        tree.put("format", Headers.SHEET);
        tree.putIfAbsent(
                "audio system", pieces.holds("amplifier") || pieces.holds("fibre out") ? "amplified" : "plain");
        tree.putIfAbsent("buttons", pieces.buttons());
        Map<String, String> ends = pieces.ends();
        tree.put(
                "plugs",
                sheet.plugs().stream()
                        .map(p -> p.tree(l -> position(p, l, ends)))
                        .toList());
        Map<String, Object> devices = pieces.devices();
        for (ShortPlug plug : sheet.plugs()) plug.partner().ifPresent(device -> partner(devices, device, plug));
        tree.put("devices", devices.getOrDefault("devices", List.of()));
        tree.put("wires", devices.getOrDefault("wires", List.of()));
        tree.put("radio", FactoryRadio.tree(pieces, sheet.plugs()));
        return tree;
    }

    private Map<String, Object> position(ShortPlug plug, ShortLead lead, Map<String, String> ends) {
        Map<String, Object> position = new LinkedHashMap<>();
        position.put("position", lead.position().orElseThrow());
        position.putAll(LeadTree.role(lead));
        String role = lead.role().map(LeadRole::label).orElse(ShortLines.UNKNOWN);
        String usual =
                pieces.unknown(lead) ? "behind.w" + plug.id() + lead.position().getAsInt() : ends.get(role);
        String end = lead.to().isEmpty() ? usual : lead.to().get(0);
        if (end == null)
            faults.add(new InputProblem(
                    "plugs." + plug.id(),
                    "position %d: nothing stands behind \"%s\"; choose what it feeds, or write \"unknown\"."
                            .formatted(lead.position().getAsInt(), role)));
        position.put("to", end);
        if (plug.cut()) position.put("bare", true);
        position.putAll(LeadTree.wire(lead, OptionalDouble.of(LeadTree.CAR_METRES)));
        return position;
    }

    /** The other half of a plug that a device has: it gives what it has a name for. */
    private void partner(Map<String, Object> built, String device, ShortPlug plug) {
        Map<String, String> names = pieces.names(Optional.of(device));
        Set<String> used = new HashSet<>();
        Map<String, Object> half = plug.partnerTree(l -> {
            Map<String, Object> position = FactoryRadio.position(l, names, used);
            if (position.containsKey("name")) position.put("flow", Flow.GIVES.word());
            return position;
        });
        Map<String, Object> more = Map.of("devices", List.of(Map.of("id", device, "plugs", List.of(half))));
        built.putAll(Merge.objects(built, more));
    }
}
