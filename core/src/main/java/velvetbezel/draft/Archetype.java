package velvetbezel.draft;

import java.util.List;
import java.util.Map;

/**
 * What a standard device does, or a piece of a radio or part: taken where all its words hold.
 *
 * @param text     in words, with ${names} of its parameters
 * @param adds     of a car: devices and wires; of a radio or part: leads, plugs, ports, rules and the rest of a device
 * @param to       of a car: entries role, to: where the wire of each role goes
 * @param radio    of a car: what the factory radio has for it
 * @param names    entries role, name: what rules call the terminal of a role; at "on", the device (else the radio)
 */
public record Archetype(
        String id,
        String text,
        List<Word> when,
        List<Param> params,
        Map<String, Object> adds,
        List<?> to,
        Map<String, Object> radio,
        List<?> names) {
    public Archetype {
        when = List.copyOf(when);
        params = List.copyOf(params);
        to = List.copyOf(to);
        names = List.copyOf(names);
    }

    /** Its text with the numbers that were typed, or are assumed, in the places of their names. */
    public String words(Map<String, Object> typed) {
        String words = text;
        for (Param p : params)
            words = words.replace(
                    "${" + p.name() + "}",
                    Template.text(typed.getOrDefault(p.name(), p.start() == null ? "…" : p.start())));
        return words;
    }

    /**
     * A number or words that may be typed.
     *
     * @param start what holds until somebody types it; shown as assumed
     */
    public record Param(String name, Object start, String unit) {}
}
