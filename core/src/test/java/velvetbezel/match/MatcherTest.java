package velvetbezel.match;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.function.FunctionId;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Sheet;

class MatcherTest {
    private static final List<Sheet.Radio> RADIOS = List.of(Demo.radio("ondel-47"), Demo.radio("pebblefen-p2"), Demo.radio("tarnlight-minor"));
    private static final List<Sheet.Part> PARTS = allParts();
    private static final Matched MINIBUS = Matcher.match(Demo.minibus(), RADIOS, PARTS, Demo.CATALOGUE);
    private static final Matched CROSSOVER = Matcher.match(Demo.crossover(), RADIOS, PARTS, Demo.CATALOGUE);

    private static List<Sheet.Part> allParts() {
        try (Stream<Path> files = Files.list(Path.of("..", "demo", "parts"))) {
            return files.map(f -> f.getFileName().toString().replace(".json", "")).sorted().map(id -> (Sheet.Part) Demo.sheet(id)).toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Test void bestMinibusKitLosesNothingAndIsTheCheapestSuchKit() {
        Kit best = MINIBUS.kits().get(0);
        assertEquals(List.of(), best.lost());
        assertEquals(List.of("quillmoor-ferryman-frame", "thornlea-iso-steering"), best.parts().stream().map(Sheet::id).toList());
        assertEquals(12900 + 1450 + 1790, best.priceCents());
    }

    @Test void adapterWithoutASteeringTailLosesTheButtons() {
        Kit kit = MINIBUS.kits().stream().filter(k -> k.has("thornlea-iso-tails") && k.has("pebblefen-p2")).findFirst().orElseThrow();
        assertEquals(5, kit.lost().size());
        assertTrue(kit.lost().contains(new FunctionId("button source")));
    }

    @Test void everyKitHoldsTheRadioPlugsIntoTheCarAndHasAnAntennaThatFits() {
        for (Kit kit : CROSSOVER.kits()) {
            assertEquals(1, kit.parts().stream().filter(p -> p.kind() == PartKind.DASH_KIT).count());
            assertEquals(1, kit.parts().stream().filter(p -> p.kind() == PartKind.ANTENNA_ADAPTER).count());
            assertEquals(kit.outcomes().keySet().stream().map(FunctionId::text).collect(Collectors.toSet()), Demo.CATALOGUE.functions().stream().map(f -> f.id().text()).collect(Collectors.toSet()));
        }
    }

    /** Trim decides the harness (common practice): line level cannot drive the plain trim's speakers. */
    @Test void bestKitOfThePlainTrimHasThePlainHarness() {
        Matched plain = Matcher.match(Demo.vehicle("meridale-plover-2019-plain"), RADIOS, PARTS, Demo.CATALOGUE);
        assertTrue(plain.kits().get(0).has("thornlea-plover-plain"), plain.kits().get(0).parts()::toString);
        Kit amplified = plain.kits().stream().filter(k -> k.has("ashdyke-plover-module")).findFirst().orElseThrow();
        assertTrue(amplified.lost().contains(new FunctionId("front left")));
    }

    @Test void everyAddedPartEarnsItsPlace() {
        assertFalse(CROSSOVER.kits().stream().anyMatch(k -> k.has("ashdyke-plover-module") && k.has("ashdyke-bus-power")));
        assertFalse(CROSSOVER.kits().stream().anyMatch(k -> k.has("pebblefen-p2") && k.has("kestwick-bus-interface")));
    }

    @Test void partsThatAreOutSayWhy() {
        Map<String, String> why = MINIBUS.out().stream().collect(Collectors.toMap(Matched.Out::sheet, Matched.Out::why));
        assertEquals("No dash kit here holds a two-DIN radio in the one-DIN opening of this vehicle.", why.get("ondel-47"));
        assertEquals("Made for another vehicle.", why.get("quillmoor-plover-panel"));
        assertEquals("It does not mate with this car's ISO 10487 A plug.", why.get("thornlea-plover-plain"));
        assertEquals("Its 3.5 mm jack finds no partner on the radios that fit.", why.get("kestwick-ladder-interface"));
        assertEquals("Its plugs do not join this car's antenna to a radio that fits.", why.get("marlstone-plover-iso"));
        assertEquals(List.of(), MINIBUS.out().stream().filter(o -> MINIBUS.kits().stream().anyMatch(k -> k.has(o.sheet()))).toList());
    }
}
