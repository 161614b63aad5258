package velvetbezel.fit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.sheet.fit.RadioBody;
import velvetbezel.sheet.fit.Site;

/** Single openings, as a fitter with a ruler finds them. */
class FitterTest {
    private static final String DEEP =
            "{'opening': {'w': 196, 'h': 81}, 'bands': [{'id': 'all', 'x': [-20, 216], 'y': [-20, 120], 'depth': 231}]%s}";
    private static final String BRACE = ", 'obstructions': [{'id': 'brace', 'fasteners': '4 × 8 mm', 'minutes': 10,"
            + " 'boxes': [{'x': [-20, 216], 'y': [20, 50], 'z': [136, 148], 'may': 'unscrew'%s}]}]";

    private static double likely(Slack s) {
        return s.left().likely();
    }

    @Test
    void oneDinOpeningOfIso7736TakesAOneDinFrontWithOneMillimetreRound() {
        // ISO 7736: opening 182 × 53, front 180 × 50 (from memory)
        Site site =
                Dashes.site("{'opening': {'w': 182, 'h': 53}, 'bands': [{'x': [0, 182], 'y': [0, 53], 'depth': 180}]}");
        FitReport fit = Dashes.fit(site, Dashes.radio(180, 50, 140, 10, 20), Optional.empty());
        assertEquals(
                List.of(2.0, 3.0),
                fit.gaps().stream().map(g -> likely(g.slack())).toList());
        assertEquals(FitVerdict.GOES_IN, fit.verdict());
    }

    @Test
    void faceOf182By102In196By81IsTwentyOneTooTall() {
        FitReport fit =
                Dashes.fit(Dashes.site(DEEP.formatted("")), Dashes.radio(182, 102, 150, 10, 20), Optional.empty());
        assertEquals(
                List.of(14.0, -21.0),
                fit.gaps().stream().map(g -> likely(g.slack())).toList());
        assertEquals(FitVerdict.DOES_NOT_GO_IN, fit.verdict());
    }

    @Test
    void chassisOf171ReachesThirtyFiveBeyondABraceAt136WhichComesOut() {
        Site site = Dashes.site(DEEP.formatted(BRACE.formatted("")));
        RadioBody radio = Dashes.radio("{'face': {'w': 182, 'h': 75}, 'chassis': {'w': 178, 'h': 73, 'd': 171},"
                + " 'sockets': [{'plug': 'main', 'x': 20, 'y': 20, 'w': 52, 'h': 22, 'out': 22, 'bend': 24}]}");
        FitReport fit = Dashes.fit(site, radio, Optional.empty());
        assertEquals(FitVerdict.GOES_IN_AFTER, fit.verdict());
        Collision c = fit.collisions().stream()
                .filter(x -> x.body().equals("chassis"))
                .findFirst()
                .orElseThrow();
        assertEquals(-35, likely(c.slack()));
        assertEquals(new Remedy.Unscrew("4 × 8 mm", 10, ""), c.remedy());
        DepthLeft left = fit.tightest().orElseThrow();
        assertEquals(List.of("main", "all", 14.0), List.of(left.body(), left.to(), likely(left.slack())));
    }

    @Test
    void whatCarriesTheDashStays() {
        Site site = Dashes.site(DEEP.formatted(BRACE.formatted(", 'bears': 'dash pad'")));
        FitReport fit = Dashes.fit(site, Dashes.radio(182, 75, 171, 22, 24), Optional.empty());
        assertEquals(FitVerdict.DOES_NOT_GO_IN, fit.verdict());
        assertEquals(
                new Remedy.Refused(Remedy.Refused.Reason.BEARS, "dash pad"),
                fit.collisions().get(0).remedy());
    }

    @Test
    void nothingIsCutThatNoSheetOfTheKitNames() {
        String rib = "{'opening': {'w': 184, 'h': 104}, 'bands': [{'x': [-10, 194], 'y': [-10, 120], 'depth': 222}],"
                + " 'obstructions': [{'id': 'rib', 'boxes': [{'x': [40, 52], 'y': [96, 130], 'z': [30, 150], 'may': 'trim'}]}]}";
        RadioBody radio = Dashes.radio(180, 100, 165, 12, 30);
        String kit = "{'mount': 'frame', 'aperture': {'w': 182, 'h': 102}%s}";
        FitReport refused = Dashes.fit(Dashes.site(rib), radio, Dashes.kit(kit.formatted("")));
        assertEquals(FitVerdict.DOES_NOT_GO_IN, refused.verdict());
        FitReport named = Dashes.fit(
                Dashes.site(rib), radio, Dashes.kit(kit.formatted(", 'trims': {'rib': 'back to the inner edge'}")));
        assertEquals(FitVerdict.GOES_IN_AFTER, named.verdict());
        assertEquals(
                new Remedy.Trim("back to the inner edge"),
                named.collisions().get(0).remedy());
    }

    @Test
    void unknownDepthIsAskedWithTheReadingsThatSettleIt() {
        // chassis 152, plug 12 (printed, ±0.5 each), bend 28 (measured, ±1): 190 to 194
        Site site =
                Dashes.site("{'opening': {'w': 190, 'h': 78}, 'bands': [{'id': 'upper', 'x': [-5, 195], 'y': [-5, 90],"
                        + " 'depth': {'missing': true, 'range': [150, 220]}}]}");
        FitReport fit = Dashes.fit(site, Dashes.radio(180, 50, 152, 12, 28), Optional.empty());
        assertEquals(FitVerdict.MEASURE_FIRST, fit.verdict());
        Slack.Settle ask = fit.asks().stream()
                .filter(s -> s.measure().path().equals("bands[upper].depth"))
                .findFirst()
                .orElseThrow();
        assertEquals(List.of(194.0, 190.0), List.of(ask.fits(), ask.fails().orElseThrow()));
    }

    @Test
    void panelThatMovesTheFaceNearerGivesThatMuchDepth() {
        Site site = Dashes.site(
                "{'opening': {'w': 184, 'h': 104}, 'bands': [{'x': [-5, 190], 'y': [-5, 110], 'depth': 188}]}");
        Optional<KitFrame> panel = Dashes.kit(
                "{'mount': 'frame', 'aperture': {'w': 182, 'h': 102}, 'plane': {'value': 8, 'from': 'printed'}}");
        FitReport fit = Dashes.fit(site, Dashes.radio(180, 100, 148, 12, 28), panel);
        assertEquals(8, likely(fit.tightest().orElseThrow().slack()));
        assertEquals(FitVerdict.GOES_IN, fit.verdict());
    }

    @Test
    void centreBarOfAKitIsCutOutForATwoDinAndStaysForAOneDin() {
        String kit = "{'mount': 'frame', 'aperture': {'w': 184, 'h': 104, 'y': 0}, 'inserts':"
                + " [{'id': 'centre bar', 'x': [0, 184], 'y': [50, 54], 'z': [0, 4]}]}";
        Site site = Dashes.site(
                "{'opening': {'w': 184, 'h': 104}, 'bands': [{'x': [-5, 190], 'y': [-5, 110], 'depth': 220}]}");
        FitReport two = Dashes.fit(site, Dashes.radio(180, 100, 150, 12, 28), Dashes.kit(kit));
        assertEquals(
                List.of("centre bar"),
                two.collisions().stream().map(Collision::with).distinct().toList());
        assertEquals(FitVerdict.GOES_IN, two.verdict(), "the kit is made for it");
        String low = kit.replace("'h': 104, 'y': 0", "'h': 50, 'y': 0");
        FitReport one = Dashes.fit(site, Dashes.radio(180, 47, 150, 12, 28), Dashes.kit(low));
        assertEquals(List.of(), one.collisions());
    }

    @Test
    void isoBracketsHoldTheFaceFlushWithSixMillimetresOfTravelDeeper() {
        RadioBody radio =
                Dashes.radio("{'face': {'w': 180, 'h': 50}, 'chassis': {'w': 178, 'h': 50, 'd': 160}, 'holes':"
                        + " [{'n': 1, 'z': 20, 'y': 10}, {'n': 2, 'z': 50, 'y': 10}, {'n': 3, 'z': 80, 'y': 10}]}");
        String bracket = "{'mark': 'L', 'height': 50, 'slots': [{'id': 'front', 'z': [20, 26], 'y': [9, 11]},"
                + " {'id': 'rear', 'z': [50, 56], 'y': [9, 11]}]}";
        Optional<KitFrame> kit =
                Dashes.kit("{'mount': 'iso', 'brackets': {'left': %s, 'right': %s}}".formatted(bracket, bracket));
        Site site = Dashes.site(
                "{'opening': {'w': 182, 'h': 53}, 'bands': [{'x': [-5, 190], 'y': [-5, 60], 'depth': 210}]}");
        FitReport fit = Dashes.fit(site, radio, kit);
        Brackets.HoleChoice best = fit.holes().get(0);
        assertEquals(List.of(0.0, 0.0, 6.0), List.of(best.setBack(), best.near(), best.deep()));
        assertEquals(List.of(new Brackets.HoleAtSlot(1, "front"), new Brackets.HoleAtSlot(2, "rear")), best.left());
        assertTrue(fit.holes().stream().anyMatch(h -> h.setBack() == -24), "holes 2 and 3 stand 24 mm proud");
    }
}
