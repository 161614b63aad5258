package velvetbezel.worksheet;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.harness.TerminalId;
import velvetbezel.sheet.LeadRole;
import velvetbezel.units.Gauge;
import velvetbezel.units.Millimetres;

/**
 * Chooses sleeves, caps and tubes. A butt splice is sized by the leads of each side taken together, a closed-end cap by
 * the sum of all leads, a tap by the lead that runs through (common practice, no source); the sizes come from the
 * workshop's tables.
 */
public final class Sizing {
    /** Conductors laid together are so much thicker than one of their area (common practice, no source). */
    private static final double LAID_TOGETHER = 1.15;

    private static final double TUBE_PASSES = 1.2;
    private static final double TUBE_GRIPS = 0.9;
    private static final double TUBE_SHRINKS_ALONG = 0.9;
    private static final double TUBE_OVERLAP = 10;
    private static final double CUT_STEP = 5;
    private final Tables tables;
    private final JointChoices ways;

    public Sizing(Tables tables, JointChoices ways) {
        this.tables = tables;
        this.ways = ways;
    }

    public JointMethod of(JointRow row) {
        JointKind asked = ways.of(row.id(), tables);
        return make(row, refused(row, asked).isEmpty() ? asked : usual(row));
    }

    /** Where a kind may not be used, the workshop's own is. */
    private JointKind usual(JointRow row) {
        return refused(row, tables.school()).isEmpty() ? tables.school() : JointKind.CRIMP_CAP;
    }

    private JointMethod make(JointRow row, JointKind kind) {
        Optional<JointMethod.Cut> tube =
                kind == JointKind.SOLDER ? tube(row, tables.strip().get(kind)) : Optional.empty();
        return new JointMethod(
                kind, fit(row, kind, tube), tables.strip().get(kind), tube, slideOn(row, kind, tube), choices(row));
    }

    private JointMethod.Fit fit(JointRow row, JointKind kind, Optional<JointMethod.Cut> tube) {
        Optional<LeadEnd> unknown =
                row.leads().stream().filter(l -> l.gauge().known().isEmpty()).findFirst();
        if (unknown.isPresent())
            return new JointMethod.Fit.Unknown(
                    "The gauge of the %s lead of %s is not known: measure it, or take it from the part in hand."
                            .formatted(
                                    unknown.get().colourWords(), unknown.get().deviceWords()));
        Optional<Tables.Size> size = size(row, kind, ways.folded());
        String sum = sum(row, kind, ways.folded());
        if (size.isPresent()) return new JointMethod.Fit.Sized(size.get(), sum);
        if (kind != JointKind.SOLDER)
            return new JointMethod.Fit.NoSize("No %s covers %s.".formatted(kind.label(), sum), waysOut(row, kind));
        return tube.isPresent()
                ? new JointMethod.Fit.Free(sum)
                : new JointMethod.Fit.NoSize(
                        "No tube passes over the joint and still grips its thinnest lead.", waysOut(row, kind));
    }

    private Optional<Tables.Size> size(JointRow row, JointKind kind, Set<TerminalId> folded) {
        return switch (kind) {
            case CRIMP_CAP -> tables.caps().stream()
                    .filter(s -> s.covers(area(row.leads(), folded)))
                    .findFirst();
            case BUTT -> tables.butts().stream()
                    .filter(s -> sides(row).stream().allMatch(side -> s.covers(area(side, folded))))
                    .findFirst();
            case TAP -> tables.tapSizes().stream()
                    .filter(s -> row.leads().stream().allMatch(l -> s.covers(area(List.of(l), Set.of()))))
                    .findFirst();
            case SOLDER -> Optional.empty();
        };
    }

    /** One lead comes from the car's side, or is the only one there; the rest meets it. */
    static List<List<LeadEnd>> sides(JointRow row) {
        return List.of(
                row.leads().subList(0, 1), row.leads().subList(1, row.leads().size()));
    }

    static double area(List<LeadEnd> leads, Set<TerminalId> folded) {
        return leads.stream()
                .mapToDouble(
                        l -> l.gauge().known().orElseThrow().squareMillimetres() * (folded.contains(l.id()) ? 2 : 1))
                .sum();
    }

    private static String sum(JointRow row, JointKind kind, Set<TerminalId> folded) {
        if (kind == JointKind.BUTT)
            return sides(row).stream()
                    .map(side -> mm2(area(side, folded)))
                    .collect(Collectors.joining(" on one side and ", "", " on the other"));
        if (kind == JointKind.TAP)
            return row.leads().stream().map(l -> mm2(area(List.of(l), folded))).collect(Collectors.joining(" and "));
        return mm2(area(row.leads(), folded)) + " together";
    }

    private static String mm2(double area) {
        return "%.2f mm²".formatted(area);
    }

    /** Another kind that has a size; one lead folded back; two joints: in this order. */
    private List<JointMethod.WayOut> waysOut(JointRow row, JointKind kind) {
        List<JointMethod.WayOut> out = new ArrayList<>();
        for (JointKind other : JointKind.values())
            if (other != kind
                    && other != JointKind.TAP
                    && refused(row, other).isEmpty()
                    && has(row, other, ways.folded()))
                out.add(new JointMethod.WayOut(
                        "Make it as %s.".formatted(words(row, other)), Optional.of(other), Optional.empty()));
        if (kind != JointKind.SOLDER)
            row.leads().stream()
                    .filter(l -> !ways.folded().contains(l.id()) && has(row, kind, with(l.id())))
                    .findFirst()
                    .ifPresent(l -> out.add(new JointMethod.WayOut(
                            "Fold the %s lead of %s back, so that it counts twice."
                                    .formatted(l.colourWords(), l.deviceWords()),
                            Optional.empty(),
                            Optional.of(l))));
        if (row.leads().size() > 2)
            out.add(new JointMethod.WayOut(
                    "Make two joints of it with a short piece of lead between them.",
                    Optional.empty(),
                    Optional.empty()));
        return out;
    }

    private Set<TerminalId> with(TerminalId lead) {
        return Stream.concat(ways.folded().stream(), Stream.of(lead)).collect(Collectors.toSet());
    }

    private boolean has(JointRow row, JointKind kind, Set<TerminalId> folded) {
        return kind == JointKind.SOLDER
                ? tube(row, tables.strip().get(kind)).isPresent()
                : size(row, kind, folded).isPresent();
    }

    private String words(JointRow row, JointKind kind) {
        return size(row, kind, ways.folded())
                .map(s -> "%s, %s".formatted(kind.label(), s.name()))
                .orElse(kind.label());
    }

    private List<JointMethod.Choice> choices(JointRow row) {
        List<JointMethod.Choice> all = new ArrayList<>();
        for (JointKind kind : JointKind.values())
            all.add(new JointMethod.Choice(kind.label(), Optional.of(kind), refused(row, kind)));
        for (JointKind.Refused r : JointKind.Refused.values())
            all.add(new JointMethod.Choice(r.label(), Optional.empty(), r.why()));
        return all;
    }

    /** Why a kind cannot be chosen for a joint; empty where it can. */
    public String refused(JointRow row, JointKind kind) {
        if (kind != JointKind.TAP) return "";
        if (!tables.taps()) return "This workshop does not allow displacement taps.";
        if (row.role().group() == LeadRole.Group.POWER)
            return "Never on power: the blade's small contact heats and cuts strands.";
        return row.leads().size() == 2
                ? ""
                : "A tap joins two leads, here are %d.".formatted(row.leads().size());
    }

    /**
     * The smallest tube that passes over the joint's largest diameter with room and, shrunk freely, would be
     * narrower than its thinnest lead.
     */
    private Optional<JointMethod.Cut> tube(JointRow row, Millimetres joint) {
        if (row.leads().stream().anyMatch(l -> l.gauge().known().isEmpty())) return Optional.empty();
        double largest = largestDiameter(row);
        double thinnest = row.leads().stream()
                .mapToDouble(l -> insulation(l).value())
                .min()
                .orElseThrow();
        return tables.tubes().stream()
                .filter(t -> t.supplied().value() >= TUBE_PASSES * largest
                        && t.recovered().value() <= TUBE_GRIPS * thinnest)
                .min(Comparator.comparing(Tables.Tube::supplied))
                .map(t -> new JointMethod.Cut(t, length(joint)));
    }

    /** Of the copper twisted together, and of the insulated leads where several lie side by side. */
    private double largestDiameter(JointRow row) {
        double copper = LAID_TOGETHER * 2 * Math.sqrt(area(row.leads(), ways.folded()) / Math.PI);
        double bundle = sides(row).stream()
                .mapToDouble(side -> side.size() == 1
                        ? insulation(side.get(0)).value()
                        : LAID_TOGETHER
                                * Math.sqrt(side.stream()
                                        .mapToDouble(l -> Math.pow(insulation(l).value(), 2))
                                        .sum()))
                .max()
                .orElseThrow();
        return Math.max(copper, bundle);
    }

    private Millimetres insulation(LeadEnd lead) {
        return tables.insulation(lead.gauge().known().orElseThrow());
    }

    static Millimetres length(Millimetres joint) {
        return new Millimetres(
                CUT_STEP * Math.ceil((joint.value() + 2 * TUBE_OVERLAP) / TUBE_SHRINKS_ALONG / CUT_STEP));
    }

    private static String slideOn(JointRow row, JointKind kind, Optional<JointMethod.Cut> tube) {
        LeadEnd lead = row.leads().get(0);
        String over = "over the %s lead of %s".formatted(lead.colourWords(), lead.deviceWords());
        if (tube.isPresent())
            return "%s mm of %s tube %s"
                    .formatted(
                            Tables.plain(tube.get().length().value()),
                            tube.get().tube().name(),
                            over);
        return kind == JointKind.BUTT ? "the splice %s".formatted(over) : "";
    }

    /**
     * The cap for a lead that stays unused: folded back where it is too thin on its own.
     *
     * @return empty where its gauge is not known
     */
    public Optional<String> endCap(LeadEnd lead) {
        return lead.gauge().known().map(Gauge::squareMillimetres).map(area -> tables.caps().stream()
                .filter(s -> s.covers(area))
                .findFirst()
                .map(Tables.Size::name)
                .or(() -> tables.caps().stream()
                        .filter(s -> s.covers(2 * area))
                        .findFirst()
                        .map(s -> s.name() + ", folded back"))
                .orElse("none fits: sleeve of shrink tube, end pinched shut while hot"));
    }
}
