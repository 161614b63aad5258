package velvetbezel.match;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToLongFunction;
import velvetbezel.function.CarFunction;
import velvetbezel.function.Expect;
import velvetbezel.run.PortRef;

/**
 * Takes a function apart where its pieces depend on fewer places than the whole: what it expects one by one, and an
 * arrival in two at a port that every way leads through. It works where all of its pieces do.
 */
final class Pieces {
    private final FunctionReach influence;
    /** Combinations of choices that would have to be known for a function. */
    private final ToLongFunction<CarFunction> size;

    Pieces(FunctionReach influence, ToLongFunction<CarFunction> size) {
        this.influence = influence;
        this.size = size;
    }

    /** The function itself where that is as well. Noise is told of all signals that are listened for, and stays whole. */
    List<CarFunction> of(CarFunction f) {
        List<CarFunction> pieces = new ArrayList<>();
        for (int step = 0; step < f.scenario().size(); step++)
            for (Expect e : f.scenario().get(step).expects()) {
                if (e instanceof Expect.Quiet) return List.of(f);
                pieces.addAll(smallest(f, step, e, pieces.size() + 1));
            }
        return sum(pieces) < size.applyAsLong(f) ? pieces : List.of(f);
    }

    private List<CarFunction> smallest(CarFunction f, int step, Expect e, int number) {
        List<List<CarFunction>> ways = new ArrayList<>();
        CarFunction whole = f.piece(step, e, number);
        ways.add(List.of(whole));
        if (e instanceof Expect.Arrives a)
            for (PortRef gate : influence.gates(whole))
                ways.add(List.of(
                        f.piece(step, new Expect.Arrives(a.signal(), gate), number),
                        f.piece(step, new Expect.Passes(a.signal(), gate, a.at()), number + 1)));
        return ways.stream().min(Comparator.comparingLong(this::sum)).orElseThrow();
    }

    private long sum(List<CarFunction> pieces) {
        return pieces.stream().mapToLong(size).sum();
    }
}
