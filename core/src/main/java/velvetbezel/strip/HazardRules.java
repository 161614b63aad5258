package velvetbezel.strip;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Node;
import velvetbezel.state.StateField;

/** The hazard rules, read from their catalogue once and never per car. */
public final class HazardRules {
    private static final Set<StateField> CLAMPS = Set.of(
            StateField.BATTERY,
            StateField.BATTERY_POSITIVE,
            StateField.SECOND_BATTERY,
            StateField.SECOND_BATTERY_POSITIVE);
    private final List<HazardRule> all;
    private final Map<StepKind, List<HazardRule>> byKind = new EnumMap<>(StepKind.class);

    private HazardRules(List<HazardRule> all) {
        this.all = List.copyOf(all);
        for (StepKind kind : StepKind.values())
            byKind.put(kind, all.stream().filter(r -> r.on().contains(kind)).toList());
    }

    /**
     * @param tree a list of rules as any JSON parser gives it
     * @throws InvalidInput with every fault
     */
    public static HazardRules read(Object tree) {
        List<InputProblem> faults = new ArrayList<>();
        List<HazardRule> rules = new ArrayList<>();
        Set<String> ids = new LinkedHashSet<>();
        for (Node node : Node.root(tree, faults).list()) {
            HazardRule rule = rule(node);
            if (!ids.add(rule.id())) node.fault("is there twice.");
            for (String place : rule.places())
                if (!Sayings.known(place)) node.fault("speaks of {%s}, which nothing fills.".formatted(place));
            rules.add(rule);
        }
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        return new HazardRules(rules);
    }

    public List<HazardRule> all() {
        return all;
    }

    List<HazardRule> at(StripStep step) {
        return byKind.get(StepKind.of(step));
    }

    private static HazardRule rule(Node node) {
        node.only("id", "on", "when", "severity", "reason", "way out");
        return new HazardRule(
                node.at("id").text(),
                node.at("on").list().stream()
                        .map(n -> n.one(StepKind::find, StepKind.all(), StepKind.OTHER))
                        .collect(Collectors.toCollection(() -> EnumSet.noneOf(StepKind.class))),
                node.at("when").list().stream().map(HazardRules::guard).toList(),
                node.at("severity").one(Severity::find, severities(), Severity.CAUTION),
                node.at("reason").text(),
                node.at("way out").text());
    }

    private static String severities() {
        return Arrays.stream(Severity.values()).map(Severity::word).collect(Collectors.joining(", "));
    }

    private static StripGuard guard(Node node) {
        if (node.has("any"))
            return new StripGuard.Any(
                    node.at("any").list().stream().map(HazardRules::guard).toList());
        if (node.has("not")) return new StripGuard.Not(guard(node.at("not")));
        if (node.has("changes"))
            return new StripGuard.Changes(field(node.at("changes")), words(node.at("from")), words(node.at("to")));
        if (node.has("before")) return new StripGuard.Word(false, field(node.at("before")), words(node.at("in")));
        if (node.has("after")) return new StripGuard.Word(true, field(node.at("after")), words(node.at("in")));
        if (node.has("pole")) {
            String pole = node.at("pole").text();
            return new StripGuard.Clamp(
                    pole.equals("any") ? "" : pole, node.at("to").text(""));
        }
        return circumstance(node);
    }

    /** {@code {"early": true}}, or with "is": false its opposite. */
    private static StripGuard circumstance(Node node) {
        for (String key : StripGuard.Circumstance.keys())
            if (node.has(key)) {
                String value = String.valueOf(node.at(key).value());
                StripGuard found = StripGuard.Circumstance.find(key, value)
                        .<StripGuard>map(c -> c)
                        .orElseGet(() -> {
                            node.at(key).fault("\"%s\" is no value of %s.".formatted(value, key));
                            return StripGuard.Circumstance.END_KEY;
                        });
                return node.at("is").truth(true) ? found : new StripGuard.Not(found);
            }
        node.fault("is no guard; expected one of any, not, changes, before, after, pole, %s."
                .formatted(String.join(", ", StripGuard.Circumstance.keys())));
        return StripGuard.Circumstance.END_KEY;
    }

    private static StateField field(Node node) {
        return node.one(StateField::find, "a field of the vehicle's state", StateField.KEY);
    }

    private static Set<String> words(Node node) {
        return new LinkedHashSet<>(node.texts());
    }

    /** Whether a field is one of the battery clamps. */
    static boolean isClamp(StateField field) {
        return CLAMPS.contains(field);
    }
}
