package velvetbezel.diagnose;

import java.util.Collection;
import java.util.EnumMap;
import java.util.Map;
import velvetbezel.function.FirstUse;
import velvetbezel.harness.Installation;
import velvetbezel.run.Assumption;

/**
 * What finished jobs tell of how often things go wrong.
 *
 * @param found         faults of each kind that were found and mended, after which everything worked
 * @param opportunities things of each kind that there were to go wrong; those of the car itself count as their rate does
 */
public record FaultTally(Map<FaultKind, Double> found, Map<FaultKind, Double> opportunities) {
    public static final FaultTally NONE = new FaultTally(Map.of(), Map.of());

    public FaultTally {
        found = Map.copyOf(found);
        opportunities = Map.copyOf(opportunities);
    }

    /** @param mended what was found in this installation */
    public static FaultTally of(Installation installation, FaultRates rates, Collection<FaultKind> mended) {
        Map<FaultKind, Double> found = new EnumMap<>(FaultKind.class);
        mended.forEach(k -> found.merge(k, 1.0, Double::sum));
        Map<FaultKind, Double> opportunities = new EnumMap<>(FaultKind.class);
        FaultCatalogue.of(installation, rates, FirstUse.of(installation, Assumption.ALL_FIRST))
                .forEach(f -> opportunities.merge(f.kind(), f.ofCar() ? FaultRates.OF_CAR : 1.0, Double::sum));
        return new FaultTally(found, opportunities);
    }
}
