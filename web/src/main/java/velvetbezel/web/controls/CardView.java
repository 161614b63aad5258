package velvetbezel.web.controls;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.controls.KeyAction;
import velvetbezel.sheet.KeyPress;
import velvetbezel.sheet.Sheet;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/**
 * The driver's card, of the size of a bank card (ISO/IEC 7810, ID-1: 85.60 × 53.98 mm, corners 3.18 mm): what each button
 * of the wheel does now.
 *
 * @param sides eleven rows at most on each
 */
record CardView(String car, String radio, String foot, List<List<Row>> sides) {
    private static final int ROWS = 11;

    record Row(String button, String press, String hold) {}

    static CardView of(OpenJob open, LocalDate day) {
        List<Row> rows = rows(open);
        List<List<Row>> sides = new ArrayList<>();
        for (int i = 0; i < rows.size(); i += ROWS) sides.add(rows.subList(i, Math.min(rows.size(), i + ROWS)));
        if (sides.isEmpty()) sides.add(List.of());
        Sheet.Vehicle car = open.vehicle().orElseThrow();
        return new CardView(
                "%s %s".formatted(car.make(), car.model()),
                open.radioName(),
                Say.it("card.foot", String.valueOf(open.job().number()), day.toString()),
                sides);
    }

    /** As devices are told, where they can be; else as the catalogue's functions come out. */
    private static List<Row> rows(OpenJob open) {
        Map<String, Row> rows = new LinkedHashMap<>();
        for (MapView map : MapView.of(open))
            for (MapView.Row r : map.rows())
                rows.put(r.button(), new Row(Words.sentence(r.button()), told(r.press()), told(r.hold())));
        for (KeyAction a :
                KeyAction.of(open.catalogue(), open.design().orElseThrow().kinds()))
            rows.putIfAbsent(
                    a.button(), new Row(Words.sentence(a.button()), words(a.press(), a.button()), words(a.hold(), "")));
        return List.copyOf(rows.values());
    }

    private static String told(Optional<MapView.Cell> cell) {
        return cell.map(c -> !c.heard() || c.command().equals(KeyPress.NOTHING)
                        ? Say.it("card.DEAD")
                        : c.command().endsWith(", " + KeyPress.HELD) ? Say.it("card.long") : c.command())
                .orElse("\u2013");
    }

    private static String words(Optional<KeyAction.Does> does, String button) {
        return does.map(d -> Say.it("card." + d, button.isEmpty() ? Say.it("card.long") : button))
                .orElse("\u2013");
    }
}
