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
 * @param depths     behind chassis and plugs, the least first
 * @param collisions with what has to go, or cannot
 * @param holes      screws that hold it, flush first; empty where no bracket is described
 * @param bodies     where the radio's boxes stand, by the likely measures
 * @param plane      mm by which the kit brings the finished face nearer the seat
 */
public record FitReport(
        FitVerdict verdict,
        List<FaceGap> gaps,
        List<DepthLeft> depths,
        List<Collision> collisions,
        List<Brackets.HoleChoice> holes,
        List<PlacedBody> bodies,
        double plane) {
    /** One box of the radio in the frame of the opening, in mm. */
    public record PlacedBody(String name, double x0, double x1, double y0, double y1, double z0, double z1) {}

    public FitReport {
        bodies = List.copyOf(bodies);
        gaps = List.copyOf(gaps);
        depths = List.copyOf(depths);
        collisions = List.copyOf(collisions);
        holes = List.copyOf(holes);
    }

    /** What is to be measured, what decides most first; of one length the reading that settles all that ask for it. */
    public List<Slack.Settle> asks() {
        Map<String, Slack.Settle> asks = new LinkedHashMap<>();
        Stream.of(
                        depths.stream().map(DepthLeft::slack),
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

    /** The least room behind, where anything is known of it. */
    public Optional<DepthLeft> tightest() {
        return depths.stream().findFirst();
    }
}
