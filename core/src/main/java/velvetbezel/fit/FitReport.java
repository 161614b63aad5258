package velvetbezel.fit;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Everything about one radio in one dash.
 *
 * @param gaps       round the face
 * @param depths     behind chassis and plugs, the least first
 * @param collisions with what has to go, or cannot
 * @param holes      screws that hold it, flush first; empty where no bracket is described
 */
public record FitReport(
        FitVerdict verdict,
        List<FaceGap> gaps,
        List<DepthLeft> depths,
        List<Collision> collisions,
        List<Brackets.HoleChoice> holes) {
    public FitReport {
        gaps = List.copyOf(gaps);
        depths = List.copyOf(depths);
        collisions = List.copyOf(collisions);
        holes = List.copyOf(holes);
    }

    /** What is to be measured, what decides most first. */
    public List<Slack.Settle> asks() {
        return Stream.of(
                        gaps.stream().map(FaceGap::slack),
                        depths.stream().map(DepthLeft::slack),
                        collisions.stream().map(Collision::slack))
                .flatMap(s -> s)
                .filter(Slack.Open.class::isInstance)
                .flatMap(s -> ((Slack.Open) s).ask().stream())
                .distinct()
                .toList();
    }

    /** The least room behind, where anything is known of it. */
    public Optional<DepthLeft> tightest() {
        return depths.stream().findFirst();
    }
}
