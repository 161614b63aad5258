package velvetbezel.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import velvetbezel.job.Entry;
import velvetbezel.job.JobState;
import velvetbezel.store.Job;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;

/** From a check that is not right to the place that is mended, and the checks that are tried again. */
class FindPageTest extends InBrowser {
    private static final Map<String, String> MINIBUS = Map.of(
            "vehicle",
            "corrick-ferryman-2006",
            "radio",
            "pebblefen-p2",
            "parts",
            "quillmoor-ferryman-frame,thornlea-iso-steering");

    private Job job;

    private Page prove(Map<String, String> more) {
        Map<String, String> fields = new HashMap<>(MINIBUS);
        fields.putAll(more);
        job = TestApp.bean(Jobs.class).create("One corner is silent", "Ines Hallam", JobCodec.changes(fields));
        Page page = window("ines");
        page.navigate("/jobs/%d/prove".formatted(job.number()));
        return page;
    }

    /** Beside the page every fault is run; that takes some seconds. */
    private static void worked(Page page) {
        assertThat(page.locator(".find .working"))
                .hasCount(0, new LocatorAssertions.HasCountOptions().setTimeout(90_000));
    }

    private static Locator answer(Page page, String words) {
        return page.locator(".answers")
                .getByText(words, new Locator.GetByTextOptions().setExact(true))
                .first();
    }

    @Test
    void silentCornerIsFoundMendedAndTriedAgain() {
        Page page = prove(Map.of("result/front right", "RIGHT", "result/front left", "NOT_RIGHT"));
        page.getByText("Find what is wrong").click();
        worked(page);
        assertThat(page.locator("h1")).hasText("Sound front left: what is it like?");
        saved(page, () -> answer(page, "Silent: front left speaker").click());
        assertThat(page.locator(".likely li").first()).containsText("front left");
        assertThat(page.locator(".seen")).containsText("Silent: front left speaker");
        for (int i = 0; i < 8 && page.locator("input[name=place]").count() == 0; i++) {
            Locator right = page.locator(".answers .btn").first();
            saved(page, right::click);
        }
        assertThat(page.locator("h1")).containsText("Look at");
        page.getByText("Mended:").first().click();
        assertThat(page).hasURL(Pattern.compile(".*/prove"));
        assertEquals("", stored("result/front left"));
        assertEquals("", stored("symptom/front left"));
        assertTrue(TestApp.bean(Jobs.class)
                .find(job.number())
                .orElseThrow()
                .state()
                .all(Entry.PlaceLooked.class)
                .iterator()
                .hasNext());
    }

    private String stored(String key) {
        JobState state =
                TestApp.bean(Jobs.class).find(job.number()).orElseThrow().state();
        return state.entries()
                .filter(e -> JobCodec.key(e).equals(key))
                .flatMap(e -> JobCodec.text(state, e).stream())
                .findFirst()
                .orElse("");
    }

    @Test
    void answerIsTakenBackAndWhatWasSoBeforeIsNotSearched() {
        Page page = prove(Map.of("result/front left", "NOT_RIGHT", "baseline/front left", "FAULTY"));
        page.navigate("/jobs/%d/find".formatted(job.number()));
        worked(page);
        assertThat(page.locator("h1")).hasText("Nothing is said to be wrong");
        Page other = prove(Map.of("result/front left", "NOT_RIGHT"));
        other.navigate("/jobs/%d/find".formatted(job.number()));
        worked(other);
        saved(other, () -> other.getByLabel("Sound front left: take back").click());
        assertThat(other.locator("h1")).hasText("Nothing is said to be wrong");
    }

    /** A voltage that no fault here would give is told as such, and weighs towards none of these. */
    @Test
    void readingThatNothingPredictsIsSaid() {
        Page page = prove(Map.of("result/front left", "NOT_RIGHT", "probe/radio.const/accessory", "7.3"));
        page.navigate("/jobs/%d/find".formatted(job.number()));
        worked(page);
        assertThat(page.locator(".seen")).containsText("7.3 V, which no fault here predicts");
    }

    @Test
    void withoutAKitThePageSaysWhereToBegin() {
        job = TestApp.bean(Jobs.class)
                .create("No kit", "Ines Hallam", JobCodec.changes(Map.of("vehicle", "corrick-ferryman-2006")));
        Page page = window("ines");
        page.navigate("/jobs/%d/find".formatted(job.number()));
        assertThat(page.locator("h1")).hasText("Nothing to search without a kit");
    }

    /** The simulated car answers what is asked next, each answer is kept, and the real job is left as it was. */
    @Test
    void carWithAHiddenFaultAnswersWhatIsAsked() {
        Page page = prove(Map.of("result/front left", "NOT_RIGHT"));
        page.navigate("/jobs/%d/find".formatted(job.number()));
        worked(page);
        page.getByText("Hide a fault in this kit, for practice").click();
        assertThat(page.locator(".notice")).containsText("A fault is hidden in this car");
        worked(page);
        assertThat(page.locator(".seen")).containsText("not right");
        page.getByText("Ask the car").click();
        assertThat(page.locator(".seen")).not().containsText("not right");
        assertEquals("NOT_RIGHT", stored("result/front left"));
        assertEquals("", stored("hidden fault"));
    }

    /** Looked at twice in vain, a place is done with: the search goes elsewhere. */
    @Test
    void placeLookedAtTwiceInVainIsNotAskedForAgain() {
        Page page = prove(
                Map.of("result/front left", "NOT_RIGHT", "symptom/front left", "0 MISSING music @ front left speaker"));
        page.navigate("/jobs/%d/find".formatted(job.number()));
        worked(page);
        List<String> looked = new ArrayList<>();
        for (int i = 0; i < 14; i++) {
            String asked = page.locator("section.find h1").innerText();
            Locator vain = answer(page, "Nothing wrong there");
            boolean look = vain.count() > 0;
            if (look) looked.add(asked);
            if (page.locator(".answers .btn").count() == 0) break;
            saved(page, () -> (look ? vain : page.locator(".answers .btn").first()).click());
        }
        for (String place : looked) assertTrue(Collections.frequency(looked, place) <= 2, looked::toString);
        assertFalse(looked.isEmpty());
    }
}
