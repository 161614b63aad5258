package velvetbezel.match;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import velvetbezel.function.Catalogue;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.Sheet;

/**
 * Puts together complete kits: something that holds the radio, something that plugs into the car, an antenna that
 * fits; each once as it is, and once with every further part that keeps or brings a function.
 */
public final class Matcher {
    private Matcher() {}

    public static Matched match(Sheet.Vehicle vehicle, List<Sheet.Radio> radios, List<Sheet.Part> parts, Catalogue catalogue) { return match(Builder.factory(vehicle), vehicle, radios, parts, catalogue); }

    /**
     * @param factory what the car was when it left its maker
     * @param vehicle what it is now
     */
    public static Matched match(Installation factory, Sheet.Vehicle vehicle, List<Sheet.Radio> radios, List<Sheet.Part> parts, Catalogue catalogue) {
        List<RadioKits> found = radios.stream().map(r -> RadioKits.of(vehicle, r, parts, new Outcomes.Against(factory, catalogue))).toList();
        List<Kit> kits = found.stream().flatMap(f -> f.kits().stream()).sorted(Comparator.<Kit>comparingInt(k -> k.lost().size()).thenComparingInt(k -> k.changed().size())
            .thenComparingInt(k -> -k.gained().size()).thenComparingLong(Kit::priceCents)).toList();
        Map<String, String> why = new HashMap<>();
        for (RadioKits f : found) f.why().forEach(why::putIfAbsent);
        Reasons reasons = new Reasons(vehicle);
        List<Matched.Out> out = Stream.<Sheet>concat(radios.stream(), parts.stream()).filter(s -> kits.stream().noneMatch(k -> k.has(s.id())))
            .map(s -> new Matched.Out(s.id(), s.name(), why.getOrDefault(s.id(), reasons.of(s)))).toList();
        return new Matched(kits, out);
    }
}
