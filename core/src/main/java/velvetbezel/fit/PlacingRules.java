package velvetbezel.fit;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Node;
import velvetbezel.sheet.fit.Length;
import velvetbezel.sheet.fit.MountingPlace;
import velvetbezel.sheet.fit.Thing;

/**
 * What decides where a thing goes.
 *
 * @param all   what speaks against places
 * @param ranks by which facts places of a kind are put in order, the first first; the lead decides what is left
 */
public record PlacingRules(List<PlacingRule> all, Map<Thing.Kind, List<Rank>> ranks) {
    public PlacingRules {
        all = List.copyOf(all);
        ranks = Map.copyOf(ranks);
    }

    /** @param more whether more of it is better */
    public record Rank(MountingPlace.Known fact, boolean more) {}

    /** @throws InvalidInput naming everything that is wrong */
    public static PlacingRules read(Object tree) {
        List<InputProblem> problems = new ArrayList<>();
        Node root = Node.root(tree, problems).only("format", "version", "rules", "ranks");
        List<PlacingRule> rules =
                root.at("rules").list().stream().map(PlacingRules::rule).toList();
        Map<Thing.Kind, List<Rank>> ranks = new EnumMap<>(Thing.Kind.class);
        root.at("ranks").fields().forEach((kind, list) -> Thing.Kind.find(kind)
                .ifPresentOrElse(
                        k -> ranks.put(
                                k,
                                list.list().stream()
                                        .map(n -> new Rank(
                                                fact(n.only("fact", "more").at("fact")),
                                                n.at("more").truth(false)))
                                        .toList()),
                        () -> list.fault("is nothing to place; expected " + Thing.Kind.all() + ".")));
        if (!problems.isEmpty()) throw new InvalidInput(problems);
        return new PlacingRules(rules, ranks);
    }

    private static PlacingRule rule(Node node) {
        node.only("id", "things", "refused", "warned", "over", "under", "reason", "placement");
        boolean refuses = node.has("refused");
        if (refuses == node.has("warned")) node.fault("either refuses or warns; expected one of the two.");
        return new PlacingRule(
                node.at("id").text(),
                node.at("things").list().stream()
                        .map(n -> n.one(Thing.Kind::find, Thing.Kind.all(), Thing.Kind.MODULE))
                        .collect(Collectors.toSet()),
                refuses,
                fact(node.at(refuses ? "refused" : "warned")),
                number(node.at("over")),
                number(node.at("under")),
                node.at("reason").text(),
                node.at("placement").optionalText());
    }

    private static MountingPlace.Known fact(Node node) {
        return node.one(MountingPlace.Known::find, MountingPlace.Known.all(), MountingPlace.Known.AIRBAG_PATH);
    }

    private static OptionalDouble number(Node node) {
        return node.present() ? OptionalDouble.of(node.number(0, Length.MOST)) : OptionalDouble.empty();
    }
}
