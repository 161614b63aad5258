package velvetbezel.store;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import org.erdtman.jcs.JsonCanonicalizer;
import velvetbezel.controls.SetUpFile;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Node;

/**
 * Set-up files: JSON in the canonical form of RFC 8785, with a SHA-256 over all of it but the digest itself, so that a
 * file that was cut or changed is known as such. The canonical bytes are what a device stores.
 */
public final class SetUpFiles {
    private static final String FORMAT = "velvet-bezel/set-up";
    private static final int VERSION = 1;
    private static final int MOST_REVISION = 65_535;
    private static final int MOST_STEPS = 1 << 24;

    private SetUpFiles() {}

    public static byte[] write(SetUpFile file) {
        Map<String, Object> tree = tree(file);
        tree.put("digest", digest(tree));
        return canonical(tree);
    }

    /** SHA-256 over the canonical file without it, in hexadecimal. */
    public static String digest(SetUpFile file) {
        return digest(tree(file));
    }

    private static Map<String, Object> tree(SetUpFile file) {
        Map<String, Object> tree = new LinkedHashMap<>();
        tree.put("format", FORMAT);
        tree.put("version", VERSION);
        tree.put("for", Map.of("device", file.device(), "revision", file.revision(), "serial", file.serial()));
        tree.put("vehicle", file.vehicle());
        tree.put(
                "radio",
                file.radioSerial().isEmpty()
                        ? Map.of("model", file.radio())
                        : Map.of("model", file.radio(), "serial", file.radioSerial()));
        tree.put("settings", file.settings());
        tree.put("map", file.map());
        tree.put("windows", file.windows());
        return tree;
    }

    private static byte[] canonical(Map<String, Object> tree) {
        try {
            return new JsonCanonicalizer(Json.write(tree)).getEncodedUTF8();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String digest(Map<String, Object> tree) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(canonical(tree)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256.", e);
        }
    }

    /**
     * @param bytes UTF-8; fields in any order
     * @throws InvalidInput where it is no such file, of a newer version, or not as it was written
     */
    public static SetUpFile read(byte[] bytes) {
        Object parsed = Json.parse(new String(bytes, StandardCharsets.UTF_8));
        List<InputProblem> faults = new ArrayList<>();
        Node node = Node.root(parsed, faults);
        if (!node.isObject()
                || !FORMAT.equals(node.at("format").isText() ? node.at("format").text() : ""))
            throw new InvalidInput(
                    "format", "is not \"%s\"; choose a set-up file that was saved here.".formatted(FORMAT));
        if (node.at("version").number(1, MOST_STEPS) > VERSION)
            throw new InvalidInput(
                    "version",
                    "is %s, and this program reads %d; save the file with this program, or take a newer program."
                            .formatted(((Map<?, ?>) parsed).get("version"), VERSION));
        SetUpFile file = file(node);
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        whole(parsed);
        return file;
    }

    private static SetUpFile file(Node node) {
        node.only("format", "version", "for", "vehicle", "radio", "settings", "map", "windows", "digest");
        Node device = node.at("for").only("device", "revision", "serial");
        Node radio = node.at("radio").only("model", "serial");
        SortedMap<String, SortedMap<String, List<Integer>>> windows = new TreeMap<>();
        node.at("windows").fields().forEach((terminal, buttons) -> {
            SortedMap<String, List<Integer>> of = new TreeMap<>();
            buttons.fields()
                    .forEach((button, ends) -> of.put(
                            button,
                            ends.list().stream()
                                    .map(e -> (int) e.number(0, MOST_STEPS))
                                    .toList()));
            windows.put(terminal, of);
        });
        return new SetUpFile(
                device.at("device").text(),
                (int) device.at("revision").number(1, MOST_REVISION),
                device.at("serial").text(),
                node.at("vehicle").text(),
                radio.at("model").text(),
                radio.at("serial").optionalText().orElse(""),
                texts(node.at("settings")),
                texts(node.at("map")),
                windows);
    }

    private static SortedMap<String, String> texts(Node node) {
        SortedMap<String, String> texts = new TreeMap<>();
        node.fields().forEach((name, value) -> texts.put(name, value.text()));
        return texts;
    }

    @SuppressWarnings("unchecked")
    private static void whole(Object parsed) {
        Map<String, Object> tree = new LinkedHashMap<>((Map<String, Object>) parsed);
        Object said = tree.remove("digest");
        if (!digest(tree).equals(said))
            throw new InvalidInput(
                    "digest",
                    "does not belong to the rest: the file was changed or cut after it was saved. Save it anew.");
    }
}
