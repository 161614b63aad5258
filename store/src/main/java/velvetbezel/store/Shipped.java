package velvetbezel.store;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;

/** Catalogues that ship with the program. */
final class Shipped {
    private Shipped() {}

    /** @param name of a file beside this class */
    static Object tree(String name) {
        return Json.parse(text(name));
    }

    static String text(String name) {
        try (InputStream in = Shipped.class.getResourceAsStream("/velvetbezel/store/" + name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("%s, which ships with the program, cannot be read.".formatted(name), e);
        }
    }
}
