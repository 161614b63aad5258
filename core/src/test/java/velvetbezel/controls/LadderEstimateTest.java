package velvetbezel.controls;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static velvetbezel.controls.LadderTest.ladder;
import static velvetbezel.controls.LadderTest.ladderOf;
import static velvetbezel.controls.LadderTest.reader;
import static velvetbezel.controls.LadderTest.spread;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What readings at the plug say of ring and buttons. */
class LadderEstimateTest {
    private static final double OPEN = Double.POSITIVE_INFINITY;
    private static final double[] FIVE = {100, 220, 470, 1000, 2200};
    private static final ButtonLadder LADDER = ladder(reader(5, 1500), OPEN, FIVE);

    private static KeyReadings readings(double... ohms) {
        Map<String, List<Double>> all = new HashMap<>();
        for (int i = 0; i < ohms.length; i++) if (ohms[i] >= 0) all.put("button " + (i + 1), List.of(ohms[i]));
        return new KeyReadings(all);
    }

    private static LadderVerdict verdict(double... ohms) {
        return LadderVerdict.of(LADDER, readings(ohms));
    }

    private static List<String> odd(LadderVerdict verdict) {
        return verdict.estimate().orElseThrow().odd().stream()
                .map(LadderEstimate.Odd::button)
                .toList();
    }

    /** A car of this ladder: parts and meter evenly within their limits. */
    private static double[] drawn(Random random, double tolerance, double contact, int odd, double factor) {
        double[] ohms = new double[FIVE.length];
        for (int i = 0; i < ohms.length; i++) {
            double part = FIVE[i] * spread(random, tolerance) * (i == odd ? factor : 1) + contact;
            ohms[i] = part + (0.008 * part + 0.3) * (2 * random.nextDouble() - 1);
        }
        return ohms;
    }

    @Test
    void contactIsFoundWithinTwoSigmaInMostCarsAndNoButtonIsBlamed() {
        Random random = new Random(11);
        int inside = 0;
        int blamed = 0;
        double squares = 0;
        for (int i = 0; i < 1000; i++) {
            double contact = 60 * random.nextDouble();
            LadderEstimate e = LadderEstimate.of(LADDER, readings(drawn(random, 0.05, contact, -1, 1)));
            double error = e.contact() - contact;
            squares += error * error;
            if (Math.abs(error) < e.twoSigma()) inside++;
            if (!e.odd().isEmpty()) blamed++;
        }
        assertTrue(inside > 940, inside + " of 1000 inside two sigma");
        assertTrue(blamed <= 5, blamed + " of 1000 sound wheels blamed");
        assertTrue(Math.sqrt(squares / 1000) < 3.2, "off by %.1f Ω rms".formatted(Math.sqrt(squares / 1000)));
    }

    @Test
    void buttonThirtyToHundredPercentOffIsNamed() {
        Random random = new Random(23);
        int named = 0;
        int wrong = 0;
        for (int i = 0; i < 1000; i++) {
            int odd = random.nextInt(5);
            double factor = 1.3 + 0.7 * random.nextDouble();
            List<String> found =
                    LadderEstimate.of(LADDER, readings(drawn(random, 0.05, 20 * random.nextDouble(), odd, factor)))
                            .odd()
                            .stream()
                            .map(LadderEstimate.Odd::button)
                            .toList();
            if (found.equals(List.of("button " + (odd + 1)))) named++;
            else if (!found.isEmpty()) wrong++;
        }
        assertTrue(named > 970, named + " of 1000 named");
        assertTrue(wrong < 15, wrong + " of 1000 wrong");
    }

    /** All readings more by some ohms: the contact more by as many, and no button odd for it. */
    @Test
    void moreOnEveryReadingIsMoreContact() {
        LadderEstimate a = LadderEstimate.of(LADDER, readings(101, 218, 474, 996, 2210));
        LadderEstimate b = LadderEstimate.of(LADDER, readings(111, 228, 484, 1006, 2220));
        assertEquals(a.contact() + 10, b.contact(), 0.15);
        assertEquals(List.of(), b.odd());
    }

    @Test
    void soundWheelReadsRight() {
        assertEquals(
                LadderVerdict.Kind.READS_RIGHT,
                verdict(101, 222, 468, 1004, 2190).kind());
    }

    @Test
    void fortyOhmsInTheRingAreLearnedAgain() {
        LadderVerdict v = verdict(140, 260, 510, 1040, 2240);
        assertEquals(LadderVerdict.Kind.LEARN_AGAIN, v.kind());
        assertEquals(40, v.estimate().orElseThrow().contact(), 5);
        assertTrue(v.again().orElseThrow().first().orElseThrow().more().value() > 0);
    }

    @Test
    void hundredAndFiftyOhmsInTheRingAreCleanedAway() {
        assertEquals(
                LadderVerdict.Kind.CLEAN_RING,
                verdict(250, 370, 620, 1150, 2350).kind());
    }

    @Test
    void ringThatWobblesIsCleanedThoughItsBestIsGood() {
        Map<String, List<Double>> turned =
                new HashMap<>(readings(100, 220, 470, 1000, 2200).ohms());
        turned.put("button 1", List.of(100.0, 158.0, 101.0));
        LadderVerdict v = LadderVerdict.of(LADDER, new KeyReadings(turned));
        assertEquals(58, v.estimate().orElseThrow().wobble(), 1e-9);
        assertEquals(LadderVerdict.Kind.CLEAN_RING, v.kind());
    }

    @Test
    void oddButtonThatTakesItsNeighboursPlaceIsRepaired() {
        LadderVerdict v = verdict(100, 220, 985, 1000, 2200);
        assertEquals(List.of("button 3"), odd(v));
        assertEquals(LadderVerdict.Kind.REPAIR_BUTTON, v.kind());
    }

    @Test
    void oddButtonWithRoomOfItsOwnIsOnlyLearnedAgain() {
        LadderVerdict v = verdict(100, 220, 640, 1000, 2200);
        assertEquals(List.of("button 3"), odd(v));
        assertEquals(LadderVerdict.Kind.LEARN_AGAIN, v.kind());
    }

    @Test
    void buttonThatDoesNotCloseIsRepaired() {
        LadderVerdict v = verdict(100, 220, OPEN, 1000, 2200);
        assertEquals(List.of("button 3"), odd(v));
        assertEquals(LadderVerdict.Kind.REPAIR_BUTTON, v.kind());
    }

    @Test
    void readingsOfAnotherWheelAreNoneOfThisLadder() {
        assertEquals(
                LadderVerdict.Kind.NOT_THIS_LADDER,
                verdict(0, 750, 1500, 3300, 8200).kind());
    }

    @ParameterizedTest
    @CsvSource({"0.4, WIRE_SHORTED", "Infinity, WIRE_OPEN"})
    void sameOnAllButtonsIsTheWire(double ohms, LadderVerdict.Kind kind) {
        assertEquals(kind, verdict(ohms, ohms, ohms, ohms, ohms).kind());
    }

    @Test
    void withoutReadingsNothingIsSaid() {
        assertEquals(LadderVerdict.Kind.UNKNOWN, verdict().kind());
    }

    /** Two readings give a contact; which button is odd they cannot tell. */
    @Test
    void twoReadingsNameNoOddButton() {
        assertEquals(List.of(), LadderEstimate.of(LADDER, readings(100, 400)).odd());
    }

    /** With three buttons and one far off, either of two can be the odd one: both are said. */
    @Test
    void whatCannotBeToldApartIsSaid() {
        ButtonLadder three = ladderOf(reader(5, 1500), 0.05, OPEN, 150, 160, 2700);
        LadderEstimate e = LadderEstimate.of(three, readings(150, 300, 2700));
        assertEquals(1, e.odd().size());
        assertEquals(1, e.cannotTell().size());
        assertTrue(e.chi2() >= 0);
    }

    /** In a chain the first resistor is in series with every button, as the ring is. */
    @Test
    void firstResistorOfAChainLooksLikeTheRing() {
        List<Rung> rungs = new ArrayList<>(List.of(new Rung(Rung.REST, 4000)));
        double[] chain = {100, 250, 470, 800, 1270};
        for (int i = 0; i < chain.length; i++) rungs.add(new Rung("button " + (i + 1), chain[i]));
        ButtonLadder series = new ButtonLadder(reader(5, 1000), rungs, true, 0.05, false);
        LadderEstimate first = LadderEstimate.of(series, readings(150, 300, 520, 850, 1320));
        assertEquals(List.of(), first.odd());
        assertEquals(50, first.contact(), 6);
        LadderEstimate third = LadderEstimate.of(series, readings(100, 250, 670, 1000, 1470));
        assertEquals(
                List.of("button 3"),
                third.odd().stream().map(LadderEstimate.Odd::button).toList());
        assertEquals(200, third.odd().get(0).off(), 20);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "104|104",
                "104 Ω; 107|104 107",
                "4.7k|4700",
                "4,7 kΩ|4700",
                "0.3125 V|100",
                "312.5 mV|100",
                "open|Infinity",
                "104 106 110|104 106 110"
            })
    void readingsAreTypedAsPeopleWriteThem(String typed, String ohms) {
        List<Double> read =
                KeyReadings.parse(typed, reader(5, 1500), Optional.empty()).ohms();
        String[] expected = ohms.split(" ");
        assertEquals(expected.length, read.size());
        for (int i = 0; i < expected.length; i++)
            if (read.get(i).isInfinite()) assertEquals("Infinity", expected[i]);
            else assertEquals(Double.parseDouble(expected[i]), read.get(i), 1e-6);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "200 V|ABOVE_REFERENCE|",
                "5 V|ABOVE_REFERENCE|",
                "-3|NEGATIVE|",
                "about a hundred|NO_NUMBER|",
                "4.7|THOUSANDFOLD|4700",
                "4700 k|TOO_LARGE|",
                "4.6e3|NO_NUMBER|"
            })
    void readingThatIsNoneIsNamed(String typed, KeyReadings.Refused.Why why, Double nearest) {
        KeyReadings.Refused refused = KeyReadings.parse(typed, reader(5, 1500), Optional.of(4700.0))
                .refused()
                .orElseThrow();
        assertEquals(why, refused.why());
        assertEquals(Optional.ofNullable(nearest), refused.nearest());
        assertTrue(typed.contains(refused.given()));
    }
}
