package velvetbezel.diagnose;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import velvetbezel.harness.Conductor;
import velvetbezel.harness.ConductorId;
import velvetbezel.harness.Edit;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Joint;
import velvetbezel.harness.Labels;
import velvetbezel.harness.Mating;

/**
 * Like things that are exchanged for a try: where the trouble moves with them it lies on their side, where it stays on the
 * other (common practice, no source). Left and right speaker leads at their joints, and RCA plugs side by side.
 */
final class Swaps {
    private static final List<String> AXLES = List.of("front", "rear");
    private static final List<String> LEGS = List.of("+", "−");
    private static final String RCA = "RCA";

    private final Installation healthy;

    /** @param words what is exchanged */
    record Swap(String words, List<Edit> exchange) {}

    private Swaps(Installation healthy) {
        this.healthy = healthy;
    }

    static List<Swap> of(Installation healthy) {
        Swaps swaps = new Swaps(healthy);
        return Stream.concat(
                        AXLES.stream().flatMap(a -> swaps.leads(a).stream()),
                        healthy.matings().stream().flatMap(m -> swaps.plugs(m).stream()))
                .toList();
    }

    /** Of the device that has a lead in all four joints of an axle. */
    private Optional<Swap> leads(String axle) {
        return healthy.instances().stream()
                .map(i -> leads(axle, i.id()))
                .flatMap(Optional::stream)
                .findFirst();
    }

    private Optional<Swap> leads(String axle, String instance) {
        List<Edit> exchange = new ArrayList<>();
        for (String leg : LEGS) {
            Optional<ConductorId> left = leg("%s left %s".formatted(axle, leg), instance);
            Optional<ConductorId> right = leg("%s right %s".formatted(axle, leg), instance);
            if (left.isEmpty() || right.isEmpty()) return Optional.empty();
            exchange.add(new Edit.Swap(left.get(), right.get()));
        }
        return Optional.of(new Swap("the %s speaker leads, left for right".formatted(axle), exchange));
    }

    private Optional<ConductorId> leg(String role, String instance) {
        return healthy.joints().stream()
                .filter(j -> j.role().label().equals(role))
                .flatMap(j -> leg(j, instance).stream())
                .findFirst();
    }

    private Optional<ConductorId> leg(Joint joint, String instance) {
        return joint.leads().stream()
                .filter(l -> l.instance().equals(instance))
                .map(l -> ConductorId.leg(joint.id(), l))
                .filter(id -> healthy.conductor(id).isPresent())
                .findFirst();
    }

    private Optional<Swap> plugs(Mating mating) {
        if (!mating.family().startsWith(RCA)) return Optional.empty();
        List<Conductor> contacts = FaultCatalogue.contacts(healthy, mating);
        if (contacts.size() != 4) return Optional.empty();
        return Optional.of(new Swap(
                "the two RCA plugs %s of %s".formatted(mating.plug(), new Labels(healthy).device(mating.instance())),
                List.of(
                        new Edit.Swap(contacts.get(0).id(), contacts.get(2).id()),
                        new Edit.Swap(contacts.get(1).id(), contacts.get(3).id()))));
    }
}
