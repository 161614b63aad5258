package velvetbezel.match;

import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import velvetbezel.function.FunctionId;

/**
 * What a customer asks of a kit.
 *
 * @param musts  never given up
 * @param wanted weighs three times a function that nobody spoke of (common practice, no source)
 * @param budget most that radio and parts may cost, in hundredths of the currency
 */
public record Wishes(Set<FunctionId> musts, Set<FunctionId> wanted, Optional<Long> budget) {
    public static final Wishes NONE = new Wishes(Set.of(), Set.of(), Optional.empty());
    private static final int WANTED = 3;

    public Wishes {
        musts = Set.copyOf(musts);
        wanted = Set.copyOf(wanted);
    }

    /** The same with nothing that must stay and no budget; what must stay counts as wanted. */
    Wishes withoutMusts() {
        Set<FunctionId> all = new HashSet<>(wanted);
        all.addAll(musts);
        return new Wishes(Set.of(), all, Optional.empty());
    }

    /** What it weighs that a function does not work: a gain that nobody wishes weighs nothing. */
    public int weight(FunctionId function, boolean had) {
        if (musts.contains(function) || wanted.contains(function)) return WANTED;
        return had ? 1 : 0;
    }
}
