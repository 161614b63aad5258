package velvetbezel.store;

import java.time.Clock;
import java.util.UUID;
import org.jooq.DSLContext;
import org.junit.jupiter.api.BeforeEach;

/** The demo's workshop, into which something is brought. */
abstract class Importing {
    protected DSLContext db;
    protected Library library;
    protected Imports intakes;
    protected Shelves shelves;

    @BeforeEach
    void fresh() throws Exception {
        db = TestDatabase.fresh();
        library = new Library(db);
        intakes = new Imports(db, Clock.systemUTC());
        shelves = new Shelves(db);
        library.take(StoreTest.demo(), "Ines");
    }

    protected Imports.Import now(UUID id) {
        return intakes.find(id).orElseThrow();
    }
}
