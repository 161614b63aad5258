package velvetbezel.web.fit;

import static velvetbezel.web.fit.FitWords.mm;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import velvetbezel.fit.Range;
import velvetbezel.fit.SmallSums;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Say;

/** Small sums: strips, foam, drills, plugs through holes, screws. */
record SumsView(Frame frame, List<Sum> sums) {
    private static final double MOST = 20_000;
    private static final String USUAL_THREAD = "M5";
    private static final int SIXTEENTHS = 16;

    /** @param value as it was typed */
    public record Field(String name, String label, String value) {}

    /** @param wrong whether what was typed cannot be used */
    public record Sum(String title, List<Field> fields, String answer, boolean wrong) {}

    static SumsView of(OpenJob open, Frame.Trouble trouble, Map<String, String> typed) {
        return new SumsView(
                Frame.of(open, Station.FIT, trouble),
                List.of(
                        sum(typed, "strip", List.of("strip", "pieces", "cut"), List.of(), SumsView::strip),
                        sum(typed, "foam", List.of("gap"), List.of(), SumsView::foam),
                        sum(typed, "drill", List.of("body", "flange"), List.of(), SumsView::drill),
                        sum(
                                typed,
                                "plug",
                                List.of("wide", "high"),
                                List.of(),
                                n -> Say.it("sum.plug.answer", mm(SmallSums.diagonal(n.get("wide"), n.get("high"))))),
                        sum(
                                typed,
                                "screw",
                                List.of("inside", "bracket"),
                                List.of("thread"),
                                n -> screw(n, typed(typed, "thread", USUAL_THREAD)))));
    }

    private static String typed(Map<String, String> typed, String name, String otherwise) {
        String text = typed.getOrDefault(name, "").strip();
        return text.isEmpty() ? otherwise : text;
    }

    /** @param words fields that are no numbers */
    private static Sum sum(
            Map<String, String> typed,
            String code,
            List<String> names,
            List<String> words,
            Function<Map<String, Double>, String> answer) {
        String title = Say.it("sum." + code);
        List<Field> fields = new ArrayList<>();
        for (String n : names) fields.add(new Field(n, Say.it("sum.field." + n), typed(typed, n, "")));
        for (String n : words) fields.add(new Field(n, Say.it("sum.field." + n), typed(typed, n, USUAL_THREAD)));
        if (names.stream().allMatch(n -> typed(typed, n, "").isEmpty())) return new Sum(title, fields, "", false);
        Map<String, Double> numbers = new TreeMap<>();
        for (String name : names) {
            String text = typed(typed, name, name.equals("cut") ? "0" : "");
            Optional<Double> number = number(text);
            if (number.isEmpty())
                return new Sum(title, fields, Say.it("sum.no.number", text, Say.it("sum.field." + name)), true);
            numbers.put(name, number.get());
        }
        try {
            return new Sum(title, fields, answer.apply(numbers), false);
        } catch (IllegalArgumentException e) {
            return new Sum(title, fields, e.getMessage(), true);
        }
    }

    private static Optional<Double> number(String text) {
        String plain = text.replace(',', '.').replaceAll("\\s*mm$", "");
        if (!plain.matches("\\d{1,5}(\\.\\d{1,2})?")) return Optional.empty();
        double value = Double.parseDouble(plain);
        return value <= MOST ? Optional.of(value) : Optional.empty();
    }

    private static String strip(Map<String, Double> n) {
        SmallSums.Pieces p = SmallSums.pieces(n.get("strip"), (int) Math.round(n.get("pieces")), n.get("cut"));
        String each = String.format(Locale.ROOT, "%.2f", p.each());
        return p.folds().map(f -> Say.it("sum.strip.folds", each, f)).orElseGet(() -> Say.it("sum.strip.answer", each));
    }

    private static String foam(Map<String, Double> n) {
        Range foam = SmallSums.foam(n.get("gap"));
        return Say.it("sum.foam.answer", mm(foam.least()), mm(foam.most()));
    }

    private static String drill(Map<String, Double> n) {
        SmallSums.Drill d = SmallSums.drill(n.get("body"), n.get("flange"));
        List<String> drills = new ArrayList<>();
        d.mm().ifPresent(m -> drills.add(Say.it("sum.drill.mm", mm(m))));
        d.sixteenths().ifPresent(s -> drills.add(Say.it("sum.drill.inch", inches(s))));
        return drills.isEmpty() ? Say.it("sum.drill.none") : Say.it("sum.drill.answer", String.join(", ", drills));
    }

    /** "3/4", "1 1/8". */
    private static String inches(int sixteenths) {
        int whole = sixteenths / SIXTEENTHS;
        int rest = sixteenths % SIXTEENTHS;
        int of = SIXTEENTHS;
        while (rest > 0 && rest % 2 == 0) {
            rest /= 2;
            of /= 2;
        }
        String part = rest == 0 ? "" : rest + "/" + of;
        return whole == 0 ? part : (whole + " " + part).strip();
    }

    private static String screw(Map<String, Double> n, String thread) {
        double pitch = SmallSums.pitch(thread)
                .orElseThrow(() -> new IllegalArgumentException(Say.it("sum.screw.thread", thread)));
        SmallSums.Screw s = SmallSums.screw(n.get("inside"), n.get("bracket"), pitch);
        return s.stock()
                .map(l -> Say.it("sum.screw.answer", l, mm(s.least()), mm(s.most())))
                .orElseGet(() -> Say.it("sum.screw.none", mm(s.least()), mm(s.most())));
    }
}
