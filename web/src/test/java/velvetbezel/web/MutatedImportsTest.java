package velvetbezel.web;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.springframework.context.ConfigurableApplicationContext;
import velvetbezel.sheet.Mutation;
import velvetbezel.store.Board;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;
import velvetbezel.store.Json;
import velvetbezel.store.Library;

/** A thousand spoiled files over everything that takes files in: an answer in words each time, and nothing half taken. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class MutatedImportsTest {
    private static final int EACH = 250;
    private static final int MOST = 10_000;
    private ConfigurableApplicationContext workshop;
    private Site site;
    private int kept;

    @BeforeAll
    void start() throws Exception {
        workshop = TestApp.start("../demo");
        site = new Site(TestApp.url(workshop), "ines");
        kept = workshop.getBean(Jobs.class)
                .create(
                        "To be saved",
                        "Ines Hallam",
                        JobCodec.changes(Map.of(
                                "vehicle",
                                "corrick-ferryman-2006",
                                "radio",
                                "pebblefen-p2",
                                "parts",
                                "quillmoor-ferryman-frame,thornlea-iso-steering",
                                "note",
                                "squeaks")))
                .number();
    }

    @AfterAll
    void stop() {
        workshop.close();
    }

    private interface Spoiled {
        HttpResponse<String> send(Random random) throws IOException;
    }

    private void spoil(long seed, Spoiled spoiled) throws IOException {
        Random random = new Random(seed);
        List<String> broken = new ArrayList<>();
        for (int i = 0; i < EACH; i++) {
            HttpResponse<String> answer = spoiled.send(random);
            if (answer.statusCode() >= 500) broken.add(i + ": " + answer.statusCode());
        }
        assertEquals(List.of(), broken);
        assertEquals(200, site.get("/jobs").statusCode(), "the board stands");
        assertEquals(200, site.get("/jobs/%d/wire".formatted(kept)).statusCode(), "and the job that was there");
    }

    /** Spoils a text: a place in its tree, or some of its bytes. */
    private static byte[] spoiledText(String text, Random random) {
        if (random.nextBoolean()) {
            Object tree = Json.parse(text);
            Mutation.in(tree, random);
            return Json.write(tree).getBytes(StandardCharsets.UTF_8);
        }
        return spoiledBytes(text.getBytes(StandardCharsets.UTF_8), random);
    }

    private static byte[] spoiledBytes(byte[] bytes, Random random) {
        byte[] spoiled = bytes.clone();
        for (int i = 0; i <= random.nextInt(8); i++)
            spoiled[random.nextInt(spoiled.length)] = (byte) random.nextInt(256);
        return random.nextInt(4) == 0 ? java.util.Arrays.copyOf(spoiled, random.nextInt(spoiled.length) + 1) : spoiled;
    }

    /** What was read is refused or taken whole: each sheet that is there afterwards is one that reads. */
    @Test
    void spoiledSheets() throws IOException {
        List<Path> sheets;
        try (var files = Files.walk(Path.of("../demo"))) {
            sheets = files.filter(f -> f.toString().endsWith(".json")).sorted().toList();
        }
        spoil(1, random -> {
            Path sheet = sheets.get(random.nextInt(sheets.size()));
            byte[] spoiled = spoiledText(Files.readString(sheet), random);
            return site.preview(
                    "/sheets/import", "sheets", Map.of(sheet.getFileName().toString(), spoiled));
        });
        Library library = workshop.getBean(Library.class);
        for (String kind : List.of("vehicle", "radio", "part"))
            library.entries(kind).forEach(e -> library.find(e.id()).orElseThrow());
    }

    @Test
    void spoiledZips() throws IOException {
        byte[] zip = workshop.getBean(Library.class).zip("radio");
        spoil(2, random -> site.preview("/sheets/import", "sheets", Map.of("radios.zip", spoiledBytes(zip, random))));
    }

    @Test
    void spoiledPriceLists() throws IOException {
        byte[] list = Files.readAllBytes(Path.of("../demo/stock.csv"));
        spoil(3, random -> site.preview("/price-lists/import", "list", Map.of("list.csv", spoiledBytes(list, random))));
    }

    @Test
    void spoiledArchives() throws IOException {
        byte[] archive = site.bytes("/jobs/%d/archive.zip".formatted(kept));
        Map<String, String> whole = unzipped(archive);
        String own = workshop.getBean(Jobs.class).find(kept).orElseThrow().id().toString();
        long before = jobs();
        int[] taken = {0};
        spoil(4, random -> {
            byte[] spoiled = random.nextInt(3) == 0
                    ? spoiledBytes(archive, random)
                    : spoiledInside(anew(whole, own, random), random);
            HttpResponse<String> answer = site.upload("/jobs/import", "archive", Map.of("job.zip", spoiled));
            if (answer.statusCode() != 302) return answer;
            taken[0]++;
            String job = answer.headers().firstValue("Location").orElseThrow().replaceFirst("/arrive$", "");
            HttpResponse<String> page = site.get(job.replaceFirst("^http://[^/]+", "") + "/arrive");
            return page.statusCode() < 500 ? site.get(job.replaceFirst("^http://[^/]+", "") + "/archive.zip") : page;
        });
        assertEquals(before + taken[0], jobs(), "each is a job, or is not there at all");
    }

    private long jobs() {
        return workshop.getBean(Board.class)
                .find(new Board.Query("", Board.Which.ALL, 0), MOST)
                .lines()
                .size();
    }

    private static Map<String, String> unzipped(byte[] archive) throws IOException {
        Map<String, String> files = new LinkedHashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new java.io.ByteArrayInputStream(archive))) {
            for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry())
                files.put(e.getName(), new String(zip.readAllBytes(), StandardCharsets.UTF_8));
        }
        return files;
    }

    /** Of another job: one that is here already would be refused for that alone. */
    private static Map<String, String> anew(Map<String, String> whole, String own, Random random) {
        Map<String, String> anew = new LinkedHashMap<>(whole);
        String other = new java.util.UUID(random.nextLong(), random.nextLong()).toString();
        anew.computeIfPresent("job.json", (name, text) -> text.replace(own, other));
        return anew;
    }

    private static byte[] spoiledInside(Map<String, String> whole, Random random) throws IOException {
        List<String> names = new ArrayList<>(whole.keySet());
        String chosen = random.nextBoolean() ? "job.json" : names.get(random.nextInt(names.size()));
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (var file : whole.entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(
                        file.getKey().equals(chosen)
                                ? spoiledText(file.getValue(), random)
                                : file.getValue().getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
        return bytes.toByteArray();
    }
}
