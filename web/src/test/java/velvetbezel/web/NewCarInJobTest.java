package velvetbezel.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import velvetbezel.store.Job;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;
import velvetbezel.store.Library;

/** A car that the library lacks is typed in without leaving the job, and wired with a harness that nobody sells. */
class NewCarInJobTest extends InBrowser {
    private Job job(String title) {
        return TestApp.bean(Jobs.class).create(title, "Ines Hallam", JobCodec.changes(Map.of()));
    }

    private static void button(Page page, String name) {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    private static void go(Page page, String station) {
        page.locator(".loom")
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(station))
                .click();
    }

    private Page typed(Job job, String name, String plug) {
        Page page = window("ines");
        page.navigate("/jobs/%d/arrive".formatted(job.number()));
        page.getByText("type it from its paper").click();
        page.locator("#name").fill(name);
        page.locator("#years").fill("05/2004-2009");
        page.locator("#opening").fill("one-DIN");
        page.locator("#plug0").fill(plug);
        page.locator("#lines0")
                .fill(
                        "1 constant red thick\n2 ground brown thick\n3 acc violet\n4 lamps grey\n5-12 speakers rr fr fl rl");
        assertThat(page.locator(".enough")).containsText("Enough to plan.");
        button(page, "Save");
        assertThat(page.locator("h1")).containsText(name.substring(name.indexOf(' ') + 1));
        return page;
    }

    /** From arrival to hand-over with the factory plug cut off: each wire of the car a cut, counted and said. */
    @Test
    void newCarIsHardWiredFromArrivalToHandOver() {
        Job job = job("A car nobody typed before");
        Page page = typed(job, "Tarrick Ousel 2 hatch", "T1");
        go(page, "Match");
        kitsThere(page);
        assertThat(page.locator("h1")).containsText("No whole kit");
        saved(page, () -> page.getByLabel("hard-wired, for the harness").first().click());
        kitsThere(page);
        assertThat(page.locator(".decided")).containsText("Harness hard-wired, twelve cuts");
        saved(page, () -> page.getByLabel("Choose kit A", new Page.GetByLabelOptions().setExact(true))
                .click());
        go(page, "Wire");
        assertThat(page.locator("h1")).containsText("joint");
        int joints = page.locator(".dot").count();
        assertTrue(joints >= 12, () -> joints + " joints");
        for (int i = 0; i < joints; i++)
            saved(page, () -> page.locator("table.joints .btn-next").click());
        while (page.locator(".caps .btn-quiet").count() > 0)
            saved(page, () -> page.locator(".caps .btn-quiet").first().click());
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Read back"))
                .click();
        Locator agrees =
                page.locator(".backs .btn-quiet").getByText("agrees", new Locator.GetByTextOptions().setExact(true));
        while (agrees.count() > 0) saved(page, () -> agrees.first().click());
        go(page, "Prove");
        Locator right = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Right, next"));
        while (right.count() > 0) saved(page, () -> right.first().click());
        assertThat(page.locator(".all-done")).containsText("Every check has a result");
        go(page, "Hand over");
        saved(page, () -> page.locator("#handed").click());
        assertThat(page.locator("h1")).hasText("Handed over");
        assertEquals(List.of(), console);
    }

    /** Bare leads from the car's own plug: one click makes the part, the second chooses the kit with it. */
    @Test
    void bareLeadsFromTheCarsOwnPlugInTwoClicks() {
        Job job = job("A car with a scrapped harness at hand");
        Page page = typed(job, "Tarrick Ousel 4 hatch", "T4");
        go(page, "Match");
        kitsThere(page);
        button(page, "Bare leads from this car's plugs");
        kitsThere(page);
        assertThat(page.locator(".versus")).containsText("Bare leads for the Tarrick Ousel 4 hatch");
        saved(page, () -> page.getByLabel("Choose kit A", new Page.GetByLabelOptions().setExact(true))
                .click());
        go(page, "Wire");
        assertThat(page.locator("h1")).containsText("Twelve joints");
        assertTrue(
                TestApp.bean(Library.class).find("bare-tarrick-ousel-4-hatch").isPresent());
    }

    @Test
    void partOutsideItsFitListSaysSoBesideItsKit() {
        Job job = job("A car that the harness was not made for");
        Page page = typed(job, "Tarrick Ousel 6 hatch", "T6");
        go(page, "Match");
        kitsThere(page);
        button(page, "Bare leads from this car's plugs");
        kitsThere(page);
        page.navigate("/sheets/bare-tarrick-ousel-6-hatch/lines");
        page.getByText("The paper, and what else is known").click();
        page.locator("#fits-years").fill("1990-1992");
        button(page, "Save");
        assertThat(page.locator(".facts")).containsText("1990 to 1992");
        page.navigate("/jobs/%d/match".formatted(job.number()));
        kitsThere(page);
        assertThat(page.locator(".remark").first())
                .containsText("Its fit list says 1990 to 1992, this car's sheet 2004 to 2009.");
    }
}
