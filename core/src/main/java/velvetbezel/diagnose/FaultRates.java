package velvetbezel.diagnose;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Node;

/**
 * How often each kind of fault is there, per opportunity. First rates are common practice, with no source; what a workshop
 * found moves them: a gamma prior worth {@value #WEIGHT} opportunities, and never under a fifth of the first rate.
 */
public record FaultRates(Map<FaultKind, Double> rates) {
    private static final int WEIGHT = 500;
    private static final double LEAST = 0.2;
    /** What came with the car has proved itself for years (common practice, no source). */
    static final double OF_CAR = 0.25;

    public FaultRates {
        rates = Map.copyOf(rates);
    }

    /** @throws InvalidInput naming each kind that is missing or no share between 0 and 1 */
    public static FaultRates read(Object tree) {
        List<InputProblem> faults = new ArrayList<>();
        Node root = Node.root(tree, faults);
        root.only("format", "version", "note", "rates");
        Map<FaultKind, Double> rates = new EnumMap<>(FaultKind.class);
        for (FaultKind kind : FaultKind.values())
            rates.put(kind, root.at("rates").at(kind.label()).number(0, 1));
        root.at("rates").fields().forEach((name, node) -> {
            if (Arrays.stream(FaultKind.values()).noneMatch(k -> k.label().equals(name)))
                node.fault("is no kind of fault; known are %s."
                        .formatted(Arrays.stream(FaultKind.values())
                                .map(FaultKind::label)
                                .collect(Collectors.joining(", "))));
        });
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        return new FaultRates(rates);
    }

    public double of(FaultKind kind) {
        return rates.get(kind);
    }

    /** The same once jobs have told more. */
    public FaultRates learned(FaultTally jobs) {
        Map<FaultKind, Double> now = new EnumMap<>(FaultKind.class);
        rates.forEach((kind, first) -> {
            double found = jobs.found().getOrDefault(kind, 0.0);
            double rate =
                    (first * WEIGHT + found) / (WEIGHT + jobs.opportunities().getOrDefault(kind, 0.0));
            now.put(kind, Math.max(LEAST * first, rate));
        });
        return new FaultRates(now);
    }
}
