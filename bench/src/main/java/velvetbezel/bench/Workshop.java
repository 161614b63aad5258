package velvetbezel.bench;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import velvetbezel.function.Catalogue;
import velvetbezel.sheet.Sheet;
import velvetbezel.store.Document;

/** The demo's sheets, for measuring. */
final class Workshop {
    private static final List<Document> DOCUMENTS = read();

    private Workshop() {}

    private static List<Document> read() {
        try (Stream<Path> files = Files.walk(Path.of(System.getProperty("vb.demo", "demo")))) {
            return files.filter(f -> f.toString().endsWith(".json"))
                    .sorted()
                    .map(Workshop::document)
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException("The demo folder was not found: run from the project's root.", e);
        }
    }

    private static Document document(Path file) {
        try {
            return Document.read(Files.readString(file));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static <T extends Sheet> List<T> all(Class<T> type) {
        return DOCUMENTS.stream()
                .flatMap(d -> d.sheet().stream())
                .filter(type::isInstance)
                .map(type::cast)
                .toList();
    }

    static <T extends Sheet> T find(Class<T> type, String id) {
        return all(type).stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow();
    }

    static List<Sheet.Part> parts(String... ids) {
        return Stream.of(ids).map(id -> find(Sheet.Part.class, id)).toList();
    }

    static Catalogue catalogue() {
        return DOCUMENTS.stream()
                .flatMap(d -> d.catalogue().stream())
                .findFirst()
                .orElseThrow();
    }

    static String text(String id) {
        return DOCUMENTS.stream()
                .filter(d -> d.id().equals(id))
                .findFirst()
                .orElseThrow()
                .body();
    }
}
