package velvetbezel.match;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.function.FunctionId;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;

class MatcherTest {
    private static final List<Sheet.Radio> RADIOS = Demo.all("radios").stream().map(s -> (Sheet.Radio) s).toList();
    private static final List<Sheet.Part> PARTS = Demo.all("parts").stream().map(s -> (Sheet.Part) s).toList();
    private static final Matched MINIBUS = match(Demo.minibus());
    private static final Matched CROSSOVER = match(Demo.crossover());

    private static Matched match(Sheet.Vehicle vehicle) { return Matcher.match(vehicle, RADIOS, PARTS, Demo.CATALOGUE); }

    private static Map<String, String> why(Matched matched) { return matched.out().stream().collect(Collectors.toMap(Matched.Out::sheet, Matched.Out::why)); }

    @Test void bestMinibusKitLosesNothingAndIsTheCheapestSuchKit() {
        Kit best = MINIBUS.kits().get(0);
        assertEquals(List.of(), best.lost());
        assertEquals(List.of("quillmoor-sleeve", "thornlea-iso-steering", "kelfax-microphone"), best.parts().stream().map(Sheet::id).toList());
        assertEquals(12900 + 690 + 1790 + 1200, best.priceCents());
    }

    @Test void adapterWithoutASteeringTailLosesTheButtons() {
        Kit kit = MINIBUS.kits().stream().filter(k -> k.has("thornlea-iso-tails") && k.has("pebblefen-p2")).findFirst().orElseThrow();
        assertEquals(5, kit.lost().stream().filter(f -> f.text().startsWith("button ")).count());
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
        Matched plain = match(Demo.vehicle("meridale-plover-2019-plain"));
        assertTrue(plain.kits().get(0).has("thornlea-plover-plain"), plain.kits().get(0).parts()::toString);
        Kit amplified = plain.kits().stream().filter(k -> k.has("ashdyke-plover-module")).findFirst().orElseThrow();
        assertTrue(amplified.lost().contains(new FunctionId("front left")));
    }

    @Test void everyAddedPartEarnsItsPlace() {
        assertFalse(CROSSOVER.kits().stream().anyMatch(k -> k.has("ashdyke-plover-module") && k.has("ashdyke-bus-power")));
        assertFalse(CROSSOVER.kits().stream().anyMatch(k -> k.has("pebblefen-p2") && k.has("kestwick-bus-interface")));
    }

    /** The factory plug of the van was cut off: no harness adapter is needed, and none fits. */
    @Test void cutHarnessNeedsNoAdapter() {
        Kit best = match(Demo.vehicle("larkfen-porter-2011")).kits().get(0);
        assertTrue(best.parts().stream().noneMatch(p -> p.kind() == PartKind.VEHICLE_HARNESS_ADAPTER));
        assertTrue(best.working().containsAll(List.of(new FunctionId("power"), new FunctionId("front left"), new FunctionId("reception"))));
    }

    /** One-and-a-half-height opening: one-DIN with a pocket keeps the wheel by its own input, two-DIN needs an interface. */
    @Test void oneAndAHalfHeightOpeningTakesEitherSize() {
        Matched regent = match(Demo.vehicle("hasterley-regent-1994"));
        assertTrue(regent.kits().stream().anyMatch(k -> k.has("pebblefen-p2") && k.has("hobwright-regent-pocket") && k.lost().isEmpty()));
        assertTrue(regent.kits().stream().anyMatch(k -> k.has("ondel-47") && k.has("hobwright-regent-two") && k.has("kestwick-ladder-interface")));
    }

    /** The radio that stays: only the screen is offered, the harness with a fibre chamber first. */
    @Test void keptRadioTakesTheScreenWithThePassThroughThatMovesTheFibre() {
        Matched quern = match(Demo.vehicle("brindlow-quern-2013"));
        assertTrue(quern.kits().stream().allMatch(k -> k.radio().screen()));
        assertTrue(quern.kits().get(0).has("ashdyke-quern-through") && quern.kits().get(0).has("marlstone-quern-aux"));
        assertTrue(why(quern).get("ondel-60").startsWith("Too deep: its chassis is 178 mm"), why(quern)::toString);
        assertTrue(why(CROSSOVER).get("ondel-over-9").startsWith("No pass-through harness here goes between"), why(CROSSOVER)::toString);
    }

    /** A harness that feeds nothing, tried first, takes no part away from the kits of the others. */
    @Test void uselessHarnessSpoilsNoOtherKit() {
        Sheet.Part dead = (Sheet.Part) SheetReader.read(Demo.parse(Demo.text("thornlea-iso-steering").replace("thornlea-iso-steering", "aaa-dead-adapter").replaceAll("\\{\"position\": (\\d), \"role\"[^}]*}", "{\"position\": $1, \"empty\": true}")));
        Kit best = Matcher.match(Demo.minibus(), RADIOS, Stream.concat(Stream.of(dead), PARTS.stream()).toList(), Demo.CATALOGUE).kits().get(0);
        assertEquals(MINIBUS.kits().get(0).parts().stream().map(Sheet::id).toList(), best.parts().stream().map(Sheet::id).toList());
    }

    @Test void partsThatAreOutSayWhy() {
        Map<String, String> why = why(MINIBUS);
        assertEquals("No dash kit here holds a two-DIN radio in the one-DIN opening of this vehicle.", why.get("ondel-47"));
        assertEquals("Made for another vehicle.", why.get("quillmoor-plover-panel"));
        assertEquals("It does not mate with this car's ISO 10487 A plug.", why.get("thornlea-plover-plain"));
        assertEquals("Its 3.5 mm jack finds no partner on this car or the radios that fit.", why.get("kestwick-ladder-interface"));
        assertEquals("Its plugs do not join this car's antenna to a radio that fits.", why.get("marlstone-plover-iso"));
        assertEquals("This car's own accessory serves; it brings nothing more.", why.get("ashdyke-bus-power"));
        assertEquals("Too deep: its chassis is 178 mm, and there is 165 mm behind the opening.", why(CROSSOVER).get("ondel-60"));
        assertEquals("Brings no more here than the Kelfax microphone with 3 m lead.", why.get("marlstone-flush-microphone"));
        assertEquals(List.of(), MINIBUS.out().stream().filter(o -> MINIBUS.kits().stream().anyMatch(k -> k.has(o.sheet()))).toList());
    }
}
