package velvetbezel.prove;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import velvetbezel.circuit.Branch;
import velvetbezel.circuit.Netlist;
import velvetbezel.circuit.Solution;
import velvetbezel.function.CarFunction;
import velvetbezel.function.Facilities;
import velvetbezel.function.FirstUse;
import velvetbezel.harness.Installation;
import velvetbezel.harness.JointId;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.Assumption;
import velvetbezel.run.Picture;
import velvetbezel.run.Run;
import velvetbezel.run.Settled;
import velvetbezel.state.VehicleState;
import velvetbezel.units.Volts;

/**
 * What a voltmeter must show where a check's current runs, while the check is tried: the settled circuit solved again at the
 * ends of what a car's supply may be, with every other source a little off, and the meter's own error on top.
 */
public final class MeterReadings {
    /** A tired battery at rest, and one that is charged (common practice, no source). */
    private static final double LEAST_SUPPLY = 11.0;

    private static final double MOST_SUPPLY = 14.4;
    /** Of a device's own source, as a share of it (common practice, no source). */
    private static final double SOURCE = 0.05;
    /** Of a usual meter: half a percent and two digits. */
    private static final double METER = 0.005;

    private static final double DIGITS = 0.02;
    /** Less is as good as nothing. */
    private static final double NOTHING = 0.3;

    private static final int MOST_PLACES = 3;
    private static final TerminalId MINUS = new TerminalId("battery", "minus");
    private static final TerminalId PLUS = new TerminalId("battery", "plus");

    private final Installation installation;
    private final Facilities facilities;
    private final FirstUse first;
    private final Run run;
    private final Map<Picture, Ends> known = new IdentityHashMap<>();

    /**
     * @param joint   where to measure
     * @param nominal at a battery as its sheet says; empty: nothing steady, which a meter does not tell from 0 V
     * @param low     the least that is right; 0 where there is nothing steady
     */
    public record Line(JointId joint, Optional<Volts> nominal, Volts low, Volts high) {}

    public MeterReadings(Installation installation) {
        this.installation = installation;
        this.facilities = new Facilities(installation);
        this.first = FirstUse.of(installation, Assumption.ALL_FIRST);
        this.run = first.run().having(first.learned());
    }

    /** At the joints that a check goes through, the most telling first. */
    public List<Line> of(Check check) {
        Ends ends = known.computeIfAbsent(picture(check.function()), Ends::new);
        List<Line> lines = new ArrayList<>();
        for (JointId id : check.suspects().stream().limit(MOST_PLACES).toList())
            installation
                    .joint(id)
                    .flatMap(j -> j.leads().stream().findFirst())
                    .ifPresent(at -> lines.add(line(id, ends, at)));
        return lines;
    }

    /** At the first step that expects something. */
    private Picture picture(CarFunction asked) {
        CarFunction f = facilities.bind(asked);
        long before =
                f.scenario().stream().takeWhile(s -> s.expects().isEmpty()).count();
        List<VehicleState> states = f.states().stream().limit(before + 1).toList();
        List<Settled> passed = run.through(states, first.memory());
        return passed.get(passed.size() - 1).picture();
    }

    private static Line line(JointId joint, Ends ends, TerminalId at) {
        return ends.band(at)
                .map(b -> new Line(joint, Optional.of(b.nominal), b.low, b.high))
                .orElseGet(() -> new Line(joint, Optional.empty(), new Volts(0), new Volts(0)));
    }

    /** What is right between two supplies. */
    record Band(Volts nominal, Volts low, Volts high) {}

    /** One picture, solved again at both ends of the supply with the other sources low and high. */
    static final class Ends {
        private final Picture picture;
        private final Map<TerminalId, Integer> nodes;
        private final List<Solution> solved;

        Ends(Picture picture) {
            this.picture = picture;
            this.nodes = numbered(picture);
            this.solved = Stream.of(LEAST_SUPPLY, MOST_SUPPLY)
                    .flatMap(supply -> Stream.of(1 - SOURCE, 1 + SOURCE)
                            .map(share -> scaled(picture, nodes, supply, share).solve()))
                    .toList();
        }

        /** Empty where nothing steady is to be read. */
        Optional<Band> band(TerminalId at) {
            Optional<Volts> nominal = picture.at(at).reading().filter(v -> Math.abs(v.value()) >= NOTHING);
            double[] ends = solved.stream()
                    .flatMap(s -> s.between(nodes.get(at), nodes.get(MINUS)).reading().stream())
                    .mapToDouble(Volts::value)
                    .sorted()
                    .toArray();
            if (nominal.isEmpty() || ends.length == 0) return Optional.empty();
            double low = ends[0];
            double high = ends[ends.length - 1];
            return Optional.of(new Band(
                    nominal.get(),
                    new Volts(low - METER * Math.abs(low) - DIGITS),
                    new Volts(high + METER * Math.abs(high) + DIGITS)));
        }
    }

    /** What is read at another supply, everything else as it is. */
    static Optional<Volts> at(Picture picture, TerminalId at, double supply) {
        Map<TerminalId, Integer> nodes = numbered(picture);
        return scaled(picture, nodes, supply, 1)
                .solve()
                .between(nodes.get(at), nodes.get(MINUS))
                .reading();
    }

    private static Map<TerminalId, Integer> numbered(Picture picture) {
        Map<TerminalId, Integer> nodes = new HashMap<>();
        List<TerminalId> all = picture.nodes();
        for (int i = 0; i < all.size(); i++) nodes.put(all.get(i), i);
        return nodes;
    }

    private static Netlist scaled(Picture picture, Map<TerminalId, Integer> nodes, double supply, double share) {
        int plus = nodes.get(PLUS);
        int minus = nodes.get(MINUS);
        List<Branch> branches = picture.netlist().branches().stream()
                .map(b -> !(b instanceof Branch.Source s)
                        ? b
                        : new Branch.Source(
                                s.a(), s.b(), s.a() == plus && s.b() == minus ? supply : s.volts() * share, s.ohms()))
                .toList();
        return new Netlist(picture.netlist().nodes(), branches);
    }
}
