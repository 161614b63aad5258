package velvetbezel.sheet;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * One device: what it can be connected by, and what it does.
 *
 * @param is        what it counts as, whatever it is called: "amplifier", "chime sounder"
 * @param terminals names of terminals that are neither in a plug nor a bare lead
 */
public record Device(
        String id,
        String name,
        Set<String> is,
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
        List<ScenarioStep.FirstUse> firstUse,
        Ratings ratings) {
    public Device {
        is = Set.copyOf(is);
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

    /** Plugs with wires between them, and nothing that does anything. */
    public static Device passive(String id, String name, List<Plug> plugs, List<InnerWire> wires) {
        return new Device(
                id,
                name,
                Set.of(),
                plugs,
                List.of(),
                List.of(),
                wires,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                Map.of(),
                List.of(),
                List.of(),
                Ratings.NONE);
    }

    public Device withPlugs(List<Plug> other) {
        return new Device(
                id,
                name,
                is,
                other,
                leads,
                terminals,
                wires,
                ports,
                settings,
                modes,
                placements,
                conditions,
                rules,
                firstUse,
                ratings);
    }

    public Optional<Plug> plug(String plugId) {
        return plugs.stream().filter(p -> p.id().equals(plugId)).findFirst();
    }

    /** A guard and all that it is made of, the conditions that it names too. */
    public Stream<Guard> parts(Guard when) {
        return when.parts()
                .flatMap(g -> g instanceof Guard.Met m
                        ? Stream.concat(Stream.of(g), parts(conditions.get(m.condition())))
                        : Stream.of(g));
    }
}
