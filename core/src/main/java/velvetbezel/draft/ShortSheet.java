package velvetbezel.draft;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.Node;

/**
 * A short sheet as it was typed: what stands on its plugs, what it has, which numbers are known. Everything that is
 * neither is handed on to the long sheet as it is.
 *
 * @param has     what was chosen or is there: yes, a word, several, or values by name
 * @param numbers what was typed in place of an assumed value
 * @param otherwise pieces of the catalogue that this car does not have as they stand there
 * @param leads   bare leads of a radio or part
 * @param whole   the tree itself
 */
record ShortSheet(
        Map<String, Object> whole,
        String kind,
        List<ShortPlug> plugs,
        List<ShortLead> leads,
        Map<String, Object> has,
        Map<String, Object> numbers,
        Set<String> otherwise) {
    static final String FORMAT = "velvet-bezel/short";
    static final String BY_HAND = "by hand";
    static final String OTHERWISE = "otherwise";
    static final String REVISION = "revision";
    /** What the abbreviations of the paper mean. */
    static final String PAPER = "paper";

    private static final int MOST_POSITIONS = 120;

    ShortSheet {
        plugs = List.copyOf(plugs);
        leads = List.copyOf(leads);
    }

    /** Whether a document is a short sheet. */
    static boolean is(Object tree) {
        return tree instanceof Map<?, ?> map && FORMAT.equals(map.get("format"));
    }

    static ShortSheet read(Object tree, List<InputProblem> faults) {
        Node node = Node.root(tree, faults);
        String kind = node.at("kind").text();
        boolean car = kind.equals("vehicle");
        Paper paper = paper(node.at(PAPER));
        List<ShortPlug> plugs = new ArrayList<>();
        node.at("plugs").fields().forEach((id, plug) -> plugs.add(plug(id, plug, car, paper)));
        for (String pair : node.at("RCA").texts()) rca(pair, node.at("RCA")).ifPresent(plugs::add);
        node.at("places").fields().forEach((id, place) -> plugs.add(place(id, place, paper)));
        if (car && plugs.stream().allMatch(p -> p.leads().isEmpty()))
            node.at("plugs").fault("hold no wire; type at least where constant and ground are.");
        return new ShortSheet(
                Archetypes.object(tree),
                kind,
                plugs,
                node.has("leads") ? lines(node.at("leads"), false, paper) : List.of(),
                Archetypes.object(((Map<?, ?>) tree).get("has")),
                Archetypes.object(((Map<?, ?>) tree).get("numbers")),
                Set.copyOf(node.at(OTHERWISE).texts()));
    }

    private static ShortPlug plug(String id, Node node, boolean car, Paper paper) {
        boolean plain = node.isText() || node.isList();
        if (!plain) node.only("family", "socket", "size", "access", "in", "partner", "cut", "positions");
        List<ShortLead> leads = lines(plain ? node : node.at("positions"), true, paper);
        int highest = leads.stream().mapToInt(l -> l.position().orElse(0)).max().orElse(1);
        int size = node.has("size") ? node.at("size").whole(1, MOST_POSITIONS) : Math.max(1, highest);
        if (highest > size)
            node.fault("has a wire at position %d, and %d positions; correct one of the two.".formatted(highest, size));
        if (highest > MOST_POSITIONS)
            node.fault("has a wire at position %d; a plug has at most %d.".formatted(highest, MOST_POSITIONS));
        return new ShortPlug(
                id,
                node.at("family").text(id),
                node.at("socket").truth(ShortPlug.usualSocket(car, size, leads)),
                Math.min(size, MOST_POSITIONS),
                node.has("access")
                        ? Optional.of(Archetypes.object(node.at("access").value()))
                        : Optional.empty(),
                node.at("in").optionalText(),
                node.at("partner").optionalText(),
                node.at("cut").truth(false),
                leads.stream()
                        .filter(l -> l.position().orElse(0) <= MOST_POSITIONS)
                        .toList());
    }

    /** The plug of a pair of line leads. */
    private static Optional<ShortPlug> rca(String pair, Node node) {
        if (!pair.equals("front") && !pair.equals("rear")) {
            node.fault("\"%s\" is no pair of RCA plugs; front, rear or both.".formatted(pair));
            return Optional.empty();
        }
        List<ShortLead> leads = new ArrayList<>();
        for (ShortLead l : ShortLines.read("line pairs " + pair).leads()) leads.add(l.at(leads.size() + 1));
        return Optional.of(new ShortPlug(
                pair + " in",
                "RCA pair",
                false,
                leads.size(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                false,
                leads));
    }

    /** A place of its own: "wires" are numbered in their order. */
    private static ShortPlug place(String id, Node node, Paper paper) {
        node.only("at", "wires", "family", "mate", "minutes", "route", "optional");
        List<ShortLead> leads = new ArrayList<>();
        for (ShortLead l : lines(node.at("wires"), false, paper)) leads.add(l.at(leads.size() + 1));
        if (leads.isEmpty()) node.at("wires").fault("name nothing that lies there; type its wires, or take it out.");
        Map<String, Object> access = new LinkedHashMap<>();
        access.put("place", id);
        node.at("at").optionalText().ifPresent(w -> access.put("route", w));
        for (String field : List.of("route", "minutes", "mate", "optional"))
            if (node.has(field)) access.put(field, node.at(field).value());
        access.putIfAbsent("minutes", 0);
        return new ShortPlug(
                id,
                node.at("family").text(id),
                true,
                Math.max(1, leads.size()),
                Optional.of(access),
                Optional.empty(),
                Optional.empty(),
                false,
                leads);
    }

    /** Lines as typed; every word that is not read is a fault of its own. @param numbered each has a position */
    private static List<ShortLead> lines(Node node, boolean numbered, Paper paper) {
        String text = node.isList() ? String.join("\n", node.texts()) : node.text("");
        ShortLines.Read read = ShortLines.read(text, paper);
        for (ShortLines.Unread u : read.unread())
            node.fault("line %d: \"%s\" %s".formatted(lineOf(text, u.from()), u.words(), u.why()));
        Set<Integer> seen = new HashSet<>();
        for (ShortLead l : read.leads()) {
            OptionalInt at = l.position();
            if (numbered && at.isEmpty())
                node.fault("\"%s\" has no position; write its number before it.".formatted(l.text()));
            if (!numbered && at.isPresent())
                node.fault("\"%s\" has a position, and this is no plug.".formatted(l.text()));
            if (at.isPresent() && !seen.add(at.getAsInt()))
                node.fault("position %d is typed twice; one position holds one wire.".formatted(at.getAsInt()));
            if (at.isPresent() && at.getAsInt() == 0) node.fault("counts from position 1; there is no position 0.");
        }
        return read.leads().stream()
                .filter(l -> l.position().isPresent() == numbered)
                .toList();
    }

    private static Paper paper(Node node) {
        Map<String, String> words = new LinkedHashMap<>();
        node.fields().forEach((word, meaning) -> words.put(word.toLowerCase(Locale.ROOT), meaning.text()));
        return new Paper(words);
    }

    private static int lineOf(String text, int at) {
        return 1
                + (int) text.substring(0, at)
                        .chars()
                        .filter(c -> c == '\n' || c == ',')
                        .count();
    }
}
