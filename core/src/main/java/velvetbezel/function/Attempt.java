package velvetbezel.function;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import velvetbezel.run.Arrival;
import velvetbezel.run.Memory;
import velvetbezel.run.Picture;
import velvetbezel.run.Run;
import velvetbezel.run.Settled;
import velvetbezel.sheet.Port;
import velvetbezel.state.VehicleState;
import velvetbezel.units.Volts;

/** One function tried on one run: every step of its scenario, and the first expectation that failed. */
public final class Attempt {
    private final CarFunction function;
    private final List<Settled> steps = new ArrayList<>();
    private int failedStep = -1;
    private Expect failed;

    Attempt(CarFunction function, Run run, Memory start) {
        this.function = function;
        VehicleState state = VehicleState.AT_REST;
        Memory memory = start;
        for (CarFunction.Scene scene : function.scenario()) {
            state = scene.set().from(state);
            Settled settled = run.in(state, memory);
            memory = settled.memory();
            steps.add(settled);
            if (failed == null)
                scene.expects().stream()
                        .filter(e -> !holds(e, settled.picture()))
                        .findFirst()
                        .ifPresent(e -> {
                            failed = e;
                            failedStep = steps.size() - 1;
                        });
        }
    }

    boolean fulfilled() {
        return failed == null;
    }

    Expect failed() {
        return failed;
    }

    int failedStep() {
        return failedStep;
    }

    Picture picture(int step) {
        return steps.get(step).picture();
    }

    List<Settled> steps() {
        return steps;
    }

    CarFunction function() {
        return function;
    }

    /** Whether an expectation is met. */
    public static boolean holds(Expect expect, Picture picture) {
        return expect.accept(new Holds(picture));
    }

    private record Holds(Picture picture) implements Expect.Visitor<Boolean> {
        @Override
        public Boolean arrives(Expect.Arrives e) {
            return picture.arrival(e.at(), e.signal()).isPresent();
        }

        @Override
        public Boolean reads(Expect.Reads e) {
            return reading(e, picture).filter(v -> v >= e.min() && v <= e.max()).isPresent();
        }

        @Override
        public Boolean inMode(Expect.InMode e) {
            return e.is().equals(picture.modes().get(e.instance() + "." + e.mode()));
        }

        @Override
        public Boolean shows(Expect.Shows e) {
            return picture.shows().contains(e.instance() + ":" + e.what());
        }

        @Override
        public Boolean passes(Expect.Passes e) {
            return picture.passes(e.signal(), e.from(), e.at());
        }

        @Override
        public Boolean quiet(Expect.Quiet e) {
            return Attempt.quiet(e, picture);
        }

        @Override
        public Boolean not(Expect.Not e) {
            return !e.expect().accept(this);
        }

        @Override
        public Boolean any(Expect.Any e) {
            return e.expects().stream().anyMatch(x -> x.accept(this));
        }
    }

    static Optional<Double> reading(Expect.Reads e, Picture picture) {
        return e.unit() == Expect.Reads.Unit.AMPS
                ? Optional.of(picture.ampsAt(e.at()).value())
                : picture.at(Paths.resolve(picture.installation(), e.at()))
                        .reading()
                        .map(Volts::value);
    }

    private static boolean quiet(Expect.Quiet e, Picture picture) {
        Optional<Volts> limit = picture.installation()
                .instance(e.at().instance())
                .flatMap(i -> i.device().ports().stream()
                        .filter(p -> p.id().equals(e.at().port()))
                        .findFirst())
                .flatMap(Port::quiet);
        return picture.arrivals(e.at()).stream()
                .map(Arrival::noise)
                .allMatch(n -> limit.isEmpty() || n.compareTo(limit.get()) <= 0);
    }
}
