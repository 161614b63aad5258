package velvetbezel.identify;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.sheet.AudioSign;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.Trait;

/** Two trims of the crossover that look alike from the front. */
class WhichSystemTest {
    private static final List<Sheet.Vehicle> PLOVERS =
            List.of(Demo.vehicle("meridale-plover-2019-plain"), Demo.crossover());

    private static WhichSystem seen(Map<AudioSign, Boolean> signs) {
        return WhichSystem.of(PLOVERS, new WhichSystem.Seen(signs, Map.of(), Optional.empty()));
    }

    @Test
    void withNothingSeenBothAreAsLikelyAndTheChassisLabelWouldDecide() {
        WhichSystem w = seen(Map.of());
        assertEquals(0.5, w.candidates().get(0).share(), 1e-12);
        assertEquals(Optional.of(new WhichSystem.SignLook(AudioSign.CHASSIS_LABEL)), w.next());
        assertFalse(w.sure());
    }

    /** Bayes by hand: 0.95 × 0.5 against 0.01 × 0.5 is 0.95 / 0.96. */
    @Test
    void labelWithLineOutputsMakesItTheAmplifiedOne() {
        WhichSystem w = seen(Map.of(AudioSign.CHASSIS_LABEL, true));
        assertTrue(w.candidates().get(0).vehicle().amplified());
        assertEquals(0.95 / 0.96, w.candidates().get(0).share(), 1e-12);
        assertTrue(w.sure());
    }

    @Test
    void badgeAloneIsNotSureAndAMissingOneProvesLittle() {
        assertFalse(seen(Map.of(AudioSign.GRILLE_BADGE, true)).sure());
        WhichSystem none = seen(Map.of(AudioSign.GRILLE_BADGE, false));
        assertFalse(none.candidates().get(0).vehicle().amplified());
        assertEquals(0.92 / (0.92 + 0.25), none.candidates().get(0).share(), 1e-12);
    }

    @Test
    void badgeWithALabelOfThePlainRadioIsPlainWithABadgeStuckOn() {
        assertFalse(seen(Map.of(AudioSign.GRILLE_BADGE, true, AudioSign.CHASSIS_LABEL, false))
                .candidates()
                .get(0)
                .vehicle()
                .amplified());
    }

    @Test
    void modelYearOutsideASheetSpeaksAgainstIt() {
        List<Sheet.Vehicle> generations = List.of(
                Demo.vehicle(
                        "meridale-plover-2019-amplified",
                        t -> t.replace("\"years\": [2017, 2020]", "\"years\": [2012, 2016]")),
                Demo.crossover());
        WhichSystem w = WhichSystem.of(generations, new WhichSystem.Seen(Map.of(), Map.of(), Optional.of(2019)));
        assertEquals(2017, w.candidates().get(0).vehicle().fromYear());
        assertTrue(w.sure());
        assertEquals(Optional.empty(), w.next(), "no look at the audio system tells the generations apart");
    }

    @Test
    void oneSheetNeedsNoLookAndNoneGivesNoCandidates() {
        assertTrue(WhichSystem.of(List.of(Demo.minibus()), new WhichSystem.Seen(Map.of(), Map.of(), Optional.empty()))
                .sure());
        assertEquals(
                Optional.empty(),
                WhichSystem.of(List.of(Demo.minibus()), new WhichSystem.Seen(Map.of(), Map.of(), Optional.empty()))
                        .next());
        assertEquals(
                List.of(),
                WhichSystem.of(List.of(), new WhichSystem.Seen(Map.of(), Map.of(), Optional.empty()))
                        .candidates());
    }

    /** Whatever was seen: shares add up to one, and one more sign of an amplifier never makes it less likely. */
    @Test
    void sharesAddUpAndASignOnlySpeaksForIt() {
        Random random = new Random(11);
        for (int i = 0; i < 300; i++) {
            Map<AudioSign, Boolean> signs = new EnumMap<>(AudioSign.class);
            for (AudioSign s : AudioSign.values()) if (random.nextBoolean()) signs.put(s, random.nextBoolean());
            AudioSign more = AudioSign.values()[random.nextInt(AudioSign.values().length)];
            signs.remove(more);
            double before = amplified(seen(signs));
            signs.put(more, true);
            assertTrue(amplified(seen(signs)) >= before);
            assertEquals(
                    1,
                    seen(signs).candidates().stream()
                            .mapToDouble(WhichSystem.Candidate::share)
                            .sum(),
                    1e-9);
        }
    }

    private static double amplified(WhichSystem w) {
        return w.candidates().stream()
                .filter(c -> c.vehicle().amplified())
                .mapToDouble(WhichSystem.Candidate::share)
                .sum();
    }

    /** Same audio system, same face: only the month or the plugs at the back tell the generations apart. */
    @Test
    void generationsThatLookAlikeAreToldByAMonthOrByThePlugs() {
        List<Sheet.Vehicle> alike = List.of(Demo.vehicle("meridale-plover-2014-amplified"), Demo.crossover());
        WhichSystem nothing = WhichSystem.of(
                alike,
                new WhichSystem.Seen(
                        Map.of(AudioSign.CHASSIS_LABEL, true), Map.of(Trait.OPTION_CODE, "U4H"), Optional.empty()));
        assertEquals(0.5, nothing.candidates().get(0).share(), 1e-12);
        assertEquals(Optional.of(new WhichSystem.TraitLook(Trait.BUILT)), nothing.next());
        for (Map<Trait, String> read : List.of(Map.of(Trait.BUILT, "2014-06"), Map.of(Trait.PLUGS, "6"))) {
            WhichSystem told = WhichSystem.of(alike, new WhichSystem.Seen(Map.of(), read, Optional.empty()));
            assertEquals(
                    "meridale-plover-2014-amplified",
                    told.candidates().get(0).vehicle().id());
            assertEquals(0.95, told.candidates().get(0).share(), 1e-12);
        }
    }

    @Test
    void traitThatNoSheetStatesTellsNothing() {
        List<Sheet.Vehicle> silent = List.of(
                Demo.vehicle("meridale-plover-2019-amplified", t -> t.replaceFirst("\"built\": \"[^\"]+\", ", "")),
                Demo.vehicle("meridale-plover-2019-plain", t -> t.replaceFirst("\"built\": \"[^\"]+\", ", "")));
        assertEquals(
                0.5,
                WhichSystem.of(silent, new WhichSystem.Seen(Map.of(), Map.of(Trait.BUILT, "2018-03"), Optional.empty()))
                        .candidates()
                        .get(0)
                        .share(),
                1e-12);
    }

    /** One plug more than the plain version, and three signs looked for in vain (common practice, no source). */
    @Test
    void oneSignAgainstThreeThatAreMissingDoesNotShoutForTheOtherHarness() {
        Map<AudioSign, Boolean> looked = Map.of(
                AudioSign.MORE_PLUGS, true,
                AudioSign.CHASSIS_LABEL, false,
                AudioSign.SPEAKER_PAIRS_MISSING, false,
                AudioSign.SUBWOOFER, false);
        assertEquals(AudioSign.Verdict.AGREES, WhichSystem.verdict(looked, false));
        assertEquals(AudioSign.Verdict.CONTRADICTS, WhichSystem.verdict(looked, true));
        assertEquals(AudioSign.Verdict.CONTRADICTS, WhichSystem.verdict(Map.of(AudioSign.MORE_PLUGS, true), false));
        assertEquals(AudioSign.Verdict.NOTHING_SEEN, WhichSystem.verdict(Map.of(), false));
        assertEquals(
                AudioSign.Verdict.UNDECIDED,
                WhichSystem.verdict(Map.of(AudioSign.MORE_PLUGS, true, AudioSign.GRILLE_BADGE, false), true));
    }
}
