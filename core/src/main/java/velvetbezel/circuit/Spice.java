package velvetbezel.circuit;

import java.util.List;
import java.util.Locale;

/** Writes a netlist as a SPICE deck that prints every node's operating point. */
public final class Spice {
    private Spice() {}

    /** @param title first line of the deck; node n is written as "n{number}", node 0 as "0" */
    public static String write(String title, Netlist net) {
        StringBuilder deck =
                new StringBuilder("* ").append(title.replaceAll("\\R", " ")).append('\n');
        List<Branch> branches = net.branches();
        for (int i = 0; i < branches.size(); i++)
            deck.append(element(i, branches.get(i))).append('\n');
        deck.append(".control\nop\n");
        Solution solution = net.solve();
        for (int node = 1; node < net.nodes(); node++)
            if (solution.at(node) instanceof NodeVoltage.At)
                deck.append("print v(").append(name(node)).append(")\n");
        return deck.append(".endc\n.end\n").toString();
    }

    /** What a node is called in the deck. */
    public static String name(int node) {
        return node == 0 ? "0" : "n" + node;
    }

    private static String element(int i, Branch branch) {
        String ends = name(branch.a()) + " " + name(branch.b()) + " ";
        if (branch instanceof Branch.Resistor r) return "R" + i + " " + ends + number(r.ohms());
        if (branch instanceof Branch.Current c) return "I" + i + " " + ends + number(c.amps());
        if (branch instanceof Branch.Diode d) {
            String across = "v(" + name(d.a()) + "," + name(d.b()) + ")";
            return "B%d %sI=%s > %s ? (%s - %s) / %s : 0"
                    .formatted(
                            i,
                            ends,
                            across,
                            number(d.forwardVolts()),
                            across,
                            number(d.forwardVolts()),
                            number(d.ohms()));
        }
        Branch.Source s = (Branch.Source) branch;
        if (s.ohms() == 0) return "V" + i + " " + ends + number(s.volts());
        return "V%d %s x%d %s\nRs%d x%d %s %s"
                .formatted(i, name(s.a()), i, number(s.volts()), i, i, name(s.b()), number(s.ohms()));
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.12g", value);
    }
}
