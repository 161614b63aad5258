package velvetbezel.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import velvetbezel.sheet.SheetTree;
import velvetbezel.store.Document;
import velvetbezel.store.Job;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;
import velvetbezel.store.Json;
import velvetbezel.store.Library;

/** Will it go in, on the page that says so. */
class FitPageTest extends InBrowser {
    private Jobs jobs;

    @BeforeEach
    void jobs() {
        jobs = TestApp.bean(Jobs.class);
    }

    private Page fit(String vehicle, String radio, String parts) {
        Job job = jobs.create(
                "Fit of " + radio,
                "Ines Hallam",
                JobCodec.changes(Map.of("vehicle", vehicle, "radio", radio, "parts", parts)));
        Page page = window("ines");
        page.navigate("/jobs/%d/fit".formatted(job.number()));
        return page;
    }

    @Test
    void oneReadingSettlesTheOpeningOfOneAndAHalfHeight() {
        Page page = fit("hasterley-regent-1994", "tarnlight-minor", "hobwright-regent-pocket");
        assertThat(page.locator("h1")).hasText("Measure first");
        assertThat(page.locator(".measures label").first()).containsText("Measure upper band depth:");
        page.locator(".measures input.form-control").first().fill("deep");
        page.locator(".measures input.form-control").first().press("Enter");
        assertThat(page.locator("#alerts"))
                .containsText("\"deep\" is no length; a number of mm is expected, such as 195.");
        saved(page, () -> {
            page.locator(".measures input.form-control").first().fill("215");
            page.locator(".measures input.form-control").first().press("Enter");
        });
        assertThat(page.locator("h1")).hasText("It goes in");
        assertEquals(0, page.locator(".measures").count());
    }

    @Test
    void radioTooDeepForTheBraceGoesInAfterItIsTakenOut() {
        Page page = fit("meridale-plover-2019-plain", "ondel-60", "quillmoor-plover-panel");
        assertThat(page.locator("h1")).hasText("It goes in once cross brace makes way");
        assertThat(page.locator(".fit-lines").first())
                .containsText("Chassis meets cross brace: 9 mm too deep: take it out (4 × hex 8), 10 min;"
                        + " the module of the rear camera needs a new place.");
        assertThat(page.locator(".views .goes").first()).hasCount(1);
    }

    @Test
    void ribIsTrimmedBackWhereTheKitNamesItAndStaysWhereItDoesNot() {
        assertThat(fit("meridale-plover-2014-amplified", "ondel-47", "quillmoor-plover-panel")
                        .locator(".fit-lines")
                        .first())
                .containsText("trim it: back to the inner edge, then across. The rest stays");
        Page other = fit("meridale-plover-2014-amplified", "ondel-47", "hobwright-plover-frame");
        assertThat(other.locator("h1")).hasText("It does not go in");
        assertThat(other.locator(".fit-lines").first())
                .containsText("no sheet of this kit or car names it for cutting");
    }

    @Test
    void firstTryAllRoundSunkNamesTheHolesThatCureIt() {
        Page page = fit("meridale-plover-2019-amplified", "ondel-47", "hobwright-plover-frame");
        int[] sunk = {22, 22, 21, 22};
        for (int i = 0; i < sunk.length; i++) {
            int edge = i;
            saved(page, () -> {
                page.locator(".first-try input.form-control").nth(edge).fill(String.valueOf(sunk[edge]));
                page.locator(".first-try input.form-control").nth(edge).press("Enter");
            });
        }
        assertThat(page.locator(".first-try .advice")).containsText("Holes 2+3 in slots front+rear: sits 2");
        page.locator(".first-try input.form-control").first().fill("deep");
        page.locator(".first-try input.form-control").first().press("Enter");
        assertThat(page.locator(".first-try .fault").first())
                .containsText("\"deep\" is no length; type a number of mm");
    }

    @Test
    void earlierFittingsOfTheSheetAreCountedAndAnotherRowCanBeTaken() {
        Page page = fit("meridale-plover-2019-plain", "ondel-47", "hobwright-plover-frame");
        assertThat(page.locator("main"))
                .containsText(
                        "1 earlier fitting with this kit came out 26 mm deeper than its holes say; counted here.");
        assertThat(page.locator(".hole-rows p").first()).containsText("Flush with holes 2+3");
        saved(page, () -> page.locator(".hole-rows input[type=radio]").nth(1).check());
        assertThat(page.locator(".hole-rows input[type=radio]").nth(1)).isChecked();
    }

    @Test
    void faceIsMovedInItsSlotsAndWhatIsLeftFollows() {
        Page page = fit("meridale-plover-2019-amplified", "ondel-47", "quillmoor-plover-panel");
        page.locator("#travel").fill("4");
        assertThat(page.locator(".slide output")).hasText("4 mm sunk, 10 mm left behind");
        assertEquals(
                "4px", page.locator(".view-side").evaluate("e => getComputedStyle(e).getPropertyValue('--travel')"));
    }

    @Test
    void benchListIsTicked() {
        Page page = fit("meridale-plover-2019-plain", "ondel-60", "quillmoor-plover-panel");
        saved(page, () -> page.getByLabel("Done: Take out cross brace").click());
        assertThat(page.getByLabel("Done: Take out cross brace")).hasText("● done");
    }

    @Test
    void openUpTakesOutWhatTheFitSaysAndItsScrewsGoIntoATray() {
        Page page = fit("meridale-plover-2019-plain", "ondel-60", "quillmoor-plover-panel");
        page.navigate(page.url().replace("/fit", "/open-up"));
        assertThat(page.locator(".order")).containsText("cross brace");
        assertThat(page.locator(".tool-list")).containsText("hex 8");
    }

    @Test
    void antennaGoesWhereNothingSpeaksAgainstIt() {
        Page page = fit(
                "meridale-plover-2019-plain",
                "ondel-60",
                "quillmoor-plover-panel,kelfax-gps-antenna,thornlea-plover-plain");
        assertThat(page.locator(".places").first()).containsText("ledge below the windscreen");
        saved(page, () -> page.locator(".places select").first().selectOption("dash top"));
        assertThat(page.locator(".places .fault").first()).containsText("An airbag opens there");
        saved(page, () -> page.locator(".places select").first().selectOption("behind the cluster"));
        assertThat(page.locator(".places .fault").first()).containsText("Metal above it hides the sky");
    }

    @Test
    void screenBeforeThePanelTellsWhatItClears() {
        Page page = fit("brindlow-quern-2013", "ondel-over-9", "hobwright-quern-hood");
        assertThat(page.locator("h1")).hasText("It goes in");
        assertThat(page.locator("main")).containsText("mm left before it to lever in park");
        assertThat(page.locator("main")).containsText("Hazard switch stays in reach");
    }

    @Test
    void carNobodyMeasuredIsMeasuredOneNumberAtATime() {
        Library library = TestApp.bean(Library.class);
        Object tree = Document.tree(
                library.find("corrick-ferryman-2006").orElseThrow().body());
        tree = SheetTree.put(
                SheetTree.put(tree, "id", Optional.of("vehicle-that-nobody-has-measured-yet")),
                "site",
                Optional.empty());
        tree = SheetTree.put(SheetTree.put(tree, "model", Optional.of("Van")), "name", Optional.of("Unmeasured van"));
        library.take(Map.of("vehicle-that-nobody-has-measured-yet.json", Json.write(tree)), "Ines Hallam");
        Page page = fit("vehicle-that-nobody-has-measured-yet", "tarnlight-minor", "quillmoor-sleeve");
        assertThat(page.locator("h1")).hasText("Nobody has measured behind this opening");
        page.getByText("Measure, one number at a time").click();
        for (String number : List.of("184", "55", "205")) {
            assertThat(page.locator("#number")).hasValue("");
            saved(page, () -> {
                page.locator("#number").fill(number);
                page.locator("#number").press("Enter");
            });
        }
        assertThat(page.locator("h1")).hasText("It goes in");
        assertThat(page.locator(".measure")).containsText("Nothing is left to measure");
    }

    @Test
    void smallSumsSayWhatIsNoNumberAndKeepIt() {
        Page page = fit("meridale-plover-2019-plain", "ondel-60", "quillmoor-plover-panel");
        page.navigate(page.url() + "/sums?strip=480&pieces=16&body=x");
        assertThat(page.locator(".sum-answer").first())
                .hasText("30.00 mm each; without cuts: fold it 4 times in half.");
        assertThat(page.locator(".sums .fault")).hasText("\"x\" is no number for: Body. Type mm such as 12.5.");
        assertThat(page.locator("input[name=body]")).hasValue("x");
    }

    /** In the raster, as a ruler would find it: 254 dots an inch are ten a millimetre. */
    @Test
    void barOfTheTemplateIsFiftyMillimetresOnPaper() throws IOException {
        Page page = fit("meridale-plover-2019-plain", "ondel-60", "quillmoor-plover-panel");
        String job = page.url().replaceAll(".*/jobs/(\\d+)/.*", "$1");
        for (String paper : List.of("a4", "letter"))
            try (PDDocument pdf = Loader.loadPDF(
                    new Site(TestApp.url(), "ines").bytes("/jobs/%s/fit.pdf?paper=%s".formatted(job, paper)))) {
                BufferedImage sheet = new PDFRenderer(pdf).renderImageWithDPI(0, 254);
                // the bar begins 5 mm from the margin of 10
                int bar = 0;
                for (int y = 0; y < sheet.getHeight(); y++)
                    if (dark(sheet, 155, y) && !dark(sheet, 140, y)) bar = Math.max(bar, darkFrom(sheet, 155, y) + 5);
                // 50 mm and the width of its stroke
                assertTrue(bar >= 497 && bar <= 507, paper + ": " + bar + " tenths");
                assertEquals(4, pdf.getNumberOfPages(), "front, side, two brackets");
            }
    }

    private static boolean dark(BufferedImage sheet, int x, int y) {
        return (sheet.getRGB(x, y) & 0xff) < 128;
    }

    private static int darkFrom(BufferedImage sheet, int x, int y) {
        int run = 0;
        while (dark(sheet, x + run, y)) run++;
        return run;
    }
}
