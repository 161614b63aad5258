package velvetbezel.fit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.fit.Band;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.sheet.fit.Length;
import velvetbezel.sheet.fit.Obstruction;
import velvetbezel.sheet.fit.RadioBody;
import velvetbezel.sheet.fit.Site;
import velvetbezel.sheet.fit.SpaceBox;

/** Laws of space, on openings by seed. */
class FitLawsTest {
    private static final int OPENINGS = 300;

    private static FitReport fit(Site site, RadioBody radio) {
        return Fitter.of(site, radio, Optional.empty());
    }

    private static RadioBody deep(double depth) {
        return Dashes.radio(180, 100, depth, 12, 25);
    }

    private static Set<String> certain(FitReport fit) {
        Set<String> certain = new HashSet<>();
        for (Collision c : fit.collisions()) if (c.certain()) certain.add(c.body() + " " + c.with());
        return certain;
    }

    @Test
    void deeperChassisMeetsAllThatAShallowerOneDid() {
        for (int seed = 0; seed < OPENINGS; seed++) {
            Site site = Dashes.seeded(new Random(seed));
            Set<String> shallow = certain(fit(site, deep(140)));
            assertTrue(certain(fit(site, deep(170))).containsAll(shallow), "seed " + seed);
        }
    }

    @Test
    void withoutAnObstructionTheVerdictIsNeverWorse() {
        List<FitVerdict> better = List.of(
                FitVerdict.GOES_IN,
                FitVerdict.GOES_IN_PERHAPS_AFTER,
                FitVerdict.GOES_IN_AFTER,
                FitVerdict.MEASURE_FIRST,
                FitVerdict.DOES_NOT_GO_IN);
        for (int seed = 0; seed < OPENINGS; seed++) {
            Site site = Dashes.seeded(new Random(seed));
            if (site.obstructions().isEmpty()) continue;
            Site fewer = with(
                    site, site.obstructions().subList(1, site.obstructions().size()), site.bands());
            assertTrue(
                    better.indexOf(fit(fewer, deep(150)).verdict())
                            <= better.indexOf(fit(site, deep(150)).verdict()),
                    "seed " + seed);
        }
    }

    private static Site with(Site s, List<Obstruction> obstructions, List<Band> bands) {
        return s.with(bands, obstructions);
    }

    private static Length pinned(Length l, Random random) {
        double value = l.least() + random.nextDouble() * (l.most() - l.least());
        return new Length(l.field(), value, value, value, Provenance.Origin.MEASURED, false);
    }

    private static SpaceBox pinned(SpaceBox b, Random random) {
        return new SpaceBox(
                pinned(b.x0(), random),
                pinned(b.x1(), random),
                pinned(b.y0(), random),
                pinned(b.y1(), random),
                pinned(b.z0(), random),
                pinned(b.z1(), random));
    }

    /** Every length of a car at one value inside its range. */
    private static Site pinned(Site s, Random random) {
        List<Obstruction> obstructions = new ArrayList<>();
        for (Obstruction o : s.obstructions())
            obstructions.add(new Obstruction(
                    o.id(),
                    o.fasteners(),
                    o.minutes(),
                    o.carries(),
                    o.reached(),
                    o.pieces().stream()
                            .map(p -> new Obstruction.Piece(pinned(p.box(), random), p.may(), p.by(), p.bears()))
                            .toList()));
        List<Band> bands = s.bands().stream()
                .map(b -> new Band(b.id(), b.x0(), b.x1(), b.y0(), b.y1(), pinned(b.depth(), random), b.taper()))
                .toList();
        return new Site(
                s.id(),
                pinned(s.width(), random),
                pinned(s.height(), random),
                bands,
                s.assumedBands(),
                obstructions,
                0,
                s.trims(),
                s.held(),
                s.fittings(),
                s.places(),
                s.routes());
    }

    @Test
    void whatIsCertainIsTrueOfEveryCarWithinTheMeasures() {
        int asked = 0;
        for (int seed = 0; seed < OPENINGS; seed++) {
            Random random = new Random(seed);
            Site site = Dashes.seeded(random);
            FitReport fit = fit(site, deep(160));
            for (int n = 0; n < 5; n++) {
                FitReport one = fit(pinned(site, random), deep(160));
                assertTrue(certain(one).containsAll(certain(fit)), "seed " + seed);
                for (int g = 0; g < 2; g++) {
                    Slack was = fit.gaps().get(g).slack();
                    if (!(was instanceof Slack.Open))
                        assertEquals(was.getClass(), one.gaps().get(g).slack().getClass());
                }
                asked++;
            }
        }
        assertEquals(5 * OPENINGS, asked);
    }

    @Test
    void readingBeyondAThresholdSettlesTheDepth() {
        int settled = 0;
        for (int seed = 0; seed < OPENINGS; seed++) {
            Site site = Dashes.seeded(new Random(seed));
            FitReport fit = fit(site, deep(160));
            for (DepthLeft d : fit.depths()) {
                if (!(d.slack() instanceof Slack.Open o) || o.ask().isEmpty()) continue;
                Slack.Settle ask = o.ask().get();
                if (!ask.measure().path().endsWith(".depth") || !ask.also().isEmpty()) continue;
                assertTrue(slack(site, d, ask.fits() + 0.01) instanceof Slack.Clear, "seed " + seed);
                assertTrue(slack(site, d, ask.fails().orElseThrow() - 0.01) instanceof Slack.Short, "seed " + seed);
                settled++;
            }
        }
        assertTrue(settled > 30, "depths asked for: " + settled);
    }

    private static Slack slack(Site site, DepthLeft of, double depth) {
        List<Band> bands = site.bands().stream()
                .map(b -> new Band(
                        b.id(),
                        b.x0(),
                        b.x1(),
                        b.y0(),
                        b.y1(),
                        new Length(b.depth().field(), depth, depth, depth, Provenance.Origin.MEASURED, false),
                        b.taper()))
                .toList();
        return fit(with(site, site.obstructions(), bands), deep(160)).depths().stream()
                .filter(d -> d.body().equals(of.body()) && d.to().equals(of.to()))
                .findFirst()
                .orElseThrow()
                .slack();
    }

    /** Two slots that hold the same holes nearer and deeper. */
    private static FitReport setBack(Site site, int by) {
        RadioBody radio =
                Dashes.radio("{'face': {'w': 180, 'h': 100}, 'chassis': {'w': 178, 'h': 98, 'd': 160}, 'sockets':"
                        + " [{'plug': 'main', 'x': 20, 'y': 8, 'w': 52, 'h': 22, 'out': 12, 'bend': 20}],"
                        + " 'holes': [{'n': 1, 'z': 20, 'y': 10}, {'n': 2, 'z': 60, 'y': 10}]}");
        String slots =
                "{'height': 98, 'slots': [{'id': 'a', 'z': [%d, %d], 'y': [9, 11]}, {'id': 'b', 'z': [%d, %d], 'y': [9, 11]}]}"
                        .formatted(20 + by, 20 + by, 60 + by, 60 + by);
        return Fitter.of(
                site,
                radio,
                Dashes.kit("{'mount': 'iso', 'brackets': {'left': %s, 'right': %s}}".formatted(slots, slots)));
    }

    @Test
    void deeperSetBackNeverLeavesMoreBehindAndNeverMeetsLess() {
        for (int seed = 0; seed < OPENINGS; seed++) {
            Site site = Dashes.seeded(new Random(seed));
            FitReport near = setBack(site, 0);
            FitReport deep = setBack(site, 8);
            assertEquals(8, deep.taken().orElseThrow().setBack());
            assertTrue(certain(deep).containsAll(certain(near)), "seed " + seed);
            for (DepthLeft d : deep.depths())
                near.depths().stream()
                        .filter(n -> n.body().equals(d.body()) && n.to().equals(d.to()))
                        .forEach(n -> assertTrue(
                                d.slack().left().likely() <= n.slack().left().likely() + 1e-9));
        }
    }

    @Test
    void largerOpeningShrinksNoGap() {
        for (int more = 0; more < 40; more += 4) {
            Site site = Dashes.site("{'opening': {'w': %d, 'h': %d}}".formatted(170 + more, 95 + more));
            Site larger = Dashes.site("{'opening': {'w': %d, 'h': %d}}".formatted(173 + more, 98 + more));
            for (int g = 0; g < 2; g++)
                assertTrue(fit(larger, deep(150)).gaps().get(g).slack().left().least()
                        >= fit(site, deep(150)).gaps().get(g).slack().left().least());
        }
    }

    private static Length mirrored(Length l) {
        return new Length(l.field(), 184 - l.most(), 184 - l.likely(), 184 - l.least(), l.origin(), l.missing());
    }

    private static SpaceBox mirrored(SpaceBox b) {
        return new SpaceBox(mirrored(b.x1()), mirrored(b.x0()), b.y0(), b.y1(), b.z0(), b.z1());
    }

    /** The car as in a mirror; its opening is 184 wide for certain, and so is where the face stands. */
    private static Site mirrored(Site s) {
        return s.with(
                s.bands().stream()
                        .map(b -> new Band(
                                b.id(), mirrored(b.x1()), mirrored(b.x0()), b.y0(), b.y1(), b.depth(), b.taper()))
                        .toList(),
                s.obstructions().stream()
                        .map(o -> new Obstruction(
                                o.id(),
                                o.fasteners(),
                                o.minutes(),
                                o.carries(),
                                o.reached(),
                                o.pieces().stream()
                                        .map(p -> new Obstruction.Piece(mirrored(p.box()), p.may(), p.by(), p.bears()))
                                        .toList()))
                        .toList());
    }

    @Test
    void mirroredCarHasTheSameVerdictAndTheSameWorks() {
        Optional<KitFrame> exact = Dashes.kit("{'mount': 'frame', 'aperture': {'x': {'value': 1, 'tolerance': 0}, 'w':"
                + " {'value': 182, 'tolerance': 0}, 'h': {'value': 102, 'tolerance': 0}}}");
        RadioBody radio = Dashes.radio("{'face': {'w': {'value': 180, 'tolerance': 0}, 'h': 100}, 'chassis': {'w':"
                + " {'value': 178, 'tolerance': 0}, 'h': 98, 'd': 160}}");
        for (int seed = 0; seed < OPENINGS; seed++) {
            Site site = Dashes.seeded(new Random(seed));
            FitReport one = Fitter.of(site, radio, exact);
            FitReport other = Fitter.of(mirrored(site), radio, exact);
            assertEquals(one.verdict(), other.verdict(), "seed " + seed);
            assertEquals(certain(one), certain(other), "seed " + seed);
        }
    }

    @Test
    void leftAndRightExchangedStandAsFarBack() {
        String a =
                "{'height': 98, 'slots': [{'id': 'a', 'z': [18, 26], 'y': [9, 11]}, {'id': 'b', 'z': [58, 66], 'y': [9, 11]}]}";
        String b =
                "{'height': 98, 'slots': [{'id': 'a', 'z': [22, 30], 'y': [9, 11]}, {'id': 'b', 'z': [62, 70], 'y': [9, 11]}]}";
        RadioBody radio = Dashes.radio("{'face': {'w': 180, 'h': 100}, 'chassis': {'w': 178, 'h': 98, 'd': 150},"
                + " 'holes': [{'n': 1, 'z': 20, 'y': 10}, {'n': 2, 'z': 60, 'y': 10}]}");
        List<Double> one = setBacks(radio, a, b);
        assertEquals(one, setBacks(radio, b, a));
        assertTrue(!one.isEmpty());
    }

    private static List<Double> setBacks(RadioBody radio, String left, String right) {
        return Brackets.choices(
                        radio,
                        Dashes.kit("{'mount': 'iso', 'brackets': {'left': %s, 'right': %s}}".formatted(left, right)),
                        0,
                        5)
                .stream()
                .map(Brackets.HoleChoice::setBack)
                .toList();
    }

    @Test
    void lengthThatComesInTwiceCountsOnce() {
        FieldRef field = new FieldRef("radio", "face.w");
        Length face = Length.of(field, 180, Provenance.Origin.MEASURED, 1);
        Affine offset = Affine.of(184).minus(face).half();
        Affine right = Affine.of(184).minus(offset).minus(face);
        assertEquals(new Range(1.5, 2, 2.5), right.range(), "not 0.5 to 3.5");
    }

    @Test
    void claimsAgreeWhereTheirRangesMeet() {
        Site site = Dashes.site(
                "{'opening': {'w': [{'value': 164.5, 'from': 'printed'}, {'value': 165, 'from': 'measured'}], 'h': 50}}");
        assertFalse(site.width().missing());
        assertEquals(
                List.of(164.0, 165.0),
                List.of(site.width().least(), site.width().most()));
        Site apart = Dashes.site(
                "{'opening': {'w': [{'value': 160, 'from': 'printed'}, {'value': 165, 'from': 'measured'}], 'h': 50}}");
        assertTrue(apart.width().missing());
        assertEquals(
                List.of(159.5, 166.0),
                List.of(apart.width().least(), apart.width().most()));
    }
}
