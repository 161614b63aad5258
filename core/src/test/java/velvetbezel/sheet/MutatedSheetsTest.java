package velvetbezel.sheet;

import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import velvetbezel.Demo;
import velvetbezel.function.Catalogue;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;

/**
 * A thousand seeded mutations of good sheets: each is refused with field and message, or accepted whole, which
 * means that it can be built, and a vehicle run.
 */
class MutatedSheetsTest {
    private static final int EACH = 200;
    /** Enough functions to pass through key, lamps and corners. */
    private static final Catalogue BRIEF =
            new Catalogue("brief", Demo.CATALOGUE.functions().subList(0, 8));

    @ParameterizedTest
    @ValueSource(
            strings = {
                "corrick-ferryman-2006",
                "meridale-plover-2019-amplified",
                "ondel-47",
                "ashdyke-plover-module",
                "kestwick-ladder-interface"
            })
    void mutatedSheetIsRefusedInWordsOrCanBeBuiltAndRun(String id) {
        int refused = 0;
        for (int seed = 0; seed < EACH; seed++) {
            Random random = new Random(seed * 31L + id.hashCode());
            Object tree = Demo.tree(id);
            String what = Mutation.in(tree, random);
            try {
                use(SheetReader.read(tree));
            } catch (InvalidInput e) {
                refused++;
                e.faults()
                        .forEach(f ->
                                assertFalse(f.field().isBlank() || f.message().isBlank(), what));
            } catch (RuntimeException e) {
                throw new AssertionError("seed %d, %s".formatted(seed, what), e);
            }
        }
        assertTrue(refused > EACH / 3, refused + " of " + EACH + " were refused");
    }

    private static void use(Sheet sheet) {
        Builder.faultsOf(sheet);
        if (sheet instanceof Sheet.Vehicle v) Outcomes.fulfilled(Builder.factory(v), BRIEF);
        if (sheet instanceof Sheet.Radio r) Builder.replacement(Demo.crossover(), r, List.of());
        if (sheet instanceof Sheet.Part p) Builder.replacement(Demo.crossover(), Demo.radio("ondel-47"), List.of(p));
    }
}
