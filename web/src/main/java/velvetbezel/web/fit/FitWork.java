package velvetbezel.web.fit;

import static velvetbezel.web.fit.FitWords.code;
import static velvetbezel.web.fit.FitWords.mm;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import velvetbezel.fit.BenchStep;
import velvetbezel.fit.Brackets;
import velvetbezel.fit.Correction;
import velvetbezel.fit.FitReport;
import velvetbezel.fit.Placing;
import velvetbezel.fit.Range;
import velvetbezel.fit.Room;
import velvetbezel.fit.TestFit;
import velvetbezel.job.Entry;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.store.JobCodec;
import velvetbezel.web.job.OpenFit;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/**
 * What is done to put it in: holes, bench list, first try, and where the leads go.
 *
 * @param holes    rows of holes, the nearest to flush first
 * @param travel   of the row it hangs in; empty where its slots leave none
 * @param earlier  what earlier fittings taught; an empty text where there were none
 * @param bench    at the bench
 * @param car      in the car
 * @param edges    the readings of the first try
 * @param tried    what they show; empty until all are there
 * @param stowing  room for leads and modules
 */
record FitWork(
        String holesField,
        List<HoleRow> holes,
        String noHoles,
        Optional<Travel> travel,
        String earlier,
        List<Tick> bench,
        List<Tick> car,
        List<Edge> edges,
        List<String> tried,
        List<FitView.Line> stowing) {
    private static final int MOST_HOLES = 4;

    /** @param key by which a job keeps it */
    public record HoleRow(String key, String words, boolean taken) {}

    /**
     * How far the face can be moved in its slots, in mm from where it stands.
     *
     * @param near    towards the seat, as a number below 0
     * @param setBack where it stands
     * @param left    room behind where it stands
     */
    public record Travel(double near, double deep, double setBack, double left) {}

    public record Tick(String field, String words, boolean done) {}

    public record Edge(String label, String field, String value) {}

    static FitWork of(OpenJob open, OpenFit fit, Optional<Room> room) {
        FitReport report = fit.report().orElseThrow();
        boolean brackets = fit.frame().flatMap(KitFrame::left).isPresent();
        List<Tick> bench = new ArrayList<>();
        List<Tick> car = new ArrayList<>();
        for (BenchStep s : fit.bench()) {
            Entry.BenchStepDone done = new Entry.BenchStepDone(s.key());
            (s.kind().inTheCar() ? car : bench).add(new Tick(JobCodec.key(done), step(s), open.has(done)));
        }
        return new FitWork(
                JobCodec.key(new Entry.HolesTaken()),
                brackets ? rows(report) : List.of(),
                brackets && report.holes().isEmpty() ? Say.it("holes.none") : "",
                report.planeUnknown() ? Optional.empty() : report.taken().flatMap(h -> travel(report, h)),
                report.correction().map(FitWork::earlier).orElse(""),
                bench,
                car,
                edges(open),
                fit.tried(open).stream().map(FitWork::cause).toList(),
                stowing(open, fit, room));
    }

    private static Optional<Travel> travel(FitReport report, Brackets.HoleChoice h) {
        return report.tightest()
                .filter(d -> h.near() + h.deep() > 0)
                .map(d -> new Travel(
                        -h.near(), h.deep(), h.setBack(), d.slack().left().likely()));
    }

    private static List<HoleRow> rows(FitReport report) {
        Optional<Brackets.HoleChoice> taken = report.taken();
        List<HoleRow> rows = new ArrayList<>();
        for (Brackets.HoleChoice h : report.holes()) {
            boolean chosen = taken.filter(h::equals).isPresent();
            if (rows.size() < MOST_HOLES || chosen) rows.add(new HoleRow(h.key(), hole(report, h), chosen));
        }
        return rows;
    }

    private static String hole(FitReport report, Brackets.HoleChoice h) {
        String row = Say.it(
                "holes.row",
                report.planeUnknown() ? against(report.holes().get(0), h) : stands(h.setBack()),
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

    /** Where nobody knows the plane, rows are told against the first of them. */
    private static String against(Brackets.HoleChoice first, Brackets.HoleChoice h) {
        double nearer = first.setBack() - h.setBack();
        if (nearer == 0) return Say.it("holes.first");
        return Say.it(nearer > 0 ? "holes.nearer" : "holes.deeper", mm(Math.abs(nearer)));
    }

    private static String stands(double setBack) {
        return setBack == 0
                ? Say.it("holes.flush")
                : Say.it(setBack > 0 ? "holes.sunk" : "holes.proud", mm(Math.abs(setBack)));
    }

    private static String numbers(List<Brackets.HoleAtSlot> holes) {
        return holes.stream().map(h -> String.valueOf(h.hole())).collect(Collectors.joining("+"));
    }

    private static String slots(List<Brackets.HoleAtSlot> holes) {
        return holes.stream().map(Brackets.HoleAtSlot::slot).collect(Collectors.joining("+"));
    }

    private static String earlier(Correction c) {
        Range r = c.range();
        if (c.conflict()) return Say.it("earlier.conflict", c.records(), mm(r.least()), mm(r.most()));
        return Say.it(r.likely() >= 0 ? "earlier.sunk" : "earlier.proud", c.records(), mm(Math.abs(r.likely())));
    }

    private static String step(BenchStep s) {
        return Words.sentence(Say.it("bench." + code(s.kind()) + variant(s), s.of().toArray()));
    }

    /** Some steps say it in two ways, by what is known. */
    private static String variant(BenchStep s) {
        return switch (s.kind()) {
            case TOGETHER -> s.of().get(1).equals("sheet") ? "" : ".usual";
            case TAKE_OUT -> s.of().get(2).isEmpty() ? "" : ".carries";
            case CUT -> s.of().get(1).isEmpty() ? ".plain" : "";
            case CLIPS -> s.of().get(1).isEmpty() ? ".plain" : "";
            default -> "";
        };
    }

    private static List<Edge> edges(OpenJob open) {
        List<Edge> edges = new ArrayList<>();
        for (Entry.FaceEdge e : Entry.FaceEdge.values()) {
            Entry.FaceStands entry = new Entry.FaceStands(e);
            edges.add(new Edge(Say.it("edge." + code(e)), JobCodec.key(entry), open.text(entry)));
        }
        return edges;
    }

    private static String cause(TestFit.Cause cause) {
        if (cause instanceof TestFit.Flush) return Say.it("tried.flush");
        if (cause instanceof TestFit.NoOtherHoles) return Say.it("tried.no.holes");
        if (cause instanceof TestFit.SlideInSlots s)
            return Say.it(s.by() > 0 ? "tried.slide.nearer" : "tried.slide.deeper", mm(Math.abs(s.by())));
        if (cause instanceof TestFit.OtherHoles o)
            return Say.it(
                    o.nearer() >= 0 ? "tried.holes.nearer" : "tried.holes.deeper",
                    numbers(o.choice().left()),
                    slots(o.choice().left()),
                    mm(Math.abs(o.nearer())),
                    stands(Math.abs(o.then()) < 0.05 ? 0 : o.then()));
        if (cause instanceof TestFit.OneSide o)
            return Say.it("tried.side", Say.it("side." + code(o.deeper())), mm(o.by()));
        if (cause instanceof TestFit.PushedOut p)
            return p.by().isEmpty()
                    ? Say.it("tried.pushed.unknown", Say.it("side." + code(p.edge())))
                    : Say.it("tried.pushed", Say.it("side." + code(p.edge())), Words.list(p.by()));
        return Say.it("tried.leads", mm(((TestFit.LeadsBehind) cause).by()));
    }

    private static List<FitView.Line> stowing(OpenJob open, OpenFit fit, Optional<Room> room) {
        List<FitView.Line> lines = new ArrayList<>();
        room.ifPresent(r -> {
            lines.add(new FitView.Line(
                    switch (r.fill()) {
                        case EASY -> "settled";
                        case TIGHT -> "open";
                        case TOO_FULL -> "wrong";
                    },
                    Say.it("room." + code(r.fill()), Math.round(r.taken()), Math.round(r.free()))));
            if (r.bundle() > 0)
                lines.add(new FitView.Line(
                        r.beside() ? "open" : "settled",
                        Say.it(
                                r.beside() ? "room.beside" : "room.behind",
                                mm(r.bundle()),
                                mm(r.behind().orElse(0)))));
            r.modules().forEach(m -> lines.add(module(m, elsewhere(open, fit, m))));
        });
        fit.unmeasured(open).forEach(m -> lines.add(new FitView.Line("open", Say.it("room.unmeasured", m))));
        return lines;
    }

    /** Named places that the rules allow and that have room for it. */
    private static List<String> elsewhere(OpenJob open, OpenFit fit, Room.Stowed m) {
        return fit.places(open).stream()
                .filter(p -> p.thing().name().equals(m.module().name()))
                .flatMap(p -> p.options().stream())
                .filter(o -> o.standing() != Placing.Standing.REFUSED && Room.takes(o.place(), m.module()))
                .map(o -> o.place().words())
                .toList();
    }

    private static FitView.Line module(Room.Stowed m, List<String> elsewhere) {
        return m.at().map(b -> new FitView.Line(
                        "settled",
                        Say.it(
                                "room.module",
                                m.module().name(),
                                mm(b.x1() - b.x0()),
                                mm(b.y1() - b.y0()),
                                mm(b.z1() - b.z0()),
                                mm(b.x0()),
                                mm(b.y0()),
                                mm(b.z0()))))
                .orElseGet(() -> new FitView.Line(
                        "open",
                        elsewhere.isEmpty()
                                ? Say.it("room.no.place", m.module().name())
                                : Say.it("room.elsewhere", m.module().name(), Words.list(elsewhere))));
    }
}
