package velvetbezel.strip;

import velvetbezel.sheet.strip.ConnectorOf;
import velvetbezel.sheet.strip.GroupOf;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.state.StateField;

/** One step of taking a dash apart or putting it together. */
public sealed interface StripStep {
    /** Whether it closes the dash for good: what is tried before is tried now or never. */
    default boolean closes() {
        return this instanceof PutIn p && !p.forNow() || this instanceof Fasten || this instanceof DoUp;
    }

    /** How the lever is moved. */
    enum By {
        HAND,
        /** Its mechanical release. */
        RELEASE
    }

    /**
     * Something of the vehicle is set.
     *
     * @param footBrake whether a foot holds the brake meanwhile
     */
    record SetState(StateField field, String to, boolean footBrake, By by) implements StripStep {
        public SetState(StateField field, String to) {
            this(field, to, false, By.HAND);
        }
    }

    record Undo(GroupOf group, int count) implements StripStep {}

    record Loosen(ItemId item) implements StripStep {}

    record Unplug(ConnectorOf connector) implements StripStep {}

    record Lift(ItemId item) implements StripStep {}

    /** What is to go in takes the place of what came out, at the bench or in the hand. */
    record Exchange() implements StripStep {}

    /** A part that was away is put in, loosely. @param forNow only so that power can be used once more */
    record PutIn(ItemId item, boolean forNow) implements StripStep {}

    record PlugIn(ConnectorOf connector, boolean forNow) implements StripStep {}

    record DoUp(GroupOf group, int count) implements StripStep {}

    record Fasten(ItemId item) implements StripStep {}

    /** @param work its id on the sheet */
    record DoWork(String work) implements StripStep {}

    record FunctionTest() implements StripStep {}

    /** A lead of the car is cut or stripped. */
    record CutLead(String lead) implements StripStep {}

    /** Fasteners that stay out as was planned, or that the kit does not need. */
    record Spare(GroupOf group, int count) implements StripStep {}

    record Dropped(GroupOf group, int count) implements StripStep {}

    record Noted(String text) implements StripStep {}

    /** Everything is done and the car goes back. */
    record End() implements StripStep {}
}
