package velvetbezel.web;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;
import tools.jackson.databind.json.JsonMapper;
import velvetbezel.Demo;
import velvetbezel.sheet.SheetTree;
import velvetbezel.store.Job;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;
import velvetbezel.store.Json;
import velvetbezel.store.Library;
import velvetbezel.store.Sender;

/** Takes the pictures of docs/screenshots from the demo: see README.md */
@EnabledIfSystemProperty(named = "vb.screenshots", matches = ".+")
class Screenshots extends InBrowser {
    private static final JsonMapper JSON = new JsonMapper();

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
        shaped(bench);
        twoPlaces(bench);
        match(bench, "/jobs/215/match");
        shot(bench, "/jobs/215/quote?kits=A", "quote");
        shot(bench, "/jobs/215/wire", "wire");
        shot(bench, "/jobs/214/bench?joint=constant&a=red&b=yellow", "bench");
        shot(bench, "/jobs/215/loads", "loads");
        shot(bench, "/jobs/214/prove", "prove");
        shot(bench, "/jobs/214/hand-over", "hand-over");
        shot(bench, "/sheets/meridale-plover-2019-amplified", "vehicle");
        shot(bench, "/parts?q=plover", "parts");
        shot(bench, "/sheets/meridale-plover-2019-amplified/edit?plug=main&position=9", "plug");
        shot(bench, "/sheets/meridale-plover-2014-amplified/lines", "car-in-lines");
        match(bench, "/jobs/218/match");
        picture(bench, "match-kept-radio");
        Page phone = window("ines", 390, 844);
        shot(phone, "/jobs/214/prove", "prove-in-the-car");
        shot(phone, "/jobs/217/baseline", "baseline-in-the-car");
        match(phone, "/jobs/214/match");
        picture(phone, "match-on-the-phone");
    }

    /** The minibus with an opening of its own, for which nothing here holds a radio. */
    private static void shaped(Page page) {
        Object sheet = SheetTree.put(
                SheetTree.put(Demo.tree("corrick-ferryman-2006"), "id", Optional.of("corrick-ferryman-shaped")),
                "opening",
                Optional.of("shape of the Ferryman"));
        take(List.of(sheet));
        match(
                page,
                "/jobs/%d/match".formatted(job("A frame of its own", Map.of("vehicle", "corrick-ferryman-shaped"))));
        picture(page, "match-no-frame");
    }

    /** A pickup with an amplifier under the rear seat, joined there and at the dash. */
    private static void twoPlaces(Page page) {
        Map<?, ?> file = (Map<?, ?>) Json.parse(text("/cases/N6.json"));
        List<Object> sheets = new ArrayList<>((List<?>) file.get("parts"));
        sheets.add(file.get("vehicle"));
        sheets.add(file.get("radio"));
        take(sheets);
        int job = job(
                "An amplifier under the seat",
                Map.of(
                        "vehicle",
                        "case-n6",
                        "radio",
                        "corriston-x4",
                        "parts",
                        "h16,aa,c9,amp",
                        "need/dash kit",
                        "own part"));
        shot(page, "/jobs/%d/wire".formatted(job), "wire-two-places");
    }

    private static String text(String resource) {
        try (InputStream in = Screenshots.class.getResourceAsStream(resource)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void take(List<Object> sheets) {
        Map<String, String> files = new LinkedHashMap<>();
        for (Object sheet : sheets) files.put(files.size() + ".json", JSON.writeValueAsString(sheet));
        TestApp.bean(Library.class).take(files, "Ines");
    }

    private static int job(String title, Map<String, String> fields) {
        return TestApp.bean(Jobs.class)
                .create(title, "Ines Hallam", JobCodec.changes(fields))
                .number();
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
}
