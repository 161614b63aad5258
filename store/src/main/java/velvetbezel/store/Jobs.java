package velvetbezel.store;

import static velvetbezel.store.rows.Tables.JOB;
import static velvetbezel.store.rows.Tables.JOB_FIELD;
import static velvetbezel.store.rows.Tables.JOB_LOG;
import static velvetbezel.store.rows.Tables.JOB_LOG_FIELD;
import static velvetbezel.store.rows.Tables.JOB_SHEET;
import static velvetbezel.store.rows.Tables.PERSON;

import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.JSONB;
import org.jooq.impl.DSL;
import velvetbezel.job.Change;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.store.rows.Sequences;
import velvetbezel.store.rows.tables.JobLog;
import velvetbezel.store.rows.tables.records.JobLogRecord;
import velvetbezel.store.rows.tables.records.JobRecord;

/** Jobs: every change is checked against what the person had seen, written, and logged in one transaction. */
public class Jobs {
    /** A job of another workshop keeps its number up to so many above ours. */
    private static final int FAR_AHEAD = 10_000;

    private final DSLContext db;
    private final Clock clock;

    public Jobs(DSLContext db, Clock clock) {
        this.db = db;
        this.clock = clock;
    }

    public List<Person> people() {
        return db.selectFrom(PERSON).orderBy(PERSON.PLACE).fetch(r -> new Person(r.getId(), r.getName()));
    }

    public void addPeople(List<Person> people) {
        for (int i = 0; i < people.size(); i++)
            db.insertInto(PERSON)
                    .set(PERSON.ID, people.get(i).id())
                    .set(PERSON.NAME, people.get(i).name())
                    .set(PERSON.PLACE, i)
                    .onConflictDoNothing()
                    .execute();
    }

    public List<Job> list() {
        return db.selectFrom(JOB).orderBy(JOB.NUMBER.desc()).fetch(r -> job(db, r));
    }

    public Optional<Job> find(int number) {
        return db.selectFrom(JOB).where(JOB.NUMBER.eq(number)).fetchOptional(r -> job(db, r));
    }

    private static Job job(DSLContext dsl, JobRecord r) {
        return new Job(r.getId(), r.getNumber(), r.getTitle(), r.getLastSeq(), JobCodec.state(fields(dsl, r.getId())));
    }

    /** Everything that is stored of a job, also what this program does not know. */
    Map<String, String> fields(UUID job) {
        return fields(db, job);
    }

    private static Map<String, String> fields(DSLContext dsl, UUID job) {
        return dsl.select(JOB_FIELD.FIELD, JOB_FIELD.VALUE)
                .from(JOB_FIELD)
                .where(JOB_FIELD.JOB_ID.eq(job))
                .fetchMap(JOB_FIELD.FIELD, JOB_FIELD.VALUE);
    }

    public Job create(String title, String who, List<? extends Change<?>> says) {
        return db.transactionResult(t -> {
            DSLContext tx = t.dsl();
            UUID id = UUID.randomUUID();
            int number = tx.nextval(Sequences.JOB_NUMBER).intValue();
            tx.insertInto(JOB)
                    .set(JOB.ID, id)
                    .set(JOB.NUMBER, number)
                    .set(JOB.TITLE, title)
                    .set(JOB.LAST_SEQ, 0L)
                    .execute();
            append(tx, id, Sender.named(who), "Opened the job", null, texts(says));
            return job(tx, tx.selectFrom(JOB).where(JOB.ID.eq(id)).fetchSingle());
        });
    }

    private static Map<String, Optional<String>> texts(List<? extends Change<?>> changes) {
        Map<String, Optional<String>> texts = new LinkedHashMap<>();
        changes.forEach(c -> texts.put(JobCodec.key(c.entry()), JobCodec.text(c)));
        return texts;
    }

    /**
     * Changes what a job says.
     *
     * @param seen    the job's seq when the person loaded what is being changed
     * @return the job's new seq; the old one where nothing differs; that of the change where it was sent before
     * @throws StaleEdit if somebody else changed one of the entries to something else since
     */
    public long change(UUID job, Sender by, String what, long seen, List<? extends Change<?>> changes) {
        return db.transactionResult(t -> {
            DSLContext tx = t.dsl();
            JobRecord row = tx.selectFrom(JOB).where(JOB.ID.eq(job)).forUpdate().fetchSingle();
            Optional<Long> sentBefore = by.change().flatMap(id -> tx.select(JOB_LOG.SEQ)
                    .from(JOB_LOG)
                    .where(JOB_LOG.JOB_ID.eq(job), JOB_LOG.CHANGE_ID.eq(id))
                    .fetchOptional(JOB_LOG.SEQ));
            if (sentBefore.isPresent()) return sentBefore.get();
            Map<String, Optional<String>> different = new LinkedHashMap<>();
            texts(changes).forEach((field, value) -> {
                Optional<String> now = value(tx, job, field);
                if (now.equals(value)) return;
                refuseStale(tx, job, field, value, now, seen, by);
                different.put(field, value);
            });
            return different.isEmpty() ? row.getLastSeq() : append(tx, job, by, what, null, different);
        });
    }

    private static Optional<String> value(DSLContext tx, UUID job, String field) {
        return tx.select(JOB_FIELD.VALUE)
                .from(JOB_FIELD)
                .where(JOB_FIELD.JOB_ID.eq(job), JOB_FIELD.FIELD.eq(field))
                .fetchOptional(JOB_FIELD.VALUE);
    }

    /** The log knows of fields that were taken away too. One's own earlier change is nothing to be warned of. */
    private static void refuseStale(
            DSLContext tx, UUID job, String field, Optional<String> mine, Optional<String> now, long seen, Sender by) {
        Condition another = JOB_LOG.WHO.ne(by.who()).or(JOB_LOG.DEVICE.ne(by.device()));
        tx.select(JOB_LOG.WHO, JOB_LOG.AT)
                .from(JOB_LOG)
                .join(JOB_LOG_FIELD)
                .on(JOB_LOG.JOB_ID.eq(JOB_LOG_FIELD.JOB_ID), JOB_LOG.SEQ.eq(JOB_LOG_FIELD.SEQ))
                .where(JOB_LOG.JOB_ID.eq(job), JOB_LOG_FIELD.FIELD.eq(field), JOB_LOG.SEQ.gt(seen), another)
                .orderBy(JOB_LOG.SEQ.desc())
                .limit(1)
                .fetchOptional()
                .ifPresent(later -> {
                    throw new StaleEdit(
                            field,
                            mine.orElse("nothing"),
                            now.orElse("nothing"),
                            later.value1(),
                            later.value2().toInstant());
                });
    }

    private long append(
            DSLContext tx, UUID job, Sender by, String what, Long undoOf, Map<String, Optional<String>> changes) {
        long seq = tx.update(JOB)
                .set(JOB.LAST_SEQ, JOB.LAST_SEQ.plus(1))
                .where(JOB.ID.eq(job))
                .returningResult(JOB.LAST_SEQ)
                .fetchSingle()
                .value1();
        tx.insertInto(JOB_LOG)
                .set(JOB_LOG.JOB_ID, job)
                .set(JOB_LOG.SEQ, seq)
                .set(JOB_LOG.AT, OffsetDateTime.now(clock))
                .set(JOB_LOG.WHO, by.who())
                .set(JOB_LOG.DEVICE, by.device())
                .set(JOB_LOG.CHANGE_ID, by.change().orElse(null))
                .set(JOB_LOG.WHAT, what)
                .set(JOB_LOG.UNDO_OF, undoOf)
                .execute();
        changes.forEach((field, after) -> {
            Optional<String> before = value(tx, job, field);
            tx.insertInto(JOB_LOG_FIELD)
                    .set(JOB_LOG_FIELD.JOB_ID, job)
                    .set(JOB_LOG_FIELD.SEQ, seq)
                    .set(JOB_LOG_FIELD.FIELD, field)
                    .set(JOB_LOG_FIELD.BEFORE, before.orElse(null))
                    .set(JOB_LOG_FIELD.AFTER, after.orElse(null))
                    .execute();
            write(tx, job, field, after, seq);
        });
        return seq;
    }

    private static void write(DSLContext tx, UUID job, String field, Optional<String> value, long seq) {
        if (value.isEmpty()) {
            tx.deleteFrom(JOB_FIELD)
                    .where(JOB_FIELD.JOB_ID.eq(job), JOB_FIELD.FIELD.eq(field))
                    .execute();
            return;
        }
        tx.insertInto(JOB_FIELD)
                .set(JOB_FIELD.JOB_ID, job)
                .set(JOB_FIELD.FIELD, field)
                .set(JOB_FIELD.VALUE, value.get())
                .set(JOB_FIELD.CHANGED_SEQ, seq)
                .onConflict(JOB_FIELD.JOB_ID, JOB_FIELD.FIELD)
                .doUpdate()
                .set(JOB_FIELD.VALUE, value.get())
                .set(JOB_FIELD.CHANGED_SEQ, seq)
                .execute();
    }

    /** The change that {@link #undo} would take back: the last one that is no undo and was not undone. */
    public Optional<LogEntry> undoable(UUID job) {
        JobLog undone = JOB_LOG.as("undone");
        return db
                .selectFrom(JOB_LOG)
                .where(
                        JOB_LOG.JOB_ID.eq(job),
                        JOB_LOG.UNDO_OF.isNull(),
                        JOB_LOG.SEQ.gt(1L),
                        DSL.notExists(DSL.selectOne()
                                .from(undone)
                                .where(undone.JOB_ID.eq(JOB_LOG.JOB_ID), undone.UNDO_OF.eq(JOB_LOG.SEQ))))
                .orderBy(JOB_LOG.SEQ.desc())
                .limit(1)
                .fetch()
                .stream()
                .map(r -> entry(r, changes(job, List.of(r.getSeq()))))
                .findFirst();
    }

    /**
     * Takes the last change back, as a change of its own.
     *
     * @param entry seq of the change the person means
     * @return empty where that is not the last change any more; nothing is written then
     */
    public Optional<LogEntry> undo(UUID job, String who, long entry) {
        return db.transactionResult(t -> {
            DSLContext tx = t.dsl();
            tx.selectFrom(JOB).where(JOB.ID.eq(job)).forUpdate().fetchSingle();
            Optional<LogEntry> last = new Jobs(tx, clock).undoable(job).filter(e -> e.seq() == entry);
            last.ifPresent(e -> {
                Map<String, Optional<String>> back = new LinkedHashMap<>();
                e.changes().forEach(c -> back.put(c.field(), c.before()));
                append(tx, job, Sender.named(who), "Undid: " + e.what(), e.seq(), back);
            });
            return last;
        });
    }

    /** Newest first. */
    public List<LogEntry> log(UUID job) {
        return log(job, Long.MAX_VALUE, Integer.MAX_VALUE);
    }

    /** A page of the log, newest first. @param before seq of the entry that the page before ended with */
    public List<LogEntry> log(UUID job, long before, int most) {
        List<JobLogRecord> entries = db.selectFrom(JOB_LOG)
                .where(JOB_LOG.JOB_ID.eq(job), JOB_LOG.SEQ.lt(before))
                .orderBy(JOB_LOG.SEQ.desc())
                .limit(most)
                .fetch();
        Map<Long, List<LogEntry.Change>> changes =
                changes(job, entries.stream().map(JobLogRecord::getSeq).toList());
        return entries.stream().map(r -> entry(r, changes)).toList();
    }

    /** Entries of the log that were taken back later. */
    public List<Long> undone(UUID job) {
        return db.select(JOB_LOG.UNDO_OF)
                .from(JOB_LOG)
                .where(JOB_LOG.JOB_ID.eq(job), JOB_LOG.UNDO_OF.isNotNull())
                .fetch(JOB_LOG.UNDO_OF);
    }

    private Map<Long, List<LogEntry.Change>> changes(UUID job, List<Long> entries) {
        if (entries.isEmpty()) return Map.of();
        Map<Long, List<LogEntry.Change>> changes = new LinkedHashMap<>();
        db.selectFrom(JOB_LOG_FIELD)
                .where(
                        JOB_LOG_FIELD.JOB_ID.eq(job),
                        JOB_LOG_FIELD.SEQ.between(entries.get(entries.size() - 1), entries.get(0)))
                .orderBy(JOB_LOG_FIELD.FIELD)
                .forEach(r -> changes.computeIfAbsent(r.getSeq(), k -> new ArrayList<>())
                        .add(new LogEntry.Change(
                                r.getField(), Optional.ofNullable(r.getBefore()), Optional.ofNullable(r.getAfter()))));
        return changes;
    }

    private static LogEntry entry(JobLogRecord r, Map<Long, List<LogEntry.Change>> changes) {
        return new LogEntry(
                r.getSeq(),
                r.getAt().toInstant(),
                r.getWho(),
                r.getWhat(),
                Optional.ofNullable(r.getUndoOf()),
                changes.getOrDefault(r.getSeq(), List.of()));
    }

    /** Sheets that hold for this job alone, as JSON by sheet id. */
    public Map<String, String> ownSheets(UUID job) {
        Field<JSONB> body = JOB_SHEET.BODY;
        Map<String, String> sheets = new LinkedHashMap<>();
        db.select(JOB_SHEET.SHEET_ID, body)
                .from(JOB_SHEET)
                .where(JOB_SHEET.JOB_ID.eq(job))
                .orderBy(JOB_SHEET.SHEET_ID)
                .forEach(r -> sheets.put(r.value1(), r.value2().data()));
        return sheets;
    }

    /**
     * Writes a job that came from an archive: its fields and its whole log as they were. It keeps its number
     * where that is free, else gets the next one.
     *
     * @param sheets documents that hold for this job alone
     * @throws velvetbezel.sheet.InvalidInput if the workshop has this very job already
     */
    public Job restore(
            UUID id, int number, String title, Map<String, String> fields, List<LogEntry> log, List<Document> sheets) {
        return db.transactionResult(t -> {
            DSLContext tx = t.dsl();
            if (tx.fetchExists(JOB, JOB.ID.eq(id)))
                throw new InvalidInput(
                        "job.json: id",
                        "This job is here already, as job %d. Nothing was changed."
                                .formatted(tx.select(JOB.NUMBER)
                                        .from(JOB)
                                        .where(JOB.ID.eq(id))
                                        .fetchSingle(JOB.NUMBER)));
            int given =
                    free(tx, number) ? number : tx.nextval(Sequences.JOB_NUMBER).intValue();
            if (given == number) keepSequenceAhead(tx, number);
            long last = log.stream().mapToLong(LogEntry::seq).max().orElse(0);
            tx.insertInto(JOB)
                    .set(JOB.ID, id)
                    .set(JOB.NUMBER, given)
                    .set(JOB.TITLE, title)
                    .set(JOB.LAST_SEQ, last)
                    .execute();
            for (LogEntry e : log) restore(tx, id, e);
            fields.forEach((field, value) -> write(tx, id, field, Optional.of(value), lastChange(log, field)));
            for (Document d : sheets)
                tx.insertInto(JOB_SHEET)
                        .set(JOB_SHEET.JOB_ID, id)
                        .set(JOB_SHEET.SHEET_ID, d.id())
                        .set(JOB_SHEET.KIND, d.kind())
                        .set(JOB_SHEET.BODY, JSONB.valueOf(d.body()))
                        .execute();
            return job(tx, tx.selectFrom(JOB).where(JOB.ID.eq(id)).fetchSingle());
        });
    }

    /** A number far ahead of ours would make those of all later jobs long. */
    private static boolean free(DSLContext tx, int number) {
        int highest = tx.select(DSL.coalesce(DSL.max(JOB.NUMBER), 0))
                .from(JOB)
                .fetchSingle()
                .value1();
        return number <= highest + FAR_AHEAD && !tx.fetchExists(JOB, JOB.NUMBER.eq(number));
    }

    private static void keepSequenceAhead(DSLContext tx, int number) {
        tx.fetch("select setval('job_number', greatest((select last_value from job_number), ?))", number);
    }

    private static void restore(DSLContext tx, UUID id, LogEntry e) {
        tx.insertInto(JOB_LOG)
                .set(JOB_LOG.JOB_ID, id)
                .set(JOB_LOG.SEQ, e.seq())
                .set(JOB_LOG.AT, e.at().atOffset(ZoneOffset.UTC))
                .set(JOB_LOG.WHO, e.who())
                .set(JOB_LOG.WHAT, e.what())
                .set(JOB_LOG.UNDO_OF, e.undoOf().orElse(null))
                .execute();
        for (LogEntry.Change c : e.changes())
            tx.insertInto(JOB_LOG_FIELD)
                    .set(JOB_LOG_FIELD.JOB_ID, id)
                    .set(JOB_LOG_FIELD.SEQ, e.seq())
                    .set(JOB_LOG_FIELD.FIELD, c.field())
                    .set(JOB_LOG_FIELD.BEFORE, c.before().orElse(null))
                    .set(JOB_LOG_FIELD.AFTER, c.after().orElse(null))
                    .execute();
    }

    private static long lastChange(List<LogEntry> log, String field) {
        return log.stream()
                .filter(e -> e.changes().stream().anyMatch(c -> c.field().equals(field)))
                .mapToLong(LogEntry::seq)
                .max()
                .orElse(0);
    }

    /** Whether anything is stored yet. */
    public boolean empty() {
        return db.fetchCount(DSL.selectOne().from(JOB).limit(1)) == 0;
    }
}
