package velvetbezel.strip;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.sheet.strip.ItemPosition;
import velvetbezel.sheet.strip.StripDown;

/** Runs any order of steps past the hazard rules, a plan's as well as a person's own. */
public final class Simulation {
    private final Dash dash;
    private final Wanted wanted;
    private final HazardRules rules;

    public Simulation(StripDown strip, Wanted wanted, HazardRules rules) {
        this.dash = new Dash(strip);
        this.wanted = wanted;
        this.rules = rules;
    }

    /**
     * What came of a run.
     *
     * @param states   the car before each step, and after the last one
     * @param findings in the order of the steps, the worst of a step first
     */
    public record Ran(List<CarState> states, List<HazardFinding> findings) {
        public Ran {
            states = List.copyOf(states);
            findings = List.copyOf(findings);
        }

        public CarState end() {
            return states.get(states.size() - 1);
        }

        /** Findings that are more than a caution. */
        public List<HazardFinding> hazards() {
            return findings.stream()
                    .filter(f -> f.severity() != Severity.CAUTION)
                    .toList();
        }
    }

    /** A step that cannot be done is named and taken as done, so that the run goes on: recordings have gaps. */
    public Ran run(CarState start, List<StripStep> steps) {
        List<CarState> states = new ArrayList<>(List.of(start));
        List<HazardFinding> findings = new ArrayList<>();
        Moment.RunFacts facts = facts(start, steps);
        CarState car = start;
        for (int i = 0; i < steps.size(); i++) {
            CarState after = car.after(steps.get(i));
            findings.addAll(findings(i, new Moment(dash, steps.get(i), car, after, facts)));
            states.add(after);
            car = after;
        }
        return new Ran(states, findings);
    }

    private List<HazardFinding> findings(int index, Moment moment) {
        List<HazardFinding> found = new ArrayList<>();
        for (HazardRule rule : rules.at(moment.step))
            if (rule.when().stream().allMatch(moment::holds))
                found.add(new HazardFinding(index, moment.step, weighed(rule, moment), Sayings.of(rule, moment)));
        found.sort((a, b) -> a.severity().compareTo(b.severity()));
        return found;
    }

    /** A work that is done later after all is worth a word only; so is a plug that the workshop moves live. */
    private static HazardRule weighed(HazardRule rule, Moment moment) {
        if (rule.id().equals("plug-live") && moment.mayMoveLive()) return rule.as(Severity.CAUTION);
        List<String> left = rule.when().contains(StripGuard.Circumstance.PLUG_WORK_LEFT)
                ? moment.worksOfThisPlug()
                : rule.when().contains(StripGuard.Circumstance.POWER_WORK_LEFT) ? moment.powerWorksLeft() : List.of();
        return !left.isEmpty() && left.stream().allMatch(moment::doneLater) ? rule.as(Severity.CAUTION) : rule;
    }

    private Moment.RunFacts facts(CarState start, List<StripStep> steps) {
        Set<String> later = new HashSet<>();
        Set<ItemId> passed = new HashSet<>();
        boolean counted = false;
        CarState open = start;
        CarState car = start;
        for (StripStep s : steps) {
            if (s instanceof StripStep.DoWork w) later.add(w.work());
            counted |= s instanceof StripStep.Undo;
            if (s instanceof StripStep.Loosen || s instanceof StripStep.Lift) open = open.after(s);
            if (s instanceof StripStep.Loosen l && dash.has(l.item()) && passes(l.item(), car)) passed.add(l.item());
            car = car.after(s);
        }
        Needed needed = Needed.of(dash, wanted, CarState.CLOSED);
        Set<ItemId> items = needed.items().stream().map(DashItem::id).collect(Collectors.toSet());
        return new Moment.RunFacts(wanted, items, early(open, start), counted, later, passed);
    }

    private boolean passes(ItemId item, CarState car) {
        return dash.item(item).clear().entrySet().stream()
                .allMatch(e -> e.getValue().contains(car.word(e.getKey())));
    }

    /** Of all that is opened in this run, and of what stood open before it. */
    private Set<ItemId> early(CarState open, CarState start) {
        CarState opened = open;
        for (var at : start.positions().entrySet())
            if (at.getValue() == ItemPosition.AWAY && dash.has(at.getKey()))
                opened = opened.after(new StripStep.Lift(at.getKey()));
        return Needed.of(dash, wanted, opened).early();
    }
}
