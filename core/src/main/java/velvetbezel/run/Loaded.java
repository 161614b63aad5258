package velvetbezel.run;

import java.util.ArrayList;
import java.util.List;
import velvetbezel.circuit.Branch;
import velvetbezel.circuit.Netlist;
import velvetbezel.circuit.NodeVoltage;
import velvetbezel.circuit.Solution;
import velvetbezel.harness.ConductorId;
import velvetbezel.harness.TerminalId;
import velvetbezel.units.Amps;

/** A picture with more current drawn than its rules say, modes and rules as they are: a radio at full volume. */
public final class Loaded {
    private final Picture picture;
    private final Netlist netlist;
    private final Solution solution;

    /** Current out of one terminal into another. */
    public record Draw(TerminalId from, TerminalId to, Amps amps) {}

    private Loaded(Picture picture, Netlist netlist) {
        this.picture = picture;
        this.netlist = netlist;
        this.solution = netlist.solve();
    }

    public static Loaded of(Picture picture, List<Draw> more) {
        List<Branch> branches = new ArrayList<>(picture.netlist().branches());
        for (Draw d : more) branches.add(new Branch.Current(picture.node(d.from), picture.node(d.to), d.amps.value()));
        return new Loaded(picture, new Netlist(picture.netlist().nodes(), branches));
    }

    public NodeVoltage at(TerminalId id) {
        return solution.at(picture.node(id));
    }

    /** Size of the current through the outside conductors of a terminal. */
    public Amps ampsAt(TerminalId id) {
        return new Amps(picture.ampsAt(picture.node(id), solution));
    }

    /** Size of the current through a conductor; none where it is open. */
    public Amps through(ConductorId id) {
        return new Amps(picture.conductor(id).stream()
                .mapToDouble(c -> Math.abs(solution.through(c).value()))
                .sum());
    }

    public Netlist netlist() {
        return netlist;
    }
}
