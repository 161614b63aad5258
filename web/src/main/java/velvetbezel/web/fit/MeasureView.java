package velvetbezel.web.fit;

import java.util.List;
import java.util.Optional;
import velvetbezel.fit.FitReport;
import velvetbezel.fit.FitVerdict;
import velvetbezel.fit.Slack;
import velvetbezel.job.Entry;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.fit.Length;
import velvetbezel.sheet.fit.Site;
import velvetbezel.store.JobCodec;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Say;

/**
 * One number at a time, the one that decides most first, until the verdict is settled.
 *
 * @param ask      what to measure next; empty where nothing is left, or nothing can be measured yet
 * @param measured what was measured on this car
 */
record MeasureView(Frame frame, String heading, Optional<Ask> ask, List<String> measured) {
    /**
     * @param picture which picture shows where the ruler lies: "width", "height", "depth" or "box"
     * @param settles which readings decide; an empty text where none does alone
     */
    public record Ask(String what, String settles, String picture, String field, String value) {}

    static MeasureView of(OpenJob open, Frame.Trouble trouble) {
        Frame frame = Frame.of(open, Station.FIT, trouble);
        if (open.vehicle().isEmpty())
            return new MeasureView(frame, Say.it("heading.no.car"), Optional.empty(), List.of());
        Sheet.Vehicle car = open.vehicle().get();
        Optional<FitReport> report = open.fit().report();
        String heading = report.map(FitView::heading)
                .orElseGet(() -> Say.it(car.site().isEmpty() ? "heading.no.site" : "measure.no.radio"));
        Optional<Ask> ask = basic(open, car).or(() -> report.filter(r -> r.verdict() != FitVerdict.DOES_NOT_GO_IN)
                .flatMap(r -> decides(open, car, r)));
        return new MeasureView(frame, heading, ask, measured(open, car));
    }

    /** Width, height and depth come first, whatever the radio. */
    private static Optional<Ask> basic(OpenJob open, Sheet.Vehicle car) {
        Optional<Site> site = car.site();
        if (unknown(site.map(Site::width))) return Optional.of(ask(open, car, "opening.w", "width"));
        if (unknown(site.map(Site::height))) return Optional.of(ask(open, car, "opening.h", "height"));
        boolean noDepth = site.orElseThrow().assumedBands()
                && site.get().bands().get(0).depth().missing();
        return noDepth ? Optional.of(ask(open, car, "depth", "depth")) : Optional.empty();
    }

    private static boolean unknown(Optional<Length> length) {
        return length.map(Length::missing).orElse(true);
    }

    private static Ask ask(OpenJob open, Sheet.Vehicle car, String path, String picture) {
        return ask(open, new FieldRef(car.id(), "site." + path), picture, "");
    }

    private static Ask ask(OpenJob open, FieldRef field, String picture, String settles) {
        Entry.FactSettled entry = new Entry.FactSettled(field);
        return new Ask(
                Say.it("measure." + picture, FitWords.what(field.path())),
                settles,
                picture,
                JobCodec.key(entry),
                open.text(entry));
    }

    private static Optional<Ask> decides(OpenJob open, Sheet.Vehicle car, FitReport report) {
        return report.asks().stream()
                .filter(a -> a.measure().sheet().equals(car.id()))
                .findFirst()
                .map(a -> ask(open, a.measure(), picture(a), FitView.ask(a)));
    }

    private static String picture(Slack.Settle ask) {
        String path = ask.measure().path();
        if (path.endsWith("depth")) return "depth";
        if (path.endsWith("opening.w")) return "width";
        return path.endsWith("opening.h") ? "height" : "box";
    }

    private static List<String> measured(OpenJob open, Sheet.Vehicle car) {
        return open.state().settled(car.id()).entrySet().stream()
                .filter(e -> e.getKey().startsWith("site."))
                .map(e -> Say.it("measure.was", FitWords.what(e.getKey()), e.getValue()))
                .toList();
    }
}
