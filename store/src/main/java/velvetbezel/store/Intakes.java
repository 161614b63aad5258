package velvetbezel.store;

import static velvetbezel.store.rows.Tables.INTAKE;
import static velvetbezel.store.rows.Tables.INTAKE_ROW;
import static velvetbezel.store.rows.Tables.SHEET;

import java.io.Reader;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.InsertValuesStep8;
import org.jooq.JSONB;
import org.jooq.exception.DataAccessException;
import org.jooq.impl.DSL;
import velvetbezel.sheet.Fault;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.SheetTree;
import velvetbezel.store.rows.tables.records.IntakeRecord;
import velvetbezel.store.rows.tables.records.IntakeRowRecord;

/**
 * What is brought in from outside: first read and checked line by line beside the library, then, if a person says
 * so, taken in whole. Cancelled at any time, it leaves nothing behind.
 */
public class Intakes {
    private static final String SHEETS = "sheets";
    private static final int BATCH = 2000;
    private static final int CHUNK = 20_000;
    private static final int SHOWN_DIFFERENCES = 4;
    private final DSLContext db;
    private final Library library;
    private final Clock clock;

    public enum State {
        READING,
        READ,
        TAKING,
        TAKEN,
        CANCELLED,
        FAILED;

        String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** @param done lines so far; @param note why it failed, where it did */
    public record Intake(
            UUID id,
            String kind,
            String name,
            String who,
            Instant at,
            State state,
            long done,
            long total,
            String note) {
        /** Whether it can be taken in. @param counts lines by verdict */
        public boolean takes(Map<String, Integer> counts) {
            return state == State.READ
                    && (counts.containsKey("added") || counts.containsKey("changed"))
                    && !(ofSheets() && counts.containsKey("refused"));
        }

        public boolean ofSheets() {
            return kind.equals(SHEETS);
        }
    }

    /**
     * @param place line or file and field;
     * @param item id of the sheet or number of the part;
     * @param verdict "added", "changed", "unchanged" or "refused"
     */
    public record Row(int line, String place, String item, String name, String verdict, String note) {}

    /** Somebody stopped it. */
    private static final class Stopped extends RuntimeException {
        private static final long serialVersionUID = 1;
    }

    public Intakes(DSLContext db, Library library, Clock clock) {
        this.db = db;
        this.library = library;
        this.clock = clock;
    }

    /** @param total lines or files to come, 0 where not known */
    public UUID open(String kind, String name, String who, long total) {
        UUID id = UUID.randomUUID();
        db.insertInto(INTAKE)
                .set(INTAKE.ID, id)
                .set(INTAKE.KIND, kind)
                .set(INTAKE.NAME, name)
                .set(INTAKE.WHO, who)
                .set(INTAKE.AT, OffsetDateTime.now(clock))
                .set(INTAKE.STATE, State.READING.word())
                .set(INTAKE.DONE, 0L)
                .set(INTAKE.TOTAL, total)
                .set(INTAKE.NOTE, "")
                .execute();
        return id;
    }

    public Optional<Intake> find(UUID id) {
        return db.selectFrom(INTAKE).where(INTAKE.ID.eq(id)).fetchOptional(Intakes::intake);
    }

    private static Intake intake(IntakeRecord r) {
        return new Intake(
                r.getId(),
                r.getKind(),
                r.getName(),
                r.getWho(),
                r.getAt().toInstant(),
                State.valueOf(r.getState().toUpperCase(Locale.ROOT)),
                r.getDone(),
                r.getTotal(),
                r.getNote());
    }

    public Map<String, Integer> counts(UUID id) {
        return db.select(INTAKE_ROW.VERDICT, DSL.count())
                .from(INTAKE_ROW)
                .where(INTAKE_ROW.INTAKE_ID.eq(id))
                .groupBy(INTAKE_ROW.VERDICT)
                .fetchMap(INTAKE_ROW.VERDICT, DSL.count());
    }

    public List<Row> rows(UUID id, String verdict, int most) {
        return db.selectFrom(INTAKE_ROW)
                .where(INTAKE_ROW.INTAKE_ID.eq(id), INTAKE_ROW.VERDICT.eq(verdict))
                .orderBy(INTAKE_ROW.LINE)
                .limit(most)
                .fetch(Intakes::row);
    }

    private static Row row(IntakeRowRecord r) {
        return new Row(r.getLine(), r.getPlace(), r.getItem(), r.getName(), r.getVerdict(), r.getNote());
    }

    /** Unpacks a ZIP of sheets. @throws InvalidInput if it is none */
    public static Map<String, String> unzip(byte[] bytes) {
        return Zip.read(bytes, "a ZIP of sheets");
    }

    /** Reads sheets and says of each what would become of it. */
    public void readSheets(UUID id, Map<String, String> texts) {
        reading(id, () -> {
            Set<String> seen = new HashSet<>();
            int[] stored = {0};
            ReadText.some(texts, some -> {
                List<Row> rows = new ArrayList<>();
                List<String> bodies = new ArrayList<>();
                judge(some, seen, stored[0], rows, bodies);
                store(id, rows, bodies);
                stored[0] += rows.size();
            });
        });
    }

    /**
     * @param stored rows that went before
     * @param bodies one for each row: the sheet as it was typed, or null where it cannot be read
     */
    private void judge(List<ReadText> some, Set<String> seen, int stored, List<Row> rows, List<String> bodies) {
        Map<String, Shelved> shelf = shelf(some.stream()
                .flatMap(r -> r.document().stream())
                .map(Document::id)
                .toList());
        for (ReadText read : some) {
            read.document().ifPresent(d -> {
                Optional<Shelved> before = Optional.ofNullable(shelf.get(d.id()));
                String why = seen.add(d.id()) ? before.map(b -> b.otherKind(d)).orElse("") : ReadText.twice(d);
                String verdict = why.isEmpty() ? before.map(b -> b.verdict(d)).orElse("added") : "refused";
                String note = why.isEmpty() ? before.map(b -> b.differences(d)).orElse("") : why;
                rows.add(new Row(stored + rows.size() + 1, read.file(), d.id(), d.name(), verdict, note));
                // As one text: the order in which plugs were typed is kept.
                bodies.add(Json.write(d.source()));
            });
            for (Fault f : read.faults()) {
                String place = read.file() + ": " + f.field();
                rows.add(new Row(stored + rows.size() + 1, place, "", "", "refused", f.message()));
                bodies.add(null);
            }
        }
    }

    /** What the library has of a sheet that is brought in. */
    private record Shelved(String kind, String body) {
        String otherKind(Document d) {
            return kind.equals(d.kind()) ? "" : ReadText.otherKind(d, kind);
        }

        String verdict(Document d) {
            return Json.same(body, d.body()) ? "unchanged" : "changed";
        }

        /** The first places where it differs. */
        String differences(Document d) {
            List<SheetTree.Difference> all = SheetTree.differences(Json.parse(body), Json.parse(d.body()));
            String first = all.stream()
                    .limit(SHOWN_DIFFERENCES)
                    .map(c -> "%s: %s → %s"
                            .formatted(
                                    c.path(),
                                    c.first().orElse("none"),
                                    c.second().orElse("none")))
                    .collect(Collectors.joining("; "));
            return all.size() > SHOWN_DIFFERENCES
                    ? first + "; and %d more".formatted(all.size() - SHOWN_DIFFERENCES)
                    : first;
        }
    }

    private Map<String, Shelved> shelf(List<String> ids) {
        return db.select(SHEET.ID, SHEET.KIND, SHEET.BODY)
                .from(SHEET)
                .where(SHEET.ID.in(ids))
                .fetchMap(SHEET.ID, r -> new Shelved(r.value2(), r.value3().data()));
    }

    /** Reads a list of parts and says of each line what would become of it. */
    public void readParts(UUID id, Reader csv) {
        reading(id, () -> {
            List<Row> rows = new ArrayList<>();
            List<String> bodies = new ArrayList<>();
            PartsCsv.read(csv, line -> {
                String note = line.faults().stream()
                        .map(f -> (f.field().isEmpty() ? "The line " : f.field() + " ") + f.message())
                        .collect(Collectors.joining(" "));
                rows.add(new Row(
                        (int) line.line(),
                        "line " + line.line(),
                        line.number(),
                        String.valueOf(line.values().getOrDefault("name", "")),
                        note.isEmpty() ? "read" : "refused",
                        note));
                bodies.add(note.isEmpty() ? Json.write(line.values()) : null);
                if (rows.size() < BATCH) return;
                store(id, rows, bodies);
                rows.clear();
                bodies.clear();
            });
            store(id, rows, bodies);
            judgeParts(id);
        });
    }

    private void reading(UUID id, Runnable read) {
        try {
            read.run();
            if (move(id, State.READING, State.READ) == 0) throw new Stopped();
        } catch (Stopped e) {
            clear(id);
        } catch (InvalidInput e) {
            clear(id);
            fail(
                    id,
                    e.faults().stream().map(f -> f.field() + ": " + f.message()).collect(Collectors.joining(" ")));
        } catch (RuntimeException e) {
            clear(id);
            fail(id, "It could not be read to its end; nothing was kept. Try again.");
            throw e;
        }
    }

    private int move(UUID id, State from, State to) {
        return move(db, id, from, to);
    }

    private static int move(DSLContext dsl, UUID id, State from, State to) {
        return dsl.update(INTAKE)
                .set(INTAKE.STATE, to.word())
                .where(INTAKE.ID.eq(id), INTAKE.STATE.eq(from.word()))
                .execute();
    }

    private void fail(UUID id, String note) {
        db.update(INTAKE)
                .set(INTAKE.STATE, State.FAILED.word())
                .set(INTAKE.NOTE, note)
                .where(INTAKE.ID.eq(id), INTAKE.STATE.ne(State.CANCELLED.word()))
                .execute();
    }

    private void clear(UUID id) {
        db.deleteFrom(INTAKE_ROW).where(INTAKE_ROW.INTAKE_ID.eq(id)).execute();
    }

    /** Keeps what was read so far, unless somebody has stopped it. */
    private void store(UUID id, List<Row> rows, List<String> bodies) {
        if (rows.isEmpty()) return;
        InsertValuesStep8<IntakeRowRecord, UUID, Integer, String, String, String, String, String, JSONB> insert =
                db.insertInto(
                        INTAKE_ROW,
                        INTAKE_ROW.INTAKE_ID,
                        INTAKE_ROW.LINE,
                        INTAKE_ROW.PLACE,
                        INTAKE_ROW.ITEM,
                        INTAKE_ROW.NAME,
                        INTAKE_ROW.VERDICT,
                        INTAKE_ROW.NOTE,
                        INTAKE_ROW.BODY);
        for (int i = 0; i < rows.size(); i++) {
            Row r = rows.get(i);
            insert = insert.values(
                    id,
                    r.line(),
                    r.place(),
                    r.item(),
                    r.name(),
                    r.verdict(),
                    r.note(),
                    bodies.get(i) == null ? null : JSONB.valueOf(bodies.get(i)));
        }
        insert.execute();
        progress(id, State.READING, rows.get(rows.size() - 1).line());
    }

    private void progress(UUID id, State state, long done) {
        if (db.update(INTAKE)
                        .set(INTAKE.DONE, done)
                        .where(INTAKE.ID.eq(id), INTAKE.STATE.eq(state.word()))
                        .execute()
                == 0) throw new Stopped();
    }

    /** Compares every line that could be read with the shelf, all at once. */
    private void judgeParts(UUID id) {
        // without figures on what was just stored the planner compares every line with every part
        db.execute("analyze intake_row");
        db.execute(
                """
            update intake_row r set verdict = 'refused', note = 'number "' || r.item || '" stands in line ' || d.first || ' too; keep one of them.'
            from (select item, min(line) as first from intake_row where intake_id = ? and item <> '' group by item having count(*) > 1) d
            where r.intake_id = ? and r.item = d.item and r.line <> d.first and r.verdict = 'read'""",
                id,
                id);
        db.execute(
                """
            update intake_row r set name = coalesce(nullif(r.name, ''), l.name), verdict = case
                when l.kind <> 'part' then 'refused'
                when coalesce((r.body->>'price')::bigint, l.price_cents) is not distinct from l.price_cents
                 and coalesce((r.body->>'stock')::int, l.stock) is not distinct from l.stock
                 and coalesce((r.body->>'days')::int, l.days) is not distinct from l.days
                 and (l.buildable or (coalesce(r.body->>'name', l.name) = l.name and coalesce(r.body->>'maker', l.maker) = l.maker and coalesce(r.body->>'kind', l.type) = l.type
                      and coalesce(r.body->>'opening', l.opening) = l.opening and (r.body->>'plug' is null or l.families = array[r.body->>'plug']))) then 'unchanged'
                else 'changed' end,
              note = case when l.kind <> 'part' then 'number "' || r.item || '" is a ' || l.kind || ' in the library; parts only.' else concat_ws(', ',
                case when (r.body->>'price')::bigint <> coalesce(l.price_cents, -1) then 'price ' || coalesce(to_char(l.price_cents / 100.0, 'FM9999990.00'), 'none') || ' → ' || to_char((r.body->>'price')::bigint / 100.0, 'FM9999990.00') end,
                case when (r.body->>'stock')::int <> coalesce(l.stock, -1) then 'stock ' || coalesce(l.stock::text, 'not counted') || ' → ' || (r.body->>'stock') end,
                case when (r.body->>'days')::int <> coalesce(l.days, -1) then 'days ' || coalesce(l.days::text, 'none') || ' → ' || (r.body->>'days') end,
                case when not l.buildable and r.body->>'name' <> l.name then 'name "' || l.name || '" → "' || (r.body->>'name') || '"' end,
                case when not l.buildable and r.body->>'maker' <> l.maker then 'maker ' || l.maker || ' → ' || (r.body->>'maker') end,
                case when not l.buildable and r.body->>'kind' <> l.type then 'kind ' || l.type || ' → ' || (r.body->>'kind') end) end
            from listing l where r.intake_id = ? and r.verdict = 'read' and l.id = r.item""",
                id);
        db.execute(
                """
            update intake_row r set verdict = case when r.body ?? 'name' and r.body ?? 'kind' then 'added' else 'refused' end,
              note = case when r.body ?? 'name' and r.body ?? 'kind' then 'not yet buildable: its positions are not known' else 'number "' || r.item || '" is new, and a new part needs a name and a kind.' end
            where r.intake_id = ? and r.verdict = 'read'""",
                id);
    }

    /**
     * Takes in what was read: sheets whole, once the refused ones are corrected, since they may be one car's; of a list
     * of parts the lines that can be.
     */
    public void take(UUID id) {
        Intake intake = find(id).orElseThrow();
        if (!intake.takes(counts(id)) || move(id, State.READ, State.TAKING) == 0) return;
        try {
            if (intake.ofSheets()) takeSheets(id);
            else takeParts(id);
        } catch (Stopped e) {
            clear(id);
        } catch (RuntimeException e) {
            fail(id, "Nothing was taken in: the shelves changed since it was read. Bring it in again.");
            if (!(e instanceof InvalidInput || e instanceof DataAccessException)) throw e;
        }
    }

    private void takeSheets(UUID id) {
        Map<String, String> texts = db
                .select(INTAKE_ROW.PLACE, INTAKE_ROW.BODY)
                .from(INTAKE_ROW)
                .where(INTAKE_ROW.INTAKE_ID.eq(id))
                .orderBy(INTAKE_ROW.LINE)
                .fetch()
                .stream()
                .collect(Collectors.toMap(
                        r -> r.value1(), r -> (String) Json.parse(r.value2().data()), (a, b) -> a, LinkedHashMap::new));
        library.take(texts, find(id).orElseThrow().who());
        if (move(id, State.TAKING, State.TAKEN) == 0) throw new Stopped();
    }

    private void takeParts(UUID id) {
        int last = db.select(DSL.max(INTAKE_ROW.LINE))
                .from(INTAKE_ROW)
                .where(INTAKE_ROW.INTAKE_ID.eq(id))
                .fetchSingle()
                .value1();
        db.transaction(t -> {
            DSLContext tx = t.dsl();
            for (int from = 0; from <= last; from += CHUNK) {
                takeChunk(tx, id, from, from + CHUNK - 1);
                progress(id, State.TAKING, Math.min(last, from + CHUNK));
            }
            // the planner must know of the new lines at once, or the first searches read them all
            tx.execute("analyze listing");
            if (move(tx, id, State.TAKING, State.TAKEN) == 0) throw new Stopped();
        });
    }

    private static void takeChunk(DSLContext tx, UUID id, int from, int to) {
        tx.execute(
                """
            insert into listing (id, kind, name, maker, type, families, opening, carries, price_cents, stock, days, buildable, words)
            select r.item, 'part', r.body->>'name', coalesce(r.body->>'maker', ''), r.body->>'kind', case when r.body ?? 'plug' then array[r.body->>'plug'] else '{}' end, coalesce(r.body->>'opening', ''), '{}',
              (r.body->>'price')::bigint, (r.body->>'stock')::int, (r.body->>'days')::int, false,
              lower(concat_ws(' ', r.item, r.body->>'name', r.body->>'maker', r.body->>'kind', r.body->>'opening', r.body->>'plug'))
            from intake_row r where r.intake_id = ? and r.verdict = 'added' and r.line between ? and ?""",
                id,
                from,
                to);
        tx.execute(
                """
            update listing l set price_cents = coalesce((r.body->>'price')::bigint, l.price_cents), stock = coalesce((r.body->>'stock')::int, l.stock), days = coalesce((r.body->>'days')::int, l.days),
              name = case when l.buildable then l.name else coalesce(r.body->>'name', l.name) end, maker = case when l.buildable then l.maker else coalesce(r.body->>'maker', l.maker) end,
              type = case when l.buildable then l.type else coalesce(r.body->>'kind', l.type) end, opening = case when l.buildable then l.opening else coalesce(r.body->>'opening', l.opening) end,
              families = case when l.buildable or not r.body ?? 'plug' then l.families else array[r.body->>'plug'] end,
              words = case when l.buildable then l.words else lower(concat_ws(' ', l.id, coalesce(r.body->>'name', l.name), coalesce(r.body->>'maker', l.maker), coalesce(r.body->>'kind', l.type),
                coalesce(r.body->>'opening', l.opening), r.body->>'plug')) end
            from intake_row r where r.intake_id = ? and r.verdict = 'changed' and r.line between ? and ? and l.id = r.item""",
                id,
                from,
                to);
        tx.execute(
                """
            insert into sheet_history (sheet_id, revision, who, what, body)
            select s.id, s.revision, i.who, 'Price, from ' || i.name, s.body from sheet s join intake_row r on r.item = s.id join intake i on i.id = r.intake_id
            where r.intake_id = ? and r.verdict = 'changed' and r.line between ? and ? and r.body ?? 'price' and (s.body->>'price')::numeric * 100 <> (r.body->>'price')::numeric""",
                id,
                from,
                to);
        tx.execute(
                """
            update sheet s set revision = s.revision + 1, body = jsonb_set(s.body, '{price}', to_jsonb(round((r.body->>'price')::numeric / 100, 2))),
              typed = jsonb_set(s.typed::jsonb, '{price}', to_jsonb(round((r.body->>'price')::numeric / 100, 2)))::text
            from intake_row r where r.intake_id = ? and r.verdict = 'changed' and r.line between ? and ? and s.id = r.item and r.body ?? 'price'
              and (s.body->>'price')::numeric * 100 <> (r.body->>'price')::numeric""",
                id,
                from,
                to);
    }

    /** Stops it wherever it is, and forgets what was read. Too late once it is taken in. */
    public boolean cancel(UUID id) {
        boolean stopped = db.update(INTAKE)
                        .set(INTAKE.STATE, State.CANCELLED.word())
                        .where(
                                INTAKE.ID.eq(id),
                                INTAKE.STATE.in(State.READING.word(), State.READ.word(), State.TAKING.word()))
                        .execute()
                > 0;
        if (stopped) clear(id);
        return stopped;
    }

    /** Work of a run that has ended: told as such, since nobody goes on with it. */
    public void endOrphans() {
        List<UUID> orphans = db.update(INTAKE)
                .set(INTAKE.STATE, State.FAILED.word())
                .set(INTAKE.NOTE, "The app was stopped meanwhile; nothing was taken in. Bring it in again.")
                .where(INTAKE.STATE.in(State.READING.word(), State.TAKING.word()))
                .returningResult(INTAKE.ID)
                .fetch(INTAKE.ID);
        orphans.forEach(this::clear);
    }
}
