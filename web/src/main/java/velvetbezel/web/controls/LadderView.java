package velvetbezel.web.controls;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import velvetbezel.controls.ButtonLadder;
import velvetbezel.controls.KeyInput;
import velvetbezel.controls.KeyReader;
import velvetbezel.controls.LadderEstimate;
import velvetbezel.controls.LadderVerdict;
import velvetbezel.controls.RingLimit;
import velvetbezel.controls.Rung;
import velvetbezel.controls.VoltBand;
import velvetbezel.controls.WindowGap;
import velvetbezel.drawing.LadderDrawing;
import velvetbezel.job.Entry;
import velvetbezel.store.JobCodec;
import velvetbezel.units.Ohms;
import velvetbezel.web.job.Ids;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.OpenKeys;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/**
 * One input for keys.
 *
 * @param verdict what the readings say; empty without any
 * @param weakest which button the slip ring takes first
 * @param lines   what the answer rests on, and what would be better
 * @param rows    a button each
 */
record LadderView(
        String title,
        String verdict,
        String mark,
        String weakest,
        Optional<LadderDrawing> drawing,
        List<String> lines,
        List<Row> rows) {
    /** How to take a reading. */
    public String measure() {
        return Say.it("ladder.measure");
    }

    /**
     * @param ohms     by the sheet
     * @param limit    more in the slip ring before it is misread
     * @param field    that holds the readings
     * @param residual of the reading to what the estimate expects
     */
    record Row(
            String button,
            String ohms,
            String volts,
            String window,
            String limit,
            String field,
            String id,
            String typed,
            String residual) {}

    static List<LadderView> of(OpenJob open) {
        return open.design().orElseThrow().keys().stream().map(k -> of(open, k)).toList();
    }

    private static LadderView of(OpenJob open, KeyInput input) {
        String device = open.design()
                .orElseThrow()
                .installation()
                .instance(input.reader().at().instance())
                .orElseThrow()
                .device()
                .name();
        if (input.ladder().isEmpty())
            return new LadderView(
                    device,
                    Say.it(
                            "ladder.trouble." + input.trouble().orElseThrow(),
                            input.fields().stream().map(f -> f.path()).collect(Collectors.joining(", "))),
                    "unknown",
                    "",
                    Optional.empty(),
                    List.of(),
                    List.of());
        ButtonLadder ladder = input.ladder().get();
        Optional<LadderVerdict> verdict = OpenKeys.verdict(input, open.state());
        Optional<LadderEstimate> estimate = verdict.flatMap(LadderVerdict::estimate);
        ButtonLadder now = verdict.flatMap(LadderVerdict::again).orElse(ladder);
        return new LadderView(
                device,
                verdict.map(v -> words(v, estimate)).orElse(""),
                verdict.map(v -> v.kind().wrong() ? "lost" : "kept").orElse(""),
                weakest(now),
                Optional.of(LadderDrawing.of(ladder, Say.it("ladder.rest"), now)),
                lines(ladder, estimate),
                rows(open, input, ladder, estimate));
    }

    private static String words(LadderVerdict v, Optional<LadderEstimate> estimate) {
        return Say.it(
                "ladder.verdict." + v.kind(),
                estimate.map(e -> ohms(Math.max(0, e.contact()))).orElse(""),
                v.learned().map(l -> ohms(l.more().value())).orElse(Say.it("ladder.none")),
                estimate.map(e -> Words.list(
                                e.odd().stream().map(LadderEstimate.Odd::button).toList()))
                        .orElse(""));
    }

    private static String weakest(ButtonLadder ladder) {
        return ladder.first()
                .map(f -> Say.it(
                        f.becomes().isEmpty() ? "controls.weakest.rest" : "controls.weakest",
                        Words.sentence(f.button()),
                        ohms(f.more().value()),
                        f.becomes()))
                .orElse("");
    }

    private static List<String> lines(ButtonLadder ladder, Optional<LadderEstimate> estimate) {
        List<String> lines = new ArrayList<>();
        estimate.ifPresent(e -> found(lines, ladder, e));
        for (WindowGap g : ladder.gaps())
            if (g.kind() != WindowGap.Kind.CLEAR)
                lines.add(Say.it(
                        g.kind() == WindowGap.Kind.COLLIDES ? "ladder.collide" : "ladder.narrow",
                        name(g.below()),
                        name(g.above()),
                        Math.round(g.freeSteps())));
        if (!ladder.reader().pullUps().isEmpty()) ladder.best().ifPresent(b -> lines.add(better(ladder, b)));
        KeyReader r = ladder.reader();
        lines.add(Say.it(
                "ladder.reads",
                r.at().name(),
                r.reference().toString(),
                ohms(r.pullUp().value()),
                r.bits(),
                r.bitsAssumed() ? Say.it("ladder.assumed") : ""));
        lines.add(Say.it(
                "ladder.tolerance",
                Math.round(ladder.tolerance() * 100),
                ladder.assumed() ? Say.it("ladder.assumed") : "",
                Math.round(r.tolerance() * 100),
                r.toleranceAssumed() ? Say.it("ladder.assumed") : ""));
        return lines;
    }

    private static void found(List<String> lines, ButtonLadder ladder, LadderEstimate e) {
        lines.add(Say.it(
                "ladder.contact",
                ohms(Math.max(0, e.contact())),
                ohms(e.twoSigma()),
                e.wobble() > 0 ? Say.it("ladder.wobble", ohms(e.wobble())) : ""));
        e.odd()
                .forEach(o -> lines.add(
                        Double.isInfinite(o.off())
                                ? Say.it("ladder.odd.open", Words.sentence(o.button()))
                                : Say.it("ladder.odd", Words.sentence(o.button()), signed(o.off()))));
        if (!e.cannotTell().isEmpty()) lines.add(Say.it("ladder.cannot.tell", Words.list(e.cannotTell())));
        if (ladder.series()) lines.add(Say.it("ladder.chain"));
    }

    private static String better(ButtonLadder ladder, ButtonLadder best) {
        if (best.reader().pullUp().equals(ladder.reader().pullUp()))
            return Say.it("ladder.best.now", ohms(ladder.reader().pullUp().value()));
        return Say.it(
                "ladder.best",
                ohms(best.reader().pullUp().value()),
                best.first().map(f -> ohms(f.more().value())).orElse(Say.it("ladder.none")),
                ladder.first().map(f -> ohms(f.more().value())).orElse(Say.it("ladder.none")));
    }

    private static List<Row> rows(
            OpenJob open, KeyInput input, ButtonLadder ladder, Optional<LadderEstimate> estimate) {
        List<Row> rows = new ArrayList<>();
        for (VoltBand b : ladder.bands()) {
            if (b.button().isEmpty()) continue;
            Rung rung = ladder.rung(b.button()).orElseThrow();
            Entry.KeyRead entry = new Entry.KeyRead(input.reader().at(), b.button());
            rows.add(new Row(
                    b.button(),
                    ohms(rung.ohms()),
                    volts(b.nominal().value()),
                    b.window()
                            .map(w -> window(
                                    w.low(),
                                    w.high(),
                                    ladder.reader().reference().value()))
                            .orElse("—"),
                    ladder.ringLimits().stream()
                            .filter(l -> l.button().equals(b.button()))
                            .findFirst()
                            .map(LadderView::limit)
                            .orElse(Say.it("ladder.none")),
                    JobCodec.key(entry),
                    Ids.of(entry),
                    open.text(entry),
                    estimate.flatMap(e -> Optional.ofNullable(e.residuals().get(b.button())))
                            .map(LadderView::signed)
                            .orElse("")));
        }
        return rows;
    }

    private static String limit(RingLimit l) {
        return "%s → %s".formatted(ohms(l.more().value()), l.becomes().isEmpty() ? Say.it("ladder.rest") : l.becomes());
    }

    private static String name(String button) {
        return button.isEmpty() ? Say.it("ladder.rest") : button;
    }

    /** @param reference above which nothing can be */
    static String window(double low, double high, double reference) {
        if (low <= 0) return Say.it("ladder.under", volts(high));
        return high >= reference
                ? Say.it("ladder.over", volts(low))
                : Say.it("ladder.between", volts(low), volts(high));
    }

    static String volts(double volts) {
        return "%.2f V".formatted(volts);
    }

    private static String signed(double ohms) {
        return (ohms < 0 ? "−" : "+") + ohms(Math.abs(ohms));
    }

    private static String ohms(double ohms) {
        double rounded = ohms < 10 ? Math.round(ohms * 10) / 10.0 : Math.round(ohms);
        return new Ohms(rounded).toString();
    }
}
