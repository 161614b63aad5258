package velvetbezel.match;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import velvetbezel.harness.PartUse;
import velvetbezel.harness.Use;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Sheet;

/**
 * What a job decided of its kit beforehand.
 *
 * @param filled needs that are filled without buying a part; the rest is bought
 * @param also   kinds of part that every kit has, although no function asks for one: an added amplifier
 */
public record KitDecisions(Map<KitNeed, Filling> filled, Set<PartKind> also) {
    public static final KitDecisions NONE = new KitDecisions(Map.of(), Set.of());

    public KitDecisions {
        filled = Map.copyOf(filled);
        also = Set.copyOf(also);
    }

    Optional<Filling> of(KitNeed need) {
        return Optional.ofNullable(filled.get(need));
    }

    private boolean hardWired() {
        return of(KitNeed.HARNESS).filter(f -> f.by() == Filling.By.HARD_WIRED).isPresent();
    }

    /** The car as it is wired to: with its plugs cut off where the radio is hard-wired. */
    public Sheet.Vehicle in(Sheet.Vehicle vehicle) {
        return hardWired() ? cutOff(vehicle) : vehicle;
    }

    /** A car with the plugs cut off that a harness adapter would join. */
    public static Sheet.Vehicle cutOff(Sheet.Vehicle vehicle) {
        return StandIns.cutOff(vehicle);
    }

    /** Wires that were cut so. */
    public static int cuts(Sheet.Vehicle cutOff) {
        return StandIns.cuts(cutOff);
    }

    /**
     * What fills a need, as a part of its own.
     *
     * @param vehicle as {@link #in} made it
     * @return empty where the need is bought for, where this car and radio do not have it, and where none is wanted
     */
    Optional<Sheet.Part> part(Sheet.Vehicle vehicle, Sheet.Radio radio, KitNeed need) {
        return of(need).filter(f -> f.by() != Filling.By.NONE).flatMap(f -> new StandIns(vehicle, radio).of(need, f));
    }

    /** Whether a need is filled, if only by wanting nothing; a screen beside the factory radio takes no cut plug. */
    boolean fill(Sheet.Vehicle vehicle, Sheet.Radio radio, Slots.Need need) {
        return need.mayBeEmpty()
                || of(need.kind()).filter(f -> f.by() == Filling.By.NONE).isPresent()
                || part(vehicle, radio, need.kind()).isPresent();
    }

    /** A kit's parts with what fills its needs in the place of what would be bought for them. */
    public List<Sheet.Part> applied(Sheet.Vehicle vehicle, Sheet.Radio radio, List<Sheet.Part> bought) {
        List<Sheet.Part> parts = new ArrayList<>(bought);
        for (Slots.Need need : Slots.needs(vehicle, radio))
            if (of(need.kind()).isPresent()) {
                parts.removeIf(need.fits());
                part(vehicle, radio, need.kind()).ifPresent(parts::add);
            }
        return parts;
    }

    /** How these parts are used, by the id under which they are in a kit. */
    public Map<String, PartUse> uses() {
        Map<String, PartUse> uses = new HashMap<>();
        filled.forEach(
                (need, f) -> uses.put(StandIns.id(need), PartUse.of(f.by() == Filling.By.OWN ? Use.OWN : Use.MADE)));
        return uses;
    }

    /** Whether a part of a kit is no sheet of the library but fills a need without being bought. */
    public static Optional<KitNeed> standsIn(String part) {
        for (KitNeed need : KitNeed.values()) if (StandIns.id(need).equals(part)) return Optional.of(need);
        return Optional.empty();
    }
}
