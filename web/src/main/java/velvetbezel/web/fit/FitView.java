package velvetbezel.web.fit;

import static velvetbezel.web.fit.FitWords.code;
import static velvetbezel.web.fit.FitWords.mm;
import static velvetbezel.web.fit.FitWords.what;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.drawing.FitDrawing;
import velvetbezel.fit.Collision;
import velvetbezel.fit.DepthLeft;
import velvetbezel.fit.FaceGap;
import velvetbezel.fit.FingerLeft;
import velvetbezel.fit.FitReport;
import velvetbezel.fit.FitVerdict;
import velvetbezel.fit.Neighbour;
import velvetbezel.fit.Range;
import velvetbezel.fit.Remedy;
import velvetbezel.fit.Room;
import velvetbezel.fit.Slack;
import velvetbezel.fit.SmallSums;
import velvetbezel.fit.WallLeft;
import velvetbezel.job.Entry;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.sheet.fit.Site;
import velvetbezel.store.JobCodec;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenFit;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/**
 * Fit at the counter: the verdict, the drawing, what goes, what to measure, which holes.
 *
 * @param goes what has to go or stays in the way
 * @param measurable whether a number is missing that a person can measure
 * @param asks measurements that settle it, what decides most first
 * @param work   what is done; empty where nothing was computed
 * @param places where antennas, microphones, sockets and modules go
 * @param rests  what the answer rests on
 */
public record FitView(
        Frame frame,
        String heading,
        String verdict,
        boolean measurable,
        List<FitDrawing> drawings,
        List<Line> goes,
        List<Ask> asks,
        List<Line> room,
        Optional<FitWork> work,
        List<PlaceLine> places,
        List<Measured> sheets,
        List<String> rests) {
    /** A sheet with measures. */
    public record Measured(String id, String name) {}

    /** @param mark wrong, open or settled */
    public record Line(String mark, String text) {}

    /** @param field of the job that the reading goes into; an empty text where the sheet is to be changed */
    public record Ask(String text, String field, String value) {}

    static FitView of(OpenJob open, Frame.Trouble trouble) {
        Frame frame = Frame.of(open, Station.FIT, trouble);
        OpenFit fit = open.fit();
        if (fit.report().isEmpty()) {
            String lacks = open.vehicle().isEmpty()
                    ? "no.car"
                    : open.design().isEmpty() ? "no.kit" : fit.site().isEmpty() ? "no.site" : "no.body";
            return new FitView(
                    frame,
                    Say.it("heading." + lacks),
                    Say.it("verdict." + lacks),
                    lacks.equals("no.site"),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    Optional.empty(),
                    List.of(),
                    sheets(open, fit),
                    List.of());
        }
        FitReport report = fit.report().get();
        Site site = fit.site().orElseThrow();
        Optional<Room> room = fit.room(open);
        return new FitView(
                frame,
                heading(report),
                verdict(report),
                !asks(open, report).isEmpty(),
                FitDrawing.of(site, report, stowed(room)),
                goes(report),
                asks(open, report),
                room(report),
                Optional.of(FitWork.of(open, fit, room)),
                PlaceLine.of(open, fit.places(open)),
                sheets(open, fit),
                rests(site, fit.frame()));
    }

    /** Where modules lie, foam counted. */
    private static List<FitReport.PlacedBody> stowed(Optional<Room> room) {
        return room.stream()
                .flatMap(r -> r.modules().stream())
                .flatMap(m -> m.at().stream())
                .toList();
    }

    static String heading(FitReport report) {
        String gone = report.collisions().stream()
                .filter(c -> c.certain() && !c.insertOfKit())
                .map(Collision::with)
                .distinct()
                .collect(Collectors.joining(" and "));
        return Say.it("heading." + code(report.verdict()), gone);
    }

    private static String verdict(FitReport report) {
        return report.tightest()
                .map(d -> {
                    Range left = d.slack().left();
                    if (d.nearer()) return Say.it("verdict.before", mm(left.likely()), d.body(), d.to());
                    return left.likely() >= 0
                            ? Say.it(
                                    "verdict.left",
                                    mm(left.likely()),
                                    d.body(),
                                    d.to(),
                                    mm(left.least()),
                                    mm(left.most()))
                            : Say.it("verdict.deep", mm(-left.likely()), d.body(), d.to());
                })
                .orElse("");
    }

    private static String state(Slack slack) {
        return slack instanceof Slack.Clear ? "clear" : slack instanceof Slack.Short ? "short" : "open";
    }

    private static String mark(Slack slack) {
        return slack instanceof Slack.Clear ? "settled" : slack instanceof Slack.Short ? "wrong" : "open";
    }

    private static List<Line> room(FitReport report) {
        List<Line> lines = new ArrayList<>();
        for (FaceGap g : report.gaps()) {
            Range left = g.slack().left();
            lines.add(new Line(
                    mark(g.slack()),
                    Say.it(
                            "gap.%s.%s".formatted(code(g.side()), state(g.slack())),
                            mm(Math.abs(left.likely())),
                            mm(left.least()),
                            mm(left.most()))));
            if (g.seen() > 0) lines.add(new Line("open", Say.it("gap.seen", mm(g.seen()))));
        }
        Set<String> told = new HashSet<>();
        for (DepthLeft d : report.depths()) {
            // of each body the least is told, and whatever is not settled; behind the face stands the chassis
            if (d.body().equals("face") && !d.nearer()) continue;
            if (!told.add(d.body()) && d.slack() instanceof Slack.Clear && !d.nearer()) continue;
            Range left = d.slack().left();
            lines.add(new Line(
                    mark(d.slack()),
                    Say.it(
                            (d.nearer() ? "before." : "depth.") + state(d.slack()),
                            mm(Math.abs(left.likely())),
                            Words.sentence(d.body()),
                            d.to(),
                            mm(left.least()),
                            mm(left.most()))));
        }
        for (WallLeft w : report.walls()) {
            if (w.slack() instanceof Slack.Clear) continue;
            Range left = w.slack().left();
            lines.add(new Line(
                    mark(w.slack()),
                    Say.it(
                            "wall." + state(w.slack()),
                            Words.sentence(w.body()),
                            w.band(),
                            Say.it("side." + code(w.side())),
                            mm(Math.abs(left.likely())),
                            mm(left.least()),
                            mm(left.most()))));
        }
        for (Neighbour n : report.neighbours())
            lines.add(new Line(
                    mark(n.slack()),
                    Say.it(
                            "neighbour." + state(n.slack()),
                            Words.sentence(n.id()),
                            mm(n.slack().left().likely()),
                            Say.it("where." + code(n.side())))));
        for (FingerLeft f : report.fingers())
            lines.add(new Line(
                    mark(f.slack()),
                    Say.it(
                            "fingers." + state(f.slack()),
                            Words.sentence(f.what()),
                            mm(Math.abs(f.slack().left().likely())),
                            f.to())));
        return lines;
    }

    /** An insert of the kit is told once: it is made to be cut out. */
    private static List<Line> goes(FitReport report) {
        Stream<Line> inserts = report.collisions().stream()
                .filter(Collision::insertOfKit)
                .filter(c -> !c.refused())
                .map(c -> new Line("settled", Say.it("meets.insert", Words.sentence(c.with()))));
        return Stream.concat(
                        report.collisions().stream()
                                .filter(c -> !c.insertOfKit() || c.refused())
                                .map(FitView::meets),
                        inserts)
                .distinct()
                .toList();
    }

    private static Line meets(Collision c) {
        Range left = c.slack().left();
        String what = Say.it(
                c.certain() ? "meets.certain" : "meets.perhaps",
                Words.sentence(c.body()),
                c.with(),
                mm(-left.likely()),
                Say.it("escape." + code(c.escape())),
                mm(left.most()),
                mm(-left.least()));
        String way = c.onTheWay() ? ", " + Say.it("on.the.way") : "";
        String mark = c.refused() ? c.certain() ? "wrong" : "open" : "settled";
        return new Line(mark, what + way + ": " + remedy(c.remedy()) + ".");
    }

    private static String remedy(Remedy remedy) {
        if (remedy instanceof Remedy.Unscrew u) {
            String more = (u.minutes() > 0 ? Say.it("remedy.unscrew.minutes", mm(u.minutes())) : "")
                    + (u.carries().isEmpty() ? "" : Say.it("remedy.unscrew.carries", u.carries()));
            return Say.it("remedy.unscrew", u.fasteners().isEmpty() ? "its fasteners" : u.fasteners(), more);
        }
        if (remedy instanceof Remedy.MoveAside m) return Say.it("remedy.move", mm(m.by()));
        if (remedy instanceof Remedy.Trim t) return Say.it("remedy.trim", t.words());
        if (remedy instanceof Remedy.CutOff c)
            return Say.it("remedy.cut", c.words().isEmpty() ? "" : ": " + c.words());
        Remedy.Refused refused = (Remedy.Refused) remedy;
        return Say.it("refused." + code(refused.reason()), refused.of());
    }

    private static List<Ask> asks(OpenJob open, FitReport report) {
        if (report.verdict() == FitVerdict.DOES_NOT_GO_IN) return List.of();
        String vehicle = open.text(new Entry.VehicleChosen());
        return report.asks().stream()
                .map(s -> {
                    boolean ofCar = s.measure().sheet().equals(vehicle);
                    Entry.FactSettled entry = new Entry.FactSettled(s.measure());
                    return new Ask(ask(s), ofCar ? JobCodec.key(entry) : "", ofCar ? open.text(entry) : "");
                })
                .distinct()
                .toList();
    }

    static String ask(Slack.Settle s) {
        String code = (s.atLeast() ? "ask.more" : "ask.less") + (s.fails().isPresent() ? "" : ".only");
        String what = what(s.measure().path());
        // a reading is off by its instrument's own millimetre
        double sure = s.atLeast() ? Math.ceil(s.fits() + 1) : Math.floor(s.fits() - 1);
        double not = s.fails().isPresent()
                ? s.atLeast()
                        ? Math.floor(s.fails().getAsDouble() - 1)
                        : Math.ceil(s.fails().getAsDouble() + 1)
                : 0;
        String text = Say.it(code, what, mm(sure), mm(not));
        return s.also().isEmpty() ? text : Say.it("ask.also", text, what(s.also()));
    }

    /** Car, radio and what holds it. */
    private static List<Measured> sheets(OpenJob open, OpenFit fit) {
        return Stream.of(open.text(new Entry.VehicleChosen()), open.text(new Entry.RadioChosen()), fit.kit())
                .filter(id -> !id.isEmpty())
                .map(id -> new Measured(id, open.sheetName(id)))
                .toList();
    }

    private static List<String> rests(Site site, Optional<KitFrame> frame) {
        List<String> rests = new ArrayList<>();
        if (site.assumedBands()) rests.add(Say.it("rests.assumed"));
        if (site.lean() != 0)
            rests.add(Say.it(
                    "rests.lean",
                    mm(site.lean()),
                    mm(site.height().likely()),
                    mm(SmallSums.wedge(site.height().likely(), site.lean()))));
        frame.map(KitFrame::finish).filter(f -> !f.isEmpty()).ifPresent(f -> rests.add(Say.it("finish", f)));
        return rests;
    }
}
