package velvetbezel.match;

import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import velvetbezel.sheet.Sheet;

/** What a kit must have, unless car and radio do without. */
public enum KitNeed {
    DASH_KIT("dash kit", Set.of(Filling.By.OWN, Filling.By.MADE, Filling.By.NONE)),
    /** None is no answer here: the radio would not be fed. */
    HARNESS("harness", Set.of(Filling.By.OWN, Filling.By.MADE, Filling.By.HARD_WIRED)),
    ANTENNA_ADAPTER("antenna adapter", Set.of(Filling.By.OWN, Filling.By.MADE, Filling.By.NONE));

    private final String label;
    private final Set<Filling.By> ways;

    KitNeed(String label, Set<Filling.By> ways) {
        this.label = label;
        this.ways = ways;
    }

    public String label() {
        return label;
    }

    public boolean allows(Filling.By way) {
        return ways.contains(way);
    }

    /** The need that a part of this kind fills; empty for one that nobody must have. */
    public static Optional<KitNeed> of(Sheet.Part part) {
        if (part.holds().isPresent()) return Optional.of(DASH_KIT);
        return switch (part.kind()) {
            case VEHICLE_HARNESS_ADAPTER, PASS_THROUGH_HARNESS -> Optional.of(HARNESS);
            case ANTENNA_ADAPTER -> Optional.of(ANTENNA_ADAPTER);
            default -> Optional.empty();
        };
    }

    public static Optional<KitNeed> find(String label) {
        return Arrays.stream(values()).filter(n -> n.label.equals(label)).findFirst();
    }
}
