package velvetbezel.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;
import velvetbezel.store.Library;

/** Sheets changed by hand: positions in the drawing of their plug, sister sheets, history, facts offered back. */
class EditTest extends InBrowser {
    private static final String ID = "corrick-ferryman-edited";
    private Page page;

    @BeforeEach
    void sheet() {
        TestApp.bean(Library.class)
                .take(
                        Map.of(
                                "sheet",
                                Demo.text("corrick-ferryman-2006")
                                        .replace("\"corrick-ferryman-2006\"", "\"" + ID + "\"")),
                        "Ines");
        page = window("ines");
    }

    private static void press(Page page, String name) {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .click();
    }

    @Test
    void positionIsCorrectedInTheDrawingOfItsPlug() {
        page.navigate("/sheets/" + ID + "/edit");
        page.getByLabel("Position 7, constant, red/white").click();
        page.getByLabel("Colour, in any notation").fill("blurple");
        press(page, "Save the position");
        assertThat(page.locator(".refused")).containsText("\"blurple\" is not known; allowed: a colour or base/stripe");
        assertThat(page.getByLabel("Colour, in any notation")).hasValue("blurple");
        page.getByLabel("Colour, in any notation").fill("RDYE");
        page.getByLabel("Where colour and gauge are from").selectOption("printed");
        page.getByLabel("Says who").fill("label");
        press(page, "Save the position");
        assertThat(page.locator(".claims")).containsText("Two things are said of its colour.");
        page.getByText("RDYE (printed by label)").click();
        assertThat(page.getByLabel("Position 7, constant, red/yellow")).hasCount(1);
        page.navigate("/sheets/" + ID);
        assertThat(page.locator(".log").last()).containsText("Position 7 of plug A");
        page.getByText("Undo").last().click();
        assertThat(page.locator(".positions").first()).containsText("red/white");
    }

    @Test
    void emptyPositionGetsAWireAndLosesIt() {
        page.navigate("/sheets/" + ID + "/edit?plug=A&position=2");
        page.getByLabel("Holds no wire").uncheck();
        page.getByLabel("What it is").selectOption("mute");
        press(page, "Save the position");
        assertThat(page.locator(".refused")).containsText("a wire of the car goes to a terminal");
        page.getByLabel("Its wire goes to").selectOption("ignition switch.acc");
        page.getByLabel("Gauge", new Page.GetByLabelOptions().setExact(true)).fill("0.75 mm²");
        press(page, "Save the position");
        assertThat(page.getByLabel("Position 2, mute, colour not known")).hasCount(1);
        page.getByLabel("Holds no wire").check();
        press(page, "Save the position");
        assertThat(page.getByLabel("Position 2, empty")).hasCount(1);
    }

    @Test
    void sisterTrimIsDuplicatedAndOnlyTheDifferencesAreSeen() {
        page.navigate("/sheets/" + ID);
        page.getByLabel("Its id").fill("corrick-ferryman-sister");
        page.getByLabel("Its name").fill("Corrick Ferryman, sister trim");
        press(page, "Duplicate");
        assertThat(page.locator("h1")).hasText("9 differences");
        page.getByText("Correct what differs on this one").click();
        page.getByLabel("Position 8, ground, brown").click();
        page.getByLabel("Colour, in any notation").fill("black");
        press(page, "Save the position");
        page.navigate("/sheets/corrick-ferryman-sister/compare?with=" + ID);
        assertThat(page.locator("h1")).hasText("10 differences");
        assertThat(page.locator(".compare")).containsText("plugs[A].positions[position 8].colour");
        page.navigate("/sheets/corrick-ferryman-sister");
        page.getByLabel("Its id").fill(ID);
        page.getByLabel("Its name").fill("x");
        press(page, "Duplicate");
        assertThat(page.locator("#work")).containsText("is taken; choose another id.");
    }

    @Test
    void factMeasuredOnAJobIsOfferedBackToTheSheet() {
        int job = TestApp.bean(Jobs.class)
                .create(
                        "Offers back",
                        "Ines",
                        JobCodec.changes(Map.of(
                                "vehicle",
                                ID,
                                "settled/" + ID + "/plugs[A].positions[position 6].colour",
                                "grey/green")))
                .number();
        page.navigate("/jobs/" + job + "/hand-over");
        press(page, "Write this into the vehicle's sheet");
        assertThat(page.locator(".positions").first()).containsText("grey/green");
        assertThat(page.locator(".positions").first()).containsText("measured by job " + job);
        assertThat(page.locator(".log").last()).containsText("Measured on job " + job);
        assertEquals(0, console.size());
    }
}
