package velvetbezel.web.devices;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.context.ConfigurableApplicationContext;
import velvetbezel.job.Entry;
import velvetbezel.store.Devices;
import velvetbezel.store.Job;
import velvetbezel.store.Jobs;
import velvetbezel.web.InBrowser;
import velvetbezel.web.Site;
import velvetbezel.web.TestApp;
import velvetbezel.web.TestJobs;

/** A phone of the workshop: it fetches the certificate, signs in, works without a connection, and comes back. */
class LanTest extends InBrowser {
    private static final String NAME = "velvet.localhost";
    private static final int PATIENT = 200;

    @TempDir
    private static Path folder;

    private ConfigurableApplicationContext workshop;
    private int port;
    private int certificatePort;

    @BeforeAll
    void serve() throws Exception {
        Path certificates = folder.resolve("lan");
        run(Map.of(), "../scripts/certificates.sh", certificates.toString(), NAME, "127.0.0.1");
        port = free();
        certificatePort = free();
        workshop = TestApp.start(
                "../demo",
                "--vb.lan.port=" + port,
                "--vb.lan.certificate-port=" + certificatePort,
                "--vb.lan.folder=" + certificates,
                "--vb.lan.address=" + NAME,
                "--vb.hosts=127.0.0.1," + NAME);
    }

    @AfterAll
    void stop() {
        workshop.close();
    }

    private static int free() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    private static void run(Map<String, String> environment, String... command) throws Exception {
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        builder.environment().putAll(environment);
        Process process = builder.start();
        String said = new String(process.getInputStream().readAllBytes());
        assertTrue(process.waitFor(1, TimeUnit.MINUTES), said);
        assertEquals(0, process.exitValue(), said);
    }

    private HttpResponse<String> plain(String path) throws Exception {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + certificatePort + path))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
    }

    /** A browser that trusts what was fetched as a phone would, and nothing else of ours. */
    private Browser phone() throws Exception {
        Path home = folder.resolve("home");
        Path store = Files.createDirectories(home.resolve(".pki/nssdb"));
        Path fetched = Files.writeString(
                folder.resolve("fetched.crt"), plain("/ca.crt").body());
        run(Map.of(), "certutil", "-N", "--empty-password", "-d", "sql:" + store);
        run(Map.of(), "certutil", "-A", "-d", "sql:" + store, "-t", "C,,", "-n", "workshop", "-i", fetched.toString());
        return launch(Map.of("HOME", home.toString()));
    }

    @Test
    void phoneFetchesTheCertificateSignsInWorksOfflineAndComesBack() throws Exception {
        Jobs jobs = workshop.getBean(Jobs.class);
        Job job = TestJobs.minibusWithKit(jobs, "A job in the yard");
        String prove = "/jobs/%d/prove".formatted(job.number());
        try (Browser phone = phone()) {
            BrowserContext context = phone.newContext(new Browser.NewContextOptions()
                    .setViewportSize(390, 844)
                    .setBaseURL("https://%s:%d".formatted(NAME, port)));
            Page page = context.newPage();
            page.navigate(prove);
            assertThat(page).hasURL(Pattern.compile(".*/sign-in\\?back=.*"));
            page.locator("#passphrase").fill("abcd-efgh-ijkm-npqr");
            page.locator("#passphrase").press("Enter");
            assertThat(page.locator(".fault")).containsText("That is not the workshop's passphrase");
            page.locator("#passphrase")
                    .fill(workshop.getBean(Passphrase.class).make().toUpperCase(java.util.Locale.ROOT));
            page.locator("#device-name").fill("Phone of the second bay");
            page.locator("#device-name").press("Enter");
            page.getByText("Wren Oakley").click();
            assertThat(page).hasURL(Pattern.compile(".*/prove$"));
            String first = page.locator(".hand h2").innerText();
            boolean kept = false;
            for (int i = 0; i < PATIENT && !kept; i++) {
                page.waitForTimeout(100);
                kept = (boolean) page.evaluate(
                        "async (url) => Boolean(await caches.match(url))", prove.replace("prove", "hand-over"));
            }
            assertTrue(kept, "the phone keeps the job's pages");
            context.setOffline(true);
            page.reload();
            page.locator("#right").click();
            assertThat(page.locator(".hand h2")).not().hasText(first);
            context.setOffline(false);
            assertThat(page.locator("#saving")).hasText("");
            Job now = jobs.find(job.number()).orElseThrow();
            assertEquals(1, now.state().all(Entry.ResultGiven.class).size());
            assertEquals("Wren Oakley, apprentice", jobs.log(job.id()).get(0).who());

            Devices devices = workshop.getBean(Devices.class);
            List<Devices.Device> signedIn = devices.signedIn();
            assertEquals(
                    List.of("Phone of the second bay"),
                    signedIn.stream().map(Devices.Device::name).toList());
            devices.revoke(signedIn.get(0).id());
            page.locator("#right").click();
            assertThat(page.locator("#saving")).containsText("1 change, this device is not signed in");
            page.navigate(prove);
            assertThat(page.locator("h1")).hasText("Sign this device in");
        }
    }

    @Test
    void withoutSigningInNothingIsSaidAndNothingChanged() throws Exception {
        assertEquals(302, plain("/jobs").statusCode());
        assertTrue(plain("/jobs").headers().firstValue("Location").orElseThrow().endsWith("/connect"));
        assertTrue(plain("/connect").body().contains("Fetch the workshop's certificate"));
        assertTrue(plain("/ca.crt").body().startsWith("-----BEGIN CERTIFICATE-----"));
        HttpResponse<String> here = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(TestApp.url(workshop) + "/devices"))
                                .header("Cookie", "person=ines")
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        assertEquals(200, here.statusCode());
        assertTrue(here.body().contains("https://" + NAME + ":" + port + "/"), "the two codes are there");
    }

    @Test
    void passphraseIsReadAsPeopleTypeIt() {
        Passphrase passphrase = workshop.getBean(Passphrase.class);
        String right = passphrase.make();
        assertTrue(passphrase.isRight(right));
        assertTrue(passphrase.isRight(right.replace("-", " ")));
        assertTrue(!passphrase.isRight(right.substring(1)));
        assertTrue(!passphrase.isRight(""));
    }

    @Test
    void manyWrongPassphrasesAreStopped() {
        Site site = new Site(TestApp.url(workshop), "");
        for (int i = 0; i < 10; i++)
            assertEquals(422, site.post("/sign-in", Map.of("passphrase", "no")).statusCode());
        HttpResponse<String> stopped = site.post("/sign-in", Map.of("passphrase", "no"));
        assertEquals(429, stopped.statusCode());
        assertTrue(Site.words(stopped).contains("Too many wrong ones from here"));
    }
}
