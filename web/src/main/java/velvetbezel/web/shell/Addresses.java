package velvetbezel.web.shell;

import jakarta.servlet.http.HttpServletRequest;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;

/** Addresses of our own pages. */
public final class Addresses {
    private Addresses() {}

    /** A text as the value of a query. */
    public static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    /** A page of ours, whatever was sent. */
    public static String local(String back) {
        return back.matches("/[A-Za-z0-9][!-\\[\\]-~]*") ? back : "/jobs";
    }

    /** What was asked for, with its query. */
    public static String asked(HttpServletRequest request) {
        return request.getRequestURI() + (request.getQueryString() == null ? "" : "?" + request.getQueryString());
    }
}
