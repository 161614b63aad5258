package velvetbezel.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import velvetbezel.store.Job;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;
import velvetbezel.store.Sender;
import velvetbezel.strip.Planner;
import velvetbezel.strip.StepText;
import velvetbezel.strip.StripStep;
import velvetbezel.web.job.JobOpener;
import velvetbezel.web.job.OpenDash;

/** Takes the pictures of docs/screenshots from the demo: see README.md */
@EnabledIfSystemProperty(named = "vb.screenshots", matches = ".+")
class Screenshots extends InBrowser {
    @Test
    void takeThem() throws IOException {
        work("Rowing club's minibus", minibus());
        work(
                "Vet's crossover",
                Map.of(
                        "radio",
                        "ondel-47",
                        "parts",
                        "quillmoor-plover-panel,ashdyke-plover-module,marlstone-plover-iso-fed,kelfax-plover-camera-voice,kelfax-plover-usb,marlstone-plover-gps",
                        "wish/chimes",
                        "must stay",
                        "joint/joint ground",
                        "done",
                        "joint/joint constant",
                        "done"));
        Page bench = window("ines");
        shot(bench, "/jobs", "jobs");
        shot(bench, "/jobs/214/arrive", "arrive");
        match(bench, "/jobs/215/match");
        picture(bench, "match");
        int deep = TestApp.bean(Jobs.class)
                .create(
                        "Radio too deep for the brace",
                        "Ines Hallam",
                        JobCodec.changes(
                                Map.of(
                                        "vehicle",
                                        "meridale-plover-2019-plain",
                                        "radio",
                                        "ondel-60",
                                        "parts",
                                        "quillmoor-plover-panel,thornlea-plover-plain,marlstone-plover-iso,kelfax-gps-antenna")))
                .number();
        shot(bench, "/jobs/%d/fit".formatted(deep), "fit");
        template(deep);
        shot(bench, "/jobs/215/open-up", "open-up");
        opened(215, 14);
        shot(bench, "/jobs/215/quote?kits=A", "quote");
        shot(bench, "/jobs/215/wire", "wire");
        shot(bench, "/jobs/214/bench?joint=constant&a=red&b=yellow", "bench");
        shot(bench, "/jobs/214/prove", "prove");
        shot(bench, "/jobs/214/hand-over", "hand-over");
        shot(bench, "/sheets/meridale-plover-2019-amplified", "vehicle");
        shot(bench, "/parts?q=plover", "parts");
        shot(bench, "/sheets/meridale-plover-2014-amplified/lines", "car-in-lines");
        shot(bench, "/jobs/%d/controls".formatted(corroded()), "controls");
        bench.navigate("/jobs/%d/find".formatted(silent()));
        assertThat(bench.locator(".find .working")).hasCount(0);
        picture(bench, "find");
        Page phone = window("ines", 390, 844);
        shot(phone, "/jobs/214/prove", "prove-in-the-car");
        shot(phone, "/jobs/215/in-car", "open-up-in-the-car");
        shot(phone, "/jobs/215/trays", "trays-in-the-car");
    }

    /** The first sheet of the template, as it comes out of a printer. */
    private static void template(int job) throws IOException {
        byte[] pdf = new Site(TestApp.url(), "ines").bytes("/jobs/%d/fit.pdf".formatted(job));
        try (PDDocument paper = Loader.loadPDF(pdf)) {
            ImageIO.write(
                    new PDFRenderer(paper).renderImageWithDPI(0, 90),
                    "png",
                    Path.of(System.getProperty("vb.screenshots"), "fit-template.png")
                            .toFile());
        }
    }

    /** The first steps of the order that is planned, as somebody in the car says them. */
    private static void opened(int number, int steps) {
        OpenDash dash = TestApp.bean(JobOpener.class).open(number).dash();
        List<StripStep> planned = new Planner()
                .plan(dash.sheet().orElseThrow(), dash.wanted(), dash.car())
                .found()
                .orElseThrow()
                .steps();
        Map<String, String> fields = new LinkedHashMap<>();
        for (int i = 0; i < steps; i++)
            fields.put("step/%06d-demo".formatted(100 * (i + 1)), StepText.write(planned.get(i)));
        Jobs jobs = TestApp.bean(Jobs.class);
        Job job = jobs.find(number).orElseThrow();
        jobs.change(job.id(), Sender.named("Ines Hallam"), "At the dash", job.seq(), JobCodec.changes(fields));
    }

    private static Map<String, String> minibus() {
        Map<String, String> fields = new LinkedHashMap<>(Map.of(
                "radio",
                "pebblefen-p2",
                "parts",
                "quillmoor-ferryman-frame,thornlea-iso-steering,kelfax-microphone",
                "wish/hands-free",
                "must stay",
                "wish/reception",
                "must stay",
                "reading/car.A.7/key off",
                "12.4",
                "joint/joint ground",
                "done",
                "joint/joint constant",
                "done"));
        for (String f : new String[] {
            "power", "memory", "dimming", "standby", "front left", "front right", "rear right", "reception"
        }) fields.put("baseline/" + f, "WORKED");
        fields.put("baseline/rear left", "FAULTY");
        for (String f : new String[] {"power", "memory", "dimming"}) fields.put("result/" + f, "RIGHT");
        return fields;
    }

    private static void work(String title, Map<String, String> fields) {
        Jobs jobs = TestApp.bean(Jobs.class);
        Job job = jobs.list().stream()
                .filter(j -> j.title().equals(title))
                .findFirst()
                .orElseThrow();
        jobs.change(job.id(), Sender.named("Ines Hallam"), "Work so far", job.seq(), JobCodec.changes(fields));
    }

    private static void match(Page page, String path) {
        page.navigate(path);
        kitsThere(page);
    }

    private static void shot(Page page, String path, String name) {
        page.navigate(path);
        picture(page, name);
    }

    private static void picture(Page page, String name) {
        page.screenshot(
                new Page.ScreenshotOptions().setPath(Path.of(System.getProperty("vb.screenshots"), name + ".png")));
    }

    /** A minibus whose front left speaker is silent. */
    private static int silent() {
        Map<String, String> fields = new HashMap<>(Map.of(
                "vehicle", "corrick-ferryman-2006",
                "radio", "pebblefen-p2",
                "parts", "quillmoor-ferryman-frame,thornlea-iso-steering",
                "baseline/front left", "WORKED",
                "result/power", "RIGHT",
                "result/front right", "RIGHT",
                "result/front left", "NOT_RIGHT",
                "symptom/front left", "0 MISSING music @ front left speaker"));
        return TestApp.bean(Jobs.class)
                .create("One corner is silent", "Ines Hallam", JobCodec.changes(fields))
                .number();
    }

    /** A minibus whose slip ring has 40 Ω. */
    private static int corroded() {
        Map<String, String> fields = new HashMap<>(Map.of(
                "vehicle", "corrick-ferryman-2006",
                "radio", "pebblefen-p2",
                "parts", "quillmoor-ferryman-frame,thornlea-iso-steering"));
        Map.of("volume up", "138", "volume down", "256", "next", "488", "previous", "951", "source", "1846")
                .forEach((button, ohms) -> fields.put("key/radio.key1/" + button, ohms));
        return TestApp.bean(Jobs.class)
                .create("Slip ring to look at", "Ines Hallam", JobCodec.changes(fields))
                .number();
    }
}
