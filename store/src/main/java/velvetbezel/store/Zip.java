package velvetbezel.store;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import velvetbezel.sheet.InvalidInput;

/**
 * Files in a ZIP, texts mostly. Reading stops at a size no honest archive has, so that a small file cannot fill
 * the memory.
 */
final class Zip {
    private static final int MOST_BYTES = 60_000_000;
    private static final int MOST_ENTRIES = 12_000;
    /** IBM code page 437, which names in a ZIP are in unless it says UTF-8 (APPNOTE 6.3, appendix D). */
    private static final Charset OLD_NAMES = Charset.forName("IBM437");

    private Zip() {}

    /** @return the same bytes for the same texts */
    static byte[] write(Map<String, String> texts) {
        Map<String, byte[]> files = new LinkedHashMap<>();
        texts.forEach((name, text) -> files.put(name, text.getBytes(StandardCharsets.UTF_8)));
        return writeFiles(files);
    }

    /** @return the same bytes for the same files */
    static byte[] writeFiles(Map<String, byte[]> files) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (var file : files.entrySet()) {
                ZipEntry entry = new ZipEntry(file.getKey());
                entry.setTime(0);
                zip.putNextEntry(entry);
                zip.write(file.getValue());
                zip.closeEntry();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    /** What several ZIPs of one request may hold together. */
    static final class Budget {
        private int bytes = MOST_BYTES;
        private int entries = MOST_ENTRIES;

        private byte[] read(ZipInputStream zip) throws IOException {
            byte[] content = zip.readNBytes(bytes + 1);
            bytes -= content.length;
            entries--;
            if (bytes < 0 || entries < 0)
                throw new InvalidInput(
                        "archive",
                        "is larger than %d MB or %d files unpacked; nothing was imported. Split it."
                                .formatted(MOST_BYTES / 1_000_000, MOST_ENTRIES));
            return content;
        }
    }

    static Map<String, byte[]> readFiles(byte[] bytes, String kind) {
        return readFiles(bytes, kind, new Budget());
    }

    /** As texts. */
    static Map<String, String> read(byte[] bytes, String kind, Budget budget) {
        Map<String, String> texts = new LinkedHashMap<>();
        readFiles(bytes, kind, budget)
                .forEach((name, content) -> texts.put(name, new String(content, StandardCharsets.UTF_8)));
        return texts;
    }

    /**
     * @param kind what it should be, for messages
     * @throws InvalidInput if it is no ZIP, cut short, too large, or names a place outside itself
     */
    static Map<String, byte[]> readFiles(byte[] bytes, String kind, Budget budget) {
        if (bytes.length < 4 || bytes[0] != 'P' || bytes[1] != 'K')
            throw new InvalidInput("archive", "is no ZIP file. Choose %s.".formatted(kind));
        Optional<Map<String, byte[]>> files = Optional.empty();
        if (endsProperly(bytes)) files = unpacked(bytes, budget);
        return files.orElseThrow(
                () -> new InvalidInput(
                        "archive",
                        "is cut short or damaged: its end is missing. Copy it again from where it was saved; nothing was imported."));
    }

    /** Names are in UTF-8 or, where they cannot be, in the alphabet that the format began with. Empty if damaged. */
    private static Optional<Map<String, byte[]>> unpacked(byte[] bytes, Budget budget) {
        int before = budget.bytes;
        int entries = budget.entries;
        try {
            return Optional.of(unpacked(bytes, StandardCharsets.UTF_8, budget));
        } catch (IOException | IllegalArgumentException e) {
            // what the first try unpacked is not unpacked twice
            budget.bytes = before;
            budget.entries = entries;
            try {
                return Optional.of(unpacked(bytes, OLD_NAMES, budget));
            } catch (IOException | IllegalArgumentException damaged) {
                return Optional.empty();
            }
        }
    }

    private static Map<String, byte[]> unpacked(byte[] bytes, Charset names, Budget budget) throws IOException {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes), names)) {
            for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
                if (e.isDirectory()) continue;
                byte[] content = budget.read(zip);
                if (outside(e.getName()))
                    throw new InvalidInput(e.getName(), "names a place outside the archive; nothing was imported.");
                if (files.put(e.getName(), content) != null)
                    throw new InvalidInput(e.getName(), "comes twice in the archive.");
            }
        }
        return files;
    }

    private static boolean outside(String name) {
        return name.startsWith("/")
                || name.contains("\\")
                || name.contains(":")
                || Arrays.asList(name.split("/")).contains("..");
    }

    /** A whole ZIP ends with its directory, whose signature stands in the last 64 KiB. */
    private static boolean endsProperly(byte[] b) {
        for (int i = b.length - 22; i >= Math.max(0, b.length - 65_557); i--)
            if (b[i] == 'P' && b[i + 1] == 'K' && b[i + 2] == 5 && b[i + 3] == 6) return true;
        return false;
    }
}
