package velvetbezel.web.shell;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.support.RequestDataValueProcessor;

/**
 * Every form carries what only our own pages know: the value of a cookie that other sites can neither read nor set
 * (OWASP, cross-site request forgery, double submit). A change without it is refused.
 */
@Component("requestDataValueProcessor")
class FormToken implements HandlerInterceptor, RequestDataValueProcessor {
    private static final String NAME = "token";
    private static final String FOR_A_CHANGE = FormToken.class.getName();
    private static final List<String> HARMLESS = List.of("GET", "HEAD", "OPTIONS");
    private static final Duration KEPT = Duration.ofDays(3650);
    private static final int BYTES = 24;
    private final SecureRandom random = new SecureRandom();

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        Optional<String> sent = Who.sent(request, NAME);
        if (HARMLESS.contains(request.getMethod())) {
            request.setAttribute(NAME, sent.orElseGet(() -> made(response)));
            return true;
        }
        String typed = Optional.ofNullable(request.getParameter(NAME)).orElse("");
        if (sent.filter(s -> MessageDigest.isEqual(s.getBytes(), typed.getBytes()))
                .isPresent()) {
            request.setAttribute(NAME, sent.get());
            return true;
        }
        response.setStatus(HttpServletResponse.SC_FORBIDDEN);
        response.setContentType("text/plain; charset=utf-8");
        response.getWriter()
                .write(
                        "This form is not of a page that this browser loaded here. Nothing was changed; go back, load the page again, and repeat the step.");
        return false;
    }

    private String made(HttpServletResponse response) {
        byte[] bytes = new byte[BYTES];
        random.nextBytes(bytes);
        String token = HexFormat.of().formatHex(bytes);
        ResponseCookie cookie = ResponseCookie.from(NAME, token)
                .path("/")
                .maxAge(KEPT)
                .httpOnly(true)
                .sameSite("Lax")
                .build();
        response.addHeader(HttpHeaders.SET_COOKIE, cookie.toString());
        return token;
    }

    @Override
    public String processAction(HttpServletRequest request, String action, String method) {
        request.setAttribute(FOR_A_CHANGE, !method.equalsIgnoreCase("get"));
        return action;
    }

    @Override
    public Map<String, String> getExtraHiddenFields(HttpServletRequest request) {
        boolean change = Boolean.TRUE.equals(request.getAttribute(FOR_A_CHANGE));
        Object token = request.getAttribute(NAME);
        return change && token != null ? Map.of(NAME, token.toString()) : Map.of();
    }

    @Override
    public String processFormFieldValue(HttpServletRequest request, String name, String value, String type) {
        return value;
    }

    @Override
    public String processUrl(HttpServletRequest request, String url) {
        return url;
    }
}
