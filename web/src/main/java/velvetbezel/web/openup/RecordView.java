package velvetbezel.web.openup;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import velvetbezel.state.StateField;
import velvetbezel.strip.CarState;
import velvetbezel.strip.StepText;
import velvetbezel.strip.StripStep;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.PhotoLine;
import velvetbezel.web.job.Station;
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
        List<PhotoLine> photos) {
    private static final List<StateField> SET =
            List.of(StateField.KEY, StateField.GEAR, StateField.PARKING_BRAKE, StateField.BATTERY, StateField.COLUMN);

    static RecordView of(OpenJob open, Frame.Trouble trouble) {
        List<StripStep> steps = open.dash().steps();
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
                PhotoLine.of(open));
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
