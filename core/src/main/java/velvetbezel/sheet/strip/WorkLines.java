package velvetbezel.sheet.strip;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import velvetbezel.sheet.InputProblem;

/**
 * Works and extras as people type them, one a line:
 *
 * <pre>
 * delete paired phones (before): needs key accessory or run, with radio.main, minutes 1 2 5
 * cables through (open): open radio, before radio
 * USB lead (extra): open glove box loose, minutes 5 8 15
 * </pre>
 */
public final class WorkLines {
    private static final String EXTRA = "extra";
    private static final String GRAMMAR =
            "open radio, needs key run, with radio.main, without radio.main, after …, " + "before radio, minutes 1 2 4";

    private WorkLines() {}

    /** @param works and {@code extras} as a sheet writes them; a line with a fault is left out */
    public record Read(List<Object> works, List<Object> extras, List<InputProblem> faults) {}

    public static Read read(String text) {
        Read read = new Read(new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
        int number = 0;
        for (String line : text.lines().toList()) {
            number++;
            if (!line.isBlank()) line(line.strip(), number, read);
        }
        return read;
    }

    private static void line(String line, int number, Read read) {
        int colon = line.indexOf(':');
        String head = colon < 0 ? line : line.substring(0, colon).strip();
        String phase = head.endsWith(")") ? head.substring(head.lastIndexOf('(') + 1, head.length() - 1) : "";
        if (phase.isEmpty() || !phase.equals(EXTRA) && WorkPhase.find(phase).isEmpty()) {
            read.faults.add(new InputProblem(
                    "work " + number,
                    "\"%s\" does not say when: end the name with (before), (open), (bench), (after test), (last) or (extra)."
                            .formatted(line)));
            return;
        }
        Map<String, Object> work = new LinkedHashMap<>();
        work.put("id", head.substring(0, head.lastIndexOf('(')).strip());
        if (!phase.equals(EXTRA)) work.put("phase", phase);
        boolean good = true;
        if (colon >= 0)
            for (String phrase : line.substring(colon + 1).split(","))
                if (!phrase.isBlank() && !phrase(phrase.strip(), work)) {
                    good = false;
                    read.faults.add(new InputProblem(
                            "work " + number,
                            "\"%s\" is not understood. Known are: %s.".formatted(phrase.strip(), GRAMMAR)));
                }
        if (good) (phase.equals(EXTRA) ? read.extras : read.works).add(work);
    }

    private static boolean phrase(String phrase, Map<String, Object> work) {
        int space = phrase.indexOf(' ');
        if (space < 0) return false;
        String rest = phrase.substring(space + 1).strip();
        switch (phrase.substring(0, space)) {
            case "open" -> add(work, "open", rest.endsWith(" loose") ? rest.replaceAll(" loose$", ":loose") : rest);
            case "with" -> add(work, "plugged", rest);
            case "without" -> add(work, "unplugged", rest);
            case "after" -> add(work, "after", rest);
            case "before" -> add(work, "before", rest);
            case "needs" -> {
                return StateWords.put(rest, work, "needs");
            }
            case "minutes" -> {
                if (!rest.matches("[0-9. ]+")) return false;
                work.put(
                        "minutes",
                        Arrays.stream(rest.split(" +")).map(Double::valueOf).toList());
            }
            default -> {
                return false;
            }
        }
        return true;
    }

    @SuppressWarnings("unchecked") // only lists are put under these names here
    private static void add(Map<String, Object> work, String name, String value) {
        ((List<Object>) work.computeIfAbsent(name, n -> new ArrayList<>())).add(value);
    }

    public static String write(List<Work> works, List<PossibleExtra> extras) {
        List<String> lines = new ArrayList<>();
        works.forEach(w -> lines.add(line(w)));
        extras.forEach(x -> lines.add("%s (%s): %s"
                .formatted(x.id(), EXTRA, String.join(", ", with(opens(x.open()), minutes(x.minutes()))))));
        return String.join("\n", lines);
    }

    private static List<String> with(List<String> phrases, String more) {
        List<String> all = new ArrayList<>(phrases);
        all.add(more);
        return all;
    }

    private static List<String> opens(List<Behind> open) {
        return open.stream()
                .map(b -> "open " + b.item() + (b.atLeast() == ItemPosition.LOOSE ? " loose" : ""))
                .toList();
    }

    private static String minutes(Minutes m) {
        return "minutes %s %s %s".formatted(m.least(), m.usual(), m.most()).replace(".0", "");
    }

    private static String line(Work w) {
        List<String> phrases = new ArrayList<>(opens(w.open()));
        w.needs().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(e -> phrases.add("needs %s %s"
                        .formatted(
                                e.getKey().label(),
                                e.getValue().stream().sorted().collect(Collectors.joining(" or ")))));
        w.plugged().stream().sorted().forEach(c -> phrases.add("with " + c));
        w.unplugged().stream().sorted().forEach(c -> phrases.add("without " + c));
        w.after().stream().sorted().forEach(a -> phrases.add("after " + a));
        w.before().stream().sorted().forEach(i -> phrases.add("before " + i));
        phrases.add(minutes(w.minutes()));
        return "%s (%s): %s".formatted(w.id(), w.phase().word(), String.join(", ", phrases));
    }
}
