package velvetbezel.store;

import static velvetbezel.store.JobTexts.PLAIN;
import static velvetbezel.store.JobTexts.oneOf;
import static velvetbezel.store.JobTexts.roleOr;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Stream;
import velvetbezel.diagnose.FaultKind;
import velvetbezel.diagnose.MeasuringState;
import velvetbezel.function.FunctionId;
import velvetbezel.harness.JointId;
import velvetbezel.harness.SettingId;
import velvetbezel.harness.TerminalId;
import velvetbezel.harness.Use;
import velvetbezel.job.Change;
import velvetbezel.job.Entry;
import velvetbezel.job.JobState;
import velvetbezel.match.KitNeed;
import velvetbezel.prove.Baseline;
import velvetbezel.prove.Meter;
import velvetbezel.prove.Result;
import velvetbezel.sheet.AsBuilt;
import velvetbezel.sheet.AudioSign;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Trait;
import velvetbezel.sheet.Vin;
import velvetbezel.store.JobTexts.Text;

/**
 * Entries of a job as texts and back: "joint/joint ground" is "done". So they are stored, archived and sent by forms.
 */
public final class JobCodec {
    private static final int MOST_CHARACTERS = 4000;
    private static final String UUID_FORM = "[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}";
    private static final Map<String, Kind<?, ?>> BY_NAME = new HashMap<>();
    private static final Map<Class<?>, Kind<?, ?>> BY_TYPE = new HashMap<>();
    private static final Text<Entry.Done> DONE = oneOf(Map.of("done", Entry.Done.DONE));
    private static final Text<Entry.Agreement> AGREEMENT = oneOf(Entry.Agreement.values(), JobTexts::plain);
    /** What is said of a lead that is joined to nothing. */
    public static final String UNUSED = "unused";
    /** What is said where nothing serves instead. */
    public static final String NOT_FED = "not fed";

    private static final String OHMS_TO = " to ";
    /** What a form sends for a tick. */
    public static final String TICKED = "done";

    private static final Text<Entry.Evidence> EVIDENCE =
            oneOf(Entry.Evidence.values(), e -> e == Entry.Evidence.SET ? TICKED : JobTexts.plain(e));

    /**
     * One kind of entry.
     *
     * @param name of all of them, before the slash
     * @param id   what comes after the slash; empty where there is only one
     * @param of   the entry of such an id; empty where it names none
     * @param text how its value is written
     */
    private record Kind<E extends Entry<V>, V>(
            String name, Function<E, String> id, Function<String, Optional<E>> of, Function<E, Text<V>> text) {}

    static {
        one("vin", new Entry.VinRead(), new Text<>(Vin::new, Vin::text));
        one("vehicle", new Entry.VehicleChosen(), PLAIN);
        one("customer", new Entry.CustomerNamed(), PLAIN);
        one("phone", new Entry.PhoneNoted(), PLAIN);
        one("due", new Entry.DueBy(), JobTexts.DAY);
        one("note", new Entry.NoteWritten(), PLAIN);
        one("budget", new Entry.BudgetSet(), JobTexts.MONEY);
        one("radio", new Entry.RadioChosen(), PLAIN);
        one("parts", new Entry.PartsChosen(), JobTexts.IDS);
        one("serial", new Entry.SerialNoted(), PLAIN);
        one("school", new Entry.SchoolChosen(), JobTexts.JOINT_KIND);
        one("handed over", new Entry.HandedOver(), DONE);
        aboutTheCar();
        aboutTheKit();
        atTheBench();
        atTheDash();
    }

    private JobCodec() {}

    private static void aboutTheCar() {
        each(
                "sign",
                Entry.SignSeen.class,
                e -> e.sign().id(),
                JobCodec::sign,
                oneOf(new Boolean[] {true, false}, b -> b ? "yes" : "no"));
        add(
                Entry.TraitSeen.class,
                new Kind<>(
                        "trait",
                        e -> e.trait().label(),
                        id -> Trait.find(id).map(Entry.TraitSeen::new),
                        e -> JobTexts.trait(e.trait())));
        Text<Optional<LeadRole>> role = roleOr(AsBuilt.NO_WIRE);
        each(
                "as built",
                Entry.PositionAltered.class,
                e -> e.plug() + "/" + e.position(),
                id -> split(id, id.lastIndexOf('/'), Entry.PositionAltered::new),
                new Text<>(t -> role.write().apply(role.read().apply(t)), t -> t));
        each(
                "settled",
                Entry.FactSettled.class,
                e -> e.fact().sheet() + "/" + e.fact().path(),
                id -> split(id, id.indexOf('/'), FieldRef::new).map(Entry.FactSettled::new),
                PLAIN);
        ofFunction(
                "baseline",
                Entry.BaselineTaken.class,
                Entry.BaselineTaken::new,
                oneOf(Baseline.values(), Baseline::name));
        ofFunction("wish", Entry.WishMade.class, Entry.WishMade::new, oneOf(Entry.Wish.values(), JobTexts::plain));
        ofFunction("result", Entry.ResultGiven.class, Entry.ResultGiven::new, oneOf(Result.values(), Result::name));
        ofFunction("result note", Entry.ResultNoted.class, Entry.ResultNoted::new, PLAIN);
        ofFunction("symptom", Entry.SymptomSeen.class, Entry.SymptomSeen::new, PLAIN);
        each(
                "probe",
                Entry.ProbeRead.class,
                e -> e.at() + "/" + JobTexts.plain(e.state()),
                id -> split(id, id.lastIndexOf('/'), Map::entry)
                        .flatMap(e -> lead(e.getKey()).flatMap(at -> Arrays.stream(MeasuringState.values())
                                .filter(s -> JobTexts.plain(s).equals(e.getValue()))
                                .findFirst()
                                .map(s -> new Entry.ProbeRead(at, s)))),
                JobTexts.VOLTS);
        each("ohms", Entry.OhmsRead.class, e -> e.from() + OHMS_TO + e.to(), JobCodec::ohms, MeterText.of(Meter.OHMS));
        one("standby", new Entry.StandbyRead(), MeterText.of(Meter.AMPS));
        one("meter proved", new Entry.MeterProved(), DONE);
        each(
                "mended",
                Entry.FaultMended.class,
                Entry.FaultMended::place,
                any(Entry.FaultMended::new),
                oneOf(FaultKind.values(), FaultKind::label));
        each(
                "swap",
                Entry.SwapSeen.class,
                e -> e.function().text() + "/" + e.exchanged(),
                id -> split(id, id.indexOf('/'), (f, e) -> new Entry.SwapSeen(new FunctionId(f), e)),
                PLAIN);
        one("hidden fault", new Entry.HiddenFault(), JobTexts.SEED);
        one("closed open", new Entry.ClosedWithOpenChecks(), PLAIN);
        one("other fault", new Entry.OtherFaultMended(), PLAIN);
        each(
                "look",
                Entry.PlaceLooked.class,
                Entry.PlaceLooked::place,
                any(Entry.PlaceLooked::new),
                oneOf(Entry.Look.values(), JobTexts::plain));
    }

    private static void aboutTheKit() {
        add(
                Entry.NeedFilled.class,
                new Kind<>(
                        "need",
                        e -> e.need().label(),
                        id -> KitNeed.find(id).map(Entry.NeedFilled::new),
                        e -> JobTexts.filling(e.need())));
        each(
                "need minutes",
                Entry.NeedMinutes.class,
                e -> e.need().label(),
                id -> KitNeed.find(id).map(Entry.NeedMinutes::new),
                JobTexts.MINUTES);
        each(
                "need material",
                Entry.NeedMaterial.class,
                e -> e.need().label(),
                id -> KitNeed.find(id).map(Entry.NeedMaterial::new),
                JobTexts.MONEY);
        each(
                "also",
                Entry.PartWanted.class,
                e -> e.kind().label(),
                id -> PartKind.find(id).map(Entry.PartWanted::new),
                oneOf(Map.of("wanted", Entry.Done.DONE)));
        each(
                "use",
                Entry.PartUsed.class,
                Entry.PartUsed::sheet,
                any(Entry.PartUsed::new),
                oneOf(Use.values(), u -> u.name().toLowerCase(Locale.ROOT)));
        each(
                "slot",
                Entry.PartSlotted.class,
                Entry.PartSlotted::sheet,
                any(Entry.PartSlotted::new),
                oneOf(new String[] {"front", "rear"}, s -> s));
        each("setting", Entry.SettingChoice.class, e -> e.setting().key(), ofSetting(Entry.SettingChoice::new), PLAIN);
        each("set", Entry.SettingMade.class, e -> e.setting().key(), ofSetting(Entry.SettingMade::new), EVIDENCE);
        each("found", Entry.SettingFound.class, e -> e.setting().key(), ofSetting(Entry.SettingFound::new), PLAIN);
        each(
                "revoked",
                Entry.SettingRevoked.class,
                e -> e.setting().key(),
                ofSetting(Entry.SettingRevoked::new),
                PLAIN);
        each(
                "interface serial",
                Entry.InterfaceSerial.class,
                Entry.InterfaceSerial::instance,
                any(Entry.InterfaceSerial::new),
                JobTexts.INTERFACE_SERIAL);
        each(
                "key",
                Entry.KeyRead.class,
                e -> e.reader() + "/" + e.button(),
                id -> split(id, id.indexOf('/'), List::of)
                        .flatMap(two -> lead(two.get(0)).map(at -> new Entry.KeyRead(at, two.get(1)))),
                PLAIN);
        each(
                "instead",
                Entry.SubstituteChoice.class,
                e -> e.wanted().label(),
                id -> LeadRole.find(id).map(Entry.SubstituteChoice::new),
                roleOr(NOT_FED));
        each(
                "goods",
                Entry.PartCheckedIn.class,
                e -> e.sheet() + "/" + e.check(),
                id -> split(id, id.indexOf('/'), Entry.PartCheckedIn::new),
                AGREEMENT);
    }

    private static void atTheBench() {
        each("joint", Entry.JointMade.class, e -> e.joint().text(), ofJoint(Entry.JointMade::new), DONE);
        each("joint note", Entry.JointNoted.class, e -> e.joint().text(), ofJoint(Entry.JointNoted::new), PLAIN);
        each("undo", Entry.JointToUndo.class, e -> e.joint().text(), ofJoint(Entry.JointToUndo::new), PLAIN);
        each("read back", Entry.ReadBack.class, e -> e.joint().text(), ofJoint(Entry.ReadBack::new), AGREEMENT);
        each(
                "joint kind",
                Entry.JointKindChosen.class,
                e -> e.joint().text(),
                ofJoint(Entry.JointKindChosen::new),
                JobTexts.JOINT_KIND);
        each(
                "extend",
                Entry.JointExtended.class,
                e -> e.joint().text(),
                ofJoint(Entry.JointExtended::new),
                JobTexts.EXTENSION);
        each("fold", Entry.LeadFolded.class, e -> e.lead().toString(), ofLead(Entry.LeadFolded::new), DONE);
        each("cap", Entry.CapMade.class, e -> e.lead().toString(), ofLead(Entry.CapMade::new), DONE);
        each("move", Entry.LeadMoved.class, e -> e.lead().toString(), ofLead(Entry.LeadMoved::new), roleOr(UNUSED));
        each(
                "reading",
                Entry.ReadingTaken.class,
                e -> e.at() + "/" + e.state(),
                id -> split(id, id.lastIndexOf('/'), Map::entry)
                        .flatMap(e -> lead(e.getKey()).map(at -> new Entry.ReadingTaken(at, e.getValue()))),
                JobTexts.VOLTS);
    }

    private static void atTheDash() {
        each("step", Entry.StepDone.class, Entry.StepDone::id, JobCodec::step, JobTexts.DONE_STEP);
        each(
                "photo",
                Entry.PhotoTaken.class,
                e -> e.id().toString(),
                id -> id.matches(UUID_FORM) ? Optional.of(new Entry.PhotoTaken(UUID.fromString(id))) : Optional.empty(),
                PLAIN);
        each("extra", Entry.ExtraTaken.class, Entry.ExtraTaken::extra, any(Entry.ExtraTaken::new), DONE);
        each(
                "open up",
                Entry.OpenUpWay.class,
                e -> JobTexts.plain(e.school()),
                id -> Arrays.stream(Entry.OpenUpSchool.values())
                        .filter(s -> JobTexts.plain(s).equals(id))
                        .findFirst()
                        .map(Entry.OpenUpWay::new),
                DONE);
        one("experience", new Entry.ExperienceSaid(), oneOf(Entry.Experience.values(), JobTexts::plain));
        one("first power", new Entry.FirstPower(), DONE);
        each(
                "pause",
                Entry.PauseAnswered.class,
                Entry.PauseAnswered::step,
                id -> step(id).map(s -> new Entry.PauseAnswered(s.id())),
                oneOf(Entry.Pause.values(), JobTexts::plain));
        each(
                "may come first",
                Entry.MayComeFirst.class,
                e -> e.waits() + "/" + e.on(),
                id -> split(id, id.indexOf('/'), Entry.MayComeFirst::new),
                DONE);
        each(
                "minutes",
                Entry.MinutesSaid.class,
                Entry.MinutesSaid::line,
                any(Entry.MinutesSaid::new),
                JobTexts.MINUTES);
        each(
                "face",
                Entry.FaceStands.class,
                e -> JobTexts.plain(e.edge()),
                id -> Arrays.stream(Entry.FaceEdge.values())
                        .filter(f -> JobTexts.plain(f).equals(id))
                        .findFirst()
                        .map(Entry.FaceStands::new),
                JobTexts.MILLIMETRES);
        one("holes", new Entry.HolesTaken(), PLAIN);
        each("bench", Entry.BenchStepDone.class, Entry.BenchStepDone::step, any(Entry.BenchStepDone::new), DONE);
        each("place", Entry.PlaceTaken.class, Entry.PlaceTaken::thing, any(Entry.PlaceTaken::new), PLAIN);
    }

    // --- ids

    private static Optional<Entry.StepDone> step(String id) {
        return id.matches("\\d{6}-[0-9a-z]{1,8}") ? Optional.of(new Entry.StepDone(id)) : Optional.empty();
    }

    private static Optional<Entry.OhmsRead> ohms(String id) {
        String[] two = id.split(OHMS_TO, 2);
        return two.length < 2
                ? Optional.empty()
                : lead(two[0]).flatMap(from -> lead(two[1]).map(to -> new Entry.OhmsRead(from, to)));
    }

    private static Optional<Entry.SignSeen> sign(String id) {
        return Arrays.stream(AudioSign.values())
                .filter(s -> s.id().equals(id))
                .findFirst()
                .map(Entry.SignSeen::new);
    }

    private static <E> Optional<E> split(String id, int at, BiFunction<String, String, E> of) {
        return at < 0 ? Optional.empty() : Optional.of(of.apply(id.substring(0, at), id.substring(at + 1)));
    }

    private static <E> Function<String, Optional<E>> any(Function<String, E> of) {
        return id -> Optional.of(of.apply(id));
    }

    private static <E> Function<String, Optional<E>> ofJoint(Function<JointId, E> of) {
        return id -> JointId.read(id).map(of);
    }

    private static <E> Function<String, Optional<E>> ofLead(Function<TerminalId, E> of) {
        return id -> lead(id).map(of);
    }

    private static Optional<TerminalId> lead(String id) {
        return split(id, id.indexOf('.'), TerminalId::new);
    }

    private static <E> Function<String, Optional<E>> ofSetting(Function<SettingId, E> of) {
        return id -> split(id, id.indexOf('.'), SettingId::new).map(of);
    }

    // --- kinds

    private static <E extends Entry<V>, V> void add(Class<E> type, Kind<E, V> kind) {
        BY_NAME.put(kind.name, kind);
        BY_TYPE.put(type, kind);
    }

    @SuppressWarnings("unchecked") // the class of an entry is a class of such entries
    private static <E extends Entry<V>, V> void one(String name, E entry, Text<V> text) {
        add((Class<E>) entry.getClass(), new Kind<>(name, e -> "", id -> Optional.of(entry), e -> text));
    }

    private static <E extends Entry<V>, V> void each(
            String name, Class<E> type, Function<E, String> id, Function<String, Optional<E>> of, Text<V> text) {
        add(type, new Kind<>(name, id, of, e -> text));
    }

    private static <E extends Entry<V> & Entry.OfFunction, V> void ofFunction(
            String name, Class<E> type, Function<FunctionId, E> of, Text<V> text) {
        each(name, type, e -> e.function().text(), id -> Optional.of(of.apply(new FunctionId(id))), text);
    }

    // --- texts of entries

    /** The text that names an entry. */
    public static <V> String key(Entry<V> entry) {
        return key(kind(entry), entry);
    }

    @SuppressWarnings("unchecked") // kinds are kept by the class of their entries
    private static <E extends Entry<V>, V> String key(Kind<E, V> kind, Entry<V> entry) {
        String id = kind.id.apply((E) entry);
        return id.isEmpty() ? kind.name : kind.name + "/" + id;
    }

    @SuppressWarnings("unchecked") // kinds are kept by the class of their entries
    private static <V> Kind<? extends Entry<V>, V> kind(Entry<V> entry) {
        return (Kind<? extends Entry<V>, V>) BY_TYPE.get(entry.getClass());
    }

    private static <V> Text<V> textOf(Entry<V> entry) {
        return textOf(kind(entry), entry);
    }

    @SuppressWarnings("unchecked") // kinds are kept by the class of their entries
    private static <E extends Entry<V>, V> Text<V> textOf(Kind<E, V> kind, Entry<V> entry) {
        return kind.text.apply((E) entry);
    }

    /** What is said of an entry, so that {@link #change} reads it back. */
    public static <V> String text(Entry<V> entry, V value) {
        return textOf(entry).write().apply(value);
    }

    /** What a job says of an entry. */
    public static <V> Optional<String> text(JobState state, Entry<V> entry) {
        return state.get(entry).map(v -> text(entry, v));
    }

    /** What a change says; empty where it takes its entry away. */
    public static <V> Optional<String> text(Change<V> change) {
        return change.value().map(v -> text(change.entry(), v));
    }

    /** Everything that a job says, by key. */
    public static Map<String, String> texts(JobState state) {
        Map<String, String> texts = new TreeMap<>();
        state.entries().forEach(e -> texts.put(key(e), text(state, e).orElseThrow()));
        return texts;
    }

    /** The entry of a key; empty where it names none. */
    public static Optional<Entry<?>> entry(String key) {
        int slash = key.indexOf('/');
        Kind<?, ?> kind = BY_NAME.get(slash < 0 ? key : key.substring(0, slash));
        String id = slash < 0 ? "" : key.substring(slash + 1);
        return kind == null
                ? Optional.empty()
                : kind.of.apply(id).<Entry<?>>map(e -> e).filter(e -> key(e).equals(key));
    }

    /**
     * The change that was typed; an empty text takes the entry away.
     *
     * @throws InvalidInput naming the key, what was given and what is allowed
     */
    public static Change<?> change(String key, String typed) {
        return change(entry(key).orElseThrow(() -> new InvalidInput(key, "is no field of a job.")), typed.strip());
    }

    /**
     * Several changes that were typed.
     *
     * @throws InvalidInput with every fault
     */
    public static List<Change<?>> changes(Map<String, String> typed) {
        List<Change<?>> changes = new ArrayList<>();
        List<InputProblem> faults = new ArrayList<>();
        typed.forEach((key, text) -> {
            try {
                changes.add(change(key, text));
            } catch (InvalidInput e) {
                faults.addAll(e.faults());
            }
        });
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        return changes;
    }

    private static <V> Change<V> change(Entry<V> entry, String typed) {
        if (typed.isEmpty()) return Change.gone(entry);
        if (typed.length() > MOST_CHARACTERS)
            throw new InvalidInput(
                    key(entry),
                    "has %d characters; at most %d are kept. Shorten it.".formatted(typed.length(), MOST_CHARACTERS));
        try {
            return Change.set(entry, textOf(entry).read().apply(typed));
        } catch (InvalidInput e) {
            throw new InvalidInput(e.faults().stream()
                    .map(f -> new InputProblem(key(entry), f.message()))
                    .toList());
        }
    }

    /** What was stored; what this program does not know is left out here, and stays where it is. */
    static JobState state(Map<String, String> stored) {
        return JobState.EMPTY.with(stored.entrySet().stream()
                .flatMap(e -> stored(e.getKey(), e.getValue()))
                .toList());
    }

    private static Stream<Change<?>> stored(String key, String text) {
        try {
            return Stream.of(change(key, text));
        } catch (InvalidInput e) {
            return Stream.of();
        }
    }
}
