package velvetbezel.web.job;

import java.time.Clock;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import velvetbezel.store.Library;

/** Makes the page of a station. */
@Service
class JobPages {
    private final JobOpener desk;
    private final KitSearch matching;
    private final Library library;
    private final Prices prices;
    private final Rates tariff;
    private final Clock clock;

    /** What a page is asked to show of its station: the check in hand, or the reading back. */
    record Look(
            Optional<String> check, boolean readingBack, MatchView.Asked match, String joint, BenchView.Asked bench) {
        /** @param query of the page's address */
        static Look of(Map<String, String> query) {
            boolean back = query.containsKey("read");
            String joint = query.getOrDefault("joint", "");
            return new Look(
                    Optional.ofNullable(query.get("check")),
                    back,
                    new MatchView.Asked(
                            query.getOrDefault("kits", ""), query.getOrDefault("radio", ""), query.containsKey("all")),
                    joint,
                    new BenchView.Asked(joint, back, query.getOrDefault("a", ""), query.getOrDefault("b", "")));
        }
    }

    /** Pages at a station's side, by the last part of their address. */
    static final String BESIDE = "bench|joint|loads";

    JobPages(JobOpener desk, KitSearch matching, Library library, Prices prices, Rates.Source tariff, Clock clock) {
        this.desk = desk;
        this.matching = matching;
        this.library = library;
        this.prices = prices;
        this.tariff = tariff.tariff();
        this.clock = clock;
    }

    Object page(OpenJob open, String path, Look look, Frame.Trouble trouble) {
        return switch (path) {
            case "bench" -> BenchView.of(open, look.bench(), trouble);
            case "joint" -> JointView.of(open, look.joint(), trouble);
            case "loads" -> LoadsView.of(open, trouble);
            default -> page(open, Station.find(path).orElseThrow(), look, trouble);
        };
    }

    private Object page(OpenJob open, Station station, Look look, Frame.Trouble trouble) {
        return switch (station) {
            case ARRIVE -> ArriveView.of(open, library.entries("vehicle"), trouble);
            case MATCH -> MatchView.of(
                    open, open.vehicle().map(v -> matching.kits(open)), matching, look.match(), trouble);
            case WIRE -> WireView.of(open, look.readingBack(), trouble);
            case PROVE -> ProveView.of(open, look.check(), trouble);
            case HAND_OVER -> HandOverView.of(open, prices, tariff, clock.instant(), trouble);
        };
    }

    OpenJob open(int number) {
        return desk.open(number);
    }
}
