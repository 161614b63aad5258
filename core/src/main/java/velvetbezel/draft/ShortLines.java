package velvetbezel.draft;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.LeadState;
import velvetbezel.sheet.Provenance;
import velvetbezel.units.WireColour;

/**
 * Reads leads as people type them, one after the other by commas or lines:
 * {@code [n[-m]] [spare|unused] [gives] role[?] [colour] [thick|thin|n AWG|n mm²] [n m] [> where]
 * [from origin]}.
 * Sets unfold: speakers, line pairs, P3 (constant, accessory, ground), S8 (four pairs), with their colours in brackets.
 */
public final class ShortLines {
    static final String UNKNOWN = "unknown";
    private static final int MOST_WORDS = 5;
    private static final Pattern ITEM = Pattern.compile("(?:\\[[^]\\n]*]|(?<=\\d),(?=\\d)|[^,\\n\\[])+");
    private static final Pattern PLACE = Pattern.compile("(\\d{1,3})(?:\\s*-\\s*(\\d{1,3}))?(?=\\s|$)");
    private static final Pattern SIZE = Pattern.compile(
            "(thick|thin)|(-?\\d{1,2})\\s*AWG|(\\d+(?:[.,]\\d+)?)\\s*mm(?:²|2)", Pattern.CASE_INSENSITIVE);
    private static final Pattern METRES = Pattern.compile("(\\d+(?:[.,]\\d+)?)\\s*m(?=\\s|$)");
    private static final Pattern ONE_WORD = Pattern.compile("[^\\s\\[>]+");
    private static final Pattern ARROW = Pattern.compile(">\\s*");
    private static final Pattern ENDS = Pattern.compile("(.+?)(?=\\s+from\\s|\\s*$)");
    private static final Pattern BRACKETS = Pattern.compile("\\[([^]]*)]");
    private static final Map<String, LeadRole> WORDS = Map.of(
            "wheel", LeadRole.STEERING_1,
            "wheel return", LeadRole.STEERING_GROUND,
            "brake", LeadRole.PARKING_BRAKE);
    private static final List<String> CORNERS = List.of("fl", "fr", "rl", "rr");
    private static final List<String> SETS = List.of("speakers", "line pairs", "P3", "S8");

    /** A row of a list that was pasted: position, then a separator. */
    private static final Pattern ROW = Pattern.compile("(?m)^[ \\t\"]*(\\d{1,3})[ \"]*(?:([;|\\t])|(,)(?=\\s*\\D)).*$");
    /** Its head: words such as pin and colour between separators, and no position. */
    private static final Pattern HEAD =
            Pattern.compile("(?im)^[ \\t\"]*(pin|pos\\.?|position|no\\.?|number|terminal|cavity)[ \"]*[;,|\\t].*$");

    private final Paper paper;
    private final List<ShortLead> leads = new ArrayList<>();
    private final List<Unread> unread = new ArrayList<>();

    private ShortLines(Paper paper) {
        this.paper = paper;
    }

    /** What was typed between two places of the text, and why it is not read. */
    public record Unread(int from, int to, String words, String why) {}

    /** @param unread in the order of the text; the leads are those of the lines that were read whole */
    public record Read(List<ShortLead> leads, List<Unread> unread) {
        public Read {
            leads = List.copyOf(leads);
            unread = List.copyOf(unread);
        }
    }

    public static Read read(String text) {
        return read(text, Paper.PLAIN);
    }

    /** @param paper what the abbreviations of this paper mean */
    public static Read read(String text, Paper paper) {
        ShortLines lines = new ShortLines(paper);
        String plain = withoutSeparators(text);
        Matcher item = ITEM.matcher(plain);
        while (item.find()) lines.item(new Cursor(plain, item.start(), item.end()));
        return new Read(lines.leads, lines.unread);
    }

    /** Rows of a pasted list as lines: blanks in place of separators and quotes, so that every word stays in place. */
    private static String withoutSeparators(String text) {
        String headless =
                HEAD.matcher(text).replaceAll(m -> " ".repeat(m.group().length()));
        return ROW.matcher(headless).replaceAll(m -> {
            String row = m.group(2) == null
                    ? m.group().replaceAll("(?<!\\d),|,(?!\\d)", " ").replaceFirst(",", " ")
                    : m.group().replace(m.group(2), " ");
            return Matcher.quoteReplacement(row.replace('"', ' '));
        });
    }

    /** The same leads, as they are typed. */
    public static String text(List<ShortLead> leads) {
        return leads.stream().map(ShortLead::text).collect(Collectors.joining(", "));
    }

    /** The rest of one line, read from the left. */
    private static final class Cursor {
        private final String text;
        private int at;
        private final int end;

        Cursor(String text, int at, int end) {
            this.text = text;
            this.at = at;
            this.end = end;
            skip();
        }

        private void skip() {
            while (at < end && Character.isWhitespace(text.charAt(at))) at++;
        }

        boolean done() {
            return at >= end;
        }

        String rest() {
            return text.substring(at, end).stripTrailing();
        }

        Optional<Matcher> take(Pattern pattern) {
            Matcher m = pattern.matcher(text).region(at, end);
            if (!m.lookingAt()) return Optional.empty();
            at = m.end();
            skip();
            return Optional.of(m);
        }

        boolean takeWord(String word) {
            int after = at + word.length();
            boolean here = after <= end && text.regionMatches(true, at, word, 0, word.length());
            if (!here || after < end && !" \t\r\n[?".contains(text.substring(after, after + 1))) return false;
            at = after;
            skip();
            return true;
        }

        /** The most words that together are read as something. */
        <T> Optional<T> longest(Function<String, Optional<T>> reading) {
            List<Integer> ends = new ArrayList<>();
            Matcher word = ONE_WORD.matcher(text).region(at, end);
            while (ends.size() < MOST_WORDS && word.find()) ends.add(word.end());
            for (int n = ends.size() - 1; n >= 0; n--) {
                Optional<T> found = reading.apply(text.substring(at, ends.get(n)));
                if (found.isEmpty()) continue;
                at = ends.get(n);
                skip();
                return found;
            }
            return Optional.empty();
        }
    }

    /** What a role's words say: none for "unknown". */
    private record Said(Optional<LeadRole> role, boolean guessed) {}

    private void item(Cursor c) {
        if (c.done()) return;
        int start = c.at;
        Optional<Matcher> place = c.take(PLACE);
        LeadState state =
                c.takeWord("spare") ? LeadState.SPARE : c.takeWord("unused") ? LeadState.UNUSED : LeadState.USED;
        boolean gives = c.takeWord("gives");
        List<Said> roles = roles(c);
        Optional<WireColour> before = place.isPresent() && roles.isEmpty() ? colourBefore(c) : Optional.empty();
        if (before.isPresent()) roles = roles(c);
        if (roles.isEmpty()) {
            refuse(c, noRole(c.rest()));
            return;
        }
        List<Optional<WireColour>> colours = before.isPresent() ? List.of(before) : colours(c, roles.size());
        Optional<String> size = c.take(SIZE).map(ShortLines::size);
        OptionalDouble metres = c.take(METRES)
                .map(m -> OptionalDouble.of(Double.parseDouble(m.group(1).replace(',', '.'))))
                .orElse(OptionalDouble.empty());
        List<String> to = c.take(ARROW).isPresent() ? to(c) : List.of();
        Optional<Provenance.Origin> from = c.takeWord("from")
                ? c.longest(w -> Provenance.Origin.find(w.toLowerCase(Locale.ROOT)))
                : Optional.empty();
        if (!c.done()) {
            refuse(
                    c,
                    "is not read: after the role come colour, size, length, \"> where\" and \"from\" with who says so.");
            return;
        }
        List<OptionalInt> positions = positions(place, roles.size(), start, c);
        if (colours == null || positions == null) return;
        boolean one = roles.size() == 1;
        for (int i = 0; i < Math.max(roles.size(), positions.size()); i++)
            leads.add(new ShortLead(
                    positions.get(Math.min(i, positions.size() - 1)),
                    state,
                    gives,
                    roles.get(one ? 0 : i).role,
                    roles.get(one ? 0 : i).guessed,
                    colours.get(one ? 0 : i),
                    size,
                    metres,
                    to,
                    from));
    }

    private void refuse(Cursor c, String why) {
        unread.add(new Unread(c.at, c.at + c.rest().length(), c.rest(), why));
    }

    // --- roles

    /** A list may have the colour in the column before the role. */
    private Optional<WireColour> colourBefore(Cursor c) {
        int start = c.at;
        Optional<WireColour> colour = c.longest(paper::colour);
        int then = c.at;
        boolean roleThen = colour.isPresent() && c.longest(this::role).isPresent();
        c.at = roleThen ? then : start;
        return roleThen ? colour : Optional.empty();
    }

    private List<Said> roles(Cursor c) {
        for (String set : SETS) if (c.takeWord(set)) return set(set, c);
        return c.longest(this::role).map(List::of).orElse(List.of());
    }

    private Optional<Said> role(String words) {
        boolean guessed = words.endsWith("?");
        String name = guessed ? words.substring(0, words.length() - 1) : words;
        if (name.equalsIgnoreCase(UNKNOWN))
            return guessed ? Optional.empty() : Optional.of(new Said(Optional.empty(), false));
        return Optional.ofNullable(WORDS.get(name.toLowerCase(Locale.ROOT)))
                .or(() -> paper.role(name))
                .map(r -> new Said(Optional.of(r), guessed));
    }

    private static List<Said> set(String set, Cursor c) {
        if (set.equals("P3")) return said(Stream.of(LeadRole.CONSTANT, LeadRole.ACCESSORY, LeadRole.GROUND));
        String line = set.equals("line pairs") ? "line " : "";
        boolean common = !line.isEmpty() && c.takeWord("common");
        List<String> corners = set.equals("S8") ? CORNERS : corners(c);
        common |= !line.isEmpty() && c.takeWord("common");
        boolean plusOnly = common;
        return said(corners.stream()
                .flatMap(k -> plusOnly ? Stream.of(k + "+") : Stream.of(k + "+", k + "-"))
                .map(k -> LeadRole.read(line + k).orElseThrow()));
    }

    private static List<Said> said(Stream<LeadRole> roles) {
        return roles.map(r -> new Said(Optional.of(r), false)).toList();
    }

    /** The corners in the order in which they are named; all of them where none is. */
    private static List<String> corners(Cursor c) {
        if (c.takeWord("front")) return CORNERS.subList(0, 2);
        if (c.takeWord("rear")) return CORNERS.subList(2, 4);
        List<String> named = new ArrayList<>();
        for (boolean more = true; more; ) {
            Optional<String> next = CORNERS.stream()
                    .filter(k -> !named.contains(k) && c.takeWord(k))
                    .findFirst();
            next.ifPresent(named::add);
            more = next.isPresent();
        }
        return named.isEmpty() ? CORNERS : named;
    }

    private static String noRole(String rest) {
        String word = rest.replaceAll("[\\[>].*", "").strip();
        String first = word.split("\\s+")[0];
        List<String> known = Stream.of(
                        Arrays.stream(LeadRole.values()).map(LeadRole::label), WORDS.keySet().stream(), SETS.stream())
                .flatMap(s -> s)
                .toList();
        return "names no role; the nearest are %s. A wire that nobody knows is \"%s\"."
                .formatted(Nearest.to(first, known), UNKNOWN);
    }

    // --- colours, sizes, positions

    /** @return null where a colour in brackets is refused */
    private List<Optional<WireColour>> colours(Cursor c, int count) {
        int start = c.at;
        Optional<Matcher> brackets = c.take(BRACKETS);
        if (brackets.isEmpty()) {
            Optional<WireColour> one = count == 1 ? c.longest(paper::colour) : Optional.empty();
            return IntStream.range(0, count).mapToObj(i -> one).toList();
        }
        String inside = brackets.get().group(1);
        List<String> words =
                inside.isBlank() ? List.of() : List.of(inside.strip().split("\\s*,\\s*"));
        List<Optional<WireColour>> read = words.stream().map(paper::colour).toList();
        Optional<String> wrong =
                words.stream().filter(w -> paper.colour(w).isEmpty()).findFirst();
        if (wrong.isEmpty() && read.size() == count) return read;
        String why = wrong.map(w -> "holds \"%s\", which is no colour; %s.".formatted(w, WireColour.expected()))
                .orElse("holds %d colours for %d wires; give one for each.".formatted(read.size(), count));
        unread.add(new Unread(
                start, start + brackets.get().group().length(), brackets.get().group(), why));
        return null;
    }

    private static String size(Matcher m) {
        if (m.group(1) != null) return m.group(1).toLowerCase(Locale.ROOT);
        return m.group(2) != null ? m.group(2) + " AWG" : m.group(3).replace(',', '.') + " mm²";
    }

    /** Everything up to "from" or the end; several ends by plus signs that stand alone. */
    private static List<String> to(Cursor c) {
        return c.take(ENDS)
                .map(m -> List.of(m.group(1).strip().split("\\s+\\+\\s+")))
                .orElse(List.of());
    }

    /** @return null where a range does not agree with what stands in it */
    private List<OptionalInt> positions(Optional<Matcher> place, int roles, int start, Cursor c) {
        if (place.isEmpty()) return List.of(OptionalInt.empty());
        int first = Integer.parseInt(place.get().group(1));
        int last = place.get().group(2) == null
                ? first
                : Integer.parseInt(place.get().group(2));
        int count = last - first + 1;
        if (count > 0 && (roles == 1 || roles == count))
            return IntStream.rangeClosed(first, last).mapToObj(OptionalInt::of).toList();
        String why = count <= 0
                ? "ends before it begins; write the lower position first."
                : "is %d positions for %d wires; give each its own.".formatted(count, roles);
        unread.add(new Unread(
                start, start + place.get().group().length(), place.get().group(), why));
        return null;
    }
}
