package velvetbezel.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import velvetbezel.job.Entry;
import velvetbezel.prove.Baseline;
import velvetbezel.store.Job;
import velvetbezel.store.Jobs;

/** In the car: one thing at a time, reached with a thumb. */
class PhoneTest extends InBrowser {
    /** WCAG 2.2, success criterion 2.5.5 (enhanced): 44 by 44 CSS pixels. */
    private static final int TARGET = 44;

    private static final int WIDTH = 390;
    private Jobs jobs;
    private Job job;
    private Page page;

    @BeforeEach
    void open() {
        jobs = TestApp.bean(Jobs.class);
        job = TestJobs.minibusWithKit(jobs, "A job in the car");
        page = window("ines", WIDTH, 844);
    }

    private void at(String station) {
        page.navigate("/jobs/%d/%s".formatted(job.number(), station));
    }

    private List<Baseline> baselines() {
        return jobs.find(job.number()).orElseThrow().state().all(Entry.BaselineTaken.class).stream()
                .map(e -> jobs.find(job.number()).orElseThrow().state().get(e).orElseThrow())
                .toList();
    }

    @Test
    void baselineIsOneQuestionAScreenAndTheRestWorked() {
        at("baseline");
        String first = page.locator(".hand h2").innerText();
        saved(page, () -> page.locator("#worked").click());
        assertThat(page.locator(".hand h2")).not().hasText(first);
        saved(page, () -> page.locator(".hand button[value=FAULTY]").click());
        assertThat(page.locator(".hand header")).containsText("3 of ");
        page.getByText("‹ Back").click();
        assertThat(page.locator(".hand .suspect")).hasText("Answered: ▲ faulty");
        saved(page, () -> page.getByText("Rest worked").click());
        assertThat(page.locator(".hand h2")).hasText("Nothing left to try");
        assertEquals(1, baselines().stream().filter(Baseline.FAULTY::equals).count());
        assertEquals(
                baselines().size() - 1,
                baselines().stream().filter(Baseline.WORKED::equals).count());
        at("arrive");
        assertThat(page.locator(".verdict").first()).containsText("The baseline is complete.");
    }

    @Test
    void undoAndBackAreAtHandInProve() {
        at("prove");
        String first = page.locator(".hand h2").innerText();
        saved(page, () -> page.locator("#right").click());
        page.getByText("‹ Back").click();
        assertThat(page.locator(".hand h2")).hasText(first);
        saved(page, () -> page.locator(".hand header").getByText("Undo").click());
        assertEquals(
                0,
                jobs.find(job.number())
                        .orElseThrow()
                        .state()
                        .all(Entry.ResultGiven.class)
                        .size());
    }

    @Test
    void whatIsTouchedInTheCarIsLargeEnough() {
        List<String> small = new ArrayList<>();
        for (String station : List.of(
                "arrive",
                "baseline",
                "match",
                "wire",
                "bench",
                "fit",
                "controls",
                "open-up",
                "in-car",
                "record",
                "prove",
                "find",
                "hand-over")) {
            at(station);
            if (station.equals("match")) kitsThere(page);
            Locator touched = page.locator("main .btn:visible, main select:visible, main .seg label:visible,"
                    + " main input.form-control:visible, .top a:not(.skip):visible, .loom a:visible");
            for (int i = 0; i < touched.count(); i++) {
                BoundingBox box = touched.nth(i).boundingBox();
                if (box != null && box.width > 1 && Math.round(box.height) < TARGET)
                    small.add("%s: %s, %.0f px high"
                            .formatted(station, touched.nth(i).innerText(), box.height));
            }
            assertFalse(
                    (boolean) page.evaluate("document.documentElement.scrollWidth > innerWidth"),
                    station + " is wider than the phone");
        }
        assertEquals(List.of(), small);
    }

    @Test
    void noticeOfALostConnectionCoversNoButton() {
        at("prove");
        page.context().setOffline(true);
        page.locator("#right").click();
        assertThat(page.locator("#saving")).containsText("no connection");
        BoundingBox notice = page.locator("#saving").boundingBox();
        for (Locator button : page.locator(".hand button:visible").all()) {
            BoundingBox box = button.boundingBox();
            assertFalse(
                    box.y < notice.y + notice.height && notice.y < box.y + box.height,
                    "the notice lies on " + button.innerText());
        }
    }
}
