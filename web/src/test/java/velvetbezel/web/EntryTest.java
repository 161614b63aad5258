package velvetbezel.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.sheet.Sheet;
import velvetbezel.store.Library;

/**
 * New sheets made in the browser: a vehicle from a paper pinout by keyboard, its amplified trim, a radio and a part
 * from blocks.
 */
class EntryTest extends InBrowser {
    private static final List<String> ROLES =
            List.of("", "", "", "acc", "", "58", "30", "31", "rr+", "rr-", "fr+", "fr-", "lf+", "lf-", "rl+", "rl-");
    private static final List<String> COLOURS = List.of(
            "", "", "", "VT/WH", "", "GY/BK", "RD/WH", "BN", "BU/RD", "BU/BN", "GY/RD", "GY/BN", "YE/RD", "YE/BN",
            "GN/RD", "GN/BN");
    private int keys;

    private void type(Page page, String text) {
        keys += text.length();
        page.keyboard().type(text);
    }

    private void press(Page page, String key, int times) {
        keys += times;
        for (int i = 0; i < times; i++) page.keyboard().press(key);
    }

    private void column(Page page, String first, List<String> values) {
        page.getByLabel(first, new Page.GetByLabelOptions().setExact(true)).click();
        for (String value : values) {
            type(page, value);
            press(page, "Enter", 1);
        }
    }

    private static void button(Page page, String name) {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    /** A plain van with two ISO plugs in some 220 keys and four clicks: well under ten minutes for anybody. */
    @Test
    void vehicleIsEnteredByKeyboardFromItsPinoutAndItsAmplifiedTrimFromThat() {
        Page page = window("ines");
        page.navigate("/vehicles");
        page.getByText("New vehicle from a pinout").click();
        assertThat(page.locator("#make")).isFocused();
        for (String fact : List.of("Corrick", "Tern", "van, plain audio", "2007", "2011")) {
            type(page, fact);
            press(page, "Tab", 1);
        }
        press(page, "Tab", 5);
        type(page, "label on the chassis");
        press(page, "Tab", 3);
        type(page, "ISO 10487 A");
        press(page, "Tab", 1);
        type(page, "8");
        press(page, "Tab", 3);
        type(page, "ISO 10487 B");
        press(page, "Tab", 1);
        type(page, "8");
        press(page, "Enter", 1);
        column(page, "A 1, role", ROLES);
        column(page, "A 1, colour", COLOURS);
        button(page, "Save the vehicle");
        assertThat(page.locator("h1")).hasText("Corrick Tern, 2007 to 2011, van, plain audio");
        assertThat(page.locator(".facts")).containsText("14 functions: switched power, memory over a key cycle");
        assertTrue(keys < 250, () -> keys + " keys");
        amplified(page);
        assertEquals(List.of(), console.stream().filter(m -> !m.contains("422")).toList());
    }

    /** A plug typed in lines is laid out; what is not read is marked where it stands, and the rest is not lost. */
    @Test
    void plugIsTypedInLinesAndWhatIsNotReadIsMarked() {
        Page page = window("ines");
        page.navigate("/vehicles/new");
        page.locator("#family0").fill("ISO 10487 A");
        page.locator("#lines0").fill("4 acc violet/white, 6 lamps grey\n7 constant red/white 16 AWG\n8 grund brown");
        page.locator("#family1").fill("ISO 10487 B");
        page.locator("#lines1").fill("1-8 speakers rr fr fl rl");
        button(page, "Lay out the positions");
        assertThat(page.locator(".unread")).containsText("8 grund brown names no role; the nearest are ground");
        assertThat(page.locator(".unread mark")).hasText("grund brown");
        assertThat(page.getByLabel("A 7, role")).hasValue("constant");
        assertThat(page.getByLabel("A 7, colour")).hasValue("red/white");
        assertThat(page.getByLabel("A 7, gauge")).hasValue("16");
        assertThat(page.getByLabel("B 8, role")).hasValue("rear left −");
        button(page, "Save the vehicle");
        assertThat(page.locator(".refused")).containsText("\"grund brown\" names no role");
        assertThat(page.locator("#lines0")).hasValue(Pattern.compile("8 grund brown"));
        page.locator("#lines0").fill("8 ground brown");
        button(page, "Lay out the positions");
        assertThat(page.locator(".unread")).hasCount(0);
        assertThat(page.getByLabel("A 8, role")).hasValue("ground");
        assertThat(page.getByLabel("A 4, colour")).hasValue("violet/white");
    }

    private static void amplified(Page page) {
        page.getByText("start from its pinout").click();
        page.getByLabel("Trim and audio system").fill("van, amplified");
        String[] corners = {"rear right", "front right", "front left", "rear left"};
        for (int i = 0; i < corners.length; i++)
            for (int half = 0; half < 2; half++)
                page.getByLabel("B %d, role".formatted(2 * i + half + 1))
                        .fill("line " + corners[i] + (half == 0 ? " +" : " -"));
        button(page, "Save the vehicle");
        assertThat(page.locator("tr.bad").first()).containsText("\"line rear right +\" stands alone");
        page.getByLabel("A 5, role").fill("rem");
        button(page, "Save the vehicle");
        assertThat(page.locator("h1")).hasText("Corrick Tern, 2007 to 2011, van, amplified");
        assertThat(page.locator(".facts")).containsText("factory amplifier");
        page.getByLabel("See only the differences").selectOption("corrick-tern-2007-van-plain-audio");
        button(page, "Compare");
        assertThat(page.locator(".compare")).containsText("plugs[B].positions[position 1].role");
        assertThat(page.locator(".compare")).not().containsText("plugs[A].positions[position 7].colour");
    }

    @Test
    void whatThePaperCannotMeanIsMarkedInItsRowAndEverythingTypedStays() {
        Page page = window("ines");
        page.navigate("/vehicles/new");
        page.getByLabel("Make").fill("Corrick");
        page.getByLabel("First year").fill("long");
        page.locator("#family0").fill("ISO 10487 A");
        page.locator("#size0").fill("8");
        button(page, "Lay out the positions");
        page.getByLabel("A 7, role").fill("warmth");
        page.getByLabel("A 7, colour").fill("RD/WH");
        button(page, "Save the vehicle");
        assertThat(page.locator(".refused")).containsText("\"long\" is no model year; four digits such as 2009.");
        assertThat(page.getByLabel("A 7, role")).hasValue("warmth");
        for (String field : List.of("Model", "Trim and audio system"))
            page.getByLabel(field).fill("Nowhere");
        page.getByLabel("First year").fill("2009");
        page.getByLabel("Last year").fill("2010");
        button(page, "Save the vehicle");
        assertThat(page.locator("tr.bad")).containsText("\"warmth\" is no role of a lead.");
        assertThat(page.getByLabel("A 7, colour")).hasValue("RD/WH");
    }

    /** A radio from blocks; taking one rule off takes its behaviour, and bringing it back brings it. */
    @Test
    void radioIsBuiltFromBlocksAndARuleTakenOffTakesItsBehaviour() {
        Page page = window("ines");
        page.navigate("/radios");
        page.getByText("New radio").click();
        page.locator("#name").fill("Pebblefen P5");
        button(page, "Save and go on");
        assertThat(page.locator(".refused")).containsText("size expected a text, found \"\".");
        page.getByLabel("Size").fill("one-DIN");
        page.getByLabel("Price").fill("79,50");
        button(page, "Save and go on");
        for (String block : List.of(
                "Drives the front left speaker",
                "Drives the front right speaker",
                "Drives the rear left speaker",
                "Drives the rear right speaker",
                "Antenna socket of the family ISO antenna",
                "Dims above 4 V on illumination"))
            add(page, block, block.startsWith("Antenna") ? "DIN antenna" : block.startsWith("Dims") ? "bright" : "");
        assertThat(page.locator(".refused")).containsText("\"bright\" is no number; type one such as 4.");
        assertThat(page.getByLabel("Dims above, V")).hasValue("bright");
        page.getByLabel("Dims above, V").fill("6");
        page.getByLabel("Add: Dims above 4 V on illumination").click();
        assertThat(page.locator(".pieces").first())
                .containsText("dim while powered and lamps at least 6 V: shows dimmed");
        assertEquals("kept", dimming());
        page.getByLabel("Take off dim", new Page.GetByLabelOptions().setExact(true))
                .click();
        assertEquals("lost", dimming());
        page.navigate("/sheets/pebblefen-p5");
        page.getByText("Undo").first().click();
        assertEquals("kept", dimming());
        page.navigate("/sheets/pebblefen-p5/facts");
        page.getByLabel("Depth").fill("165 mm");
        page.getByLabel("Says who").fill("rule on the bench");
        button(page, "Save the facts");
        assertThat(page.locator(".facts")).containsText("165 mm deep");
    }

    private static void add(Page page, String block, String value) {
        page.locator("summary")
                .filter(new Locator.FilterOptions().setHasText(block))
                .click();
        if (!value.isEmpty())
            page.locator("details[open] input[autocomplete]").last().fill(value);
        page.getByLabel("Add: " + block).click();
    }

    private static String dimming() {
        Library library = TestApp.bean(Library.class);
        Sheet.Vehicle car = (Sheet.Vehicle)
                library.find("corrick-ferryman-2006").orElseThrow().sheet().orElseThrow();
        Sheet.Radio radio =
                (Sheet.Radio) library.find("pebblefen-p5").orElseThrow().sheet().orElseThrow();
        Sheet.Part adapter = (Sheet.Part)
                library.find("thornlea-iso-tails").orElseThrow().sheet().orElseThrow();
        Map<FunctionId, Outcome> outcomes = Outcomes.compare(
                Builder.factory(car), Builder.replacement(car, radio, List.of(adapter)), library.catalogue());
        return outcomes.get(new FunctionId("dimming")).word();
    }

    @Test
    void partIsBuiltFromWhatItMatesWithCarriesAndMakes() {
        Page page = window("ines");
        page.navigate("/parts/new");
        page.locator("#name").fill("Kestwick bench adapter");
        page.getByLabel("Price").fill("9");
        page.getByLabel("Labour, minutes").fill("10");
        button(page, "Save and go on");
        page.locator("summary")
                .filter(new Locator.FilterOptions().setHasText("Mates with a plug"))
                .click();
        page.locator("details[open]").getByLabel("Plug family").fill("ISO 10487 A");
        page.locator("details[open] .btn").click();
        assertThat(page.locator(".pieces")).containsText("main: ISO 10487 A, 8 positions, plug");
        add(page, "Bare lead: accessory", "");
        assertThat(page.locator(".pieces").first()).containsText("acc: accessory");
    }
}
