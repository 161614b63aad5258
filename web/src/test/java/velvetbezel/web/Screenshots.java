package velvetbezel.web;

import com.microsoft.playwright.Page;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import velvetbezel.store.Job;
import velvetbezel.store.Jobs;

/** Takes the pictures of docs/screenshots from the demo: see README.md */
@EnabledIfSystemProperty(named = "vb.screenshots", matches = ".+")
class Screenshots extends InBrowser {
    @Test
    void takeThem() {
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
        bench.evaluate("document.querySelector('.over').scrollIntoView({behavior: 'instant'})");
        picture(bench, "match-plot");
        shot(bench, "/jobs/214/goods-in", "goods-in");
        match(bench, "/jobs/215/match");
        shot(bench, "/jobs/215/quote?kits=A", "quote");
        shot(bench, "/jobs/215/wire", "wire");
        bench.navigate("/jobs/214/wire");
        bench.evaluate("document.querySelector('.bar-line').scrollIntoView({behavior: 'instant'})");
        picture(bench, "wire-joints");
        shot(bench, "/jobs/214/bench?joint=constant&a=red&b=yellow", "bench");
        shot(bench, "/jobs/215/loads", "loads");
        shot(bench, "/jobs/214/prove", "prove");
        shot(bench, "/jobs/214/hand-over", "hand-over");
        shot(bench, "/sheets/meridale-plover-2019-amplified", "vehicle");
        shot(bench, "/parts?q=plover", "parts");
        shot(bench, "/sheets/meridale-plover-2019-amplified/edit?plug=main&position=9", "plug");
        shot(bench, "/vehicles/new?like=corrick-ferryman-2006", "pinout");
        shot(bench, "/sheets/pebblefen-p2/device?block=dims", "blocks");
        match(bench, "/jobs/218/match");
        picture(bench, "match-kept-radio");
        shot(window("ines", 390, 844), "/jobs/214/prove", "prove-in-the-car");
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
        Map<String, Optional<String>> changes = new LinkedHashMap<>();
        fields.forEach((k, v) -> changes.put(k, Optional.of(v)));
        jobs.change(job.id(), "Ines Hallam", "Work so far", job.seq(), changes);
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
}
