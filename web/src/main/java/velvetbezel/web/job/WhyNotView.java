package velvetbezel.web.job;

import java.util.List;
import velvetbezel.match.Matched;

/** Why each radio and part is in no kit that is in none. */
public record WhyNotView(Frame frame, List<Matched.Out> out, String back) {
    static WhyNotView of(OpenJob open, KitSearch matching) {
        return new WhyNotView(
                Frame.of(open, Station.MATCH, Frame.Trouble.NONE),
                open.vehicle().isPresent() ? matching.out(open) : List.of(),
                open.path(Station.MATCH));
    }
}
