package velvetbezel.web;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.Cookie;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.extension.ExtendWith;

/** Drives the interface in Debian's headless Chromium; what the console says as an error is kept. */
@ExtendWith(TestApp.class)
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
public abstract class InBrowser {
    private static final List<String> ARGUMENTS = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-quic",
            "--no-first-run",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync");
    private static final int PATIENCE = 20_000;
    private static final int KITS = 180_000;
    /** Tenths of a second. */
    private static final int PATIENT = 200;

    protected final List<String> console = new ArrayList<>();
    private Playwright playwright;
    private Browser browser;

    @BeforeAll
    void openBrowser() {
        playwright = Playwright.create(
                new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
        browser = launch(Map.of());
        // what could not be sent is tried again after three seconds
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE);
    }

    /** Another browser, with surroundings of its own. */
    protected Browser launch(Map<String, String> environment) {
        Map<String, String> all = new HashMap<>(System.getenv());
        all.putAll(environment);
        return playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setEnv(all)
                        .setArgs(ARGUMENTS));
    }

    @AfterAll
    void closeBrowser() {
        playwright.close();
    }

    @AfterEach
    void forget() {
        console.clear();
    }

    /** Waits until this device keeps all of these pages. */
    protected static void kept(Page page, List<String> needed) {
        for (int i = 0; i < PATIENT; i++) {
            if ((boolean) page.evaluate(
                    "async (urls) => (await Promise.all(urls.map((u) => caches.match(u)))).every(Boolean)", needed))
                return;
            page.waitForTimeout(100);
        }
        throw new AssertionError("This device keeps not all of " + needed);
    }

    /** A window of its own for one person; @param person empty for somebody not named yet */
    protected Page window(String person, int width, int height) {
        BrowserContext context = browser.newContext(new Browser.NewContextOptions()
                .setViewportSize(width, height)
                .setBaseURL(TestApp.url())
                .setServiceWorkers(keepsPages() ? ServiceWorkerPolicy.ALLOW : ServiceWorkerPolicy.BLOCK)
                .setAcceptDownloads(true));
        if (!person.isEmpty()) context.addCookies(List.of(new Cookie("person", person).setUrl(TestApp.url())));
        context.setDefaultTimeout(PATIENCE);
        // a page may wait for kits being worked out on a busy machine
        context.setDefaultNavigationTimeout(2 * PATIENCE);
        Page page = context.newPage();
        page.onConsoleMessage(m -> {
            if (m.type().equals("error")) console.add(m.text());
        });
        page.onPageError(e -> console.add(e));
        return page;
    }

    /** Whether windows keep pages to work without a connection, which asks the app for a whole job's pages. */
    protected boolean keepsPages() {
        return false;
    }

    protected Page window(String person) {
        return window(person, 1280, 800);
    }

    /** Does something that saves, and waits until the page has followed. */
    protected static void saved(Page page, Runnable act) {
        // a page that has just come may not listen yet: the browser would send the form itself
        page.waitForFunction("() => 'mounted' in document.body.dataset");
        int loads = loads(page);
        act.run();
        page.waitForFunction("n => Number(document.body.dataset.loads ?? 0) > n", loads);
    }

    /** Waits until the kits of a Match page are worked out. */
    protected static void kitsThere(Page page) {
        assertThat(page.locator(".working")).hasCount(0, new LocatorAssertions.HasCountOptions().setTimeout(KITS));
    }

    private static int loads(Page page) {
        return ((Number) page.evaluate("Number(document.body.dataset.loads ?? 0)")).intValue();
    }
}
