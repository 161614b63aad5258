package velvetbezel.store;

import java.time.Instant;

/** Somebody else changed the same field since this person loaded the page. Nothing was written. */
public class StaleEdit extends RuntimeException {
    private static final long serialVersionUID = 1;
    private final String field;
    private final String mine;
    private final String theirs;
    private final String who;
    private final transient Instant at;

    StaleEdit(String field, String mine, String theirs, String who, Instant at) {
        super("%s was changed to \"%s\" by %s meanwhile; your \"%s\" was not saved."
                .formatted(field, theirs, who, mine));
        this.field = field;
        this.mine = mine;
        this.theirs = theirs;
        this.who = who;
        this.at = at;
    }

    public String field() {
        return field;
    }

    public String mine() {
        return mine;
    }

    public String theirs() {
        return theirs;
    }

    public String who() {
        return who;
    }

    public Instant at() {
        return at;
    }
}
