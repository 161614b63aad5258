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

/** New sheets typed in lines in the browser: a car from a paper pinout, a radio, an adapter; keys and clicks counted. */
class EntryTest extends InBrowser {
    private int keys;
    private int clicks;

    private void type(Page page, String text) {
        keys += text.length();
        page.keyboard().type(text);
    }

    private void press(Page page, String key, int times) {
        keys += times;
        for (int i = 0; i < times; i++) page.keyboard().press(key);
    }

    private void lines(Page page, String... lines) {
        for (String line : lines) {
            type(page, line);
            press(page, "Enter", 1);
        }
    }

    private void tick(Page page, String label) {
        clicks++;
        page.getByLabel(label, new Page.GetByLabelOptions().setExact(true)).check();
    }

    private void button(Page page, String name) {
        clicks++;
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    private static String told(Page page) {
        return page.locator(".made").innerText();
    }

    /** A car with a factory amplifier that shares one return, and a key ladder: under 600 keys and clicks. */
    @Test
    void amplifiedCarIsTypedFromItsPaper() {
        Page page = window("ines");
        page.navigate("/vehicles");
        page.getByText("New vehicle from a pinout").click();
        assertThat(page.locator("#name")).isFocused();
        type(page, "Tarrick Ousel 3 saloon");
        press(page, "Tab", 1);
        type(page, "05/2004-2009");
        press(page, "Tab", 1);
        type(page, "two-DIN");
        press(page, "Tab", 1);
        type(page, "K1");
        press(page, "Tab", 3);
        lines(page, "1 constant red/tan thick", "2 ground brown thick", "3 acc violet", "4 lamps? grey", "6-9 unknown");
        press(page, "Enter", 1);
        assertThat(page.locator("#plug1")).isFocused();
        type(page, "K2");
        press(page, "Tab", 3);
        lines(
                page,
                "1-4 line pairs common [pink, clear, dark green, white]",
                "5 line common bare",
                "6 remote blue/red",
                "7 wheel grey",
                "8 wheel return");
        assertThat(page.locator(".made")).containsText("resistive steering keys");
        page.locator("#ladder").focus();
        type(page, "volume up 300, volume down 900, next");
        clicks++;
        page.locator("#has-subwoofer-yes").check();
        tick(page, "amplified, fed through its plug");
        assertThat(page.locator(".enough")).containsText("Enough to plan.");
        assertThat(page.locator(".made"))
                .containsText("Guessed, and joined to nothing that feeds until measured: K1 4.");
        assertThat(page.locator(".made")).containsText("steering button: volume up");
        assertThat(page.locator(".made")).containsText("subwoofer");
        assertThat(page.locator(".face svg")).hasCount(3);
        button(page, "Save");
        assertThat(page.locator("h1")).hasText("Tarrick Ousel 3 saloon");
        assertThat(page.locator(".facts")).containsText("built 2004-05 to 2009");
        System.out.printf("typed car: %d keys, %d clicks%n", keys, clicks);
        assertTrue(keys + clicks <= 600, () -> keys + " keys, " + clicks + " clicks");
        assertEquals(List.of(), console);
    }

    /** What nobody can read is marked where it stands, the rest goes on, and nothing typed is lost. */
    @Test
    void whatIsNotReadIsMarkedAndEverythingTypedStays() {
        Page page = window("ines");
        page.navigate("/vehicles/new");
        page.locator("#name").fill("Corrick Tern");
        page.locator("#years").fill("long ago");
        page.locator("#family0").fill("ISO 10487 A");
        page.locator("#lines0").fill("4 acc violet/white, 6 lamps grey\n7 constant red/white 16 AWG\n8 grund brown");
        assertThat(page.locator(".unread")).containsText("8 grund brown names no role; the nearest are ground");
        assertThat(page.locator(".unread mark")).hasText("grund brown");
        assertThat(page.locator(".enough")).containsText("Not enough to plan yet.");
        assertThat(page.locator(".stops")).containsText("The plugs hold no ground: a radio needs one.");
        button(page, "Save");
        assertThat(page.locator(".refused")).containsText("\"long ago\" is no span of years");
        assertThat(page.locator(".refused")).containsText("line 4: \"grund brown\" names no role");
        assertThat(page.locator("#lines0")).hasValue(Pattern.compile("8 grund brown"));
        page.locator("#years").fill("2018 on");
        page.locator("#lines0").fill("4 acc violet/white, 6 lamps grey\n7 constant red/white 16 AWG\n8 ground brown");
        assertThat(page.locator(".unread")).hasCount(0);
        assertThat(page.locator(".enough")).containsText("Enough to plan.");
    }

    /** An answer whose question goes away with a line is not thrown away with it. */
    @Test
    void answerComesBackWithTheLineItHungOn() {
        Page page = window("ines");
        page.navigate("/vehicles/new");
        String plug = "1 constant red, 2 ground brown, 3 acc violet";
        page.locator("#lines0").fill(plug + ", 4 illumination grey");
        page.locator("#has-illumination-switched").check();
        page.locator("#lines0").fill(plug);
        assertThat(page.locator("#has-illumination-switched")).hasCount(0);
        page.locator("#lines0").fill(plug + ", 4 illumination grey");
        assertThat(page.locator("#has-illumination-switched")).isChecked();
    }

    /** A piece that is struck out takes its functions with it, and comes back when the tick is taken away. */
    @Test
    void carIsOtherwiseThanTheCatalogueSays() {
        Page page = window("ines");
        page.navigate("/vehicles/new");
        page.locator("#name").fill("Corrick Tern");
        page.locator("#years").fill("2018 on");
        page.locator("#lines0").fill("1 constant red, 2 ground brown, 3 acc violet, 4 illumination grey");
        Locator functions = page.locator("p.functions");
        assertThat(functions).containsText("display dimming");
        page.getByLabel("otherwise: lamp switch behind the illumination wire").check();
        assertThat(functions).not().containsText("display dimming");
        assertThat(page.locator(".behind .struck")).containsText("lamp switch");
        page.locator("#lines0").fill("1 constant red, 2 ground brown, 3 acc violet");
        assertThat(page.locator(".behind .struck")).hasCount(0);
        page.locator("#lines0").fill("1 constant red, 2 ground brown, 3 acc violet, 4 illumination grey");
        assertThat(page.locator(".behind .struck")).containsText("lamp switch");
        page.getByLabel("otherwise: lamp switch behind the illumination wire").uncheck();
        assertThat(functions).containsText("display dimming");
        page.getByLabel("otherwise: battery and radio fuse, 15 A").check();
        assertThat(page.locator(".stops")).containsText("Without \"supply\" the rest cannot be worked out");
    }

    /** A list copied from elsewhere, with its head, and the paper's own abbreviations. */
    @Test
    void pastedListIsReadWithThePapersOwnWords() {
        Page page = window("ines");
        page.navigate("/vehicles/new");
        page.getByText("The paper, and what else is known").click();
        page.locator("#paper").fill("B = black, BATT2 = constant");
        page.locator("#lines0").fill("Pin;Function;Colour\n7;BATT2;R/B\n8;gnd;B\n4;\"acc\";VT/WH\n6;58;");
        assertThat(page.locator(".unread")).hasCount(0);
        assertThat(page.locator(".face svg").first()).containsText("RD/BK");
        assertThat(page.locator(".enough")).containsText("Enough to plan.");
    }

    /** The amplified trim from the sister's lines: what is said of the one is only assumed of the other. */
    @Test
    void sisterIsTypedFromTheLinesOfTheOther() {
        Page page = window("ines");
        page.navigate("/vehicles/new?like=corrick-ferryman-2006");
        page.locator("#name").fill("Corrick Ferryman van, amplified");
        assertThat(page.locator("#lines1")).hasValue(Pattern.compile("rear right \\+"));
        page.locator("#lines1").fill("1-8 line pairs rr fr fl rl");
        page.locator("#lines0").fill(page.locator("#lines0").inputValue() + "\n1 remote blue/white");
        assertThat(page.locator(".made")).containsText("factory amplifier");
        button(page, "Save");
        assertThat(page.locator("h1")).hasText("Corrick Ferryman van, amplified");
        page.getByLabel("See only the differences").selectOption("corrick-ferryman-2006");
        button(page, "Compare");
        assertThat(page.locator(".compare")).containsText("plugs[B].positions[position 1].role");
    }

    /** A two-DIN radio under 300 keys and clicks; without its lamp lead it does not dim. */
    @Test
    void radioIsTypedFromItsPaper() {
        Page page = window("ines");
        page.navigate("/radios");
        page.getByText("New radio").click();
        assertThat(page.locator("#name")).isFocused();
        type(page, "Velmar 3");
        press(page, "Tab", 1);
        type(page, "two-DIN");
        press(page, "Tab", 1);
        type(page, "179,50");
        press(page, "Tab", 1);
        type(page, "P3, S8, remote, antenna power, lamps orange/white, brake");
        tick(page, "line outputs, front");
        tick(page, "line outputs, rear");
        tick(page, "wired remote input for a control interface");
        tick(page, "mirrors a phone by cable");
        assertThat(page.locator(".made")).containsText("dims with the illumination lead");
        button(page, "Save");
        assertThat(page.locator("h1")).hasText("Velmar 3");
        System.out.printf("typed radio: %d keys, %d clicks%n", keys, clicks);
        assertTrue(keys + clicks <= 300, () -> keys + " keys, " + clicks + " clicks");
        assertEquals("kept", dimming("velmar-3"));
        page.navigate("/sheets/velmar-3/lines");
        page.locator("#leads").fill("P3, S8, remote, antenna power, brake");
        button(page, "Save");
        assertThat(page.locator("h1")).hasText("Velmar 3");
        assertEquals("lost", dimming("velmar-3"));
        page.getByText("Undo").first().click();
        assertEquals("kept", dimming("velmar-3"));
        assertEquals(List.of(), console);
    }

    private static String dimming(String radioId) {
        Library library = TestApp.bean(Library.class);
        Sheet.Vehicle car = (Sheet.Vehicle)
                library.find("corrick-ferryman-2006").orElseThrow().sheet().orElseThrow();
        Sheet.Radio radio =
                (Sheet.Radio) library.find(radioId).orElseThrow().sheet().orElseThrow();
        Sheet.Part adapter = (Sheet.Part)
                library.find("thornlea-iso-tails").orElseThrow().sheet().orElseThrow();
        Map<FunctionId, Outcome> outcomes = Outcomes.compare(
                Builder.factory(car), Builder.replacement(car, radio, List.of(adapter)), library.catalogue());
        return outcomes.get(new FunctionId("dimming")).word();
    }

    /** A line-level adapter from the car's own plug, with a spare lead: under 300 keys and clicks. */
    @Test
    void adapterIsTypedFromTheCarsOwnPlug() {
        Page page = window("ines");
        page.navigate("/parts/new");
        assertThat(page.locator("#name")).isFocused();
        type(page, "Corvale T4 adapter");
        press(page, "Tab", 2);
        type(page, "38");
        press(page, "Tab", 1);
        type(page, "15");
        clicks++;
        page.locator("#car").selectOption("meridale-plover-2019-amplified");
        page.locator("#carplug").focus();
        type(page, "main");
        tick(page, "RCA front");
        tick(page, "RCA rear");
        button(page, "Copy its positions");
        assertThat(page.locator("#lines0")).hasValue(Pattern.compile("9 amp remote"));
        assertThat(page.locator(".made")).containsText("constant: radio yellow + part yellow");
        page.locator("#leads").focus();
        type(page, "spare gives accessory red/white");
        assertThat(page.locator(".made")).containsText("capped");
        button(page, "Save");
        assertThat(page.locator("h1")).hasText("Corvale T4 adapter");
        System.out.printf("typed adapter: %d keys, %d clicks%n", keys, clicks);
        assertTrue(keys + clicks <= 300, () -> keys + " keys, " + clicks + " clicks");
        assertEquals(List.of(), console);
    }

    /** A rule taken off takes its behaviour, on the page that says what a device does. */
    @Test
    void ruleTakenOffTakesItsBehaviour() {
        Page page = window("ines");
        page.navigate("/sheets/pebblefen-p2/device");
        page.getByLabel("Take off dim", new Page.GetByLabelOptions().setExact(true))
                .click();
        assertEquals("lost", dimming("pebblefen-p2"));
        page.navigate("/sheets/pebblefen-p2");
        page.getByText("Undo").first().click();
        assertEquals("kept", dimming("pebblefen-p2"));
    }
}
