package velvetbezel.worksheet;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
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
import velvetbezel.sheet.Iso10487;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Plug;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;
import velvetbezel.units.Volts;
import velvetbezel.units.WireColour;

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
        private final List<LeadEnd> radioLeads = new ArrayList<>();

        Maker(Installation installation) {
            this.installation = installation;
            this.labels = new Labels(installation);
            FirstUse first = FirstUse.of(installation, Assumption.ALL_FIRST);
            Run run = new Run(installation, first.learned(), Assumption.ALL_FIRST);
            this.off = run.in(VehicleState.AT_REST, first.memory()).picture();
            this.accessory = run.in(ACCESSORY, first.memory()).picture();
            this.allOn = run.in(ALL_ON, first.memory()).picture();
        }

        Worksheet make() {
            for (Terminal t : installation.terminals().values())
                if (t.kind() == Terminal.Kind.BARE
                        && installation
                                        .instance(t.id().instance())
                                        .orElseThrow()
                                        .owner()
                                == Instance.Owner.RADIO) radioLeads.add(end(t.id()));
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
                    t.role(),
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
            List<Deviation> deviations = deviations(joint.role(), leads);
            boolean measure = FED_BY_CAR.contains(joint.role())
                    && deviations.stream().anyMatch(d -> d.kind() == Deviation.Kind.OTHER_FUNCTION);
            return new JointRow(
                    number, joint.id(), joint.role(), leads, deviations, measure ? readings(leads) : List.of());
        }

        private List<Deviation> deviations(LeadRole role, List<LeadEnd> leads) {
            List<Deviation> found = new ArrayList<>();
            Optional<LeadEnd> car =
                    leads.stream().filter(l -> l.owner() == Instance.Owner.CAR).findFirst();
            car.ifPresent(lead -> otherFunction(role, lead).ifPresent(found::add));
            leads.stream()
                    .filter(l -> l.colour().known().isEmpty())
                    .forEach(l -> found.add(new Deviation(
                            Deviation.Kind.COLOUR_UNKNOWN,
                            "The colour of " + labels.terminal(l.id()) + " is not known: go by position.")));
            List<WireColour> colours = leads.stream()
                    .flatMap(l -> l.colour().known().stream())
                    .distinct()
                    .toList();
            if (colours.size() > 1)
                found.add(new Deviation(
                        Deviation.Kind.COLOURS_DIFFER,
                        capital(colours.stream().map(WireColour::words).collect(Collectors.joining(" goes to ")))
                                + "."));
            if (leads.size() > 2)
                found.add(new Deviation(
                        Deviation.Kind.THREE_OR_MORE,
                        "%d leads in one joint: lay them out before joining.".formatted(leads.size())));
            if (car.isEmpty())
                found.add(new Deviation(
                        Deviation.Kind.NOT_AT_CAR_PLUG,
                        "No partner at the car's plug: it comes from %s."
                                .formatted(leads.stream()
                                        .filter(l -> l.owner() == Instance.Owner.PART)
                                        .map(LeadEnd::device)
                                        .findFirst()
                                        .orElse("nowhere"))));
            return found;
        }

        /**
         * The lead's own label, the standard, or a like-coloured lead of the radio says something else than the car
         * does.
         */
        private Optional<Deviation> otherFunction(LeadRole role, LeadEnd car) {
            Optional<LeadRole> label = car.labelled().filter(l -> l != role);
            Optional<LeadRole> like = radioLeads.stream()
                    .filter(r -> !r.labelled().equals(Optional.of(role))
                            && r.colour().known().isPresent()
                            && r.colour().known().equals(car.colour().known()))
                    .flatMap(r -> r.labelled().stream())
                    .findFirst();
            if (label.isEmpty() && like.isEmpty()) return Optional.empty();
            StringBuilder text =
                    new StringBuilder("Position %s of this car carries %s".formatted(car.place(), role.label()));
            standard(car).filter(s -> s != role).ifPresent(s -> text.append(", where ISO 10487 has ")
                    .append(s.label()));
            text.append('.');
            label.ifPresent(l -> text.append(" The adapter labels its ")
                    .append(car.colourWords())
                    .append(" lead there ")
                    .append(l.label())
                    .append('.'));
            like.ifPresent(l -> text.append(" The radio's own ")
                    .append(car.colourWords())
                    .append(" lead is ")
                    .append(l.label())
                    .append('.'));
            return Optional.of(new Deviation(Deviation.Kind.OTHER_FUNCTION, text.toString()));
        }

        private Optional<LeadRole> standard(LeadEnd car) {
            return car.carPosition().flatMap(p -> {
                String plugId = p.name().substring(0, p.name().indexOf('.'));
                String number = p.name().substring(p.name().indexOf('.') + 1);
                return installation
                        .recipe()
                        .vehicle()
                        .car()
                        .plug(plugId)
                        .map(Plug::family)
                        .flatMap(f -> Iso10487.role(f, number));
            });
        }

        private List<Reading> readings(List<LeadEnd> leads) {
            LeadEnd car = leads.stream()
                    .filter(l -> l.owner() == Instance.Owner.CAR)
                    .findFirst()
                    .orElseThrow();
            TerminalId at = car.carPosition().orElseThrow();
            return List.of(
                    reading(at, car.place(), "key off", off),
                    reading(at, car.place(), "key at accessory", accessory),
                    reading(at, car.place(), "key on, lamps on", allOn));
        }

        private static Reading reading(TerminalId at, String place, String state, Picture picture) {
            double volts = volts(picture, at);
            double tolerance = Math.abs(volts) / NOMINAL * BATTERY_SPREAD + Math.abs(volts) * METER_ERROR + METER_FLOOR;
            return new Reading(at, place, state, new Volts(volts), new Volts(tolerance));
        }

        private static double volts(Picture picture, TerminalId at) {
            return picture.at(at).reading().map(Volts::value).orElse(0.0);
        }

        private CapRow cap(Cap cap) {
            LeadEnd lead = end(cap.lead());
            return new CapRow(lead, why(cap, lead), new Volts(volts(allOn, cap.lead())));
        }

        private String why(Cap cap, LeadEnd lead) {
            String role = cap.role().map(LeadRole::label).orElse("this");
            return switch (cap.reason()) {
                case NO_WIRE_IN_CAR -> "This car has no wire at %s.".formatted(lead.place());
                case PLUG_NOT_MATED -> "Its plug has no partner in this car.";
                case INTERFACE_READS_IT -> "The control interface reads the buttons instead.";
                case CAR_SERVES_IT -> "The car's own %s serves.".formatted(role);
                case BY_HAND -> "You chose to leave it unused.";
                case NO_PARTNER -> noPartner(cap, role);
            };
        }

        private String noPartner(Cap cap, String role) {
            boolean speaker =
                    cap.role().filter(r -> r.group() == LeadRole.Group.SPEAKER).isPresent();
            if (speaker && installation.recipe().vehicle().amplified())
                return "The factory amplifier drives the speakers; this pair stays unused.";
            return switch (cap.role().orElse(LeadRole.GROUND)) {
                case ANTENNA_POWER -> "This antenna needs no feed.";
                case AMP_REMOTE -> "No amplifier is switched by it.";
                default -> "Nothing here uses " + role + ".";
            };
        }

        private static String capital(String text) {
            return text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
        }
    }
}
