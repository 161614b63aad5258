package velvetbezel.store;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import velvetbezel.draft.Blocks;

/** The building blocks that ship with the program. */
public final class StandardBlocks {
    private static final Blocks BLOCKS = read();

    private StandardBlocks() {}

    public static Blocks all() {
        return BLOCKS;
    }

    private static Blocks read() {
        try (InputStream in = StandardBlocks.class.getResourceAsStream("/velvetbezel/store/blocks.json")) {
            return Blocks.read(Json.parse(new String(in.readAllBytes(), StandardCharsets.UTF_8)));
        } catch (IOException e) {
            throw new UncheckedIOException("The building blocks cannot be read.", e);
        }
    }
}
