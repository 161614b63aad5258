package velvetbezel.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetbezel.Demo;
import velvetbezel.controls.SetUpFile;
import velvetbezel.job.Entry;
import velvetbezel.sheet.SheetTree;
import velvetbezel.store.Job;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;
import velvetbezel.store.Json;
import velvetbezel.store.Library;
import velvetbezel.store.SetUpFiles;

/** Settings and steering keys, on the page that says what is to be done about them. */
class ControlsPageTest extends InBrowser {
    private static final Map<String, String> MINIBUS = Map.of(
            "vehicle",
            "corrick-ferryman-2006",
            "radio",
            "pebblefen-p2",
            "parts",
            "quillmoor-ferryman-frame,thornlea-iso-steering");
    private static final Map<String, String> AMPLIFIED =
            Map.of("vehicle", "meridale-plover-2019-amplified", "radio", "ondel-47", "parts", "ashdyke-plover-module");
    private Jobs jobs;

    @BeforeEach
    void jobs() {
        jobs = TestApp.bean(Jobs.class);
    }

    private Page controls(Map<String, String> kit, String... more) {
        Map<String, String> fields = new HashMap<>(kit);
        for (int i = 0; i < more.length; i += 2) fields.put(more[i], more[i + 1]);
        Job job = jobs.create("Keys and settings", "Ines Hallam", JobCodec.changes(fields));
        Page page = window("ines");
        page.navigate("/jobs/%d/controls".formatted(job.number()));
        return page;
    }

    private static Locator reading(Page page, String button) {
        return page.getByLabel("Measured, " + button, new Page.GetByLabelOptions().setExact(true));
    }

    private void read(Page page, String button, String typed) {
        saved(page, () -> {
            reading(page, button).fill(typed);
            reading(page, button).press("Enter");
        });
    }

    @Test
    void moduleThatIsNotSetForTheCarIsTheFirstThingSaidWithWhatItCosts() {
        Page page = controls(AMPLIFIED);
        assertThat(page.locator("h1")).hasText("Not yet: 1 thing before power");
        assertThat(page.locator(".answer")).containsText("First: vehicle of Ashdyke data module to Plover.");
        assertThat(page.locator(".answer")).containsText("If power came now: no ");
        assertThat(page.locator(".answer")).containsText(" more.");
        saved(page, () -> page.getByText("Set", new Page.GetByTextOptions().setExact(true))
                .click());
        assertThat(page.locator("h1")).hasText("Everything is set up");
        assertThat(page.locator(".loom a[aria-current]")).containsText("all set");
    }

    @Test
    void valueFoundOtherwiseThanDecidedStandsAgainstIt() {
        Page page = controls(AMPLIFIED, "set/ashdyke-plover-module.vehicle", "done");
        saved(page, () -> page.getByLabel("found at").selectOption("none"));
        assertThat(page.locator("h1"))
                .hasText("Found otherwise than decided: vehicle of Ashdyke data module to Plover");
        assertThat(page.locator(".standing")).containsText("Found none, decided Plover.");
    }

    @Test
    void whatAPersonSetsOtherwiseNamesWhatIsLostAndHasToBeSetAnew() {
        Page page = controls(AMPLIFIED, "set/ashdyke-plover-module.vehicle", "done");
        assertThat(page.locator("h1")).hasText("Everything is set up");
        saved(page, () -> page.getByLabel("vehicle of Ashdyke data module", new Page.GetByLabelOptions().setExact(true))
                .selectOption("none"));
        assertThat(page.locator("h1")).hasText("Set-up is out of date: vehicle, Plover → none");
        assertThat(page.locator(".settings")).containsText("Was set to Plover; is none now: set it again.");
        page.navigate(page.url().replace("controls", "prove"));
        page.goBack();
        saved(page, () -> page.getByLabel("vehicle of Ashdyke data module", new Page.GetByLabelOptions().setExact(true))
                .selectOption(""));
        assertThat(page.locator("h1")).hasText("Everything is set up");
    }

    @Test
    void powerBeforeTheSettingAsksForPowerOffFirst() {
        Page page = controls(AMPLIFIED, "first power", "done");
        assertThat(page.locator("h1"))
                .hasText("Power is on and vehicle of Ashdyke data module to Plover was not set: power off first");
        assertThat(page.locator(".standing")).containsText("Take power off, wait, set it, then power on again");
        saved(page, () -> page.getByText("Set", new Page.GetByTextOptions().setExact(true))
                .click());
        assertThat(page.locator("h1")).hasText("Everything is set up");
        int number = Integer.parseInt(page.url().split("/jobs/")[1].split("/")[0]);
        assertFalse(jobs.find(number).orElseThrow().state().has(new Entry.FirstPower()));
    }

    @Test
    void corrodedSlipRingIsRecognisedFromFiveReadings() {
        Page page = controls(MINIBUS);
        assertThat(page.locator(".answer")).containsText("Volume up is the first to go: 55 Ω more in the slip ring");
        assertEquals(5, page.locator(".keys tbody tr").count());
        assertEquals(6, page.locator(".ladder-axis .nominal").count());
        String[][] readings = {
            {"volume up", "249"}, {"volume down", "365"}, {"next", "599"}, {"previous", "1059"}, {"source", "1.95k"}
        };
        for (String[] r : readings) read(page, r[0], r[1]);
        assertThat(page.locator(".ladder .verdict"))
                .containsText("Clean the slip ring: 150 Ω in it now, and 55 Ω are the limit.");
        assertEquals(5, page.locator(".ladder-axis .measured").count());
        assertThat(page.locator(".loom a[aria-current]")).containsText("see the wheel");
    }

    @Test
    void buttonThatIsOffAloneIsTheOneToMend() {
        Page page = controls(MINIBUS);
        String[][] readings = {
            {"volume up", "99"}, {"volume down", "216"}, {"next", "905"}, {"previous", "911"}, {"source", "1803"}
        };
        for (String[] r : readings) read(page, r[0], r[1]);
        assertThat(page.locator(".ladder .verdict")).containsText("Measure next once more");
        assertThat(page.locator(".ladder .rests")).containsText("Next: +");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "200 V|200 V is not below the 3.3 V of the pull-up",
                "-4|-4 is below zero",
                "a lot|\"a lot\" is no reading; type ohms such as 104",
                "0.1|0.1 is a thousand times off what the sheet says. Did you mean 100 Ω?"
            })
    void readingThatIsNoneIsRefusedAndStays(String typed, String message) {
        Page page = controls(MINIBUS);
        read(page, "next", "452");
        reading(page, "volume up").fill(typed);
        reading(page, "volume up").press("Enter");
        assertThat(page.locator("#alerts")).containsText(message);
        assertThat(reading(page, "volume up")).hasValue(typed);
        assertThat(reading(page, "next")).hasValue("452");
    }

    @Test
    void withoutAKitThePageSaysWhereToBegin() {
        Page page = controls(Map.of("vehicle", "corrick-ferryman-2006"));
        assertThat(page.locator("h1")).hasText("Settings and keys need a kit first");
        assertTrue(page.locator(".settings").count() == 0);
    }

    /** A bank card is 85.60 × 53.98 mm (ISO/IEC 7810, ID-1), 242.65 × 153.01 pt. */
    @Test
    void driversCardHasTheSizeOfABankCardAndNamesEachButton() throws IOException {
        Page page = controls(MINIBUS);
        try (PDDocument card = Loader.loadPDF(pdf(page, "card"))) {
            assertEquals(242.65, card.getPage(0).getMediaBox().getWidth(), 0.5);
            assertEquals(153.01, card.getPage(0).getMediaBox().getHeight(), 0.5);
            assertEquals(1, card.getNumberOfPages());
            String text = new PDFTextStripper().getText(card);
            assertTrue(text.contains("Volume up volume up"), text);
            assertTrue(text.contains("Next next long press"), text);
        }
    }

    @Test
    void connectionGuideNamesPlugsAndSettingsInOrder() throws IOException {
        Page page = controls(AMPLIFIED);
        try (PDDocument guide = Loader.loadPDF(pdf(page, "guide"))) {
            String text = new PDFTextStripper().getText(guide);
            assertTrue(text.contains("main of the car into main of Ashdyke data module"), text);
            assertTrue(text.contains("vehicle of Ashdyke data module to Plover"), text);
        }
    }

    /** Two wheels that a module has to be told apart, and nobody has looked: both are candidates until one is seen. */
    @Test
    void wheelNobodyLookedAtKeepsTheSettingOpenAndItsFunctionsUnknown() {
        Object module = SheetTree.put(Demo.tree("ashdyke-plover-module"), "id", Optional.of("ashdyke-two-wheels"));
        Object asked = SheetTree.put(module, "device.settings.vehicle.fact", Optional.of("steering layout"));
        TestApp.bean(Library.class).take(Map.of("two-wheels.json", Json.write(asked)), "Ines");
        Map<String, String> kit = new HashMap<>(AMPLIFIED);
        kit.put("parts", "ashdyke-two-wheels");
        Page page = controls(kit);
        assertThat(page.locator("h1")).hasText("Look at the car: layout of the steering-wheel buttons");
        assertThat(page.locator(".settings")).containsText("It decides between Plover and none.");
        assertThat(page.locator(".settings")).containsText("Open until then: ");
        assertThat(page.locator(".questions")).containsText("Not known: layout of the steering-wheel buttons");
        assertThat(page.locator(".questions")).containsText("A setting of the kit hangs on it.");
        page.getByText("Record what was seen").last().click();
        Locator layout = page.getByLabel("Layout of the steering-wheel buttons");
        saved(page, () -> {
            layout.fill("Plover");
            layout.press("Enter");
        });
        page.navigate(path(page).replaceAll("arrive.*", "controls"));
        assertThat(page.locator("h1")).hasText("Not yet: 1 thing before power");
        assertThat(page.locator(".settings"))
                .containsText("layout of the steering-wheel buttons of this car decides it");
    }

    private static Locator told(Page page, String press) {
        return page.getByLabel(press, new Page.GetByLabelOptions().setExact(true));
    }

    private static void press(Page page, String button) {
        page.locator(".wheel-drawing")
                .first()
                .getByRole(AriaRole.LINK)
                .filter(new Locator.FilterOptions().setHasText(button))
                .first()
                .click();
    }

    /** The drawn wheel is pressed, and what comes of it is run through the kit. */
    @Test
    void longPressThatIsAddedIsTriedOnTheDrawnWheelAndStandsOnTheCard() throws IOException {
        Page page = controls(AMPLIFIED);
        saved(page, () -> told(page, "voice, held").selectOption("mute"));
        assertThat(page.locator("h1")).hasText("Not yet: 2 things before power");
        assertThat(page.locator(".settings")).containsText("voice, held: mute");
        press(page, "voice");
        assertThat(page.locator(".tried")).containsText("Press “voice”: Ondel 47 does “voice”");
        page.getByText("Hold it instead").click();
        assertThat(page.locator(".tried")).containsText("Hold “voice”: Ondel 47 does “mute”");
        assertThat(page.locator(".tried")).containsText("Ashdyke data module sends the command “mute”.");
        assertThat(page.locator(".tried")).containsText("nothing is loaded into a stand-in of this job");
        try (PDDocument card = Loader.loadPDF(pdf(page, "card"))) {
            assertTrue(new PDFTextStripper().getText(card).contains("Voice voice mute"));
        }
    }

    @Test
    void buttonToldOtherwiseIsSaidWithWhatItCosts() {
        Page page = controls(AMPLIFIED, "wish/button next", "must stay");
        assertThat(told(page, "next, pressed").locator("option").first()).hasText("by wish: next");
        saved(page, () -> told(page, "next, pressed").selectOption("mute"));
        assertThat(page.locator(".answer")).containsText("As delivered these would work, and as decided they do not");
        assertThat(page.locator(".map .rests"))
                .containsText("Wished for, and no press gives it: Steering button: next.");
        assertThat(page.locator(".map .rests")).containsText("Ondel 47 knows these, and no press gives them: next");
        assertThat(page.locator(".map")).containsText("volume up, fixed: the module keeps the volume");
    }

    /** Two candidates, and nobody has looked: both are drawn, and their difference is open until one is chosen. */
    @Test
    void wheelOfTwoLayoutsIsDrawnTwiceUntilSomebodyLooks() {
        Page page = controls(Map.of(
                "vehicle",
                "meridale-plover-2014-amplified",
                "radio",
                "ondel-47",
                "parts",
                "ashdyke-plover-2014-module"));
        assertThat(page.locator("h1")).hasText("Look at the car: layout of the steering-wheel buttons");
        assertThat(page.locator(".wheel-drawing")).hasCount(2);
        assertThat(page.locator(".questions")).containsText("Which buttons this wheel has hangs on it");
        saved(page, () -> page.getByText("It has this one").first().click());
        assertThat(page.locator(".wheel-drawing")).hasCount(1);
        assertThat(page.locator(".wheel figcaption")).containsText("Layout: four keys left");
        assertThat(page.locator(".wheel-drawing a")).hasCount(7);
    }

    /** Try-out asks a ladder as well: what is measured, and in whose window it lies. */
    @Test
    void pressOnALadderTellsVoltsAndWindow() {
        Page page = controls(MINIBUS);
        press(page, "next");
        assertThat(page.locator(".tried"))
                .containsText(Pattern.compile("Pebblefen P2 measures \\d\\.\\d\\d V and takes it for “next”"));
    }

    @Test
    void whatIsLoadedAndDecidedOtherwiseSinceIsSaid() {
        Page page = withSerial();
        loaded(page);
        page.reload();
        press(page, "next");
        assertThat(page.locator(".tried")).containsText("Run with what was read back from the stand-in");
        saved(page, () -> told(page, "next, pressed").selectOption("mute"));
        assertThat(page.locator("h1")).hasText("Loaded, another than decided: load Ashdyke data module again");
        page.navigate(page.url().replaceAll("[?#].*", "") + "?press=next");
        assertThat(page.locator(".tried")).containsText("Ondel 47 does “next”");
    }

    /** A set-up that went wrong is taken back, and what was read back is recorded as such. */
    @Test
    void loadIsRecordedAsReadBackAndTakenBack() throws IOException {
        Page page = withSerial();
        loaded(page);
        page.reload();
        page.getByText("Record as read back").click();
        assertThat(page.locator("h1")).hasText("Everything is set up");
        assertThat(page.getByLabel("known by")).hasValue("read back");
        assertThat(page.getByText("Record as read back")).hasCount(0);
        saved(page, () -> told(page, "next, pressed").selectOption("mute"));
        loaded(page);
        page.reload();
        page.getByText("Back to the set-up before").click();
        assertThat(page.locator(".interface .working")).containsText("The set-up before is in force again.");
        page.reload();
        press(page, "next");
        assertThat(page.locator(".tried")).containsText("Ondel 47 does “next”");
        byte[] zip = page.request()
                .get(page.url().replaceAll("/controls.*", "/archive.zip"))
                .body();
        assertTrue(new String(zip, StandardCharsets.ISO_8859_1).contains("set-up/ashdyke-plover-module.json"));
    }

    private Page withSerial() {
        return controls(AMPLIFIED, "interface serial/ashdyke-plover-module", "AD-20417");
    }

    /** The process is another one, so the page is asked until it has ended. */
    private static void loaded(Page page) {
        page.getByText("Load into the stand-in").click();
        assertThat(page.locator(".interface .working"))
                .containsText(Pattern.compile("[●▲]"), new LocatorAssertions.ContainsTextOptions().setTimeout(20_000));
    }

    @Test
    void setUpIsLoadedIntoTheStandInAndReadBack() {
        Page page = withSerial();
        loaded(page);
        assertThat(page.locator(".interface .working")).containsText("Loaded, read back, and in force.");
    }

    @Test
    void unpluggedLoadLeavesTheEarlierSetUpAndIsLoadedAgain() {
        Page page = withSerial();
        page.getByText("Make it fail").click();
        page.getByLabel("unplugged after").fill("400");
        loaded(page);
        assertThat(page.locator(".interface .working"))
                .containsText("Unplugged on the way: the earlier set-up is in force.");
        loaded(page);
        assertThat(page.locator(".interface .working")).containsText("in force");
    }

    @Test
    void anotherInterfaceIsRefused() {
        Page page = withSerial();
        page.getByText("Make it fail").click();
        page.getByLabel("It answers").selectOption("ANOTHER_SERIAL");
        loaded(page);
        assertThat(page.locator(".interface .working")).containsText("The interface has another serial than the file.");
    }

    @Test
    void serialOfTheWrongFormIsRefusedAndStays() {
        Page page = controls(AMPLIFIED);
        page.getByLabel("Serial on its label").fill("twelve");
        page.getByLabel("Serial on its label").press("Enter");
        assertThat(page.locator("#alerts")).containsText("\"twelve\" is no serial of an interface");
        assertThat(page.getByLabel("Serial on its label")).hasValue("twelve");
        assertEquals(0, page.getByText("Load into the stand-in").count());
    }

    @Test
    void fileOfThisJobIsTheSameAndOneOfAnotherCarIsNot() {
        Page page = withSerial();
        byte[] file = new Site(TestApp.url(), "ines")
                .bytes(path(page).replace("controls", "set-up.json?device=ashdyke-plover-module"));
        compare(page, file);
        assertThat(page.locator(".interface .rests")).hasText("It is what this job loads.");
        SetUpFile ours = SetUpFiles.read(file);
        compare(
                page,
                SetUpFiles.write(new SetUpFile(
                        ours.device(),
                        1,
                        ours.serial(),
                        "meridale-plover-2019-plain",
                        ours.radio(),
                        "",
                        new TreeMap<>(Map.of("vehicle", "none")),
                        ours.map(),
                        new TreeMap<>())));
        assertThat(page.locator(".interface .rests"))
                .containsText("It is for another: vehicle meridale-plover-2019-plain");
        assertThat(page.locator(".interface .rests")).containsText("vehicle is none in the file and Plover here");
        compare(page, Arrays.copyOf(file, 100));
        assertThat(page.locator(".interface .rests")).containsText("This file is not usable");
    }

    private static void compare(Page page, byte[] file) {
        page.getByLabel("Is a file the same?").setInputFiles(new FilePayload("set-up.json", "application/json", file));
        page.getByText("Compare", new Page.GetByTextOptions().setExact(true)).click();
    }

    private static String path(Page page) {
        return page.url().substring(TestApp.url().length());
    }

    private static byte[] pdf(Page page, String name) {
        return new Site(TestApp.url(), "ines").bytes(path(page).replace("controls", name + ".pdf"));
    }
}
