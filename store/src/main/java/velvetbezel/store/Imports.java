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
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.JSONB;
import org.jooq.exception.DataAccessException;
import org.jooq.impl.DSL;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.SheetTree;
import velvetbezel.store.rows.tables.records.IntakeRecord;
import velvetbezel.store.rows.tables.records.IntakeRowRecord;

/**
 * What is brought in from outside: first read and checked line by line beside the library, then, if a person says
 * so, taken in whole. Cancelled at any time, it leaves nothing behind.
 */
public class Imports {
    private static final String SHEETS = "sheets";
    private static final int BATCH = 2000;
    private static final int SHOWN_DIFFERENCES = 4;
    private final DSLContext db;
    private final Suppliers suppliers;
    private final Clock clock;

    public enum State {
        READING,
        /** Waits to be told what the headings of its columns stand for. */
        HEADINGS,
        READ,
        TAKING,
        TAKEN,
        CANCELLED,
        FAILED;

        String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /** @param supplier whose list it is, where known; @param done lines so far; @param note why it failed, where it did */
    public record Import(
            UUID id,
            String kind,
            String name,
            String who,
            Instant at,
            State state,
            long done,
            long total,
            String note,
            String supplier) {
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

    public Imports(DSLContext db, Clock clock) {
        this.db = db;
        this.suppliers = new Suppliers(db);
        this.clock = clock;
    }

    /** @param files how many sheets */
    public UUID openSheets(String name, String who, int files) {
        return open(SHEETS, name, who, files, "");
    }

    /** @param lines to come, 0 where not known; @param supplier whose list it is, empty where nobody says it */
    public UUID openList(String name, String who, long lines, String supplier) {
        return open("price list", name, who, lines, supplier.strip());
    }

    private UUID open(String kind, String name, String who, long total, String supplier) {
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
                .set(INTAKE.SUPPLIER, supplier)
                .execute();
        return id;
    }

    public Optional<Import> find(UUID id) {
        return db.selectFrom(INTAKE).where(INTAKE.ID.eq(id)).fetchOptional(Imports::intake);
    }

    private static Import intake(IntakeRecord r) {
        return new Import(
                r.getId(),
                r.getKind(),
                r.getName(),
                r.getWho(),
                r.getAt().toInstant(),
                State.valueOf(r.getState().toUpperCase(Locale.ROOT)),
                r.getDone(),
                r.getTotal(),
                r.getNote(),
                r.getSupplier());
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
                .fetch(Imports::row);
    }

    private static Row row(IntakeRowRecord r) {
        return new Row(r.getLine(), r.getPlace(), r.getItem(), r.getName(), r.getVerdict(), r.getNote());
    }

    /** Unpacks a ZIP of sheets. @throws InvalidInput if it is none */
    public static Map<String, String> unzip(byte[] bytes) {
        return unzip(List.of(bytes));
    }

    /** Unpacks several; together they may be no larger than one. @throws InvalidInput if one is none */
    public static Map<String, String> unzip(List<byte[]> zips) {
        Map<String, String> texts = new LinkedHashMap<>();
        Zip.Budget budget = new Zip.Budget();
        zips.forEach(z -> texts.putAll(Zip.read(z, "a ZIP of sheets", budget)));
        return texts;
    }

    /** Reads sheets and says of each what would become of it. */
    public void readSheets(UUID id, Map<String, String> texts) {
        reading(id, () -> {
            Set<String> seen = new HashSet<>();
            int[] stored = {0};
            ReadText.some(texts, some -> {
                List<Kept> rows = judge(some, seen, stored[0]);
                store(id, rows);
                stored[0] += rows.size();
            });
        });
    }

    /**
     * A line with what is kept of it until it is taken in.
     *
     * @param body    values of a price list's line, or the sheet as it was typed, as one text: the order in which plugs
     *     were typed is kept; null where it is refused
     * @param whole   the long sheet of one that is new, else null
     * @param listing of a new sheet, and whether it was typed short; of another the revision it was compared with
     */
    private record Kept(Row row, String body, String whole, String listing) {
        static Kept refused(Row row) {
            return new Kept(row, null, null, null);
        }

        /** @param revision of the sheet that the library has; 0 for none */
        static Kept of(Row row, Document d, int revision) {
            String typed = Json.write(d.source());
            if (!row.verdict.equals("added") || d.sheet().isEmpty())
                return new Kept(row, typed, null, Json.write(Map.of("revision", revision)));
            Map<String, Object> listing = Listing.of(d.sheet().get()).values();
            listing.put("short", d.typed().isPresent());
            return new Kept(row, typed, d.body(), Json.write(listing));
        }
    }

    /** @param stored rows that went before */
    private List<Kept> judge(List<ReadText> some, Set<String> seen, int stored) {
        Map<String, Shelved> shelf = shelf(some.stream()
                .flatMap(r -> r.document().stream())
                .map(Document::id)
                .toList());
        List<Kept> rows = new ArrayList<>();
        for (ReadText read : some) {
            read.document().ifPresent(d -> {
                Optional<Shelved> before = Optional.ofNullable(shelf.get(d.id()));
                String why = seen.add(d.id()) ? before.map(b -> b.otherKind(d)).orElse("") : ReadText.twice(d);
                String verdict = why.isEmpty() ? before.map(b -> b.verdict(d)).orElse("added") : "refused";
                String note = why.isEmpty() ? before.map(b -> b.differences(d)).orElse("") : why;
                rows.add(Kept.of(
                        new Row(stored + rows.size() + 1, read.file(), d.id(), d.name(), verdict, note),
                        d,
                        before.map(Shelved::revision).orElse(0)));
            });
            for (InputProblem f : read.faults()) {
                String place = read.file() + ": " + f.field();
                rows.add(Kept.refused(new Row(stored + rows.size() + 1, place, "", "", "refused", f.message())));
            }
        }
        return rows;
    }

    /** What the library has of a sheet that is brought in. */
    private record Shelved(String kind, String body, int revision) {
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
        return db.select(SHEET.ID, SHEET.KIND, SHEET.BODY, SHEET.REVISION)
                .from(SHEET)
                .where(SHEET.ID.in(ids))
                .fetchMap(SHEET.ID, r -> new Shelved(r.value2(), r.value3().data(), r.value4()));
    }

    /**
     * Reads a price list and says of each line what would become of it; where it is not known what its headings stand
     * for, it is left at these.
     */
    public void readList(UUID id, Reader csv) {
        readList(id, csv, headings -> columns(id, headings));
    }

    /** Leaves a price list at its headings, whatever was learned of them. */
    public void showHeadings(UUID id, Reader csv) {
        if (move(id, State.READ, State.READING) == 0) return;
        clear(id);
        readList(id, csv, headings -> Optional.empty());
    }

    private void readList(UUID id, Reader csv, Function<List<String>, Optional<List<String>>> choose) {
        reading(id, () -> {
            List<Kept> rows = new ArrayList<>();
            PriceListCsv.read(csv, choose, line -> {
                String note = line.faults().stream()
                        .map(f -> (f.field().isEmpty() ? "The line " : f.field() + " ") + f.message())
                        .collect(Collectors.joining(" "));
                Row row = new Row(
                        (int) line.line(),
                        "line " + line.line(),
                        line.number(),
                        String.valueOf(line.values().getOrDefault("name", "")),
                        note.isEmpty() ? "read" : "refused",
                        note);
                rows.add(note.isEmpty() ? new Kept(row, Json.write(line.values()), null, null) : Kept.refused(row));
                if (rows.size() < BATCH) return;
                store(id, rows);
                rows.clear();
            });
            store(id, rows);
            PriceLists.judge(db, id);
        });
    }

    /** What the headings of a list stand for: as its supplier means them, or the one supplier who heads columns so. */
    private Optional<List<String>> columns(UUID id, List<String> headings) {
        String supplier = find(id).orElseThrow().supplier();
        Optional<List<String>> columns = PriceListCsv.columns(headings, suppliers.learned(supplier));
        if (columns.isPresent() || !supplier.isEmpty()) return columns;
        Optional<String> whose = suppliers.whose(headings);
        whose.ifPresent(w -> name(id, w));
        return whose.flatMap(w -> PriceListCsv.columns(headings, suppliers.learned(w)));
    }

    private void name(UUID id, String supplier) {
        db.update(INTAKE).set(INTAKE.SUPPLIER, supplier).where(INTAKE.ID.eq(id)).execute();
    }

    private void keepHeadings(UUID id, List<PriceListCsv.Heading> headings) {
        List<Kept> rows = new ArrayList<>();
        for (PriceListCsv.Heading h : headings)
            rows.add(Kept.refused(
                    new Row(rows.size() + 1, "", h.text(), "", "heading", String.join(" · ", h.samples()))));
        store(id, rows);
    }

    /** Headings that wait to be told what they stand for, in their order; the note holds their first values. */
    public List<Row> headings(UUID id) {
        return rows(id, "heading", Integer.MAX_VALUE);
    }

    /**
     * Learns what a supplier's headings stand for; the list can be read then.
     *
     * @param meanings column by heading, empty text for one that is left out
     * @throws InvalidInput where nothing can be read so; nothing is learned then
     */
    public void learn(UUID id, String supplier, Map<String, String> meanings) {
        List<InputProblem> faults = new ArrayList<>(PriceListCsv.problems(List.copyOf(meanings.values())));
        if (supplier.isBlank())
            faults.add(new InputProblem(
                    "supplier", "is missing; name whose list it is, so that it need not be asked again."));
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        suppliers.learn(supplier, meanings);
        name(id, supplier.strip());
        if (move(id, State.HEADINGS, State.READING) > 0) clear(id);
    }

    private void reading(UUID id, Runnable read) {
        try {
            read.run();
            if (move(id, State.READING, State.READ) == 0) throw new Stopped();
        } catch (Stopped e) {
            clear(id);
        } catch (PriceListCsv.UnknownHeadings e) {
            keepHeadings(id, e.headings());
            move(id, State.READING, State.HEADINGS);
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
    private void store(UUID id, List<Kept> rows) {
        if (rows.isEmpty()) return;
        db.batchInsert(rows.stream().map(k -> record(id, k)).toList()).execute();
        progress(id, State.READING, rows.get(rows.size() - 1).row.line());
    }

    private IntakeRowRecord record(UUID id, Kept k) {
        IntakeRowRecord r = db.newRecord(INTAKE_ROW);
        r.setIntakeId(id);
        r.setLine(k.row.line());
        r.setPlace(k.row.place());
        r.setItem(k.row.item());
        r.setName(k.row.name());
        r.setVerdict(k.row.verdict());
        r.setNote(k.row.note());
        r.setBody(JSONB.jsonbOrNull(k.body));
        r.setWhole(JSONB.jsonbOrNull(k.whole));
        r.setListing(JSONB.jsonbOrNull(k.listing));
        return r;
    }

    private void progress(UUID id, State state, long done) {
        if (db.update(INTAKE)
                        .set(INTAKE.DONE, done)
                        .where(INTAKE.ID.eq(id), INTAKE.STATE.eq(state.word()))
                        .execute()
                == 0) throw new Stopped();
    }

    /**
     * Takes in what was read: sheets whole, once the refused ones are corrected, since they may be one car's; of a list
     * of parts the lines that can be.
     */
    public void take(UUID id) {
        Import intake = find(id).orElseThrow();
        if (!intake.takes(counts(id)) || move(id, State.READ, State.TAKING) == 0) return;
        try {
            if (intake.ofSheets()) takeSheets(id);
            else takeList(id);
        } catch (Stopped e) {
            clear(id);
        } catch (InvalidInput e) {
            fail(
                    id,
                    "Nothing was taken in. %s Bring it in again to see both versions."
                            .formatted(e.faults().stream()
                                    .map(InputProblem::message)
                                    .collect(Collectors.joining(" "))));
        } catch (RuntimeException e) {
            fail(id, "Nothing was taken in: the shelves changed since it was read. Bring it in again.");
            if (!(e instanceof DataAccessException)) throw e;
        }
    }

    private void takeSheets(UUID id) {
        String who = find(id).orElseThrow().who();
        db.transaction(t -> {
            refuseChangedSince(t.dsl(), id);
            NewSheets.take(t.dsl(), id, StandardArchetypes.all().revision());
            Library.take(t.dsl(), others(t.dsl(), id), who);
            if (move(t.dsl(), id, State.TAKING, State.TAKEN) == 0) throw new Stopped();
        });
    }

    /** Somebody changed a sheet after it was compared: what they did would be written over unseen. */
    private static void refuseChangedSince(DSLContext tx, UUID id) {
        List<InputProblem> faults = tx.fetch(
                        """
            select s.id, s.name, h.who from intake_row r join sheet s on s.id = r.item
            left join lateral (select who from sheet_history h where h.sheet_id = s.id order by revision desc limit 1) h on true
            where r.intake_id = ? and r.whole is null and r.verdict in ('added', 'changed') and s.revision <> (r.listing->>'revision')::int
            order by s.id""",
                        id)
                .map(r -> new InputProblem(
                        r.get(0, String.class),
                        "\"%s\" was changed by %s since this was read."
                                .formatted(
                                        r.get(1), Optional.ofNullable(r.get(2)).orElse("somebody"))));
        if (!faults.isEmpty()) throw new InvalidInput(faults);
    }

    /** What is no new sheet: changed ones, the catalogue of functions, tables. */
    private static Map<String, String> others(DSLContext tx, UUID id) {
        return tx
                .select(INTAKE_ROW.PLACE, INTAKE_ROW.BODY)
                .from(INTAKE_ROW)
                .where(INTAKE_ROW.INTAKE_ID.eq(id), INTAKE_ROW.WHOLE.isNull(), INTAKE_ROW.VERDICT.ne("unchanged"))
                .orderBy(INTAKE_ROW.LINE)
                .fetch()
                .stream()
                .collect(Collectors.toMap(
                        r -> r.value1(), r -> (String) Json.parse(r.value2().data()), (a, b) -> a, LinkedHashMap::new));
    }

    private void takeList(UUID id) {
        db.transaction(t -> {
            PriceLists.take(t.dsl(), id, line -> progress(id, State.TAKING, line));
            if (move(t.dsl(), id, State.TAKING, State.TAKEN) == 0) throw new Stopped();
        });
    }

    /** Stops it wherever it is, and forgets what was read. Too late once it is taken in. */
    public boolean cancel(UUID id) {
        boolean stopped = db.update(INTAKE)
                        .set(INTAKE.STATE, State.CANCELLED.word())
                        .where(
                                INTAKE.ID.eq(id),
                                INTAKE.STATE.in(
                                        State.READING.word(),
                                        State.HEADINGS.word(),
                                        State.READ.word(),
                                        State.TAKING.word()))
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
                .where(INTAKE.STATE.in(State.READING.word(), State.HEADINGS.word(), State.TAKING.word()))
                .returningResult(INTAKE.ID)
                .fetch(INTAKE.ID);
        orphans.forEach(this::clear);
    }
}
