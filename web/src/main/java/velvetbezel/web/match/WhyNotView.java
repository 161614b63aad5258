package velvetbezel.web.match;

import java.util.List;
import velvetbezel.match.Matched;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.KitSearch;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Station;

/** Why each radio and part is in no kit that is in none. */
public record WhyNotView(Frame frame, List<Matched.Out> out, String back) {
    static WhyNotView of(OpenJob open, KitSearch search) {
        return new WhyNotView(
                Frame.of(open, Station.MATCH, Frame.Trouble.NONE),
                open.vehicle().isPresent() ? search.out(open) : List.of(),
                open.path(Station.MATCH));
    }
}
