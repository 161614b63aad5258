package velvetbezel.harness;

import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import velvetbezel.sheet.InputProblem;

/**
 * Devices, terminals and conductors: the graph that runs. Immutable.
 *
 * @param faults    what is wrong with the build itself: outputs tied together
 * @param substitutes what serves where nothing gives what is wanted
 * @param settings  "instance.setting" → value where it differs from the sheet
 * @param modes     "instance.mode" → value a mode starts with where it differs
 * @param misplaced "instance.placement"
 * @param stuck     "instance.setting" of settings that no state chooses otherwise
 * @param disabled  "instance.rule" of rules that are never in force
 * @param edits     what was changed since it was built, in order; done again whenever it is built anew
 */
public record Installation(
        Recipe recipe,
        List<Instance> instances,
        Map<TerminalId, Terminal> terminals,
        List<Conductor> conductors,
        List<Joint> joints,
        List<Mating> matings,
        List<Cap> caps,
        List<InputProblem> faults,
        List<SubstituteChoice> substitutes,
        Map<String, String> settings,
        Map<String, String> modes,
        Set<String> misplaced,
        Set<String> stuck,
        Set<String> disabled,
        List<Edit> edits) {
    public Installation {
        instances = List.copyOf(instances);
        terminals = Collections.unmodifiableMap(new LinkedHashMap<>(terminals));
        conductors = List.copyOf(conductors);
        joints = List.copyOf(joints);
        matings = List.copyOf(matings);
        caps = List.copyOf(caps);
        faults = List.copyOf(faults);
        substitutes = List.copyOf(substitutes);
        settings = Map.copyOf(settings);
        modes = Map.copyOf(modes);
        misplaced = Set.copyOf(misplaced);
        stuck = Set.copyOf(stuck);
        disabled = Set.copyOf(disabled);
        edits = List.copyOf(edits);
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
        return Editing.edit(this, edit);
    }

    public Installation with(List<Edit> edits) {
        Installation result = this;
        for (Edit edit : edits) result = result.with(edit);
        return result;
    }

    Installation withConductors(List<Conductor> changed) {
        return copy(changed, settings, modes, misplaced, stuck, disabled, edits);
    }

    /** With several settings, each as its value says. */
    public Installation withSettings(Map<SettingId, String> values) {
        Installation set = this;
        for (Map.Entry<SettingId, String> e : values.entrySet())
            set = set.withSetting(e.getKey().key(), e.getValue());
        return set;
    }

    Installation withSetting(String key, String value) {
        return copy(conductors, put(settings, key, value), modes, misplaced, stuck, disabled, edits);
    }

    Installation stuck(String key, String value) {
        return copy(conductors, put(settings, key, value), modes, misplaced, with(stuck, key), disabled, edits);
    }

    Installation disabling(String rule) {
        return copy(conductors, settings, modes, misplaced, stuck, with(disabled, rule), edits);
    }

    Installation withMode(String key, String value) {
        return copy(conductors, settings, put(modes, key, value), misplaced, stuck, disabled, edits);
    }

    Installation withMisplaced(String key) {
        return copy(conductors, settings, modes, with(misplaced, key), stuck, disabled, edits);
    }

    Installation withEdits(List<Edit> done) {
        return copy(conductors, settings, modes, misplaced, stuck, disabled, done);
    }

    private Installation copy(
            List<Conductor> wires,
            Map<String, String> set,
            Map<String, String> started,
            Set<String> lying,
            Set<String> still,
            Set<String> dead,
            List<Edit> done) {
        return new Installation(
                recipe,
                instances,
                terminals,
                wires,
                joints,
                matings,
                caps,
                faults,
                substitutes,
                set,
                started,
                lying,
                still,
                dead,
                done);
    }

    private static Set<String> with(Set<String> all, String more) {
        Set<String> changed = new LinkedHashSet<>(all);
        changed.add(more);
        return changed;
    }

    private static Map<String, String> put(Map<String, String> map, String key, String value) {
        Map<String, String> changed = new HashMap<>(map);
        changed.put(key, value);
        return changed;
    }
}
