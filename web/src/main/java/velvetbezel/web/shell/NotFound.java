package velvetbezel.web.shell;

/** Nothing is kept under this address; the message says what was asked for, and what to do. */
public class NotFound extends RuntimeException {
    private static final long serialVersionUID = 1;
    private final String title;

    /** @param title a few words for the head of the page */
    public NotFound(String title, String message) {
        super(message);
        this.title = title;
    }

    String title() {
        return title;
    }
}
