package velvetbezel.job;

import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.harness.JointId;
import velvetbezel.harness.Moves;
import velvetbezel.harness.PartUse;
import velvetbezel.harness.SettingId;
import velvetbezel.harness.TerminalId;
import velvetbezel.harness.Use;
import velvetbezel.match.Filling;
import velvetbezel.match.KitDecisions;
import velvetbezel.match.KitNeed;
import velvetbezel.sheet.AudioSign;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Trait;
import velvetbezel.strip.School;
import velvetbezel.worksheet.Extension;
import velvetbezel.worksheet.JointChoices;
import velvetbezel.worksheet.JointKind;

/** Everything that a job says at one moment. */
public final class JobState {
    public static final JobState EMPTY = new JobState(Map.of());

    private final Map<Entry<?>, Object> said;

    private JobState(Map<Entry<?>, Object> said) {
        this.said = Map.copyOf(said);
    }

    /** The same with some changes made, the later of two of one entry. */
    public JobState with(Collection<? extends Change<?>> changes) {
        Map<Entry<?>, Object> then = new HashMap<>(said);
        for (Change<?> c : changes)
            if (c.value().isPresent()) then.put(c.entry(), c.value().get());
            else then.remove(c.entry());
        return new JobState(then);
    }

    /** What is said of one thing. */
    @SuppressWarnings("unchecked") // with() takes only values of the entry's type
    public <V> Optional<V> get(Entry<V> entry) {
        return Optional.ofNullable((V) said.get(entry));
    }

    public boolean has(Entry<?> entry) {
        return said.containsKey(entry);
    }

    public <V> boolean says(Entry<V> entry, V value) {
        return get(entry).filter(value::equals).isPresent();
    }

    /** All entries of one kind, in one order whatever the order of the changes. */
    public <E extends Entry<?>> List<E> all(Class<E> kind) {
        return entries().filter(kind::isInstance).map(kind::cast).toList();
    }

    /** Every entry, in one order whatever the order of the changes. */
    /** What would make an empty job say the same, of some entries. */
    public List<Change<?>> changes(Predicate<Entry<?>> which) {
        return entries().filter(which).<Change<?>>map(this::change).toList();
    }

    private <V> Change<V> change(Entry<V> entry) {
        return Change.set(entry, get(entry).orElseThrow());
    }

    public Stream<Entry<?>> entries() {
        return said.keySet().stream().sorted(Comparator.comparing(Object::toString));
    }

    // --- what it comes to

    public List<String> parts() {
        return get(new Entry.PartsChosen()).orElse(List.of());
    }

    /** Signs that were looked for, and whether they were there. */
    public Map<AudioSign, Boolean> signs() {
        Map<AudioSign, Boolean> signs = new EnumMap<>(AudioSign.class);
        for (Entry.SignSeen e : all(Entry.SignSeen.class)) signs.put(e.sign(), get(e).orElseThrow());
        return signs;
    }

    /** What was seen of the car that tells look-alikes apart. */
    public Map<Trait, String> traits() {
        Map<Trait, String> traits = new EnumMap<>(Trait.class);
        for (Entry.TraitSeen e : all(Entry.TraitSeen.class)) traits.put(e.trait(), get(e).orElseThrow());
        return traits;
    }

    /** What former owners changed, "plug/position" to what is there now. */
    public Map<String, String> altered() {
        Map<String, String> altered = new TreeMap<>();
        for (Entry.PositionAltered e : all(Entry.PositionAltered.class))
            altered.put(e.plug() + "/" + e.position(), get(e).orElseThrow());
        return altered;
    }

    /** Facts measured on this car, path to value. @param sheet the vehicle's */
    public Map<String, String> settled(String sheet) {
        Map<String, String> facts = new TreeMap<>();
        for (Entry.FactSettled e : all(Entry.FactSettled.class))
            if (e.fact().sheet().equals(sheet)) facts.put(e.fact().path(), get(e).orElseThrow());
        return facts;
    }

    /** How this job's joints are made. */
    public JointChoices ways() {
        Map<JointId, JointKind> kinds = new HashMap<>();
        for (Entry.JointKindChosen e : all(Entry.JointKindChosen.class)) kinds.put(e.joint(), get(e).orElseThrow());
        Map<JointId, Extension> extended = new HashMap<>();
        for (Entry.JointExtended e : all(Entry.JointExtended.class)) extended.put(e.joint(), get(e).orElseThrow());
        Set<TerminalId> folded =
                all(Entry.LeadFolded.class).stream().map(Entry.LeadFolded::lead).collect(Collectors.toSet());
        return new JointChoices(get(new Entry.SchoolChosen()), kinds, folded, extended);
    }

    /** Values that were decided for devices of the kit. */
    public Map<SettingId, String> settings() {
        Map<SettingId, String> settings = new HashMap<>();
        for (Entry.SettingChoice e : all(Entry.SettingChoice.class)) settings.put(e.setting(), get(e).orElseThrow());
        return settings;
    }

    /** What serves instead of what nothing gives, where a person chose it. */
    public Map<LeadRole, Optional<LeadRole>> substitutes() {
        Map<LeadRole, Optional<LeadRole>> instead = new HashMap<>();
        for (Entry.SubstituteChoice e : all(Entry.SubstituteChoice.class))
            instead.put(e.wanted(), get(e).orElseThrow());
        return instead;
    }

    /** Leads that are joined otherwise than by their roles. */
    public Moves moves() {
        Map<TerminalId, Optional<LeadRole>> moves = new HashMap<>();
        for (Entry.LeadMoved e : all(Entry.LeadMoved.class)) moves.put(e.lead(), get(e).orElseThrow());
        return new Moves(moves);
    }

    /** What of the kit is not bought, and what is bought beside what it needs. */
    public KitDecisions decisions() {
        Map<KitNeed, Filling> by = new EnumMap<>(KitNeed.class);
        for (Entry.NeedFilled e : all(Entry.NeedFilled.class))
            by.put(
                    e.need(),
                    new Filling(
                            get(e).orElseThrow(),
                            get(new Entry.NeedMinutes(e.need())),
                            get(new Entry.NeedMaterial(e.need()))));
        Set<PartKind> also =
                all(Entry.PartWanted.class).stream().map(Entry.PartWanted::kind).collect(Collectors.toSet());
        return new KitDecisions(by, also);
    }

    /** How parts are used where they are not simply fitted, by sheet. */
    public Map<String, PartUse> uses() {
        Map<String, PartUse> uses = new HashMap<>();
        for (Entry.PartUsed e : all(Entry.PartUsed.class)) uses.put(e.sheet(), PartUse.of(get(e).orElseThrow()));
        for (Entry.PartSlotted e : all(Entry.PartSlotted.class))
            uses.merge(
                    e.sheet(),
                    PartUse.FITTED.in(get(e).orElseThrow()),
                    (used, slotted) -> used.in(slotted.slot().orElseThrow()));
        return uses;
    }

    /** Parts of the library that are at hand already, by their sheets' ids. */
    public Set<String> owned() {
        return all(Entry.PartUsed.class).stream()
                .filter(e -> says(e, Use.OWN))
                .map(Entry.PartUsed::sheet)
                .collect(Collectors.toSet());
    }

    /** Steps done at the dash, in their order; two of one place by the clock. */
    public List<DoneStep> steps() {
        return all(Entry.StepDone.class).stream()
                .sorted(Comparator.comparing((Entry.StepDone e) -> e.id().substring(0, e.id().indexOf('-')))
                        .thenComparing(e -> get(e).orElseThrow().at().orElse(0))
                        .thenComparing(Entry.StepDone::id))
                .map(e -> get(e).orElseThrow())
                .toList();
    }

    /** How this job opens a dash. */
    public School openUpSchool() {
        return new School(
                has(new Entry.OpenUpWay(Entry.OpenUpSchool.BOTH_POLES)),
                !has(new Entry.OpenUpWay(Entry.OpenUpSchool.DASH_FIRST)),
                has(new Entry.OpenUpWay(Entry.OpenUpSchool.PLAIN_PLUGS_LIVE)));
    }

    /** Names of what is done as well while the dash is open. */
    public Set<String> extras() {
        return all(Entry.ExtraTaken.class).stream().map(Entry.ExtraTaken::extra).collect(Collectors.toSet());
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof JobState s && said.equals(s.said);
    }

    @Override
    public int hashCode() {
        return said.hashCode();
    }

    @Override
    public String toString() {
        return entries().map(e -> e + "=" + said.get(e)).collect(Collectors.joining(", "));
    }
}
