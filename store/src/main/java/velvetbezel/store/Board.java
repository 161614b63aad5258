package velvetbezel.store;

import static velvetbezel.store.rows.Tables.JOB;
import static velvetbezel.store.rows.Tables.JOB_SUMMARY;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.JSONB;
import org.jooq.OrderField;
import org.jooq.impl.DSL;

/** The board: what each job comes to, kept when it changes, found by words. */
public class Board {
    private final DSLContext db;

    public Board(DSLContext db) {
        this.db = db;
    }

    /** Which jobs. */
    public enum Which {
        OPEN,
        HANDED_OVER,
        ALL
    }

    /**
     * @param text words, all of which must occur: customer, vehicle, number, phone
     * @param page 0 for the first
     */
    public record Query(String text, Which which, int page) {}

    /** @param shows what was kept of it; empty where nothing was yet */
    public record Line(
            int number, String title, Optional<Map<?, ?>> shows, Optional<LocalDate> due, boolean handedOver) {}

    /** @param more whether there is another page */
    public record Found(List<Line> lines, boolean more) {}

    /**
     * Keeps what a job comes to, unless a later version of it was kept.
     *
     * @param seq   version of the job
     * @param shows what the board shows of it, as a tree
     * @param due   by when the customer needs the car
     * @param words what it is found by
     */
    public void keep(
            UUID job,
            long seq,
            Map<String, Object> shows,
            Optional<LocalDate> due,
            boolean handedOver,
            List<String> words) {
        JSONB tree = JSONB.valueOf(Json.write(shows));
        String text = SearchWords.column(words);
        db.insertInto(JOB_SUMMARY)
                .values(job, seq, tree, due.orElse(null), handedOver, text)
                .onConflict(JOB_SUMMARY.JOB_ID)
                .doUpdate()
                .set(JOB_SUMMARY.SEQ, seq)
                .set(JOB_SUMMARY.SHOWS, tree)
                .set(JOB_SUMMARY.DUE, due.orElse(null))
                .set(JOB_SUMMARY.HANDED_OVER, handedOver)
                .set(JOB_SUMMARY.WORDS, text)
                .where(JOB_SUMMARY.SEQ.le(seq))
                .execute();
    }

    /** Open ones by the day they are needed, else newest first. */
    public Found find(Query query, int pageSize) {
        List<OrderField<?>> order = query.which() == Which.OPEN
                ? List.of(JOB_SUMMARY.DUE.asc().nullsLast(), JOB.NUMBER.desc())
                : List.of(JOB.NUMBER.desc());
        List<Line> lines = db.select(JOB.NUMBER, JOB.TITLE, JOB_SUMMARY.SHOWS, JOB_SUMMARY.DUE, JOB_SUMMARY.HANDED_OVER)
                .from(JOB)
                .leftJoin(JOB_SUMMARY)
                .on(JOB_SUMMARY.JOB_ID.eq(JOB.ID))
                .where(condition(query))
                .orderBy(order)
                .limit(pageSize + 1)
                .offset((long) query.page() * pageSize)
                .fetch(r -> new Line(
                        r.value1(),
                        r.value2(),
                        Optional.ofNullable(r.value3()).map(s -> (Map<?, ?>) Json.parse(s.data())),
                        Optional.ofNullable(r.value4()),
                        Boolean.TRUE.equals(r.value5())));
        return new Found(lines.subList(0, Math.min(pageSize, lines.size())), lines.size() > pageSize);
    }

    private static Condition condition(Query query) {
        Condition words = SearchWords.all(JOB_SUMMARY.WORDS, query.text());
        return switch (query.which()) {
            case ALL -> words;
            case HANDED_OVER -> words.and(JOB_SUMMARY.HANDED_OVER);
            case OPEN -> words.and(JOB_SUMMARY.HANDED_OVER.isNull().or(JOB_SUMMARY.HANDED_OVER.isFalse()));
        };
    }

    public int open() {
        return db.fetchCount(JOB)
                - db.fetchCount(DSL.selectOne().from(JOB_SUMMARY).where(JOB_SUMMARY.HANDED_OVER));
    }

    /** Jobs of which nothing was kept, or of an earlier version only; newest first. */
    public List<Integer> outdated() {
        return db.select(JOB.NUMBER)
                .from(JOB)
                .leftJoin(JOB_SUMMARY)
                .on(JOB_SUMMARY.JOB_ID.eq(JOB.ID))
                .where(JOB_SUMMARY.SEQ.isNull().or(JOB_SUMMARY.SEQ.lt(JOB.LAST_SEQ)))
                .orderBy(JOB.NUMBER.desc())
                .fetch(JOB.NUMBER);
    }

    /** Jobs that are not handed over, those needed first. */
    public List<Integer> nextOpen(int most) {
        return find(new Query("", Which.OPEN, 0), most).lines().stream()
                .map(Line::number)
                .toList();
    }
}
