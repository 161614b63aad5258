package velvetbezel.worksheet;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** What joints and caps use up, with what it costs. */
public record Materials(List<Line> lines) {
    /** Metres of solder in one joint, and joints to a tie (common practice, no source). */
    private static final double SOLDER_METRES = 0.03;

    private static final int JOINTS_TO_A_TIE = 4;
    private static final int TIES_FOR_THE_HARNESS = 4;
    private static final double MILLIMETRES = 1000;

    public Materials {
        lines = List.copyOf(lines);
    }

    /**
     * @param amount used, in the unit of its good
     * @param packs  that must be at hand
     * @param cents  for what is used of them; empty where the tables do not price it
     */
    public record Line(String name, double amount, String unit, int packs, Optional<Long> cents) {
        public String amountWords() {
            return "%s %s".formatted(Tables.plain(amount), amount == 1 ? unit.replaceAll("s$", "") : unit);
        }
    }

    public long cents() {
        return lines.stream().mapToLong(l -> l.cents.orElse(0L)).sum();
    }

    public static Materials of(Worksheet worksheet, Tables tables, JointChoices ways, List<Load> loads) {
        return new Counter(tables, ways).count(worksheet, loads);
    }

    private static final class Counter {
        private final Tables tables;
        private final JointChoices ways;
        private final Map<String, Double> amounts = new TreeMap<>();

        Counter(Tables tables, JointChoices ways) {
            this.tables = tables;
            this.ways = ways;
        }

        Materials count(Worksheet worksheet, List<Load> loads) {
            Sizing sizing = new Sizing(tables, ways);
            for (JointRow row : worksheet.joints()) {
                Optional<Extension> extension =
                        Optional.ofNullable(ways.extended().get(row.id()));
                // a piece of lead put in between has a joint at each end
                joint(sizing.of(row), extension.isPresent() ? 2 : 1);
                extension.ifPresent(e -> use("cable, AWG " + e.gauge().nearestAwg(), e.metres() * tables.allowance()));
            }
            worksheet.caps().forEach(c -> sizing.endCap(c.lead())
                    .filter(s -> tables.caps().stream().anyMatch(x -> s.startsWith(x.name())))
                    .ifPresent(s -> use("crimp cap, " + s.replaceAll(",.*", ""), 1)));
            loads.forEach(l -> l.goods().forEach(g -> use(g, 1)));
            int joints = worksheet.joints().size();
            if (joints > 0) {
                use("loom tape", 1);
                use("cable tie", TIES_FOR_THE_HARNESS + (double) ((joints + JOINTS_TO_A_TIE - 1) / JOINTS_TO_A_TIE));
            }
            return new Materials(amounts.entrySet().stream()
                    .map(e -> line(e.getKey(), e.getValue()))
                    .toList());
        }

        private void joint(JointMethod m, int times) {
            if (m.kind() == JointKind.SOLDER) use("solder", times * SOLDER_METRES);
            m.tube()
                    .ifPresent(t -> use(
                            "shrink tube " + t.tube().name(), times * t.length().value() / MILLIMETRES));
            String good =
                    switch (m.kind()) {
                        case CRIMP_CAP -> "crimp cap, ";
                        case BUTT -> "butt splice, ";
                        case TAP -> "tap, ";
                        case SOLDER -> "";
                    };
            if (!m.size().isEmpty()) use(good + m.size(), times);
        }

        private void use(String name, double amount) {
            amounts.merge(name, amount, Double::sum);
        }

        private Line line(String name, double amount) {
            Optional<Tables.Good> good = tables.good(name);
            return new Line(
                    name,
                    amount,
                    good.map(Tables.Good::unit).orElse("pieces"),
                    good.map(g -> (int) Math.ceil(amount / g.pack() - 1e-9)).orElse(0),
                    good.map(g -> (long) Math.ceil(g.cents() * amount / g.pack() - 1e-9)));
        }
    }
}
