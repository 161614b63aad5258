package velvetbezel.web.library;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import velvetbezel.function.Catalogue;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetTree;
import velvetbezel.store.Document;
import velvetbezel.store.Json;
import velvetbezel.store.Library;
import velvetbezel.store.StandardArchetypes;

/**
 * Sheets that were typed with another revision of the catalogue, and what today's would change.
 *
 * @param same ids of those that it changes nothing of
 */
public record CatalogueView(String revision, List<Line> lines, List<String> same) {
    private static final int MOST_PLACES = 6;

    /** @param would what would change, in words; @param refused why today's catalogue does not read it */
    public record Line(String id, String name, String catalogue, List<String> would, List<InputProblem> refused) {}

    static CatalogueView of(Library library) {
        List<Library.Outdated> all = library.outdated();
        return new CatalogueView(
                StandardArchetypes.all().revision(),
                all.stream()
                        .filter(o -> !o.changesNothing())
                        .map(o -> line(o, library.catalogue()))
                        .toList(),
                all.stream()
                        .filter(Library.Outdated::changesNothing)
                        .map(Library.Outdated::id)
                        .toList());
    }

    private static Line line(Library.Outdated o, Catalogue functions) {
        List<String> would =
                o.asItWould().map(d -> changes(o.asItIs(), d, functions)).orElse(List.of());
        return new Line(o.id(), o.asItIs().name(), o.catalogue(), would, o.faults());
    }

    private static List<String> changes(Document before, Document after, Catalogue functions) {
        List<String> changes = new ArrayList<>();
        if (before.sheet().orElse(null) instanceof Sheet.Vehicle v
                && after.sheet().orElse(null) instanceof Sheet.Vehicle w) {
            Set<FunctionId> had = Set.copyOf(Outcomes.fulfilled(Builder.factory(v), functions));
            Set<FunctionId> has = Set.copyOf(Outcomes.fulfilled(Builder.factory(w), functions));
            had.stream()
                    .filter(f -> !has.contains(f))
                    .map(f -> "no longer " + name(f, functions))
                    .sorted()
                    .forEach(changes::add);
            has.stream()
                    .filter(f -> !had.contains(f))
                    .map(f -> "now also " + name(f, functions))
                    .sorted()
                    .forEach(changes::add);
            if (changes.isEmpty()) changes.add("the same functions");
        }
        List<SheetTree.Difference> places = SheetTree.differences(Json.parse(before.body()), Json.parse(after.body()));
        places.stream().limit(MOST_PLACES).map(SheetTree.Difference::path).forEach(changes::add);
        if (places.size() > MOST_PLACES) changes.add("and %d places more".formatted(places.size() - MOST_PLACES));
        return changes;
    }

    private static String name(FunctionId id, Catalogue functions) {
        return functions.find(id).map(f -> f.name()).orElse(id.text());
    }
}
