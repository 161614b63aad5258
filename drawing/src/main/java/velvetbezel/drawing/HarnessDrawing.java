package velvetbezel.drawing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import velvetbezel.harness.Instance;
import velvetbezel.harness.TerminalId;
import velvetbezel.sheet.Location;
import velvetbezel.units.WireColour;
import velvetbezel.worksheet.CapRow;
import velvetbezel.worksheet.JointRow;
import velvetbezel.worksheet.LeadEnd;
import velvetbezel.worksheet.Worksheet;

/**
 * The harness as a plan: the car's plugs at the left, the radio at the right, one lane per joint in working
 * order, other parts below with their leads dropping from the lanes. Wires only ever cross at right angles.
 */
public record HarnessDrawing(
        double width,
        double height,
        List<Shapes.Wire> lanes,
        List<Shapes.Wire> drops,
        List<Shapes.Dot> dots,
        List<Shapes.Box> boxes,
        List<Shapes.Text> texts,
        List<Shapes.Bar> bars) {
    private static final double LANE = 23;
    private static final double GROUP_GAP = 7;
    private static final double CAP_LANE = 13;
    private static final double CAR_LEFT = 84;
    private static final double CAR_RIGHT = 136;
    private static final double RADIO_LEAST_LEFT = 664;
    private static final double RADIO_WIDTH = 40;
    private static final double DOT_TO_RADIO = 104;
    private static final double RIGHT_MARGIN = 96;
    private static final double PIN = 40;
    /** With more leads of parts than this they stand closer. */
    private static final int MOST_WIDE = 14;

    private static final double NARROW_PIN = 21;
    private static final double FIRST_PART = 176;
    private static final double PART_GAP = 16;
    private static final double PART_HEIGHT = 44;
    private static final double LETTER = 7.4;
    private static final int LINE = 20;
    private static final double BASELINE = 4.5;
    private static final double TOP = 26;

    public String viewBox() {
        return Shapes.path("0 0 %.0f %.0f", width, height);
    }

    /** @param done ids of the joints that are made; the first other one is the next */
    public static HarnessDrawing of(Worksheet worksheet, Set<String> done) {
        return new Draughtsman(worksheet, done).draw();
    }

    private static final class Draughtsman {
        private final Worksheet worksheet;
        private final Set<String> done;
        private final List<Shapes.Wire> lanes = new ArrayList<>();
        private final List<Shapes.Wire> drops = new ArrayList<>();
        private final List<Shapes.Dot> dots = new ArrayList<>();
        private final List<Shapes.Box> boxes = new ArrayList<>();
        private final List<Shapes.Text> texts = new ArrayList<>();
        private final List<Shapes.Bar> bars = new ArrayList<>();
        /** Where each lead of a part drops from its lane, by part. */
        private final Map<String, Map<TerminalId, Double>> pins = new LinkedHashMap<>();

        private final Map<String, Part> parts = new LinkedHashMap<>();
        /** Moves to the right where the parts below need the room. */
        private double radioLeft = RADIO_LEAST_LEFT;

        private double plugTop;
        private String plug = "";
        private double y = TOP;

        /** A part's box below the lanes, its name in one or two lines. */
        private record Part(double left, double width, List<String> lines) {}

        Draughtsman(Worksheet worksheet, Set<String> done) {
            this.worksheet = worksheet;
            this.done = done;
        }

        HarnessDrawing draw() {
            placePins();
            double radioTop = y - LANE / 2;
            double lastLane = y;
            String next = worksheet.joints().stream()
                    .map(r -> r.id().text())
                    .filter(j -> !done.contains(j))
                    .findFirst()
                    .orElse("");
            List<JointRow> rows = worksheet.joints().stream()
                    .sorted(Comparator.comparing(r -> !r.id().location().equals(Location.DASH)))
                    .toList();
            for (int i = 0; i < rows.size(); i++) {
                Optional<JointRow> before = i == 0 ? Optional.empty() : Optional.of(rows.get(i - 1));
                if (i > 0
                        && rows.get(i).role().group() != rows.get(i - 1).role().group()) y += GROUP_GAP;
                place(rows.get(i), before);
                lane(rows.get(i), next);
                lastLane = y;
                y += LANE;
            }
            closePlug(lastLane);
            y = parts(lastLane + LANE / 2) + (pins.isEmpty() ? LANE / 2 + 2 : LANE);
            double radioBottom = Math.max(lastLane, caps()) + LANE / 2;
            boxes.add(new Shapes.Box(radioLeft, radioTop, RADIO_WIDTH, radioBottom - radioTop));
            texts.add(new Shapes.Text((CAR_LEFT + CAR_RIGHT) / 2, 9, "middle", "caption", "car's plugs"));
            texts.add(new Shapes.Text(radioLeft + RADIO_WIDTH / 2, 9, "middle", "caption", "radio's leads"));
            return new HarnessDrawing(
                    radioLeft + RADIO_WIDTH + RIGHT_MARGIN,
                    radioBottom + 6,
                    List.copyOf(lanes),
                    List.copyOf(drops),
                    List.copyOf(dots),
                    List.copyOf(boxes),
                    List.copyOf(texts),
                    List.copyOf(bars));
        }

        private void placePins() {
            Map<String, List<LeadEnd>> byPart = new LinkedHashMap<>();
            for (JointRow row : worksheet.joints())
                for (LeadEnd lead : row.leads())
                    if (lead.owner() == Instance.Owner.PART)
                        byPart.computeIfAbsent(lead.id().instance(), k -> new ArrayList<>())
                                .add(lead);
            int leads = byPart.values().stream().mapToInt(List::size).sum();
            double pin = leads > MOST_WIDE ? NARROW_PIN : PIN;
            double left = FIRST_PART;
            for (var entry : byPart.entrySet()) {
                List<String> lines = lines(entry.getValue().get(0).device());
                int letters = lines.stream().mapToInt(String::length).max().orElse(0);
                Part part = new Part(
                        left, Math.max(letters * LETTER + 18, entry.getValue().size() * pin), lines);
                parts.put(entry.getKey(), part);
                pins.put(entry.getKey(), pins(part, entry.getValue(), pin));
                left += part.width + PART_GAP;
            }
            radioLeft = Math.max(RADIO_LEAST_LEFT, left);
        }

        private static Map<TerminalId, Double> pins(Part part, List<LeadEnd> leads, double pin) {
            Map<TerminalId, Double> xs = new LinkedHashMap<>();
            double first = part.left + part.width / 2 - (leads.size() - 1) * pin / 2;
            for (int i = 0; i < leads.size(); i++) xs.put(leads.get(i).id(), first + i * pin);
            return xs;
        }

        /** A long name breaks at the space nearest to its middle. */
        private static List<String> lines(String name) {
            if (name.length() <= LINE || !name.contains(" ")) return List.of(name);
            int before = name.lastIndexOf(' ', name.length() / 2);
            int after = name.indexOf(' ', name.length() / 2);
            int cut =
                    before < 0 || after >= 0 && after - name.length() / 2 < name.length() / 2 - before ? after : before;
            return List.of(name.substring(0, cut), name.substring(cut + 1));
        }

        private void lane(JointRow row, String next) {
            Optional<LeadEnd> car = row.of(Instance.Owner.CAR);
            Optional<LeadEnd> radio = row.of(Instance.Owner.RADIO);
            List<Double> partXs =
                    row.leads().stream().flatMap(l -> pin(l).stream()).sorted().toList();
            double dot = partXs.isEmpty() ? radioLeft - DOT_TO_RADIO : partXs.get(0);
            double last = partXs.isEmpty() ? dot : partXs.get(partXs.size() - 1);
            carPlug(car);
            car.ifPresent(lead -> {
                lanes.add(wire(lead, Shapes.path("M%.0f %.1fH%.0f", CAR_RIGHT, y, radio.isPresent() ? dot : last)));
                texts.add(
                        new Shapes.Text((CAR_LEFT + CAR_RIGHT) / 2, y + BASELINE, "middle", "position", number(lead)));
                texts.add(new Shapes.Text(
                        CAR_LEFT - 8,
                        y + BASELINE,
                        "end",
                        "code",
                        lead.carColour()
                                .flatMap(c -> c.known())
                                .map(WireColour::codes)
                                .orElse("?")));
            });
            radio.ifPresent(lead -> {
                lanes.add(wire(lead, Shapes.path("M%.0f %.1fH%.0f", dot, y, radioLeft)));
                texts.add(new Shapes.Text(radioLeft + RADIO_WIDTH + 8, y + BASELINE, "start", "code", codes(lead)));
            });
            if (car.isEmpty() && radio.isEmpty()) bridge(row, dot);
            String state =
                    done.contains(row.id().text()) ? "done" : row.id().text().equals(next) ? "next" : "open";
            dots.add(new Shapes.Dot(
                    dot,
                    y,
                    String.valueOf(row.number()),
                    state,
                    row.exception(),
                    row.id().text(),
                    "Joint %d, %s".formatted(row.number(), row.id().name())));
        }

        /** A joint made elsewhere says where, above its lane; those at the dash need no words. */
        private void place(JointRow row, Optional<JointRow> before) {
            Location here = row.id().location();
            if (here.equals(before.map(b -> b.id().location()).orElse(Location.DASH))) return;
            y += GROUP_GAP;
            texts.add(new Shapes.Text(CAR_RIGHT - 4, y + BASELINE, "end", "caption", "at the " + here));
        }

        /** Leads of parts that meet without the car's or the radio's. */
        private void bridge(JointRow row, double dot) {
            for (LeadEnd lead : row.leads())
                pin(lead)
                        .filter(x -> x > dot)
                        .ifPresent(x -> lanes.add(wire(lead, Shapes.path("M%.0f %.1fH%.0f", dot, y, x))));
        }

        private Optional<Double> pin(LeadEnd lead) {
            return Optional.ofNullable(
                    pins.getOrDefault(lead.id().instance(), Map.of()).get(lead.id()));
        }

        private static Shapes.Wire wire(LeadEnd lead, String path) {
            return Shapes.Wire.of(
                    path,
                    lead.colour(),
                    lead.id().toString(),
                    "%s of %s, %s"
                            .formatted(
                                    lead.labelled().map(r -> r.label()).orElse("lead"),
                                    lead.device(),
                                    lead.colourWords()));
        }

        private static String codes(LeadEnd lead) {
            return lead.colour().known().map(WireColour::codes).orElse("?");
        }

        /** One outline for each run of lanes that end in the same plug. */
        private void carPlug(Optional<LeadEnd> car) {
            String here = car.flatMap(LeadEnd::carPosition)
                    .map(p -> p.name().substring(0, p.name().indexOf('.')))
                    .orElse("");
            if (here.equals(plug)) return;
            closePlug(y - LANE);
            plug = here;
            plugTop = y - LANE / 2;
        }

        private void closePlug(double lastLane) {
            if (!plug.isEmpty())
                boxes.add(new Shapes.Box(CAR_LEFT, plugTop, CAR_RIGHT - CAR_LEFT, lastLane + LANE / 2 - plugTop - 1.5));
            plug = "";
        }

        /** Capped leads in runs of one reason, so that eight unused speaker leads need one line of words. */
        private double caps() {
            List<CapRow> caps = worksheet.caps();
            double last = y;
            for (int i = 0; i < caps.size(); ) {
                int first = i;
                while (i < caps.size()
                        && caps.get(i).why().equals(caps.get(first).why())
                        && side(caps.get(i)) == side(caps.get(first))) {
                    last = y;
                    stub(caps.get(i));
                    y += CAP_LANE;
                    i++;
                }
                words(caps.get(first), i - first, last - (i - first - 1) * CAP_LANE / 2);
                y += 5;
            }
            return last;
        }

        private static Instance.Owner side(CapRow cap) {
            return cap.lead().owner() == Instance.Owner.RADIO ? Instance.Owner.RADIO : Instance.Owner.CAR;
        }

        private void stub(CapRow cap) {
            boolean radio = side(cap) == Instance.Owner.RADIO;
            double end = radio ? radioLeft - 46 : CAR_RIGHT + 46;
            lanes.add(wire(cap.lead(), Shapes.path("M%.0f %.1fH%.0f", end, y, radio ? radioLeft : CAR_RIGHT)));
            bars.add(new Shapes.Bar(end, y));
            if (!radio) {
                boxes.add(new Shapes.Box(CAR_LEFT, y - CAP_LANE / 2, CAR_RIGHT - CAR_LEFT, CAP_LANE));
                texts.add(new Shapes.Text((CAR_LEFT + CAR_RIGHT) / 2, y + 4, "middle", "tiny", number(cap.lead())));
            } else {
                texts.add(new Shapes.Text(radioLeft + RADIO_WIDTH + 8, y + 4, "start", "tiny", codes(cap.lead())));
            }
        }

        private void words(CapRow cap, int count, double middle) {
            boolean radio = side(cap) == Instance.Owner.RADIO;
            String text = (count == 1 ? "capped: " : count + " capped one by one: ")
                    + inside(cap.why()).replaceAll("\\.$", "");
            texts.add(new Shapes.Text(
                    radio ? radioLeft - 56 : CAR_RIGHT + 56, middle + 4, radio ? "end" : "start", "note", text));
        }

        /** A sentence inside another; a name keeps its capital. */
        private String inside(String why) {
            boolean named = Stream.concat(
                            worksheet.joints().stream().flatMap(j -> j.leads().stream()),
                            worksheet.caps().stream().map(CapRow::lead))
                    .anyMatch(l -> why.startsWith(l.device()));
            return named ? why : why.substring(0, 1).toLowerCase(Locale.ROOT) + why.substring(1);
        }

        /** Parts below the lanes, their leads dropping at right angles. @return the lowest edge */
        private double parts(double lanesBottom) {
            if (parts.isEmpty()) return lanesBottom;
            double top = lanesBottom + 6;
            parts.forEach((instance, part) -> {
                boxes.add(new Shapes.Box(part.left, top, part.width, PART_HEIGHT));
                for (int i = 0; i < part.lines.size(); i++)
                    texts.add(new Shapes.Text(
                            part.left + part.width / 2,
                            top + PART_HEIGHT / 2 + BASELINE + (i - (part.lines.size() - 1) / 2.0) * 17,
                            "middle",
                            "part",
                            part.lines.get(i)));
                for (JointRow row : worksheet.joints())
                    for (LeadEnd lead : row.leads())
                        pin(lead)
                                .filter(x -> lead.id().instance().equals(instance))
                                .ifPresent(x ->
                                        drops.add(wire(lead, Shapes.path("M%.0f %.1fV%.1f", x, laneOf(row), top))));
            });
            return top + PART_HEIGHT;
        }

        private double laneOf(JointRow row) {
            return dots.stream()
                    .filter(d -> d.joint().equals(row.id().text()))
                    .findFirst()
                    .orElseThrow()
                    .y();
        }
    }

    /** The position alone: a plug's name does not fit into its box, and the table has it. */
    private static String number(LeadEnd lead) {
        return lead.place().replaceAll("^.* ", "");
    }
}
