package velvetbezel.match;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import velvetbezel.function.FunctionId;
import velvetbezel.sheet.Sheet;
import velvetbezel.strip.Openings;

/**
 * Something worth doing while the dash is open. The same strip-down serves it: done later, the dash comes out again.
 *
 * @param part   empty for work without a part of the library
 * @param cents  its material; empty where nobody stated its price
 * @param now    minutes it adds while the dash is open
 * @param later  minutes on another day: the same, and the dash opened and closed again
 * @param brings functions that work then and do not without it
 */
public record ExtraWork(
        String name, Optional<Sheet.Part> part, Optional<Long> cents, int now, int later, List<FunctionId> brings) {
    /**
     * Minutes beside the frame's own to take panels off and put them back, where no sheet says (starting figure, from
     * memory).
     */
    private static final int PANELS = 20;

    public ExtraWork {
        brings = List.copyOf(brings);
    }

    private record Preparation(String name, long cents, int minutes) {}

    /** Usual preparations with starting figures from memory, to be replaced by the workshop's own. */
    private static final List<Preparation> USUAL = List.of(
            new Preparation("Camera lead laid to the tailgate, ends capped", 1200, 40),
            new Preparation("Amplifier cable laid: four pairs and remote", 3500, 35),
            new Preparation("USB extension into the glove box", 900, 20),
            new Preparation("Microphone lead laid to the mirror", 800, 20),
            new Preparation("Vent or trim clip repaired", 500, 15));

    /**
     * Parts that would bring something to a kit, and what the vehicle's sheet says is worth doing meanwhile; where it
     * says nothing, the usual preparations.
     *
     * @param swaps    each part that could go into an empty place of the kit, with what becomes of the kit then
     * @param openings what opening this dash once more takes; empty where its sheet does not say how it comes apart
     */
    public static List<ExtraWork> of(Kit kit, List<RadioMatch.Swap> swaps, Market market, Optional<Openings> openings) {
        int again = openings.flatMap(Openings::again)
                .map(m -> (int) Math.round(m))
                .orElse(PANELS
                        + kit.parts().stream()
                                .filter(p -> p.holds().isPresent())
                                .mapToInt(p -> p.minutes().orElse(0))
                                .sum());
        List<ExtraWork> extras = new ArrayList<>();
        for (RadioMatch.Swap s : swaps) {
            if (s.part().isEmpty() || s.again().isEmpty() || !s.lost().isEmpty()) continue;
            int minutes = s.kit().cost().minutes() - kit.cost().minutes();
            extras.add(new ExtraWork(
                    s.part().get().name(),
                    s.part(),
                    market.cents(s.part().get()),
                    minutes,
                    minutes + again,
                    s.again()));
        }
        List<Openings.Saving> stated = openings.map(Openings::all).orElse(List.of());
        Stream<ExtraWork> meanwhile = stated.isEmpty()
                ? USUAL.stream()
                        .map(u -> new ExtraWork(
                                u.name,
                                Optional.empty(),
                                Optional.of(u.cents),
                                u.minutes,
                                u.minutes + again,
                                List.of()))
                : stated.stream().map(ExtraWork::of);
        return Stream.concat(extras.stream(), meanwhile).toList();
    }

    private static ExtraWork of(Openings.Saving s) {
        return new ExtraWork(
                s.extra().id(),
                Optional.empty(),
                Optional.empty(),
                (int) Math.round(s.adds()),
                (int) Math.round(s.alone()),
                List.of());
    }
}
