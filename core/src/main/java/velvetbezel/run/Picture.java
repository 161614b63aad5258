package velvetbezel.run;

import java.util.BitSet;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import velvetbezel.circuit.Branch;
import velvetbezel.circuit.Netlist;
import velvetbezel.circuit.NodeVoltage;
import velvetbezel.circuit.Solution;
import velvetbezel.harness.Conductor;
import velvetbezel.harness.ConductorId;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Islands;
import velvetbezel.harness.TerminalId;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.Guard;
import velvetbezel.sheet.Rule;
import velvetbezel.state.VehicleState;
import velvetbezel.units.Amps;

/** Everything that holds at one moment: voltages, currents, arrivals, rules in force, modes. */
public final class Picture {
    private final Plan plan;
    private final VehicleState state;
    private final Assumption assumption;
    private final Learned learned;
    private final Map<String, String> modes;
    private final BitSet inForce;
    private final Circuitry.Wired wired;
    private final Solution solution;
    private final Islands nets;
    private final Signals.Heard heard;

    Picture(
            Plan plan,
            VehicleState state,
            Assumption assumption,
            Learned learned,
            Map<String, String> modes,
            BitSet inForce,
            Wirings wirings) {
        this.plan = plan;
        this.state = state;
        this.assumption = assumption;
        this.learned = learned;
        this.modes = Map.copyOf(modes);
        this.inForce = (BitSet) inForce.clone();
        Wirings.Wiring wiring = wirings.of(state, inForce);
        this.wired = wiring.wired();
        this.solution = wiring.solution();
        this.nets = wiring.nets();
        this.heard = wirings.heard(wiring, inForce);
    }

    Plan plan() {
        return plan;
    }

    Assumption assumption() {
        return assumption;
    }

    Learned learned() {
        return learned;
    }

    public Installation installation() {
        return plan.installation;
    }

    public VehicleState state() {
        return state;
    }

    /** "instance.mode" → value. */
    public Map<String, String> modes() {
        return modes;
    }

    NodeVoltage between(int plus, int minus) {
        return solution.between(plus, minus);
    }

    /** Potential of a terminal to battery minus. */
    public NodeVoltage at(TerminalId id) {
        return between(id, Plan.REFERENCE);
    }

    public NodeVoltage between(TerminalId plus, TerminalId minus) {
        Integer a = plan.nodes.get(plus);
        Integer b = plan.nodes.get(minus);
        return a == null || b == null ? NodeVoltage.NOT_CONNECTED : solution.between(a, b);
    }

    /** Size of the current through the outside conductors of a terminal, in amps. */
    double ampsAt(int node) {
        return ampsAt(node, solution);
    }

    double ampsAt(int node, Solution solution) {
        double sum = 0;
        for (int i = 0; i < wired.conductors().size(); i++) {
            Branch branch = wired.netlist().branches().get(i);
            if (branch.a() == node) sum += solution.through(i).value();
            if (branch.b() == node) sum -= solution.through(i).value();
        }
        return Math.abs(sum);
    }

    /** Number of the branch that a conductor is, where it is closed. */
    OptionalInt conductor(ConductorId id) {
        return IntStream.range(0, wired.conductors().size())
                .filter(i -> wired.conductors().get(i).id().equals(id))
                .findFirst();
    }

    /** @throws IllegalArgumentException if the installation does not have the terminal */
    int node(TerminalId id) {
        Integer node = plan.nodes.get(id);
        if (node == null) throw new IllegalArgumentException("This installation has no terminal \"%s\".".formatted(id));
        return node;
    }

    public Amps ampsAt(TerminalId id) {
        return new Amps(plan.nodes.containsKey(id) ? ampsAt(plan.nodes.get(id)) : 0);
    }

    public Optional<Arrival> arrival(PortRef port, String signal) {
        return Optional.ofNullable(heard.arrived().getOrDefault(port, Map.of()).get(signal));
    }

    /** Whether a signal that were at one port would arrive at another. */
    public boolean passes(String signal, PortRef from, PortRef to) {
        return new Signals(plan, inForce, solution, nets).passes(signal, from, to);
    }

    public Collection<Arrival> arrivals(PortRef port) {
        return heard.arrived().getOrDefault(port, Map.of()).values();
    }

    /** Signals that reached a port below its floor. */
    public List<Arrival> faint() {
        return heard.faint();
    }

    /** The value of a device's setting: the state's, else the installation's, else the sheet's. */
    public Optional<String> setting(String instance, String name) {
        return Optional.ofNullable(setting(instance + "." + name));
    }

    /** By its key, "instance.name"; null where no device has it. */
    String setting(String key) {
        return state.settings().getOrDefault(key, plan.startSettings.get(key));
    }

    public boolean inForce(RuleRef ref) {
        return ruled(ref).filter(r -> inForce.get(r.index())).isPresent();
    }

    Optional<Plan.Ruled> ruled(RuleRef ref) {
        return Optional.ofNullable(plan.rulesByRef.get(ref));
    }

    /** Rule by its name, where the installation has it. */
    public Optional<Rule> rule(RuleRef ref) {
        return ruled(ref).map(Plan.Ruled::rule);
    }

    /** Whether a guard of a device holds here, judged as for a rule not yet in force. */
    public boolean holds(String instance, Guard guard) {
        return plan.units.stream().filter(u -> u.id().equals(instance)).anyMatch(u -> new Judge(this)
                .holds(guard, u, false));
    }

    /** What people see, as "instance:text". */
    public Set<String> shows() {
        Set<String> shown = new TreeSet<>();
        for (int i = inForce.nextSetBit(0); i >= 0; i = inForce.nextSetBit(i + 1))
            for (Effect e : plan.rules.get(i).rule().then())
                if (e instanceof Effect.Show show)
                    shown.add(plan.rules.get(i).unit().id() + ":" + show.what());
        return shown;
    }

    /** Whether a signal passes from one terminal to the other over conductors. */
    public boolean sameNet(TerminalId a, TerminalId b) {
        Integer first = plan.nodes.get(a);
        Integer second = plan.nodes.get(b);
        return first != null && second != null && nets.together(first, second);
    }

    public boolean closed(Conductor conductor) {
        return wired.closed().contains(conductor.id());
    }

    /** The network as solved, and the names of its nodes in order, for export. */
    public Netlist netlist() {
        return wired.netlist();
    }

    public List<TerminalId> nodes() {
        return List.copyOf(plan.terminals);
    }
}
