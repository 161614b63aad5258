package velvetbezel.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.Cookie;
import com.microsoft.playwright.options.FilePayload;
import java.io.IOException;
import java.nio.file.Files;
import java.sql.SQLException;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.context.ConfigurableApplicationContext;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;

/** One job from arrival to hand-over in the browser; what the pages say is computed by running the installation. */
class JobPathTest extends InBrowser {
    private static final String HEADING = "h1";

    private static void go(Page page, String station) {
        page.locator(".loom")
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(station))
                .click();
    }

    private static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    @Test
    void minibusFromArrivalToHandOver() throws Exception {
        Page page = window("");
        page.navigate("/");
        button(page, "Ines Hallam").click();
        assertThat(page.locator(HEADING)).containsText("open");
        page.getByText("Rowing club's minibus").click();

        arrive(page);
        match(page);
        wire(page);
        prove(page);
        handOver(page);
        assertEquals(List.of(), console.stream().filter(m -> !m.contains("422")).toList());
    }

    private static void arrive(Page page) {
        assertThat(page.locator(HEADING)).hasText("Corrick Ferryman, plain audio: nineteen functions to keep");
        Locator vin = page.locator("#vin");
        saved(page, () -> {
            vin.fill("1M8GDM9AXKPO42788");
            vin.press("Enter");
        });
        assertThat(page.locator("#vin-note .fault"))
                .hasText("Character 12 is O, and a VIN has no I, O or Q. It is probably 0.");
        assertThat(vin).hasValue("1M8GDM9AXKPO42788");
        saved(page, () -> {
            vin.fill("1M8GDM9A1KP042788");
            vin.press("Enter");
        });
        assertThat(page.locator("#vin-note"))
                .containsText(
                        "Check digit (position 9) is 1 where X is expected. It binds for vehicles sold in North America");
        assertThat(page.locator("#questions")).containsText("VIN: check digit");
        for (Locator row : page.locator(".baseline tr[id]").all()) {
            Locator worked = row.getByText("● worked");
            if (worked.count() == 1) saved(page, worked::click);
        }
        saved(page, () -> page.locator("tr", new Page.LocatorOptions().setHasText("Sound rear left"))
                .getByText("▲ faulty")
                .click());
        assertThat(page.locator(".verdict")).hasText("The baseline is complete. One was faulty before the work began.");
        saved(page, () -> page.getByLabel("Wish: Hands-free calls").selectOption("must stay"));
        assertThat(page.locator("#questions")).not().containsText("Baseline:");
    }

    private static void match(Page page) {
        go(page, "Match");
        Locator heading = page.locator(HEADING);
        kitsThere(page);
        assertThat(heading)
                .containsText(
                        "the best, Pebblefen P2, loses nothing",
                        new LocatorAssertions.ContainsTextOptions().setTimeout(60_000));
        assertThat(page.locator(".verdict"))
                .containsText(
                        Pattern.compile("Every kit keeps what must stay: .*radio reception, hands-free calls\\."));
        // other tests bring in prices of their own: the kit is found by what is in it
        Locator withMicrophone = page.locator(".versus");
        assertThat(withMicrophone).containsText("Thornlea ISO A and B with steering tail");
        page.getByText("Why the other parts are out").click();
        assertThat(page.locator(".out"))
                .containsText("No dash kit here holds a two-DIN radio in the one-DIN opening of this vehicle.");
        go(page, "Match");
        saved(page, () -> page.getByLabel("Choose kit A", new Page.GetByLabelOptions().setExact(true))
                .click());
        assertThat(heading).hasText(Pattern.compile("Kit \\w+ is chosen: Pebblefen P2, loses nothing"));
        // hands-free must stay, and needs a microphone
        assertThat(page.locator(".versus")).containsText("Kelfax microphone with 3 m lead");
        page.getByText("While the dash is open").click();
        assertThat(page.locator(HEADING)).containsText("worth doing while the dash is open");
    }

    private static void wire(Page page) {
        go(page, "Wire");
        assertThat(page.locator(HEADING)).hasText("Fourteen joints; going by colour would miss four");
        assertThat(page.locator("#exceptions"))
                .containsText("Position A7 of this car carries constant, where ISO 10487 has accessory.");
        Locator keyOff = page.getByLabel("A7, key off 12.6 ± 0.5 V");
        saved(page, () -> {
            keyOff.fill("0.2");
            keyOff.press("Enter");
        });
        assertThat(page.locator("#questions")).containsText("A7, key off reads 0.2 V");
        saved(page, () -> {
            keyOff.fill("12,4 V");
            keyOff.press("Enter");
        });
        assertThat(page.locator(".reading").first()).containsText("agrees");
        assertThat(page.locator("#questions")).containsText("Five readings to take");
        for (int i = 1; i <= 14; i++)
            saved(page, () -> page.locator("table.joints .btn-next").click());
        assertThat(page.locator(".verdict")).hasText("All are joined. Next: read the whole list back.");
        assertEquals(14, page.locator(".dot.done").count());
        for (Locator cap : page.locator(".caps .btn-quiet").all().stream().toList())
            saved(page, () -> page.locator(".caps .btn-quiet").first().click());
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Read back"))
                .click();
        for (int i = 1; i <= 14; i++)
            saved(page, () -> page.locator(".backs .btn-quiet")
                    .getByText("agrees", new Locator.GetByTextOptions().setExact(true))
                    .first()
                    .click());
        assertThat(page.locator(".verdict")).containsText("Fourteen of 14 read back.");
    }

    private static void prove(Page page) {
        go(page, "Prove");
        assertThat(page.locator(HEADING)).hasText("24 checks, 23 of them before the dash is closed");
        for (int i = 1; i <= 24; i++) {
            boolean oldFault = page.locator(".hand h2").textContent().equals("Sound rear left");
            if (oldFault) page.getByPlaceholder("Reading or note").fill("cone torn");
            saved(page, () -> button(page, oldFault ? "Not right" : "Right, next")
                    .click());
        }
        assertThat(page.locator(".all-done")).containsText("Every check has a result");
        assertThat(page.locator(".checks")).containsText("Was faulty at arrival already.");
        assertThat(page.locator(".checks")).containsText("cone torn");
    }

    private static void handOver(Page page) throws IOException, SQLException {
        go(page, "Hand over");
        assertThat(page.locator(".paper")).containsText("14 of 14 joined, 14 read back");
        assertThat(page.locator(".paper"))
                .containsText("Nothing is switched by it. It carries 12.5 V with key and lamps on.");
        saved(page, () -> page.locator("#handed").click());
        assertThat(page.locator(HEADING)).hasText("Handed over");
        Download archive = page.waitForDownload(
                () -> page.getByText("Save the job archive").click());
        assertEquals("job-214.zip", archive.suggestedFilename());
        readBackElsewhere(page, Files.readAllBytes(archive.path()));
    }

    /** In an empty workshop the archive gives the same job, computed from the sheets that came with it. */
    private static void readBackElsewhere(Page page, byte[] zip) throws SQLException {
        try (ConfigurableApplicationContext other = TestApp.start("../demo")) {
            other.getBean(Jobs.class).list().forEach(j -> assertTrue(j.number() >= 214));
            page.context().addCookies(List.of(new Cookie("person", "wren").setUrl(TestApp.url(other))));
            page.navigate(TestApp.url(other) + "/jobs");
            page.locator("#archive").setInputFiles(new FilePayload("job-214.zip", "application/zip", zip));
            button(page, "Take it in").click();
            assertThat(page.locator(".job-line")).containsText("Rowing club's minibus");
            go(page, "Hand over");
            assertThat(page.locator(HEADING)).hasText("Handed over");
            assertThat(page.locator(".paper")).containsText("cone torn");
            page.locator("#questions").getByText("Log of this job").click();
            assertThat(page.locator(".log"))
                    .containsText(
                            "Chose the kit: Pebblefen P2, one-DIN, Quillmoor one-DIN sleeve with tabs and keys, Thornlea ISO A and B with steering tail, Kelfax microphone");
        }
    }

    @Test
    void trimIsToldApartByWhatIsSeenAndTheNextLookIsNamed() {
        int job = TestApp.bean(Jobs.class)
                .create(
                        "Which Plover",
                        "Tomas Berrow",
                        JobCodec.changes(Map.of("vehicle", "meridale-plover-2019-amplified")))
                .number();
        Page page = window("tomas");
        page.navigate("/jobs/" + job + "/arrive");
        assertThat(page.locator("#audio")).containsText("Not told apart yet: 3 sheets of this model.");
        assertThat(page.locator("#questions")).containsText("What would decide: ");
        saved(page, () -> page.locator("label[for=f-sign-grille-badge-yes]").click());
        assertThat(page.locator(".candidates .chosen")).containsText("47 %");
        saved(page, () -> page.locator("label[for=f-sign-chassis-label-no]").click());
        saved(page, () -> page.locator("label[for=f-sign-speaker-pairs-missing-no]")
                .click());
        Locator display = page.getByLabel("Size of the factory display");
        saved(page, () -> {
            display.fill("5 inch");
            display.press("Enter");
        });
        assertThat(page.locator("#audio")).containsText("What was seen speaks for another sheet.");
        assertThat(page.locator("#questions")).containsText("It looks like the other trim");
        saved(page, () -> page.getByLabel("Choose Meridale Plover, 2017 to 2020, plain audio")
                .click());
        assertThat(page.locator(HEADING)).hasText("Meridale Plover, plain audio: nineteen functions to keep");
        assertThat(page.locator("#audio")).containsText("What was seen agrees with the chosen sheet.");
        page.locator("#built > summary").click();
        saved(page, () -> page.locator("#f-as-built-main-13").selectOption("no wire"));
        assertThat(page.locator("#built > summary")).hasText("Earlier changes by former owners: 1 recorded");
    }

    @Test
    void crossoverShowsItsLossesBeforeThePurchaseAndItsConflictUntilItIsSettled() {
        Page page = window("tomas");
        page.navigate("/jobs/215/match");
        kitsThere(page);
        assertThat(page.locator(HEADING))
                .containsText(
                        "the best, Ondel 47, loses two functions",
                        new LocatorAssertions.ContainsTextOptions().setTimeout(120_000));
        Locator dimmer = page.locator(".versus tr")
                .filter(new Locator.FilterOptions().setHas(page.getByText("Display follows the dimmer")));
        dimmer.locator("summary").first().click();
        assertThat(dimmer.locator("details p").first()).isVisible();
        saved(page, () -> page.getByLabel("Choose kit A", new Page.GetByLabelOptions().setExact(true))
                .click());
        go(page, "Wire");
        assertThat(page.locator(HEADING))
                .hasText("Six joints; every one is colour to colour; three leads or more meet in two");
        assertThat(page.locator("#questions")).containsText("Position 9 (amp remote) has two colours");
        saved(page, () -> button(page, "blue/yellow").click());
        assertThat(page.locator("#questions")).not().containsText("two colours");
        assertThat(page.locator(".harness")).containsText("BU/YE");
        saved(page, () -> page.locator("#undo").click());
        assertThat(page.locator("#questions")).containsText("two colours");
    }
}
