package velvetbezel.harness;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import velvetbezel.sheet.Fault;
import velvetbezel.sheet.LeadRole;

/**
 * Joints that would do harm or nothing, each with its terminals and what to do: feeds of the car looped together, a
 * diagnostic or data line that is fed, a lead that goes nowhere.
 */
public final class Misfed {
    private static final Set<LeadRole> FEEDS =
            Set.of(LeadRole.CONSTANT, LeadRole.ACCESSORY, LeadRole.ILLUMINATION, LeadRole.REVERSE);
    private static final Set<LeadRole> NEVER_FED = Set.of(LeadRole.K_LINE, LeadRole.DATA_HIGH, LeadRole.DATA_LOW);

    private Misfed() {}

    public static List<Fault> in(Installation installation) {
        List<Fault> faults = new ArrayList<>();
        for (List<TerminalId> net : new Components(installation.conductors()).groups()) {
            Map<LeadRole, TerminalId> car = net.stream()
                    .filter(t -> t.instance().equals(Builder.CAR))
                    .filter(t -> role(installation, t).isPresent())
                    .collect(Collectors.toMap(t -> role(installation, t).orElseThrow(), t -> t, (a, b) -> a));
            looped(installation, car, faults);
            fed(installation, car, net, faults);
        }
        new TreeMap<>(installation.recipe().moves().to()).forEach((lead, to) -> {
            if (to.isPresent()
                    && installation.caps().stream().anyMatch(c -> c.lead().equals(lead)))
                faults.add(new Fault(
                        lead.toString(),
                        "goes nowhere: you chose %s for it, and nothing else meets it there. Choose another joint, or cap it."
                                .formatted(to.get().label())));
        });
        return faults;
    }

    private static Optional<LeadRole> role(Installation installation, TerminalId id) {
        return Optional.ofNullable(installation.terminal(id)).flatMap(Terminal::role);
    }

    private static String place(Installation installation, TerminalId id) {
        return installation.terminal(id).place();
    }

    private static void looped(Installation installation, Map<LeadRole, TerminalId> car, List<Fault> faults) {
        List<LeadRole> feeds =
                car.keySet().stream().filter(FEEDS::contains).sorted().toList();
        for (int i = 1; i < feeds.size(); i++) {
            TerminalId first = car.get(feeds.get(0));
            TerminalId other = car.get(feeds.get(i));
            String harm = feeds.get(0) == LeadRole.CONSTANT && feeds.get(i) == LeadRole.ACCESSORY
                    ? "the radio plays with the key off and the battery goes flat"
                    : "each feeds the other's circuit past its switch and fuse";
            faults.add(new Fault(
                    first + " and " + other,
                    "%s (%s) and %s (%s) of the car are joined: %s. Take one of them out of the joint."
                            .formatted(
                                    feeds.get(0).label(),
                                    place(installation, first),
                                    feeds.get(i).label(),
                                    place(installation, other),
                                    harm)));
        }
    }

    private static void fed(
            Installation installation, Map<LeadRole, TerminalId> car, List<TerminalId> net, List<Fault> faults) {
        for (LeadRole line : NEVER_FED) {
            TerminalId at = car.get(line);
            if (at == null) continue;
            net.stream()
                    .filter(t -> role(installation, t).filter(FEEDS::contains).isPresent())
                    .findFirst()
                    .ifPresent(feed -> faults.add(new Fault(
                            at + " and " + feed,
                            "the car's %s (%s) is joined to %s (%s): it must never be fed 12 V, and its control units can be destroyed. Take it out of the joint and cap it."
                                    .formatted(
                                            line.label(),
                                            place(installation, at),
                                            role(installation, feed)
                                                    .orElseThrow()
                                                    .label(),
                                            place(installation, feed)))));
        }
    }
}
