package velvetbezel.match;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;

class MatcherTest {
    private static final List<Sheet.Radio> RADIOS =
            Demo.all("radios").stream().map(s -> (Sheet.Radio) s).toList();
    private static final List<Sheet.Part> PARTS =
            Demo.all("parts").stream().map(s -> (Sheet.Part) s).toList();
    /** What a crossover with a factory amplifier can be given here, without what only takes time to compare. */
    private static final List<Sheet.Part> CROSSOVER_PARTS = PARTS.stream()
            .filter(p -> p.kind() != PartKind.GROUND_LOOP_ISOLATOR
                    && p.kind() != PartKind.CAMERA
                    && !p.id().contains("2014")
                    && !p.id().contains("ladder"))
            .toList();

    /** One car with all its radios, asked again and again. */
    private record Counter(Sheet.Vehicle vehicle, List<RadioMatch> radios, List<Sheet.Part> parts) {
        static Counter of(Sheet.Vehicle vehicle, List<Sheet.Part> parts, Predicate<Sheet.Radio> wanted) {
            Installation factory = Builder.factory(vehicle);
            Set<FunctionId> had = Outcomes.fulfilled(factory, Demo.CATALOGUE);
            return new Counter(
                    vehicle,
                    RadioMatch.of(
                            factory,
                            vehicle,
                            RADIOS.stream().filter(wanted).toList(),
                            parts,
                            Demo.CATALOGUE,
                            had,
                            KitDecisions.NONE),
                    parts);
        }

        Matched ask(Wishes wishes) {
            return Matcher.match(radios, wishes, Market.SHEETS);
        }

        Map<String, String> why(Wishes wishes) {
            return Matcher.out(
                            vehicle,
                            radios,
                            parts,
                            Demo.CATALOGUE,
                            KitDecisions.NONE,
                            wishes,
                            Market.SHEETS,
                            ask(wishes).kits())
                    .stream()
                    .collect(Collectors.toMap(Matched.Out::sheet, Matched.Out::why));
        }
    }

    private static final Counter MINIBUS = Counter.of(Demo.minibus(), PARTS, r -> true);
    private static final Counter CROSSOVER = Counter.of(
            Demo.crossover(),
            CROSSOVER_PARTS,
            r -> r.id().equals("ondel-47") || r.id().equals("pebblefen-p2") || r.id().equals("ondel-over-9"));

    private static Wishes musts(String... functions) {
        return new Wishes(ids(functions), Set.of(), Optional.empty());
    }

    private static Wishes wanted(String... functions) {
        return new Wishes(Set.of(), ids(functions), Optional.empty());
    }

    private static Set<FunctionId> ids(String... functions) {
        return Arrays.stream(functions).map(FunctionId::new).collect(Collectors.toSet());
    }

    private static Sheet.Part find(String id) {
        return PARTS.stream().filter(p -> p.id().equals(id)).findFirst().orElseThrow();
    }

    private static List<String> parts(Kit kit) {
        return kit.parts().stream().map(Sheet::id).toList();
    }

    @Test
    void accessoryComesFromAModuleOrFromTheIgnitionSwitchWhichIsCheaperAndSlower() {
        List<Kit> kits = CROSSOVER.ask(musts("power")).kits().stream()
                .filter(k -> k.has("ondel-47"))
                .toList();
        Kit module = kits.stream()
                .filter(k -> parts(k).contains("ashdyke-bus-power") && !parts(k).contains("ashdyke-plover-module"))
                .findFirst()
                .orElseThrow();
        Kit lead = kits.stream()
                .filter(k -> parts(k).contains("thornlea-ignition-lead"))
                .findFirst()
                .orElseThrow();
        assertEquals(
                950 - 5800,
                Market.SHEETS.cents(find("thornlea-ignition-lead")).orElseThrow()
                        - Market.SHEETS.cents(find("ashdyke-bus-power")).orElseThrow());
        assertEquals(
                10 + 20,
                Market.SHEETS
                        .of(Demo.crossover(), find("thornlea-ignition-lead"))
                        .minutes(),
                "the lead and the way to the switch");
        assertTrue(
                module.working().contains(new FunctionId("retained power"))
                        && !lead.working().contains(new FunctionId("retained power")),
                "the bus holds the accessory until a door opens, the switch does not");
    }

    @Test
    void bracketsCanBeMadeOrBought() {
        Counter wedding = Counter.of(Demo.vehicle("hasterley-regent-1994"), PARTS, r -> r.id().equals("pebblefen-p2"));
        List<Kit> kits = wedding.ask(Wishes.NONE).kits();
        Kit made = kits.stream()
                .filter(k -> k.has("saltgate-regent-brackets"))
                .findFirst()
                .orElseThrow();
        assertTrue(kits.stream()
                .anyMatch(k -> k.has("hobwright-regent-pocket")
                        && k.cost().cents() == made.cost().cents() + 2100
                        && k.cost().minutes() == made.cost().minutes() - 180));
    }

    @Test
    void bestMinibusKitLosesNothingAndHasNothingThatNobodyWished() {
        Kit best = MINIBUS.ask(Wishes.NONE).kits().get(0);
        assertEquals(Set.of(), best.lost());
        assertEquals(List.of("quillmoor-sleeve", "thornlea-iso-steering"), parts(best));
        assertEquals(new Cost(12900 + 690 + 1790, 45, 0, 0), best.cost());
    }

    @Test
    void wishForHandsFreeBringsTheMicrophone() {
        Kit best = MINIBUS.ask(wanted("hands-free", "microphone")).kits().get(0);
        assertTrue(parts(best).contains("kelfax-microphone"), best::toString);
    }

    @Test
    void adapterWithoutASteeringTailIsCheaperAndLosesTheButtons() {
        Kit kit = MINIBUS.ask(Wishes.NONE).kits().stream()
                .filter(k -> k.has("thornlea-iso-tails") && k.has("pebblefen-p2"))
                .findFirst()
                .orElseThrow();
        assertEquals(
                5,
                kit.lost().stream().filter(f -> f.text().startsWith("button ")).count());
    }

    @Test
    void mustIsNeverGivenUpAndWeighsMoreThanMoney() {
        assertTrue(MINIBUS.ask(musts("button next")).kits().stream()
                .allMatch(k -> k.working().contains(new FunctionId("button next"))));
        assertTrue(CROSSOVER.ask(musts("subwoofer")).kits().stream()
                .noneMatch(k -> k.lost().contains(new FunctionId("subwoofer"))));
    }

    /** A lead past the factory amplifier costs the subwoofer its channel (common practice, no source). */
    @Test
    void whoInsistsOnTheSubwooferGetsNoBypass() {
        String why = CROSSOVER.why(musts("subwoofer")).get("hobwright-plover-bypass");
        assertTrue(why.contains("subwoofer") || why.contains("keeps nothing more"), why);
        assertTrue(CROSSOVER.ask(musts("subwoofer")).kits().stream().noneMatch(k -> k.has("hobwright-plover-bypass")));
    }

    @Test
    void keptRadioWithoutItsAuxLeadStaysSilentOnThePhone() {
        Counter without = Counter.of(
                Demo.vehicle("brindlow-quern-2013"),
                PARTS.stream().filter(p -> p.kind() != PartKind.AUX_ADAPTER).toList(),
                Sheet.Radio::screen);
        assertTrue(without.ask(wanted("phone sound")).kits().stream()
                .noneMatch(k -> k.working().contains(new FunctionId("phone sound"))));
        Counter with = Counter.of(Demo.vehicle("brindlow-quern-2013"), PARTS, Sheet.Radio::screen);
        Kit best = with.ask(wanted("phone sound")).kits().get(0);
        assertTrue(
                best.working().contains(new FunctionId("phone sound"))
                        && best.has("marlstone-quern-aux")
                        && best.has("ashdyke-quern-through"),
                best::toString);
    }

    /** The car's aux socket and the emergency call both need the radio's one aux input. */
    @Test
    void twoWishesForOneAuxInputCannotBothBeMet() {
        assertFalse(CROSSOVER.ask(musts("aux")).kits().isEmpty());
        assertFalse(CROSSOVER.ask(musts("telematics voice")).kits().isEmpty());
        Matched both = CROSSOVER.ask(musts("aux", "telematics voice"));
        assertEquals(List.of(), both.kits());
        assertEquals(
                List.of(List.of(new FunctionId("aux")), List.of(new FunctionId("telematics voice"))),
                both.giveUp().stream().map(GiveUp::musts).toList());
    }

    @Test
    void budgetBelowTheTwoDinPanelLeavesTheOneDinRadioWithAPocket() {
        Matched matched = CROSSOVER.ask(new Wishes(Set.of(), Set.of(), Optional.of(44000L)));
        assertFalse(matched.kits().isEmpty());
        assertTrue(matched.kits().stream()
                .allMatch(k -> k.has("pebblefen-p2")
                        && k.has("quillmoor-plover-pocket")
                        && k.cost().cents() <= 44000));
    }

    @Test
    void whereTheBudgetForbidsAMustBothAreNamed() {
        Matched matched = CROSSOVER.ask(new Wishes(ids("rear camera"), Set.of(), Optional.of(40000L)));
        assertEquals(List.of(), matched.kits());
        assertTrue(
                matched.giveUp().stream()
                        .anyMatch(g -> g.budget()
                                && g.musts().isEmpty()
                                && g.kit().cost().cents() > 40000),
                matched::toString);
        assertTrue(matched.giveUp().stream()
                .anyMatch(g -> !g.budget() && g.musts().equals(List.of(new FunctionId("rear camera")))));
    }

    /** Accessory is no wire in this car's plug: a module makes it from the bus (common practice, no source). */
    @Test
    void missingAccessoryComesFromAModuleAndWaitsForItOrFromTheIgnitionSwitchAtOnce() {
        Market out = new Market(Map.of(), Map.of("ashdyke-bus-power", 4, "ashdyke-plover-module", 4));
        Matched matched = Matcher.match(CROSSOVER.radios, musts("power"), out);
        assertTrue(matched.kits().stream()
                .anyMatch(k -> k.has("thornlea-ignition-lead") && k.cost().days() == 0));
        assertTrue(matched.kits().stream()
                .filter(k -> k.has("ashdyke-plover-module"))
                .allMatch(k -> k.cost().days() == 4));
    }

    @Test
    void substituteTellsWhatItCostsInFunctions() {
        RadioMatch ondel = CROSSOVER.radios.stream()
                .filter(r -> r.radio().id().equals("ondel-47"))
                .findFirst()
                .orElseThrow();
        Kit kit = CROSSOVER.ask(Wishes.NONE).kits().get(0);
        Sheet.Part antenna = kit.parts().stream()
                .filter(p -> p.id().equals("marlstone-plover-iso-fed"))
                .findFirst()
                .orElseThrow();
        RadioMatch.Swap plain = ondel.swaps(kit, antenna, Wishes.NONE, Market.SHEETS).stream()
                .filter(s -> s.part()
                        .filter(p -> p.id().equals("marlstone-plover-iso"))
                        .isPresent())
                .findFirst()
                .orElseThrow();
        assertEquals(ids("antenna feed", "reception"), Set.copyOf(plain.lost()));
        assertEquals(-650, plain.kit().cost().cents() - kit.cost().cents());
    }

    /** Trim decides the harness (common practice): line level cannot drive the plain trim's speakers. */
    @Test
    void bestKitOfThePlainTrimHasThePlainHarness() {
        Counter plain = Counter.of(
                Demo.vehicle("meridale-plover-2019-plain"), CROSSOVER_PARTS, r -> r.id().equals("pebblefen-p2"));
        assertTrue(plain.ask(Wishes.NONE).kits().get(0).has("thornlea-plover-plain"));
    }

    /** The factory plug of the van was cut off: no harness adapter is needed, and none fits. */
    @Test
    void cutHarnessNeedsNoAdapter() {
        Kit best = Counter.of(Demo.vehicle("larkfen-porter-2011"), PARTS, r -> r.id().equals("pebblefen-p2"))
                .ask(Wishes.NONE)
                .kits()
                .get(0);
        assertTrue(best.parts().stream().noneMatch(p -> p.kind() == PartKind.VEHICLE_HARNESS_ADAPTER));
        assertTrue(best.working().containsAll(ids("power", "front left", "reception")));
    }

    /** A radio with the standard's plugs goes into a car with the standard's plugs as it is (ISO 10487). */
    @Test
    void radioWithTheCarsOwnPlugsNeedsNoHarness() {
        assertTrue(MINIBUS.ask(Wishes.NONE).kits().stream()
                .anyMatch(k -> k.has("tarnlight-major")
                        && k.parts().stream().noneMatch(p -> p.kind() == PartKind.VEHICLE_HARNESS_ADAPTER)));
    }

    /** A harness that feeds nothing takes no part away from the kits of the others. */
    @Test
    void uselessHarnessSpoilsNoOtherKit() {
        Sheet.Part dead = (Sheet.Part) SheetReader.read(Demo.parse(Demo.text("thornlea-iso-steering")
                .replace("thornlea-iso-steering", "aaa-dead-adapter")
                .replaceAll("\\{\"position\": (\\d), \"role\"[^}]*}", "{\"position\": $1, \"empty\": true}")));
        List<Sheet.Part> parts = new ArrayList<>(PARTS);
        parts.add(0, dead);
        assertEquals(
                parts(MINIBUS.ask(Wishes.NONE).kits().get(0)),
                parts(Counter.of(Demo.minibus(), parts, r -> r.id().equals("pebblefen-p2"))
                        .ask(Wishes.NONE)
                        .kits()
                        .get(0)));
    }

    @Test
    void partsThatAreOutSayWhy() {
        Map<String, String> why = MINIBUS.why(Wishes.NONE);
        assertEquals(
                "No dash kit here holds a two-DIN radio in the one-DIN opening of this vehicle.", why.get("ondel-47"));
        assertEquals("Too deep: its chassis is 178 mm, and there is 170 mm behind the opening.", why.get("ondel-60"));
        assertEquals("Made for another vehicle.", why.get("quillmoor-plover-panel"));
        assertEquals("It does not mate with this car's ISO 10487 A plug.", why.get("thornlea-plover-plain"));
        assertEquals(
                "Its 3.5 mm jack finds no partner on this car or the radios that fit.",
                why.get("kestwick-bus-interface"));
        assertEquals("Its plugs do not join this car's antenna to a radio that fits.", why.get("marlstone-plover-iso"));
        assertEquals(
                "The best kit with it is 13.10 dearer than one without it, and keeps nothing more that is asked for.",
                why.get("hobwright-iso-exchanged"));
        assertEquals(
                "Does the same here as the Quillmoor one-DIN sleeve with tabs and keys, and is 7.60 dearer.",
                why.get("quillmoor-ferryman-frame"));
        assertEquals(
                "48 mm too wide for the opening it comes through.",
                CROSSOVER.why(Wishes.NONE).get("ondel-over-9"));
    }

    @Test
    void everySheetIsInAKitOrSaysWhy() {
        Matched matched = MINIBUS.ask(Wishes.NONE);
        Set<String> said = MINIBUS.why(Wishes.NONE).keySet();
        for (Sheet.Part p : PARTS)
            assertTrue(said.contains(p.id()) != matched.kits().stream().anyMatch(k -> k.has(p.id())), p.id());
    }

    /** The same strip-down serves them all: another day it is paid again (common practice). */
    @Test
    void extraCostsTheOpeningAgainOnAnotherDay() {
        RadioMatch pebblefen = MINIBUS.radios.stream()
                .filter(r -> r.radio().id().equals("pebblefen-p2"))
                .findFirst()
                .orElseThrow();
        Kit kit = MINIBUS.ask(Wishes.NONE).kits().get(0);
        List<ExtraWork> extras = ExtraWork.of(
                kit, pebblefen.additions(kit, Wishes.NONE, Market.SHEETS), Market.SHEETS, Optional.empty());
        ExtraWork microphone = extras.stream()
                .filter(e ->
                        e.part().filter(p -> p.id().equals("kelfax-microphone")).isPresent())
                .findFirst()
                .orElseThrow();
        assertEquals(
                List.of(1200L, 25L, 25L + 15 + 20),
                List.of(microphone.cents().orElseThrow(), (long) microphone.now(), (long) microphone.later()));
        assertEquals(List.of(new FunctionId("hands-free"), new FunctionId("microphone")), microphone.brings());
        assertTrue(extras.stream().allMatch(e -> e.later() > e.now()));
        assertTrue(extras.stream()
                .noneMatch(e ->
                        e.part().filter(p -> p.id().equals("kelfax-aux-socket")).isPresent()
                                && e.brings().isEmpty()));
    }
}
