package velvetbezel.web.shell;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URI;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;

/**
 * Names what this build shows: a digest over its templates and static files. Static files may be kept for a year under
 * it, and a browser that works without a connection never mixes two of them.
 */
@Component
class Release {
    private static final int LETTERS = 16;
    private static final String STATIC = "classpath*:/static/**/*.*";
    private static final String TEMPLATES = "classpath*:/templates/**/*.html";
    private final String name;

    Release() {
        MessageDigest digest = sha256();
        for (String pattern : List.of(STATIC, TEMPLATES)) for (Resource r : resources(pattern)) add(digest, r);
        this.name = HexFormat.of().formatHex(digest.digest()).substring(0, LETTERS);
    }

    String name() {
        return name;
    }

    /** Addresses of the interface's modules. */
    List<String> modules() {
        return resources("classpath*:/static/js/**/*.js").stream()
                .map(r -> place(r).replaceFirst("static/js/", "/js/" + name + "/"))
                .toList();
    }

    private static void add(MessageDigest digest, Resource r) {
        try (InputStream in = r.getInputStream()) {
            digest.update(in.readAllBytes());
        } catch (IOException e) {
            throw new UncheckedIOException("Part of the build cannot be read: " + r, e);
        }
    }

    private static List<Resource> resources(String pattern) {
        try {
            return Arrays.stream(new PathMatchingResourcePatternResolver().getResources(pattern))
                    .sorted(Comparator.comparing(Release::place))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException("The build's files cannot be listed.", e);
        }
    }

    private static String place(Resource r) {
        try {
            URI uri = r.getURI();
            return uri.toString().replaceAll(".*/(static|templates)/", "$1/");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
