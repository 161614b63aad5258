package velvetbezel.web.job;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import velvetbezel.job.DoneStep;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.strip.ConnectorOf;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.ItemConnector;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.sheet.strip.ItemKind;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.strip.CarState;
import velvetbezel.strip.Openings;
import velvetbezel.strip.Planner;
import velvetbezel.strip.StripStep;
import velvetbezel.strip.Wanted;

/**
 * The dash of a job: how its sheet says it comes apart, what was done at it, and how it stands now.
 *
 * @param sheet  empty where the vehicle's sheet does not say
 * @param wanted what comes out
 * @param done   steps in their order
 * @param car    as it stands after them
 */
public record OpenDash(Optional<StripDown> sheet, Wanted wanted, List<DoneStep> done, CarState car) {
    static OpenDash of(OpenJob open) {
        Optional<StripDown> strip = open.vehicle().flatMap(Sheet.Vehicle::strip);
        List<DoneStep> done = open.state().steps();
        CarState car = CarState.CLOSED;
        for (DoneStep d : done) car = car.after(d.step());
        return new OpenDash(strip, wanted(open, strip), done, car);
    }

    /** The radio comes out; where it stays behind a screen, it is drawn as far as its plugs. */
    private static Wanted wanted(OpenJob open, Optional<StripDown> strip) {
        boolean stays = open.design()
                .flatMap(d -> d.installation().recipe().radio())
                .filter(Sheet.Radio::screen)
                .isPresent();
        Set<ItemId> away = new HashSet<>();
        Set<ConnectorOf> off = new HashSet<>();
        for (DashItem item : strip.map(StripDown::items).orElse(List.of())) {
            if (item.kind() != ItemKind.RADIO) continue;
            if (!stays) away.add(item.id());
            else item.connectors().stream().filter(ItemConnector::supply).forEach(c -> off.add(c.id()));
        }
        return new Wanted(away, off, open.state().extras(), open.state().openUpSchool());
    }

    /** What else is worth doing while it is open; empty where the sheet does not say how it comes apart. */
    public Optional<Openings> openings() {
        return sheet.map(s -> new Openings(new Planner(), s, wanted));
    }

    public List<StripStep> steps() {
        return done.stream().map(DoneStep::step).toList();
    }
}
