package velvetbezel.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import velvetbezel.job.Change;
import velvetbezel.sheet.SheetTree;
import velvetbezel.store.Document;
import velvetbezel.store.Job;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;
import velvetbezel.store.Json;
import velvetbezel.store.Library;
import velvetbezel.store.Sender;

/** Open up at the counter: times, recordings, the sheet in lines, power for the first time. */
class OpenUpPageTest extends InBrowser {
    private static final String CAR = "meridale-plover-2019-plain";
    private Jobs jobs;
    private Library library;

    @BeforeEach
    void open() {
        jobs = TestApp.bean(Jobs.class);
        library = TestApp.bean(Library.class);
    }

    private Job job(String vehicle, Map<String, String> more) {
        List<Change<?>> says = new ArrayList<>(JobCodec.changes(Map.of("vehicle", vehicle)));
        says.addAll(JobCodec.changes(more));
        return jobs.create("Opened at the counter", "Ines Hallam", says);
    }

    /** @param who does them @param steps each with the minute at which it was done */
    private Job done(Job job, String who, Object... steps) {
        List<Change<?>> changes = new ArrayList<>();
        for (int i = 0; i < steps.length; i += 2)
            changes.add(JobCodec.change(
                    "step/%06d-a".formatted(100 * (i + 1)),
                    "%s @ %d".formatted(steps[i], 1_764_288_000L + 60 * (int) steps[i + 1])));
        jobs.change(job.id(), Sender.named(who), "At the dash", job.seq(), changes);
        return jobs.find(job.number()).orElseThrow();
    }

    private Page at(Job job, String page) {
        Page window = window("wren", 1280, 900);
        window.navigate("/jobs/%d/%s".formatted(job.number(), page));
        return window;
    }

    private String vehicle(String id) {
        Object tree = Document.tree(library.find(CAR).orElseThrow().body());
        tree = SheetTree.put(SheetTree.put(tree, "id", Optional.of(id)), "strip", Optional.empty());
        tree = SheetTree.put(SheetTree.put(tree, "model", Optional.of(id)), "name", Optional.of("Car " + id));
        library.take(Map.of(id + ".json", Json.write(tree)), "Wren Tallis");
        return id;
    }

    @Test
    void ownTimesAreLearnedAndAPauseIsAskedAbout() {
        String wren = TestApp.bean(Jobs.class).people().stream()
                .filter(p -> p.id().equals("wren"))
                .findFirst()
                .orElseThrow()
                .name();
        Job job = done(job(CAR, Map.of()), wren, "set key: off", 0, "loosen console lid", 1, "loosen surround", 26);
        Page page = at(job, "times");
        assertThat(page.locator("h1")).containsText("You take");
        assertThat(page.locator("main")).containsText("25 min with nothing said");
        saved(page, () -> page.locator("button[value=worked]").first().click());
        assertThat(page.locator("button[value=worked]").first()).hasClass(Pattern.compile("btn-done"));
        page.navigate("/jobs/%d/open-up".formatted(job.number()));
        assertThat(page.locator(".answer")).containsText("You yourself: about");
    }

    @Test
    void recordingOfAnotherJobTakesALinkAwayAndAPersonAnother() {
        String car = vehicle("vehicle-with-two-recordings-of-its-dash");
        done(
                job(car, Map.of()),
                "Ines Hallam",
                "loosen vent",
                0,
                "lift vent",
                1,
                "loosen surround",
                2,
                "lift surround",
                3,
                "loosen fascia",
                4,
                "lift fascia",
                5);
        Job second = done(
                job(car, Map.of()),
                "Ines Hallam",
                "loosen surround",
                0,
                "lift surround",
                1,
                "loosen vent",
                2,
                "lift vent",
                3,
                "loosen fascia",
                4,
                "lift fascia",
                5);
        Page page = at(second, "record");
        assertThat(page.locator(".waits"))
                .containsText("One recording of this car, from other jobs, is taken into account.");
        assertThat(page.locator(".waits")).not().containsText("Vent came loose after surround was away.");
        assertThat(page.locator(".waits")).containsText("Fascia came loose after surround was away.");
        saved(page, () -> page.getByLabel("It could have come first: Fascia came loose after surround was away.")
                .click());
        page.getByText("Make the sheet of it, and plan the way back").click();
        assertThat(page.locator("h1")).not().hasText("");
        Object tree = Document.tree(library.find(car).orElseThrow().body());
        assertEquals(Optional.of(List.of("vent")), SheetTree.get(tree, "strip.items[fascia].behind"));
        assertEquals(Optional.empty(), SheetTree.get(tree, "strip.items[vent].behind"));
    }

    @Test
    void rowThatIsDraggedTakesItsLineAlong() {
        Page page = window("wren", 1280, 1400);
        page.navigate("/sheets/" + CAR + "/strip");
        List<String> before = page.locator("#parts").inputValue().lines().toList();
        page.locator("tr[data-line='2']").dragTo(page.locator("tr[data-line='0']"));
        assertThat(page.locator("#parts"))
                .hasValue(String.join(
                        "\n",
                        Stream.concat(
                                        Stream.of(before.get(2), before.get(0), before.get(1)),
                                        before.subList(3, before.size()).stream())
                                .toList()));
    }

    @Test
    void measuresTypedInLinesAreRefusedWithTheirLineAndKept() {
        String car = vehicle("vehicle-with-measures-typed-in-lines");
        Page page = window("wren", 1280, 1000);
        page.navigate("/sheets/" + car + "/measures");
        String was = page.locator("#lines").inputValue();
        assertTrue(was.contains("in the way cross brace: fasteners 4 × hex 8"), was);
        page.locator("#lines").fill(was.replace("w 184 (measured)", "w wide"));
        page.getByText("Save on the sheet").click();
        assertThat(page.locator(".faults")).containsText("says \"w wide\"; expected w 205.");
        assertThat(page.locator("#lines")).hasValue(was.replace("w 184 (measured)", "w wide"));
        page.locator("#lines").fill(was.replace("w 184 (measured)", "w 183.5"));
        page.getByText("Save on the sheet").click();
        page.waitForURL("**/sheets/" + car);
        Object tree = Document.tree(library.find(car).orElseThrow().body());
        assertEquals(Optional.of(183.5), SheetTree.get(tree, "site.opening.w"));
        assertTrue(SheetTree.get(tree, "site.fittings").isPresent());
    }

    @Test
    void powerForTheFirstTimeSaysWhatShouldComeBefore() {
        Page page = at(
                job(
                        CAR,
                        Map.of(
                                "radio",
                                "ondel-60",
                                "parts",
                                "quillmoor-plover-panel,thornlea-plover-plain,marlstone-plover-iso")),
                "prove");
        assertThat(page.locator(".first-power")).containsText("joints not made");
        saved(page, () -> page.getByText("It is on all the same").click());
        assertThat(page.locator(".first-power")).hasCount(0);
    }

    @Test
    void labourTakesWhatAPersonSays() {
        Page page = at(
                job(
                        CAR,
                        Map.of(
                                "radio",
                                "ondel-60",
                                "parts",
                                "quillmoor-plover-panel,thornlea-plover-plain,marlstone-plover-iso")),
                "labour");
        String before = page.locator("h1").innerText();
        assertThat(page.locator(".labour-lines")).containsText("the workshop's tables");
        page.locator(".labour-lines input").first().fill("long");
        page.locator(".labour-lines input").first().press("Enter");
        assertThat(page.locator(".labour-lines .fault").first()).containsText("\"long\" is no time");
        saved(page, () -> {
            page.locator(".labour-lines input").first().fill("300");
            page.locator(".labour-lines input").first().press("Enter");
        });
        assertThat(page.locator("h1")).not().hasText(before);
    }
}
