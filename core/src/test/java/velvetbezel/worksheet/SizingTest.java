package velvetbezel.worksheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import velvetbezel.Demo;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.harness.JointId;
import velvetbezel.harness.TerminalId;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Provenance;
import velvetbezel.units.Colour;
import velvetbezel.units.Gauge;
import velvetbezel.units.WireColour;

/** Sizes from the default tables, whose values are common practice or from memory, as each says. */
class SizingTest {
    private static final Tables TABLES = Demo.tables();
    private static final Provenance PRINTED = Provenance.of(Provenance.Origin.PRINTED);

    private static LeadEnd lead(int n, Fact<Gauge> gauge) {
        Instance.Owner owner = n == 0 ? Instance.Owner.CAR : n == 1 ? Instance.Owner.RADIO : Instance.Owner.PART;
        return new LeadEnd(
                new TerminalId("device " + n, "lead"),
                owner,
                "device " + n,
                "lead",
                Optional.of(new Fact.Known<>(LeadRole.ILLUMINATION, PRINTED)),
                new Fact.Known<>(WireColour.of(Colour.ORANGE), PRINTED),
                gauge,
                Optional.empty(),
                Optional.empty());
    }

    private static JointRow row(LeadRole role, int... awg) {
        return new JointRow(
                1,
                JointId.of(role),
                role,
                IntStream.range(0, awg.length)
                        .mapToObj(i -> lead(i, new Fact.Known<>(Gauge.awg(awg[i]), PRINTED)))
                        .toList(),
                List.of(),
                List.of(),
                List.of());
    }

    private static JointMethod made(JointKind kind, int... awg) {
        return made(kind, Set.of(), awg);
    }

    private static JointMethod made(JointKind kind, Set<TerminalId> folded, int... awg) {
        return new Sizing(TABLES, new JointChoices(Optional.of(kind), Map.of(), folded, Map.of()))
                .of(row(LeadRole.ILLUMINATION, awg));
    }

    private static List<String> waysOut(JointMethod m) {
        return ((JointMethod.Fit.NoSize) m.fit())
                .ways().stream().map(JointMethod.WayOut::text).toList();
    }

    /** Red 22 to 16, blue 16 to 14, yellow 12 to 10 AWG (common practice); each side by itself. */
    @ParameterizedTest
    @CsvSource({"22,22,red", "18,18,red", "16,16,red", "14,16,blue", "14,14,blue", "12,12,yellow", "10,12,yellow"})
    void buttSpliceIsSizedBySide(int car, int radio, String size) {
        assertEquals(size, made(JointKind.BUTT, car, radio).size());
    }

    /** 18 + 18 is 1.65 mm² on one side: a blue splice, and 18 alone on the other side is too thin for it. */
    @Test
    void sidesThatNeedTwoSizesHaveNoSpliceAndTheWaysOutAreInOrder() {
        JointMethod m = made(JointKind.BUTT, 18, 18, 18);
        assertEquals(
                "No heat-shrink butt splice covers 0.82 mm² on one side and 1.65 mm² on the other.",
                ((JointMethod.Fit.NoSize) m.fit()).why());
        assertEquals(
                List.of(
                        "Make it as solder and shrink tube.",
                        "Make it as crimp cap, medium.",
                        "Fold the orange lead of device 0 back, so that it counts twice.",
                        "Make two joints of it with a short piece of lead between them."),
                waysOut(m));
    }

    @Test
    void foldedLeadCountsTwice() {
        assertEquals(
                "blue",
                made(JointKind.BUTT, Set.of(new TerminalId("device 0", "lead")), 18, 18, 18)
                        .size());
        assertEquals(
                "small",
                made(JointKind.CRIMP_CAP, Set.of(new TerminalId("device 0", "lead")), 24, 24)
                        .size(),
                "3 × 0.20 mm² = 0.61 mm², where 0.41 is too little for the smallest");
    }

    /** Between blue's 2.5 and yellow's 12 AWG (3.31 mm²) lies a gap: 14 + 18 is 2.90 mm². */
    @Test
    void gapBetweenBlueAndYellowIsSaid() {
        assertInstanceOf(
                JointMethod.Fit.NoSize.class, made(JointKind.BUTT, 12, 14, 18).fit());
    }

    /**
     * The check value of 18 + 18 + 20 AWG: 2.16 mm² (GNU units 2.22). AWG marks of blue end at 14 (2.08 mm²), its mm²
     * marks at 2.5: the wider one counts.
     */
    @Test
    void whereAwgAndMetricMarksDifferTheWiderCounts() {
        assertTrue(TABLES.butts().get(1).covers(2.1637129));
    }

    /** All leads together: 18 + 18 is 1.65 mm², three 16 are 3.93 mm² (common practice). */
    @ParameterizedTest
    @CsvSource({"18 18,small", "18 18 20,medium", "16 16,medium", "16 16 16,large", "14 14 16,large"})
    void capIsSizedByTheSum(String awg, String size) {
        assertEquals(
                size,
                made(
                                JointKind.CRIMP_CAP,
                                Arrays.stream(awg.split(" "))
                                        .mapToInt(Integer::parseInt)
                                        .toArray())
                        .size());
    }

    /**
     * Two 18 AWG: copper 1.15 × 2 × √(1.646 / π) = 1.66 mm, insulation 2.1 mm; a tube of at least 2.52 and at most
     * 1.89 recovered: 3.2 mm 2:1 would do, 3.0 mm 3:1 is smaller. (15 + 20) / 0.9 = 38.9, cut at 40 mm.
     */
    @Test
    void tubePassesOverTheJointAndGripsItsThinnestLead() {
        JointMethod m = made(JointKind.SOLDER, 18, 18);
        assertEquals("3 3:1", m.tube().orElseThrow().tube().name());
        assertEquals(40, m.tube().orElseThrow().length().value());
        assertEquals("40 mm of 3 3:1 tube over the orange lead of device 0", m.slideOn());
    }

    @Test
    void tapIsNeverForPowerNorWhereTheWorkshopRefusesIt() {
        assertEquals(JointKind.CRIMP_CAP, made(JointKind.TAP, 18, 20).kind());
        Tables allowing = Demo.tables(t -> t.replace("\"taps\": false", "\"taps\": true"));
        Sizing taps = new Sizing(allowing, JointChoices.in(JointKind.TAP));
        assertEquals(JointKind.TAP, taps.of(row(LeadRole.REVERSE, 20, 20)).kind());
        assertEquals(
                JointKind.CRIMP_CAP, taps.of(row(LeadRole.ACCESSORY, 20, 20)).kind());
        assertEquals(
                "Never on power: the blade's small contact heats and cuts strands.",
                taps.refused(row(LeadRole.ACCESSORY, 20, 20), JointKind.TAP));
        assertEquals(
                "A tap joins two leads, here are 3.", taps.refused(row(LeadRole.REVERSE, 20, 20, 20), JointKind.TAP));
    }

    @Test
    void tapeAndWireNutsCannotBeChosenAndSayWhy() {
        List<JointMethod.Choice> refused = made(JointKind.BUTT, 18, 18).choices().stream()
                .filter(c -> c.kind().isEmpty())
                .toList();
        assertEquals(
                List.of("twisted and taped", "wire nut"),
                refused.stream().map(JointMethod.Choice::label).toList());
        assertTrue(refused.stream().allMatch(c -> c.why().endsWith("not accepted.")));
    }

    @Test
    void unknownGaugeIsAskedForAndNeverGuessed() {
        JointRow row = new JointRow(
                1,
                JointId.of(LeadRole.ILLUMINATION),
                LeadRole.ILLUMINATION,
                List.of(
                        lead(0, Fact.missing(new FieldRef("car", "gauge"))),
                        lead(1, new Fact.Known<>(Gauge.awg(18), PRINTED))),
                List.of(),
                List.of(),
                List.of());
        assertEquals(
                "The gauge of the orange lead of device 0 is not known: measure it, or take it from the part in hand.",
                ((JointMethod.Fit.Unknown)
                                new Sizing(TABLES, JointChoices.USUAL).of(row).fit())
                        .what());
    }

    static List<Long> seeds() {
        return IntStream.range(0, 40).mapToObj(Long::valueOf).toList();
    }

    /** Whatever leads meet, a size that is named covers them, and a tube passes and grips. */
    @ParameterizedTest
    @MethodSource("seeds")
    void sizesNeverFallOutsideTheirRanges(long seed) {
        Random random = new Random(seed);
        for (int n = 0; n < 50; n++) {
            int[] awg = IntStream.range(0, 2 + random.nextInt(4))
                    .map(i -> 10 + random.nextInt(15))
                    .toArray();
            JointRow row = row(LeadRole.ILLUMINATION, awg);
            for (JointKind kind : List.of(JointKind.SOLDER, JointKind.BUTT, JointKind.CRIMP_CAP)) {
                JointMethod m = new Sizing(TABLES, JointChoices.in(kind)).of(row);
                List<Double> sums = new ArrayList<>();
                if (kind == JointKind.BUTT) Sizing.sides(row).forEach(side -> sums.add(Sizing.area(side, Set.of())));
                else sums.add(Sizing.area(row.leads(), Set.of()));
                if (m.fit() instanceof JointMethod.Fit.Sized s)
                    assertTrue(
                            sums.stream()
                                    .allMatch(a -> a >= s.size().least() - 1e-3
                                            && a <= s.size().most() + 1e-3),
                            row::toString);
                m.tube()
                        .ifPresent(t -> assertTrue(t.tube().recovered().value()
                                        <= 0.9
                                                * Arrays.stream(awg)
                                                        .mapToDouble(a -> TABLES.insulation(Gauge.awg(a))
                                                                .value())
                                                        .min()
                                                        .orElseThrow()
                                && t.tube().supplied().value()
                                        >= 1.2 * 1.15 * 2 * Math.sqrt(Sizing.area(row.leads(), Set.of()) / Math.PI)
                                                - 1e-9));
            }
        }
    }

    static List<Installation> cars() {
        return List.of(Demo.minibusJob(), Demo.crossoverJob());
    }

    @ParameterizedTest
    @MethodSource("cars")
    void everyJointOfTheDemoCarsCanBeMadeInEverySchool(Installation car) {
        for (JointKind kind : List.of(JointKind.SOLDER, JointKind.CRIMP_CAP)) {
            Sizing sizing = new Sizing(TABLES, JointChoices.in(kind));
            for (JointRow row : Worksheet.of(car).joints()) {
                JointMethod m = sizing.of(row);
                assertTrue(
                        m.settled()
                                || m.fit() instanceof JointMethod.Fit.NoSize n
                                        && !n.ways().isEmpty(),
                        row + ": " + m.fit());
            }
        }
    }
}
