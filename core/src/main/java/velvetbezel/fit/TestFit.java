package velvetbezel.fit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import velvetbezel.sheet.fit.Obstruction;
import velvetbezel.sheet.fit.Site;

/**
 * What a fitter measures when the radio stands in the dash for the first time: mm that each edge of the face lies
 * behind the panel; before it is negative.
 *
 * @param wired how far it lies once its leads are on; empty where it was not tried
 */
public record TestFit(double left, double right, double top, double bottom, Optional<Double> wired) {
    /** Two edges that differ by no more lie alike (FIT 3.11). */
    private static final double ALIKE = 2;
    /** What is nearer than this to the radio may be what pushes it. */
    private static final double TOUCHES = 3;

    /** What explains a reading. All that do are told. */
    public sealed interface Cause {}

    /** It stands as it should. */
    public record Flush() implements Cause {}

    /** Its screws can be slid in their slots. @param by mm nearer the seat; deeper is negative */
    public record SlideInSlots(double by) implements Cause {}

    /**
     * Other holes cure it.
     *
     * @param nearer mm that it comes nearer the seat with them; deeper is negative
     * @param then   mm behind the panel then
     */
    public record OtherHoles(Brackets.HoleChoice choice, double nearer, double then) implements Cause {}

    /** No row of holes brings it nearer to flush. */
    public record NoOtherHoles() implements Cause {}

    /** One side sits in another row. @param deeper the side that lies deeper @param by mm */
    public record OneSide(Collision.Escape deeper, double by) implements Cause {}

    /** Something behind one edge pushes it out. @param by what may be it; empty: nothing that was predicted */
    public record PushedOut(Collision.Escape edge, List<String> by) implements Cause {}

    /** It comes out when it is wired: leads lie behind the chassis. */
    public record LeadsBehind(double by) implements Cause {}

    /** Whether opposite edges lie alike, so that the whole face stands too deep or too near. */
    public boolean even() {
        return Math.abs(left - right) <= ALIKE && Math.abs(top - bottom) <= ALIKE;
    }

    public double mean() {
        return (left + right + top + bottom) / 4;
    }

    /**
     * @param used    the holes it hangs in; empty where the kit describes none
     * @param removed what was taken out already
     */
    public List<Cause> explain(Site site, FitReport fit, Optional<Brackets.HoleChoice> used, Set<String> removed) {
        List<Cause> causes = new ArrayList<>();
        boolean sideways = Math.abs(left - right) > ALIKE;
        boolean upright = Math.abs(top - bottom) > ALIKE;
        if (!sideways && !upright && Math.abs(mean()) > ALIKE) causes.addAll(rows(fit, used));
        if (sideways)
            causes.add(
                    new OneSide(left > right ? Collision.Escape.LEFT : Collision.Escape.RIGHT, Math.abs(left - right)));
        if (upright) {
            Collision.Escape edge = top < bottom ? Collision.Escape.ABOVE : Collision.Escape.BELOW;
            causes.add(new PushedOut(edge, touches(site, fit, edge, removed)));
        }
        wired.filter(w -> mean() - w > ALIKE).ifPresent(w -> causes.add(new LeadsBehind(mean() - w)));
        return causes.isEmpty() ? List.of(new Flush()) : causes;
    }

    private List<Cause> rows(FitReport fit, Optional<Brackets.HoleChoice> used) {
        if (used.isEmpty()) return List.of(new NoOtherHoles());
        List<Cause> causes = new ArrayList<>();
        double mean = mean();
        if (mean > 0 ? used.get().near() >= mean : used.get().deep() >= -mean) causes.add(new SlideInSlots(mean));
        fit.holes().stream()
                .filter(h -> !h.equals(used.get()))
                .map(h -> otherHoles(h, used.get().setBack(), mean))
                .filter(o -> Math.abs(o.then()) < Math.abs(mean) - ALIKE)
                .min(Comparator.comparingDouble(o -> Math.abs(o.then())))
                .ifPresent(causes::add);
        return causes.isEmpty() ? List.of(new NoOtherHoles()) : causes;
    }

    /** The face as near to flush as the slots of another row let it. */
    private static OtherHoles otherHoles(Brackets.HoleChoice h, double usedAt, double mean) {
        double at = Math.max(h.setBack() - h.near(), Math.min(h.setBack() + h.deep(), usedAt - mean));
        return new OtherHoles(h, usedAt - at, mean + at - usedAt);
    }

    /** What was predicted to touch, or nearly, in that half of the face. */
    private static List<String> touches(Site site, FitReport fit, Collision.Escape edge, Set<String> removed) {
        double middle = fit.bodies().isEmpty()
                ? 0
                : (fit.bodies().get(0).y0() + fit.bodies().get(0).y1()) / 2;
        Set<String> at = new LinkedHashSet<>();
        Stream.concat(
                        fit.collisions().stream().map(Collision::with),
                        fit.depths().stream()
                                .filter(d -> d.slack().left().likely() <= TOUCHES)
                                .map(DepthLeft::to))
                .filter(id -> !removed.contains(id))
                .forEach(at::add);
        return site.obstructions().stream()
                .filter(o -> at.contains(o.id()))
                .filter(o -> o.pieces().stream().anyMatch(p -> reaches(p, edge, middle)))
                .map(Obstruction::id)
                .toList();
    }

    private static boolean reaches(Obstruction.Piece p, Collision.Escape edge, double middle) {
        return edge == Collision.Escape.ABOVE
                ? p.box().y1().likely() > middle
                : p.box().y0().likely() < middle;
    }
}
