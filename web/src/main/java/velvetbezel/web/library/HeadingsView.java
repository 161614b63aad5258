package velvetbezel.web.library;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import velvetbezel.sheet.InputProblem;
import velvetbezel.store.Imports;
import velvetbezel.store.PriceListCsv;
import velvetbezel.store.Suppliers;

/**
 * The headings of a price list that are no columns here: what does each stand for?
 *
 * @param suppliers those whose headings are known
 * @param faults    why it cannot be read as it was said
 */
public record HeadingsView(
        String supplier,
        List<String> suppliers,
        List<Heading> headings,
        List<String> columns,
        List<InputProblem> faults) {
    private static final String FIELD = "column";

    /** @param chosen the column it stands for, empty text where it is left out */
    public record Heading(String field, String text, String samples, String chosen) {}

    /** @param typed what a person said last; nothing where nobody has */
    static HeadingsView of(
            Imports.Import intake,
            Imports intakes,
            Suppliers suppliers,
            Map<String, String> typed,
            List<InputProblem> faults) {
        Map<String, String> learned = suppliers.learned(intake.supplier());
        List<Heading> headings = new ArrayList<>();
        for (Imports.Row row : intakes.headings(intake.id())) {
            String field = FIELD + row.line();
            String usual = PriceListCsv.COLUMNS.contains(row.item()) ? row.item() : "";
            headings.add(new Heading(
                    field, row.item(), row.note(), typed.getOrDefault(field, learned.getOrDefault(row.item(), usual))));
        }
        return new HeadingsView(
                typed.getOrDefault("supplier", intake.supplier()),
                suppliers.names(),
                headings,
                PriceListCsv.COLUMNS,
                faults);
    }

    /** Column by heading, as a person said it. */
    static Map<String, String> meanings(List<Imports.Row> headings, Map<String, String> typed) {
        Map<String, String> meanings = new LinkedHashMap<>();
        headings.forEach(row -> {
            String column = typed.getOrDefault(FIELD + row.line(), "");
            meanings.put(row.item(), PriceListCsv.COLUMNS.contains(column) ? column : "");
        });
        return meanings;
    }
}
