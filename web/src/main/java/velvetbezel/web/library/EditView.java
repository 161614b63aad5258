package velvetbezel.web.library;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.drawing.PlugDrawing;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.PlugFamily;
import velvetbezel.sheet.Position;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetTree;

/** The plugs of a sheet as drawings, and the form of the position that was picked. */
public record EditView(
        String id,
        String name,
        String shelf,
        int revision,
        List<Face> faces,
        Optional<Form> form,
        List<String> roles,
        List<String> terminals,
        List<String> origins,
        List<InputProblem> faults) {
    /** @param chosen number of the position in hand, or empty text */
    public record Face(String plug, String heading, PlugDrawing drawing, String chosen) {}

    /** @param claims what is said of the colour, where more than one thing is */
    public record Form(
            String plug,
            String position,
            String heading,
            boolean vehicle,
            boolean empty,
            String role,
            String to,
            String colour,
            String gauge,
            String from,
            String by,
            List<String> claims) {}

    /** The side that a person with the plug in the hand looks at. */
    private static PlugDrawing drawing(Sheet sheet, Plug plug) {
        return sheet instanceof Sheet.Vehicle v
                ? PlugDrawing.of(plug, v.family(plug), PlugFamily.Side.WIRE_SIDE)
                : PlugDrawing.of(plug);
    }

    static EditView of(
            Sheet sheet,
            String shelf,
            Object tree,
            int revision,
            String plug,
            String position,
            Optional<Editing.Typed> typed,
            List<InputProblem> faults) {
        List<Plug> plugs = Editing.plugs(sheet);
        List<Face> faces = plugs.stream()
                .map(p -> new Face(p.id(), heading(p), drawing(sheet, p), p.id().equals(plug) ? position : ""))
                .toList();
        Optional<Form> form = plugs.stream()
                .filter(p -> p.id().equals(plug))
                .findFirst()
                .flatMap(p -> p.at(position))
                .map(p -> typed.map(t -> form(sheet, t)).orElseGet(() -> form(sheet, plug, p, tree)));
        return new EditView(
                sheet.id(),
                sheet.name(),
                shelf,
                revision,
                faces,
                form,
                Arrays.stream(LeadRole.values()).map(LeadRole::label).toList(),
                terminals(sheet),
                Arrays.stream(Provenance.Origin.values())
                        .map(Provenance.Origin::word)
                        .toList(),
                faults);
    }

    private static String heading(Plug p) {
        return "%s: %s".formatted(p.id().length() == 1 ? "Plug " + p.id() : p.id(), p.family());
    }

    private static Form form(Sheet sheet, String plug, Position p, Object tree) {
        Object said = SheetTree.get(tree, Editing.path(sheet, plug, p.number())).orElse(Map.of());
        List<Object> claims = Editing.claims(said, "colour");
        return new Form(
                plug,
                p.number(),
                "Position %s".formatted(plug.length() == 1 ? plug + p.number() : p.number()),
                sheet instanceof Sheet.Vehicle,
                p.empty(),
                p.carries().map(LeadRole::words).orElse(""),
                p.to().orElse(""),
                Editing.shown(at(said, "colour")),
                Editing.shown(at(said, "gauge")),
                "measured",
                "",
                claims.size() < 2
                        ? List.of()
                        : claims.stream().map(EditView::words).toList());
    }

    private static Object at(Object position, String field) {
        return position instanceof Map<?, ?> map ? map.get(field) : null;
    }

    private static Form form(Sheet sheet, Editing.Typed t) {
        return new Form(
                t.plug(),
                t.position(),
                "Position %s".formatted(t.plug().length() == 1 ? t.plug() + t.position() : t.position()),
                sheet instanceof Sheet.Vehicle,
                t.empty(),
                t.role(),
                t.to(),
                t.colour(),
                t.gauge(),
                t.from(),
                t.by(),
                List.of());
    }

    private static String words(Object claim) {
        if (!(claim instanceof Map<?, ?> map)) return String.valueOf(claim);
        return "%s (%s%s)"
                .formatted(map.get("value"), map.get("from"), map.get("by") == null ? "" : " by " + map.get("by"));
    }

    private static List<String> terminals(Sheet sheet) {
        if (!(sheet instanceof Sheet.Vehicle v)) return List.of();
        List<String> names = new ArrayList<>();
        for (Device d : v.devices()) d.terminals().forEach(t -> names.add(d.id() + "." + t));
        return names;
    }
}
