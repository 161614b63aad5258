package velvetbezel.harness;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Sheet;

/**
 * What an installation was built from.
 *
 * @param radio       empty for the factory installation
 * @param parts       by instance id
 * @param uses        how a part is used, by instance id, where it is not simply fitted
 * @param moves       leads that a person joins otherwise
 * @param settings    values decided for devices, by setting
 * @param substitutes what a person chose to serve where nothing gives what is wanted; empty to leave it unfed
 */
public record Recipe(
        Sheet.Vehicle vehicle,
        Optional<Sheet.Radio> radio,
        Map<String, Sheet.Part> parts,
        Map<String, PartUse> uses,
        Moves moves,
        Map<SettingId, String> settings,
        Map<LeadRole, Optional<LeadRole>> substitutes) {
    public Recipe {
        parts = Collections.unmodifiableMap(new LinkedHashMap<>(parts));
        uses = Map.copyOf(uses);
        settings = Collections.unmodifiableMap(new TreeMap<>(settings));
        substitutes = Map.copyOf(substitutes);
    }

    /** The vehicle as it left its maker. */
    public static Recipe factory(Sheet.Vehicle vehicle) {
        return new Recipe(vehicle, Optional.empty(), Map.of(), Map.of(), Moves.NONE, Map.of(), Map.of());
    }

    /** The vehicle with another radio and a kit of parts; the same part twice is two instances. */
    public static Recipe of(Sheet.Vehicle vehicle, Sheet.Radio radio, List<Sheet.Part> parts) {
        return new Recipe(vehicle, Optional.of(radio), named(parts), Map.of(), Moves.NONE, Map.of(), Map.of());
    }

    private static Map<String, Sheet.Part> named(List<Sheet.Part> parts) {
        Map<String, Sheet.Part> named = new LinkedHashMap<>();
        for (Sheet.Part part : parts) named.put(free(part.id(), named), part);
        return named;
    }

    private static String free(String id, Map<String, Sheet.Part> taken) {
        String name = id;
        for (int n = 2; taken.containsKey(name); n++) name = id + " #" + n;
        return name;
    }

    public PartUse use(String instance) {
        return uses.getOrDefault(instance, PartUse.FITTED);
    }

    public Recipe moving(Moves changed) {
        return new Recipe(vehicle, radio, parts, uses, changed, settings, substitutes);
    }

    public Recipe using(Map<String, PartUse> changed) {
        return new Recipe(vehicle, radio, parts, changed, moves, settings, substitutes);
    }

    public Recipe setting(Map<SettingId, String> changed) {
        return new Recipe(vehicle, radio, parts, uses, moves, changed, substitutes);
    }

    public Recipe substituting(Map<LeadRole, Optional<LeadRole>> changed) {
        return new Recipe(vehicle, radio, parts, uses, moves, settings, changed);
    }

    Recipe with(String instance, Sheet.Part part) {
        Map<String, Sheet.Part> changed = new LinkedHashMap<>(parts);
        changed.put(instance, part);
        return new Recipe(vehicle, radio, changed, uses, moves, settings, substitutes);
    }

    /** With a part more, looked at before the others. */
    Recipe inserted(Sheet.Part first) {
        if (radio.isEmpty())
            throw new IllegalArgumentException(
                    "A part is inserted into a replacement, not into the factory installation.");
        List<Sheet.Part> all = new ArrayList<>(List.of(first));
        all.addAll(parts.values());
        return new Recipe(vehicle, radio, named(all), uses, moves, settings, substitutes);
    }
}
