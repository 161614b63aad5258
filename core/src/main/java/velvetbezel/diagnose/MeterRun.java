package velvetbezel.diagnose;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Conductor;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Labels;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.Memory;
import velvetbezel.run.Ohmmeter;
import velvetbezel.run.Picture;
import velvetbezel.run.PortRef;
import velvetbezel.run.Run;
import velvetbezel.run.Settled;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Port;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;
import velvetbezel.units.Ohms;
import velvetbezel.units.Volts;

/**
 * What a meter shows wherever a probe gets to at the radio's place: volts to body metal in each state, ohms with the battery
 * off (across each speaker, from its leads and from grounds to body metal, and along each net from the car's position to
 * every point it reaches), and the current that is drawn asleep.
 */
final class MeterRun {
    private static final TerminalId BODY = new TerminalId("battery", "minus");
    private static final List<VehicleState> BATTERY_OFF = List.of(VehicleState.AT_REST
            .with(StateField.BATTERY, "disconnected")
            .with(StateField.SECOND_BATTERY, "disconnected"));
    private static final VehicleState KEY_OFF_DOOR_OPEN = VehicleState.AT_REST.with(StateField.DOOR, "open");
    private static final List<VehicleState> ASLEEP = List.of(
            VehicleState.AT_REST.with(StateField.KEY, "accessory"),
            KEY_OFF_DOOR_OPEN,
            VehicleState.AT_REST.with(StateField.RESTED, "yes"));

    private final Installation healthy;
    private final Labels labels;
    private final Map<TerminalId, String> points;
    private final List<Trial.Measured> trials = new ArrayList<>();
    private final Set<TerminalId> ohmed = new HashSet<>();

    /** @param run of the healthy installation */
    MeterRun(Installation healthy, Perceived.Sinks sinks, Run run, Memory start) {
        this.healthy = healthy;
        this.labels = new Labels(healthy);
        this.points = points();
        for (MeasuringState state : MeasuringState.values())
            points.forEach((at, words) -> trials.add(new Trial.OfReading(at, state, words)));
        Picture off = last(run, BATTERY_OFF, start);
        across(sinks, off);
        grounds();
        along(off);
        if (healthy.terminals().containsKey(BODY)) trials.add(new Trial.OfStandby("in the battery's negative lead"));
        for (Trial t : trials)
            if (t instanceof Trial.OfOhms o) {
                ohmed.add(o.from());
                ohmed.add(o.to());
            }
    }

    /** Every lead of a joint, and positions of the car's plugs at the radio's place. */
    private Map<TerminalId, String> points() {
        Map<TerminalId, String> found = new LinkedHashMap<>();
        healthy.joints().forEach(j -> j.leads().stream()
                .filter(l -> healthy.terminal(l) != null)
                .forEach(l -> found.put(l, labels.terminal(l))));
        healthy.terminals().values().stream()
                .filter(t -> ofCar(t.id()) && t.location().dash() && t.role().isPresent())
                .forEach(t -> found.putIfAbsent(t.id(), labels.terminal(t.id())));
        return found;
    }

    private static boolean ofCar(TerminalId t) {
        return t.instance().equals(Builder.CAR);
    }

    // --- where an ohmmeter tells something

    private void across(Perceived.Sinks sinks, Picture off) {
        for (Map.Entry<PortRef, Port> sink : sinks.ports().entrySet()) {
            Optional<TerminalId> plus =
                    reached(off, sink.getKey().instance(), sink.getValue().plus());
            Optional<TerminalId> minus =
                    reached(off, sink.getKey().instance(), sink.getValue().minus());
            if (plus.isEmpty() || minus.isEmpty()) continue;
            ohms(plus.get(), minus.get());
            ohms(plus.get(), BODY);
            ohms(minus.get(), BODY);
        }
    }

    /** The point at which a terminal of a device is measured; the car's own before any other. */
    private Optional<TerminalId> reached(Picture off, String instance, Optional<String> terminal) {
        Optional<TerminalId> at = healthy.instance(instance).flatMap(i -> terminal.map(i::terminal));
        List<TerminalId> there = points.keySet().stream()
                .filter(p -> at.filter(t -> off.sameNet(t, p)).isPresent())
                .toList();
        return there.stream().filter(MeterRun::ofCar).findFirst().or(() -> there.stream()
                .findFirst());
    }

    private void grounds() {
        points.keySet().stream()
                .filter(p -> Optional.ofNullable(healthy.terminal(p))
                        .flatMap(t -> t.role())
                        .filter(r -> r == LeadRole.GROUND || r == LeadRole.AMPLIFIER_GROUND)
                        .isPresent())
                .forEach(p -> ohms(p, BODY));
    }

    private void along(Picture off) {
        Set<TerminalId> reached = new LinkedHashSet<>(points.keySet());
        reached.addAll(plugPositions());
        for (TerminalId from : points.keySet())
            if (ofCar(from))
                for (TerminalId to : reached)
                    if (!from.equals(to) && off.sameNet(from, to) && !(ofCar(to) && to.compareTo(from) < 0))
                        ohms(from, to);
    }

    /** Positions of plugs that are in one another at the radio's place: probed from behind. */
    private Set<TerminalId> plugPositions() {
        Set<TerminalId> found = new LinkedHashSet<>();
        for (Conductor c : healthy.conductors())
            if (c.kind() == Conductor.Kind.CONTACT)
                for (TerminalId t : List.of(c.a(), c.b()))
                    if (Optional.ofNullable(healthy.terminal(t))
                            .filter(x -> x.location().dash() && x.role().isPresent())
                            .isPresent()) found.add(t);
        return found;
    }

    private void ohms(TerminalId from, TerminalId to) {
        String other = to.equals(BODY) ? "body metal" : labels.terminal(to);
        trials.add(new Trial.OfOhms(from, to, "between %s and %s".formatted(points.get(from), other)));
    }

    List<Trial.Measured> trials() {
        return trials;
    }

    // --- what it shows

    /** @param values of each trial, empty where a meter shows nothing at all */
    record Shown(List<OptionalDouble> values, List<Picture> pictures) {}

    /** @param run of any installation with the same terminals */
    Shown of(Run run, Memory start) {
        List<Picture> pictures = new ArrayList<>();
        Map<MeasuringState, Picture> states = new EnumMap<>(MeasuringState.class);
        for (MeasuringState state : MeasuringState.values()) {
            List<Settled> passed = run.through(state.reachedBy(), start);
            passed.forEach(s -> pictures.add(s.picture()));
            states.put(state, passed.get(passed.size() - 1).picture());
        }
        Ohmmeter ohms = Ohmmeter.of(last(run, BATTERY_OFF, start), ohmed);
        Picture asleep = last(run, ASLEEP, start);
        List<OptionalDouble> values =
                trials.stream().map(t -> value(t, states, ohms, asleep)).toList();
        return new Shown(values, pictures);
    }

    private static OptionalDouble value(
            Trial.Measured trial, Map<MeasuringState, Picture> states, Ohmmeter ohms, Picture asleep) {
        if (trial instanceof Trial.OfReading r)
            return number(states.get(r.in()).at(r.at()).reading().map(Volts::value));
        if (trial instanceof Trial.OfOhms o)
            return number(ohms.between(o.from(), o.to()).map(Ohms::value));
        return OptionalDouble.of(asleep.ampsAt(BODY).value());
    }

    private static OptionalDouble number(Optional<Double> value) {
        return value.map(OptionalDouble::of).orElseGet(OptionalDouble::empty);
    }

    private static Picture last(Run run, List<VehicleState> states, Memory start) {
        List<Settled> passed = run.through(states, start);
        return passed.get(passed.size() - 1).picture();
    }
}
