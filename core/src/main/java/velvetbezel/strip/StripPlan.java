package velvetbezel.strip;

import java.util.List;
import java.util.Optional;

/** What the planner found. */
public sealed interface StripPlan {
    /**
     * An order of steps.
     *
     * @param changes how often key, lever, brake, column, door or a clamp is moved, or a plug is put back for now
     * @param minutes of all steps, the function test with them
     */
    record Order(List<StripStep> steps, int changes, TimeRange minutes) {
        public Order {
            steps = List.copyOf(steps);
        }
    }

    /** No order has fewer changes. */
    record Least(Order order, int statesLooked) implements StripPlan {}

    /** The best that was found; no order goes below {@code atLeast} changes. */
    record BestFound(Order order, int atLeast, int statesLooked) implements StripPlan {
        /** Whether nothing is left but to prove the minutes. */
        public boolean fewestChanges() {
            return order.changes() == atLeast;
        }
    }

    /**
     * There is no order.
     *
     * @param deadEnds    pairs that exclude each other; empty where only the search says so
     * @param relaxations single demands without which there is one
     */
    record NoOrder(List<DeadEnd> deadEnds, List<Relaxation> relaxations, int statesLooked) implements StripPlan {
        public NoOrder {
            deadEnds = List.copyOf(deadEnds);
            relaxations = List.copyOf(relaxations);
        }
    }

    /** The search stopped with no order found and none excluded. */
    record NotFound(int statesLooked) implements StripPlan {}

    /** Nothing is wanted, or all is done. */
    record Nothing() implements StripPlan {}

    /**
     * Two things that exclude each other.
     *
     * @param wants   what wants power or a plug
     * @param off     plug that must be off before
     */
    record DeadEnd(Kind kind, String wants, String off) {
        public enum Kind {
            /** It wants power while an airbag plug must be open. */
            POWER_WITH_AIRBAG_OPEN,
            /** It opens by, or works with, the very plug that must be off. */
            ITS_OWN_PLUG,
            /** High voltage: not a job for this tool. */
            HIGH_VOLTAGE,
            /** They wait for each other. */
            CIRCLE
        }
    }

    /** One demand whose lifting would free the way. @param changes of the order that there would be */
    record Relaxation(Kind kind, String of, int changes) {
        public enum Kind {
            LEVER_WITHOUT_BATTERY,
            MECHANICAL_RELEASE,
            PART_RESTS,
            NO_AIRBAG_PLUG,
            FUNCTION_ELSEWHERE,
            REACHED_WHILE_LOOSE
        }
    }

    /** The order, where there is one. */
    default Optional<Order> found() {
        if (this instanceof Least l) return Optional.of(l.order());
        return this instanceof BestFound b ? Optional.of(b.order()) : Optional.empty();
    }
}
