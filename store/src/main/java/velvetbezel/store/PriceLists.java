package velvetbezel.store;

import static velvetbezel.store.rows.Tables.INTAKE_ROW;
import static velvetbezel.store.rows.Tables.SHEET;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.function.IntConsumer;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;

/** A price list that was read line by line, beside what is on the shelves: what would change, and its taking in. */
final class PriceLists {
    private static final int CHUNK = 20_000;

    private PriceLists() {}

    /** Compares every line that could be read with the shelf, all at once. */
    static void judge(DSLContext db, UUID id) {
        // without figures on what was just stored the planner compares every line with every part
        db.execute("analyze intake_row");
        db.execute(
                """
            update intake_row r set verdict = 'refused',
                note = 'number "' || r.item || '" stands in line ' || d.first || ' too; keep one of them.'
            from (select item, min(line) as first from intake_row where intake_id = ?
                and item <> '' group by item having count(*) > 1) d
            where r.intake_id = ? and r.item = d.item and r.line <> d.first and r.verdict = 'read'""",
                id,
                id);
        db.execute(
                """
            update intake_row r set name = coalesce(nullif(r.name, ''), l.name), verdict = case
                when l.kind = 'vehicle' or coalesce(r.body->>'kind' = 'radio',
                    l.kind = 'radio') <> (l.kind = 'radio') then 'refused'
                when coalesce((r.body->>'price')::bigint, l.price_cents) is not distinct from l.price_cents
                 and coalesce((r.body->>'stock')::int, l.stock) is not distinct from l.stock
                 and coalesce((r.body->>'days')::int, l.days) is not distinct from l.days
                 and (l.buildable or (coalesce(r.body->>'name', l.name) = l.name and coalesce(r.body->>'maker',
                     l.maker) = l.maker and coalesce(nullif(r.body->>'kind', 'radio'), l.type) = l.type
                      and coalesce(r.body->>'opening', l.opening) = l.opening and (r.body->>'plug' is null
                          or l.families = array[r.body->>'plug']))) then 'unchanged'
                else 'changed' end,
              note = case when l.kind = 'vehicle'
                  then 'number "' || r.item || '" is a vehicle in the library; radios and parts only.'
                when coalesce(r.body->>'kind' = 'radio', l.kind = 'radio') <> (l.kind = 'radio')
                    then 'number "' || r.item || '" is a ' || l.kind || ' in the library, and here of kind "' ||
                    (r.body->>'kind') || '"; correct one of the two.' else concat_ws(', ',
                case when (r.body->>'price')::bigint <> coalesce(l.price_cents, -1)
                    then 'price ' || coalesce(to_char(l.price_cents / 100.0, 'FM9999990.00'),
                    'none') || ' → ' || to_char((r.body->>'price')::bigint / 100.0, 'FM9999990.00') end,
                case when (r.body->>'stock')::int <> coalesce(l.stock, -1) then 'stock ' || coalesce(l.stock::text,
                    'not counted') || ' → ' || (r.body->>'stock') end,
                case when (r.body->>'days')::int <> coalesce(l.days, -1) then 'days ' || coalesce(l.days::text,
                    'none') || ' → ' || (r.body->>'days') end,
                case when not l.buildable and r.body->>'name' <> l.name
                    then 'name "' || l.name || '" → "' || (r.body->>'name') || '"' end,
                case when not l.buildable and r.body->>'maker' <> l.maker
                    then 'maker ' || l.maker || ' → ' || (r.body->>'maker') end,
                case when not l.buildable and l.kind <> 'radio' and r.body->>'kind' <> l.type
                    then 'kind ' || l.type || ' → ' || (r.body->>'kind') end) end
            from listing l where r.intake_id = ? and r.verdict = 'read' and l.id = r.item""",
                id);
        db.execute(
                """
            update intake_row r set verdict = case when r.body ?? 'name' and r.body ?? 'kind' then 'added'
                else 'refused' end,
              note = case when r.body ?? 'name' and r.body ?? 'kind'
                  then 'not yet buildable: its positions are not known'
                  else 'number "' || r.item || '" is new, and a new radio or part needs a name and a kind.' end
            where r.intake_id = ? and r.verdict = 'read'""",
                id);
    }

    /**
     * Takes in the lines that can be.
     *
     * @param done told after every few thousand the last line so far
     */
    static void take(DSLContext tx, UUID id, IntConsumer done) {
        int last = tx.select(DSL.max(INTAKE_ROW.LINE))
                .from(INTAKE_ROW)
                .where(INTAKE_ROW.INTAKE_ID.eq(id))
                .fetchSingle()
                .value1();
        for (int from = 0; from <= last; from += CHUNK) {
            takeChunk(tx, id, from, from + CHUNK - 1);
            done.accept(Math.min(last, from + CHUNK));
        }
        // the planner must know of the new lines at once, or the first searches read them all
        tx.execute("analyze listing");
    }

    private static void takeChunk(DSLContext tx, UUID id, int from, int to) {
        tx.execute(
                """
            insert into listing (id, kind, name, maker, type, families, opening, carries, price_cents, stock, days,
                buildable, words)
            select r.item, case when r.body->>'kind' = 'radio' then 'radio' else 'part' end, r.body->>'name',
                coalesce(r.body->>'maker', ''), case when r.body->>'kind' = 'radio' then '' else r.body->>'kind'
                end, case when r.body ?? 'plug' then array[r.body->>'plug'] else '{}' end,
                coalesce(r.body->>'opening', ''), '{}',
              (r.body->>'price')::bigint, (r.body->>'stock')::int, (r.body->>'days')::int, false,
              lower(concat_ws(' ', r.item, r.body->>'name', r.body->>'maker', r.body->>'kind', r.body->>'opening',
                  r.body->>'plug'))
            from intake_row r where r.intake_id = ? and r.verdict = 'added' and r.line between ? and ?""",
                id,
                from,
                to);
        tx.execute(
                """
            update listing l set price_cents = coalesce((r.body->>'price')::bigint, l.price_cents),
                stock = coalesce((r.body->>'stock')::int, l.stock), days = coalesce((r.body->>'days')::int, l.days),
              name = case when l.buildable then l.name else coalesce(r.body->>'name', l.name) end, maker = case
                  when l.buildable then l.maker else coalesce(r.body->>'maker', l.maker) end,
              type = case when l.buildable then l.type else coalesce(nullif(r.body->>'kind', 'radio'), l.type) end,
                  opening = case when l.buildable then l.opening else coalesce(r.body->>'opening', l.opening) end,
              families = case when l.buildable or not r.body ?? 'plug' then l.families else array[r.body->>'plug'] end,
              words = case when l.buildable then l.words else lower(concat_ws(' ', l.id, coalesce(r.body->>'name',
                  l.name), coalesce(r.body->>'maker', l.maker), coalesce(r.body->>'kind', l.type),
                coalesce(r.body->>'opening', l.opening), r.body->>'plug')) end
            from intake_row r where r.intake_id = ? and r.verdict = 'changed' and r.line between ? and ?
                and l.id = r.item""",
                id,
                from,
                to);
        tx.execute(
                """
            insert into sheet_history (sheet_id, revision, who, what, body)
            select s.id, s.revision, i.who, 'Price, from ' || i.name, s.body from sheet s join intake_row r
                on r.item = s.id join intake i on i.id = r.intake_id
            where r.intake_id = ? and r.verdict = 'changed' and r.line between ? and ? and r.body ?? 'price'
                and (s.body->>'price')::numeric * 100 is distinct from (r.body->>'price')::numeric""",
                id,
                from,
                to);
        tx.execute(
                """
            update sheet s set revision = s.revision + 1, body = jsonb_set(s.body, '{price}',
                to_jsonb(round((r.body->>'price')::numeric / 100, 2)))
            from intake_row r where r.intake_id = ? and r.verdict = 'changed' and r.line between ? and ?
                and s.id = r.item and r.body ?? 'price'
              and (s.body->>'price')::numeric * 100 is distinct from (r.body->>'price')::numeric""",
                id,
                from,
                to);
        tx.fetch(
                        """
            select s.id, s.typed, (s.body->>'price')::numeric from sheet s join intake_row r on r.item = s.id
            where r.intake_id = ? and r.verdict = 'changed' and r.line between ? and ? and r.body ?? 'price'
                and s.typed is not null""",
                        id,
                        from,
                        to)
                .forEach(r -> typedPrice(tx, r.get(0, String.class), r.get(1, String.class), r.get(2, Double.class)));
    }

    /** What was typed keeps the order in which it was typed. */
    private static void typedPrice(DSLContext tx, String sheet, String typed, Double price) {
        Map<String, Object> tree = new LinkedHashMap<>();
        ((Map<?, ?>) Json.parse(typed)).forEach((k, v) -> tree.put((String) k, v));
        tree.put("price", price);
        tx.update(SHEET)
                .set(SHEET.TYPED, Json.write(tree))
                .where(SHEET.ID.eq(sheet))
                .execute();
    }
}
