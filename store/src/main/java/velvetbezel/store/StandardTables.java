package velvetbezel.store;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import velvetbezel.worksheet.Tables;

/** The sizes, limits and small goods that ship with the program, until a workshop has its own. */
public final class StandardTables {
    private static final String TEXT = read();
    private static final Tables TABLES = Tables.read(Json.parse(TEXT));

    private StandardTables() {}

    public static Tables all() {
        return TABLES;
    }

    public static String text() {
        return TEXT;
    }

    private static String read() {
        try (InputStream in = StandardTables.class.getResourceAsStream("/velvetbezel/store/tables.json")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("The tables cannot be read.", e);
        }
    }
}
