package velvetbezel.web.openup;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import velvetbezel.store.StandardHazards;
import velvetbezel.strip.CarState;
import velvetbezel.strip.HazardFinding;
import velvetbezel.strip.Planner;
import velvetbezel.strip.Simulation;
import velvetbezel.strip.StripPlan;
import velvetbezel.strip.StripStep;
import velvetbezel.web.job.OpenDash;
import velvetbezel.web.job.OpenJob;

/**
 * The whole course of a job's strip-down: what was done, and what is planned from there.
 *
 * @param plan  of the rest
 * @param steps done and planned
 * @param done  how many of them are done
 * @param ran   all of them run past the hazard rules; empty without a strip-down
 * @param found hazards of what was done as it stood then, and of what is planned
 */
record Course(
        OpenDash dash,
        StripPlan plan,
        List<StripStep> steps,
        int done,
        Optional<Simulation.Ran> ran,
        List<HazardFinding> found) {
    private static final Planner PLANNER = new Planner();

    static Course of(OpenJob open) {
        OpenDash dash = open.dash();
        List<StripStep> steps = new ArrayList<>(dash.steps());
        int done = steps.size();
        if (dash.sheet().isEmpty())
            return new Course(dash, new StripPlan.Nothing(), steps, done, Optional.empty(), List.of());
        StripPlan plan = PLANNER.plan(dash.sheet().get(), dash.wanted(), dash.car());
        plan.found().ifPresent(o -> steps.addAll(o.steps()));
        List<StripStep> whole = new ArrayList<>(steps);
        if (plan.found().isPresent()) whole.add(new StripStep.End());
        Simulation simulation = new Simulation(dash.sheet().get(), dash.wanted(), StandardHazards.all());
        Simulation.Ran ran = simulation.run(CarState.CLOSED, whole);
        List<HazardFinding> found =
                new ArrayList<>(simulation.run(CarState.CLOSED, dash.steps()).findings());
        ran.findings().stream().filter(f -> f.step() >= done).forEach(found::add);
        return new Course(dash, plan, List.copyOf(steps), done, Optional.of(ran), List.copyOf(found));
    }

    Planner planner() {
        return PLANNER;
    }

    boolean begun() {
        return done > 0;
    }

    /** Whether all that was opened is closed, plugged and tested. */
    boolean finished() {
        return begun() && plan.found().map(o -> o.steps().isEmpty()).orElse(false);
    }
}
