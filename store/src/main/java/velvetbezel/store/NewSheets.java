package velvetbezel.store;

import java.util.UUID;
import org.jooq.DSLContext;

/** New sheets that were read and found sound: taken in as they wait. */
final class NewSheets {
    private NewSheets() {}

    /**
     * @param revision of the catalogue that short ones were expanded with
     * @throws org.jooq.exception.DataAccessException where somebody has taken one of the ids meanwhile
     */
    static void take(DSLContext tx, UUID intake, String revision) {
        tx.execute(
                """
            insert into sheet (id, kind, name, revision, body, typed, catalogue)
            select r.item, r.listing->>'kind', r.name, 1, r.whole, case when short then r.body #>> '{}' end, case
                when short then ? end
            from intake_row r, lateral (select (r.listing->>'short')::boolean as short) s
            where r.intake_id = ? and r.whole is not null""",
                revision,
                intake);
        // a price list may have named it before
        tx.execute(
                """
            insert into listing (id, kind, name, maker, type, families, opening, carries, price_cents, buildable,
                words, fits)
            select r.item, l.kind, l.name, l.maker, l.type, l.families, l.opening, l.carries, l.price, true,
                l.words, l.fits
            from intake_row r, jsonb_to_record(r.listing) as l(kind text, name text, maker text, type text,
                families text[], opening text, carries text[], price bigint, words text, fits text[])
            where r.intake_id = ? and r.whole is not null
            on conflict (id) do update set kind = excluded.kind, name = excluded.name, maker = excluded.maker,
                type = excluded.type, families = excluded.families, opening = excluded.opening,
              carries = excluded.carries, price_cents = excluded.price_cents, buildable = true,
                  words = excluded.words, fits = excluded.fits""",
                intake);
    }
}
