package velvetbezel.web.job;

import java.util.ArrayList;
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
import velvetbezel.strip.FitWorks;
import velvetbezel.strip.Openings;
import velvetbezel.strip.Planner;
import velvetbezel.strip.StripStep;
import velvetbezel.strip.Wanted;
import velvetbezel.web.shell.Say;

/**
 * The dash of a job: how its sheet says it comes apart, with what the new radio needs out of its way, what was done at it, and how it stands now.
 *
 * @param sheet  empty where the vehicle's sheet does not say
 * @param wanted what comes out
 * @param done   steps in their order
 * @param car    as it stands after them
 */
public record OpenDash(Optional<StripDown> sheet, Wanted wanted, List<DoneStep> done, CarState car) {
    static OpenDash of(OpenJob open) {
        OpenFit fit = open.fit();
        Optional<FitWorks> works = open.vehicle()
                .flatMap(Sheet.Vehicle::strip)
                .map(s -> fit.report().map(r -> FitWorks.in(s, r, fit.frame())).orElse(new FitWorks(s, Set.of())))
                .map(w -> w.mounting(fit.placed(open)));
        Optional<StripDown> strip = works.map(FitWorks::strip);
        Set<ItemId> more = works.map(FitWorks::away).orElse(Set.of());
        boolean stays = open.design()
                .flatMap(d -> d.installation().recipe().radio())
                .filter(Sheet.Radio::screen)
                .isPresent();
        List<DoneStep> done = open.state().steps();
        CarState car = CarState.CLOSED;
        for (DoneStep d : done) car = car.after(d.step());
        return new OpenDash(
                strip, wanted(open, stays, strip.map(StripDown::items).orElse(List.of()), more), done, car);
    }

    /** The radio comes out; where it stays behind a screen, it is drawn as far as its plugs. */
    static Wanted wanted(OpenJob open, boolean stays, List<DashItem> items, Set<ItemId> more) {
        Set<ItemId> away = new HashSet<>(more);
        Set<ConnectorOf> off = new HashSet<>();
        for (DashItem item : items) {
            if (item.kind() != ItemKind.RADIO) continue;
            if (!stays) away.add(item.id());
            else item.connectors().stream().filter(ItemConnector::supply).forEach(c -> off.add(c.id()));
        }
        return new Wanted(away, off, open.state().extras(), open.state().openUpSchool());
    }

    /** What the order takes for granted because nobody stated it. */
    public List<String> presumed() {
        List<String> taken = new ArrayList<>();
        if (sheet.isEmpty()) return taken;
        sheet.get().facts().lever().filter(l -> !l.manual()).ifPresent(l -> {
            if (l.battery().known().isEmpty()) taken.add(Say.it("rests.battery"));
            if (l.key().known().isEmpty()) taken.add(Say.it("rests.key"));
        });
        if (sheet.get().facts().batteries().isEmpty()) taken.add(Say.it("rests.batteries"));
        sheet.get().items().stream()
                .filter(i -> i.rests().known().isEmpty())
                .forEach(i -> taken.add(Say.it("rests.rests", i.id().name())));
        return taken;
    }

    /** What else is worth doing while it is open; empty where the sheet does not say how it comes apart. */
    public Optional<Openings> openings() {
        return sheet.map(s -> new Openings(new Planner(), s, wanted));
    }

    public List<StripStep> steps() {
        return done.stream().map(DoneStep::step).toList();
    }
}
