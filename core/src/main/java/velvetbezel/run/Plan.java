package velvetbezel.run;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import velvetbezel.harness.Conductor;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.harness.TerminalId;
import velvetbezel.sheet.Choice;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Port;
import velvetbezel.sheet.Position;
import velvetbezel.sheet.Quantity;
import velvetbezel.sheet.Rule;
import velvetbezel.state.VehicleState;

/** An installation numbered for running: nodes, rules and ports have places in lists. Node 0 is battery minus. */
final class Plan {
    static final TerminalId REFERENCE = new TerminalId("battery", "minus");

    /** A rule with its device. */
    record Ruled(int index, Unit unit, Rule rule, RuleRef ref) {}

    /** A port with its nodes; −1 where it has none. */
    record Socket(int index, Unit unit, Port port, PortRef ref, int plus, int minus) {}

    /** A device with its names resolved. */
    static final class Unit {
        final Instance instance;
        final Map<String, Integer> nodes = new HashMap<>();
        final Map<String, Socket> sockets = new LinkedHashMap<>();
        private final Map<String, String> keys = new HashMap<>();
        /** Numbers of its conditions among all of the installation. */
        final Map<String, Integer> conditions = new HashMap<>();

        Unit(Instance instance) {
            this.instance = instance;
        }

        String id() {
            return instance.id();
        }

        Device device() {
            return instance.device();
        }

        /** "instance.name" of a mode or setting. */
        String key(String name) {
            return keys.computeIfAbsent(name, n -> id() + "." + n);
        }

        int node(String terminal) {
            return nodes.get(terminal);
        }
    }

    final Installation installation;
    final Map<TerminalId, Integer> nodes = new LinkedHashMap<>();
    final List<TerminalId> terminals = new ArrayList<>();
    final List<Unit> units = new ArrayList<>();
    final List<Ruled> rules = new ArrayList<>();
    final Map<RuleRef, Ruled> rulesByRef = new HashMap<>();
    /** Rules that enter a mode. */
    final List<Ruled> entering = new ArrayList<>();

    final List<Socket> sockets = new ArrayList<>();
    /** Conductors with their nodes. */
    final List<Ends> ends = new ArrayList<>();

    final Map<PortRef, Socket> byRef = new HashMap<>();
    /** How many conditions there are. */
    private int conditions;

    final Map<String, String> startModes = new LinkedHashMap<>();
    final Map<String, String> startSettings = new HashMap<>();
    /** Rules that carry on what arrives at a port. */
    final Map<PortRef, List<Carrying>> carrying = new HashMap<>();
    /** Rules that change currents, and rules that send signals. */
    final BitSet electrical = new BitSet();

    final BitSet sending = new BitSet();
    /** Rules that are never in force, by a fault. */
    final BitSet dead = new BitSet();

    private final RelevantState asked;
    private final boolean open;

    record Ends(Conductor conductor, int a, int b) {}

    record Carrying(Ruled ruled, Effect.Carry carry) {}

    Plan(Installation installation) {
        this.installation = installation;
        number(REFERENCE);
        for (Instance instance : installation.instances()) units.add(unit(instance));
        for (Conductor c : installation.conductors()) ends.add(new Ends(c, number(c.a()), number(c.b())));
        for (Unit unit : units)
            for (Rule rule : unit.device().rules())
                rules.add(new Ruled(rules.size(), unit, rule, new RuleRef(unit.id(), rule.id())));
        for (Ruled r : rules) {
            rulesByRef.put(r.ref(), r);
            if (r.rule().then().stream().anyMatch(Effect.Enter.class::isInstance)) entering.add(r);
            if (installation.disabled().contains(r.unit().key(r.rule().id()))) dead.set(r.index());
            if (electrical(r.rule())) electrical.set(r.index());
            if (r.rule().then().stream().anyMatch(e -> e instanceof Effect.Emit || e instanceof Effect.Carry))
                sending.set(r.index());
            for (Effect e : r.rule().then())
                if (e instanceof Effect.Carry c)
                    carrying.computeIfAbsent(new PortRef(r.unit().id(), c.in()), k -> new ArrayList<>())
                            .add(new Carrying(r, c));
        }
        for (Unit unit : units) {
            for (Choice mode : unit.device().modes())
                startModes.put(
                        unit.id() + "." + mode.name(),
                        installation.modes().getOrDefault(unit.id() + "." + mode.name(), mode.start()));
            for (Choice setting : unit.device().settings())
                startSettings.put(unit.id() + "." + setting.name(), setting.start());
        }
        startSettings.putAll(installation.settings());
        asked = RelevantState.by(units);
        open = asked.open()
                || installation.conductors().stream()
                        .anyMatch(c -> c.closed() instanceof Fact.Missing || c.ohms() instanceof Quantity.Open);
    }

    /** Whether something electrical is missing from a sheet. */
    boolean open() {
        return open;
    }

    int conditions() {
        return conditions;
    }

    /**
     * The state as far as any rule asks for it: states that differ in nothing else are one. What it chooses for a setting
     * that is stuck does not reach it.
     */
    VehicleState relevant(VehicleState state) {
        VehicleState kept = asked.of(state);
        return kept.withoutSettings(installation.stuck());
    }

    private Unit unit(Instance instance) {
        Unit unit = new Unit(instance);
        Device device = instance.device();
        for (String name : device.terminals()) unit.nodes.put(name, number(new TerminalId(instance.id(), name)));
        device.leads().forEach(l -> unit.nodes.put(l.name(), number(new TerminalId(instance.id(), l.name()))));
        for (Plug plug : device.plugs()) for (Position p : plug.positions()) position(unit, plug, p);
        device.conditions().keySet().forEach(c -> unit.conditions.put(c, conditions++));
        for (Port port : device.ports()) {
            int plus = port.plus().map(unit::node).orElse(-1);
            int minus = port.minus().map(unit::node).orElse(-1);
            Socket socket = new Socket(sockets.size(), unit, port, new PortRef(unit.id(), port.id()), plus, minus);
            sockets.add(socket);
            byRef.put(socket.ref(), socket);
            unit.sockets.put(port.id(), socket);
        }
        return unit;
    }

    private void position(Unit unit, Plug plug, Position p) {
        String local = plug.id() + "." + p.number();
        int node = number(new TerminalId(unit.id(), local));
        unit.nodes.put(local, node);
        if (!p.name().isEmpty()) unit.nodes.put(p.name(), node);
    }

    private int number(TerminalId id) {
        return nodes.computeIfAbsent(id, k -> {
            terminals.add(k);
            return terminals.size() - 1;
        });
    }

    /** Whether a rule can change currents and voltages. */
    static boolean electrical(Rule rule) {
        return rule.then().stream().anyMatch(Effect::electrical);
    }
}
