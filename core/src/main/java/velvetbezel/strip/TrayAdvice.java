package velvetbezel.strip;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import velvetbezel.sheet.strip.Count;
import velvetbezel.sheet.strip.FastenerGroup;
import velvetbezel.sheet.strip.GroupOf;
import velvetbezel.sheet.strip.ItemPosition;
import velvetbezel.sheet.strip.StripDown;

/** Where a fastener that is left over belongs, and where one that is missing may have gone. */
public final class TrayAdvice {
    private final Dash dash;
    private final CarState car;
    private final List<StripStep> steps;

    /** @param steps done so far, which led to {@code car} */
    public TrayAdvice(StripDown strip, CarState car, List<StripStep> steps) {
        this.dash = new Dash(strip);
        this.car = car;
        this.steps = List.copyOf(steps);
    }

    /** One group's count. @param spare stays out as planned */
    public record Line(GroupOf group, String tool, Trays.Tray tray, boolean closed) {}

    /** Every group that was opened, those with fasteners left first. */
    public List<Line> lines() {
        return car.trays().groups().entrySet().stream()
                .map(e -> new Line(
                        e.getKey(),
                        tool(e.getKey()),
                        e.getValue(),
                        car.position(e.getKey().item()) == ItemPosition.HOME))
                .sorted(Comparator.<Line, Boolean>comparing(l -> l.tray().left() == 0)
                        .thenComparing(Line::group))
                .toList();
    }

    private String tool(GroupOf group) {
        return group.name().equals(GroupOf.CLIPS)
                ? Tools.TRIM
                : dash.group(group).map(FastenerGroup::tool).orElse("");
    }

    /** Groups of parts that were closed with fasteners left over, the one closed last first. */
    public List<GroupOf> leftOver() {
        List<GroupOf> left = new ArrayList<>();
        for (int i = steps.size() - 1; i >= 0; i--)
            if (steps.get(i) instanceof StripStep.Fasten f && dash.has(f.item()))
                for (GroupOf g : dash.item(f.item()).groups())
                    if (car.trays().of(g).left() > 0 && !left.contains(g)) left.add(g);
        return left;
    }

    /**
     * Where a fastener in the hand belongs: groups of this drive with some left, the one closed last first; then parts
     * that were closed without being counted. Empty: from the kit.
     */
    public List<GroupOf> inHand(String tool) {
        List<GroupOf> fit = new ArrayList<>();
        for (GroupOf g : leftOver()) if (turns(g, tool)) fit.add(g);
        car.trays().groups().forEach((g, tray) -> {
            if (tray.left() > 0 && turns(g, tool) && !fit.contains(g)) fit.add(g);
        });
        for (GroupOf g : uncounted()) if (turns(g, tool) && !fit.contains(g)) fit.add(g);
        return fit;
    }

    private boolean turns(GroupOf group, String tool) {
        return dash.group(group).stream().flatMap(g -> g.drives().stream()).anyMatch(d -> d.words()
                .equals(tool));
    }

    /** Groups of parts that were opened and closed again without a count. */
    private List<GroupOf> uncounted() {
        List<GroupOf> groups = new ArrayList<>();
        for (int i = steps.size() - 1; i >= 0; i--)
            if (steps.get(i) instanceof StripStep.Fasten f && dash.has(f.item()))
                for (GroupOf g : dash.item(f.item()).groups())
                    if (car.trays().of(g).out() == 0 && !groups.contains(g)) groups.add(g);
        return groups;
    }

    /** Why a fastener of a group is missing. */
    public enum Missing {
        /** Fewer were counted out than the sheet has. */
        NOT_COUNTED_OUT,
        /** It may drop when it comes free. */
        DROPPED,
        LOST
    }

    /** @param step number of the step at which it was last seen, from 0 */
    public record Gone(GroupOf group, Missing why, int step) {}

    /** Where a fastener of a group may have gone that is not there when the part is closed. */
    public Optional<Gone> missing(GroupOf group) {
        int at = -1;
        for (int i = 0; i < steps.size(); i++)
            if (steps.get(i) instanceof StripStep.Undo u && u.group().equals(group)) at = i;
        if (at < 0) return Optional.empty();
        int stated = dash.strip().count(group).map(Count::least).orElse(0);
        boolean fewer = car.trays().of(group).out() < stated;
        boolean drops = dash.group(group).filter(FastenerGroup::mayDrop).isPresent();
        return Optional.of(
                new Gone(group, fewer ? Missing.NOT_COUNTED_OUT : drops ? Missing.DROPPED : Missing.LOST, at));
    }
}
