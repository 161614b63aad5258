package velvetbezel.web.job;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.function.Catalogue;
import velvetbezel.function.Function;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.harness.Installation;
import velvetbezel.harness.JointId;
import velvetbezel.harness.Moves;
import velvetbezel.harness.PartUse;
import velvetbezel.harness.SettingId;
import velvetbezel.harness.TerminalId;
import velvetbezel.harness.Use;
import velvetbezel.identify.WhichSystem;
import velvetbezel.match.Filling;
import velvetbezel.match.KitDecisions;
import velvetbezel.match.KitNeed;
import velvetbezel.prove.Baseline;
import velvetbezel.prove.Check;
import velvetbezel.prove.Result;
import velvetbezel.prove.Verdict;
import velvetbezel.sheet.AudioSign;
import velvetbezel.sheet.Doubt;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.Trait;
import velvetbezel.store.Job;
import velvetbezel.store.LogEntry;
import velvetbezel.units.Volts;
import velvetbezel.worksheet.Extension;
import velvetbezel.worksheet.JointKind;
import velvetbezel.worksheet.JointRow;
import velvetbezel.worksheet.Materials;
import velvetbezel.worksheet.Reading;
import velvetbezel.worksheet.Sizing;
import velvetbezel.worksheet.Tables;
import velvetbezel.worksheet.Ways;

/**
 * A job with the sheets it rests on and what follows from them.
 *
 * @param tables  sizes and limits of the workshop
 * @param vehicle as former owners left it
 * @param factory as it left its maker; what is kept or lost is told against it
 * @param which   how sure the vehicle's trim is; empty without a vehicle
 * @param had     functions of the factory installation; empty without a vehicle
 * @param entered what a person typed that was refused: shown again, never lost
 * @param trouble why the job's sheets cannot be used, where they cannot
 */
record OpenJob(
        Job job,
        Catalogue catalogue,
        Tables tables,
        Optional<Sheet.Vehicle> vehicle,
        Optional<Installation> factory,
        Optional<WhichSystem> which,
        List<Doubt> doubts,
        Set<FunctionId> had,
        Optional<Design> design,
        Optional<LogEntry> undoable,
        Map<String, String> entered,
        List<String> trouble) {
    /** A check with what was found at arrival and now. */
    record Tried(Check check, Baseline before, Result result, Verdict verdict) {}

    /** A voltage to measure, and what was measured. */
    record Measured(JointRow joint, Reading reading, Optional<Volts> volts) {
        boolean agrees() {
            return volts.filter(reading::accepts).isPresent();
        }

        boolean differs() {
            return volts.isPresent() && !agrees();
        }
    }

    String value(String field) {
        return entered.getOrDefault(field, job.field(field).orElse(""));
    }

    boolean done(String field) {
        return job.field(field).isPresent();
    }

    Baseline baseline(FunctionId f) {
        return job.field(Fields.baseline(f)).map(Baseline::valueOf).orElse(Baseline.NOT_TESTED);
    }

    Result result(FunctionId f) {
        return job.field(Fields.result(f)).map(Result::valueOf).orElse(Result.OPEN);
    }

    /** What the customer said must stay; of the usual musts that the car has, those that nobody said may go. */
    boolean mustStay(FunctionId f) {
        Optional<String> wish = job.field(Fields.wish(f));
        return wish.map(Fields.MUST_STAY::equals)
                .orElseGet(() -> had.contains(f)
                        && catalogue.find(f).filter(Function::must).isPresent());
    }

    List<Function> factoryFunctions() {
        return catalogue.functions().stream().filter(f -> had.contains(f.id())).toList();
    }

    long baselinesTaken() {
        return factoryFunctions().stream()
                .filter(f -> baseline(f.id()) != Baseline.NOT_TESTED)
                .count();
    }

    String functionName(FunctionId f) {
        return catalogue.find(f).map(Function::name).orElse(f.text());
    }

    Set<AudioSign> signsSeen() {
        return signs().entrySet().stream()
                .filter(Map.Entry::getValue)
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
    }

    /** Signs that were looked for, and whether they were there. */
    Map<AudioSign, Boolean> signs() {
        return signs(job);
    }

    static Map<AudioSign, Boolean> signs(Job job) {
        Map<AudioSign, Boolean> signs = new EnumMap<>(AudioSign.class);
        for (AudioSign s : AudioSign.values())
            job.field(Fields.sign(s)).ifPresent(v -> signs.put(s, v.equals(Fields.SEEN)));
        return signs;
    }

    /** What was seen of the car that tells look-alikes apart. */
    static WhichSystem.Seen seen(Job job, Optional<Integer> year) {
        Map<Trait, String> traits = new EnumMap<>(Trait.class);
        for (Trait t : Trait.values()) job.field(Fields.trait(t)).ifPresent(v -> traits.put(t, v));
        return new WhichSystem.Seen(signs(job), traits, year);
    }

    Optional<AudioSign.Verdict> audio() {
        return vehicle.map(v -> WhichSystem.verdict(signs(), v.amplified()));
    }

    List<JointRow> joints() {
        return design.map(d -> d.worksheet().joints()).orElse(List.of());
    }

    Set<String> jointsDone() {
        return joints().stream()
                .map(j -> j.id())
                .filter(id -> done(Fields.joint(id)))
                .map(Object::toString)
                .collect(Collectors.toSet());
    }

    /** How this job's joints are made. */
    Ways ways() {
        return ways(job);
    }

    static Ways ways(Job job) {
        Map<JointId, JointKind> kinds = new HashMap<>();
        Map<JointId, Extension> extended = new HashMap<>();
        Set<TerminalId> folded = new HashSet<>();
        job.fields().forEach((field, value) -> {
            if (field.startsWith(Fields.KINDS))
                JointKind.find(value).ifPresent(k -> JointId.read(field.substring(Fields.KINDS.length()))
                        .ifPresent(j -> kinds.put(j, k)));
            if (field.startsWith(Fields.EXTENDS))
                Extension.read(value).ifPresent(e -> JointId.read(field.substring(Fields.EXTENDS.length()))
                        .ifPresent(j -> extended.put(j, e)));
            if (field.startsWith(Fields.FOLDS)) folded.add(Fields.terminal(field.substring(Fields.FOLDS.length())));
        });
        return new Ways(job.field(Fields.SCHOOL).flatMap(JointKind::find), kinds, folded, extended);
    }

    /** Values that were decided for devices of the kit. */
    static Map<SettingId, String> settings(Job job) {
        Map<SettingId, String> settings = new HashMap<>();
        job.fields().forEach((field, value) -> {
            if (field.startsWith(Fields.SETTINGS))
                Fields.settingId(field.substring(Fields.SETTINGS.length())).ifPresent(id -> settings.put(id, value));
        });
        return settings;
    }

    /** What serves instead of what nothing gives, where a person chose it. */
    static Map<LeadRole, Optional<LeadRole>> instead(Job job) {
        Map<LeadRole, Optional<LeadRole>> instead = new HashMap<>();
        job.fields().forEach((field, value) -> {
            if (field.startsWith(Fields.INSTEAD))
                LeadRole.find(field.substring(Fields.INSTEAD.length()))
                        .ifPresent(wanted -> instead.put(wanted, LeadRole.find(value)));
        });
        return instead;
    }

    /** What of the kit is not bought, and what is bought beside what it needs. */
    static KitDecisions decisions(Job job) {
        Map<KitNeed, Filling> by = new EnumMap<>(KitNeed.class);
        for (KitNeed need : KitNeed.values())
            job.field(Fields.need(need))
                    .flatMap(Filling.By::find)
                    .ifPresent(way -> by.put(
                            need,
                            new Filling(
                                    way,
                                    job.field(Fields.needMinutes(need))
                                            .map(m -> Fields.minutes(Fields.needMinutes(need), m)),
                                    job.field(Fields.needMaterial(need))
                                            .map(m -> Fields.cents(Fields.needMaterial(need), m)))));
        Set<PartKind> also = job.fields().keySet().stream()
                .filter(f -> f.startsWith(Fields.ALSO))
                .flatMap(f -> PartKind.find(f.substring(Fields.ALSO.length())).stream())
                .collect(Collectors.toSet());
        return new KitDecisions(by, also);
    }

    /** Parts of the library that are at hand already, by their sheets' ids. */
    static Set<String> owned(Job job) {
        return uses(job).entrySet().stream()
                .filter(u -> u.getValue().use() == Use.OWN)
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
    }

    /** How parts are used where they are not simply fitted. */
    static Map<String, PartUse> uses(Job job) {
        Map<String, PartUse> uses = new HashMap<>();
        job.fields().forEach((field, value) -> {
            if (field.startsWith(Fields.USES))
                uses.merge(
                        field.substring(Fields.USES.length()),
                        PartUse.of(Use.valueOf(value.toUpperCase(Locale.ROOT))),
                        (slotted, use) -> new PartUse(use.use(), slotted.slot(), slotted.ends()));
            if (field.startsWith(Fields.SLOTS))
                uses.merge(
                        field.substring(Fields.SLOTS.length()),
                        PartUse.FITTED.in(value),
                        (used, slot) -> used.in(value));
        });
        return uses;
    }

    /** Leads that are joined otherwise than by their roles. */
    static Moves moves(Job job) {
        Map<TerminalId, Optional<LeadRole>> moves = new HashMap<>();
        job.fields().forEach((field, value) -> {
            if (field.startsWith(Fields.MOVES))
                moves.put(
                        Fields.terminal(field.substring(Fields.MOVES.length())),
                        value.equals(Fields.UNUSED) ? Optional.empty() : LeadRole.find(value));
        });
        return new Moves(moves);
    }

    Sizing sizing() {
        return new Sizing(tables, ways());
    }

    Materials materials() {
        return design.map(d -> Materials.of(d.worksheet(), tables, ways(), d.loads()))
                .orElse(new Materials(List.of()));
    }

    boolean readBack(JointRow row, String answer) {
        return job.field(Fields.readBack(row.id())).filter(answer::equals).isPresent();
    }

    List<Measured> measured() {
        return joints().stream()
                .flatMap(j -> j.readings().stream()
                        .map(r ->
                                new Measured(j, r, job.field(Fields.reading(r)).map(v -> Fields.volts("reading", v)))))
                .toList();
    }

    List<Tried> tried() {
        return design.map(d -> d.plan().checks().stream()
                        .map(c -> {
                            Baseline before = baseline(c.function().id());
                            Result result = result(c.function().id());
                            return new Tried(c, before, result, c.verdict(before, result));
                        })
                        .toList())
                .orElse(List.of());
    }

    /** Functions that must stay and that the chosen kit loses. */
    List<FunctionId> mustsLost() {
        return design.map(d -> d.outcomes().entrySet().stream()
                        .filter(e -> mustStay(e.getKey())
                                && !e.getValue().works()
                                && !(e.getValue() instanceof Outcome.Unknown))
                        .map(Map.Entry::getKey)
                        .toList())
                .orElse(List.of());
    }

    OpenJob with(Map<String, String> typed) {
        return new OpenJob(
                job,
                catalogue,
                tables,
                vehicle,
                factory,
                which,
                doubts,
                had,
                design,
                undoable,
                Map.copyOf(typed),
                trouble);
    }

    String path(Station station) {
        return "/jobs/" + job.number() + "/" + station.path();
    }
}
