package velvetbezel.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import velvetbezel.store.Job;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;
import velvetbezel.store.Sender;

/** Saved as it is made; nothing typed is lost; a second person's stale edit is refused with both versions. */
class SavingTest extends InBrowser {
    private Job job;
    private Jobs jobs;

    @BeforeEach
    void open() {
        jobs = TestApp.bean(Jobs.class);
        job = jobs.create(
                "A job of two people", "Ines Hallam", JobCodec.changes(Map.of("vehicle", "corrick-ferryman-2006")));
    }

    private Optional<String> stored(String field) {
        return JobCodec.entry(field)
                .flatMap(
                        e -> JobCodec.text(jobs.find(job.number()).orElseThrow().state(), e));
    }

    private String path(String station) {
        return "/jobs/" + job.number() + "/" + station;
    }

    @Test
    void textIsSavedWhileItIsTypedAndTheCaretStays() {
        Page page = window("ines");
        page.navigate(path("arrive"));
        saved(page, () -> page.locator("#note").pressSequentially("Squeaks at "));
        page.keyboard().type("idle");
        saved(page, () -> page.locator("#customer").focus());
        assertEquals(Optional.of("Squeaks at idle"), stored("note"));
        page.reload();
        assertThat(page.locator("#note")).hasValue("Squeaks at idle");
    }

    @Test
    void secondPersonsStaleEditIsRefusedWithBothVersions() {
        Page ines = window("ines");
        Page tomas = window("tomas");
        ines.navigate(path("arrive"));
        tomas.navigate(path("arrive"));
        saved(ines, () -> ines.locator("#customer").fill("Amsel"));
        saved(tomas, () -> tomas.locator("#customer").fill("Anselm"));
        Locator refused = tomas.locator("#alerts .refused");
        assertThat(refused).containsText("Customer: changed by Ines Hallam meanwhile");
        assertThat(refused.locator("dd").first()).hasText("Amsel");
        assertThat(refused.locator("dd").last()).hasText("Anselm");
        assertEquals(Optional.of("Amsel"), stored("customer"));
        saved(tomas, () -> tomas.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Replace it with mine"))
                .click());
        assertEquals(Optional.of("Anselm"), stored("customer"));
        assertThat(tomas.locator("#alerts .refused")).hasCount(0);
    }

    @Test
    void changesOfDifferentFieldsByTwoPeopleBothStand() {
        Page ines = window("ines");
        Page tomas = window("tomas");
        ines.navigate(path("arrive"));
        tomas.navigate(path("arrive"));
        saved(ines, () -> ines.locator("#customer").fill("Amsel"));
        saved(tomas, () -> tomas.locator("label[for=f-sign-grille-badge-yes]").click());
        assertEquals(Optional.of("Amsel"), stored("customer"));
        assertEquals(Optional.of("yes"), stored("sign/grille-badge"));
        assertThat(tomas.locator("#customer")).hasValue("Amsel");
        assertThat(tomas.locator("#questions")).containsText("Plain or amplified?");
    }

    @Test
    void withoutConnectionTheChangeWaitsAndIsSavedAfterwards() {
        Page page = window("ines");
        page.navigate(path("arrive"));
        page.context().setOffline(true);
        page.locator("label[for=f-sign-more-plugs-yes]").click();
        assertThat(page.locator("#saving")).containsText("Not sent yet: 1 change, no connection");
        saved(page, () -> page.context().setOffline(false));
        assertEquals(Optional.of("yes"), stored("sign/more-plugs"));
        assertThat(page.locator("#saving")).hasText("");
    }

    @Test
    void keysMoveAlongTheLoom() {
        Page page = window("ines");
        page.navigate(path("arrive"));
        page.keyboard().press("3");
        assertThat(page).hasURL(Pattern.compile(".*/fit$"));
        page.waitForLoadState();
        page.keyboard().press("k");
        assertThat(page).hasURL(Pattern.compile(".*/match$"));
        page.waitForLoadState();
        page.keyboard().press("j");
        assertThat(page).hasURL(Pattern.compile(".*/fit$"));
    }

    @Test
    void anotherKitTakesBackExactlyTheWorkItUndoesAndUndoBringsItBack() {
        Page page = window("ines");
        jobs.change(
                job.id(),
                Sender.named("Ines Hallam"),
                "kit",
                1,
                JobCodec.changes(Map.of(
                        "radio",
                        "pebblefen-p2",
                        "parts",
                        "quillmoor-ferryman-frame,thornlea-iso-steering",
                        "joint/joint ground",
                        "done",
                        "joint/joint steering 1",
                        "done",
                        "result/power",
                        "RIGHT")));
        page.navigate(path("match?radio=tarnlight-minor"));
        kitsThere(page);
        saved(page, () -> page.locator(".versus")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Choose kit"))
                .first()
                .click());
        assertEquals(Optional.empty(), stored("joint/joint steering 1"));
        assertEquals(Optional.empty(), stored("result/power"));
        saved(page, () -> page.locator("#undo").click());
        assertEquals(Optional.of("done"), stored("joint/joint steering 1"));
        assertEquals(Optional.of("RIGHT"), stored("result/power"));
        assertEquals(Optional.of("pebblefen-p2"), stored("radio"));
    }

    /** The worksheet lay open while somebody chose another adapter: its ticks are of the old harness. */
    @Test
    void tickOnAWorksheetOfTheEarlierKitIsRefused() {
        long now = kit("quillmoor-ferryman-frame,thornlea-iso-steering", 1);
        Page page = window("ines");
        page.navigate(path("wire"));
        kit("quillmoor-ferryman-frame,thornlea-iso-tails", now);
        page.getByLabel(Pattern.compile("Joint \\d+, steering 1: joined")).click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("in the kit chosen now there is none");
        assertEquals(Optional.empty(), stored("joint/joint steering 1"));
        assertThat(page.locator("table.joints").first()).not().containsText("steering 1");
    }

    private long kit(String parts, long seen) {
        return jobs.change(
                job.id(),
                Sender.named("Tomas Berrow"),
                "kit",
                seen,
                JobCodec.changes(Map.of("radio", "pebblefen-p2", "parts", parts)));
    }

    @Test
    void answerThatGotLostIsSentAgainAndCountsOnce() {
        Page page = window("ines");
        page.navigate(path("arrive"));
        boolean[] lost = {false};
        page.route("**/change", route -> {
            if (lost[0]) route.resume();
            else {
                lost[0] = true;
                route.fetch(); // it arrives, and its answer does not
                route.abort();
            }
        });
        page.locator("#customer").fill("Harbour Libraries");
        assertThat(page.locator("#saving")).containsText("Not sent yet");
        assertThat(page.locator("#saving")).hasText("");
        assertEquals(Optional.of("Harbour Libraries"), stored("customer"));
        assertEquals(2, jobs.log(job.id()).size(), "opened, and one change");
    }
}
