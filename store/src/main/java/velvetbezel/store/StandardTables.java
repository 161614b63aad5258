package velvetbezel.store;

import velvetbezel.worksheet.Tables;

/** The sizes, limits and small goods that ship with the program, until a workshop has its own. */
public final class StandardTables {
    private static final String TEXT = Shipped.text("tables.json");
    private static final Tables TABLES = Tables.read(Json.parse(TEXT));

    private StandardTables() {}

    public static Tables all() {
        return TABLES;
    }

    public static String text() {
        return TEXT;
    }
}
