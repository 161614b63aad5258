package velvetbezel.match;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.Sheet;

/**
 * One place of a kit: parts that go there are alternatives, one of them is chosen, or none.
 *
 * @param name what goes there, for people
 */
record Slot(String name, List<Choice> choices) {
    Slot {
        choices = List.copyOf(choices);
    }

    /** The same place without some of what could go there; where nothing may be missing, all of it stays. */
    Slot without(Predicate<Choice> idle) {
        return mayBeEmpty()
                ? new Slot(
                        name,
                        choices.stream()
                                .filter(c -> c.isEmpty() || !idle.test(c))
                                .toList())
                : this;
    }

    boolean mayBeEmpty() {
        return choices.stream().anyMatch(Choice::isEmpty);
    }

    /** Nothing to choose. */
    boolean isIdle() {
        return choices.size() == 1 && choices.get(0).isEmpty();
    }

    /** Which choice a part belongs to; −1 for none of them. */
    int choiceOf(String part) {
        for (int c = 0; c < choices.size(); c++)
            if (choices.get(c).parts.stream().anyMatch(p -> p.id().equals(part))) return c;
        return -1;
    }

    /**
     * Parts that behave alike, whatever they cost.
     *
     * @param device empty for a part without wires and for no part at all
     * @param parts  empty for the place left empty
     */
    record Choice(Optional<Device> device, List<Sheet.Part> parts) {
        static final Choice NONE = new Choice(Optional.empty(), List.of());

        Choice {
            parts = List.copyOf(parts);
        }

        boolean isEmpty() {
            return parts.isEmpty();
        }

        /** Any of them, to stand for all when an installation is built. */
        Optional<Sheet.Part> part() {
            return parts.stream().findFirst();
        }
    }
}
