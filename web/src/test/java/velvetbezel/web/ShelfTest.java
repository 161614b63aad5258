package velvetbezel.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The shelves by keyboard: find, filter, move, open; and bringing in a list with its preview. */
class ShelfTest extends InBrowser {
    @Test
    void partIsFoundAndOpenedWithoutTheMouse() {
        Page page = window("ines");
        page.navigate("/parts");
        page.keyboard().press("/");
        page.keyboard().type("amplified audio");
        assertThat(page.locator("#results h1")).hasText("1 part answers");
        page.keyboard().press("ArrowDown");
        assertThat(page.locator(".hit")).isFocused();
        page.keyboard().press("Enter");
        assertThat(page.locator("h1")).hasText("Thornlea harness for the Plover, amplified audio");
        assertEquals(List.of(), console);
    }

    @Test
    void filtersNarrowTheShelfAndTheAddressKeepsThem() {
        Page page = window("ines");
        page.navigate("/parts");
        page.getByLabel("Carries or makes").selectOption("antenna power");
        page.getByLabel("Kind", new Page.GetByLabelOptions().setExact(true)).selectOption("antenna adapter");
        assertThat(page.locator("#results h1")).hasText("2 parts answer");
        assertThat(page).hasURL(Pattern.compile(".*type=antenna.*carries=antenna.*|.*carries=antenna.*type=antenna.*"));
        page.reload();
        assertThat(page.locator("#results h1")).hasText("2 parts answer");
        page.getByLabel("Price up to").fill("13,50");
        assertThat(page.locator("#results h1")).hasText("1 part answers");
    }

    @Test
    void slashFindsFromAnywhereAcrossAllShelves() {
        Page page = window("ines");
        page.navigate("/jobs/214/wire");
        page.keyboard().press("/");
        page.keyboard().type("plover plain");
        page.keyboard().press("Enter");
        assertThat(page.locator("h1")).hasText("Found");
        assertThat(page.locator("#work")).containsText("Meridale Plover");
        assertThat(page.locator("#work")).containsText("Thornlea harness for the Plover, plain audio");
    }

    @Test
    void listIsPreviewedBeforeAnythingChangesAndRefusedLinesAreLeftOut() {
        Page page = window("ines");
        String list =
                "number,name,kind,price,stock\nkelfax-a1,Kelfax pocket,dash kit,7.50,2\nthornlea-iso-tails,,,10.90,4\nkelfax-a2,Kelfax pocket,trumpet,7.50,2\n";
        bring(page, "/parts", list);
        assertThat(page.locator("h1")).hasText("If it is taken in: 1 refused, 1 added, 1 changed");
        assertThat(page.locator("#intake")).containsText("line 4");
        assertThat(page.locator("#intake")).containsText("kind \"trumpet\" is not known; allowed: radio, dash kit");
        assertThat(page.locator(".verdict")).containsText("The refused lines will be left out.");
        page.getByText("Take it in").click();
        assertThat(page.locator("h1")).hasText("Taken in: 1 added, 1 changed; left out: 1");
        bring(page, "/parts", list.replace("trumpet", "dash kit"));
        page.getByText("Take it in").click();
        assertThat(page.locator("h1")).hasText("Taken in: 1 added, 2 unchanged");
        page.navigate("/sheets/thornlea-iso-tails");
        assertThat(page.locator(".facts")).containsText("10.90");
        bring(page, "/parts", "number,price\nthornlea-iso-tails,9.90\n");
        page.getByText("Take it in").click();
        assertThat(page.locator("h1")).hasText("Taken in: 1 changed");
    }

    @Test
    void suppliersOwnHeadingsAreAskedOnceAndMayBeUnderstoodOtherwise() {
        Page page = window("ines");
        String list =
                "Art.-Nr.;Name;Warengruppe;Brutto;Bestand\nKELFAX-B1;Fach;dash kit;7,50;2\nTARNLIGHT-MAJOR;;;91,00;1\n";
        bring(page, "/radios", list);
        assertThat(page.locator("h1")).hasText("What do its headings stand for?");
        assertThat(page.getByLabel("Name")).hasValue("name");
        page.getByText("Read it so").click();
        assertThat(page.locator("#supplier")).isFocused();
        page.locator("#supplier").fill("Kelfax wholesale");
        page.getByText("Read it so").click();
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("number is none of the columns");
        assertThat(page.locator("#supplier")).hasValue("Kelfax wholesale");
        page.getByLabel("art.-nr.").selectOption("number");
        page.getByLabel("warengruppe").selectOption("kind");
        page.getByLabel("brutto").selectOption("price");
        page.getByLabel("bestand").selectOption("days");
        page.getByText("Read it so").click();
        assertThat(page.locator("h1")).hasText("If it is taken in: 1 added, 1 changed");
        assertThat(page.locator("#intake")).containsText("days none → 1");
        page.getByText("They stand for something else").click();
        page.getByLabel("bestand").selectOption("stock");
        page.getByText("Read it so").click();
        assertThat(page.locator("#intake")).containsText("stock not counted → 1");
        page.getByText("Cancel").click();
        assertThat(page.locator("h1")).hasText("Cancelled; nothing was changed");
        bring(page, "/parts", list);
        assertThat(page.locator("h1")).hasText("If it is taken in: 1 added, 1 changed");
        assertThat(page.locator("#intake")).containsText("Read with the headings of Kelfax wholesale.");
    }

    private static void bring(Page page, String shelf, String list) {
        page.navigate(shelf);
        page.locator("#list")
                .setInputFiles(new FilePayload("prices.csv", "text/csv", list.getBytes(StandardCharsets.UTF_8)));
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Read and preview"))
                .last()
                .click();
    }
}
