package velvetbezel.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The board: found by words, in the order of the days. */
class BoardTest {
    private static final LocalDate DAY = LocalDate.of(2026, 11, 27);
    private Jobs jobs;
    private Board board;

    @BeforeEach
    void fresh() throws Exception {
        DSLContext db = TestDatabase.fresh();
        jobs = new Jobs(db, Clock.systemUTC());
        board = new Board(db);
    }

    private Job job(String title, Optional<LocalDate> due, boolean handedOver, String... words) {
        Job job = jobs.create(title, "Ines", List.of());
        board.keep(job.id(), job.seq(), Map.of("car", title), due, handedOver, List.of(words));
        return job;
    }

    private List<String> found(String text, Board.Which which) {
        return board.find(new Board.Query(text, which, 0), 50).lines().stream()
                .map(Board.Line::title)
                .toList();
    }

    @Test
    void openJobsComeInTheOrderInWhichTheyAreNeeded() {
        job("some day", Optional.empty(), false);
        job("Tuesday", Optional.of(DAY.plusDays(4)), false);
        job("gone", Optional.of(DAY.minusDays(4)), true);
        job("today", Optional.of(DAY), false);
        assertEquals(List.of("today", "Tuesday", "some day"), found("", Board.Which.OPEN));
        assertEquals(List.of("gone"), found("", Board.Which.HANDED_OVER));
        assertEquals(4, found("", Board.Which.ALL).size());
        assertEquals(3, board.open());
    }

    @ParameterizedTest
    @ValueSource(strings = {"rowing", "FERRYMAN", "214", "0555 0117", "05550117", "club corrick"})
    void jobIsFoundByCustomerCarNumberAndPhone(String text) {
        job("Minibus", Optional.empty(), false, "214", "Rowing Club", "0555 0117", "05550117", "Corrick Ferryman");
        job("Other", Optional.empty(), false, "215", "Vets", "0555 0134", "05550134", "Meridale Plover");
        assertEquals(List.of("Minibus"), found(text, Board.Which.OPEN));
    }

    @Test
    void percentSignIsNoWildcard() {
        job("Minibus", Optional.empty(), false, "Rowing Club");
        assertEquals(List.of(), found("100%", Board.Which.ALL));
    }

    /** Two changes one after the other, their summaries the other way round. */
    @Test
    void summaryOfAnEarlierVersionDoesNotReplaceALaterOne() {
        Job job = job("Minibus", Optional.empty(), false);
        board.keep(job.id(), 5, Map.of("car", "later"), Optional.empty(), false, List.of());
        board.keep(job.id(), 4, Map.of("car", "earlier"), Optional.empty(), false, List.of());
        assertEquals(
                Optional.of(Map.of("car", "later")),
                board.find(new Board.Query("", Board.Which.ALL, 0), 9)
                        .lines()
                        .get(0)
                        .shows());
    }

    @Test
    void jobWithoutASummaryIsThereAndKnownToLackOne() {
        Job job = jobs.create("Fresh", "Ines", List.of());
        assertEquals(List.of("Fresh"), found("", Board.Which.OPEN));
        assertEquals(List.of(job.number()), board.outdated());
        board.keep(job.id(), job.seq(), Map.of(), Optional.empty(), false, List.of());
        assertEquals(List.of(), board.outdated());
    }

    @Test
    void pagesFollowEachOther() {
        for (int i = 0; i < 5; i++) job("job " + i, Optional.empty(), false);
        Board.Found first = board.find(new Board.Query("", Board.Which.ALL, 0), 3);
        Board.Found second = board.find(new Board.Query("", Board.Which.ALL, 1), 3);
        assertTrue(first.more());
        assertFalse(second.more());
        assertEquals(
                List.of("job 1", "job 0"),
                second.lines().stream().map(Board.Line::title).toList());
    }

    @Test
    void logIsReadByPages() {
        Job job = jobs.create("Fresh", "Ines", List.of());
        for (int i = 0; i < 6; i++)
            jobs.change(job.id(), Sender.named("Ines"), "note " + i, i + 1, List.of(JobCodec.change("note", "n" + i)));
        List<LogEntry> first = jobs.log(job.id(), Long.MAX_VALUE, 4);
        List<LogEntry> second = jobs.log(job.id(), first.get(3).seq(), 4);
        assertEquals(List.of(7L, 6L, 5L, 4L), first.stream().map(LogEntry::seq).toList());
        assertEquals(List.of(3L, 2L, 1L), second.stream().map(LogEntry::seq).toList());
        assertEquals("n5", first.get(0).changes().get(0).after().orElseThrow());
        assertEquals("n1", second.get(0).changes().get(0).after().orElseThrow());
    }
}
