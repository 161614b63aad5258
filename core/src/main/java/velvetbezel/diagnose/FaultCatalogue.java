package velvetbezel.diagnose;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import velvetbezel.function.FirstUse;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Cap;
import velvetbezel.harness.Conductor;
import velvetbezel.harness.ConductorId;
import velvetbezel.harness.Edit;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.harness.Joint;
import velvetbezel.harness.Labels;
import velvetbezel.harness.Mating;
import velvetbezel.harness.PlugRef;
import velvetbezel.harness.PositionId;
import velvetbezel.harness.TerminalId;
import velvetbezel.sheet.Choice;
import velvetbezel.sheet.Guard;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Medium;
import velvetbezel.sheet.Port;
import velvetbezel.sheet.Rule;
import velvetbezel.units.Ohms;

/** Everything that can be wrong with an installation, one at a time, derived from its graph. */
final class FaultCatalogue {
    private static final TerminalId BODY = new TerminalId("battery", "minus");
    private static final TerminalId BATTERY = new TerminalId("battery", "plus");
    private static final Ohms SHORT = new Ohms(0.05);
    /** A poor contact, and one in a line whose resistance is read (common practice, no source). */
    private static final Ohms POOR = new Ohms(3);

    private static final Ohms POOR_STEERING = new Ohms(150);
    private static final String BLOWN = "blown";
    private static final String WORKING = "working";
    private static final String RCA = "RCA";

    private final Installation installation;
    private final FaultRates rates;
    private final Labels labels;
    private final Map<ConductorId, Joint> jointOf = new LinkedHashMap<>();
    private final Map<PlugRef, Mating> matingOf = new LinkedHashMap<>();
    private final Map<Set<Edit>, Fault> found = new LinkedHashMap<>();

    private FaultCatalogue(Installation installation, FaultRates rates) {
        this.installation = installation;
        this.rates = rates;
        this.labels = new Labels(installation);
        for (Joint j : installation.joints())
            for (TerminalId lead : j.leads()) jointOf.put(ConductorId.leg(j.id(), lead), j);
        for (Mating m : installation.matings()) {
            matingOf.put(m.first(), m);
            matingOf.put(m.second(), m);
        }
    }

    /**
     * The likeliest first. Changes that are the same are one fault with several names.
     *
     * @param first what was done once before use, which tells what its set-up changed
     */
    static List<Fault> of(Installation installation, FaultRates rates, FirstUse first) {
        FaultCatalogue all = new FaultCatalogue(installation, rates);
        all.conductors();
        all.plugs();
        all.leads();
        all.pairs();
        all.shorts();
        all.devices();
        all.settings(first);
        return all.found.values().stream()
                .sorted((a, b) -> Double.compare(b.rate(), a.rate()))
                .toList();
    }

    private void add(FaultKind kind, String words, RepairPoint place, boolean ofCar, List<Edit> edits) {
        Fault fault = new Fault(
                edits.toString(),
                kind,
                edits,
                words,
                place,
                ofCar,
                rates.of(kind) * (ofCar ? FaultRates.OF_CAR : 1),
                List.of());
        found.merge(Set.copyOf(edits), fault, Fault::alsoCalled);
    }

    private void add(FaultKind kind, String words, RepairPoint place, boolean ofCar, Edit edit) {
        add(kind, words, place, ofCar, List.of(edit));
    }

    // --- places

    private RepairPoint joint(Joint j) {
        return RepairPoint.of(RepairPoint.Kind.JOINT, "joint " + j.id(), "the " + j.id().label(), 0);
    }

    private RepairPoint plug(Mating m) {
        return RepairPoint.of(
                RepairPoint.Kind.PLUG,
                "plug " + m.first(),
                "plug %s of %s in %s of %s"
                        .formatted(m.plug(), device(m.instance()), m.otherPlug(), device(m.otherInstance())),
                Math.max(away(m.first()), away(m.second())));
    }

    private int away(PlugRef ref) {
        return installation.instance(ref.instance()).stream()
                .flatMap(i -> i.device().plug(ref.plug()).stream())
                .flatMap(p -> p.access().stream())
                .mapToInt(a -> a.minutes())
                .findFirst()
                .orElse(0);
    }

    private RepairPoint device(Instance i) {
        return RepairPoint.of(
                RepairPoint.Kind.DEVICE, "device " + i.id(), i.device().name(), 0);
    }

    private String device(String instance) {
        return instance.equals(Builder.CAR) ? "the car" : labels.device(instance);
    }

    private Optional<Mating> mating(TerminalId at) {
        return PositionId.of(at).map(p -> matingOf.get(p.plug()));
    }

    /** Where a conductor is looked at: its joint or plug, else the loom it runs in or the part it belongs to. */
    private RepairPoint place(Conductor c) {
        if (c.kind() == Conductor.Kind.LEG && jointOf.containsKey(c.id())) return joint(jointOf.get(c.id()));
        if (c.kind() == Conductor.Kind.CONTACT)
            return mating(c.a()).or(() -> mating(c.b())).map(this::plug).orElseGet(() -> loom(c));
        return ofCar(c) ? loom(c) : RepairPoint.of(RepairPoint.Kind.LEAD, "lead " + c.id(), labels.conductor(c), 0);
    }

    private RepairPoint loom(Conductor c) {
        return RepairPoint.of(RepairPoint.Kind.LOOM, "loom " + c.id(), labels.conductor(c), 0);
    }

    private boolean ofCar(Conductor c) {
        return c.kind() == Conductor.Kind.WIRE && car(c.a()) && car(c.b());
    }

    private boolean car(TerminalId t) {
        return installation
                .instance(t.instance())
                .map(i -> i.owner() == Instance.Owner.CAR)
                .orElse(false);
    }

    // --- conductors

    private void conductors() {
        for (Conductor c : installation.conductors()) {
            if (!c.mayBeClosed() || c.kind() == Conductor.Kind.BRIDGE) continue;
            FaultKind open =
                    switch (c.kind()) {
                        case LEG -> FaultKind.JOINT_OPEN;
                        case CONTACT -> FaultKind.PIN_PUSHED_BACK;
                        default -> FaultKind.WIRE_BROKEN;
                    };
            add(open, labels.conductor(c) + " is open", place(c), ofCar(c), new Edit.Open(c.id()));
            if (c.kind() != Conductor.Kind.WIRE)
                add(
                        FaultKind.POOR_CONTACT,
                        labels.conductor(c) + " is poor",
                        place(c),
                        false,
                        new Edit.SetOhms(c.id(), steering(c) ? POOR_STEERING : POOR));
        }
    }

    private boolean steering(Conductor c) {
        return role(c.a()).or(() -> role(c.b())).map(LeadRole::label).orElse("").startsWith("steering");
    }

    private Optional<LeadRole> role(TerminalId t) {
        return Optional.ofNullable(installation.terminal(t)).flatMap(x -> x.role());
    }

    // --- plugs

    private void plugs() {
        for (Mating m : installation.matings()) {
            List<Conductor> contacts = contacts(m);
            if (m.family().startsWith(RCA)) {
                for (int i = 0; i + 1 < contacts.size(); i += 2) loose(m, contacts.subList(i, i + 2));
                if (contacts.size() == 4)
                    exchanged(m, contacts.subList(0, 2), contacts.subList(2, 4), "left and right");
            } else if (!contacts.isEmpty()) loose(m, contacts);
        }
        for (Mating m : installation.matings())
            for (Mating o : installation.matings())
                if (m.first().compareTo(o.first()) < 0
                        && m.family().equals(o.family())
                        && m.instance().equals(o.instance())
                        && m.otherInstance().equals(o.otherInstance())
                        && contacts(m).size() == contacts(o).size())
                    exchanged(m, contacts(m), contacts(o), "%s and %s".formatted(m.otherPlug(), o.otherPlug()));
    }

    private List<Conductor> contacts(Mating m) {
        return contacts(installation, m);
    }

    static List<Conductor> contacts(Installation installation, Mating m) {
        return installation.conductors().stream()
                .filter(c -> c.kind() == Conductor.Kind.CONTACT && c.mayBeClosed())
                .filter(c -> PositionId.of(c.a())
                        .filter(p -> p.plug().equals(m.first()) || p.plug().equals(m.second()))
                        .isPresent())
                .toList();
    }

    private void loose(Mating m, List<Conductor> contacts) {
        RepairPoint place = plug(m);
        add(
                FaultKind.PLUG_NOT_HOME,
                place.words() + " is not home"
                        + (contacts.size() < contacts(m).size()
                                ? ": " + labels.terminal(contacts.get(0).a())
                                : ""),
                place,
                false,
                contacts.stream().<Edit>map(c -> new Edit.Open(c.id())).toList());
    }

    private void exchanged(Mating m, List<Conductor> some, List<Conductor> others, String what) {
        List<Edit> edits = new ArrayList<>();
        for (int i = 0; i < some.size(); i++)
            edits.add(new Edit.Swap(some.get(i).id(), others.get(i).id()));
        add(
                FaultKind.SOCKETS_EXCHANGED,
                "%s are exchanged at %s".formatted(what, device(m.otherInstance())),
                plug(m),
                false,
                edits);
    }

    // --- leads that can be taken for each other

    private void leads() {
        Map<String, List<ConductorId>> legs = new LinkedHashMap<>();
        for (Map.Entry<ConductorId, Joint> e : jointOf.entrySet())
            installation.conductor(e.getKey()).ifPresent(c -> legs.computeIfAbsent(
                            c.a().instance(), k -> new ArrayList<>())
                    .add(c.id()));
        for (List<ConductorId> own : legs.values())
            for (int i = 0; i < own.size(); i++)
                for (int k = i + 1; k < own.size(); k++) confused(own.get(i), own.get(k));
    }

    private void confused(ConductorId first, ConductorId second) {
        Conductor a = installation.conductor(first).orElseThrow();
        Conductor b = installation.conductor(second).orElseThrow();
        if (jointOf.get(first) == jointOf.get(second)
                || !LookAlike.leads(installation.terminal(a.a()), installation.terminal(b.a()))) return;
        String names = "%s and %s".formatted(labels.terminal(a.a()), labels.terminal(b.a()));
        RepairPoint place = joint(jointOf.get(first));
        add(FaultKind.LEADS_EXCHANGED, names + " are exchanged", place, false, new Edit.Swap(first, second));
        add(FaultKind.LEAD_ASTRAY, astray(a, b), place, false, new Edit.Move(first, b.b()));
        add(FaultKind.LEAD_ASTRAY, astray(b, a), joint(jointOf.get(second)), false, new Edit.Move(second, a.b()));
    }

    private String astray(Conductor lead, Conductor at) {
        return "%s is joined to the %s"
                .formatted(labels.terminal(lead.a()), jointOf.get(at.id()).id().label());
    }

    // --- pairs and shorts

    private void pairs() {
        for (Instance i : installation.instances())
            for (Port p : i.device().ports()) {
                boolean pair = p.plus().isPresent() && p.minus().isPresent();
                if (!pair || p.medium() != Medium.AUDIO && p.medium() != Medium.DATA) continue;
                String name = "pair %s of %s".formatted(p.id(), device(i.id()));
                boolean ofCar = i.owner() == Instance.Owner.CAR;
                add(
                        FaultKind.PAIR_REVERSED,
                        name + " is reversed",
                        device(i),
                        ofCar,
                        new Edit.ReversePair(i.id(), p.id()));
                if (p.medium() == Medium.AUDIO)
                    add(
                            FaultKind.PAIR_SHORTED,
                            name + " is shorted",
                            device(i),
                            ofCar,
                            new Edit.Bridge(
                                    i.terminal(p.plus().get()),
                                    i.terminal(p.minus().get()),
                                    SHORT));
            }
    }

    private void shorts() {
        Map<TerminalId, RepairPoint> at = new LinkedHashMap<>();
        installation.joints().forEach(j -> at.put(j.leads().get(0), joint(j)));
        for (Cap c : installation.caps())
            at.put(
                    c.lead(),
                    RepairPoint.of(
                            RepairPoint.Kind.LEAD, "cap " + c.lead(), "the cap of " + labels.terminal(c.lead()), 0));
        at.forEach((t, place) -> {
            add(
                    FaultKind.SHORT_TO_GROUND,
                    labels.terminal(t) + " touches body metal",
                    place,
                    false,
                    new Edit.Bridge(t, BODY, SHORT));
            if (installation.terminals().containsKey(BATTERY))
                add(
                        FaultKind.SHORT_TO_CONSTANT,
                        labels.terminal(t) + " touches a constant feed",
                        place,
                        false,
                        new Edit.Bridge(t, BATTERY, SHORT));
        });
    }

    // --- devices and their settings

    private void devices() {
        for (Instance i : installation.instances()) {
            boolean ofCar = i.owner() == Instance.Owner.CAR;
            for (Choice m : i.device().modes())
                if (m.values().contains(BLOWN))
                    add(
                            FaultKind.FUSE_BLOWN,
                            i.device().name() + " is blown",
                            RepairPoint.of(
                                    RepairPoint.Kind.FUSE,
                                    "fuse " + i.id(),
                                    i.device().name(),
                                    0),
                            ofCar,
                            new Edit.StartMode(i.id(), m.name(), BLOWN));
            if (i.device().rules().isEmpty() || i.id().equals(BODY.instance())) continue;
            add(
                    FaultKind.DEVICE_DEAD,
                    i.device().name() + " is dead",
                    device(i),
                    ofCar,
                    new Edit.SetSetting(i.id(), WORKING, "false"));
            if (ofCar) continue;
            for (Rule r : i.device().rules())
                if (!otherPress(i, r))
                    add(
                            FaultKind.OUTPUT_DEAD,
                            "%s does not do its \"%s\"".formatted(i.device().name(), r.id()),
                            device(i),
                            false,
                            new Edit.Disable(i.id(), r.id()));
            for (String p : i.device().placements())
                add(
                        FaultKind.MOUNTED_WRONG,
                        "%s is mounted wrong: %s".formatted(i.device().name(), p),
                        RepairPoint.of(
                                RepairPoint.Kind.MOUNTING,
                                "mounting " + i.id(),
                                "how %s lies".formatted(i.device().name()),
                                0),
                        false,
                        new Edit.Misplace(i.id(), p));
        }
    }

    /** What a button could be told and is not. */
    private boolean otherPress(Instance i, Rule rule) {
        return i.device().settings().stream().filter(c -> c.press().isPresent()).anyMatch(c -> i.device()
                .parts(rule.when())
                .anyMatch(g -> g instanceof Guard.Setting s && s.name().equals(c.name()) && !s.is().equals(now(i, c))));
    }

    private void settings(FirstUse first) {
        for (Instance i : installation.instances()) {
            if (i.owner() == Instance.Owner.CAR) continue;
            RepairPoint place = RepairPoint.of(
                    RepairPoint.Kind.SETTINGS,
                    "settings " + i.id(),
                    "the settings of " + i.device().name(),
                    0);
            // what a button does is loaded as a whole: one wrong press is no opportunity of its own
            for (Choice c : i.device().settings())
                if (c.press().isEmpty())
                    for (String value : c.values())
                        if (!value.equals(now(i, c)))
                            add(
                                    FaultKind.SETTING_WRONG,
                                    "%s of %s stands on %s"
                                            .formatted(c.name(), i.device().name(), value),
                                    place,
                                    false,
                                    new Edit.Stick(i.id(), c.name(), value));
            for (Choice m : i.device().modes())
                if (!m.start().equals(first.memory().modes().get(i.id() + "." + m.name())))
                    add(
                            FaultKind.SET_UP_MISSING,
                            "%s was never done at %s"
                                    .formatted(m.name(), i.device().name()),
                            place,
                            false,
                            new Edit.StartMode(i.id(), m.name(), m.start()));
        }
    }

    private String now(Instance i, Choice c) {
        return installation.settings().getOrDefault(i.id() + "." + c.name(), c.start());
    }
}
