package velvetbezel.sheet;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One device: what it can be connected by, and what it does.
 *
 * @param terminals names of terminals that are neither in a plug nor a bare lead
 */
public record Device(
        String id,
        String name,
        List<Plug> plugs,
        List<Lead> leads,
        List<String> terminals,
        List<InnerWire> wires,
        List<Port> ports,
        List<Choice> settings,
        List<Choice> modes,
        List<String> placements,
        Map<String, Guard> conditions,
        List<Rule> rules,
        List<Step.FirstUse> firstUse,
        Ratings ratings) {
    public Device {
        plugs = List.copyOf(plugs);
        leads = List.copyOf(leads);
        terminals = List.copyOf(terminals);
        wires = List.copyOf(wires);
        ports = List.copyOf(ports);
        settings = List.copyOf(settings);
        modes = List.copyOf(modes);
        placements = List.copyOf(placements);
        conditions = Map.copyOf(conditions);
        rules = List.copyOf(rules);
        firstUse = List.copyOf(firstUse);
    }

    public Optional<Plug> plug(String plugId) {
        return plugs.stream().filter(p -> p.id().equals(plugId)).findFirst();
    }
}
