package velvetbezel.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetbezel.store.Job;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;

/** The worksheet at the bench, on the real pages. */
class WireWorkTest extends InBrowser {
    private static final Map<String, String> MINIBUS = Map.of(
            "vehicle",
            "corrick-ferryman-2006",
            "radio",
            "pebblefen-p2",
            "parts",
            "quillmoor-ferryman-frame,thornlea-iso-steering");
    private static final Map<String, String> CROSSOVER = Map.of(
            "vehicle",
            "meridale-plover-2019-amplified",
            "radio",
            "ondel-47",
            "parts",
            "quillmoor-plover-panel,thornlea-plover-amplified,ashdyke-bus-power,marlstone-plover-iso-fed,hobwright-plover-camera-6");
    /** Saving waits while another test brings in a whole library. */
    private static final int PATIENT = 40_000;

    private Jobs jobs;

    @BeforeAll
    void workshop() {
        jobs = TestApp.bean(Jobs.class);
    }

    private Job job(Map<String, String> fields) {
        return jobs.create("A harness to make", "Ines Hallam", JobCodec.changes(fields));
    }

    private Page open(Job job, String page) {
        Page window = window("ines");
        window.navigate("/jobs/%d/%s".formatted(job.number(), page));
        return window;
    }

    @Test
    void spaceTicksTheJointInHandAndGoesToTheNext() {
        Job job = job(MINIBUS);
        Page page = open(job, "bench");
        assertThat(page.locator("h1")).hasText("ground");
        saved(page, () -> page.keyboard().press("Space"));
        assertThat(page.locator("h1")).hasText("constant");
        saved(page, () -> page.keyboard().press("Space"));
        assertThat(page.locator("h1")).hasText("accessory");
        page.reload();
        assertThat(page.locator("h1")).hasText("accessory");
        assertThat(page.locator(".at")).containsText("3 of ");
        page.navigate("/jobs/%d/wire".formatted(job.number()));
        assertThat(page.locator(".btn-done")).hasCount(2);
    }

    @Test
    void coloursInHandThatDoNotBelongTogetherAreNamedWithTheJointsTheyBelongTo() {
        Page page = open(job(MINIBUS), "bench?joint=constant");
        page.fill("#hand-a", "yellow");
        page.fill("#hand-b", "yellow");
        page.click("text=Do they belong together?");
        assertThat(page.locator(".hand-answer"))
                .containsText("They do not belong together. Yellow goes into joint 2, constant or 3, accessory.");
        page.fill("#hand-b", "red");
        page.click("text=Do they belong together?");
        assertThat(page.locator(".hand-answer"))
                .containsText(
                        "They belong together: this joint. The same colours meet in joint 3, accessory, too: go by position.");
        page.fill("#hand-b", "reddish");
        page.click("text=Do they belong together?");
        assertThat(page.locator(".hand-answer"))
                .containsText("\"reddish\" is no colour; type a colour or base/stripe from: black,");
        assertThat(page.locator("#hand-b")).hasValue("reddish");
    }

    @Test
    void readingBackGoesFromTheLastJointToTheFirst() {
        Page page = open(job(MINIBUS), "bench?read=back");
        assertThat(page.locator("h1")).hasText("front left +");
        saved(page, () -> page.keyboard().press("Space"));
        assertThat(page.locator("h1")).hasText("front left −");
        saved(page, () -> page.click("#bench-differs"));
        assertThat(page.locator("h1")).hasText("front right +");
    }

    @Test
    void schoolOfTheJobChangesEveryJointAndOneCanBeMadeOtherwise() {
        Job job = job(MINIBUS);
        Page page = open(job, "wire");
        assertThat(page.locator(".made a").first()).hasText("crimp cap, medium · strip 12 mm");
        saved(page, () -> page.selectOption("#school", "solder and shrink tube"));
        assertThat(page.locator(".made a").first()).hasText("solder and shrink tube · strip 15 mm");
        assertThat(page.locator(".before")).containsText("Slide on and count: ");
        page.locator(".made a").first().click();
        assertThat(page.locator(".kinds-of-joint button:disabled")).hasCount(3);
        assertThat(page.locator(".kinds-of-joint"))
                .containsText("Household wire nuts shake loose in a car: not accepted.");
        saved(page, () -> page.click("text=heat-shrink butt splice"));
        assertThat(page.locator(".verdict"))
                .hasText("heat-shrink butt splice, red · strip 8 mm: 0.82 mm² on one side and 1.31 mm² on the other.");
    }

    @Test
    void kindThatIsNotAcceptedIsRefusedWithItsReasonHoweverItIsSent() throws Exception {
        Job job = job(MINIBUS);
        HttpResponse<String> reply = new Site(TestApp.url(), "ines")
                .post(
                        "/jobs/%d/change".formatted(job.number()),
                        Map.of(
                                "seen",
                                "99",
                                "back",
                                "/jobs/%d/joint?joint=ground".formatted(job.number()),
                                "f:joint kind/joint ground",
                                "twisted and taped"));
        assertEquals(422, reply.statusCode());
        assertTrue(reply.body().contains("Tape lets go in the heat of a dash"), reply::body);
    }

    @Test
    void pieceOfLeadIsReadAndABadOneStaysTyped() {
        Page page = open(job(MINIBUS), "joint?joint=constant");
        Locator extend = page.locator("#extend");
        saved(page, () -> {
            extend.fill("a bit");
            extend.press("Enter");
        });
        assertThat(page.locator("#work"))
                .containsText("\"a bit\" is no piece of lead; type its length and gauge as 1.5 m, 18 AWG");
        assertThat(extend).hasValue("a bit");
        saved(page, () -> {
            extend.fill("2 m 18");
            extend.press("Enter");
        });
        assertThat(extend).hasValue("2 m, 18 AWG");
        page.navigate(page.url().replaceFirst("joint\\?.*", "loads"));
        assertThat(page.locator(".materials")).containsText("Cable, AWG 18");
    }

    @Test
    void accessoryMovedToConstantIsNamedAsHarm() {
        Page page = open(job(MINIBUS), "joint?joint=accessory");
        Locator car = page.locator(".leads-of-joint tr").filter(new Locator.FilterOptions().setHasText("A4"));
        saved(page, () -> car.locator("select").selectOption("constant"));
        assertThat(page.locator("#questions"))
                .containsText(
                        "the radio plays with the key off and the battery goes flat. Take one of them out of the joint.");
    }

    @Test
    void partExchangedAfterHalfTheJointsNamesWhatIsToBeTakenApart() {
        Job job = job(MINIBUS);
        Page page = open(job, "bench");
        for (int i = 0; i < 4; i++) saved(page, () -> page.keyboard().press("Space"));
        Site site = new Site(TestApp.url(), "ines");
        site.post(
                "/jobs/%d/change".formatted(job.number()),
                Map.of(
                        "seen",
                        "99",
                        "back",
                        "/jobs/%d/wire".formatted(job.number()),
                        "f:radio",
                        "pebblefen-p2",
                        "f:parts",
                        "quillmoor-ferryman-frame,thornlea-iso-tails"));
        page.navigate("/jobs/%d/wire".formatted(job.number()));
        assertThat(page.locator(".undo-first li")).hasCount(4);
        assertThat(page.locator(".undo-first li").nth(2))
                .containsText("ground: black of Thornlea ISO adapter with steering tail, black of Pebblefen P2");
        saved(page, () -> page.locator(".undo-first li button").first().click());
        assertThat(page.locator(".undo-first li")).hasCount(3);
        site.post(
                "/jobs/%d/change".formatted(job.number()),
                Map.of(
                        "seen",
                        "99",
                        "back",
                        "/jobs/%d/wire".formatted(job.number()),
                        "f:radio",
                        "pebblefen-p2",
                        "f:parts",
                        MINIBUS.get("parts")));
        page.reload();
        assertThat(page.locator(".undo-first")).hasCount(0);
        assertThat(page.locator(".btn-done")).hasCount(3);
    }

    @Test
    void rowTickedByTwoPeopleAtOnceIsTickedOnce() {
        Job job = job(MINIBUS);
        Page ines = open(job, "wire");
        Page other = window("tomas");
        other.navigate("/jobs/%d/wire".formatted(job.number()));
        saved(ines, () -> ines.locator("button:has-text('Joined')").first().click());
        saved(other, () -> other.locator("button:has-text('Joined')").first().click());
        assertThat(other.locator(".refused")).hasCount(0);
        assertThat(other.locator(".btn-done")).hasCount(1);
    }

    @Test
    void loadsOfTheCrossoverNameTheLineLevelThatIsTooHigh() {
        Page page = open(job(CROSSOVER), "loads");
        assertThat(page.locator("h1")).hasText("One load is too much for what bears it");
        assertThat(page.locator(".loads tr.wrong")).containsText("1000 Ω in series and 1000 Ω across the input");
        assertThat(page.locator(".loads").first()).containsText("5.92 V, bears less than 9 V");
    }

    @ParameterizedTest
    @CsvSource({"a4,595,842", "letter,612,792"})
    void worksheetPrintsOnBothPapersWithEveryRow(String paper, int width, int height) throws Exception {
        Job job = job(CROSSOVER);
        Site site = new Site(TestApp.url(), "ines");
        try (PDDocument pdf = Loader.loadPDF(site.bytes("/jobs/%d/wire.pdf?paper=%s".formatted(job.number(), paper)))) {
            assertEquals(width, pdf.getPage(0).getMediaBox().getWidth(), 1);
            assertEquals(height, pdf.getPage(0).getMediaBox().getHeight(), 1);
            String text = new PDFTextStripper().getText(pdf);
            for (String words : List.of(
                    "Never feed 12 V into positions 15 and 16",
                    "antenna power",
                    "Leads to cap, one by one",
                    "strip 12 mm",
                    "Ashdyke bus")) assertTrue(text.contains(words), words + " in " + text);
        }
        try (PDDocument pdf =
                Loader.loadPDF(site.bytes("/jobs/%d/labels.pdf?paper=%s".formatted(job.number(), paper)))) {
            assertTrue(new PDFTextStripper().getText(pdf).contains("red/white, to red, red"));
        }
    }

    @Test
    void tablesAreChangedAndABadOneIsRefusedWithItsPlaceAndStays() {
        Page page = window("ines");
        page.navigate("/tables");
        page.click("summary");
        String good = page.locator("#body").inputValue();
        page.fill("#body", good.replaceFirst("\"remote\": ?0.3", "\"remote\": \"plenty\""));
        page.click("text=Save the tables");
        assertThat(page.locator(".refused"))
                .containsText(
                        "limits.remote: found \"plenty\"; a number from 0.01 to 10 is expected.",
                        new LocatorAssertions.ContainsTextOptions().setTimeout(PATIENT));
        assertTrue(page.locator("#body").inputValue().contains("plenty"));
        page.fill("#body", good.replaceFirst("\"remote\": ?0.3", "\"remote\": 0.25"));
        page.click("text=Save the tables");
        assertThat(page.locator(".size-tables"))
                .containsText("0.25 A", new LocatorAssertions.ContainsTextOptions().setTimeout(PATIENT));
    }
}
