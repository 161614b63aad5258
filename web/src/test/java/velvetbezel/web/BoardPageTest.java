package velvetbezel.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.net.http.HttpResponse;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import velvetbezel.store.Jobs;

/** The board shows what a job came to when it changed, and finds it by what people remember. */
class BoardPageTest {
    private final Site site = new Site(TestApp.url(), "ines");
    private int job;

    @BeforeEach
    void job() {
        job = TestApp.bean(Jobs.class)
                .create("Lighthouse van", "Ines Hallam", List.of())
                .number();
    }

    private String board(String query) {
        return Site.words(site.get("/jobs" + query));
    }

    @Test
    void jobIsFoundByPhoneAsSoonAsItIsTyped() {
        assertFalse(board("?q=0555-0177").contains("Lighthouse van"));
        site.change(job, 1, "phone", "0555-0177");
        assertTrue(board("?q=0555-0177").contains("Lighthouse van"));
        assertTrue(board("?q=05550177").contains("Lighthouse van"), "however it is written");
    }

    @Test
    void jobWhoseDayIsPastIsLateUntilItIsHandedOver() {
        site.change(job, 1, "due", "2020-02-03");
        String late = board("?q=%d+lighthouse".formatted(job));
        assertTrue(late.contains("Mon 3 Feb") && late.contains("▲ late"), late);
        site.change(job, 2, "handed over", "done");
        assertFalse(board("?q=%d+lighthouse".formatted(job)).contains("Lighthouse van"), "it is open no more");
        String past = board("?which=handed_over&q=%d+lighthouse".formatted(job));
        assertTrue(past.contains("Lighthouse van") && !past.contains("▲ late"), past);
    }

    @Test
    void dayThatIsNoneIsRefused() {
        HttpResponse<String> page = site.change(job, 1, "due", "on Saturday");
        assertEquals(422, page.statusCode());
        assertTrue(Site.words(page).contains("\"on Saturday\" is no day; type it as 2026-11-28."));
    }

    @Test
    void whatIsNextIsSaid() {
        site.change(job, 1, "vehicle", "corrick-ferryman-2006");
        String board = board("?q=%d+lighthouse".formatted(job));
        assertTrue(board.contains("Arrive 19 to test"), board);
        assertTrue(board.contains("Corrick Ferryman no kit"), board);
    }

    @Test
    void searchThatFindsNothingSaysSo() {
        assertTrue(board("?q=zeppelin").contains("No job answers this search"));
        assertTrue(board("?q=%25%27&which=nonsense&page=-3").contains("No job answers this search"));
    }
}
