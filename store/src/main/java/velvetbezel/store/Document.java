package velvetbezel.store;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.draft.Attempt;
import velvetbezel.draft.Expander;
import velvetbezel.draft.FactoryRadio;
import velvetbezel.function.Catalogue;
import velvetbezel.harness.Builder;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;
import velvetbezel.worksheet.Tables;

/**
 * A sheet, the catalogue of functions or the workshop's tables, with its JSON text, read and checked. One of the
 * three is there.
 *
 * @param body  the long sheet
 * @param typed the short sheet it was made from, where it was typed short
 */
public record Document(
        String id,
        String kind,
        String name,
        String body,
        Optional<String> typed,
        Optional<Sheet> sheet,
        Optional<Catalogue> catalogue,
        Optional<Tables> tables) {
    /** What the program makes of the lines. */
    private static final List<String> MADE = List.of("plugs", "devices", "wires", "radio", "device");

    /** @throws InvalidInput with every fault */
    public static Document read(String text) {
        Object parsed = Json.parse(text);
        if (!Expander.isShort(parsed)) return read(text, Optional.empty());
        try {
            Object whole = Expander.expand(parsed, StandardArchetypes.all()).tree();
            return read(Json.write(whole), Optional.of(text));
        } catch (InvalidInput e) {
            Attempt attempt = Expander.attempt(parsed, StandardArchetypes.all());
            throw attempt.faults().isEmpty() ? e : new InvalidInput(faults(attempt));
        }
    }

    /** Faults of the lines, and those of the sheet's head: what a bad line leaves behind is no fault of its own. */
    public static List<InputProblem> faults(Attempt attempt) {
        List<InputProblem> faults = new ArrayList<>();
        try {
            SheetReader.read(attempt.tree());
        } catch (InvalidInput e) {
            e.faults().stream()
                    .filter(f -> MADE.stream().noneMatch(f.field()::startsWith))
                    .forEach(faults::add);
        }
        attempt.faults().stream().filter(f -> !faults.contains(f)).forEach(faults::add);
        return faults;
    }

    /** What was given: the short sheet where it was typed short, else the long one. */
    public String source() {
        return typed.orElse(body);
    }

    private static Document read(String body, Optional<String> typed) {
        Object tree = tree(body);
        if (tree instanceof Map<?, ?> map && "functions".equals(map.get("kind"))) {
            Catalogue catalogue = Catalogue.read(tree);
            return new Document(
                    catalogue.id(),
                    "functions",
                    "Functions",
                    body,
                    typed,
                    Optional.empty(),
                    Optional.of(catalogue),
                    Optional.empty());
        }
        if (tree instanceof Map<?, ?> map && Library.TABLES.equals(map.get("kind"))) {
            Tables tables = Tables.read(tree);
            return new Document(
                    Library.TABLES,
                    Library.TABLES,
                    tables.name(),
                    body,
                    typed,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.of(tables));
        }
        Sheet sheet = SheetReader.read(tree);
        List<InputProblem> faults = Builder.faultsOf(sheet);
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        return new Document(
                sheet.id(),
                kind(sheet),
                sheet.name(),
                body,
                typed,
                Optional.of(sheet),
                Optional.empty(),
                Optional.empty());
    }

    /** What a text says, with the factory radio that a vehicle's sheet leaves out. */
    public static Object tree(String body) {
        return FactoryRadio.in(Json.parse(body), StandardArchetypes.all());
    }

    private static String kind(Sheet sheet) {
        return sheet instanceof Sheet.Vehicle ? "vehicle" : sheet instanceof Sheet.Radio ? "radio" : "part";
    }
}
