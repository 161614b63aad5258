package velvetbezel.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Page;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import velvetbezel.store.Job;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;

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
        assertThat(page.locator(".measures label").first()).containsText("Measure bands upper band depth:");
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
        assertThat(page.locator("h1")).hasText("It goes in after cross brace");
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
}
