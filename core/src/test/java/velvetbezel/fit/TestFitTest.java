package velvetbezel.fit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.sheet.fit.RadioBody;
import velvetbezel.sheet.fit.Site;

/** A radio that stands in the dash for the first time, and what is done at the bench before. */
class TestFitTest {
    private static final RadioBody RADIO =
            Dashes.radio("{'face': {'w': 180, 'h': 100}, 'chassis': {'w': 178, 'h': 98, 'd': 150}, 'holes':"
                    + " [{'n': 1, 'z': 20, 'y': 10, 'most': 6}, {'n': 2, 'z': 42, 'y': 10, 'most': 6},"
                    + " {'n': 3, 'z': 64, 'y': 10, 'most': 6}, {'n': 4, 'z': 86, 'y': 10, 'most': 6}]}");
    private static final String BRACKET = "{'mark': '%s', 'height': 98, 'slots': ["
            + "{'id': 'f', 'z': [20, 24], 'y': [9, 11]}, {'id': 'r', 'z': [42, 46], 'y': [9, 11]}]}";
    private static final Optional<KitFrame> KIT = Dashes.kit(("{'mount': 'frame', 'aperture': {'w': 182, 'h': 102},"
                    + " 'keep': ['factory clips'], 'screws': 4, 'clips': {'count': 6, 'pull': 'lower edge first'},"
                    + " 'rings': ['antenna lead'], 'inserts': [{'id': 'centre bar', 'x': [0, 182], 'y': [49, 53],"
                    + " 'z': [0, 4]}], 'brackets': {'left': %s, 'right': %s}}")
            .formatted(BRACKET.formatted("L"), BRACKET.formatted("R")));

    private static Site site(String more) {
        return Dashes.site(("{'opening': {'w': 184, 'h': 104}, 'bands': [{'x': [-10, 194], 'y': [-10, 120],"
                        + " 'depth': 260}]%s}")
                .formatted(more));
    }

    private static FitReport fit(Site site) {
        return Fitter.of(new FitQuestion(site, RADIO, KIT, "frame-1", Set.of(), ""));
    }

    private static TestFit even(double sunk) {
        return new TestFit(sunk, sunk, sunk, sunk, Optional.empty());
    }

    @Test
    void faceAllRoundTwentyTwoSunkIsCuredByTheNextHoles() {
        FitReport fit = fit(site(""));
        Brackets.HoleChoice used = fit.holes().get(0);
        assertEquals(0, used.setBack());
        List<TestFit.Cause> causes = even(22).explain(site(""), fit, Optional.of(used), Set.of());
        TestFit.OtherHoles cure = (TestFit.OtherHoles) causes.get(causes.size() - 1);
        assertEquals(List.of(22.0, 0.0), List.of(cure.nearer(), cure.then()));
        assertEquals(
                List.of(2, 3),
                cure.choice().left().stream().map(Brackets.HoleAtSlot::hole).toList());
    }

    @Test
    void faceThatStandsThreeProudSlidesDeeperInItsSlots() {
        FitReport fit = fit(site(""));
        Brackets.HoleChoice used = fit.holes().get(0);
        assertEquals(4, used.deep());
        assertTrue(even(-3).explain(site(""), fit, Optional.of(used), Set.of()).contains(new TestFit.SlideInSlots(-3)));
    }

    @Test
    void earlierFittingsMoveEveryRow() {
        Site site = site(", 'fittings': [{'kit': 'frame-1', 'computed': 0, 'seen': 22},"
                + " {'kit': 'frame-1', 'computed': 0, 'seen': 23}, {'kit': 'another', 'computed': 0, 'seen': 5}]");
        FitReport fit = fit(site);
        assertEquals(
                new Correction(new Range(22, 22.5, 23), 2), fit.correction().orElseThrow());
        Brackets.HoleChoice first = fit.holes().get(0);
        // 22.5 deeper, and a row of holes 22 nearer
        assertEquals(0.5, first.setBack(), 1e-9);
        assertEquals(
                List.of(2, 3),
                first.left().stream().map(Brackets.HoleAtSlot::hole).toList());
    }

    @Test
    void rowsAreKnownAgainstEachOtherWhereNobodyKnowsTheBracketPlane() {
        Optional<KitFrame> kit = Dashes.kit(("{'mount': 'iso', 'bracket plane': {'missing': true, 'range': [-40, 40]},"
                        + " 'brackets': {'left': %s, 'right': %s}}")
                .formatted(BRACKET.formatted("L"), BRACKET.formatted("R")));
        FitReport fit = Fitter.of(new FitQuestion(site(""), RADIO, kit, "frame-1", Set.of(), ""));
        assertTrue(fit.planeUnknown());
        assertEquals(FitVerdict.GOES_IN, fit.verdict(), "260 of depth take 40 more");
        Site known = site(", 'fittings': [{'kit': 'frame-1', 'computed': 0, 'seen': 22}]");
        assertTrue(!Fitter.of(new FitQuestion(known, RADIO, kit, "frame-1", Set.of(), ""))
                .planeUnknown());
    }

    @Test
    void fittingsThatContradictEachOtherAreShown() {
        Site site = site(", 'fittings': [{'kit': 'frame-1', 'computed': 0, 'seen': 22},"
                + " {'kit': 'frame-1', 'computed': 0, 'seen': 2}]");
        assertTrue(fit(site).correction().orElseThrow().conflict());
    }

    @Test
    void upperEdgeProudNamesWhatWasToTouchThereAndIsStillIn() {
        Site site = site(", 'obstructions': [{'id': 'duct', 'fasteners': '2', 'boxes': [{'x': [0, 184], 'y': [80, 118],"
                + " 'z': [152, 170], 'may': 'unscrew'}]}, {'id': 'sill', 'fasteners': '2', 'boxes': [{'x': [0, 184],"
                + " 'y': [-8, 3], 'z': [140, 170], 'may': 'unscrew'}]}]");
        TestFit seen = new TestFit(0, 0, -4, 0, Optional.empty());
        assertEquals(
                List.of(new TestFit.PushedOut(Collision.Escape.ABOVE, List.of("duct"))),
                seen.explain(site, fit(site), Optional.empty(), Set.of()));
        assertEquals(
                List.of(new TestFit.PushedOut(Collision.Escape.ABOVE, List.of())),
                seen.explain(site, fit(site), Optional.empty(), Set.of("duct")));
    }

    @Test
    void oneSideDeeperIsInAnotherRowAndProudWhenWiredIsLeads() {
        Site site = site("");
        TestFit seen = new TestFit(6, 0, 3, 3, Optional.of(-2.0));
        assertEquals(
                List.of(new TestFit.OneSide(Collision.Escape.LEFT, 6), new TestFit.LeadsBehind(5)),
                seen.explain(site, fit(site), Optional.empty(), Set.of()));
        assertEquals(List.of(new TestFit.Flush()), even(1).explain(site, fit(site), Optional.empty(), Set.of()));
    }

    @Test
    void benchListIsInTheOrderOfTheWork() {
        Site site = site(", 'obstructions': [{'id': 'brace', 'fasteners': '4 × 8 mm', 'carries': 'camera module',"
                + " 'boxes': [{'x': [0, 184], 'y': [20, 50], 'z': [136, 148], 'may': 'unscrew'}]}]");
        List<String> list = BenchList.of(site, RADIO, KIT, fit(site)).stream()
                .map(s -> s.kind().word() + " " + s.of())
                .toList();
        assertEquals(
                List.of(
                        "keep [factory clips]",
                        "inserts out [centre bar]",
                        "holes [left, hole 1 in slot f, hole 2 in slot r]",
                        "holes [right, hole 1 in slot f, hole 2 in slot r]",
                        "bracket [left, L, upright]",
                        "bracket [right, R, upright]",
                        "together [4, sheet]",
                        "screw [M5, 6, pan head, 7.5]",
                        "take out [brace, 4 × 8 mm, camera module]",
                        "rings [antenna lead]",
                        "test fit []",
                        "clips [6, lower edge first]"),
                list);
        assertEquals(
                Stream.of(false, true).toList(),
                BenchList.of(site, RADIO, KIT, fit(site)).stream()
                        .map(s -> s.kind().inTheCar())
                        .distinct()
                        .toList());
    }

    @Test
    void tabsOfASleeveAreFoldedWhereAWallIsWithinReach() {
        Optional<KitFrame> sleeve = Dashes.kit("{'mount': 'sleeve', 'aperture': {'w': 182, 'h': 53}, 'tabs': ["
                + "{'id': 'top left', 'wall': 3, 'reach': 8}, {'id': 'top right', 'wall': 20, 'reach': 8}]}");
        Site site = Dashes.site("{'opening': {'w': 184, 'h': 55}}");
        FitReport fit = Fitter.of(new FitQuestion(site, RADIO, sleeve, "s", Set.of(), ""));
        assertEquals(
                List.of("tabs fold [1, top left]", "tabs idle [1, top right]"),
                BenchList.of(site, RADIO, sleeve, fit).stream()
                        .filter(s -> s.kind().word().startsWith("tabs"))
                        .map(s -> s.kind().word() + " " + s.of())
                        .toList());
    }
}
