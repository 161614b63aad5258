package velvetbezel.worksheet;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import velvetbezel.function.FirstUse;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Cap;
import velvetbezel.harness.Conductor;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.harness.Joint;
import velvetbezel.harness.Labels;
import velvetbezel.harness.Terminal;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.Assumption;
import velvetbezel.run.Picture;
import velvetbezel.run.Run;
import velvetbezel.sheet.LeadRole;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;
import velvetbezel.units.Volts;

/** The joints of an installation in working order, with their exceptions, and the leads that stay unused. */
public record Worksheet(List<JointRow> joints, List<CapRow> caps) {
    private static final VehicleState ACCESSORY = VehicleState.AT_REST.with(StateField.KEY, "accessory");
    private static final VehicleState ALL_ON =
            VehicleState.AT_REST.with(StateField.KEY, "run").with(StateField.LAMPS, "on");
    private static final double NOMINAL = 12.6;
    private static final double BATTERY_SPREAD = 0.4;
    private static final double METER_ERROR = 0.005;
    private static final double METER_FLOOR = 0.05;
    private static final Set<LeadRole> FED_BY_CAR =
            Set.of(LeadRole.CONSTANT, LeadRole.ACCESSORY, LeadRole.ILLUMINATION);

    public Worksheet {
        joints = List.copyOf(joints);
        caps = List.copyOf(caps);
    }

    public List<JointRow> exceptions() {
        return joints.stream().filter(JointRow::exception).toList();
    }

    public static Worksheet of(Installation installation) {
        return new Maker(installation).make();
    }

    private static final class Maker {
        private final Installation installation;
        private final Labels labels;
        private final Picture off;
        private final Picture accessory;
        private final Picture allOn;
        private final JointReadings expected;
        private final Deviations deviations;
        private final CapWords words;

        Maker(Installation installation) {
            this.installation = installation;
            this.labels = new Labels(installation);
            this.deviations = new Deviations(installation);
            this.words = new CapWords(installation);
            FirstUse first = FirstUse.of(installation, Assumption.ALL_FIRST);
            Run run = new Run(installation, first.learned(), Assumption.ALL_FIRST);
            this.off = run.in(VehicleState.AT_REST, first.memory()).picture();
            this.accessory = run.in(ACCESSORY, first.memory()).picture();
            this.allOn = run.in(ALL_ON, first.memory()).picture();
            this.expected = new JointReadings(installation, off, accessory, allOn);
        }

        Worksheet make() {
            List<JointRow> rows = new ArrayList<>();
            for (Joint joint : installation.joints()) rows.add(row(rows.size() + 1, joint));
            List<CapRow> caps = installation.caps().stream()
                    .map(this::cap)
                    .sorted(Comparator.comparing((CapRow c) ->
                                    c.lead().labelled().map(LeadRole::ordinal).orElse(99))
                            .thenComparing(c -> c.lead().id()))
                    .toList();
            return new Worksheet(rows, caps);
        }

        private LeadEnd end(TerminalId id) {
            Terminal t = installation.terminal(id);
            Optional<Terminal> car = carPosition(id);
            Instance.Owner owner = car.isPresent()
                    ? Instance.Owner.CAR
                    : installation.instance(id.instance()).orElseThrow().owner();
            return new LeadEnd(
                    id,
                    owner,
                    labels.device(id.instance()),
                    car.map(Terminal::place).orElse(t.place()),
                    t.carries(),
                    t.colour(),
                    t.gauge(),
                    car.map(Terminal::colour),
                    car.map(Terminal::id));
        }

        /**
         * The car's position behind an adapter's tail: over its wire and the plug contact; of a cut wire its own
         * position.
         */
        private Optional<Terminal> carPosition(TerminalId tail) {
            if (tail.instance().equals(Builder.CAR))
                return installation.conductors().stream()
                        .filter(c -> c.kind() == Conductor.Kind.WIRE && c.b().equals(tail))
                        .map(c -> installation.terminal(c.a()))
                        .findFirst();
            return installation.conductors().stream()
                    .filter(c -> c.kind() == Conductor.Kind.WIRE && c.b().equals(tail))
                    .map(Conductor::a)
                    .flatMap(contact -> installation.conductors().stream()
                            .filter(c -> c.kind() == Conductor.Kind.CONTACT)
                            .flatMap(c -> c.a().equals(contact)
                                    ? Stream.of(c.b())
                                    : c.b().equals(contact) ? Stream.of(c.a()) : Stream.empty()))
                    .filter(t -> t.instance().equals(Builder.CAR))
                    .map(installation::terminal)
                    .findFirst();
        }

        private JointRow row(int number, Joint joint) {
            List<LeadEnd> leads = joint.leads().stream()
                    .map(this::end)
                    .sorted(Comparator.comparing(LeadEnd::owner))
                    .toList();
            List<Deviation> found = deviations.of(joint, leads);
            boolean measure = FED_BY_CAR.contains(joint.role())
                    && found.stream().anyMatch(d -> d.kind() == Deviation.Kind.OTHER_FUNCTION);
            return new JointRow(
                    number,
                    joint.id(),
                    joint.role(),
                    leads,
                    found,
                    measure ? readings(leads) : List.of(),
                    expected.of(joint.role(), leads));
        }

        /** At the car's own position where one leads there, else at the first lead: in the hand, before it is joined. */
        private List<Reading> readings(List<LeadEnd> leads) {
            LeadEnd lead = leads.stream()
                    .filter(l -> l.carPosition().isPresent())
                    .findFirst()
                    .orElse(leads.get(0));
            TerminalId at = lead.carPosition().orElse(lead.id());
            return List.of(
                    reading(at, lead.place(), "key off", off),
                    reading(at, lead.place(), "key at accessory", accessory),
                    reading(at, lead.place(), "key on, lamps on", allOn));
        }

        private static Reading reading(TerminalId at, String place, String state, Picture picture) {
            double volts = JointReadings.volts(picture, at);
            double tolerance = Math.abs(volts) / NOMINAL * BATTERY_SPREAD + Math.abs(volts) * METER_ERROR + METER_FLOOR;
            return new Reading(at, place, state, new Volts(volts), new Volts(tolerance));
        }

        private CapRow cap(Cap cap) {
            return new CapRow(
                    end(cap.lead()),
                    cap.reason(),
                    words.of(cap.reason()),
                    new Volts(JointReadings.volts(allOn, cap.lead())));
        }
    }
}
