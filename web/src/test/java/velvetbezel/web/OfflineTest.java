package velvetbezel.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Dialog;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import velvetbezel.job.Entry;
import velvetbezel.store.Job;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;
import velvetbezel.store.LogEntry;
import velvetbezel.store.Sender;

/** Work goes on without a connection; what was typed and tapped arrives, in its order, once. */
class OfflineTest extends InBrowser {
    private static final int ENOUGH = 10;
    private static final int PATIENT = 200;
    private Jobs jobs;
    private Job job;

    @Override
    protected boolean keepsPages() {
        return true;
    }

    @BeforeEach
    void open() {
        jobs = TestApp.bean(Jobs.class);
        job = TestJobs.minibusWithKit(jobs, "A job in the yard");
    }

    private String path(String station) {
        return "/jobs/" + job.number() + "/" + station;
    }

    private Job now() {
        return jobs.find(job.number()).orElseThrow();
    }

    private Optional<String> stored(String field) {
        return JobCodec.entry(field).flatMap(e -> JobCodec.text(now().state(), e));
    }

    /** Waits until this device keeps the pages that the work needs. */
    private void kept(Page page) {
        kept(page, List.of(path("bench"), path("bench/ahead"), path("prove"), path("prove/ahead"), path("hand-over")));
    }

    private static String check(Page page) {
        return page.locator(".hand h2").innerText();
    }

    private List<String> told() {
        List<String> told = new ArrayList<>();
        for (LogEntry e : jobs.log(job.id())) told.add(0, e.what());
        return told;
    }

    @Test
    void twentyChangesWithoutConnectionArriveInTheirOrder() {
        Page page = window("ines", 390, 844);
        page.navigate(path("prove"));
        kept(page);
        page.context().setOffline(true);
        List<String> checks = new ArrayList<>();
        for (int i = 0; i < ENOUGH; i++) {
            if (i == ENOUGH / 2) {
                page.reload();
                assertThat(page.locator("body[data-ready]")).hasCount(1);
            }
            String before = check(page);
            checks.add(before);
            page.locator("#right").click();
            assertThat(page.locator(".hand h2")).not().hasText(before);
        }
        assertThat(page.locator("#saving")).containsText("Not sent yet: 10 changes, no connection");
        page.navigate(path("bench"));
        assertThat(page.locator("body[data-ready]")).hasCount(1);
        List<String> joints = new ArrayList<>();
        for (int i = 0; i < ENOUGH; i++) {
            String before = page.locator("#work form[data-card]").getAttribute("data-card");
            joints.add(before);
            page.locator("#bench-do").click();
            assertThat(page.locator("#work form[data-card]")).not().hasAttribute("data-card", before);
        }
        assertThat(page.locator("#saving")).containsText("Not sent yet: 20 changes, no connection");
        assertEquals(1, jobs.log(job.id()).size(), "nothing has arrived yet");
        page.context().setOffline(false);
        assertThat(page.locator("#saving")).hasText("");
        List<String> told = told();
        assertEquals(1 + 2 * ENOUGH, told.size(), told::toString);
        for (int i = 0; i < ENOUGH; i++) {
            assertTrue(told.get(1 + i).contains(checks.get(i)), told.get(1 + i) + " is not " + checks.get(i));
            assertEquals(Optional.of("done"), stored(joints.get(i)));
        }
        assertEquals(ENOUGH, now().state().all(Entry.ResultGiven.class).size());
    }

    /** The next two things were worked out for the likeliest answers, and both answers arrive. */
    @Test
    void searchGoesOnWithoutAConnection() {
        Page page = window("ines", 390, 844);
        jobs.change(
                job.id(),
                Sender.named("Ines"),
                "Front left is silent",
                now().seq(),
                JobCodec.changes(Map.of("result/front left", "NOT_RIGHT", "result/front right", "RIGHT")));
        page.navigate(path("find"));
        assertThat(page.locator("section.find .working"))
                .hasCount(0, new LocatorAssertions.HasCountOptions().setTimeout(90_000));
        kept(page, List.of(path("find"), path("find/ahead")));
        page.context().setOffline(true);
        for (int i = 1; i <= 2; i++) {
            String before = page.locator("section.find h1").innerText();
            page.locator(".find .answers .btn").first().click();
            assertThat(page.locator("section.find h1")).not().hasText(before);
        }
        assertThat(page.locator("#saving")).containsText("Not sent yet: 2 changes, no connection");
        page.context().setOffline(false);
        assertThat(page.locator("#saving")).hasText("");
        assertTrue(stored("symptom/front left").isPresent());
    }

    @Test
    void whatTheAppCannotTakeNowStaysAndOutlivesTheWindow() {
        Page page = window("ines");
        BrowserContext device = page.context();
        device.route("**/change", answers(503));
        page.navigate(path("arrive"));
        page.locator("#customer").fill("Harbour Libraries");
        page.locator("#note").fill("Squeaks");
        assertThat(page.locator("#saving")).containsText("Not sent yet: 2 changes, the app answers 503");
        page.close();
        device.unroute("**/change");
        Page next = device.newPage();
        next.navigate(path("wire"));
        for (int i = 0; i < PATIENT && stored("note").isEmpty(); i++) next.waitForTimeout(100);
        assertEquals(Optional.of("Harbour Libraries"), stored("customer"));
        assertEquals(Optional.of("Squeaks"), stored("note"));
        assertThat(next.locator("#saving")).hasText("");
    }

    private static java.util.function.Consumer<Route> answers(int status) {
        return route ->
                route.fulfill(new Route.FulfillOptions().setStatus(status).setBody("<p>no</p>"));
    }

    @Test
    void anotherPageInTheAppsPlaceIsNoAnswer() {
        Page page = window("ines");
        page.route("**/change", answers(200));
        page.navigate(path("arrive"));
        page.locator("#customer").fill("Amsel");
        assertThat(page.locator("#saving")).containsText("1 change, something else answers in its place");
        page.unroute("**/change");
        assertThat(page.locator("#saving")).hasText("");
        assertEquals(Optional.of("Amsel"), stored("customer"));
    }

    @Test
    void refusedAfterwardsShowsBothVersionsUntilOneIsChosen() {
        Page ines = window("ines");
        ines.navigate(path("arrive"));
        kept(ines);
        ines.context().setOffline(true);
        ines.locator("#customer").fill("Anselm");
        assertThat(ines.locator("#saving")).containsText("1 change, no connection");
        ines.navigate(path("prove"));
        Page tomas = window("tomas");
        tomas.navigate(path("arrive"));
        saved(tomas, () -> tomas.locator("#customer").fill("Amsel"));
        ines.context().setOffline(false);
        assertThat(ines.locator("#saving")).containsText("changed by Tomas Berrow meanwhile");
        assertThat(ines.locator("#saving")).containsText("Yours: Anselm");
        assertEquals(Optional.of("Amsel"), stored("customer"));
        ines.reload();
        assertThat(ines.locator("#saving")).containsText("Amsel");
        ines.locator("[data-again]").click();
        assertThat(ines.locator("#saving")).hasText("");
        assertEquals(Optional.of("Anselm"), stored("customer"));
    }

    @Test
    void twoPhonesOnOneJobMergeFieldByField() {
        Page one = window("ines", 390, 844);
        Page two = window("tomas", 390, 844);
        for (Page p : List.of(one, two)) {
            p.navigate(path("prove"));
            kept(p);
            p.context().setOffline(true);
        }
        String first = check(one);
        one.locator("#right").click();
        assertThat(one.locator(".hand h2")).not().hasText(first);
        two.navigate(path("bench"));
        String joint = two.locator("#work form[data-card]").getAttribute("data-card");
        two.locator("#bench-do").click();
        assertThat(two.locator("#saving")).containsText("1 change, no connection");
        for (Page p : List.of(two, one)) {
            p.context().setOffline(false);
            assertThat(p.locator("#saving")).hasText("");
        }
        assertEquals(Optional.of("done"), stored(joint));
        assertEquals(1, now().state().all(Entry.ResultGiven.class).size());
    }

    @Test
    void leavingWithUnsentWorkAsksAndMovingInTheAppDoesNot() {
        Page page = window("ines");
        page.navigate(path("arrive"));
        kept(page);
        page.context().setOffline(true);
        page.locator("#customer").fill("Amsel");
        assertThat(page.locator("#saving")).containsText("1 change, no connection");
        List<String> asked = new ArrayList<>();
        page.onDialog(d -> {
            asked.add(d.type());
            d.accept();
        });
        page.locator(".loom a:has-text('Wire')").click();
        assertThat(page).hasURL(Pattern.compile(".*/wire$"));
        assertEquals(List.of(), asked);
        assertThat(page.locator("#saving")).containsText("1 change, no connection");
        page.locator("h1").click();
        page.reload();
        assertEquals(List.of("beforeunload"), asked);
        page.onDialog(Dialog::accept);
    }

    @Test
    void undoTakesBackWhatWasNotSentYet() {
        Page page = window("ines");
        page.navigate(path("arrive"));
        kept(page);
        saved(page, () -> page.locator("#customer").fill("Amsel"));
        page.context().setOffline(true);
        page.locator("#note").fill("Squeaks");
        assertThat(page.locator("#saving")).containsText("1 change, no connection");
        page.onDialog(Dialog::accept);
        page.locator("#undo").click();
        assertThat(page.locator("#saving")).hasText("");
        page.context().setOffline(false);
        page.reload();
        assertEquals(Optional.empty(), stored("note"));
        assertEquals(Optional.of("Amsel"), stored("customer"));
    }

    /** One window sends for both, and the other follows. */
    @Test
    void twoWindowsOfOneDeviceBothFollow() {
        Page one = window("ines");
        one.navigate(path("arrive"));
        Page two = one.context().newPage();
        two.navigate(path("wire"));
        saved(one, () -> one.locator("#customer").fill("Amsel"));
        saved(two, () -> two.getByLabel(Pattern.compile("Joint 1, .*: joined")).click());
        assertThat(two.locator(".btn-done")).hasCount(1);
        assertEquals(Optional.of("Amsel"), stored("customer"));
    }

    @Test
    void pageThatWasNotKeptSaysSo() {
        Page page = window("ines");
        page.navigate(path("arrive"));
        kept(page);
        page.context().setOffline(true);
        page.navigate("/vehicles");
        assertThat(page.locator("h1")).hasText("No connection, and this page was not kept");
    }
}
