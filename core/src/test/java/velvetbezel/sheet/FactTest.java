package velvetbezel.sheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import velvetbezel.sheet.Provenance.Origin;

class FactTest {
    private static final FieldRef FIELD = new FieldRef("some-car", "plugs[A].colour");

    private static Fact.Known<String> claim(String value, Origin origin) {
        return new Fact.Known<>(value, Provenance.of(origin));
    }

    @Test
    void statedAndAssumedGiveWayToWhatWasMeasured() {
        assertEquals(
                Optional.of("red"),
                Fact.settle(
                                FIELD,
                                List.of(
                                        claim("blue", Origin.STATED),
                                        claim("red", Origin.MEASURED),
                                        claim("pink", Origin.ASSUMED)))
                        .known());
    }

    @Test
    void labelAndCatalogueThatDisagreeAreAConflictUntilAPersonChooses() {
        Fact<String> fact = Fact.settle(
                FIELD, List.of(claim("blue/white", Origin.CATALOGUE), claim("blue/yellow", Origin.PRINTED)));
        assertTrue(fact instanceof Fact.Missing<String> m
                && m.conflicting()
                && m.claims().size() == 2);
    }

    @Test
    void agreeingClaimsStandWithTheStrongestOrigin() {
        Fact<String> fact = Fact.settle(FIELD, List.of(claim("red", Origin.CATALOGUE), claim("red", Origin.MEASURED)));
        assertEquals(Origin.MEASURED, ((Fact.Known<String>) fact).from().origin());
    }

    @Test
    void nothingSaidIsMissingAndNotAConflict() {
        assertTrue(Fact.<String>settle(FIELD, List.of()) instanceof Fact.Missing<String> m && !m.conflicting());
    }
}
