package velvetbezel.sheet.strip;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import velvetbezel.sheet.InputProblem;
import velvetbezel.state.StateField;

/**
 * Parts of a dash as people type them, one a line, in the order of taking off:
 *
 * <pre>
 * console lid (lid)
 * surround (trim): 2 hex 7 under the lid @console lid loose, plug switches
 * fascia: 9 clips from lower left clockwise, plug airbag lamp airbag lock yellow, behind surround loose, lever low
 * radio (radio): 4 hex 7 front, 1-2 hex 7 rear hidden may drop, plug main, plug antenna signal, behind fascia
 * </pre>
 *
 * Each line becomes an entry of {@code strip.items}, and goes back to the same line.
 */
public final class StripLines {
    private static final Pattern HEAD =
            Pattern.compile("([^:(\\[]+)(?:\\(([^)]*)\\))?\\s*(?:\\[([^]]*)])?\\s*(?::(.*))?");
    private static final String DRIVE =
            "hex socket \\d+(?:\\.\\d+)?|hex \\d+(?:\\.\\d+)?|T\\d+|cross \\d|slotted|release key|thread|by hand";
    private static final Pattern FASTENERS =
            Pattern.compile("(\\d+)(?:-(\\d+))? ((?:" + DRIVE + ")(?: or (?:" + DRIVE + "))*)(?: (.*))?");
    private static final Pattern CLIPS =
            Pattern.compile("(\\d+) clips?(?: from (.*?))?( clockwise| anticlockwise)?(?: pull (.*))?");
    private static final Pattern MINUTES =
            Pattern.compile("minutes (\\d+(?:\\.\\d+)?)(?: (\\d+(?:\\.\\d+)?) (\\d+(?:\\.\\d+)?))?");
    private static final String GRAMMAR = "2 hex 7 front, 9 clips from lower left clockwise, plug main, behind fascia, "
            + "lever low, column down, does not rest, does not lie aside, stays out, opens by power, breaks …, minutes 1 2 4";

    private final int number;
    private final List<InputProblem> faults;

    private StripLines(int number, List<InputProblem> faults) {
        this.number = number;
        this.faults = faults;
    }

    /** What typed lines say. @param faults by line; a line with one is left out */
    public record Read(List<Object> items, List<InputProblem> faults) {}

    public static Read read(String text) {
        List<InputProblem> faults = new ArrayList<>();
        List<Object> items = new ArrayList<>();
        int number = 0;
        for (String line : text.lines().toList()) {
            number++;
            if (line.isBlank()) continue;
            int before = faults.size();
            Map<String, Object> item = new StripLines(number, faults).item(line.strip());
            if (faults.size() == before) items.add(item);
        }
        return new Read(items, faults);
    }

    private void fault(String message) {
        faults.add(new InputProblem("line " + number, message));
    }

    private Map<String, Object> item(String line) {
        Map<String, Object> item = new LinkedHashMap<>();
        Matcher m = HEAD.matcher(line);
        if (!m.matches()) {
            fault("\"%s\" does not begin with the name of a part. Write the name, then a colon: \"radio: 4 hex 7\"."
                    .formatted(line));
            return item;
        }
        item.put("id", m.group(1).strip());
        String kind = m.group(2) == null ? "" : m.group(2).strip();
        if (!kind.isEmpty() && ItemKind.find(kind).isEmpty())
            fault("\"%s\" is no kind of part; one of %s.".formatted(kind, ItemKind.all()));
        if (!kind.isEmpty()) item.put("kind", kind);
        if (m.group(3) != null) item.put("area", m.group(3).strip());
        if (m.group(4) != null)
            for (String phrase : m.group(4).split(","))
                if (!phrase.isBlank()) phrase(phrase.strip().replaceAll("\\s+", " "), item);
        return item;
    }

    private void phrase(String phrase, Map<String, Object> item) {
        Matcher fasteners = FASTENERS.matcher(phrase);
        Matcher clips = CLIPS.matcher(phrase);
        Matcher minutes = MINUTES.matcher(phrase);
        if (clips.matches()) item.put("clips", clips(clips));
        else if (fasteners.matches()) list(item, "fasteners").add(fasteners(fasteners, item));
        else if (minutes.matches()) item.put("minutes", minutes(minutes));
        else if (phrase.startsWith("plug ")) list(item, "leads").add(plug(phrase.substring("plug ".length())));
        else if (phrase.startsWith("behind ")) list(item, "behind").add(behind(phrase.substring("behind ".length())));
        else if (phrase.startsWith("breaks ")) list(item, "breaks").add(phrase.substring("breaks ".length()));
        else if (phrase.startsWith("opens by power"))
            power(phrase.substring("opens by power".length()).strip(), item);
        else if (phrase.equals("does not rest")) item.put("rests", false);
        else if (phrase.equals("perhaps does not rest")) item.put("rests", Map.of("missing", true));
        else if (phrase.equals("does not lie aside")) item.put("lies aside", false);
        else if (phrase.equals("lies aside")) item.put("lies aside", true);
        else if (phrase.equals("stays out")) item.put("returns", false);
        else if (!clear(phrase, item)) fault("\"%s\" is not understood. Known are: %s.".formatted(phrase, GRAMMAR));
    }

    @SuppressWarnings("unchecked") // only lists are put under these names here
    private static List<Object> list(Map<String, Object> item, String name) {
        return (List<Object>) item.computeIfAbsent(name, n -> new ArrayList<>());
    }

    private static Map<String, Object> clips(Matcher m) {
        Map<String, Object> clips = new LinkedHashMap<>();
        clips.put("count", Integer.parseInt(m.group(1)));
        if (m.group(2) != null) clips.put("start", m.group(2));
        if (m.group(3) != null) clips.put("round", m.group(3).strip());
        if (m.group(4) != null) clips.put("pull", m.group(4));
        return clips;
    }

    private static Map<String, Object> fasteners(Matcher m, Map<String, Object> item) {
        Map<String, Object> group = new LinkedHashMap<>();
        String rest = m.group(4) == null ? "" : m.group(4);
        List<Object> behind = new ArrayList<>();
        rest = hiders(rest, behind);
        String after = "";
        if (rest.contains(" after ")) {
            after = rest.substring(rest.indexOf(" after ") + " after ".length()).strip();
            rest = rest.substring(0, rest.indexOf(" after "));
        }
        boolean drops = rest.endsWith("may drop");
        if (drops) rest = rest.substring(0, rest.length() - "may drop".length()).strip();
        boolean hidden = rest.endsWith("hidden");
        if (hidden) rest = rest.substring(0, rest.length() - "hidden".length()).strip();
        int others = item.containsKey("fasteners") ? list(item, "fasteners").size() : 0;
        group.put("id", rest.isEmpty() ? "screws" + (others == 0 ? "" : " " + (others + 1)) : rest);
        List<String> drives = List.of(m.group(3).split(" or "));
        group.put("drive", drives.size() == 1 ? drives.get(0) : drives);
        int least = Integer.parseInt(m.group(1));
        group.put("count", m.group(2) == null ? least : List.of(least, Integer.parseInt(m.group(2))));
        if (hidden) group.put("hidden", true);
        if (drops) group.put("may drop", true);
        if (!after.isEmpty()) group.put("after", List.of(after));
        if (!behind.isEmpty()) group.put("behind", behind);
        return group;
    }

    private static List<Double> minutes(Matcher m) {
        double least = Double.parseDouble(m.group(1));
        return m.group(2) == null
                ? List.of(least, least, least)
                : List.of(least, Double.parseDouble(m.group(2)), Double.parseDouble(m.group(3)));
    }

    /** "airbag lamp airbag lock yellow", "antenna signal", "button gives glove box release". */
    private static Map<String, Object> plug(String text) {
        Map<String, Object> plug = new LinkedHashMap<>();
        String rest = text;
        List<Object> behind = new ArrayList<>();
        rest = hiders(rest, behind);
        Matcher gives = Pattern.compile("(.*) gives (.*)").matcher(rest);
        String gave = "";
        if (gives.matches()) {
            gave = gives.group(2);
            rest = gives.group(1);
        }
        Matcher unlock = Pattern.compile("(.*) unlock (.*)").matcher(rest);
        String how = "";
        if (unlock.matches()) {
            how = unlock.group(2);
            rest = unlock.group(1);
        }
        Matcher lock = Pattern.compile("(.*) lock (.*)").matcher(rest);
        String colour = "";
        if (lock.matches()) {
            colour = lock.group(2);
            rest = lock.group(1);
        }
        String circuit = rest.endsWith(" airbag") ? "airbag" : rest.endsWith(" high voltage") ? "high voltage" : "";
        if (!circuit.isEmpty())
            rest = rest.substring(0, rest.length() - circuit.length()).strip();
        boolean signal = rest.endsWith(" signal");
        if (signal) rest = rest.substring(0, rest.length() - " signal".length());
        plug.put("id", rest);
        if (!how.isEmpty()) plug.put("unlock", how);
        if (!colour.isEmpty()) plug.put("lock", colour);
        if (!circuit.isEmpty()) plug.put("circuit", circuit);
        if (signal) plug.put("supply", false);
        if (!behind.isEmpty()) plug.put("behind", behind);
        if (!gave.isEmpty()) plug.put("gives", List.of(gave));
        return plug;
    }

    /** Takes "@console lid loose" off the end, as often as it stands there. */
    private static String hiders(String text, List<Object> behind) {
        String rest = text;
        while (rest.contains("@")) {
            int at = rest.lastIndexOf('@');
            behind.add(behind(rest.substring(at + 1).strip()));
            rest = rest.substring(0, at).strip();
        }
        return rest;
    }

    private static String behind(String text) {
        return text.endsWith(" loose") ? text.substring(0, text.length() - " loose".length()) + ":loose" : text;
    }

    private static void power(String with, Map<String, Object> item) {
        item.put("electric", Map.of());
        if (with.startsWith("with ")) item.put("uses", List.of(with.substring("with ".length())));
    }

    /** "lever low", "column down or up": what must be true while it comes loose. */
    private static boolean clear(String phrase, Map<String, Object> item) {
        String said = phrase.startsWith("lever ") ? "gear " + phrase.substring("lever ".length()) : phrase;
        return StateWords.put(said, item, "clear");
    }

    // --- back to lines

    /** Parts of a sheet as lines. */
    public static String write(List<DashItem> items) {
        return items.stream().map(StripLines::line).collect(Collectors.joining("\n"));
    }

    private static String line(DashItem i) {
        List<String> phrases = new ArrayList<>();
        i.fasteners().forEach(g -> phrases.add(fasteners(g)));
        i.clips().ifPresent(c -> phrases.add(clips(c)));
        i.connectors().forEach(c -> phrases.add(plug(c)));
        i.behind().forEach(b -> phrases.add("behind " + behind(b)));
        i.clear().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(e -> phrases.add(
                        (e.getKey() == StateField.GEAR ? "lever" : e.getKey().label()) + " "
                                + e.getValue().stream().sorted().collect(Collectors.joining(" or "))));
        Optional<Boolean> rests = i.rests().known();
        if (rests.isEmpty()) phrases.add("perhaps does not rest");
        else if (!rests.get()) phrases.add("does not rest");
        if (i.liesAside() != rests.orElse(false)) phrases.add(i.liesAside() ? "lies aside" : "does not lie aside");
        if (!i.returns()) phrases.add("stays out");
        if (i.openedBy().isPresent())
            phrases.add(
                    "opens by power" + i.uses().stream().map(u -> " with " + u).collect(Collectors.joining()));
        i.breaks().forEach(b -> phrases.add("breaks " + b));
        Minutes m = i.minutes();
        phrases.add(
                m.least() == m.most()
                        ? "minutes " + plain(m.least())
                        : "minutes %s %s %s".formatted(plain(m.least()), plain(m.usual()), plain(m.most())));
        String kind =
                i.kind() == ItemKind.PANEL ? "" : " (%s)".formatted(i.kind().word());
        String area = i.area().isEmpty() ? "" : " [%s]".formatted(i.area());
        return i.id() + kind + area + ": " + String.join(", ", phrases);
    }

    private static String plain(double d) {
        return d == Math.rint(d) ? String.valueOf((long) d) : String.format(Locale.ROOT, "%s", d);
    }

    private static String fasteners(FastenerGroup g) {
        String count = g.count().sure()
                ? String.valueOf(g.count().least())
                : g.count().least() + "-" + g.count().most();
        return count + " " + g.tool() + " " + g.id() + (g.hidden() ? " hidden" : "") + (g.mayDrop() ? " may drop" : "")
                + g.after().stream().sorted().map(a -> " after " + a).collect(Collectors.joining())
                + g.behind().stream().map(b -> " @" + behind(b)).collect(Collectors.joining());
    }

    private static String clips(Clips c) {
        return c.count()
                + (c.count() == 1 ? " clip" : " clips")
                + (c.start().isEmpty() ? "" : " from " + c.start())
                + (c.round().isEmpty() ? "" : " " + c.round())
                + (c.pull().isEmpty() ? "" : " pull " + c.pull());
    }

    private static String plug(ItemConnector c) {
        return "plug " + c.id().name()
                + (c.supply() ? "" : " signal")
                + (c.circuit() == Circuit.PLAIN ? "" : " " + c.circuit().word())
                + (c.lock().isEmpty() ? "" : " lock " + c.lock())
                + (c.unlock().isEmpty() ? "" : " unlock " + c.unlock().replace(",", ";"))
                + c.gives().stream().sorted().map(g -> " gives " + g).collect(Collectors.joining())
                + c.behind().stream().map(b -> " @" + behind(b)).collect(Collectors.joining());
    }

    private static String behind(Behind b) {
        return b.item() + (b.atLeast() == ItemPosition.LOOSE ? " loose" : "");
    }
}
