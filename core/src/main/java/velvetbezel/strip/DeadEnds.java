package velvetbezel.strip;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import velvetbezel.sheet.strip.Circuit;
import velvetbezel.sheet.strip.ConnectorOf;
import velvetbezel.sheet.strip.ItemConnector;
import velvetbezel.sheet.strip.Lever;
import velvetbezel.state.StateField;

/**
 * Ends that are seen without a search: something wants power, or a plug, behind a part that is only out of the way with
 * an airbag plug, or that very plug, off.
 */
final class DeadEnds {
    private final Tasks tasks;
    private final List<StripPlan.DeadEnd> found = new ArrayList<>();

    private DeadEnds(Tasks tasks) {
        this.tasks = tasks;
    }

    static List<StripPlan.DeadEnd> of(Tasks tasks) {
        DeadEnds ends = new DeadEnds(tasks);
        if (!tasks.circle().isEmpty()) {
            String circle = String.join(
                    ", ", tasks.circle().stream().map(Task::toString).toList());
            return List.of(new StripPlan.DeadEnd(StripPlan.DeadEnd.Kind.CIRCLE, circle, ""));
        }
        for (ConnectorOf c : tasks.needed().off())
            ends.plug(tasks.dash.connector(c).orElseThrow());
        return List.copyOf(ends.found);
    }

    private void plug(ItemConnector c) {
        int unplug = tasks.number(c.id(), Task.Kind.UNPLUG);
        if (c.circuit() == Circuit.HIGH_VOLTAGE && !tasks.start.off().contains(c.id()))
            put(StripPlan.DeadEnd.Kind.HIGH_VOLTAGE, c.id().item().name(), c);
        int lift = tasks.number(c.id().item(), Task.Kind.LIFT);
        int plugIn = tasks.number(c.id(), Task.Kind.PLUG_IN);
        if (unplug < 0 || lift < 0) return;
        for (Task t : tasks.all()) {
            long[] first = tasks.ancestors(t.number());
            // put back for now it would be in the way again
            boolean off = Bits.has(tasks.before(t.number()), lift) && !(plugIn >= 0 && Bits.has(first, plugIn));
            if (!off || Bits.has(tasks.startDone(), t.number())) continue;
            if (c.circuit() == Circuit.AIRBAG && wantsPower(t))
                put(StripPlan.DeadEnd.Kind.POWER_WITH_AIRBAG_OPEN, t.toString(), c);
            else if (uses(t, c)) put(StripPlan.DeadEnd.Kind.ITS_OWN_PLUG, t.toString(), c);
        }
    }

    private void put(StripPlan.DeadEnd.Kind kind, String wants, ItemConnector off) {
        found.add(new StripPlan.DeadEnd(kind, wants, off.id().toString()));
    }

    private boolean wantsPower(Task t) {
        boolean works = t.kind() == Task.Kind.WORK || t.kind() == Task.Kind.LOOSEN;
        if (!works) return false;
        boolean on = t.demands().getOrDefault(StateField.BATTERY, Set.of()).contains(CarState.ON);
        return on
                || movesLever(t)
                        && tasks.dash.lever().filter(Lever::needsBattery).isPresent();
    }

    /** Whether the lever has to move for it after the key was off: a key at off wants it in park. */
    private boolean movesLever(Task t) {
        return t.demands().containsKey(StateField.GEAR)
                && !t.demands().get(StateField.GEAR).contains(CarState.PARK)
                && tasks.dash
                        .lever()
                        .filter(l -> !l.manual() && l.release().isEmpty())
                        .isPresent();
    }

    private boolean uses(Task t, ItemConnector c) {
        if (t.kind() == Task.Kind.WORK)
            return tasks.dash.work(t.work()).orElseThrow().plugged().contains(c.id());
        if (t.kind() != Task.Kind.LOOSEN) return false;
        boolean lever = c.gives().contains(ItemConnector.LEVER) && movesLever(t);
        return lever || tasks.dash.item(t.item()).uses().stream().anyMatch(c.gives()::contains);
    }
}
