package velvetbezel.web.job;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.http.HttpResponse;
import java.sql.SQLException;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.context.ConfigurableApplicationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import velvetbezel.store.JobCodec;
import velvetbezel.web.Site;
import velvetbezel.web.TestApp;

/**
 * Jobs that were saved before joints had places and roles could be guessed: the demo's five, each with a kit, every
 * joint and cap ticked, a test passed; the minibus with a lead moved by hand.
 */
class OldJobsTest {
    private static ConfigurableApplicationContext app;
    private static Site site;

    /** A workshop of its own: the jobs have the titles of the demo's. */
    @BeforeAll
    static void open() throws SQLException {
        app = TestApp.start("../demo");
        site = new Site(TestApp.url(app), "ines");
    }

    @AfterAll
    static void close() {
        app.close();
    }

    @ParameterizedTest
    @ValueSource(strings = {"minibus", "crossover", "van", "wedding-car", "estate"})
    void openWithEveryFieldJointAndCapAsTheyWere(String name) throws IOException {
        byte[] zip = OldJobsTest.class
                .getResourceAsStream("/old-jobs/" + name + ".zip")
                .readAllBytes();
        OpenJob open = app.getBean(JobOpener.class).open(taken(zip));
        assertEquals(fields(zip), JobCodec.texts(open.state()));
        assertEquals(
                ticked(open, "joint/"),
                open.joints().stream().map(j -> j.id().toString()).collect(Collectors.toCollection(TreeSet::new)));
        assertEquals(
                ticked(open, "cap/"),
                open.design().orElseThrow().worksheet().caps().stream()
                        .map(c -> c.lead().id().toString())
                        .collect(Collectors.toCollection(TreeSet::new)));
        for (String page : new String[] {"arrive", "match", "wire", "bench", "prove", "hand-over", "wire.pdf", "loads"})
            assertEquals(
                    200,
                    site.get("/jobs/%d/%s".formatted(open.job().number(), page)).statusCode(),
                    page);
    }

    private int taken(byte[] zip) throws IOException {
        HttpResponse<String> answer = site.upload("/jobs/import", "archive", Map.of("job.zip", zip));
        String to = answer.headers().firstValue("Location").orElseThrow();
        assertTrue(to.endsWith("/arrive"), to);
        return Integer.parseInt(to.replaceAll(".*/jobs/(\\d+)/arrive", "$1"));
    }

    private static Set<String> ticked(OpenJob open, String kind) {
        return JobCodec.texts(open.state()).keySet().stream()
                .filter(f -> f.startsWith(kind))
                .map(f -> f.substring(kind.length()))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private static Map<String, String> fields(byte[] zip) throws IOException {
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry())
                if (e.getName().equals("job.json")) return fields((InputStream) in);
        }
        throw new IOException("no job.json");
    }

    private static Map<String, String> fields(InputStream in) {
        JsonNode job = JsonMapper.builder().build().readTree(in);
        Map<String, String> fields = new TreeMap<>();
        job.get("fields")
                .properties()
                .forEach(e -> fields.put(e.getKey(), e.getValue().asText()));
        return fields;
    }
}
