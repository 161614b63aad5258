package velvetbezel.harness;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.Fault;
import velvetbezel.sheet.Port;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.Quantity;

/**
 * Devices, terminals and conductors: the graph that runs. Immutable.
 *
 * @param faults    what is wrong with the build itself: outputs tied together
 * @param settings  "instance.setting" → value where it differs from the sheet
 * @param modes     "instance.mode" → value a mode starts with where it differs
 * @param misplaced "instance.placement"
 */
public record Installation(
        Recipe recipe,
        List<Instance> instances,
        Map<TerminalId, Terminal> terminals,
        List<Conductor> conductors,
        List<Joint> joints,
        List<Mating> matings,
        List<Cap> caps,
        List<Fault> faults,
        Map<String, String> settings,
        Map<String, String> modes,
        Set<String> misplaced) {
    public Installation {
        instances = List.copyOf(instances);
        terminals = Collections.unmodifiableMap(new LinkedHashMap<>(terminals));
        conductors = List.copyOf(conductors);
        joints = List.copyOf(joints);
        matings = List.copyOf(matings);
        caps = List.copyOf(caps);
        faults = List.copyOf(faults);
        settings = Map.copyOf(settings);
        modes = Map.copyOf(modes);
        misplaced = Set.copyOf(misplaced);
    }

    public Optional<Instance> instance(String id) {
        return instances.stream().filter(i -> i.id().equals(id)).findFirst();
    }

    public Terminal terminal(TerminalId id) {
        return terminals.get(id);
    }

    public Optional<Conductor> conductor(ConductorId id) {
        return conductors.stream().filter(c -> c.id().equals(id)).findFirst();
    }

    public Optional<Joint> joint(JointId id) {
        return joints.stream().filter(j -> j.id().equals(id)).findFirst();
    }

    /** @throws IllegalArgumentException if the edit names something this installation does not have */
    public Installation with(Edit edit) {
        if (edit instanceof Edit.Open e) return changed(e.conductor(), Conductor::open);
        if (edit instanceof Edit.SetOhms e)
            return changed(e.conductor(), c -> c.withOhms(Quantity.of(e.ohms().value())));
        if (edit instanceof Edit.Move e) return changed(e.conductor(), c -> c.to(e.to()));
        if (edit instanceof Edit.Swap e) return swapped(e.first(), e.second());
        if (edit instanceof Edit.ReversePair e) return reversed(e);
        if (edit instanceof Edit.Bridge e) return bridged(e);
        if (edit instanceof Edit.SetSetting e)
            return new Installation(
                    recipe,
                    instances,
                    terminals,
                    conductors,
                    joints,
                    matings,
                    caps,
                    faults,
                    put(settings, e.instance() + "." + e.setting(), e.value()),
                    modes,
                    misplaced);
        if (edit instanceof Edit.StartMode e)
            return new Installation(
                    recipe,
                    instances,
                    terminals,
                    conductors,
                    joints,
                    matings,
                    caps,
                    faults,
                    settings,
                    put(modes, e.instance() + "." + e.mode(), e.value()),
                    misplaced);
        if (edit instanceof Edit.Misplace e) {
            Set<String> all = new LinkedHashSet<>(misplaced);
            all.add(e.instance() + "." + e.placement());
            return new Installation(
                    recipe, instances, terminals, conductors, joints, matings, caps, faults, settings, modes, all);
        }
        if (edit instanceof Edit.ReplacePart e) return Builder.build(recipe.with(e.instance(), e.part()));
        Edit.Insert insert = (Edit.Insert) edit;
        return Builder.build(Recipe.of(
                recipe.vehicle(),
                recipe.radio()
                        .orElseThrow(() -> new IllegalArgumentException(
                                "A part is inserted into a replacement, not into the factory installation.")),
                recipe.inserted(insert.part()),
                recipe.moves()));
    }

    public Installation with(List<Edit> edits) {
        Installation result = this;
        for (Edit edit : edits) result = result.with(edit);
        return result;
    }

    private static Map<String, String> put(Map<String, String> map, String key, String value) {
        Map<String, String> changed = new HashMap<>(map);
        changed.put(key, value);
        return changed;
    }

    private Installation withConductors(List<Conductor> changed) {
        return new Installation(
                recipe, instances, terminals, changed, joints, matings, caps, faults, settings, modes, misplaced);
    }

    private Installation changed(ConductorId id, UnaryOperator<Conductor> change) {
        require(id);
        return withConductors(conductors.stream()
                .map(c -> c.id().equals(id) ? change.apply(c) : c)
                .toList());
    }

    private Conductor require(ConductorId id) {
        return conductor(id)
                .orElseThrow(
                        () -> new IllegalArgumentException("This installation has no conductor \"%s\".".formatted(id)));
    }

    private Installation swapped(ConductorId first, ConductorId second) {
        TerminalId firstFar = require(first).b();
        TerminalId secondFar = require(second).b();
        return changed(first, c -> c.to(secondFar)).changed(second, c -> c.to(firstFar));
    }

    private Installation reversed(Edit.ReversePair edit) {
        Instance owner = instance(edit.instance())
                .orElseThrow(
                        () -> new IllegalArgumentException("There is no device \"%s\".".formatted(edit.instance())));
        Port port = owner.device().ports().stream()
                .filter(p -> p.id().equals(edit.port()))
                .findFirst()
                .orElseThrow(() ->
                        new IllegalArgumentException("%s has no port \"%s\".".formatted(edit.instance(), edit.port())));
        TerminalId plus = owner.terminal(port.plus().orElseThrow());
        TerminalId minus = owner.terminal(port.minus().orElseThrow());
        return withConductors(conductors.stream()
                .map(c -> new Conductor(
                        c.id(), c.kind(), cross(c.a(), plus, minus), cross(c.b(), plus, minus), c.ohms(), c.closed()))
                .toList());
    }

    private static TerminalId cross(TerminalId end, TerminalId plus, TerminalId minus) {
        return end.equals(plus) ? minus : end.equals(minus) ? plus : end;
    }

    private Installation bridged(Edit.Bridge edit) {
        for (TerminalId end : List.of(edit.a(), edit.b()))
            if (!terminals.containsKey(end))
                throw new IllegalArgumentException("This installation has no terminal \"%s\".".formatted(end));
        List<Conductor> all = new ArrayList<>(conductors);
        all.add(new Conductor(
                new ConductorId("bridge " + edit.a() + " to " + edit.b()),
                Conductor.Kind.BRIDGE,
                edit.a(),
                edit.b(),
                Quantity.of(Math.max(edit.ohms().value(), 0.001)),
                new Fact.Known<>(true, Provenance.of(Provenance.Origin.STATED))));
        return withConductors(all);
    }
}
