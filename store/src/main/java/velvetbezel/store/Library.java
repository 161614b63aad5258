package velvetbezel.store;

import static velvetbezel.store.rows.Tables.LISTING;
import static velvetbezel.store.rows.Tables.SHEET;
import static velvetbezel.store.rows.Tables.SHEET_HISTORY;

import java.io.Writer;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.jooq.DSLContext;
import org.jooq.JSONB;
import org.jooq.Record3;
import org.jooq.impl.DSL;
import velvetbezel.draft.Expander;
import velvetbezel.draft.Recognise;
import velvetbezel.function.Catalogue;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.PlugFamily;
import velvetbezel.sheet.Sheet;
import velvetbezel.store.rows.tables.records.ListingRecord;
import velvetbezel.worksheet.Tables;

/** The sheets of the workshop. Documents are read once per revision; those last used are kept. */
public class Library {
    /** Id of the catalogue of functions. */
    public static final String CATALOGUE = "functions";
    /** Id of the workshop's own tables. */
    public static final String TABLES = "tables";

    /** More than one workshop's shelves; thousands of cars that nobody opens again would fill the memory. */
    private static final int MOST_KEPT = 2000;

    private final DSLContext db;
    private final Map<String, Read> known = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Read> eldest) {
            return size() > MOST_KEPT;
        }
    });

    private record Read(int revision, Document document) {}

    /** One line of a list. */
    public record Entry(String id, String kind, String name, int revision) {}

    public Library(DSLContext db) {
        this.db = db;
    }

    public List<Entry> entries(String kind) {
        return db.select(SHEET.ID, SHEET.KIND, SHEET.NAME, SHEET.REVISION)
                .from(SHEET)
                .where(SHEET.KIND.eq(kind))
                .orderBy(SHEET.NAME)
                .fetch(r -> new Entry(r.value1(), r.value2(), r.value3(), r.value4()));
    }

    public Optional<Document> find(String id) {
        Integer revision =
                db.select(SHEET.REVISION).from(SHEET).where(SHEET.ID.eq(id)).fetchOne(SHEET.REVISION);
        if (revision == null) return Optional.empty();
        Read read = known.get(id);
        if (read != null && read.revision == revision) return Optional.of(read.document);
        Record3<String, Integer, JSONB> row = db.select(SHEET.ID, SHEET.REVISION, SHEET.BODY)
                .from(SHEET)
                .where(SHEET.ID.eq(id))
                .fetchOne();
        if (row == null) return Optional.empty();
        Document document = Document.read(row.value3().data());
        known.put(id, new Read(row.value2(), document));
        return Optional.of(document);
    }

    /** Revisions of all sheets together: changes whenever any sheet does. */
    public String revision() {
        return db.select(DSL.sum(SHEET.REVISION), DSL.count())
                .from(SHEET)
                .fetchSingle(r -> r.value1() + "/" + r.value2());
    }

    public List<Sheet.Radio> radios() {
        return all("radio", Sheet.Radio.class);
    }

    public List<Sheet.Part> parts() {
        return all("part", Sheet.Part.class);
    }

    /**
     * Parts that could go into a car: made for it, or made for no car in particular with a plug that is on it, or with
     * no plug but those that are on it and on the radios; what fills an opening fills this one.
     */
    public List<Sheet.Part> candidates(Sheet.Vehicle vehicle, List<Sheet.Radio> radios) {
        return candidateIds(vehicle, radios).stream()
                .flatMap(id -> find(id).stream())
                .flatMap(d -> d.sheet().stream())
                .map(Sheet.Part.class::cast)
                .toList();
    }

    List<String> candidateIds(Sheet.Vehicle vehicle, List<Sheet.Radio> radios) {
        String[] car = families(Stream.of(vehicle.car()));
        String[] all = families(Stream.concat(
                Stream.of(vehicle.car(), vehicle.radio()), radios.stream().map(Sheet.Radio::device)));
        return db.fetch(
                        """
            select id from listing where kind = 'part' and buildable and fits @> array[cast(? as text)]
            union select id from listing where kind = 'part' and buildable and fits = '{}' and opening in ('', ?) and (families && cast(? as text[]) or families <@ cast(? as text[]))
            order by id""",
                        vehicle.id(),
                        vehicle.opening().label(),
                        car,
                        all)
                .map(r -> r.get(0, String.class));
    }

    private static String[] families(Stream<Device> devices) {
        return devices.flatMap(d -> d.plugs().stream())
                .map(Plug::family)
                .distinct()
                .toArray(String[]::new);
    }

    /** How the face of a plug of this family is arranged, where a vehicle's sheet says so. */
    public Optional<PlugFamily> family(String name) {
        return db.select(SHEET.ID)
                .from(SHEET)
                .where(
                        SHEET.KIND.eq("vehicle"),
                        DSL.condition(
                                "body->'families' @> jsonb_build_array(jsonb_build_object('family', ?::text))", name))
                .orderBy(SHEET.ID)
                .limit(1)
                .fetchOptional(SHEET.ID)
                .flatMap(this::find)
                .flatMap(Document::sheet)
                .flatMap(s -> ((Sheet.Vehicle) s)
                        .families().stream().filter(f -> f.name().equals(name)).findFirst());
    }

    /** Every vehicle sheet of one model, whatever its trim and generation. */
    public List<Sheet.Vehicle> model(String make, String model) {
        return db
                .select(SHEET.ID)
                .from(SHEET)
                .where(
                        SHEET.KIND.eq("vehicle"),
                        DSL.field("body->>'make'", String.class).eq(make),
                        DSL.field("body->>'model'", String.class).eq(model))
                .orderBy(SHEET.ID)
                .fetch(SHEET.ID)
                .stream()
                .flatMap(id -> find(id).stream())
                .flatMap(d -> d.sheet().stream())
                .map(Sheet.Vehicle.class::cast)
                .toList();
    }

    private <T extends Sheet> List<T> all(String kind, Class<T> type) {
        return entries(kind).stream()
                .flatMap(e -> document(e).stream())
                .flatMap(d -> d.sheet().stream())
                .map(type::cast)
                .toList();
    }

    private Optional<Document> document(Entry e) {
        Read read = known.get(e.id());
        return read != null && read.revision == e.revision() ? Optional.of(read.document) : find(e.id());
    }

    /**
     * Names the state of all that a car's kits rest on: itself, the radios, the parts that could go into it, and the
     * catalogue.
     */
    public String stamp(Sheet.Vehicle vehicle) {
        List<String> ids = new ArrayList<>(candidateIds(vehicle, radios()));
        ids.addAll(List.of(vehicle.id(), CATALOGUE));
        return db.select(SHEET.ID, SHEET.REVISION)
                .from(SHEET)
                .where(SHEET.ID.in(ids).or(SHEET.KIND.eq("radio")))
                .orderBy(SHEET.ID)
                .fetch(r -> r.value1() + " " + r.value2())
                .toString();
    }

    /** The workshop's own tables, or those that ship with the program. */
    public Tables tables() {
        return find(TABLES).flatMap(Document::tables).orElseGet(StandardTables::all);
    }

    public Catalogue catalogue() {
        return find(CATALOGUE)
                .flatMap(Document::catalogue)
                .orElseThrow(
                        () -> new InvalidInput(
                                "functions",
                                "There is no catalogue of functions yet. Import one (demo/functions.json) at Vehicles, Import."));
    }

    /** A change of a sheet as it stood before. @param revision the one it made way for */
    public record Past(int revision, Instant at, String who, String what) {}

    /** Puts a new body in place and keeps the old one. */
    private static void replace(DSLContext tx, Document d, String who, String what) {
        tx.insertInto(
                        SHEET_HISTORY,
                        SHEET_HISTORY.SHEET_ID,
                        SHEET_HISTORY.REVISION,
                        SHEET_HISTORY.WHO,
                        SHEET_HISTORY.WHAT,
                        SHEET_HISTORY.BODY)
                .select(DSL.select(SHEET.ID, SHEET.REVISION, DSL.val(who), DSL.val(what), SHEET.BODY)
                        .from(SHEET)
                        .where(SHEET.ID.eq(d.id())))
                .execute();
        tx.update(SHEET)
                .set(SHEET.NAME, d.name())
                .set(SHEET.REVISION, SHEET.REVISION.plus(1))
                .set(SHEET.BODY, JSONB.valueOf(d.body()))
                .set(SHEET.TYPED, d.typed().orElse(null))
                .set(SHEET.CATALOGUE, catalogue(d))
                .where(SHEET.ID.eq(d.id()))
                .execute();
        d.sheet().map(Listing::of).ifPresent(l -> Shelves.list(tx, l));
    }

    /** The revision of the catalogue that a short sheet was expanded with. */
    private static String catalogue(Document d) {
        return d.typed().isPresent() ? StandardArchetypes.all().revision() : null;
    }

    /** Revision that edits are made against. */
    public int revision(String id) {
        return db.select(SHEET.REVISION)
                .from(SHEET)
                .where(SHEET.ID.eq(id))
                .fetchOptional(SHEET.REVISION)
                .orElse(0);
    }

    /**
     * Changes a sheet in place.
     *
     * @param seen   the revision the person was looking at
     * @param change makes a changed copy of the sheet's tree
     * @throws InvalidInput if the sheet changed meanwhile, or what comes of it is no good sheet; nothing is written
     *     then
     */
    public void change(String id, String who, String what, int seen, UnaryOperator<Object> change) {
        db.transaction(t -> {
            var row = t.dsl()
                    .select(SHEET.REVISION, SHEET.BODY, SHEET.TYPED)
                    .from(SHEET)
                    .where(SHEET.ID.eq(id))
                    .forUpdate()
                    .fetchOptional()
                    .orElseThrow(() -> new InvalidInput(id, "There is no sheet of this name here."));
            if (row.value1() != seen)
                throw new InvalidInput(
                        id,
                        "Somebody changed this sheet meanwhile (see its history). Look at it as it is now, and make your change again.");
            Object tree = change.apply(Json.parse(row.value2().data()));
            Document changed =
                    Document.read(Json.write(row.value3() == null ? tree : typedAgain(Json.parse(row.value3()), tree)));
            if (!changed.id().equals(id))
                throw new InvalidInput("id", "A sheet keeps its id; duplicate it to make another.");
            if (!Json.same(row.value2().data(), changed.body())) replace(t.dsl(), changed, who, what);
        });
    }

    /** The short sheet of a tree that was changed, unless it is one already. */
    private static Object typedAgain(Object typed, Object tree) {
        return Expander.isShort(tree)
                ? tree
                : Recognise.again(typed, tree, StandardArchetypes.all()).tree();
    }

    /** What a person typed of a sheet; of one that was not typed short, what the catalogue recognises. */
    public Object typed(String id) {
        String typed = db.select(SHEET.TYPED)
                .from(SHEET)
                .where(SHEET.ID.eq(id))
                .fetchOptional(SHEET.TYPED)
                .orElse(null);
        return typed != null
                ? Json.parse(typed)
                : Recognise.in(Json.parse(find(id).orElseThrow().body()), StandardArchetypes.all())
                        .tree();
    }

    /**
     * A sheet that was typed short and expanded with another revision of the catalogue.
     *
     * @param asItIs  the sheet as it stands
     * @param asItWould what today's catalogue makes of what was typed; empty where it no longer reads it
     * @param faults  why it does not
     */
    public record Outdated(
            String id, String catalogue, Document asItIs, Optional<Document> asItWould, List<InputProblem> faults) {
        public boolean changesNothing() {
            return asItWould.filter(d -> Json.same(d.body(), asItIs.body())).isPresent();
        }
    }

    /** How many sheets were expanded with another revision of the catalogue. */
    public int outdatedCount() {
        return db.fetchCount(SHEET, SHEET.CATALOGUE.ne(StandardArchetypes.all().revision()));
    }

    /** Sheets that were expanded with another revision of the catalogue, by id. */
    public List<Outdated> outdated() {
        return db.select(SHEET.ID, SHEET.CATALOGUE, SHEET.TYPED, SHEET.BODY)
                .from(SHEET)
                .where(SHEET.CATALOGUE.ne(StandardArchetypes.all().revision()))
                .orderBy(SHEET.ID)
                .fetch(r -> {
                    Document now = Document.read(r.value4().data());
                    try {
                        return new Outdated(
                                r.value1(), r.value2(), now, Optional.of(Document.read(r.value3())), List.of());
                    } catch (InvalidInput e) {
                        return new Outdated(r.value1(), r.value2(), now, Optional.empty(), e.faults());
                    }
                });
    }

    /**
     * Takes today's catalogue for some sheets, as a change of each that can be taken back.
     *
     * @return how many of them read otherwise now
     */
    public int takeCatalogue(List<String> ids, String who) {
        String revision = StandardArchetypes.all().revision();
        List<Outdated> some = outdated().stream()
                .filter(o -> ids.contains(o.id()) && o.asItWould().isPresent())
                .toList();
        return db.transactionResult(t -> {
            int changed = 0;
            for (Outdated o : some)
                if (o.changesNothing())
                    t.dsl()
                            .update(SHEET)
                            .set(SHEET.CATALOGUE, revision)
                            .where(SHEET.ID.eq(o.id()))
                            .execute();
                else {
                    replace(t.dsl(), o.asItWould().orElseThrow(), who, "Catalogue " + revision);
                    changed++;
                }
            return changed;
        });
    }

    /** Newest first. */
    public List<Past> history(String id) {
        return db.select(SHEET_HISTORY.REVISION, SHEET_HISTORY.AT, SHEET_HISTORY.WHO, SHEET_HISTORY.WHAT)
                .from(SHEET_HISTORY)
                .where(SHEET_HISTORY.SHEET_ID.eq(id))
                .orderBy(SHEET_HISTORY.REVISION.desc())
                .fetch(r -> new Past(r.value1(), r.value2().toInstant(), r.value3(), r.value4()));
    }

    /** Brings back what a sheet was before a change, as a change of its own. */
    public void bringBack(String id, String who, int seen, int revision) {
        String body = db.select(SHEET_HISTORY.BODY)
                .from(SHEET_HISTORY)
                .where(SHEET_HISTORY.SHEET_ID.eq(id), SHEET_HISTORY.REVISION.eq(revision))
                .fetchOptional(SHEET_HISTORY.BODY)
                .map(JSONB::data)
                .orElseThrow(() -> new InvalidInput(id, "There is no revision %d of this sheet.".formatted(revision)));
        change(id, who, "Brought back revision " + revision, seen, tree -> Json.parse(body));
    }

    /** Every sheet of a kind as one ZIP, each in a file of its id, as it was typed. */
    public byte[] zip(String kind) {
        Map<String, String> texts = new LinkedHashMap<>();
        db.select(SHEET.ID, DSL.coalesce(SHEET.TYPED, SHEET.BODY.cast(String.class)))
                .from(SHEET)
                .where(SHEET.KIND.eq(kind))
                .orderBy(SHEET.ID)
                .forEach(r -> texts.put(r.value1() + ".json", Json.write(Json.parse(r.value2()))));
        return Zip.write(texts);
    }

    /** Writes every radio or part, known by its sheet or only by a list, as CSV. */
    public void writeList(String kind, Writer to) {
        db.transaction(t -> {
            try (var cursor = t.dsl()
                    .selectFrom(LISTING)
                    .where(LISTING.KIND.eq(kind))
                    .orderBy(LISTING.ID)
                    .fetchSize(2000)
                    .fetchLazy()) {
                PriceListCsv.write(to, () -> new Iterator<>() {
                    private final Iterator<ListingRecord> rows = cursor.iterator();

                    @Override
                    public boolean hasNext() {
                        return rows.hasNext();
                    }

                    @Override
                    public Listing next() {
                        return Shelves.listing(rows.next());
                    }
                });
            }
        });
    }

    /** What an import did. */
    public record Imported(List<String> added, List<String> changed, List<String> unchanged) {}

    /**
     * Takes in several documents, or none.
     *
     * @param texts JSON by file name
     * @param who   for the history of each sheet
     * @throws InvalidInput with every fault of every file
     */
    public Imported take(Map<String, String> texts, String who) {
        return db.transactionResult(t -> take(t.dsl(), texts, who));
    }

    /** Within a transaction of the caller's. */
    static Imported take(DSLContext tx, Map<String, String> texts, String who) {
        Imported imported = new Imported(new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
        List<InputProblem> faults = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        ReadText.some(
                texts,
                some -> some.forEach(read -> {
                    read.faults()
                            .forEach(f -> faults.add(new InputProblem(read.file() + ": " + f.field(), f.message())));
                    read.document()
                            .filter(d -> !ids.add(d.id()))
                            .ifPresent(d -> faults.add(new InputProblem(read.file(), ReadText.twice(d))));
                    if (faults.isEmpty()) store(tx, read.document().orElseThrow(), who, imported);
                }));
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        return imported;
    }

    private static void store(DSLContext tx, Document d, String who, Imported imported) {
        var before = tx.select(SHEET.KIND, SHEET.BODY)
                .from(SHEET)
                .where(SHEET.ID.eq(d.id()))
                .forUpdate()
                .fetchOne();
        if (before == null) {
            tx.insertInto(SHEET)
                    .set(SHEET.ID, d.id())
                    .set(SHEET.KIND, d.kind())
                    .set(SHEET.NAME, d.name())
                    .set(SHEET.REVISION, 1)
                    .set(SHEET.BODY, JSONB.valueOf(d.body()))
                    .set(SHEET.TYPED, d.typed().orElse(null))
                    .set(SHEET.CATALOGUE, catalogue(d))
                    .execute();
            d.sheet().map(Listing::of).ifPresent(l -> Shelves.list(tx, l));
            imported.added.add(d.name());
        } else if (!before.value1().equals(d.kind())) {
            throw new InvalidInput(d.id(), ReadText.otherKind(d, before.value1()));
        } else if (Json.same(before.value2().data(), d.body())) {
            imported.unchanged.add(d.name());
        } else {
            replace(tx, d, who, "Imported");
            imported.changed.add(d.name());
        }
    }
}
