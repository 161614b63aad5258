package velvetbezel.web.job;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.function.CarFunction;
import velvetbezel.function.Catalogue;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.harness.Installation;
import velvetbezel.identify.WhichSystem;
import velvetbezel.job.Against;
import velvetbezel.job.Design;
import velvetbezel.job.Entry;
import velvetbezel.job.JobState;
import velvetbezel.prove.Baseline;
import velvetbezel.prove.Check;
import velvetbezel.prove.Result;
import velvetbezel.prove.Verdict;
import velvetbezel.sheet.AudioSign;
import velvetbezel.sheet.Doubt;
import velvetbezel.sheet.Sheet;
import velvetbezel.store.Job;
import velvetbezel.store.JobCodec;
import velvetbezel.store.LogEntry;
import velvetbezel.units.Volts;
import velvetbezel.worksheet.GoodsIn;
import velvetbezel.worksheet.JointChoices;
import velvetbezel.worksheet.JointRow;
import velvetbezel.worksheet.Materials;
import velvetbezel.worksheet.Reading;
import velvetbezel.worksheet.Sizing;
import velvetbezel.worksheet.Tables;

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
public record OpenJob(
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
    public record Tried(Check check, Baseline before, Result result, Verdict verdict) {}

    /** A voltage to measure, and what was measured. */
    public record Measured(JointRow joint, Reading reading, Optional<Volts> volts) {
        boolean agrees() {
            return volts.filter(reading::accepts).isPresent();
        }

        boolean differs() {
            return volts.isPresent() && !agrees();
        }
    }

    public JobState state() {
        return job.state();
    }

    /** What stands in the field of an entry: what was typed last and refused, or what the job says. */
    public String text(Entry<?> entry) {
        String key = JobCodec.key(entry);
        return entered.containsKey(key)
                ? entered.get(key)
                : JobCodec.text(state(), entry).orElse("");
    }

    /** What a page shows of the design that some entries speak of, by their keys. */
    public Map<String, String> shown(Stream<? extends Entry<?>> entries) {
        Map<String, String> shown = new TreeMap<>();
        design.ifPresent(
                d -> entries.forEach(e -> Against.words(e, d).ifPresent(words -> shown.put(JobCodec.key(e), words))));
        return shown;
    }

    /** Whether the chosen radio goes in. */
    public OpenFit fit() {
        return OpenFit.of(this);
    }

    /** The dash as it stands. */
    public OpenDash dash() {
        return OpenDash.of(this);
    }

    public boolean has(Entry<?> entry) {
        return state().has(entry);
    }

    public Baseline baseline(FunctionId f) {
        return state().get(new Entry.BaselineTaken(f)).orElse(Baseline.NOT_TESTED);
    }

    Result result(FunctionId f) {
        return state().get(new Entry.ResultGiven(f)).orElse(Result.OPEN);
    }

    /** What the customer said must stay; of the usual musts that the car has, those that nobody said may go. */
    public boolean mustStay(FunctionId f) {
        return state().get(new Entry.WishMade(f))
                .map(Entry.Wish.MUST_STAY::equals)
                .orElseGet(() -> had.contains(f)
                        && catalogue.find(f).filter(CarFunction::must).isPresent());
    }

    public boolean wanted(FunctionId f) {
        return state().says(new Entry.WishMade(f), Entry.Wish.WANTED);
    }

    public List<CarFunction> factoryFunctions() {
        return catalogue.functions().stream().filter(f -> had.contains(f.id())).toList();
    }

    public long baselinesTaken() {
        return factoryFunctions().stream()
                .filter(f -> baseline(f.id()) != Baseline.NOT_TESTED)
                .count();
    }

    public String functionName(FunctionId f) {
        return catalogue.find(f).map(CarFunction::name).orElse(f.text());
    }

    Set<AudioSign> signsSeen() {
        return state().signs().entrySet().stream()
                .filter(Map.Entry::getValue)
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
    }

    public Optional<AudioSign.Verdict> audio() {
        return vehicle.map(v -> WhichSystem.verdict(state().signs(), v.amplified()));
    }

    public List<JointRow> joints() {
        return design.map(d -> d.worksheet().joints()).orElse(List.of());
    }

    public Set<String> jointsDone() {
        return joints().stream()
                .map(j -> j.id())
                .filter(id -> has(new Entry.JointMade(id)))
                .map(Object::toString)
                .collect(Collectors.toSet());
    }

    JointChoices ways() {
        return state().ways();
    }

    public Sizing sizing() {
        return new Sizing(tables, ways());
    }

    public Materials materials() {
        return design.map(d -> Materials.of(d.worksheet(), tables, ways(), d.loads()))
                .orElse(new Materials(List.of()));
    }

    public boolean readBack(JointRow row, Entry.Agreement answer) {
        return state().says(new Entry.ReadBack(row.id()), answer);
    }

    public List<Measured> measured() {
        return joints().stream()
                .flatMap(j -> j.readings().stream()
                        .map(r -> new Measured(j, r, state().get(new Entry.ReadingTaken(r.at(), r.state())))))
                .toList();
    }

    public List<Tried> tried() {
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

    /** Whether a piece was found otherwise than ordered when it came. */
    public boolean cameOtherwise(GoodsIn.Check c) {
        return state().says(new Entry.PartCheckedIn(c.sheet(), c.id()), Entry.Agreement.DIFFERS);
    }

    /** The name of a sheet of this job's kit; of another, its id. */
    public String sheetName(String sheet) {
        return design.flatMap(d -> d.installation().recipe().parts().values().stream()
                        .filter(p -> p.id().equals(sheet))
                        .map(Sheet::name)
                        .findFirst()
                        .or(() -> d.installation()
                                .recipe()
                                .radio()
                                .filter(r -> r.id().equals(sheet))
                                .map(Sheet::name)))
                .orElse(sheet);
    }

    public String path(Station station) {
        return "/jobs/" + job.number() + "/" + station.path();
    }

    /** Name of the chosen radio. @throws java.util.NoSuchElementException where there is no kit */
    public String radioName() {
        return design.orElseThrow()
                .installation()
                .recipe()
                .radio()
                .orElseThrow()
                .device()
                .name();
    }
}
