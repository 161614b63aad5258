package velvetbezel.strip;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.Set;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.sheet.strip.StripDown;

/**
 * Steps with the times of day at which they were done: how long each part took, and where nobody said anything for a
 * while.
 */
public final class Timeline {
    private static final double SECONDS = 60;
    private final List<Timed> steps;

    /** @param id names it in its job @param at seconds since 1970 */
    public record Timed(String id, StripStep step, OptionalLong at) {}

    /** So many minutes between two steps with nothing said. @param id of the step after it */
    public record Pause(String id, StripStep before, StripStep after, double minutes) {}

    /** @param steps of one job in their order */
    public Timeline(List<Timed> steps) {
        this.steps = steps.stream().filter(s -> s.at().isPresent()).toList();
    }

    /** Longer than {@link LearnedTimes#PAUSE_MINUTES}: a person has to say whether that was work. */
    public List<Pause> pauses() {
        List<Pause> pauses = new ArrayList<>();
        for (int i = 1; i < steps.size(); i++)
            if (minutes(i) > LearnedTimes.PAUSE_MINUTES)
                pauses.add(new Pause(
                        steps.get(i).id(), steps.get(i - 1).step(), steps.get(i).step(), minutes(i)));
        return pauses;
    }

    private double minutes(int i) {
        return (steps.get(i).at().orElseThrow() - steps.get(i - 1).at().orElseThrow()) / SECONDS;
    }

    /**
     * What each part took to come off and to go back, its fasteners and plugs with it, as {@link LearnedTimes} takes it.
     *
     * @param worked ids of steps before which a pause was work; other pauses count for nothing
     */
    public List<LearnedTimes.Taken> taken(StripDown strip, Set<String> worked) {
        StepTimes times = new StepTimes(strip);
        Map<StripStep, Double> took = new LinkedHashMap<>();
        for (int i = 1; i < steps.size(); i++) {
            double minutes = minutes(i);
            boolean pause = minutes > LearnedTimes.PAUSE_MINUTES
                    && !worked.contains(steps.get(i).id());
            if (minutes < 0 || pause) continue;
            took.merge(owner(steps.get(i).step()), minutes, Double::sum);
        }
        List<LearnedTimes.Taken> taken = new ArrayList<>();
        took.forEach((step, own) -> {
            double sheet = times.of(step).usual();
            if (sheet > 0) taken.add(new LearnedTimes.Taken(StepText.write(step), sheet, own));
        });
        return taken;
    }

    /** The step that carries the minutes of the part that a step is about. */
    private static StripStep owner(StripStep step) {
        if (step instanceof StripStep.Undo s)
            return new StripStep.Loosen(s.group().item());
        if (step instanceof StripStep.Unplug s)
            return new StripStep.Loosen(s.connector().item());
        if (step instanceof StripStep.Lift s) return new StripStep.Loosen(s.item());
        if (step instanceof StripStep.PutIn s) return fasten(s.item());
        if (step instanceof StripStep.PlugIn s) return fasten(s.connector().item());
        return step instanceof StripStep.DoUp s ? fasten(s.group().item()) : step;
    }

    private static StripStep fasten(ItemId item) {
        return new StripStep.Fasten(item);
    }
}
