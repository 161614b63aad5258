package velvetbezel.harness;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.sheet.Sheet;

/**
 * What an installation was built from.
 *
 * @param radio empty for the factory installation;
 * @param parts by instance id;
 * @param moves leads that a person joins otherwise
 */
public record Recipe(Sheet.Vehicle vehicle, Optional<Sheet.Radio> radio, Map<String, Sheet.Part> parts, Moves moves) {
    public Recipe {
        parts = Collections.unmodifiableMap(new LinkedHashMap<>(parts));
    }

    static Recipe of(Sheet.Vehicle vehicle, Sheet.Radio radio, List<Sheet.Part> parts, Moves moves) {
        Map<String, Sheet.Part> named = new LinkedHashMap<>();
        for (Sheet.Part part : parts) named.put(free(part.id(), named), part);
        return new Recipe(vehicle, Optional.of(radio), named, moves);
    }

    private static String free(String id, Map<String, Sheet.Part> taken) {
        String name = id;
        for (int n = 2; taken.containsKey(name); n++) name = id + " #" + n;
        return name;
    }

    Recipe with(String instance, Sheet.Part part) {
        Map<String, Sheet.Part> changed = new LinkedHashMap<>(parts);
        changed.put(instance, part);
        return new Recipe(vehicle, radio, changed, moves);
    }

    List<Sheet.Part> inserted(Sheet.Part first) {
        List<Sheet.Part> all = new ArrayList<>(List.of(first));
        all.addAll(parts.values());
        return all;
    }
}
