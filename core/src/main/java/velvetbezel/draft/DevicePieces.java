package velvetbezel.draft;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.sheet.LeadRole;

/** Which pieces make up a radio or part: by its leads and plugs, and by what it is said to have. */
final class DevicePieces {
    private static final String SAID = "said ";
    private static final String LINES = "line outputs";
    private static final List<String> CORNERS = List.of("fl", "fr", "rl", "rr");
    private static final List<String> MAY_BE_HELD = List.of("next", "previous", "voice");

    private final Archetypes catalogue;
    private final List<Archetype> of;
    private final Set<String> facts = new HashSet<>();
    private final Map<String, Object> values = new HashMap<>();
    private final List<Archetype> taken;

    /** @param of the pieces of radios, or those of parts */
    DevicePieces(Archetypes catalogue, List<Archetype> of, ShortSheet sheet) {
        this.catalogue = catalogue;
        this.of = of;
        Stream.concat(sheet.leads().stream(), sheet.plugs().stream().flatMap(p -> p.leads().stream()))
                .forEach(l -> facts.add((l.gives() ? "gives " : "")
                        + l.role().map(LeadRole::label).orElse(ShortLines.UNKNOWN)
                        + Roles.LEAD));
        sheet.has().forEach((name, answer) -> has(name, answer));
        sheet.numbers().keySet().forEach(n -> facts.add(SAID + n));
        if (Boolean.TRUE.equals(sheet.whole().get("factory radio stays"))) facts.add("stays");
        derived();
        values.putAll(sheet.numbers());
        taken = Archetypes.taken(of, facts::contains);
        lists();
    }

    private void has(String name, Object answer) {
        facts.addAll(Choosing.words(name, answer));
        if (answer instanceof List<?>) facts.add(name);
        if (name.equals(LINES) && Boolean.TRUE.equals(answer)) facts.addAll(List.of(LINES + " front", LINES + " rear"));
    }

    private void derived() {
        add("speakers", !corners("").isEmpty());
        add("interface", any("wired remote", "data port"));
        add("voice", !facts.contains("stays") && any("microphone", "built-in microphone", "data port"));
        add("reverse told", any("reverse lead", "data port"));
        add("speed told", !facts.contains("stays") && any("speed lead", "data port"));
    }

    private void add(String fact, boolean holds) {
        if (holds) facts.add(fact);
    }

    private boolean any(String... words) {
        return Stream.of(words).anyMatch(facts::contains);
    }

    private List<String> corners(String before) {
        return CORNERS.stream()
                .filter(c ->
                        facts.contains(before + catalogue.words().get("long").get(c) + " +" + Roles.LEAD))
                .toList();
    }

    private void lists() {
        List<String> corners = corners("").isEmpty() ? corners("line ") : corners("");
        values.put("corners", corners);
        values.put(
                "front corners", corners.stream().filter(c -> c.startsWith("f")).toList());
        List<String> lines = new ArrayList<>();
        if (facts.contains(LINES + " front")) lines.addAll(CORNERS.subList(0, 2));
        if (facts.contains(LINES + " rear")) lines.addAll(CORNERS.subList(2, 4));
        values.put("line corners", lines);
        boolean stays = facts.contains("stays");
        values.put("calls sound through", stays ? "mix" : "voice");
        values.put("first source", stays ? "phone" : "tuner");
    }

    List<Archetype> taken() {
        return taken;
    }

    boolean holds(String word) {
        return facts.contains(word);
    }

    /** Everything that may be said to be there of such a device. */
    Set<String> features() {
        return Feature.of(of).stream().map(Feature::id).collect(Collectors.toSet());
    }

    /** All pieces together; terminals stand as @role. */
    Map<String, Object> built() {
        Map<String, Object> built = new LinkedHashMap<>();
        for (Archetype piece : taken) {
            Map<String, Object> all = new HashMap<>();
            piece.params().forEach(p -> all.put(p.name(), p.start()));
            all.putAll(values);
            Object keys = all.get("keys");
            all.put(
                    "held",
                    MAY_BE_HELD.stream()
                            .filter(k -> keys instanceof List<?> l && l.contains(k))
                            .toList());
            built = Merge.objects(built, new Template(all, facts::contains, catalogue.words()).object(piece.adds()));
        }
        return built;
    }
}
