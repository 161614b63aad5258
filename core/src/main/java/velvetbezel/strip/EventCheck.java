package velvetbezel.strip;

import java.util.Optional;
import velvetbezel.sheet.strip.ConnectorOf;
import velvetbezel.sheet.strip.Count;
import velvetbezel.sheet.strip.GroupOf;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.sheet.strip.ItemKind;
import velvetbezel.sheet.strip.ItemPosition;
import velvetbezel.sheet.strip.StripDown;

/**
 * Whether a step that somebody says was done can have been done to this dash at all. What is merely unwise passes: it
 * was done, and the hazard rules say so. A new car that is being recorded has no sheet yet, and everything passes.
 */
public final class EventCheck {
    private final Dash dash;

    public EventCheck(StripDown strip) {
        this.dash = new Dash(strip);
    }

    /** What was given and what was expected; empty where it can have been. */
    public Optional<String> refused(CarState car, StripStep step) {
        if (step instanceof StripStep.Loosen s) return from(s.item(), car, ItemPosition.HOME, "loosened");
        if (step instanceof StripStep.Lift s) return lift(s.item(), car);
        if (step instanceof StripStep.PutIn s) return from(s.item(), car, ItemPosition.AWAY, "put in");
        if (step instanceof StripStep.Fasten s) return from(s.item(), car, ItemPosition.LOOSE, "fastened");
        if (step instanceof StripStep.Unplug s) return plug(s.connector(), car, true);
        if (step instanceof StripStep.PlugIn s) return plug(s.connector(), car, false);
        if (step instanceof StripStep.Undo s) return undo(s.group(), s.count(), car);
        if (step instanceof StripStep.DoUp s) return fromTray(s.group(), s.count(), car, "put in");
        if (step instanceof StripStep.Spare s) return fromTray(s.group(), s.count(), car, "kept out");
        if (step instanceof StripStep.Dropped s) return fromTray(s.group(), s.count(), car, "dropped");
        if (step instanceof StripStep.DoWork s && dash.work(s.work()).isEmpty())
            return Optional.of("\"%s\" is no work of this sheet.".formatted(s.work()));
        return Optional.empty();
    }

    private Optional<String> unknown(ItemId item) {
        return Optional.of("\"%s\" is no part of this dash. Choose one of the list, or add it to the vehicle's sheet."
                .formatted(item));
    }

    private Optional<String> from(ItemId item, CarState car, ItemPosition expected, String done) {
        if (!dash.has(item)) return unknown(item);
        ItemPosition at = car.position(item);
        return at == expected
                ? Optional.empty()
                : Optional.of("%s is %s already; only what is %s can be %s."
                        .formatted(item, at.word(), expected.word(), done));
    }

    private Optional<String> lift(ItemId item, CarState car) {
        if (!dash.has(item)) return unknown(item);
        if (dash.item(item).kind() == ItemKind.LID || dash.item(item).kind() == ItemKind.FIXED)
            return Optional.of("%s stays in the car: it is a %s."
                    .formatted(item, dash.item(item).kind().word()));
        return car.position(item) == ItemPosition.AWAY
                ? Optional.of("%s is away already; it cannot be lifted a second time.".formatted(item))
                : Optional.empty();
    }

    private Optional<String> plug(ConnectorOf plug, CarState car, boolean off) {
        if (dash.connector(plug).isEmpty()) return Optional.of("\"%s\" is no plug of this dash.".formatted(plug));
        return car.off().contains(plug) == off
                ? Optional.of("%s is %s already.".formatted(plug, off ? "off" : "on"))
                : Optional.empty();
    }

    /** One more than the sheet has is found now and then; a handful more is a slip. */
    private Optional<String> undo(GroupOf group, int count, CarState car) {
        Optional<Count> stated = dash.strip().count(group);
        if (stated.isEmpty()) return Optional.of("\"%s\" is no group of fasteners of this dash.".formatted(group));
        Trays.Tray tray = car.trays().of(group);
        int out = tray.out() - tray.in() + count;
        return out > stated.get().most() + 1
                ? Optional.of("%d out of %s, which has %s. Count again; one more than stated is taken, not %d."
                        .formatted(out, group, stated.get(), out - stated.get().most()))
                : Optional.empty();
    }

    private Optional<String> fromTray(GroupOf group, int count, CarState car, String done) {
        if (dash.strip().count(group).isEmpty())
            return Optional.of("\"%s\" is no group of fasteners of this dash.".formatted(group));
        int left = car.trays().of(group).left();
        return count > left
                ? Optional.of("%d of %s %s, and %d are in the tray. Say first how many came out."
                        .formatted(count, group, done, left))
                : Optional.empty();
    }
}
