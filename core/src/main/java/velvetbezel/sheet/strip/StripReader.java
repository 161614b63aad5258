package velvetbezel.sheet.strip;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.FactReader;
import velvetbezel.sheet.Node;
import velvetbezel.state.StateField;
import velvetbezel.units.Millimetres;

/** Reads the {@code strip} of a vehicle's sheet. What is wrong is noted with its field, and reading goes on. */
public final class StripReader {
    private static final int MOST_ITEMS = 120;
    private static final int MOST_FASTENERS = 60;
    private static final double MOST_MINUTES = 600;
    private static final Minutes USUAL = new Minutes(1, 2, 4);
    private static final Minutes CLAMP = new Minutes(1, 2, 4);
    private final FactReader facts;

    private StripReader(FactReader facts) {
        this.facts = facts;
    }

    /** Empty where the sheet has none. */
    public static Optional<StripDown> read(Node node, FactReader facts) {
        if (!node.present()) return Optional.empty();
        StripDown strip = new StripReader(facts).strip(node.only("facts", "items", "works", "extras"));
        StripCheck.check(strip, node);
        return Optional.of(strip);
    }

    private StripDown strip(Node node) {
        List<Node> items = node.at("items").list();
        if (items.isEmpty()) node.at("items").fault("is empty; name at least the part that comes off.");
        if (items.size() > MOST_ITEMS)
            node.at("items").fault("has %d parts; at most %d are read.".formatted(items.size(), MOST_ITEMS));
        return new StripDown(
                items.stream().map(this::item).toList(),
                node.at("works").list().stream().map(StripReader::work).toList(),
                node.at("extras").list().stream().map(StripReader::extra).toList(),
                facts(node.at("facts")));
    }

    // --- parts

    private DashItem item(Node node) {
        node.only(
                "id",
                "kind",
                "area",
                "fasteners",
                "clips",
                "leads",
                "behind",
                "clear",
                "rests",
                "lies aside",
                "returns",
                "electric",
                "uses",
                "minutes",
                "breaks",
                "pictures");
        ItemId id = new ItemId(name(node.at("id")));
        ItemKind kind = node.at("kind").one(ItemKind::find, ItemKind.all(), ItemKind.PANEL, ItemKind.PANEL);
        Fact<Boolean> rests = facts.fact(node.at("rests"), n -> n.truth(true), true);
        return new DashItem(
                id,
                kind,
                node.at("area").text(""),
                fasteners(node.at("fasteners")),
                clips(node.at("clips")),
                node.at("leads").list().stream()
                        .map(n -> connector(n, id, kind == ItemKind.FIXED))
                        .toList(),
                behinds(node.at("behind")),
                words(node.at("clear")),
                rests,
                node.at("lies aside").truth(rests.known().orElse(false)),
                node.at("returns").truth(true),
                electric(node.at("electric")),
                set(node.at("uses")),
                minutes(node.at("minutes"), USUAL),
                node.at("breaks").list().stream()
                        .map(n -> n.isText()
                                ? n.text()
                                : n.only("what").at("what").text())
                        .toList(),
                node.at("pictures").texts());
    }

    private static Optional<Set<String>> electric(Node node) {
        if (!node.present()) return Optional.empty();
        node.only("key");
        Set<String> any = new LinkedHashSet<>(StateField.KEY.words());
        return Optional.of(node.has("key") ? wordsOf(node.at("key"), StateField.KEY) : any);
    }

    private List<FastenerGroup> fasteners(Node node) {
        return node.list().stream().map(this::group).toList();
    }

    private FastenerGroup group(Node node) {
        node.only("id", "kind", "drive", "count", "hidden", "may drop", "after", "behind", "length");
        return new FastenerGroup(
                name(node.at("id")),
                node.at("kind").text("screw"),
                drives(node.at("drive")),
                count(node.at("count")),
                node.at("hidden").truth(false),
                node.at("may drop").truth(false),
                set(node.at("after")),
                behinds(node.at("behind")),
                facts.fact(node.at("length"), n -> new Millimetres(n.number(1, 300))),
                0,
                "");
    }

    private static List<ScrewDrive> drives(Node node) {
        List<Node> said = node.isList() ? node.list() : List.of(node);
        return said.stream()
                .map(n -> n.one(ScrewDrive::find, ScrewDrive.ALL + " (hex from 3 to 36 mm)", new ScrewDrive.ByHand()))
                .toList();
    }

    private static Count count(Node node) {
        if (!node.isList()) {
            int n = node.whole(1, MOST_FASTENERS);
            return new Count(n, n);
        }
        List<Node> two = node.list();
        if (two.size() != 2) {
            node.fault("expected a number, or two: [3, 4] for three and perhaps one more.");
            return new Count(1, 1);
        }
        int least = two.get(0).whole(1, MOST_FASTENERS);
        int most = two.get(1).whole(1, MOST_FASTENERS);
        if (least > most)
            node.fault("says at least %d and at most %d; write the smaller first.".formatted(least, most));
        return new Count(Math.min(least, most), Math.max(least, most));
    }

    private static Optional<Clips> clips(Node node) {
        if (!node.present()) return Optional.empty();
        node.only("count", "start", "round", "pull");
        return Optional.of(new Clips(
                node.at("count").whole(1, MOST_FASTENERS),
                node.at("start").text(""),
                node.at("round").text(""),
                node.at("pull").text("")));
    }

    private static ItemConnector connector(Node node, ItemId item, boolean fixed) {
        node.only("id", "unlock", "lock", "circuit", "supply", "reach", "behind", "gives", "plug");
        ItemPosition usual = fixed ? ItemPosition.HOME : ItemPosition.LOOSE;
        ItemPosition reach = node.at("reach").one(StripReader::position, "home, loose", usual, usual);
        if (reach == ItemPosition.AWAY)
            node.at("reach").fault("cannot be away: a part is away only without its plugs.");
        return new ItemConnector(
                new ConnectorOf(item, name(node.at("id"))),
                node.at("unlock").text(""),
                node.at("lock").text(""),
                node.at("circuit").one(Circuit::find, "plain, airbag, high voltage", Circuit.PLAIN, Circuit.PLAIN),
                node.at("supply").truth(true),
                reach,
                behinds(node.at("behind")),
                set(node.at("gives")),
                node.at("plug").text(""));
    }

    private static Optional<ItemPosition> position(String word) {
        for (ItemPosition p : ItemPosition.values()) if (p.word().equals(word)) return Optional.of(p);
        return Optional.empty();
    }

    /** "fascia", which means away, or "fascia:loose". */
    private static List<Behind> behinds(Node node) {
        List<Node> said = node.isText() ? List.of(node) : node.list();
        List<Behind> behind = new ArrayList<>();
        for (Node n : said) {
            String text = n.text();
            int colon = text.lastIndexOf(':');
            Optional<ItemPosition> at =
                    colon < 0 ? Optional.of(ItemPosition.AWAY) : position(text.substring(colon + 1));
            if (at.isEmpty() || at.get() == ItemPosition.HOME)
                n.fault("\"%s\" is no place of a part; write \"%s\", or \"%s:loose\" where it is enough that it hangs."
                        .formatted(text, text.substring(0, colon), text.substring(0, colon)));
            behind.add(new Behind(
                    new ItemId(colon < 0 ? text : text.substring(0, colon).strip()), at.orElse(ItemPosition.AWAY)));
        }
        return behind;
    }

    /** Names that ids may have: they are used in texts such as "fascia.airbag lamp" and "radio/rear". */
    static String name(Node node) {
        String name = node.text();
        if (name.length() > 60 || name.matches(".*[.:/×,].*"))
            node.fault("\"%s\" is no name here; up to 60 characters without . : / , ×.".formatted(name));
        return name;
    }

    /** Names of works and extras, which are said in a sentence of their own. */
    private static String label(Node node) {
        String label = node.text();
        if (label.length() > 80 || label.contains("×"))
            node.fault("\"%s\" is no name here; up to 80 characters without ×.".formatted(label));
        return label;
    }

    private static Set<String> set(Node node) {
        return new LinkedHashSet<>(node.isText() ? List.of(node.text()) : node.texts());
    }

    // --- vehicle

    private static Map<StateField, Set<String>> words(Node node) {
        Map<StateField, Set<String>> words = new EnumMap<>(StateField.class);
        node.fields().forEach((name, value) -> StateField.find(name)
                .filter(f -> f.kind() == StateField.Kind.WORD)
                .ifPresentOrElse(
                        f -> words.put(f, wordsOf(value, f)),
                        () -> value.fault("is no field of the vehicle's state that has words; allowed: %s."
                                .formatted(fields()))));
        return words;
    }

    private static String fields() {
        return Arrays.stream(StateField.values())
                .filter(f -> f.kind() == StateField.Kind.WORD)
                .map(StateField::label)
                .collect(Collectors.joining(", "));
    }

    private static Set<String> wordsOf(Node node, StateField field) {
        Set<String> words = set(node);
        for (String word : words)
            if (!field.words().contains(word))
                node.fault("\"%s\" is no value of %s; allowed: %s."
                        .formatted(word, field.label(), String.join(", ", field.words())));
        words.retainAll(field.words());
        if (words.isEmpty()) return Set.of(field.words().get(0));
        return words;
    }

    static Minutes minutes(Node node, Minutes usual) {
        if (!node.present()) return usual;
        if (node.isNumber()) {
            double m = node.number(0, MOST_MINUTES);
            return new Minutes(m, m, m);
        }
        List<Double> m =
                node.list().stream().map(n -> n.number(0, MOST_MINUTES)).toList();
        if (m.size() == 3 && m.get(0) <= m.get(1) && m.get(1) <= m.get(2))
            return new Minutes(m.get(0), m.get(1), m.get(2));
        node.fault("expected three numbers that rise, [at least, usually, at most], found %s.".formatted(m));
        return usual;
    }

    private VehicleFacts facts(Node node) {
        node.only("lever", "batteries", "radio code", "start-up", "wait after off", "pop-ups", "forgets");
        return new VehicleFacts(
                node.has("lever") ? Optional.of(lever(node.at("lever"))) : Optional.empty(),
                node.at("batteries").list().stream().map(StripReader::battery).toList(),
                facts.fact(node.at("radio code"), n -> n.truth(false)),
                facts.fact(node.at("start-up"), n -> n.whole(0, 600)),
                facts.fact(node.at("wait after off"), n -> n.whole(0, 7200)),
                node.at("pop-ups").list().stream().map(StripReader::popUp).toList(),
                node.at("forgets").texts());
    }

    private Lever lever(Node node) {
        node.only("key", "foot brake", "battery", "release", "manual");
        return new Lever(
                facts.fact(node.at("key"), n -> wordsOf(n, StateField.KEY)),
                facts.fact(node.at("foot brake"), n -> n.truth(true)),
                facts.fact(node.at("battery"), n -> n.truth(true)),
                node.has("release")
                        ? Optional.of(new Lever.MechanicalRelease(
                                minutes(
                                        node.at("release")
                                                .only("minutes", "behind")
                                                .at("minutes"),
                                        USUAL),
                                behinds(node.at("release").at("behind"))))
                        : Optional.empty(),
                node.at("manual").truth(false));
    }

    private static Battery battery(Node node) {
        node.only("id", "place", "clamp", "behind", "behind electric lock", "minutes");
        return new Battery(
                name(node.at("id")),
                node.at("place").text(""),
                node.at("clamp")
                        .one(ScrewDrive::find, ScrewDrive.ALL, new ScrewDrive.ByHand(), new ScrewDrive.ByHand()),
                behinds(node.at("behind")),
                node.at("behind electric lock").truth(false),
                minutes(node.at("minutes"), CLAMP));
    }

    private static VehicleFacts.PopUp popUp(Node node) {
        node.only("what", "when", "caution");
        return new VehicleFacts.PopUp(
                node.at("what").text(),
                words(node.at("when")),
                node.at("caution").text(""));
    }

    // --- works

    private static Work work(Node node) {
        node.only("id", "phase", "minutes", "needs", "plugged", "unplugged", "open", "after", "before");
        return new Work(
                label(node.at("id")),
                node.at("phase")
                        .one(WorkPhase::find, "before, open, bench, after test, last", WorkPhase.OPEN, WorkPhase.OPEN),
                minutes(node.at("minutes"), USUAL),
                words(node.at("needs")),
                connectors(node.at("plugged")),
                connectors(node.at("unplugged")),
                behinds(node.at("open")),
                set(node.at("after")),
                set(node.at("before")).stream().map(ItemId::new).collect(Collectors.toSet()));
    }

    private static Set<ConnectorOf> connectors(Node node) {
        Set<ConnectorOf> read = new LinkedHashSet<>();
        for (Node n : node.list())
            ConnectorOf.read(n.text())
                    .ifPresentOrElse(
                            read::add,
                            () -> n.fault("names no plug; write the part and its plug with a point: \"radio.main\"."));
        return read;
    }

    private static PossibleExtra extra(Node node) {
        node.only("id", "open", "minutes");
        return new PossibleExtra(label(node.at("id")), behinds(node.at("open")), minutes(node.at("minutes"), USUAL));
    }
}
