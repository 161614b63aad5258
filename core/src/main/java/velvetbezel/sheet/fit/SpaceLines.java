package velvetbezel.sheet.fit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.sheet.InputProblem;

/**
 * Measures as people type them, one thing a line:
 *
 * <pre>
 * opening: w 184, h 104 ±0.2
 * band upper band: x -16..200, y 38..128, depth 150..220?
 * in the way rib: x 40..52, y 96..128, z 30..150, may trim
 * also rib: x 40..150, y 118..128, z 30..150, may never, bears dash pad
 * </pre>
 *
 * A question mark says that nobody measured it; where a length comes from stands behind it: {@code 205 (stated)}. Each
 * line becomes a piece of {@code site}, {@code body} or {@code frame}, and goes back to the same line.
 */
public final class SpaceLines {
    private final List<SpaceSection> sections;
    private final List<InputProblem> faults = new ArrayList<>();

    private SpaceLines(List<SpaceSection> sections) {
        this.sections = sections;
    }

    /** What typed lines say. @param faults by line; a line with one is left out */
    public record Read(Map<String, Object> tree, List<InputProblem> faults) {}

    public static Read site(String text) {
        return new SpaceLines(SpaceSection.SITE).read(text);
    }

    public static Read body(String text) {
        return new SpaceLines(SpaceSection.BODY).read(text);
    }

    public static Read frame(String text) {
        return new SpaceLines(SpaceSection.FRAME).read(text);
    }

    /** @param tree of a sheet's {@code site} */
    public static String ofSite(Object tree) {
        return write(SpaceSection.SITE, tree);
    }

    public static String ofBody(Object tree) {
        return write(SpaceSection.BODY, tree);
    }

    public static String ofFrame(Object tree) {
        return write(SpaceSection.FRAME, tree);
    }

    private static String write(List<SpaceSection> sections, Object tree) {
        List<String> lines = new ArrayList<>();
        for (SpaceSection s : sections) lines.addAll(s.lines(tree));
        return String.join("\n", lines);
    }

    private Read read(String text) {
        Map<String, Object> tree = new LinkedHashMap<>();
        int number = 0;
        for (String line : text.lines().toList()) {
            number++;
            if (!line.isBlank()) line(number, line.strip(), tree);
        }
        return new Read(tree, List.copyOf(faults));
    }

    private void line(int number, String line, Map<String, Object> tree) {
        int colon = line.indexOf(':');
        String head = (colon < 0 ? line : line.substring(0, colon)).strip();
        Optional<SpaceSection> section = sections.stream()
                .filter(s -> s.begins(head))
                .max(Comparator.comparingInt(s -> s.word().length()));
        if (section.isEmpty()) {
            fault(
                    number,
                    "begins with \"%s\"; expected one of %s."
                            .formatted(
                                    head,
                                    String.join(
                                            ", ",
                                            sections.stream()
                                                    .map(SpaceSection::word)
                                                    .toList())));
            return;
        }
        String name = head.substring(section.get().word().length()).strip();
        List<String> wrong = new ArrayList<>();
        Map<String, Object> values =
                section.get().values(colon < 0 ? "" : line.substring(colon + 1).strip(), wrong);
        if (section.get().named() && name.isEmpty())
            wrong.add("has no name: \"%s …\".".formatted(section.get().word()));
        if (wrong.isEmpty()) section.get().put(tree, name, values).ifPresent(wrong::add);
        wrong.forEach(w -> fault(number, w));
    }

    private void fault(int line, String message) {
        faults.add(new InputProblem("line " + line, message));
    }
}
