package velvetbezel.web.library;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.Mount;
import velvetbezel.sheet.Opening;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetTree;
import velvetbezel.sheet.Trait;

/** The facts of a sheet beside its plugs, as a form. */
public record FactsView(
        String id,
        String name,
        String shelf,
        int revision,
        List<Group> groups,
        List<String> origins,
        String from,
        String by,
        List<InputProblem> faults) {
    public record Group(String name, boolean claimed, List<Field> fields) {}

    /**
     * @param path its place in the sheet;
     * @param choices closed set of values or, for what is typed, usual ones; or none;
     * @param kind how its text is read
     */
    public record Field(String path, String label, String value, List<String> choices, Kind kind, String fault) {
        public enum Kind {
            TEXT,
            NUMBER,
            LIST,
            YES_NO,
            MILLIMETRES,
            /** Typed, with usual values at hand. */
            SUGGESTED
        }

        public boolean typed() {
            return choices.isEmpty() || kind == Kind.SUGGESTED;
        }

        public String id() {
            return path.replaceAll("[^a-z]+", "-");
        }
    }

    static FactsView of(
            Sheet sheet,
            String shelf,
            int revision,
            Object tree,
            Map<String, String> typed,
            List<InputProblem> faults) {
        List<Group> groups = new ArrayList<>();
        Maker m = new Maker(tree, typed, faults);
        if (sheet instanceof Sheet.Vehicle) {
            groups.add(new Group(
                    "The vehicle",
                    false,
                    List.of(
                            m.text("name", "Name"),
                            m.text("make", "Make"),
                            m.text("model", "Model"),
                            m.text("trim", "Trim"),
                            m.number("years[1]", "First model year"),
                            m.number("years[2]", "Last model year"),
                            m.opening("opening", "Opening in the dash"),
                            m.choice("audio system", "Audio system", List.of("plain", "amplified")),
                            m.yesNo("north america", "Sold in North America"),
                            m.list("buttons", "Steering keys, in order"))));
            groups.add(new Group(
                    "What tells it from its look-alikes",
                    false,
                    Arrays.stream(Trait.values())
                            .map(t -> m.text("traits." + t.label(), t.text()))
                            .toList()));
        } else if (sheet instanceof Sheet.Radio) {
            groups.add(new Group(
                    "The radio",
                    false,
                    List.of(
                            m.text("name", "Name"),
                            m.opening("size", "Size"),
                            m.mount("mount", "Held by"),
                            m.number("price", "Price"),
                            m.yesNo("factory radio stays", "A screen over a factory radio that stays"))));
        } else {
            Sheet.Part part = (Sheet.Part) sheet;
            List<Field> fields = new ArrayList<>(List.of(
                    m.text("name", "Name"),
                    m.choice(
                            "part",
                            "Kind",
                            Arrays.stream(PartKind.values())
                                    .map(PartKind::label)
                                    .toList()),
                    m.number("price", "Price"),
                    m.number("minutes", "Labour, minutes"),
                    m.number("cuts", "Cuts it asks for in the car"),
                    m.list("vehicles", "Made for these sheets only"),
                    m.list("finishes", "Colours it comes in")));
            if (part.holds().isPresent())
                fields.addAll(List.of(
                        m.opening("holds.opening", "Fills an opening of"),
                        m.opening("holds.radio", "Takes a radio of")));
            groups.add(new Group("The part", false, fields));
        }
        String what = sheet instanceof Sheet.Vehicle
                ? "Opening and the room behind it, mm"
                : sheet instanceof Sheet.Radio ? "Face and chassis, mm" : "Room it takes behind the dash, mm";
        groups.add(new Group(
                what,
                true,
                List.of(
                        m.millimetres("geometry.width", "Width"),
                        m.millimetres("geometry.height", "Height"),
                        m.millimetres("geometry.depth", "Depth"))));
        return new FactsView(
                sheet.id(),
                sheet.name(),
                shelf,
                revision,
                groups,
                Arrays.stream(Provenance.Origin.values())
                        .map(Provenance.Origin::word)
                        .toList(),
                typed.getOrDefault("from", "measured"),
                typed.getOrDefault("by", ""),
                faults);
    }

    List<Field> fields() {
        return groups.stream().flatMap(g -> g.fields.stream()).toList();
    }

    private record Maker(Object tree, Map<String, String> typed, List<InputProblem> faults) {
        private Field field(String path, String label, List<String> choices, Field.Kind kind) {
            String fault = faults.stream()
                    .filter(f -> f.field().equals(path)
                            || f.field().startsWith(path + ".")
                            || path.startsWith(f.field() + "["))
                    .map(InputProblem::message)
                    .findFirst()
                    .orElse("");
            return new Field(path, label, typed.getOrDefault(path, shown(path, kind)), choices, kind, fault);
        }

        private String shown(String path, Field.Kind kind) {
            Optional<Object> said = at(path);
            if (kind == Field.Kind.LIST)
                return said.map(l -> String.join(
                                ", ",
                                ((List<?>) l).stream().map(Object::toString).toList()))
                        .orElse("");
            if (kind == Field.Kind.YES_NO)
                return said.filter(Boolean.TRUE::equals).map(t -> "yes").orElse("");
            return plain(Editing.shown(said.orElse(null)));
        }

        private Optional<Object> at(String path) {
            if (!path.startsWith("years[")) return SheetTree.get(tree, path);
            return SheetTree.get(tree, "years").map(y -> ((List<?>) y).get(path.equals("years[1]") ? 0 : 1));
        }

        private static String plain(String text) {
            return text.endsWith(".0") ? text.substring(0, text.length() - 2) : text;
        }

        Field text(String path, String label) {
            return field(path, label, List.of(), Field.Kind.TEXT);
        }

        Field number(String path, String label) {
            return field(path, label, List.of(), Field.Kind.NUMBER);
        }

        Field list(String path, String label) {
            return field(path, label, List.of(), Field.Kind.LIST);
        }

        Field yesNo(String path, String label) {
            return field(path, label, List.of("yes"), Field.Kind.YES_NO);
        }

        Field choice(String path, String label, List<String> choices) {
            return field(path, label, choices, Field.Kind.TEXT);
        }

        /** A frame where nothing is said. */
        Field mount(String path, String label) {
            return field(
                    path, label, Arrays.stream(Mount.values()).map(Mount::label).toList(), Field.Kind.SUGGESTED);
        }

        /** One of the sizes, or the name of a shape of its own. */
        Field opening(String path, String label) {
            return field(path, label, Opening.labels(), Field.Kind.SUGGESTED);
        }

        Field millimetres(String path, String label) {
            return field(path, label, List.of(), Field.Kind.MILLIMETRES);
        }
    }
}
