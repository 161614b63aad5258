package velvetbezel.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;
import velvetbezel.Demo;
import velvetbezel.sheet.SheetTree;
import velvetbezel.store.Job;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;
import velvetbezel.store.Library;

/** The comparison at the counter, on the real pages. */
class MatchTest extends InBrowser {
    private static final JsonMapper JSON = new JsonMapper();
    private static final String CROSSOVER = "meridale-plover-2019-amplified";
    private Jobs jobs;

    @BeforeAll
    void workshop() {
        jobs = TestApp.bean(Jobs.class);
    }

    private Job job(String vehicle, Map<String, String> more) {
        Map<String, String> fields = new HashMap<>(more);
        fields.put("vehicle", vehicle);
        return jobs.create("A car to match", "Ines Hallam", JobCodec.changes(fields));
    }

    private Page match(Job job) {
        Page page = window("ines");
        page.navigate("/jobs/%d/match".formatted(job.number()));
        kitsThere(page);
        return page;
    }

    private static Locator row(Page page, String label) {
        return page.locator(".versus tr")
                .filter(new Locator.FilterOptions()
                        .setHas(page.getByRole(AriaRole.ROWHEADER, new Page.GetByRoleOptions().setName(label))));
    }

    @Test
    void mustOfTheAuxSocketAndTheEmergencyCallNamesTheTwoThatCannotBothBe() {
        Page page = match(job(CROSSOVER, Map.of("wish/aux", "must stay", "wish/telematics voice", "must stay")));
        assertThat(page.locator("h1")).hasText("No kit meets all of it");
        assertThat(page.locator(".ways li")).hasCount(2);
        assertThat(page.locator(".ways")).containsText("Player at the aux socket: then ");
        assertThat(page.locator(".ways")).containsText("Emergency call voice: then ");
    }

    @Test
    void carWithoutAFrameNamesWhatLacksAndAFrameIsMadeByHand() {
        Object shaped = SheetTree.put(
                SheetTree.put(Demo.tree("corrick-ferryman-2006"), "id", Optional.of("corrick-ferryman-shaped")),
                "opening",
                Optional.of("shape of the Ferryman"));
        TestApp.bean(Library.class).take(Map.of("shaped.json", JSON.writeValueAsString(shaped)), "Ines");
        Page page = match(job("corrick-ferryman-shaped", Map.of()));
        assertThat(page.locator("h1"))
                .hasText(
                        "No whole kit: no dash kit here holds a one-DIN radio in the opening (shape of the Ferryman) of this vehicle");
        Locator minutes = page.getByLabel("Minutes for the dash kit");
        minutes.fill("two hours");
        saved(page, () -> page.getByLabel("made by hand, for the dash kit").click());
        assertThat(page.locator(".without")).containsText("\"two hours\" is no time; type whole minutes such as 90.");
        assertThat(minutes).hasValue("two hours");
        minutes.fill("120");
        page.getByLabel("Material of the dash kit").fill("15");
        saved(page, () -> page.getByLabel("made by hand, for the dash kit").click());
        kitsThere(page);
        assertThat(page.locator(".decided")).containsText("Dash kit made by hand, 2 h 00, material 15.00");
        assertThat(page.locator(".versus")).containsText("Dash kit made by hand");
        saved(page, () -> page.getByLabel("Choose kit A").click());
        assertThat(page.locator("h1")).containsText("is chosen");
        saved(page, () -> page.getByLabel("Buy one after all: dash kit").click());
        assertThat(page.locator("h1")).containsText("Your kit is chosen");
        assertThat(page.locator(".versus")).not().containsText("Dash kit made by hand");
    }

    @Test
    void hardWiredRadioCountsItsCutsAndJoinsTheCarsOwnWires() {
        Page page = match(job("corrick-ferryman-2006", Map.of("need/harness", "hard-wired")));
        kitsThere(page);
        assertThat(page.locator(".decided")).containsText("hard-wired");
        assertThat(page.locator(".versus")).containsText("Hard-wired, plugs cut off");
        saved(page, () -> page.getByLabel("Choose kit A").click());
        page.navigate(page.url().replaceAll("match.*", "wire"));
        assertThat(page.locator("h1")).containsText("joint");
    }

    @Test
    void budgetBelowThePanelLeavesOneDinWithAPocketAndABadAmountStaysTyped() {
        Page page = match(job(CROSSOVER, Map.of("wish/hazard switch", "may go", "wish/climate controls", "may go")));
        Locator budget = page.locator("#budget");
        saved(page, () -> {
            budget.fill("four hundred");
            budget.press("Enter");
        });
        assertThat(page.locator("#budget-note"))
                .hasText("\"four hundred\" is no amount; type a number such as 450 or 450.00.");
        assertThat(budget).hasValue("four hundred");
        saved(page, () -> {
            budget.fill("440");
            budget.press("Enter");
        });
        kitsThere(page);
        assertThat(page.locator("h1")).containsText("the best, Pebblefen P2");
        assertThat(row(page, "Dash kit")).containsText("pocket");
    }

    @Test
    void partThatIsNotInStockSaysItsDaysAndWhatCouldStandIn() {
        Page page = match(job(CROSSOVER, Map.of()));
        assertThat(row(page, "Waiting")).containsText("3 days");
        row(page, "Antenna adapter").locator("a").first().click();
        assertThat(page.locator("h1")).hasText("Instead of the Marlstone antenna adapter for the Plover, fed, to ISO");
        assertThat(page.locator(".verdict")).containsText("It is not in stock: 2 days to wait.");
        Locator plain = page.locator(".swaps tr").filter(new Locator.FilterOptions().setHasText("not fed"));
        assertThat(plain).containsText("Radio reception, Antenna feed");
        saved(page, () -> plain.getByRole(AriaRole.BUTTON).click());
        assertTrue(page.url().endsWith("/match"));
        assertThat(page.locator("h1")).containsText("is chosen: Ondel 47");
    }

    @Test
    void kitsAreTakenIntoTheComparisonAndOutOfIt() {
        Page page = match(job("corrick-ferryman-2006", Map.of()));
        assertThat(page.locator(".versus thead th")).hasCount(3);
        page.getByLabel("Take out kit A").click();
        assertThat(page.locator(".versus thead th")).hasCount(2);
        page.getByLabel("Compare kit D").click();
        assertThat(page.locator(".versus thead th")).hasCount(3);
        assertThat(page.locator(".versus")).containsText("Tarnlight Minor");
        assertThat(page.locator(".all-kits svg .dot")).hasCount(4);
        page.navigate(page.url().replaceFirst("\\?.*", "?kits=A,nonsense"));
        assertThat(page.locator(".versus thead th")).hasCount(1);
    }

    @Test
    void keptRadioTellsThatItsScreenNeedsTheAuxLead() {
        Page page = match(job("brindlow-quern-2013", Map.of("wish/phone sound", "wanted")));
        assertThat(row(page, "Aux adapter")).containsText("Marlstone aux lead for the Quern");
        assertThat(page.locator(".versus thead")).containsText("a screen; the factory radio stays");
    }

    @Test
    void quoteIsAPdfWithPartsLabourTaxAndWhatIsLost() throws Exception {
        Job job = job("corrick-ferryman-2006", Map.of("customer", "Saltgate Rowing Club"));
        match(job);
        Site site = new Site(TestApp.url(), "ines");
        try (PDDocument pdf = Loader.loadPDF(site.bytes("/jobs/%d/quote.pdf?kits=A,B".formatted(job.number())))) {
            String text = new PDFTextStripper().getText(pdf);
            assertTrue(
                    Pattern.compile(
                                    "Kit A: Pebblefen P2.*Small materials for the joints\\s+7\\.07.*Radio, parts and materials\\s+160\\.87.*Labour, 1 h 40 at 54\\.00 an hour.*90\\.00.*Done by us\\s+250\\.87.*Tax contained\\s+41\\.81.*You lose nothing.*Kit B.*Steering button: next",
                                    Pattern.DOTALL)
                            .matcher(text)
                            .find(),
                    text);
        }
        HttpResponse<String> none = site.get("/jobs/%d/quote?kits=ZZ".formatted(job.number()));
        assertEquals(422, none.statusCode());
        assertTrue(
                Site.words(none).contains("There is no kit \"ZZ\" in this job now; the list has changed."),
                Site.words(none));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "use/thornlea-iso-steering=own", "need/dash kit=own part"})
    void quoteAndRecordAgreeInMoneyAndNameItsCurrency(String decided) {
        Map<String, String> fields =
                new HashMap<>(Map.of("radio", "pebblefen-p2", "parts", "quillmoor-sleeve,thornlea-iso-steering"));
        if (!decided.isEmpty()) fields.put(decided.split("=")[0], decided.split("=")[1]);
        Job job = job("corrick-ferryman-2006", fields);
        Site site = new Site(TestApp.url(), "ines");
        String quote = Site.words(site.get("/jobs/%d/quote".formatted(job.number())));
        String record = Site.words(site.get("/jobs/%d/hand-over".formatted(job.number())));
        Matcher total = Pattern.compile("Done by us ([0-9.]+)").matcher(quote);
        assertTrue(total.find(), quote);
        assertTrue(quote.contains("All prices in EUR, tax included."), quote);
        assertTrue(record.contains("Together, in EUR, tax included " + total.group(1)), record);
    }

    @Test
    void paperForTheCustomerShowsNoInnerPaths() {
        Job job = job(
                "corrick-ferryman-2006",
                Map.of(
                        "radio",
                        "pebblefen-p2",
                        "parts",
                        "quillmoor-sleeve,thornlea-iso-steering",
                        "settled/corrick-ferryman-2006/plugs[A].positions[position 6].colour",
                        "grey/green"));
        Site site = new Site(TestApp.url(), "ines");
        String record = Site.words(site.get("/jobs/%d/hand-over".formatted(job.number())));
        assertTrue(record.contains("Position A6, colour: grey/green"), record);
        Pattern path = Pattern.compile("plugs\\[|positions\\[|\\b[a-z]+\\.[a-z]+\\.[a-z]+\\b");
        for (String paper : List.of(record, Site.words(site.get("/jobs/%d/quote".formatted(job.number())))))
            assertFalse(path.matcher(paper).find(), paper);
    }

    @Test
    void whatCameOtherwiseIsAnOpenQuestionAndLeadsToAnotherPlan() {
        Job job = job(
                "corrick-ferryman-2006",
                Map.of("radio", "pebblefen-p2", "parts", "quillmoor-sleeve,thornlea-iso-steering"));
        Page page = window("ines");
        page.navigate("/jobs/%d/goods-in".formatted(job.number()));
        assertThat(page.locator("h1")).hasText("0 of 9 looked at when it came");
        Locator leads = page.locator(".piece")
                .filter(new Locator.FilterOptions().setHasText("Thornlea ISO A and B with steering tail"));
        saved(page, () -> leads.locator("form")
                .last()
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("not so"))
                .click());
        assertThat(page.locator("#questions")).containsText("Came otherwise: Thornlea ISO A and B with steering tail");
        leads.getByText("Plan with what came").click();
        Locator tails = page.locator(".swaps tr")
                .filter(new Locator.FilterOptions().setHasText("Thornlea ISO A and B to bare leads"));
        assertThat(tails).containsText("Steering button: next");
    }

    /** In the car, with one thumb: kits by name, their figures side by side, and one that is chosen. */
    @Test
    void kitIsChosenOnThePhone() {
        Job job = job("corrick-ferryman-2006", Map.of());
        Page page = window("ines", 390, 844);
        page.navigate("/jobs/%d/match".formatted(job.number()));
        kitsThere(page);
        Locator choose = page.getByLabel("Choose kit A", new Page.GetByLabelOptions().setExact(true));
        assertThat(choose).isVisible();
        assertTrue(choose.boundingBox().height >= 44, "a thumb hits it");
        assertThat(page.locator(".versus td[data-kit=A]").first()).isVisible();
        assertEquals(
                390,
                page.evaluate("document.documentElement.scrollWidth"),
                "nothing is wider than the phone, the header neither");
        saved(page, choose::click);
        assertThat(page.locator("h1")).containsText("Kit A is chosen");
    }
}
