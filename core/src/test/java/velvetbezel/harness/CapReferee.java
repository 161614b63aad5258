package velvetbezel.harness;

import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.Flow;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.LeadState;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Position;
import velvetbezel.sheet.Sheet;

/**
 * Says whether a cap's reason is true, from the sheets and the finished installation alone: none of the program's own
 * predicates are used, so that a wrong one is found.
 */
public final class CapReferee {
    private final Installation installation;
    private final Sheet.Vehicle car;

    public CapReferee(Installation installation) {
        this.installation = installation;
        this.car = installation.recipe().vehicle();
    }

    public boolean holds(Cap cap) {
        CapReason reason = cap.reason();
        Terminal lead = installation.terminal(cap.lead());
        if (reason instanceof CapReason.Spare) return lead.state() == LeadState.SPARE;
        if (reason instanceof CapReason.Unused) return lead.state() == LeadState.UNUSED;
        if (reason instanceof CapReason.ByHand) return byHand(cap);
        if (reason instanceof CapReason.RoleUnknown) return lead.role().isEmpty();
        if (reason instanceof CapReason.PlugAlone r)
            return installation.matings().stream()
                    .noneMatch(m -> m.has(r.plug().instance(), r.plug().plug()));
        if (reason instanceof CapReason.NoWire) return !liveWireBehind(cap.lead());
        if (reason instanceof CapReason.DrivenBy r)
            return r.byData() ? installation.terminal(r.giver()) != null : joined(r.giver());
        if (reason instanceof CapReason.InterfaceReads r)
            return installation.joints().stream()
                    .anyMatch(j -> j.role() == cap.role().orElseThrow()
                            && j.leads().stream().anyMatch(l -> l.instance().equals(r.instance())));
        if (reason instanceof CapReason.Bypassed) return outputsParted();
        if (reason instanceof CapReason.DeadEnd)
            return !joined(otherEnd(cap.lead()).orElse(cap.lead()));
        if (reason instanceof CapReason.NotBroughtOut r) return atTheCar(r.role()) && !leadsFrom(r.position());
        if (reason instanceof CapReason.RadioHasNone r) return radios().noneMatch(t -> is(t, r.role()));
        if (reason instanceof CapReason.AmplifierDrives)
            return car.amplified() && cap.role().orElseThrow().group() == LeadRole.Group.SPEAKER;
        if (reason instanceof CapReason.CarHasNone r)
            return !atTheCar(r.role()) || !joinedRoles().contains(r.role());
        if (reason instanceof CapReason.NothingSwitched r)
            return takersJoined(r.role()).findAny().isEmpty();
        return reason instanceof CapReason.TwoClaim || reason instanceof CapReason.GuessedFeed;
    }

    private boolean byHand(Cap cap) {
        Optional<Optional<LeadRole>> moved =
                Optional.ofNullable(installation.recipe().moves().to().get(cap.lead()));
        return moved.filter(Optional::isEmpty).isPresent()
                || installation.recipe().substitutes().containsValue(Optional.<LeadRole>empty());
    }

    private boolean joined(TerminalId lead) {
        return installation.joints().stream().anyMatch(j -> j.leads().contains(lead));
    }

    private Set<LeadRole> joinedRoles() {
        return installation.joints().stream().map(Joint::role).collect(Collectors.toSet());
    }

    private static boolean is(Terminal t, LeadRole role) {
        return t.role().filter(r -> r == role).isPresent();
    }

    private Stream<Terminal> radios() {
        return installation.terminals().values().stream()
                .filter(t -> t.kind() == Terminal.Kind.BARE)
                .filter(t ->
                        installation.instance(t.id().instance()).orElseThrow().owner() == Instance.Owner.RADIO);
    }

    /** Whether any plug at the radio's place has a wire of this role. */
    private boolean atTheCar(LeadRole role) {
        for (Plug plug : car.car().plugs())
            for (Position p : plug.positions())
                if (plug.access().isEmpty()
                        && p.role().filter(r -> r == role).isPresent()
                        && p.wired().known().orElse(true)) return true;
        return false;
    }

    private boolean liveWireBehind(TerminalId tail) {
        String contact = tail.name().replace(" lead", "");
        for (Conductor c : installation.conductors()) {
            if (c.kind() != Conductor.Kind.CONTACT) continue;
            TerminalId own = new TerminalId(tail.instance(), contact);
            TerminalId other = c.a().equals(own) ? c.b() : c.b().equals(own) ? c.a() : null;
            if (other == null || !other.instance().equals("car")) continue;
            for (Conductor w : installation.conductors())
                if (w.kind() == Conductor.Kind.WIRE && w.a().equals(other) && w.mayBeClosed()) return true;
        }
        return false;
    }

    private boolean leadsFrom(PositionId position) {
        return installation.conductors().stream()
                .filter(c -> c.kind() == Conductor.Kind.CONTACT)
                .filter(c -> c.a().equals(position.contact()) || c.b().equals(position.contact()))
                .map(c -> c.a().equals(position.contact()) ? c.b() : c.a())
                .map(t -> new TerminalId(t.instance(), t.name() + " lead"))
                .anyMatch(this::joined);
    }

    private Optional<TerminalId> otherEnd(TerminalId lead) {
        return installation.conductors().stream()
                .filter(c -> c.kind() == Conductor.Kind.WIRE)
                .flatMap(c -> c.a().equals(lead)
                        ? Stream.of(c.b())
                        : c.b().equals(lead) ? Stream.of(c.a()) : Stream.<TerminalId>empty())
                .filter(t -> installation.terminal(t) != null
                        && installation.terminal(t).kind() == Terminal.Kind.BARE)
                .findFirst();
    }

    private boolean outputsParted() {
        for (Device d : car.devices())
            for (Plug plug : d.plugs())
                if (plug.positions().stream()
                                .anyMatch(p -> p.flow() == Flow.GIVES
                                        && p.role()
                                                .filter(r -> r.group() == LeadRole.Group.SPEAKER)
                                                .isPresent())
                        && installation.matings().stream().noneMatch(m -> m.has(d.id(), plug.id()))) return true;
        return false;
    }

    private Stream<TerminalId> takersJoined(LeadRole role) {
        return installation.joints().stream()
                .filter(j -> j.role() == role)
                .flatMap(j -> j.leads().stream())
                .filter(l -> installation.terminal(l).flow() == Flow.TAKES);
    }
}
