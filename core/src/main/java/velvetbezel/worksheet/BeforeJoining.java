package velvetbezel.worksheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Mating;
import velvetbezel.sheet.Access;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Sheet;

/**
 * What must be slid on, passed through or plugged before joints close it in (common practice, no source): forgotten, it
 * costs the joint.
 *
 * @param joints numbers of the joints that close it in; empty where every joint does
 */
public record BeforeJoining(String text, List<Integer> joints) {
    public BeforeJoining {
        joints = List.copyOf(joints);
    }

    /** In the order in which to do it: routed, plugged, passed through, slid on. */
    public static List<BeforeJoining> of(Installation installation, Worksheet worksheet, Sizing sizing) {
        List<BeforeJoining> steps = new ArrayList<>();
        if (installation.recipe().parts().values().stream().anyMatch(BeforeJoining::cutsPlugsOff))
            steps.add(new BeforeJoining(
                    "Mark each wire with its position, then cut the plugs off with their ends left long.", List.of()));
        for (Map.Entry<String, Sheet.Part> e : installation.recipe().parts().entrySet()) {
            List<Integer> joints = worksheet.joints().stream()
                    .filter(j ->
                            j.leads().stream().anyMatch(l -> l.id().instance().equals(e.getKey())))
                    .map(JointRow::number)
                    .toList();
            if (joints.isEmpty()) continue;
            for (Access a : access(installation, e.getKey()))
                steps.add(new BeforeJoining(
                        "Plug %s in %s and route it %s."
                                .formatted(e.getValue().name(), a.place().words(), a.route()),
                        joints));
            if (e.getValue().kind() == PartKind.CAMERA)
                steps.add(new BeforeJoining(
                        "Pass the leads of %s into the car through a grommet, never a bare hole."
                                .formatted(e.getValue().name()),
                        joints));
        }
        installation.recipe().parts().values().stream()
                .filter(p -> p.holds().isPresent() && !worksheet.joints().isEmpty())
                .forEach(p -> steps.add(new BeforeJoining(
                        "Pass the harness through %s where it does not come apart again.".formatted(p.name()),
                        List.of())));
        steps.addAll(slidOn(worksheet, sizing));
        return steps;
    }

    /** A harness that is nothing but cuts: the radio is hard-wired. */
    private static boolean cutsPlugsOff(Sheet.Part part) {
        return part.kind() == PartKind.VEHICLE_HARNESS_ADAPTER && part.device().isEmpty() && part.cuts() > 0;
    }

    private static List<Access> access(Installation installation, String instance) {
        List<Access> found = new ArrayList<>();
        for (Mating m : installation.matings()) {
            if (!m.touches(instance)) continue;
            String car = m.instance().equals(Builder.CAR)
                    ? m.plug()
                    : m.otherInstance().equals(Builder.CAR) ? m.otherPlug() : "";
            installation
                    .instance(Builder.CAR)
                    .flatMap(c -> c.device().plug(car))
                    .flatMap(Plug::access)
                    .ifPresent(found::add);
        }
        return found;
    }

    /** Pieces of tube by size, and splices, counted. */
    private static List<BeforeJoining> slidOn(Worksheet worksheet, Sizing sizing) {
        Map<String, List<Integer>> pieces = new TreeMap<>();
        for (JointRow row : worksheet.joints()) {
            JointMethod m = sizing.of(row);
            if (!m.slideOn().isEmpty())
                pieces.computeIfAbsent(
                                m.tube()
                                        .map(t -> "tube %s, %s mm long"
                                                .formatted(
                                                        t.tube().name(),
                                                        Tables.plain(t.length().value())))
                                        .orElse("%s %s"
                                                .formatted(m.size(), m.kind().label())),
                                k -> new ArrayList<>())
                        .add(row.number());
        }
        return pieces.entrySet().stream()
                .map(e -> new BeforeJoining(
                        "Slide on and count: %d × %s.".formatted(e.getValue().size(), e.getKey()), e.getValue()))
                .toList();
    }

    /** "joints 1, 2 and 5". */
    public String jointWords() {
        if (joints.isEmpty()) return "every joint";
        String last = String.valueOf(joints.get(joints.size() - 1));
        return joints.size() == 1
                ? "joint " + last
                : "joints %s and %s"
                        .formatted(
                                joints.subList(0, joints.size() - 1).stream()
                                        .map(String::valueOf)
                                        .collect(Collectors.joining(", ")),
                                last);
    }
}
