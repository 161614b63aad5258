package velvetbezel.harness;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Terminals that hang together by conductors that may be closed, whatever the devices do. */
final class Components {
    private final Map<TerminalId, Integer> index = new HashMap<>();
    private final List<TerminalId> terminals = new ArrayList<>();
    private final Islands islands;
    private Map<Integer, List<TerminalId>> byRoot;

    Components(List<Conductor> conductors) {
        for (Conductor c : conductors) {
            number(c.a());
            number(c.b());
        }
        islands = new Islands(terminals.size());
        for (Conductor c : conductors) if (c.mayBeClosed()) islands.join(index.get(c.a()), index.get(c.b()));
    }

    private void number(TerminalId id) {
        if (index.putIfAbsent(id, terminals.size()) == null) terminals.add(id);
    }

    /** Everything that hangs together with the terminal, itself included. */
    List<TerminalId> with(TerminalId id) {
        Integer own = index.get(id);
        if (own == null) return List.of(id);
        return byRoot().get(islands.of(own));
    }

    private Map<Integer, List<TerminalId>> byRoot() {
        if (byRoot == null) {
            byRoot = new LinkedHashMap<>();
            for (TerminalId id : terminals)
                byRoot.computeIfAbsent(islands.of(index.get(id)), k -> new ArrayList<>())
                        .add(id);
        }
        return byRoot;
    }

    /** All groups, in a stated order: that of their first conductor. */
    List<List<TerminalId>> groups() {
        return List.copyOf(byRoot().values());
    }
}
