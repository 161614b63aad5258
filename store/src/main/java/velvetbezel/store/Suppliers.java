package velvetbezel.store;

import static velvetbezel.store.rows.Tables.SUPPLIER_HEADING;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;

/** What the headings of suppliers' price lists stand for, as somebody said once. Headings are in small letters. */
public class Suppliers {
    private final DSLContext db;

    public Suppliers(DSLContext db) {
        this.db = db;
    }

    public List<String> names() {
        return db.selectDistinct(SUPPLIER_HEADING.SUPPLIER)
                .from(SUPPLIER_HEADING)
                .orderBy(SUPPLIER_HEADING.SUPPLIER)
                .fetch(SUPPLIER_HEADING.SUPPLIER);
    }

    /** Column by heading, empty text for one that is left out; nothing for a supplier that nobody knows. */
    public Map<String, String> learned(String supplier) {
        return db.selectFrom(SUPPLIER_HEADING)
                .where(DSL.lower(SUPPLIER_HEADING.SUPPLIER).eq(supplier.strip().toLowerCase(Locale.ROOT)))
                .fetchMap(SUPPLIER_HEADING.HEADING, SUPPLIER_HEADING.MEANING);
    }

    /** The one supplier who heads columns so; empty where none does, or several. */
    Optional<String> whose(List<String> headings) {
        List<String> known = names().stream()
                .filter(s -> PriceListCsv.columns(headings, learned(s)).isPresent())
                .toList();
        return known.size() == 1 ? Optional.of(known.get(0)) : Optional.empty();
    }

    /** From now on these headings mean this; others of this supplier stay as they are. */
    void learn(String supplier, Map<String, String> meanings) {
        String name = names().stream()
                .filter(n -> n.equalsIgnoreCase(supplier.strip()))
                .findFirst()
                .orElse(supplier.strip());
        db.transaction(t -> meanings.forEach((heading, meaning) -> t.dsl()
                .insertInto(SUPPLIER_HEADING)
                .values(name, heading, meaning)
                .onConflict(SUPPLIER_HEADING.SUPPLIER, SUPPLIER_HEADING.HEADING)
                .doUpdate()
                .set(SUPPLIER_HEADING.MEANING, meaning)
                .execute()));
    }
}
