package velvetbezel.store;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import velvetbezel.sheet.InvalidInput;

/** Texts in a ZIP. Reading stops at a size no honest archive has, so that a small file cannot fill the memory. */
final class Zip {
    private static final int MOST_BYTES = 60_000_000;
    private static final int MOST_ENTRIES = 12_000;

    private Zip() {}

    /** @return the same bytes for the same texts */
    static byte[] write(Map<String, String> texts) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (var text : texts.entrySet()) {
                ZipEntry entry = new ZipEntry(text.getKey());
                entry.setTime(0);
                zip.putNextEntry(entry);
                zip.write(text.getValue().getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }

    /**
     * @param kind what it should be, for messages
     * @throws InvalidInput if it is no ZIP, cut short, too large, or names a place outside itself
     */
    static Map<String, String> read(byte[] bytes, String kind) {
        if (bytes.length < 4 || bytes[0] != 'P' || bytes[1] != 'K')
            throw new InvalidInput("archive", "is no ZIP file. Choose %s.".formatted(kind));
        Map<String, String> files = new LinkedHashMap<>();
        int total = 0;
        boolean complete = endsProperly(bytes);
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            for (ZipEntry e = zip.getNextEntry(); e != null; e = zip.getNextEntry()) {
                if (e.isDirectory()) continue;
                byte[] content = zip.readNBytes(MOST_BYTES - total + 1);
                total += content.length;
                if (total > MOST_BYTES || files.size() >= MOST_ENTRIES)
                    throw new InvalidInput(
                            "archive",
                            "is larger than %d MB or %d files unpacked; nothing was imported. Split it."
                                    .formatted(MOST_BYTES / 1_000_000, MOST_ENTRIES));
                if (outside(e.getName()))
                    throw new InvalidInput(e.getName(), "names a place outside the archive; nothing was imported.");
                if (files.put(e.getName(), new String(content, StandardCharsets.UTF_8)) != null)
                    throw new InvalidInput(e.getName(), "comes twice in the archive.");
            }
        } catch (IOException e) {
            complete = false;
        }
        if (!complete)
            throw new InvalidInput(
                    "archive",
                    "is cut short or damaged: its end is missing. Copy it again from where it was saved; nothing was imported.");
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
