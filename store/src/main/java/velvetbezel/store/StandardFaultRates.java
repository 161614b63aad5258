package velvetbezel.store;

import velvetbezel.diagnose.FaultRates;

/** First rates of faults, as they ship with the program. */
public final class StandardFaultRates {
    private static final FaultRates RATES = FaultRates.read(Shipped.tree("faults.json"));

    private StandardFaultRates() {}

    public static FaultRates all() {
        return RATES;
    }
}
