package velvetbezel.store;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.UUID;
import org.flywaydb.core.Flyway;
import org.jooq.DSLContext;
import org.jooq.SQLDialect;
import org.jooq.impl.DSL;

/** A migrated database of its own for one test class, on the server that ./test started. */
final class TestDatabase {
    private TestDatabase() {}

    static DSLContext fresh() throws SQLException {
        String url = System.getenv("VB_DB_URL");
        String user = System.getenv("VB_DB_USER");
        String password = System.getenv("VB_DB_PASSWORD");
        if (url == null) throw new IllegalStateException("VB_DB_URL is not set: run ./test.");
        String name = "t" + UUID.randomUUID().toString().replace("-", "");
        try (Connection c = DriverManager.getConnection(url, user, password)) {
            c.createStatement().execute("create database " + name);
        }
        String own = url.replaceAll("/[^/]+$", "/" + name);
        Flyway.configure().dataSource(own, user, password).load().migrate();
        return DSL.using(DriverManager.getConnection(own, user, password), SQLDialect.POSTGRES);
    }

    /** The same database by a connection of its own, as another request has it. */
    static DSLContext beside(DSLContext db) throws SQLException {
        String own = db.connectionResult(c -> c.getMetaData().getURL());
        return DSL.using(
                DriverManager.getConnection(own, System.getenv("VB_DB_USER"), System.getenv("VB_DB_PASSWORD")),
                SQLDialect.POSTGRES);
    }
}
