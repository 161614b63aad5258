package velvetbezel.run;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import velvetbezel.circuit.Solution;
import velvetbezel.harness.Islands;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.Medium;
import velvetbezel.sheet.Port;
import velvetbezel.sheet.SignalLevel;
import velvetbezel.units.Volts;

/** Follows every signal emitted in one moment from port to port. */
final class Signals {
    /** One leg of a pair alone, its partner on a common net, loses half the voltage. */
    private static final SignalLevel ONE_LEG = SignalLevel.of(-6);

    /** No source is stronger than music at a speaker. */
    private static final SignalLevel STRONG = SignalLevel.of(0);

    private static final RuleRef NOBODY = new RuleRef("", "");
    private static final SignalLevel NO_LOSS = SignalLevel.of(0);
    private final Plan plan;
    private final BitSet inForce;
    private final Solution solution;
    private final Islands nets;
    private final Set<Integer> outputNets = new HashSet<>();
    private final Set<Integer> sharedNets = new HashSet<>();
    private final Map<PortRef, Map<String, Arrival>> arrived = new HashMap<>();
    private final List<Arrival> faint = new ArrayList<>();
    private final Deque<Arrival> fresh = new ArrayDeque<>();

    Signals(Plan plan, BitSet inForce, Solution solution, Islands nets) {
        this.plan = plan;
        this.inForce = inForce;
        this.solution = solution;
        this.nets = nets;
    }

    record Heard(Map<PortRef, Map<String, Arrival>> arrived, List<Arrival> faint) {}

    Heard follow() {
        findCommonNets();
        for (int i = inForce.nextSetBit(0); i >= 0; i = inForce.nextSetBit(i + 1)) {
            Plan.Ruled ruled = plan.rules.get(i);
            for (Effect effect : ruled.rule().then())
                if (effect instanceof Effect.Emit e)
                    send(
                            ruled.unit().sockets.get(e.port()),
                            e.signal(),
                            false,
                            e.level(),
                            new Volts(0),
                            ruled.ref(),
                            Optional.empty());
        }
        while (!fresh.isEmpty()) carryOn(fresh.poll());
        return new Heard(arrived, List.copyOf(faint));
    }

    /** Whether a signal that were at one port, as strong as any, would arrive at another. */
    boolean passes(String signal, PortRef from, PortRef to) {
        Optional<Plan.Socket> start =
                plan.sockets.stream().filter(s -> s.ref().equals(from)).findFirst();
        if (start.isEmpty()) return false;
        findCommonNets();
        arrive(
                new Arrival(signal, from, false, STRONG, new Volts(0), Optional.empty(), NOBODY, Optional.empty()),
                start.get());
        while (!fresh.isEmpty()) carryOn(fresh.poll());
        return arrived.getOrDefault(to, Map.of()).containsKey(signal);
    }

    /** A net is common when it is ground or holds legs of two outputs. */
    private void findCommonNets() {
        for (Plan.Socket s : plan.sockets) {
            if (s.port().dir() != Port.Dir.OUT) continue;
            Set<Integer> own = new HashSet<>();
            if (s.plus() >= 0) own.add(nets.of(s.plus()));
            if (s.minus() >= 0) own.add(nets.of(s.minus()));
            for (int net : own) if (!outputNets.add(net)) sharedNets.add(net);
        }
    }

    private boolean common(int node) {
        return nets.together(node, 0) || sharedNets.contains(nets.of(node));
    }

    private void carryOn(Arrival arrival) {
        for (Plan.Carrying c : plan.carrying.getOrDefault(arrival.at(), List.of()))
            if (inForce.get(c.ruled().index()))
                send(
                        c.ruled().unit().sockets.get(c.carry().out()),
                        arrival.signal(),
                        arrival.reversed(),
                        arrival.level().plus(c.carry().gain()),
                        arrival.noise(),
                        c.ruled().ref(),
                        Optional.of(arrival));
    }

    private void send(
            Plan.Socket from,
            String signal,
            boolean reversed,
            SignalLevel level,
            Volts noise,
            RuleRef by,
            Optional<Arrival> before) {
        if (passed(from.ref(), before)) return;
        if (from.port().medium() == Medium.INTERNAL) {
            arrive(new Arrival(signal, from.ref(), reversed, level, noise, Optional.empty(), by, before), from);
            return;
        }
        for (Plan.Socket to : plan.sockets) {
            if (to == from
                    || !to.port().receives()
                    || to.port().medium() != from.port().medium()) continue;
            link(from, to)
                    .ifPresent(link -> arrive(
                            new Arrival(
                                    signal,
                                    to.ref(),
                                    reversed ^ link.crossed,
                                    level.plus(link.loss),
                                    new Volts(Math.max(noise.value(), drop(from, to))),
                                    Optional.of(from.ref()),
                                    by,
                                    before),
                            to));
        }
    }

    private static boolean passed(PortRef port, Optional<Arrival> before) {
        for (Optional<Arrival> a = before; a.isPresent(); a = a.get().before())
            if (a.get().at().equals(port)
                    || a.get().sentFrom().filter(port::equals).isPresent()) return true;
        return false;
    }

    private void arrive(Arrival arrival, Plan.Socket at) {
        if (at.port()
                .floor()
                .filter(f -> arrival.level().value().compareTo(f) < 0)
                .isPresent()) {
            faint.add(arrival);
            return;
        }
        Map<String, Arrival> here = arrived.computeIfAbsent(at.ref(), k -> new HashMap<>());
        Arrival known = here.get(arrival.signal());
        if (known != null && known.level().value().compareTo(arrival.level().value()) >= 0) return;
        here.put(arrival.signal(), arrival);
        fresh.add(arrival);
    }

    private record Link(boolean crossed, SignalLevel loss) {}

    private Optional<Link> link(Plan.Socket from, Plan.Socket to) {
        if (from.plus() < 0 || to.plus() < 0) return Optional.empty();
        if (from.minus() < 0 || to.minus() < 0)
            return nets.together(from.plus(), to.plus()) ? Optional.of(new Link(false, NO_LOSS)) : Optional.empty();
        if (nets.together(from.plus(), from.minus()) || nets.together(to.plus(), to.minus())) return Optional.empty();
        boolean straightPlus = nets.together(from.plus(), to.plus());
        boolean straightMinus = nets.together(from.minus(), to.minus());
        if (from.port().medium() == Medium.DATA)
            return straightPlus && straightMinus && !nets.together(from.plus(), 0) && !nets.together(from.minus(), 0)
                    ? Optional.of(new Link(false, NO_LOSS))
                    : Optional.empty();
        if (straightPlus && straightMinus) return Optional.of(new Link(false, NO_LOSS));
        boolean crossPlus = nets.together(from.plus(), to.minus());
        boolean crossMinus = nets.together(from.minus(), to.plus());
        if (crossPlus && crossMinus) return Optional.of(new Link(true, NO_LOSS));
        if (straightPlus) return oneLeg(from.plus(), to.minus(), false);
        if (straightMinus) return oneLeg(from.minus(), to.plus(), false);
        if (crossPlus) return oneLeg(from.plus(), to.plus(), true);
        return crossMinus ? oneLeg(from.minus(), to.minus(), true) : Optional.empty();
    }

    private Optional<Link> oneLeg(int leg, int otherInputLeg, boolean crossed) {
        boolean returns = common(otherInputLeg) || outputNets.contains(nets.of(otherInputLeg));
        return !common(leg) && returns ? Optional.of(new Link(crossed, ONE_LEG)) : Optional.empty();
    }

    /** Voltage along the return, which the input adds to the signal. */
    private double drop(Plan.Socket from, Plan.Socket to) {
        if (from.minus() < 0 || to.minus() < 0 || !nets.together(from.minus(), to.minus())) return 0;
        return solution.between(from.minus(), to.minus())
                .reading()
                .map(v -> Math.abs(v.value()))
                .orElse(0.0);
    }
}
