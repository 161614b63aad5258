package velvetbezel.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import velvetbezel.job.Change;
import velvetbezel.job.Entry;
import velvetbezel.sheet.SheetTree;
import velvetbezel.store.Job;
import velvetbezel.store.JobArchive;
import velvetbezel.store.Jobs;
import velvetbezel.store.Json;
import velvetbezel.store.Library;
import velvetbezel.store.Photos;
import velvetbezel.strip.StepText;

/** Opening a dash with a phone in the car, step by step, with the connection lost on the way. */
class InCarTest extends InBrowser {
    private static final int TWENTY = 20;
    private Jobs jobs;
    private Job job;

    @Override
    protected boolean keepsPages() {
        return true;
    }

    @BeforeEach
    void open() {
        jobs = TestApp.bean(Jobs.class);
        job = jobs.create(
                "Panel past the lever",
                "Ines Hallam",
                List.of(Change.set(new Entry.VehicleChosen(), "meridale-plover-2019-plain")));
    }

    private String path(String page) {
        return "/jobs/" + job.number() + "/" + page;
    }

    private List<String> steps() {
        return jobs.find(job.number()).orElseThrow().state().steps().stream()
                .map(d -> StepText.write(d.step()))
                .toList();
    }

    private Page inCar() {
        Page page = window("ines", 390, 844);
        page.navigate(path("in-car"));
        kept(page, List.of(path("in-car"), path("in-car/ahead")));
        return page;
    }

    private static String next(Page page) {
        Locator card = page.locator("#work form[data-card]");
        String before = card.getAttribute("data-card");
        String step = page.locator("#step-done").getAttribute("value");
        page.locator("#step-done").click();
        assertThat(page.locator("#work form[data-card]")).not().hasAttribute("data-card", before);
        return step;
    }

    private static byte[] picture(String format) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(new BufferedImage(2000, 1500, BufferedImage.TYPE_INT_RGB), format, out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    @Test
    void twentyStepsAndAPhotoWithoutConnectionAreAllThereAfterAReload() throws IOException {
        Page page = inCar();
        page.context().setOffline(true);
        List<String> said = new ArrayList<>();
        for (int i = 0; i < TWENTY; i++) {
            if (i == TWENTY / 2) {
                page.locator("#camera").setInputFiles(new FilePayload("dash.png", "image/png", picture("png")));
                assertThat(page.locator("#saving")).containsText("Not sent yet: 11 changes");
                page.reload();
                assertThat(page.locator("body[data-ready]")).hasCount(1);
            }
            said.add(next(page));
        }
        assertThat(page.locator("#saving")).containsText("Not sent yet: 21 changes, no connection");
        assertEquals(List.of(), steps());
        page.context().setOffline(false);
        assertThat(page.locator("#saving")).hasText("");
        assertEquals(said, steps());
        Job now = jobs.find(job.number()).orElseThrow();
        List<Entry.PhotoTaken> photos = now.state().all(Entry.PhotoTaken.class);
        assertEquals(1, photos.size());
        byte[] jpeg =
                TestApp.bean(Photos.class).find(now.id(), photos.get(0).id()).orElseThrow();
        assertEquals(1280, ImageIO.read(new ByteArrayInputStream(jpeg)).getWidth(), "made smaller in the browser");
        assertTrue(names(TestApp.bean(JobArchive.class).write(now, Map.of()))
                .contains("photos/" + photos.get(0).id() + ".jpg"));
    }

    private static Set<String> names(byte[] zip) throws IOException {
        Set<String> names = new HashSet<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) names.add(e.getName());
        }
        return names;
    }

    @Test
    void whatWasDoneInsteadIsRecordedAndTheOrderGoesOnFromThere() {
        Page page = inCar();
        next(page);
        assertThat(page.locator(".hand h2")).hasText("Open console lid");
        page.locator("#else summary:has-text('Key, lever')").click();
        page.locator("#else button:has-text('Battery negative off')").click();
        assertThat(page.locator(".lately")).containsText("this lever needs the battery and has no release");
        assertThat(page.locator(".lately")).containsText("Negative on");
        assertThat(page.locator(".standing")).containsText("off");
        assertEquals(List.of("do brackets on the new radio", "set battery: disconnected"), steps());
        List<String> ahead = new ArrayList<>();
        for (int i = 0; i < 5; i++) ahead.add(next(page));
        assertTrue(ahead.contains("set battery: connected"), "the way back is planned: " + ahead);
        page.locator(".hand header button").click();
        assertThat(page.locator("#saving")).hasText("");
    }

    @Test
    void twoDevicesSayTheirStepsUnderTheirOwnNames() {
        Page one = inCar();
        Page two = inCar();
        for (Page p : List.of(one, two)) p.context().setOffline(true);
        String first = next(one);
        two.locator("#else summary:has-text('Came loose')").click();
        two.locator("#else button:has-text('Loosen pillar trim')").click();
        assertThat(two.locator("#saving")).containsText("1 change");
        for (Page p : List.of(one, two)) {
            p.context().setOffline(false);
            assertThat(p.locator("#saving")).hasText("");
        }
        assertEquals(Set.of(first, "loosen pillar trim"), Set.copyOf(steps()));
    }

    @Test
    void theSamePartCannotBeTakenOffByTwo() {
        Page one = inCar();
        Page two = inCar();
        two.context().setOffline(true);
        for (Page p : List.of(one, two)) {
            p.locator("#else summary:has-text('Came loose')").click();
            p.locator("#else button:has-text('Loosen pillar trim')").click();
            if (p == one) assertThat(p.locator("#saving")).hasText("");
        }
        assertThat(two.locator("#saving")).containsText("1 change");
        two.context().setOffline(false);
        assertThat(two.locator("#alerts")).containsText("pillar trim is loose already");
        assertEquals(List.of("loosen pillar trim"), steps());
    }

    @Test
    void oneScrewLeftOverIsShownWithTheHoleItBelongsTo() {
        Page page = inCar();
        List<String> said = new ArrayList<>();
        while (said.isEmpty() || !said.get(said.size() - 1).equals("function test")) said.add(next(page));
        while (!page.locator("#step-done").getAttribute("value").startsWith("do up radio/front")) said.add(next(page));
        page.locator(".counted button:has-text('3')").click();
        assertThat(page.locator(".hand h2")).not().containsText("Do up 4");
        page.locator("#else summary:has-text('Fastened')").click();
        page.locator("#else button:has-text('Fasten radio')").click();
        assertThat(page.locator("#saving")).hasText("");
        assertThat(page.locator("#else button:has-text('Fasten radio')")).hasCount(0);
        page.navigate(path("trays"));
        assertThat(page.locator(".trays")).containsText("1 left over from radio, front (hex 7). Put it in there");
        page.locator("#in-hand-tool").selectOption("hex 7");
        page.locator("button:has-text('Where does it belong?')").click();
        assertThat(page.locator(".trays .hand-answer li").first()).hasText("radio, front");
    }

    @Test
    void newCarIsRecordedWithAPhoneAndPlannedFromItsRecording() {
        Library library = TestApp.bean(Library.class);
        String car = "meridale-plover-2014-amplified";
        Optional<Object> known =
                SheetTree.get(Json.parse(library.find(car).orElseThrow().body()), "strip");
        library.change(
                car,
                "Ines Hallam",
                "nobody knows",
                library.revision(car),
                t -> SheetTree.put(t, "strip", Optional.empty()));
        job = jobs.create("Unknown dash", "Ines Hallam", List.of(Change.set(new Entry.VehicleChosen(), car)));
        Page page = window("ines", 390, 844);
        page.navigate(path("open-up"));
        assertThat(page.locator("h1")).hasText("Nobody has said how this dash comes apart");
        page.locator("a:has-text('Record it while doing it')").click();
        recorded(page, "set battery: disconnected");
        page.locator("#part").fill("surround");
        page.locator("#count").fill("99");
        page.locator(".record-form button[value=undo]").click();
        assertThat(page.locator("#alerts")).containsText("\"99\" came out; a number from 1 to 60 is expected.");
        assertThat(page.locator("#part")).hasValue("surround");
        page.locator("#count").fill("3");
        page.locator("#drive").selectOption("T20");
        recorded(page, "undo");
        recorded(page, "loosen");
        page.locator("#plug").fill("airbag lamp");
        page.locator("#airbag").check();
        recorded(page, "unplug");
        recorded(page, "lift");
        page.locator("#part").fill("radio");
        page.locator("#airbag").uncheck();
        page.locator("#count").fill("4");
        page.locator("#where").fill("front");
        page.locator("#drive").selectOption("hex 7");
        recorded(page, "undo");
        recorded(page, "loosen");
        page.locator("#plug").fill("main");
        recorded(page, "unplug");
        recorded(page, "lift");
        page.locator("button:has-text('Make the sheet of it')").click();
        assertThat(page.locator("h1")).containsText("steps left");
        assertThat(page.locator(".steps-table")).containsText("Plug airbag lamp of surround in");
        assertThat(page.locator(".steps-table")).containsText("Do up 4 screws of radio: front hex 7");
        assertEquals(0, page.locator(".hazard.bad").count(), () -> page.locator(".steps-table")
                .allInnerTexts()
                .toString());
        library.change(car, "Ines Hallam", "known again", library.revision(car), t -> SheetTree.put(t, "strip", known));
    }

    private static void recorded(Page page, String what) {
        int before = page.locator(".recorded li").count();
        Locator button = page.locator(".record-form button[value='%s']".formatted(what));
        if (what.startsWith("set ")) page.locator(".record-form summary").click();
        button.click();
        assertThat(page.locator(".recorded li").nth(before)).hasCount(1);
        assertThat(page.locator("#saving")).hasText("");
    }
}
