package velvetbezel.web.shell;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * What browsers are told of every answer, and which requests are not ours: those under another host's name, and changes
 * sent from another site's page (OWASP, verifying origin with standard headers).
 */
@Component
class SafeAnswers extends OncePerRequestFilter {
    private static final String POLICY =
            "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data:; object-src 'none';"
                    + " base-uri 'none'; form-action 'self'; frame-ancestors 'none'";
    private static final List<String> HARMLESS = List.of("GET", "HEAD", "OPTIONS");
    private static final int MISDIRECTED = 421;
    private final List<String> hosts;

    /** @param hosts names under which the app is reached */
    SafeAnswers(@Value("${vb.hosts}") List<String> hosts) {
        this.hosts = List.copyOf(hosts);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        response.setHeader("Content-Security-Policy", POLICY);
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader("Referrer-Policy", "same-origin");
        if (request.getRequestURI().startsWith("/jobs")) response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        if (!hosts.contains(request.getServerName().toLowerCase(Locale.ROOT)))
            refuse(response, MISDIRECTED, "This app is not reached under this name.");
        else if (!HARMLESS.contains(request.getMethod()) && fromElsewhere(request))
            refuse(
                    response,
                    HttpServletResponse.SC_FORBIDDEN,
                    "The change came from another site's page; nothing was changed. Make it on the app's own page.");
        else if (holdsNul(request))
            refuse(
                    response,
                    HttpServletResponse.SC_BAD_REQUEST,
                    "A field holds the character NUL, which no text has; go back, and type it again. Nothing was changed.");
        else chain.doFilter(request, response);
    }

    /** The database keeps no text with it. Files are looked at where they are read. */
    private static boolean holdsNul(HttpServletRequest request) {
        boolean files = Optional.ofNullable(request.getContentType())
                .filter(t -> t.startsWith("multipart/"))
                .isPresent();
        return !files
                && request.getParameterMap().values().stream()
                        .flatMap(Arrays::stream)
                        .anyMatch(v -> v.indexOf('\0') >= 0);
    }

    private static boolean fromElsewhere(HttpServletRequest request) {
        Optional<String> origin = Optional.ofNullable(request.getHeader(HttpHeaders.ORIGIN));
        if (origin.isPresent()) return !sameHost(origin.get(), request.getHeader(HttpHeaders.HOST));
        return "cross-site".equals(request.getHeader("Sec-Fetch-Site"));
    }

    private static boolean sameHost(String origin, String host) {
        try {
            return host != null && host.equals(URI.create(origin).getAuthority());
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    private static void refuse(HttpServletResponse response, int status, String why) throws IOException {
        response.setStatus(status);
        response.setContentType("text/plain; charset=utf-8");
        response.getWriter().write(why);
    }
}
