package velvetbezel.harness;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.Guard;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Medium;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Port;
import velvetbezel.sheet.Position;
import velvetbezel.sheet.Rule;

/** Why a lead that found no partner has none: the first reason that is true of the installation. */
final class NoPartner {
    /** What a data bus says of each role, by the names that sheets give the messages. */
    private static final Map<LeadRole, String> TOLD = Map.of(
            LeadRole.ACCESSORY, "key.accessory",
            LeadRole.ILLUMINATION, "lamps.on",
            LeadRole.REVERSE, "gear.reverse",
            LeadRole.SPEED, "speed",
            LeadRole.PARKING_BRAKE, "brake.parking");

    private static final List<LeadRole> SWITCHED =
            List.of(LeadRole.AMP_REMOTE, LeadRole.ANTENNA_POWER, LeadRole.CAMERA_POWER);
    private final Draft draft;
    private final List<End> all;
    private final Bypass bypass;
    /** Of all joints, once somebody asks. */
    private final Supplier<Components> nets;

    private Map<String, List<TerminalId>> listening;

    NoPartner(Draft draft, List<End> all, Bypass bypass, Supplier<Components> nets) {
        this.nets = nets;
        this.draft = draft;
        this.all = all;
        this.bypass = bypass;
    }

    CapReason of(End e) {
        LeadRole role = e.role();
        if (e.owner() != Instance.Owner.RADIO) return notTheRadios(e, role);
        Optional<TerminalId> port = toldByData(role);
        if (port.isPresent()) return new CapReason.DrivenBy(port.get(), true);
        Optional<PositionId> wire = notBroughtOut(role);
        if (wire.isPresent()) return new CapReason.NotBroughtOut(role, wire.get());
        if (role.group() == LeadRole.Group.SPEAKER && amplified()) return new CapReason.AmplifierDrives();
        return none(role);
    }

    private CapReason notTheRadios(End e, LeadRole role) {
        boolean radioHas = all.stream().anyMatch(o -> o.role() == role && o.owner() == Instance.Owner.RADIO);
        return radioHas || role == LeadRole.GROUND ? none(role) : new CapReason.RadioHasNone(role);
    }

    private CapReason none(LeadRole role) {
        return SWITCHED.contains(role)
                ? new CapReason.NothingSwitched(role, role == LeadRole.ANTENNA_POWER && antennaIsPassive())
                : new CapReason.CarHasNone(role);
    }

    /** A wire of the car for this role at a plug that no lead of the kit leads to. */
    private Optional<PositionId> notBroughtOut(LeadRole role) {
        for (Plug plug : draft.instance(Builder.CAR).device().plugs()) {
            if (plug.access().isPresent()) continue;
            for (Position p : plug.positions()) {
                boolean there = p.role().filter(r -> r.joinsAs() == role).isPresent()
                        && p.wired().known().orElse(true);
                if (there) return Optional.of(new PositionId(new PlugRef(Builder.CAR, plug.id()), p.number()));
            }
        }
        return Optional.empty();
    }

    private boolean amplified() {
        return draft.vehicle().filter(v -> v.amplified()).isPresent() && !bypass.any();
    }

    /** The data port through which a part of the kit tells the radio what this lead would. */
    private Optional<TerminalId> toldByData(LeadRole role) {
        String signal = TOLD.get(role);
        if (signal == null || draft.instances.stream().noneMatch(NoPartner::talks)) return Optional.empty();
        if (listening == null) listening = listening();
        return listening.getOrDefault(signal, List.of()).stream()
                .flatMap(port -> teller(port, signal).stream())
                .findFirst();
    }

    private static boolean talks(Instance part) {
        return part.owner() == Instance.Owner.PART
                && part.device().ports().stream().anyMatch(p -> p.medium() == Medium.DATA);
    }

    /** The data ports at which the radio listens for each signal. */
    private Map<String, List<TerminalId>> listening() {
        Map<String, List<TerminalId>> at = new HashMap<>();
        for (Instance radio : draft.instances)
            if (radio.owner() == Instance.Owner.RADIO)
                for (Port port : radio.device().ports())
                    if (port.medium() == Medium.DATA)
                        heard(radio.device(), port).forEach(s -> at.computeIfAbsent(s, k -> new ArrayList<>())
                                .add(radio.terminal(port.plus().orElseThrow())));
        return at;
    }

    private static Set<String> heard(Device radio, Port port) {
        Set<String> signals = new HashSet<>();
        for (Rule rule : radio.rules()) heard(rule.when(), port, signals);
        return signals;
    }

    private static void heard(Guard guard, Port port, Set<String> signals) {
        if (guard instanceof Guard.Hears h && h.port().equals(port.id())) signals.add(h.signal());
        for (Guard inner : guard.inner()) heard(inner, port, signals);
    }

    private Optional<TerminalId> teller(TerminalId socket, String signal) {
        for (Instance part : draft.instances) {
            if (part.owner() != Instance.Owner.PART) continue;
            for (Port port : part.device().ports()) {
                if (port.medium() != Medium.DATA || port.plus().isEmpty() || !tells(part.device(), port, signal))
                    continue;
                TerminalId plus = part.terminal(port.plus().get());
                if (nets.get().with(socket).contains(plus)) return Optional.of(plus);
            }
        }
        return Optional.empty();
    }

    private static boolean tells(Device part, Port port, String signal) {
        for (Rule rule : part.rules())
            for (Effect e : rule.then())
                if (e instanceof Effect.Emit m
                                && m.port().equals(port.id())
                                && m.signal().equals(signal)
                        || e instanceof Effect.Carry c && c.out().equals(port.id())) return true;
        return false;
    }

    /** The car's antenna passes its signal on without being fed: no rule of it asks for a voltage or draws current. */
    private boolean antennaIsPassive() {
        return draft.instances.stream()
                .filter(i -> i.owner() == Instance.Owner.CAR)
                .filter(i ->
                        i.device().ports().stream().anyMatch(p -> p.medium() == Medium.RF && p.dir() == Port.Dir.OUT))
                .findFirst()
                .filter(i -> i.device().rules().stream()
                        .noneMatch(r -> r.when().parts().anyMatch(g -> g instanceof Guard.Volts)
                                || r.then().stream().anyMatch(Effect.Draw.class::isInstance)))
                .isPresent();
    }
}
