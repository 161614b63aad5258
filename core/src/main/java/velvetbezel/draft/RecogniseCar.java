package velvetbezel.draft;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.sheet.LeadRole;

/** The short sheet of a car, as near as the catalogue comes. */
final class RecogniseCar {
    private static final List<String> DERIVED =
            List.of("format", "devices", "wires", "plugs", "radio", "has", "numbers");
    private static final int PASSES = 2;

    private final Map<String, Object> whole;
    private final Archetypes catalogue;
    private final List<ShortPlug> plugs;
    private final Map<String, Object> has = new LinkedHashMap<>();
    private Map<String, Object> numbers = Map.of();

    RecogniseCar(Map<String, Object> whole, Archetypes catalogue) {
        this.whole = whole;
        this.catalogue = catalogue;
        this.plugs = FactoryRadio.plugs(whole.get("plugs")).stream()
                .map(this::withPartner)
                .toList();
    }

    Map<String, Object> tree() {
        for (String ladder : List.of("ladder", "ladder 2")) {
            Map<String, Object> keys = ladder(ladder.equals("ladder") ? "sw" : "sw2");
            if (!keys.isEmpty()) has.put(ladder, keys);
        }
        int best = read(has);
        for (int pass = 0; pass < PASSES; pass++)
            for (Choosing c : pieces().open()) best = c.several() ? several(c, best) : one(c, best);
        pieces().open().forEach(c -> has.remove(c.id(), c.startAnswer()));
        return tree(has);
    }

    /** With these answers and numbers. */
    Map<String, Object> tree(Map<String, Object> answers, Map<String, Object> values) {
        numbers = values;
        return tree(answers);
    }

    private int one(Choosing c, int best) {
        int least = best;
        for (String option : c.options().keySet()) {
            Object before = has.get(c.id());
            if (option.equals(before)) continue;
            has.put(c.id(), option);
            int cost = read(has);
            if (cost < least) least = cost;
            else if (before == null) has.remove(c.id());
            else has.put(c.id(), before);
        }
        read(has);
        return least;
    }

    private int several(Choosing c, int best) {
        int least = best;
        List<String> kept = new ArrayList<>(
                has.get(c.id()) instanceof List<?> said
                        ? said.stream().map(Object::toString).toList()
                        : List.of(c.start()));
        for (String option : c.options().keySet()) {
            List<String> tried = new ArrayList<>(kept);
            if (!tried.remove(option)) tried.add(option);
            has.put(c.id(), tried);
            int cost = read(has);
            if (cost < least) {
                least = cost;
                kept = tried;
            }
        }
        has.put(c.id(), kept);
        if (kept.equals(c.startAnswer())) has.remove(c.id());
        read(has);
        return least;
    }

    /** Reads the numbers that go with these answers, and says what is left to be written by hand. */
    private int read(Map<String, Object> answers) {
        CarPieces plain = pieces(answers, Map.of());
        CarPieces holes = pieces(answers, Holes.of(plain.taken()));
        Map<String, Object> found = new LinkedHashMap<>(Holes.read(holes.devices(), whole));
        Holes.read(holes.radio(), whole.get("radio")).forEach(found::putIfAbsent);
        numbers = found;
        return Recognise.cost(tree(answers), whole, catalogue);
    }

    private CarPieces pieces() {
        return pieces(has, numbers);
    }

    private CarPieces pieces(Map<String, Object> answers, Map<String, Object> values) {
        List<String> buttons = Recognise.list(whole.get("buttons")).stream()
                .map(Object::toString)
                .toList();
        return new CarPieces(catalogue, plugs, answers, values, buttons, Set.of());
    }

    /** The device that has the other half of a plug. */
    private ShortPlug withPartner(ShortPlug plug) {
        Optional<String> partner = Recognise.list(whole.get("devices")).stream()
                .map(Archetypes::object)
                .filter(d -> Recognise.list(d.get("plugs")).stream()
                        .anyMatch(p -> Archetypes.object(p).get("family").equals(plug.family())))
                .map(d -> (String) d.get("id"))
                .findFirst();
        return plug.atTheRadio() || partner.isEmpty() ? plug : plug.with(partner.get());
    }

    /** Resistances by key, of rules that draw over this terminal of the steering wheel. */
    private Map<String, Object> ladder(String terminal) {
        Map<String, Object> ladder = new LinkedHashMap<>();
        for (Object device : Recognise.list(whole.get("devices")))
            if ("steering wheel".equals(Archetypes.object(device).get("id")))
                for (Object rule : Recognise.list(Archetypes.object(device).get("rules")))
                    key(Archetypes.object(rule), terminal, ladder);
        return ladder;
    }

    private static void key(Map<String, Object> rule, String terminal, Map<String, Object> ladder) {
        Map<String, Object> when = Archetypes.object(rule.get("when"));
        List<?> then = Recognise.list(rule.get("then"));
        if (!"buttons".equals(when.get("state")) || then.size() != 1) return;
        Map<String, Object> draw = Archetypes.object(then.get(0));
        if (draw.get("ohms") instanceof Number ohms && List.of(terminal, "ret").equals(draw.get("draw")))
            ladder.put((String) when.get("has"), ohms);
    }

    // --- the tree

    private Map<String, Object> tree(Map<String, Object> answers) {
        Map<String, Object> tree = new LinkedHashMap<>(whole);
        DERIVED.forEach(tree::remove);
        Map<String, Object> head = new LinkedHashMap<>();
        head.put("format", ShortSheet.FORMAT);
        head.putAll(tree);
        Map<String, String> ends = pieces(answers, numbers).ends();
        Map<String, Object> typed = new LinkedHashMap<>();
        for (ShortPlug p : plugs) typed.put(p.id(), plug(p, ends));
        head.put("plugs", typed);
        if (!answers.isEmpty()) head.put("has", new LinkedHashMap<>(answers));
        if (!numbers.isEmpty()) head.put("numbers", numbers);
        return head;
    }

    private Map<String, Object> plug(ShortPlug plug, Map<String, String> ends) {
        Map<String, Object> tree = plug.head(true);
        Map<Integer, String> to = ends(plug.id());
        tree.put(
                "positions",
                plug.leads().stream()
                        .map(l -> goesTo(plug, l, to.get(l.position().orElse(0)), ends)
                                .text())
                        .collect(Collectors.joining(", ")));
        return tree;
    }

    private static ShortLead goesTo(ShortPlug plug, ShortLead lead, String to, Map<String, String> ends) {
        String usual = lead.role()
                .map(LeadRole::label)
                .map(ends::get)
                .orElse(
                        lead.role().isPresent()
                                ? null
                                : "behind.w" + plug.id() + lead.position().orElse(0));
        return to == null || to.equals(usual) ? lead : lead.to(List.of(to));
    }

    private Map<Integer, String> ends(String plug) {
        Map<Integer, String> ends = new LinkedHashMap<>();
        for (Object p : Recognise.list(whole.get("plugs")))
            if (plug.equals(Archetypes.object(p).get("id")))
                for (Object position : Recognise.list(Archetypes.object(p).get("positions"))) {
                    Map<String, Object> at = Archetypes.object(position);
                    if (at.get("to") instanceof String to)
                        ends.put(Integer.valueOf(at.get("position").toString()), to);
                }
        return ends;
    }
}
