package velvetbezel.store;

import java.sql.SQLException;

/** Tells a full disk from other trouble of the database. */
public final class FullDisk {
    /** PostgreSQL's code for it (appendix A of its manual, class 53). */
    private static final String CODE = "53100";

    private FullDisk() {}

    /** Whether it is behind a failure. */
    public static boolean behind(Throwable failure) {
        for (Throwable t = failure; t != null; t = t.getCause())
            if (t instanceof SQLException sql && CODE.equals(sql.getSQLState())) return true;
        return false;
    }
}
