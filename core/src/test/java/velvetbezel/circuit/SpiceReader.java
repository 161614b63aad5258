package velvetbezel.circuit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Reads the simple decks of the check values: V, I and R elements. */
final class SpiceReader {
    final Map<String, Integer> nodes = new HashMap<>(Map.of("0", 0));
    final Map<String, Integer> elements = new HashMap<>();
    final List<Branch> branches = new ArrayList<>();

    SpiceReader(Iterable<String> lines) {
        for (String line : lines) {
            String[] f = line.toLowerCase(Locale.ROOT).trim().split("\\s+");
            int a = node(f[1]);
            int b = node(f[2]);
            double value = value(f[3]);
            elements.put(f[0], branches.size());
            branches.add(
                    switch (f[0].charAt(0)) {
                        case 'v' -> new Branch.Source(a, b, value, 0);
                        case 'i' -> new Branch.Current(a, b, value);
                        case 'r' -> new Branch.Resistor(a, b, value);
                        default -> throw new IllegalArgumentException(line);
                    });
        }
    }

    private int node(String name) {
        return nodes.computeIfAbsent(name, n -> nodes.size());
    }

    private static double value(String text) {
        if (text.endsWith("meg")) return Double.parseDouble(text.replace("meg", "")) * 1e6;
        if (text.endsWith("k")) return Double.parseDouble(text.replace("k", "")) * 1e3;
        return Double.parseDouble(text);
    }

    Netlist netlist() {
        return new Netlist(nodes.size(), branches);
    }

    /** v(node), i(source), a difference of two nodes, or one divided by a number. */
    double evaluate(String expression, Solution solution) {
        if (expression.contains("/")) {
            String[] parts = expression.split("/");
            return evaluate(parts[0].replaceAll("^\\((.*)\\)$", "$1"), solution) / Double.parseDouble(parts[1]);
        }
        if (expression.startsWith("i("))
            return solution.through(elements.get(expression.substring(2, expression.length() - 1)))
                    .value();
        double sum = 0;
        String[] terms = expression.split("-");
        for (int i = 0; i < terms.length; i++) {
            int node = nodes.get(terms[i].trim().substring(2, terms[i].trim().length() - 1));
            sum += (i == 0 ? 1 : -1)
                    * solution.between(node, 0).reading().orElseThrow().value();
        }
        return sum;
    }
}
