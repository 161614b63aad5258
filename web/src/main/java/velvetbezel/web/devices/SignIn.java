package velvetbezel.web.devices;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.Base64;
import java.util.HexFormat;
import java.util.regex.Pattern;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import velvetbezel.store.Devices;
import velvetbezel.web.shell.Addresses;
import velvetbezel.web.shell.Who;

/** What comes by the network is let in once its device has signed in; this machine's own browser needs nothing. */
@Component
class SignIn extends OncePerRequestFilter {
    static final String PAGE = "/sign-in";
    private static final String COOKIE = "device-key";
    private static final Duration KEPT = Duration.ofDays(365);
    private static final int KEY_BYTES = 32;
    private static final Pattern OPEN =
            Pattern.compile("/sign-in|/offline|/worker\\.js|/favicon\\.svg|/(css|js|fonts|webjars)/.*");
    private static final Pattern WITH_THE_CERTIFICATE =
            Pattern.compile("/connect|/ca\\.crt|/favicon\\.svg|/(css|js|fonts|webjars)/.*");

    private final Lan lan;
    private final Devices devices;
    private final SecureRandom random = new SecureRandom();

    SignIn(Lan lan, Devices devices) {
        this.lan = lan;
        this.devices = devices;
    }

    /** Signs a device in. @return what it shows from now on */
    ResponseCookie cookie(String name) {
        byte[] bytes = new byte[KEY_BYTES];
        random.nextBytes(bytes);
        String key = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        devices.signIn(name, digest(key));
        return ResponseCookie.from(COOKIE, key)
                .path("/")
                .maxAge(KEPT)
                .httpOnly(true)
                .secure(true)
                .sameSite("Lax")
                .build();
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        String path = request.getRequestURI();
        if (lan.on() && request.getLocalPort() == lan.certificatePort()) {
            if (WITH_THE_CERTIFICATE.matcher(path).matches()) chain.doFilter(request, response);
            else response.sendRedirect("/connect");
            return;
        }
        boolean here = !lan.on() || request.getLocalPort() != lan.port();
        if (here || OPEN.matcher(path).matches() || signedIn(request)) chain.doFilter(request, response);
        else if (request.getMethod().equals("GET"))
            response.sendRedirect(PAGE + "?back=" + Addresses.encoded(Addresses.asked(request)));
        else {
            response.setStatus(HttpServletResponse.SC_UNAUTHORIZED);
            response.setContentType("text/plain; charset=utf-8");
            response.getWriter()
                    .write("This device is not signed in. Nothing was changed; sign in, and send it again.");
        }
    }

    private boolean signedIn(HttpServletRequest request) {
        return Who.sent(request, COOKIE)
                .map(SignIn::digest)
                .filter(devices::knows)
                .isPresent();
    }

    private static String digest(String key) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(key.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
