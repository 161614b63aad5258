package velvetbezel.web.openup;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import velvetbezel.job.Change;
import velvetbezel.job.DoneStep;
import velvetbezel.job.Entry;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.SheetTree;
import velvetbezel.sheet.strip.ConnectorOf;
import velvetbezel.sheet.strip.GroupOf;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.store.DashRecords;
import velvetbezel.store.Library;
import velvetbezel.store.Sender;
import velvetbezel.strip.Recorder;
import velvetbezel.strip.StepText;
import velvetbezel.strip.StripStep;
import velvetbezel.strip.Timeline;
import velvetbezel.web.job.Changes;
import velvetbezel.web.job.OpenJob;

/** Takes down what is done to a dash that nobody described yet, and makes its sheet of it. */
@Service
class Recording {
    /** What a plug is noted as, so that the sheet has its circuit. */
    private static final String AIRBAG = "airbag: ";

    private static final int MOST_AT_ONCE = 60;

    private final Changes changes;
    private final Library library;
    private final DashRecords records;

    Recording(Changes changes, Library library, DashRecords records) {
        this.changes = changes;
        this.library = library;
        this.records = records;
    }

    /**
     * @param typed "do" is what was done, "part" to which part, and what else that takes
     * @throws InvalidInput with every fault
     */
    void record(OpenJob open, Sender by, long seen, String device, Map<String, String> typed) {
        List<StripStep> steps = steps(typed);
        OptionalLong at = typed.getOrDefault("at", "").matches("\\d{1,12}")
                ? OptionalLong.of(Long.parseLong(typed.get("at")))
                : OptionalLong.empty();
        int next = InCarView.next(open);
        List<Change<?>> made = new ArrayList<>();
        for (StripStep s : steps) {
            made.add(Change.set(new Entry.StepDone("%06d-%s".formatted(next, device)), new DoneStep(s, at)));
            next += InCarView.APART;
        }
        changes.change(open, by, seen, made);
    }

    private static List<StripStep> steps(Map<String, String> typed) {
        String done = typed.getOrDefault("do", "");
        if (done.startsWith("set ") || done.equals("exchange") || done.equals("function test"))
            return List.of(StepText.read(done));
        List<InputProblem> faults = new ArrayList<>();
        ItemId part = new ItemId(name(typed, "part", "the part", faults));
        List<StripStep> steps = new ArrayList<>();
        switch (done) {
            case "loosen" -> steps.add(new StripStep.Loosen(part));
            case "lift" -> steps.add(new StripStep.Lift(part));
            case "undo" -> {
                String drive = typed.getOrDefault("drive", "").strip();
                String where = typed.getOrDefault("where", "").strip();
                steps.add(new StripStep.Undo(new GroupOf(part, (where + " " + drive).strip()), count(typed, faults)));
            }
            case "clips" -> steps.add(new StripStep.Undo(new GroupOf(part, GroupOf.CLIPS), count(typed, faults)));
            case "unplug" -> {
                ConnectorOf plug = new ConnectorOf(part, name(typed, "plug", "the plug", faults));
                if (typed.getOrDefault("airbag", "").equals("yes")) steps.add(new StripStep.Noted(AIRBAG + plug));
                steps.add(new StripStep.Unplug(plug));
            }
            default -> faults.add(
                    new InputProblem("do", "\"%s\" is nothing that can be recorded here.".formatted(done)));
        }
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        return steps;
    }

    private static String name(Map<String, String> typed, String field, String what, List<InputProblem> faults) {
        String name = typed.getOrDefault(field, "").strip();
        if (name.isEmpty() || name.length() > 60 || name.matches(".*[.:/×,@()\\[\\]].*"))
            faults.add(new InputProblem(
                    field, "\"%s\" is no name for %s; 1 to 60 letters, digits and spaces.".formatted(name, what)));
        return name;
    }

    private static int count(Map<String, String> typed, List<InputProblem> faults) {
        String text = typed.getOrDefault("count", "").strip();
        int count = text.matches("\\d{1,4}") ? Integer.parseInt(text) : 0;
        if (count < 1 || count > MOST_AT_ONCE)
            faults.add(new InputProblem(
                    "count", "\"%s\" came out; a number from 1 to %d is expected.".formatted(text, MOST_AT_ONCE)));
        return Math.max(1, count);
    }

    /**
     * Makes the vehicle's sheet say what was recorded, and what was known of the vehicle stays.
     *
     * @throws InvalidInput where nothing was recorded, or the sheet would be no good one
     */
    void makeSheet(OpenJob open, String who) {
        if (open.dash().steps().stream().noneMatch(StripStep.Loosen.class::isInstance))
            throw new InvalidInput("record", "Nothing came loose yet; record a part before making a sheet of it.");
        String id = open.vehicle()
                .orElseThrow(() -> new InvalidInput("vehicle", "Choose the vehicle first."))
                .id();
        Map<String, Object> strip = recorder(open, others(open)).tree();
        library.change(
                id,
                who,
                "How the dash comes apart, recorded on job %d"
                        .formatted(open.job().number()),
                library.revision(id),
                tree -> {
                    SheetTree.get(tree, "strip.facts").ifPresent(f -> strip.put("facts", f));
                    return SheetTree.put(tree, "strip", Optional.of(strip));
                });
    }

    /** What was recorded of this car on other jobs. */
    List<List<StripStep>> others(OpenJob open) {
        return open.vehicle().stream()
                .flatMap(v -> records.ofVehicle(v.id()).stream())
                .filter(c -> !c.job().equals(open.job().id()))
                .map(c -> c.steps().stream().map(Timeline.Timed::step).toList())
                .filter(r -> r.stream().anyMatch(StripStep.Loosen.class::isInstance))
                .toList();
    }

    /** This recording with those of other jobs, and what a person said of their links. */
    static Recorder recorder(OpenJob open, List<List<StripStep>> others) {
        List<List<StripStep>> recordings = new ArrayList<>(List.of(open.dash().steps()));
        recordings.addAll(others);
        Set<String> airbags = recordings.stream()
                .flatMap(List::stream)
                .filter(StripStep.Noted.class::isInstance)
                .map(s -> ((StripStep.Noted) s).text())
                .filter(t -> t.startsWith(AIRBAG))
                .map(t -> t.substring(AIRBAG.length()))
                .collect(Collectors.toSet());
        Set<Recorder.Link> free = open.state().all(Entry.MayComeFirst.class).stream()
                .map(e -> new Recorder.Link(e.waits(), e.on()))
                .collect(Collectors.toSet());
        return new Recorder(recordings, airbags, free);
    }
}
