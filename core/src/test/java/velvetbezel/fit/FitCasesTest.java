package velvetbezel.fit;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import velvetbezel.sheet.fit.RadioBody;
import velvetbezel.sheet.fit.Site;

/** The fit of the ten jobs, their numbers as written there. */
class FitCasesTest {
    private static final JsonNode CASES = cases();
    private static final Pattern VERDICT = Pattern.compile("Verdict ([A-Za-z]+)");
    private static final String BAND = "{'id': 'cavity', 'x': [-20, 210], 'y': [-20, 130], 'depth': %s}";

    private static JsonNode cases() {
        try (InputStream in = FitCasesTest.class.getResourceAsStream("/cases/cases.json")) {
            return new JsonMapper().readTree(in).get("cases");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static FitVerdict stated(String id) {
        String fit = CASES.valueStream()
                .filter(c -> c.get("id").asString().equals(id))
                .findFirst()
                .orElseThrow()
                .get("expected")
                .get("fit")
                .asString();
        Matcher m = VERDICT.matcher(fit);
        if (!m.find()) throw new AssertionError(fit);
        return FitVerdict.valueOf(
                m.group(1).replaceAll("([a-z])([A-Z])", "$1_$2").toUpperCase(Locale.ROOT));
    }

    private static Site site(double w, double h, String depth, String obstructions) {
        return Dashes.site("{'opening': {'w': %s, 'h': %s}, 'bands': [%s], 'obstructions': [%s]}"
                .formatted(w, h, BAND.formatted(depth), obstructions));
    }

    private static RadioBody radio(double h, double d, String sockets) {
        return Dashes.radio("{'face': {'w': 180, 'h': %s}, 'chassis': {'w': 178, 'h': %s, 'd': %s}, 'sockets': [%s]}"
                .formatted(h, h - 2, d, sockets));
    }

    private static String plug(String name, double out, double bend) {
        return "{'plug': '%s', 'x': 20, 'y': 8, 'w': 40, 'h': 20, 'out': %s, 'bend': {'value': %s, 'from': 'measured'}}"
                .formatted(name, out, bend);
    }

    private static String box(String id, String x, String y, String z, String more) {
        return "{'id': '%s', 'fasteners': '2 × 10 mm', 'boxes': [{'x': %s, 'y': %s, 'z': %s%s}]}"
                .formatted(id, x, y, z, more);
    }

    static List<Arguments> jobs() {
        String frame = "{'mount': 'frame', 'aperture': {'w': 182, 'h': 102}%s}";
        String sleeve = "{'mount': 'sleeve', 'aperture': {'w': 182, 'h': 53}}";
        String slots = "{'height': 50, 'slots': [{'id': 'front', 'z': [20, 26], 'y': [9, 11]},"
                + " {'id': 'rear', 'z': [50, 56], 'y': [9, 11]}]}";
        RadioBody iso =
                Dashes.radio("{'face': {'w': 180, 'h': 50}, 'chassis': {'w': 178, 'h': 50, 'd': 160}, 'sockets': [%s],"
                                .formatted(plug("main", 12, 26))
                        + " 'holes': [{'n': 1, 'z': 20, 'y': 10}, {'n': 2, 'z': 50, 'y': 10}]}");
        return List.of(
                Arguments.of("N1", site(184, 55, "205", ""), radio(50, 157, plug("main", 12, 26)), sleeve, 10.0),
                Arguments.of(
                        "N2",
                        site(184, 104, "260", box("duct", "[-20, 210]", "[-20, 130]", "[212, 250]", "")),
                        radio(100, 160, plug("RCA", 15, 22) + ", " + plug("main", 12, 20)),
                        frame.formatted(""),
                        15.0),
                Arguments.of(
                        "N3",
                        site(
                                184,
                                104,
                                "222",
                                box("rib A", "[174, 190]", "[80, 130]", "[40, 200]", ", 'may': 'trim'") + ", "
                                        + box(
                                                "rib B",
                                                "[20, 60]",
                                                "[103, 130]",
                                                "[40, 200]",
                                                ", 'bears': 'the dash pad'")),
                        radio(100, 165, plug("main", 12, 30)),
                        frame.formatted(", 'trims': {'rib A': 'corner off'}"),
                        15.0),
                Arguments.of("N5", site(184, 55, "190", ""), radio(50, 128, plug("main", 12, 25)), sleeve, 25.0),
                Arguments.of(
                        "N6",
                        site(
                                184,
                                104,
                                "235",
                                box("brace", "[-20, 210]", "[20, 60]", "[150, 158]", ", 'may': 'unscrew'")),
                        radio(100, 165, plug("main", 12, 30)),
                        frame.formatted(""),
                        28.0),
                Arguments.of(
                        "N7",
                        site(190, 78, "{'missing': true, 'range': [150, 220]}", ""),
                        radio(50, 152, plug("main", 12, 28)),
                        "{'mount': 'frame', 'aperture': {'y': 25, 'w': 182, 'h': 52}}",
                        -7.0),
                Arguments.of(
                        "N8",
                        site(184, 104, "188", ""),
                        radio(100, 148, plug("main", 12, 28)),
                        frame.formatted(", 'plane': 8"),
                        8.0),
                Arguments.of(
                        "N9",
                        site(182, 53, "210", ""),
                        iso,
                        "{'mount': 'iso', 'brackets': {'left': %s, 'right': %s}}".formatted(slots, slots),
                        12.0));
    }

    @Test
    void n4ScreenBeforeThePanelClearsTheLeverByEightAndCoversNothing() {
        // face 180 × 100 in the middle of the opening; the paper says where things stand against its edges
        Site site = Dashes.site(("{'opening': {'w': 184, 'h': 104}, 'bands': [%s], 'obstructions': ["
                        + "{'id': 'lever in park', 'boxes': [{'x': [60, 100], 'y': [10, 40], 'z': [-90, -44]}]},"
                        + "{'id': 'lever in drive', 'boxes': [{'x': [60, 100], 'y': [10, 40], 'z': [-110, -60]}]},"
                        + "{'id': 'hazard switch', 'reached': true, 'boxes': [{'x': [80, 100], 'y': [-20, -4], 'z': [-3, 20]}]},"
                        + "{'id': 'vent louvre', 'boxes': [{'x': [216, 260], 'y': [0, 100], 'z': [-5, 30]}]}]}")
                .formatted(BAND.formatted("60")));
        RadioBody screen =
                Dashes.radio("{'face': {'w': 180, 'h': 100, 'd': 24}, 'chassis': {'w': 178, 'h': 98, 'd': 1},"
                        + " 'fingers': [{'what': 'card slot', 'side': 'right', 'y': [40, 60], 'room': 30}]}");
        FitReport fit = Dashes.fit(site, screen, Dashes.kit("{'mount': 'front', 'feet': 12}"));
        assertEquals(stated("N4"), fit.verdict(), fit::toString);
        assertEquals(
                List.of("face lever in park 8", "face lever in drive 24"),
                fit.depths().stream()
                        .filter(DepthLeft::nearer)
                        .map(d -> "%s %s %.0f"
                                .formatted(d.body(), d.to(), d.slack().left().likely()))
                        .toList());
        assertEquals(-36, fit.bodies().get(0).z0(), 1e-9);
        assertEquals(
                List.of("hazard switch BELOW 6"),
                fit.neighbours().stream()
                        .map(n -> "%s %s %.0f"
                                .formatted(n.id(), n.side(), n.slack().left().likely()))
                        .toList());
        assertEquals(
                List.of("card slot vent louvre 4"),
                fit.fingers().stream()
                        .map(f -> "%s %s %.0f"
                                .formatted(f.what(), f.to(), f.slack().left().likely()))
                        .toList());
        assertEquals(List.of(), fit.collisions());
    }

    @Test
    void n10GoesWhereAnOldRadioTwentyDeeperStood() {
        Site site = Dashes.site("{'held': {'face': {'w': 180, 'h': 100}, 'd': 160}}");
        RadioBody radio = Dashes.radio("{'face': {'w': 180, 'h': 100}, 'chassis': {'w': 178, 'h': 98, 'd': 140}}");
        FitReport fit = Dashes.fit(site, radio, Optional.empty());
        assertEquals(stated("N10"), fit.verdict(), fit::toString);
        DepthLeft left = fit.tightest().orElseThrow();
        // 20 more than the old, less a ruler's millimetre and half a millimetre of print
        assertEquals(18.5, left.slack().left().least(), 1e-9);
    }

    @ParameterizedTest
    @MethodSource("jobs")
    void verdictAndRoomAreAsOnPaper(String id, Site site, RadioBody radio, String kit, double left) {
        FitReport fit = Dashes.fit(site, radio, Optional.of(kit).flatMap(Dashes::kit));
        assertEquals(stated(id), fit.verdict(), () -> fit.toString());
        assertEquals(left, fit.tightest().orElseThrow().slack().left().likely(), 1e-9, () -> fit.toString());
        if (id.equals("N6"))
            assertEquals(-15, fit.collisions().get(0).slack().left().likely(), 1e-9);
        if (id.equals("N3"))
            assertEquals(
                    List.of("rib A"),
                    fit.collisions().stream().map(Collision::with).distinct().toList());
        if (id.equals("N9")) assertEquals(6, fit.holes().get(0).deep(), 1e-9);
    }
}
