package velvetbezel.web.controls;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import velvetbezel.controls.ButtonMap;
import velvetbezel.controls.Decision;
import velvetbezel.function.FunctionId;
import velvetbezel.job.Design;
import velvetbezel.job.Entry;
import velvetbezel.store.JobCodec;
import velvetbezel.web.job.Ids;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/**
 * What one device is told to do at each button.
 *
 * @param notes what is noteworthy, most pressing first
 */
record MapView(String device, List<Row> rows, List<String> notes) {
    /** A button: its short press, and its long one where the device tells them apart. */
    record Row(String button, Optional<Cell> press, Optional<Cell> hold) {}

    /**
     * @param chosen  the value that a person chose; empty where nobody did
     * @param usual   what it does then, and why
     * @param fixed   why there is no choice; empty where there is one
     * @param changed whether it does otherwise than as delivered; {@code heard} whether anything understands it
     */
    record Cell(
            String field,
            String id,
            String command,
            String chosen,
            String usual,
            List<String> commands,
            String fixed,
            boolean changed,
            boolean heard) {}

    static List<MapView> of(OpenJob open) {
        return WheelView.maps(open).stream().map(m -> of(open, m)).toList();
    }

    private static MapView of(OpenJob open, ButtonMap map) {
        Map<String, Row> rows = new LinkedHashMap<>();
        for (ButtonMap.Cell c : map.cells()) {
            Row row = rows.getOrDefault(
                    c.press().button(), new Row(c.press().button(), Optional.empty(), Optional.empty()));
            Optional<Cell> cell = Optional.of(cell(open, c));
            rows.put(
                    row.button,
                    c.press().held() ? new Row(row.button, row.press, cell) : new Row(row.button, cell, row.hold));
        }
        return new MapView(map.device().device().name(), List.copyOf(rows.values()), notes(open, map));
    }

    private static Cell cell(OpenJob open, ButtonMap.Cell c) {
        Entry.SettingChoice entry = new Entry.SettingChoice(c.decision().id());
        boolean wish = c.decision().ground() instanceof Decision.Ground.FromWish;
        return new Cell(
                JobCodec.key(entry),
                Ids.of(entry),
                c.command(),
                open.text(entry),
                open.has(entry)
                        ? Say.it("map.usual", c.decision().delivered())
                        : Say.it(wish ? "map.wish" : "map.usual", c.command()),
                c.decision().values(),
                c.press().fixed().orElse(""),
                !c.decision().asDelivered(),
                !c.findings().contains(ButtonMap.Finding.UNHEARD));
    }

    private static List<String> notes(OpenJob open, ButtonMap map) {
        List<String> notes = new ArrayList<>();
        Design design = open.design().orElseThrow();
        List<FunctionId> wanted = open.catalogue().functions().stream()
                .map(f -> f.id())
                .filter(f -> open.wanted(f) || open.mustStay(f))
                .toList();
        ButtonMap.missed(open.catalogue(), wanted, design.kinds())
                .forEach(f -> notes.add(Say.it("map.missed", open.functionName(f))));
        for (ButtonMap.Finding kind : List.of(
                ButtonMap.Finding.UNHEARD,
                ButtonMap.Finding.REPEATS,
                ButtonMap.Finding.CAR_TOO,
                ButtonMap.Finding.IDLE))
            for (ButtonMap.Cell c : map.cells())
                if (c.findings().contains(kind))
                    notes.add(Say.it("map." + kind, c.press().label(), c.command(), open.radioName()));
        map.cells().stream()
                .filter(c -> c.findings().contains(ButtonMap.Finding.TWICE))
                .collect(Collectors.groupingBy(
                        ButtonMap.Cell::command,
                        TreeMap::new,
                        Collectors.mapping(c -> c.press().label(), Collectors.toList())))
                .forEach((command, presses) ->
                        notes.add(Say.it("map.TWICE", Words.sentence(Words.list(presses)), command)));
        if (!map.unreachable().isEmpty())
            notes.add(Say.it("map.unreachable", open.radioName(), Words.list(map.unreachable())));
        return notes;
    }
}
