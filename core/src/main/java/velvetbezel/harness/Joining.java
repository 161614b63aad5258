package velvetbezel.harness;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import velvetbezel.sheet.Flow;
import velvetbezel.sheet.LeadRole;

/**
 * Decides which bare leads are joined: by role, never by colour. The car decides the role of a lead that
 * ends in its plug; a part's own label does not.
 */
final class Joining {
    private final Draft draft;
    private final Moves moves;
    private final Components components;
    private final Set<TerminalId> wired = new HashSet<>();
    private final Map<LeadRole, List<End>> byRole = new EnumMap<>(LeadRole.class);
    private final Map<TerminalId, Cap> caps = new LinkedHashMap<>();
    private final List<Joint> joints = new ArrayList<>();

    Joining(Draft draft, Moves moves) {
        this.draft = draft;
        this.moves = moves;
        this.components = new Components(draft.conductors);
        for (Conductor c : draft.conductors) if (c.kind() == Conductor.Kind.WIRE && c.mayBeClosed()) wired.add(c.a());
    }

    private record End(TerminalId id, LeadRole role, Flow flow, Instance.Owner owner) {}

    List<Joint> joints() {
        return joints;
    }

    List<Cap> caps() {
        return List.copyOf(caps.values());
    }

    void join() {
        for (Terminal terminal : draft.terminals.values()) if (terminal.kind() == Terminal.Kind.BARE) sort(terminal);
        serveByOthers(LeadRole.AMP_REMOTE, LeadRole.ANTENNA_POWER);
        serveByOthers(LeadRole.ANTENNA_POWER, LeadRole.ACCESSORY);
        moves.to().entrySet().stream().sorted(Map.Entry.comparingByKey()).forEach(m -> move(m.getKey(), m.getValue()));
        for (LeadRole role : LeadRole.values()) joinRole(role, byRole.getOrDefault(role, List.of()));
    }

    /** A lead that no longer exists in this kit moves nowhere. */
    private void move(TerminalId lead, Optional<LeadRole> to) {
        Terminal terminal = draft.terminals.get(lead);
        if (terminal == null || terminal.kind() != Terminal.Kind.BARE) return;
        Optional<End> known = byRole.values().stream()
                .flatMap(List::stream)
                .filter(e -> e.id.equals(lead))
                .findFirst();
        byRole.values().forEach(ends -> ends.removeIf(e -> e.id.equals(lead)));
        caps.remove(lead);
        if (to.isEmpty()) cap(lead, known.map(End::role).or(terminal::role), Cap.Reason.BY_HAND);
        else
            put(new End(
                    lead,
                    to.get(),
                    known.map(End::flow).orElse(terminal.flow()),
                    known.map(End::owner).orElse(owner(lead))));
    }

    private void sort(Terminal terminal) {
        boolean pigtail = Draft.isTail(terminal.id());
        Optional<Terminal> carWire = carWire(terminal, pigtail);
        Instance.Owner owner = owner(terminal.id());
        if (carWire.isPresent()) {
            LeadRole role = carWire.get().role().orElseThrow();
            put(new End(terminal.id(), role, carWire.get().flow(), Instance.Owner.CAR));
        } else if (pigtail) {
            cap(
                    terminal.id(),
                    terminal.role(),
                    plugMated(contactOf(terminal.id())) ? Cap.Reason.NO_WIRE_IN_CAR : Cap.Reason.PLUG_NOT_MATED);
        } else {
            put(new End(terminal.id(), terminal.role().orElseThrow(), terminal.flow(), owner));
        }
    }

    private static TerminalId contactOf(TerminalId end) {
        return new TerminalId(end.instance(), end.name().substring(0, end.name().length() - Draft.TAIL.length()));
    }

    private boolean plugMated(TerminalId contact) {
        String plug = contact.name().replaceAll("\\.\\d+$", ".");
        return draft.conductors.stream()
                .anyMatch(c -> c.kind() == Conductor.Kind.CONTACT
                        && (inPlug(c.a(), contact.instance(), plug) || inPlug(c.b(), contact.instance(), plug)));
    }

    private static boolean inPlug(TerminalId id, String instance, String plug) {
        return id.instance().equals(instance) && id.name().startsWith(plug);
    }

    /**
     * The wire of the car that a lead goes on from. A pigtail has whatever role the car gives it; a part's own lead
     * counts as the car's only where both say the same, and a radio's never: its ground meets many of the car's wires.
     */
    private Optional<Terminal> carWire(Terminal end, boolean pigtail) {
        if (owner(end.id()) == Instance.Owner.RADIO) return Optional.empty();
        List<Terminal> wires = components.with(end.id()).stream()
                .filter(t -> t.instance().equals(Builder.CAR))
                .map(draft.terminals::get)
                .filter(t -> t.role().isPresent() && wired(t.id()))
                .toList();
        return wires.stream()
                .filter(t -> t.role().equals(end.role()))
                .findFirst()
                .or(() -> pigtail ? wires.stream().findFirst() : Optional.empty());
    }

    private boolean wired(TerminalId carPosition) {
        return wired.contains(carPosition);
    }

    private Instance.Owner owner(TerminalId id) {
        return draft.instance(id.instance()).owner();
    }

    private void put(End end) {
        byRole.computeIfAbsent(end.role(), r -> new ArrayList<>()).add(end);
    }

    private void cap(TerminalId lead, Optional<LeadRole> role, Cap.Reason reason) {
        caps.put(lead, new Cap(lead, role, reason));
    }

    /**
     * Where nothing gives what a lead takes, another output may serve: a radio's single blue lead also turns
     * an amplifier on; a powered antenna hangs on accessory when the radio has no output for it (common practice).
     */
    private void serveByOthers(LeadRole wanted, LeadRole other) {
        List<End> ends = byRole.getOrDefault(wanted, List.of());
        boolean given = ends.stream().anyMatch(e -> e.flow() == Flow.GIVES);
        boolean otherGiven = byRole.getOrDefault(other, List.of()).stream().anyMatch(e -> e.flow() == Flow.GIVES);
        if (given || !otherGiven) return;
        for (End end : ends) put(new End(end.id(), other, end.flow(), end.owner()));
        byRole.remove(wanted);
    }

    private void joinRole(LeadRole role, List<End> ends) {
        List<End> kept = withoutRivals(role, ends);
        boolean given = kept.stream().anyMatch(e -> e.flow() != Flow.TAKES);
        boolean taken = kept.stream().anyMatch(e -> e.flow() != Flow.GIVES);
        if (kept.size() > 1 && given && taken)
            joints.add(draft.joint(role, kept.stream().map(End::id).toList()));
        else kept.forEach(e -> cap(e.id(), Optional.of(role), Cap.Reason.NO_PARTNER));
    }

    /**
     * The car's own output outranks a part's; a part that reads the steering controls outranks the radio's own input.
     */
    private List<End> withoutRivals(LeadRole role, List<End> ends) {
        boolean carGives = ends.stream().anyMatch(e -> e.owner() == Instance.Owner.CAR && e.flow() == Flow.GIVES);
        boolean steering =
                role == LeadRole.STEERING_1 || role == LeadRole.STEERING_2 || role == LeadRole.STEERING_GROUND;
        boolean partReads = steering && ends.stream().anyMatch(e -> e.owner() == Instance.Owner.PART);
        List<End> kept = new ArrayList<>();
        for (End end : ends) {
            if (carGives && end.owner() == Instance.Owner.PART && end.flow() == Flow.GIVES)
                cap(end.id(), Optional.of(role), Cap.Reason.CAR_SERVES_IT);
            else if (partReads && end.owner() == Instance.Owner.RADIO)
                cap(end.id(), Optional.of(role), Cap.Reason.INTERFACE_READS_IT);
            else kept.add(end);
        }
        return kept;
    }
}
