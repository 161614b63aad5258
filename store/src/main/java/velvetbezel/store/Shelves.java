package velvetbezel.store;

import static velvetbezel.store.rows.Tables.LISTING;
import static velvetbezel.store.rows.Tables.SHEET;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.impl.DSL;
import velvetbezel.store.rows.tables.records.ListingRecord;

/** Finds vehicles, radios and parts among many. */
public class Shelves {
    /** Beyond this many hits their number is not counted out. */
    public static final int COUNTED = 1000;

    private final DSLContext db;

    /**
     * @param text  words, all of which must occur, in any order; one of fewer than three letters at the start of a word
     * @param most  highest price in hundredths; empty for any
     * @param page  0 for the first
     */
    public record Query(
            String kind,
            String text,
            String type,
            String family,
            String opening,
            String carries,
            boolean inStock,
            boolean buildable,
            Optional<Long> most,
            int page) {}

    /** @param total at most {@link #COUNTED} + 1 */
    public record Found(List<Listing> items, int total) {}

    /** Values the listings of a kind have, for choosing from. */
    public record Facets(List<String> types, List<String> families, List<String> openings) {}

    public Shelves(DSLContext db) {
        this.db = db;
    }

    public Found find(Query q, int pageSize) {
        Condition wanted = condition(q);
        List<Listing> items = db.selectFrom(LISTING)
                .where(wanted)
                .orderBy(LISTING.NAME, LISTING.ID)
                .limit(pageSize)
                .offset((long) q.page() * pageSize)
                .fetch(Shelves::listing);
        int total = items.size() < pageSize && q.page() == 0
                ? items.size()
                : db.fetchCount(DSL.selectOne().from(LISTING).where(wanted).limit(COUNTED + 1));
        return new Found(items, total);
    }

    private static Condition condition(Query q) {
        Condition wanted = LISTING.KIND.eq(q.kind()).and(SearchWords.all(LISTING.WORDS, q.text()));
        if (!q.type().isEmpty()) wanted = wanted.and(LISTING.TYPE.eq(q.type()));
        if (!q.family().isEmpty()) wanted = wanted.and(has(LISTING.FAMILIES, q.family()));
        if (!q.opening().isEmpty()) wanted = wanted.and(LISTING.OPENING.eq(q.opening()));
        if (!q.carries().isEmpty()) wanted = wanted.and(has(LISTING.CARRIES, q.carries()));
        if (q.inStock()) wanted = wanted.and(LISTING.STOCK.gt(0));
        if (q.buildable()) wanted = wanted.and(LISTING.BUILDABLE);
        return q.most().isPresent() ? wanted.and(LISTING.PRICE_CENTS.le(q.most().get())) : wanted;
    }

    private static Condition has(Field<String[]> field, String value) {
        return field.contains(new String[] {value});
    }

    public Optional<Listing> listing(String id) {
        return db.selectFrom(LISTING).where(LISTING.ID.eq(id)).fetchOptional(Shelves::listing);
    }

    /** What radios and parts cost and how many there are, of some sheets. */
    public List<Listing> listings(Collection<String> ids) {
        return db.selectFrom(LISTING).where(LISTING.ID.in(ids)).fetch(Shelves::listing);
    }

    public Facets facets(String kind) {
        List<String> families = db.fetch(
                        "select distinct f from (select unnest(families) f from listing where kind = ? and buildable) x order by f",
                        kind)
                .map(r -> r.get(0, String.class));
        return new Facets(values(LISTING.TYPE, kind), families, values(LISTING.OPENING, kind));
    }

    private List<String> values(Field<String> field, String kind) {
        return db.selectDistinct(field)
                .from(LISTING)
                .where(LISTING.KIND.eq(kind), LISTING.BUILDABLE.isTrue(), field.ne(""))
                .orderBy(field)
                .fetch(field);
    }

    static Listing listing(ListingRecord r) {
        return new Listing(
                r.getId(),
                r.getKind(),
                r.getName(),
                r.getMaker(),
                r.getType(),
                List.of(r.getFamilies()),
                r.getOpening(),
                List.of(r.getCarries()),
                Optional.ofNullable(r.getPriceCents()),
                Optional.ofNullable(r.getStock()),
                Optional.ofNullable(r.getDays()),
                r.getBuildable(),
                List.of(r.getFits()));
    }

    /** Lists a sheet anew; stock and days to wait are not the sheet's and stay. */
    static void list(DSLContext tx, Listing l) {
        tx.insertInto(LISTING)
                .set(record(tx, l))
                .onConflict(LISTING.ID)
                .doUpdate()
                .set(LISTING.KIND, l.kind())
                .set(LISTING.NAME, l.name())
                .set(LISTING.MAKER, l.maker())
                .set(LISTING.TYPE, l.type())
                .set(LISTING.FAMILIES, l.families().toArray(String[]::new))
                .set(LISTING.OPENING, l.opening())
                .set(LISTING.CARRIES, l.carries().toArray(String[]::new))
                .set(LISTING.PRICE_CENTS, l.priceCents().orElse(null))
                .set(LISTING.BUILDABLE, true)
                .set(LISTING.FITS, l.fits().toArray(String[]::new))
                .set(LISTING.WORDS, l.words())
                .execute();
    }

    private static ListingRecord record(DSLContext tx, Listing l) {
        ListingRecord r = tx.newRecord(LISTING);
        r.setId(l.id());
        r.setKind(l.kind());
        r.setName(l.name());
        r.setMaker(l.maker());
        r.setType(l.type());
        r.setFamilies(l.families().toArray(String[]::new));
        r.setOpening(l.opening());
        r.setCarries(l.carries().toArray(String[]::new));
        r.setPriceCents(l.priceCents().orElse(null));
        r.setStock(l.stock().orElse(null));
        r.setDays(l.days().orElse(null));
        r.setBuildable(l.buildable());
        r.setWords(l.words());
        r.setFits(l.fits().toArray(String[]::new));
        return r;
    }

    /** Lists sheets that were stored before there were shelves. */
    public void relist() {
        db.select(SHEET.BODY)
                .from(SHEET)
                .leftAntiJoin(LISTING)
                .on(LISTING.ID.eq(SHEET.ID))
                .where(SHEET.KIND.ne(Library.CATALOGUE))
                .fetch(SHEET.BODY)
                .forEach(body -> Document.read(body.data()).sheet().ifPresent(s -> list(db, Listing.of(s))));
    }
}
