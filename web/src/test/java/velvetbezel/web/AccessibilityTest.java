package velvetbezel.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;

/** WCAG 2.2 AA as far as a machine can tell, at the bench and in the car. */
class AccessibilityTest extends InBrowser {
    private static final List<String> LEVELS = List.of("wcag2a", "wcag2aa", "wcag21a", "wcag21aa", "wcag22aa");
    /** Colours are the same in a narrow window. */
    private static final List<String> BESIDES_COLOUR = List.of("color-contrast");

    private int job;

    @BeforeAll
    void work() {
        job = TestApp.bean(Jobs.class)
                .create(
                        "To be looked at",
                        "Ines Hallam",
                        JobCodec.changes(Map.of(
                                "vehicle",
                                "meridale-plover-2019-amplified",
                                "radio",
                                "ondel-47",
                                "parts",
                                "quillmoor-plover-panel,thornlea-plover-amplified,marlstone-plover-iso-fed,ashdyke-bus-power",
                                "wish/chimes",
                                "must stay",
                                "result/power",
                                "NOT_RIGHT",
                                "baseline/power",
                                "WORKED",
                                "vin",
                                "1M8GDM9A1KP042788")))
                .number();
        // the reasons wait for every kit
        Page match = window("ines");
        match.navigate("/jobs/%d/match".formatted(job));
        kitsThere(match);
        match.context().close();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "arrive",
                "match",
                "match/why",
                "match/instead?kit=yours&part=thornlea-plover-amplified",
                "quote",
                "extras",
                "goods-in",
                "wire",
                "wire?read=back",
                "bench",
                "bench?joint=ground&a=red&b=black",
                "bench?read=back",
                "loads",
                "joint?joint=ground",
                "fit",
                "controls",
                "controls?press=next&held=true",
                "open-up",
                "in-car",
                "trays?tool=T20",
                "try-order?steps=set+battery:+disconnected",
                "record",
                "prove",
                "find",
                "baseline",
                "hand-over",
                "log"
            })
    void stationsHaveNoAccessibilityFault(String station) {
        check("/jobs/%d/%s".formatted(job, station));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/jobs",
                "/tables",
                "/vehicles",
                "/radios",
                "/parts",
                "/sheets/meridale-plover-2019-amplified",
                "/sheets/quillmoor-plover-panel",
                "/sheets/meridale-plover-2019-amplified/edit?plug=main&position=9",
                "/sheets/meridale-plover-2019-amplified/strip",
                "/sheets/ondel-47/compare?with=pebblefen-p2",
                "/parts?q=plover",
                "/find?q=plover",
                "/who",
                "/devices",
                "/sign-in",
                "/offline",
                "/jobs/99999/wire",
                "/vehicles/new?like=corrick-ferryman-2006",
                "/parts/new",
                "/sheets/pebblefen-p2/facts",
                "/sheets/pebblefen-p2/lines",
                "/sheets/thornlea-plover-amplified/lines",
                "/radios/new",
                "/sheets/pebblefen-p2/device"
            })
    void otherPagesHaveNone(String path) {
        check(path);
    }

    private void check(String path) {
        Page page = window("ines", 1280, 844);
        page.navigate(path);
        noFault(page, List.of());
        fits(page);
        page.setViewportSize(390, 844);
        fits(page);
        if (path.endsWith("/wire") || path.endsWith("/prove")) noFault(page, BESIDES_COLOUR);
        page.context().close();
        assertEquals(List.of(), console.stream().filter(m -> !m.contains("404")).toList());
    }

    /** The engine's own script, asked for violations alone: a tenth of the work of a whole report. */
    private static void noFault(Page page, List<String> without) {
        page.evaluate(AxeBuilder.getAxeScript());
        Object faults = page.evaluate(
                "([levels, without]) => axe.run(document, {runOnly: {type: 'tag', values: levels}, rules: Object.fromEntries(without.map(r => [r, {enabled: false}])), resultTypes: ['violations']}).then(r => r.violations.map(v => innerWidth + ': ' + v.id + ' ' + v.nodes[0].html))",
                List.of(LEVELS, without));
        assertEquals(List.of(), faults);
    }

    private static void fits(Page page) {
        int beyond = ((Number) page.evaluate("document.documentElement.scrollWidth - innerWidth")).intValue();
        assertTrue(beyond <= 0, () -> page.url() + " is wider than the window of " + page.viewportSize().width);
    }

    /** A finger in the car needs 48 px. */
    @ParameterizedTest
    @ValueSource(ints = {390, 844})
    void buttonsOfTheFinalTestAreLargeEnoughForAFinger(int width) {
        Page page = window("ines", width, 844);
        page.navigate("/jobs/%d/prove".formatted(job));
        for (Locator button : page.locator(".hand-buttons .btn").all()) {
            BoundingBox box = button.boundingBox();
            assertTrue(
                    box.height >= 48 && box.width >= 48,
                    () -> button.textContent() + " is " + box.width + " by " + box.height);
        }
    }
}
