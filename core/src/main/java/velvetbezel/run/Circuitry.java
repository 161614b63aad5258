package velvetbezel.run;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.circuit.Branch;
import velvetbezel.circuit.Netlist;
import velvetbezel.harness.Conductor;
import velvetbezel.harness.ConductorId;
import velvetbezel.harness.Islands;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.Quantity;
import velvetbezel.state.VehicleState;

/** Conductors and the electrical effects in force, as a network; and which terminals a signal can pass between. */
final class Circuitry {
    /** Signals pass a connection up to this resistance. */
    private static final double SIGNAL_OHMS = 10;

    private static final double LEAST_OHMS = 0.001;
    private final Plan plan;
    private final VehicleState state;
    private final Assumption assumption;
    private final List<Conductor> closed;
    private final Set<ConductorId> closedIds;
    private final List<Branch> conductorBranches;

    Circuitry(Plan plan, VehicleState state, Assumption assumption) {
        this.plan = plan;
        this.state = state;
        this.assumption = assumption;
        List<Plan.Ends> ends =
                plan.ends.stream().filter(e -> isClosed(e.conductor())).toList();
        this.closed = ends.stream().map(Plan.Ends::conductor).toList();
        this.closedIds = closed.stream().map(Conductor::id).collect(Collectors.toUnmodifiableSet());
        this.conductorBranches = ends.stream()
                .<Branch>map(e -> resistor(e.a(), e.b(), e.conductor().ohms()))
                .toList();
    }

    private boolean isClosed(Conductor c) {
        if (c.closed() instanceof Fact.Missing<Boolean> missing) return assumption.last(missing.field(), state);
        return c.closed().known().orElseThrow();
    }

    private double value(Quantity q) {
        return q.at(state, q instanceof Quantity.Open open && assumption.last(open.field(), state));
    }

    private Branch resistor(int a, int b, Quantity ohms) {
        return new Branch.Resistor(a, b, Math.max(LEAST_OHMS, value(ohms)));
    }

    /** The network at one moment; the closed conductors are its first branches, in their order. */
    record Wired(Netlist netlist, List<Conductor> conductors, Set<ConductorId> closed) {}

    Wired wired(BitSet inForce) {
        List<Branch> branches = new ArrayList<>(conductorBranches);
        for (int i = inForce.nextSetBit(0); i >= 0; i = inForce.nextSetBit(i + 1)) {
            Plan.Ruled ruled = plan.rules.get(i);
            for (Effect effect : ruled.rule().then())
                if (effect.electrical()) branches.add(branch(ruled.unit(), effect));
        }
        return new Wired(new Netlist(plan.terminals.size(), branches), closed, closedIds);
    }

    private Branch branch(Plan.Unit unit, Effect effect) {
        if (effect instanceof Effect.Drive d)
            return new Branch.Source(
                    unit.node(d.plus()), unit.node(d.minus()), value(d.volts()), Math.max(LEAST_OHMS, value(d.ohms())));
        if (effect instanceof Effect.Connect c) return resistor(unit.node(c.a()), unit.node(c.b()), c.ohms());
        if (effect instanceof Effect.Draw d) return resistor(unit.node(d.a()), unit.node(d.b()), d.ohms());
        Effect.Diode d = (Effect.Diode) effect;
        return new Branch.Diode(
                unit.node(d.anode()),
                unit.node(d.cathode()),
                value(d.forwardVolts()),
                Math.max(LEAST_OHMS, value(d.onOhms())));
    }

    /** Nets as signals see them: conductors, and connections of at most 10 Ω in force. */
    Islands signalNets(BitSet inForce) {
        Islands nets = new Islands(plan.terminals.size());
        for (Branch b : conductorBranches) nets.join(b.a(), b.b());
        for (int i = inForce.nextSetBit(0); i >= 0; i = inForce.nextSetBit(i + 1)) {
            Plan.Ruled ruled = plan.rules.get(i);
            for (Effect effect : ruled.rule().then())
                if (effect instanceof Effect.Connect c && value(c.ohms()) <= SIGNAL_OHMS)
                    nets.join(ruled.unit().node(c.a()), ruled.unit().node(c.b()));
        }
        return nets;
    }
}
