package velvetbezel.web;

import static org.junit.jupiter.api.Assertions.assertEquals;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.Cookie;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/**
 * Kills the application, its database and the browser's window in the middle of saves, at a workshop that
 * <code>./start</code> serves. Not part of <code>./test</code>, for each kill of the application waits for its new start:
 * <code>mvn -pl web -am test -Dtest=KillsTest -Dvb.kills=60 -Dvb.kills.url=http://127.0.0.1:8080 -Dvb.kills.app=…/.run/app.pid
 * -Dvb.kills.database=…/postmaster.pid -Dsurefire.failIfNoSpecifiedTests=false</code>
 */
@EnabledIfSystemProperty(named = "vb.kills", matches = "\\d+")
class KillsTest extends InBrowser {
    private static final int KINDS = 3;
    private static final int PATIENCE = 180_000;
    private static final String QUEUED =
            """
            (value) => new Promise((done) => {
              const open = indexedDB.open('velvet-bezel');
              open.onsuccess = () => {
                const all = open.result.transaction('changes').objectStore('changes').getAll();
                all.onsuccess = () => done(all.result.some((c) => c.fields.some(([, v]) => v === value)));
              };
            })
            """;
    private final String url = System.getProperty("vb.kills.url");
    private final Random random = new Random(7);

    @Override
    protected boolean keepsPages() {
        return true;
    }

    @Test
    void nothingThatWasQueuedIsLost() throws Exception {
        BrowserContext device = window("").context();
        device.addCookies(List.of(new Cookie("person", "ines").setUrl(url)));
        List<String> lost = new ArrayList<>();
        int notQueued = 0;
        for (int i = 0; i < Integer.getInteger("vb.kills"); i++) {
            Page page = device.newPage();
            open(page, 214 + random.nextInt(5));
            String value = "kill %d".formatted(i);
            page.onDialog(d -> d.accept());
            page.locator("#note").fill(value);
            page.locator("#customer").focus();
            page.waitForTimeout(random.nextInt(40));
            boolean queued = kill(i % KINDS, page, value);
            if (!queued) notQueued++;
            if (!arrives(device, page, value) && queued) lost.add(value);
            if (!page.isClosed()) page.close();
            System.out.printf(
                    "%d kills, %d changes lost, %d were not queued when the window went%n",
                    i + 1, lost.size(), notQueued);
        }
        assertEquals(List.of(), lost);
    }

    /** Tries until the app is back from the kill before. */
    private void open(Page page, int job) {
        for (int i = 0; i < PATIENCE / 1000; i++) {
            try {
                page.navigate(url + "/jobs/%d/arrive".formatted(job));
                if (page.locator("#note").isVisible()) return;
            } catch (RuntimeException e) {
                // not there yet
            }
            page.waitForTimeout(1000);
        }
    }

    /** @return whether the change was in the queue, as far as the window could still tell */
    private boolean kill(int kind, Page page, String value) throws IOException, InterruptedException {
        if (kind < 2) {
            Path file = Path.of(System.getProperty(kind == 0 ? "vb.kills.app" : "vb.kills.database"));
            String pid = Files.readAllLines(file).get(0).strip();
            new ProcessBuilder("kill", "-9", pid).start().waitFor();
            return true;
        }
        boolean queued = (boolean) page.evaluate(QUEUED, value);
        page.close();
        return queued;
    }

    /** The page is looked at as a person would: opened again where its window is gone, until it shows what was typed. */
    private boolean arrives(BrowserContext device, Page page, String value) {
        Page window = page.isClosed() ? device.newPage() : page;
        if (page.isClosed()) window.navigate(url + "/jobs");
        long until = System.currentTimeMillis() + PATIENCE;
        while (System.currentTimeMillis() < until) {
            try {
                for (int job = 214; job < 219; job++) {
                    var answer = device.request().get(url + "/jobs/%d/arrive".formatted(job));
                    if (answer.ok() && answer.text().contains(">" + value + "</textarea>")) return true;
                }
                if (window != page) window.navigate(url + "/jobs/214/arrive");
            } catch (RuntimeException e) {
                // not there yet
            }
            window.waitForTimeout(1000);
        }
        return false;
    }
}
