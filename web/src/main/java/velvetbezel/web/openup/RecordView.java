package velvetbezel.web.openup;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import velvetbezel.job.Entry;
import velvetbezel.state.StateField;
import velvetbezel.store.JobCodec;
import velvetbezel.strip.CarState;
import velvetbezel.strip.Recorder;
import velvetbezel.strip.StepText;
import velvetbezel.strip.StripStep;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.PhotoLine;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/**
 * A dash that nobody described yet, recorded while somebody opens it.
 *
 * @param parts named so far
 * @param typed what stands in the fields: what was refused, else the part that was spoken of last
 * @param sets  what of the vehicle may be set, as steps
 * @param ready whether something came loose that a sheet could be made of
 */
public record RecordView(
        Frame frame,
        String heading,
        List<String> steps,
        List<String> parts,
        Map<String, String> typed,
        List<InCarView.Counted> sets,
        List<String> drives,
        List<String> locks,
        InCarView.Standing standing,
        boolean ready,
        String others,
        List<Waits> waits,
        List<PhotoLine> photos) {
    /** One part that waited for another, in every recording. @param free whether a person says it need not have */
    public record Waits(String words, String field, boolean free) {}

    private static final List<StateField> SET =
            List.of(StateField.KEY, StateField.GEAR, StateField.PARKING_BRAKE, StateField.BATTERY, StateField.COLUMN);

    static RecordView of(OpenJob open, Recording recording, Frame.Trouble trouble) {
        List<StripStep> steps = open.dash().steps();
        List<List<StripStep>> others = recording.others(open);
        StepWords words = new StepWords(open.dash().sheet());
        List<String> told = new ArrayList<>();
        for (int i = steps.size() - 1; i >= 0; i--) told.add(words.what(steps.get(i)));
        boolean ready = steps.stream().anyMatch(StripStep.Loosen.class::isInstance);
        return new RecordView(
                Frame.of(open, Station.OPEN_UP, trouble),
                steps.isEmpty()
                        ? "Recording: nothing yet"
                        : "Recording: %s".formatted(Words.count(steps.size(), "step")),
                told,
                parts(steps),
                typed(open, parts(steps)),
                sets(open.dash().car(), words),
                List.of("hex 7", "hex 8", "hex 10", "T20", "T25", "cross 2", "slotted", "release key", "by hand"),
                List.of("", "yellow", "grey", "red", "blue"),
                InCarView.standing(open.dash().car(), words, Optional.empty()),
                ready,
                others(others.size()),
                ready ? waits(open, Recording.recorder(open, others)) : List.of(),
                PhotoLine.of(open));
    }

    private static String others(int others) {
        return others == 0
                ? ""
                : "%s of this car, from other jobs, %s taken into account."
                        .formatted(Words.sentence(Words.count(others, "recording")), others == 1 ? "is" : "are");
    }

    /** Those that stand, and those that a person took away. */
    private static List<Waits> waits(OpenJob open, Recorder recorder) {
        List<Waits> waits = new ArrayList<>();
        for (Recorder.Link l : recorder.links()) waits.add(waits(l.waits(), l.on(), false));
        for (Entry.MayComeFirst e : open.state().all(Entry.MayComeFirst.class))
            waits.add(waits(e.waits(), e.on(), true));
        return waits;
    }

    private static Waits waits(String part, String on, boolean free) {
        boolean loose = on.endsWith(":loose");
        String other = loose ? on.substring(0, on.length() - ":loose".length()) : on;
        String words = Say.it(loose ? "record.waits.loose" : "record.waits", Words.sentence(part), other);
        return new Waits(words, JobCodec.key(new Entry.MayComeFirst(part, on)), free);
    }

    private static List<String> parts(List<StripStep> steps) {
        Set<String> parts = new LinkedHashSet<>();
        for (StripStep s : steps) {
            String part = s instanceof StripStep.Loosen l
                    ? l.item().name()
                    : s instanceof StripStep.Undo u
                            ? u.group().item().name()
                            : s instanceof StripStep.Unplug p
                                    ? p.connector().item().name()
                                    : "";
            parts.remove(part);
            if (!part.isEmpty()) parts.add(part);
        }
        return List.copyOf(parts);
    }

    private static Map<String, String> typed(OpenJob open, List<String> parts) {
        Map<String, String> typed = new HashMap<>(Map.of("count", "2", "drive", "hex 7", "where", "", "plug", ""));
        typed.put("part", parts.isEmpty() ? "" : parts.get(parts.size() - 1));
        typed.putAll(open.entered());
        return typed;
    }

    private static List<InCarView.Counted> sets(CarState car, StepWords words) {
        List<InCarView.Counted> sets = new ArrayList<>();
        for (StateField f : SET)
            for (String word : f.words())
                if (!word.equals(car.word(f)) && !word.equals("crank")) {
                    StripStep step = new StripStep.SetState(f, word, f == StateField.GEAR, StripStep.By.HAND);
                    sets.add(new InCarView.Counted(words.what(step), StepText.write(step)));
                }
        return sets;
    }
}
