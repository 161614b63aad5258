package velvetbezel.web.fit;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.drawing.FitDrawing;
import velvetbezel.fit.Brackets;
import velvetbezel.fit.Collision;
import velvetbezel.fit.DepthLeft;
import velvetbezel.fit.FaceGap;
import velvetbezel.fit.FitReport;
import velvetbezel.fit.FitVerdict;
import velvetbezel.fit.Range;
import velvetbezel.fit.Remedy;
import velvetbezel.fit.Slack;
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
 * @param asks measurements that settle it, what decides most first
 * @param rests what the answer rests on
 */
public record FitView(
        Frame frame,
        String heading,
        String verdict,
        List<FitDrawing> drawings,
        List<Line> goes,
        List<Ask> asks,
        List<Line> room,
        List<String> holes,
        List<String> rests) {
    private static final int MOST_HOLES = 4;

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
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of());
        }
        FitReport report = fit.report().get();
        Site site = fit.site().orElseThrow();
        return new FitView(
                frame,
                heading(report),
                verdict(report),
                FitDrawing.of(site, report),
                report.collisions().stream().map(FitView::meets).distinct().toList(),
                asks(open, report),
                room(report),
                holes(report, fit.frame()),
                rests(site, fit.frame()));
    }

    private static String code(Enum<?> e) {
        return e.name().toLowerCase(Locale.ROOT);
    }

    private static String heading(FitReport report) {
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

    /** Tenths only where they say something. */
    private static String mm(double mm) {
        double rounded = Math.round(mm * 10) / 10.0;
        return rounded == Math.rint(rounded) ? String.valueOf((long) rounded) : String.valueOf(rounded);
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
        }
        Set<String> told = new HashSet<>();
        for (DepthLeft d : report.depths()) {
            // of each body the least is told, and whatever is not settled
            if (!told.add(d.body()) && d.slack() instanceof Slack.Clear) continue;
            Range left = d.slack().left();
            lines.add(new Line(
                    mark(d.slack()),
                    Say.it(
                            "depth." + state(d.slack()),
                            mm(Math.abs(left.likely())),
                            Words.sentence(d.body()),
                            d.to(),
                            mm(left.least()),
                            mm(left.most()))));
        }
        return lines;
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
                    boolean ofCar = s.measure().sheet().equals(vehicle)
                            && s.measure().path().matches(".*\\.(depth|w|h)");
                    Entry.FactSettled entry = new Entry.FactSettled(s.measure());
                    return new Ask(ask(s), ofCar ? JobCodec.key(entry) : "", ofCar ? open.text(entry) : "");
                })
                .distinct()
                .toList();
    }

    private static String ask(Slack.Settle s) {
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

    /** "site.bands[upper band].depth" as people say it. */
    private static String what(String path) {
        return path.replaceFirst("^(site|body|frame)\\.", "")
                .replaceAll("[\\[\\].]+", " ")
                .strip();
    }

    private static List<String> holes(FitReport report, Optional<KitFrame> frame) {
        boolean brackets = frame.flatMap(KitFrame::left).isPresent();
        if (!brackets) return List.of();
        if (report.holes().isEmpty()) return List.of(Say.it("holes.none"));
        return report.holes().stream()
                .map(FitView::hole)
                .distinct()
                .limit(MOST_HOLES)
                .toList();
    }

    private static String hole(Brackets.HoleChoice h) {
        String face = h.setBack() == 0
                ? Say.it("holes.flush")
                : Say.it(h.setBack() > 0 ? "holes.sunk" : "holes.proud", mm(Math.abs(h.setBack())));
        String row = Say.it(
                "holes.row",
                face,
                numbers(h.left()),
                slots(h.left()),
                numbers(h.right()),
                slots(h.right()),
                mm(h.near()),
                mm(h.deep()));
        List<String> flipped = new ArrayList<>();
        if (h.flipLeft()) flipped.add("left");
        if (h.flipRight()) flipped.add("right");
        return flipped.isEmpty() ? row : row + " " + Say.it("holes.flip", String.join(", ", flipped));
    }

    private static String numbers(List<Brackets.HoleAtSlot> holes) {
        return holes.stream().map(h -> String.valueOf(h.hole())).collect(Collectors.joining("+"));
    }

    private static String slots(List<Brackets.HoleAtSlot> holes) {
        return holes.stream().map(Brackets.HoleAtSlot::slot).collect(Collectors.joining("+"));
    }

    private static List<String> rests(Site site, Optional<KitFrame> frame) {
        List<String> rests = new ArrayList<>();
        if (site.assumedBands()) rests.add(Say.it("rests.assumed"));
        if (site.lean() != 0)
            rests.add(Say.it(
                    "rests.lean",
                    mm(site.lean()),
                    mm(site.height().likely()),
                    mm(site.height().likely() * Math.tan(Math.toRadians(Math.abs(site.lean()))))));
        frame.map(KitFrame::finish).filter(f -> !f.isEmpty()).ifPresent(f -> rests.add(Say.it("finish", f)));
        return rests;
    }
}
