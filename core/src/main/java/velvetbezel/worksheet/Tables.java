package velvetbezel.worksheet;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.sheet.HowSet;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Node;
import velvetbezel.units.Amps;
import velvetbezel.units.Gauge;
import velvetbezel.units.Millimetres;
import velvetbezel.units.Volts;

/**
 * Sizes, limits and small goods as a workshop has them: data, none of it in code. What the maker of a part in hand
 * prints on it wins.
 *
 * @param school    how joints are made here unless a job says otherwise
 * @param taps      whether displacement taps are allowed at all
 * @param leads     by rising cross-section
 * @param fuses     small and regular blade, by rising rating
 * @param strip     how much insulation comes off, by kind of joint
 * @param minutes   at the bench
 * @param allowance by how much more cable is cut than measured, as a factor
 */
public record Tables(
        String name,
        JointKind school,
        boolean taps,
        List<LeadSize> leads,
        List<Size> butts,
        List<Size> caps,
        List<Size> tapSizes,
        List<Tube> tubes,
        List<Fuse> fuses,
        Map<JointKind, Millimetres> strip,
        Limits limits,
        double allowance,
        BenchMinutes minutes,
        List<Good> goods) {
    /** Goods that loads ask for, by their names in the tables. */
    static final String FUSE = "blade fuse";

    static final String HOLDER = "fuse holder, in line";
    static final String RELAY = "relay with socket";
    private static final double MOST = 1e6;

    public Tables {
        leads = List.copyOf(leads);
        butts = List.copyOf(butts);
        caps = List.copyOf(caps);
        tapSizes = List.copyOf(tapSizes);
        tubes = List.copyOf(tubes);
        fuses = List.copyOf(fuses);
        strip = Map.copyOf(strip);
        goods = List.copyOf(goods);
    }

    /**
     * What a hand takes at the bench, in minutes.
     *
     * @param leadEnd for each lead of a joint, by how it is made: strip, join, insulate, read back
     * @param cap     for a lead that is capped by itself
     * @param setting for one that is set, by the means; {@code otherSetting} where its sheet names none
     * @param key     for a button that a device learns
     */
    public record BenchMinutes(
            Map<JointKind, Double> leadEnd,
            double cap,
            Map<HowSet.Means, Double> setting,
            double otherSetting,
            double key) {
        /** Where a workshop's tables say nothing (common practice, no source). */
        static final BenchMinutes USUAL = new BenchMinutes(
                Map.of(
                        JointKind.CRIMP_CAP, 1.0,
                        JointKind.BUTT, 1.5,
                        JointKind.SOLDER, 3.0,
                        JointKind.TAP, 1.5),
                0.5,
                Map.of(
                        HowSet.Means.SELECTOR, 1.0,
                        HowSet.Means.SWITCHES, 2.0,
                        HowSet.Means.COMPUTER, 10.0,
                        HowSet.Means.MENU, 3.0,
                        HowSet.Means.BUTTONS, 3.0),
                3,
                0.5);

        public BenchMinutes {
            leadEnd = Map.copyOf(leadEnd);
            setting = Map.copyOf(setting);
        }

        public double of(HowSet how) {
            return how.by().map(b -> setting.getOrDefault(b, otherSetting)).orElse(otherSetting);
        }
    }

    /** What a short lead in a dash may carry, and how thick it is over its insulation. */
    public record LeadSize(Gauge gauge, Amps carries, Millimetres insulation) {}

    /** @param least all leads together, in mm²; a sleeve marked in AWG and in mm² takes what either mark allows */
    public record Size(String name, double least, double most) {
        public boolean covers(double squareMillimetres) {
            return squareMillimetres >= least - HAIR && squareMillimetres <= most + HAIR;
        }

        private static final double HAIR = 1e-4;
    }

    /** @param supplied diameter before, @param recovered after shrinking freely */
    public record Tube(String ratio, Millimetres supplied, Millimetres recovered) {
        public String name() {
            return "%s %s".formatted(plain(supplied.value()), ratio);
        }
    }

    /** A rating with the colour of its body. */
    public record Fuse(Amps rating, String colour) {}

    /**
     * @param remote     what a radio's remote lead gives unless its sheet says otherwise
     * @param feedDrop   worth a warning
     * @param groundDrop worth a warning
     * @param fuseFactor a fuse is at least so many times the continuous load
     */
    public record Limits(Amps remote, Volts feedDrop, Volts groundDrop, double fuseFactor) {}

    /** Something from a box: what one pack holds and costs, in hundredths of the currency. */
    public record Good(String name, double pack, String unit, long cents) {}

    /** @throws InvalidInput with every fault */
    public static Tables read(Object tree) {
        List<InputProblem> faults = new ArrayList<>();
        Tables tables = read(Node.root(tree, faults), faults);
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        return tables;
    }

    private static Tables read(Node n, List<InputProblem> faults) {
        n.only(
                "format",
                "version",
                "kind",
                "id",
                "name",
                "school",
                "taps",
                "leads",
                "butt splices",
                "crimp caps",
                "tap sizes",
                "shrink tube",
                "fuses",
                "strip",
                "limits",
                "cable allowance",
                "minutes",
                "goods");
        Map<JointKind, Millimetres> strip = new EnumMap<>(JointKind.class);
        for (JointKind kind : JointKind.values())
            strip.put(kind, new Millimetres(n.at("strip").at(kind.label()).number(0, 60)));
        Node limits = n.at("limits").only("remote", "feed drop", "ground drop", "fuse factor");
        List<LeadSize> leads = n.at("leads").list().stream()
                .map(l -> new LeadSize(
                        Gauge.awg(l.at("gauge").number(-3, 40)),
                        new Amps(l.at("amps").number(0.1, 500)),
                        new Millimetres(l.at("insulation").number(0.3, 40))))
                .sorted(Comparator.comparing(LeadSize::gauge))
                .toList();
        if (leads.isEmpty()) n.at("leads").fault("is empty; at least one lead size is needed.");
        return new Tables(
                n.at("name").text("Tables"),
                n.at("school").one(JointKind::find, JointKind.all(), JointKind.CRIMP_CAP),
                n.at("taps").truth(false),
                leads,
                sizes(n.at("butt splices")),
                sizes(n.at("crimp caps")),
                sizes(n.at("tap sizes")),
                n.at("shrink tube").list().stream()
                        .map(t -> new Tube(
                                t.at("ratio").text(),
                                new Millimetres(t.at("supplied").number(0.5, 100)),
                                new Millimetres(t.at("recovered").number(0.1, 100))))
                        .toList(),
                n.at("fuses").list().stream()
                        .map(f -> new Fuse(
                                new Amps(f.at("amps").number(0.5, 100)),
                                f.at("colour").text()))
                        .sorted(Comparator.comparing(Fuse::rating))
                        .toList(),
                strip,
                new Limits(
                        new Amps(limits.at("remote").number(0.01, 10)),
                        new Volts(limits.at("feed drop").number(0.01, 5)),
                        new Volts(limits.at("ground drop").number(0.01, 5)),
                        limits.at("fuse factor").number(1, 3)),
                n.at("cable allowance").number(1, 2),
                n.has("minutes") ? minutes(n.at("minutes")) : BenchMinutes.USUAL,
                n.at("goods").list().stream()
                        .map(g -> new Good(
                                g.at("name").text(),
                                g.at("pack").number(0.1, MOST),
                                g.at("unit").text(),
                                Math.round(100 * g.at("price").number(0, MOST))))
                        .toList());
    }

    private static BenchMinutes minutes(Node node) {
        Map<JointKind, Double> leadEnd = new EnumMap<>(JointKind.class);
        for (JointKind kind : JointKind.values())
            leadEnd.put(kind, node.at(kind.label()).number(0, 60));
        return new BenchMinutes(
                leadEnd,
                node.at("lead capped").number(0, 60),
                settings(node.at("setting")),
                node.at("other setting").number(0, 60, BenchMinutes.USUAL.otherSetting()),
                node.at("button learned").number(0, 60, BenchMinutes.USUAL.key()));
    }

    private static Map<HowSet.Means, Double> settings(Node node) {
        Map<HowSet.Means, Double> minutes = new EnumMap<>(HowSet.Means.class);
        for (HowSet.Means m : HowSet.Means.values())
            minutes.put(
                    m,
                    node.at(HowSet.label(m))
                            .number(0, 120, BenchMinutes.USUAL.setting().get(m)));
        return minutes;
    }

    private static List<Size> sizes(Node node) {
        return node.list().stream()
                .map(s -> {
                    Size size = new Size(
                            s.at("name").text(),
                            s.at("least").number(0.01, 200),
                            s.at("most").number(0.01, 200));
                    if (size.most <= size.least)
                        s.fault("reaches from %s to %s mm²; the second must be more."
                                .formatted(plain(size.least), plain(size.most)));
                    return size;
                })
                .sorted(Comparator.comparingDouble(Size::most))
                .toList();
    }

    /**
     * Of a lead of this gauge; of one between two sizes, the thinner one's current and the thicker one's insulation.
     */
    public Amps carries(Gauge gauge) {
        return leads.stream()
                .filter(l -> l.gauge.squareMillimetres() <= gauge.squareMillimetres() * NEARLY)
                .reduce((a, b) -> b)
                .orElse(leads.get(0))
                .carries;
    }

    public Millimetres insulation(Gauge gauge) {
        return leads.stream()
                .filter(l -> l.gauge.squareMillimetres() * NEARLY >= gauge.squareMillimetres())
                .findFirst()
                .orElse(leads.get(leads.size() - 1))
                .insulation;
    }

    /** Metric leads stand for the AWG size they are sold as: 0.5 mm² is a 20, 1.5 mm² a 16. */
    private static final double NEARLY = 1.05;

    public Optional<Good> good(String name) {
        return goods.stream().filter(g -> g.name.equals(name)).findFirst();
    }

    static String plain(double value) {
        return value == Math.rint(value)
                ? String.valueOf((long) value)
                : String.valueOf(Math.round(value * 100) / 100.0);
    }
}
