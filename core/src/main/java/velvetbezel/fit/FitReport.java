package velvetbezel.fit;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;

/**
 * Everything about one radio in one dash.
 *
 * @param gaps       round the face
 * @param depths     behind chassis and plugs, the least first; of a screen before the panel also before it
 * @param walls      beside chassis and plugs
 * @param collisions with what has to go, or cannot
 * @param neighbours what a hand must reach beside the face
 * @param fingers    room for a hand at the radio's own slots
 * @param correction what earlier fittings with this kit teach; empty where there was none
 * @param holes      screws that hold it, flush first; empty where no bracket is described
 * @param taken      the row it stands in; empty as well
 * @param planeUnknown whether nobody knows where the slots are measured from: rows are known against each other only
 * @param shift      mm by which it stands deeper than its slots say, as far as known
 * @param bodies     where the radio's boxes stand, by the likely measures
 * @param plane      mm by which the kit brings the finished face nearer the seat
 */
public record FitReport(
        FitVerdict verdict,
        List<FaceGap> gaps,
        List<DepthLeft> depths,
        List<WallLeft> walls,
        List<Collision> collisions,
        List<Neighbour> neighbours,
        List<FingerLeft> fingers,
        Optional<Correction> correction,
        List<Brackets.HoleChoice> holes,
        Optional<Brackets.HoleChoice> taken,
        boolean planeUnknown,
        double shift,
        List<PlacedBody> bodies,
        double plane) {
    /** One box of the radio in the frame of the opening, in mm. */
    public record PlacedBody(String name, double x0, double x1, double y0, double y1, double z0, double z1) {}

    public FitReport {
        bodies = List.copyOf(bodies);
        gaps = List.copyOf(gaps);
        depths = List.copyOf(depths);
        walls = List.copyOf(walls);
        neighbours = List.copyOf(neighbours);
        fingers = List.copyOf(fingers);
        collisions = List.copyOf(collisions);
        holes = List.copyOf(holes);
    }

    /** What is to be measured, what decides most first; of one length the reading that settles all that ask for it. */
    public List<Slack.Settle> asks() {
        Map<String, Slack.Settle> asks = new LinkedHashMap<>();
        Stream.of(
                        depths.stream().map(DepthLeft::slack),
                        walls.stream().map(WallLeft::slack),
                        neighbours.stream().map(Neighbour::slack),
                        collisions.stream().map(Collision::slack),
                        gaps.stream().map(FaceGap::slack))
                .flatMap(s -> s)
                .filter(Slack.Open.class::isInstance)
                .flatMap(s -> ((Slack.Open) s).ask().stream())
                .forEach(a -> asks.merge(a.measure() + " " + a.atLeast(), a, FitReport::both));
        return List.copyOf(asks.values());
    }

    private static Slack.Settle both(Slack.Settle a, Slack.Settle b) {
        double fits = a.atLeast() ? Math.max(a.fits(), b.fits()) : Math.min(a.fits(), b.fits());
        DoubleStream fails = DoubleStream.concat(a.fails().stream(), b.fails().stream());
        return new Slack.Settle(
                a.measure(),
                a.atLeast(),
                fits,
                a.atLeast() ? fails.max() : fails.min(),
                a.also().isEmpty() ? b.also() : a.also());
    }

    /** Where the slots alone put the face: what a record of this fitting keeps. */
    public double computed() {
        return taken.map(Brackets.HoleChoice::setBack).orElse(0.0) - (taken.isPresent() ? shift : 0);
    }

    /** The least room behind, where anything is known of it. */
    public Optional<DepthLeft> tightest() {
        return depths.stream().findFirst();
    }
}
