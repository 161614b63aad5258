package velvetbezel.match;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.sheet.Access;
import velvetbezel.sheet.Sheet;
import velvetbezel.worksheet.JointChoices;
import velvetbezel.worksheet.JointKind;
import velvetbezel.worksheet.JointRow;
import velvetbezel.worksheet.Sizing;
import velvetbezel.worksheet.Tables;
import velvetbezel.worksheet.Worksheet;

/**
 * Minutes of a whole job, each counted once and with where it comes from.
 *
 * <table>
 * <caption>Who owns which minutes</caption>
 * <tr><td>OPENING</td><td>the order planned from the vehicle's strip-down, with what the radio needs out of its way and
 *     what is done meanwhile; without its bench works, which are lines of their own</td></tr>
 * <tr><td>MAKING_WAY</td><td>what has to go for the radio, where no order is planned</td></tr>
 * <tr><td>WAY</td><td>to a plug elsewhere in the car, as the vehicle's sheet says</td></tr>
 * <tr><td>PART</td><td>a part's own assembly at the bench, as its sheet says</td></tr>
 * <tr><td>JOINTS, CAPS</td><td>lead ends by the workshop's tables</td></tr>
 * <tr><td>SETTINGS, KEYS</td><td>what is set otherwise than delivered and the buttons learned, by the workshop's
 *     tables</td></tr>
 * </table>
 */
public record Labour(List<Line> lines) {
    public Labour {
        lines = List.copyOf(lines);
    }

    /** Where minutes come from. */
    public enum Source {
        OPENING,
        MAKING_WAY,
        WAY,
        PART,
        JOINTS,
        CAPS,
        SETTINGS,
        KEYS
    }

    /**
     * One line.
     *
     * @param id      by which a job keeps what a person says of it
     * @param of      what it is for: a part, a place, a kind of joint
     * @param count   lead ends, caps, or 1
     * @param stated  minutes worked out; empty where nobody stated them
     * @param said    minutes that a person put in their place
     */
    public record Line(
            String id, Source source, String of, int count, Optional<Double> stated, Optional<Integer> said) {
        public double minutes() {
            return said.map(Integer::doubleValue).or(() -> stated).orElse(0.0);
        }

        public boolean missing() {
            return said.isEmpty() && stated.isEmpty();
        }
    }

    /**
     * @param setUp   what is set on the kit's devices
     * @param opening minutes of the planned order; empty where none is planned
     */
    public static Labour of(
            Sheet.Vehicle vehicle,
            Kit kit,
            Worksheet worksheet,
            Tables tables,
            JointChoices choices,
            SetUpWork setUp,
            Optional<Double> opening) {
        List<Line> lines = new ArrayList<>();
        opening.ifPresent(m -> add(lines, "opening", Source.OPENING, "", 1, Optional.of(m)));
        if (opening.isEmpty()) {
            int making = HolderFit.works(vehicle, kit.radio(), kit.holder()).minutes();
            if (making > 0) add(lines, "making way", Source.MAKING_WAY, "", 1, Optional.of((double) making));
        }
        for (Access a : kit.places(vehicle))
            add(lines, "way " + a.place(), Source.WAY, a.place().toString(), 1, Optional.of((double) a.minutes()));
        for (Sheet.Part p : kit.parts())
            add(lines, "part " + p.id(), Source.PART, p.name(), 1, p.minutes().map(Integer::doubleValue));
        joints(worksheet, tables, choices)
                .forEach((kind, ends) -> add(
                        lines,
                        "joints " + kind.label(),
                        Source.JOINTS,
                        kind.label(),
                        ends,
                        Optional.of(ends * tables.minutes().leadEnd().getOrDefault(kind, 0.0))));
        int caps = worksheet.caps().size();
        if (caps > 0)
            add(
                    lines,
                    "caps",
                    Source.CAPS,
                    "",
                    caps,
                    Optional.of(caps * tables.minutes().cap()));
        setUp(lines, setUp, tables);
        return new Labour(lines);
    }

    private static void setUp(List<Line> lines, SetUpWork setUp, Tables tables) {
        if (!setUp.settings().isEmpty())
            add(
                    lines,
                    "settings",
                    Source.SETTINGS,
                    "",
                    setUp.settings().size(),
                    Optional.of(setUp.settings().stream()
                            .mapToDouble(tables.minutes()::of)
                            .sum()));
        if (setUp.keys() > 0)
            add(
                    lines,
                    "keys",
                    Source.KEYS,
                    "",
                    setUp.keys(),
                    Optional.of(setUp.keys() * tables.minutes().key()));
    }

    private static void add(
            List<Line> lines, String id, Source source, String of, int count, Optional<Double> minutes) {
        lines.add(new Line(id, source, of, count, minutes, Optional.empty()));
    }

    /** Lead ends by kind of joint; a piece of lead put in between has two more. */
    private static Map<JointKind, Integer> joints(Worksheet worksheet, Tables tables, JointChoices choices) {
        Sizing sizing = new Sizing(tables, choices);
        Map<JointKind, Integer> ends = new EnumMap<>(JointKind.class);
        for (JointRow row : worksheet.joints()) {
            int more = choices.extended().containsKey(row.id()) ? 2 : 0;
            ends.merge(sizing.of(row).kind(), row.leads().size() + more, Integer::sum);
        }
        return ends;
    }

    /** The same with what a person says, by the ids of lines. */
    public Labour with(Map<String, Integer> said) {
        return new Labour(lines.stream()
                .map(l -> new Line(l.id, l.source, l.of, l.count, l.stated, Optional.ofNullable(said.get(l.id))))
                .toList());
    }

    public int minutes() {
        return (int) Math.round(lines.stream().mapToDouble(Line::minutes).sum());
    }

    /** Minutes at joints and caps. */
    public double atLeads() {
        return lines.stream()
                .filter(l -> l.source == Source.JOINTS || l.source == Source.CAPS)
                .mapToDouble(Line::minutes)
                .sum();
    }

    /** A kit's cost with these minutes in place of its parts' own. */
    public Cost in(Cost cost) {
        int missing = (int) lines.stream().filter(Line::missing).count();
        return new Cost(
                cost.cents(),
                minutes(),
                cost.cuts(),
                cost.days(),
                new Cost.Missing(
                        cost.missing().prices(), missing, cost.missing().fits()));
    }
}
