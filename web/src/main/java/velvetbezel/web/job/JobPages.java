package velvetbezel.web.job;

import java.time.Clock;
import java.util.Optional;
import org.springframework.stereotype.Service;
import velvetbezel.store.Library;

/** Makes the page of a station. */
@Service
class JobPages {
    private final Desk desk;
    private final Matching matching;
    private final Library library;
    private final Clock clock;

    /** What a page is asked to show of its station: the check in hand, or the reading back. */
    record Look(Optional<String> check, boolean readingBack, MatchView.Asked match) {}

    JobPages(Desk desk, Matching matching, Library library, Clock clock) {
        this.desk = desk;
        this.matching = matching;
        this.library = library;
        this.clock = clock;
    }

    Object page(OpenJob open, Station station, Look look, Frame.Trouble trouble) {
        return switch (station) {
            case ARRIVE -> ArriveView.of(open, library.entries("vehicle"), trouble);
            case MATCH -> MatchView.of(open, open.vehicle().map(v -> matching.kits(open)), matching, look.match(), trouble);
            case WIRE -> WireView.of(open, look.readingBack(), trouble);
            case PROVE -> ProveView.of(open, look.check(), trouble);
            case HAND_OVER -> HandOverView.of(open, clock.instant(), trouble);
        };
    }

    OpenJob open(int number) { return desk.open(number); }
}
