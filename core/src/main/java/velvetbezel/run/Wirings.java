package velvetbezel.run;

import java.util.BitSet;
import java.util.HashMap;
import java.util.Map;
import velvetbezel.circuit.Solution;
import velvetbezel.harness.Islands;
import velvetbezel.state.VehicleState;

/**
 * The networks of one run, each solved once: from picture to picture most rules that change do so without changing
 * a current, and most that change no current change no signal either.
 */
final class Wirings {
    private final Plan plan;
    private final Assumption assumption;
    private final Map<Key, Wiring> known = new HashMap<>();

    /** @param state where something is missing, how it is taken may depend on the state; else null */
    private record Key(BitSet electrical, double dimmer, VehicleState state) {}

    /** A network with its voltages, what signals can pass, and what was heard so far by the rules that send. */
    record Wiring(Circuitry.Wired wired, Solution solution, Islands nets, Map<BitSet, Signals.Heard> heard) {}

    Wirings(Plan plan, Assumption assumption) {
        this.plan = plan;
        this.assumption = assumption;
    }

    Wiring of(VehicleState state, BitSet inForce) {
        Key key = new Key(only(inForce, plan.electrical), state.dimmer(), plan.open() ? state : null);
        Wiring wiring = known.get(key);
        if (wiring == null) known.put(key, wiring = solve(state, inForce));
        return wiring;
    }

    private Wiring solve(VehicleState state, BitSet inForce) {
        Circuitry circuitry = new Circuitry(plan, state, assumption);
        Circuitry.Wired wired = circuitry.wired(inForce);
        return new Wiring(wired, wired.netlist().solve(), circuitry.signalNets(inForce), new HashMap<>());
    }

    Signals.Heard heard(Wiring wiring, BitSet inForce) {
        BitSet sending = only(inForce, plan.sending);
        Signals.Heard heard = wiring.heard().get(sending);
        if (heard == null)
            wiring.heard().put(sending, heard = new Signals(plan, inForce, wiring.solution(), wiring.nets()).follow());
        return heard;
    }

    private static BitSet only(BitSet inForce, BitSet mask) {
        BitSet kept = (BitSet) inForce.clone();
        kept.and(mask);
        return kept;
    }
}
