package velvetbezel.run;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.Effect;
import velvetbezel.state.VehicleState;

/**
 * Runs one installation. Equal state and memory are computed once.
 *
 * <p>In a state, voltages, arrivals and rules settle with modes frozen; then the worst passed current limit
 * trips, else modes are entered, each at most once per state; again until nothing changes. What will not
 * settle is named and the run goes on.
 */
public final class Run {
    private static final int MOST_RISES = 4;
    static final String WORKING = ".working";
    private static final int PICTURES_BEFORE_TRIP = 3;
    private final Plan plan;
    private final Learned learned;
    private final Assumption assumption;
    private final Map<Moment, Settled> known = new HashMap<>();
    private final Wirings wirings;
    private boolean tripped;

    private record Moment(VehicleState state, Memory memory) {}

    public Run(Installation installation, Learned learned, Assumption assumption) {
        this.plan = new Plan(installation);
        this.learned = learned;
        this.assumption = assumption;
        this.wirings = new Wirings(plan, assumption);
    }

    private Run(Run other, Learned learned) {
        this.plan = other.plan;
        this.learned = learned;
        this.assumption = other.assumption;
        this.wirings = other.wirings;
        this.tripped = other.tripped;
        if (learned.equals(other.learned)) known.putAll(other.known);
    }

    /** The same installation once buttons are learned: its networks, solved so far, are the same. */
    public Run having(Learned taught) {
        return new Run(this, taught);
    }

    public static Run of(Installation installation) {
        return new Run(installation, Learned.NOTHING, Assumption.ALL_FIRST);
    }

    /** Modes at their start, no rule in force. */
    public Memory start() {
        return new Memory(plan.startModes, new BitSet());
    }

    public Installation installation() {
        return plan.installation;
    }

    /** Whether a current limit was passed in any state so far. */
    public boolean tripped() {
        return tripped;
    }

    public Settled in(VehicleState state, Memory memory) {
        VehicleState asked = plan.relevant(state);
        return known.computeIfAbsent(new Moment(asked, memory), m -> new Passage(asked, memory).pass());
    }

    /** Passes through several states, from memory to memory. */
    public List<Settled> through(List<VehicleState> states, Memory start) {
        List<Settled> passed = new ArrayList<>();
        Memory memory = start;
        for (VehicleState state : states) {
            Settled settled = in(state, memory);
            passed.add(settled);
            memory = settled.memory();
        }
        return passed;
    }

    /** One state being settled. */
    private final class Passage {
        private final VehicleState state;
        private final Map<String, String> modes;
        private final Set<String> changed = new HashSet<>();
        /** Devices whose rules are all out of force. */
        private final Set<String> broken = new HashSet<>();

        private final Set<Integer> benched = new HashSet<>();
        private final Set<String> unsettled = new LinkedHashSet<>();
        private final List<ModeChange> changes = new ArrayList<>();
        private BitSet inForce;

        Passage(VehicleState state, Memory memory) {
            this.state = state;
            this.modes = new LinkedHashMap<>(memory.modes());
            this.inForce = (BitSet) memory.inForce().clone();
            for (Plan.Unit unit : plan.units)
                if ("false"
                        .equals(state.settings()
                                .getOrDefault(unit.id() + WORKING, plan.startSettings.get(unit.id() + WORKING))))
                    broken.add(unit.id());
        }

        Settled pass() {
            while (true) {
                Picture picture = settle();
                if (picture == null) continue;
                List<Entry> entries = entries(picture);
                Optional<Entry> worst =
                        entries.stream().filter(e -> e.overload >= 0).max(Comparator.comparingDouble(Entry::overload));
                if (worst.isPresent()) enter(worst.get());
                else if (entries.isEmpty())
                    return new Settled(picture, new Memory(modes, inForce), changes, List.copyOf(unsettled));
                else entries.stream().filter(e -> !changed.contains(e.mode)).forEach(this::enterOnce);
            }
        }

        /** @return null where a limit tripped on the way, so that settling starts anew */
        private Picture settle() {
            Map<Integer, Integer> rises = new HashMap<>();
            Entry overloaded = null;
            for (int pictures = 1; ; pictures++) {
                Picture picture = new Picture(plan, state, assumption, learned, modes, inForce, wirings);
                if (pictures >= PICTURES_BEFORE_TRIP) overloaded = worse(overloaded, passedLimit(picture));
                BitSet next = judge(picture);
                if (next.equals(inForce)) return picture;
                List<Integer> tired = rising(next, rises);
                inForce = next;
                if (tired.isEmpty()) continue;
                if (overloaded != null) {
                    enter(overloaded);
                    return null;
                }
                bench(tired, rises);
            }
        }

        private BitSet judge(Picture picture) {
            Judge judge = new Judge(picture);
            BitSet next = new BitSet(plan.rules.size());
            for (Plan.Ruled r : plan.rules) {
                if (!broken.contains(r.unit().id())
                        && !plan.dead.get(r.index())
                        && !benched.contains(r.index())
                        && judge.holds(r.rule().when(), r.unit(), inForce.get(r.index()))) next.set(r.index());
            }
            return next;
        }

        /** Counts the rules that come into force now; those at their fourth time are returned. */
        private List<Integer> rising(BitSet next, Map<Integer, Integer> rises) {
            List<Integer> tired = new ArrayList<>();
            for (int i = next.nextSetBit(0); i >= 0; i = next.nextSetBit(i + 1))
                if (!inForce.get(i) && rises.merge(i, 1, Integer::sum) >= MOST_RISES) tired.add(i);
            return tired;
        }

        /** The first tired rule with an electrical effect stays out until the state changes. */
        private void bench(List<Integer> tired, Map<Integer, Integer> rises) {
            int out = tired.stream()
                    .filter(i -> Plan.electrical(plan.rules.get(i).rule()))
                    .findFirst()
                    .orElse(tired.get(0));
            benched.add(out);
            inForce.clear(out);
            rises.forEach((rule, times) -> {
                if (times > 1) unsettled.add(plan.rules.get(rule).unit().id());
            });
            rises.clear();
        }

        private record Entry(String mode, String value, RuleRef by, double overload) {}

        /** The worst current limit that is passed and would enter a mode; null where none is. */
        private Entry passedLimit(Picture picture) {
            Judge judge = new Judge(picture);
            Entry worst = null;
            for (Plan.Ruled r : plan.entering)
                if (!plan.dead.get(r.index()) && judge.holds(r.rule().when(), r.unit(), inForce.get(r.index())))
                    for (Entry entry : entries(r, judge)) if (entry.overload >= 0) worst = worse(worst, entry);
            return worst;
        }

        private static Entry worse(Entry a, Entry b) {
            return a == null || b != null && b.overload > a.overload ? b : a;
        }

        private boolean mayEnter(Plan.Ruled r, Effect.Enter enter) {
            String mode = r.unit().id() + "." + enter.mode();
            return !changed.contains(mode) && !enter.value().equals(modes.get(mode));
        }

        /** What the rules in force want to enter. */
        private List<Entry> entries(Picture picture) {
            Judge judge = new Judge(picture);
            return plan.entering.stream()
                    .filter(r -> inForce.get(r.index()))
                    .flatMap(r -> entries(r, judge).stream())
                    .toList();
        }

        /** Current limits carry how far they are passed, other rules −1. */
        private List<Entry> entries(Plan.Ruled r, Judge judge) {
            List<Entry> entries = new ArrayList<>();
            for (Effect e : r.rule().then())
                if (e instanceof Effect.Enter enter && mayEnter(r, enter))
                    entries.add(new Entry(
                            r.unit().id() + "." + enter.mode(),
                            enter.value(),
                            r.ref(),
                            judge.overload(r.rule().when(), r.unit()).orElse(-1.0)));
            return entries;
        }

        private void enterOnce(Entry entry) {
            if (!changed.contains(entry.mode)) enter(entry);
        }

        private void enter(Entry entry) {
            tripped |= entry.overload >= 0;
            changed.add(entry.mode);
            modes.put(entry.mode, entry.value);
            changes.add(new ModeChange(entry.mode, entry.value, entry.by, state));
        }
    }
}
