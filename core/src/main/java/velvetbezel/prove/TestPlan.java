package velvetbezel.prove;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.function.CarFunction;
import velvetbezel.function.Catalogue;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Hop;
import velvetbezel.function.Outcome;
import velvetbezel.harness.ConductorId;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Joint;
import velvetbezel.harness.JointId;
import velvetbezel.sheet.LeadRole;

/** The checks of an installation, in an order with few changes of the car's state. */
public record TestPlan(List<Check> checks) {
    /** Four corners that play do not pass for right polarity: it is tried on its own. */
    private static final FunctionId POLARITY = new FunctionId("polarity");

    public TestPlan {
        checks = List.copyOf(checks);
    }

    /** One check for each function that the car had or now has. */
    public static TestPlan of(Installation installation, Catalogue catalogue, Map<FunctionId, Outcome> outcomes) {
        Map<FunctionId, Set<JointId>> used = new LinkedHashMap<>();
        Map<JointId, Integer> users = new HashMap<>();
        outcomes.forEach((id, outcome) -> {
            Set<JointId> joints = joints(installation, outcome.path());
            used.put(id, joints);
            joints.forEach(j -> users.merge(j, 1, Integer::sum));
        });
        List<Check> checks = new ArrayList<>();
        for (CarFunction f : catalogue.functions()) {
            Outcome outcome = outcomes.get(f.id());
            if (outcome == null || outcome instanceof Outcome.Absent) continue;
            if (f.id().equals(POLARITY) && !speakersJoinedByHand(installation)) continue;
            List<JointId> suspects = used.get(f.id()).stream()
                    .sorted(Comparator.comparing(users::get))
                    .toList();
            checks.add(new Check(f, outcome, expected(f, outcome) + once(installation, outcome), suspects));
        }
        return new TestPlan(CheckOrder.of(checks));
    }

    /** Plugs cannot be put in the wrong way round; joints can. */
    private static boolean speakersJoinedByHand(Installation installation) {
        return installation.joints().stream().anyMatch(j -> j.role().group() == LeadRole.Group.SPEAKER);
    }

    private static String expected(CarFunction f, Outcome outcome) {
        if (outcome instanceof Outcome.Lost lost) return "Lost: " + lost.at().why();
        return outcome instanceof Outcome.Changed changed
                ? f.expected() + " Changed: " + String.join(", ", changed.how()) + "."
                : f.expected();
    }

    /** What must be set up first, by device and setting. */
    private static String once(Installation installation, Outcome outcome) {
        if (outcome.once().isEmpty()) return "";
        return outcome.once().stream()
                .map(id -> SetUp.words(installation, id))
                .collect(Collectors.joining("; ", " Set up first: ", "."));
    }

    private static Set<JointId> joints(Installation installation, List<Hop> path) {
        Set<JointId> joints = new LinkedHashSet<>();
        for (Hop hop : path)
            if (hop instanceof Hop.Over over)
                joint(installation, over.conductor()).ifPresent(joints::add);
        return joints;
    }

    static Optional<JointId> joint(Installation installation, ConductorId conductor) {
        return installation.joints().stream()
                .filter(j -> j.leads().stream()
                        .anyMatch(l -> ConductorId.leg(j.id(), l).equals(conductor)))
                .map(Joint::id)
                .findFirst();
    }
}
