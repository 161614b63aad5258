package velvetbezel.web.openup;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.ItemConnector;
import velvetbezel.sheet.strip.ItemKind;
import velvetbezel.sheet.strip.ItemPosition;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.state.StateField;
import velvetbezel.strip.CarState;
import velvetbezel.strip.StepText;
import velvetbezel.strip.StripStep;
import velvetbezel.web.job.OpenDash;

/** Whatever a person may have done to this dash instead of the step that is asked for. */
final class OtherSteps {
    private static final List<StateField> SET = List.of(
            StateField.KEY,
            StateField.GEAR,
            StateField.PARKING_BRAKE,
            StateField.BATTERY,
            StateField.BATTERY_POSITIVE,
            StateField.SECOND_BATTERY,
            StateField.SECOND_BATTERY_POSITIVE,
            StateField.COLUMN,
            StateField.DOOR);
    private final CarState car;
    private final StripDown strip;
    private final StepWords words;

    OtherSteps(OpenDash dash) {
        this.car = dash.car();
        this.strip = dash.sheet().orElse(null);
        this.words = new StepWords(dash.sheet());
    }

    List<InCarView.Other> all() {
        if (strip == null) return List.of();
        return Stream.of(
                        other("Came loose, opened", items(this::closed, i -> new StripStep.Loosen(i.id()))),
                        other("Lifted away", items(this::liftable, i -> new StripStep.Lift(i.id()))),
                        other("Unplugged", connectors(false)),
                        other("Put in", items(at(ItemPosition.AWAY), i -> new StripStep.PutIn(i.id(), false))),
                        other("Plugged in", connectors(true)),
                        other("Fastened, closed", items(at(ItemPosition.LOOSE), i -> new StripStep.Fasten(i.id()))),
                        other("Key, lever, brake, battery", sets()),
                        other("Fasteners", fasteners()),
                        other("Done besides", works()))
                .flatMap(Optional::stream)
                .toList();
    }

    private static Optional<InCarView.Other> other(String name, List<InCarView.Counted> steps) {
        return steps.isEmpty() ? Optional.empty() : Optional.of(new InCarView.Other(name, steps));
    }

    private InCarView.Counted step(StripStep step) {
        return new InCarView.Counted(words.what(step), StepText.write(step));
    }

    private Predicate<DashItem> at(ItemPosition position) {
        return i -> car.position(i.id()) == position;
    }

    private boolean closed(DashItem item) {
        return item.kind() != ItemKind.FIXED && at(ItemPosition.HOME).test(item);
    }

    private boolean liftable(DashItem item) {
        return item.kind() != ItemKind.LID && at(ItemPosition.LOOSE).test(item);
    }

    private List<InCarView.Counted> items(Predicate<DashItem> which, Function<DashItem, StripStep> step) {
        return strip.items().stream().filter(which).map(step).map(this::step).toList();
    }

    private List<InCarView.Counted> connectors(boolean off) {
        return strip.items().stream()
                .flatMap(i -> i.connectors().stream())
                .map(ItemConnector::id)
                .filter(c -> car.off().contains(c) == off)
                .map(c -> off ? new StripStep.PlugIn(c, false) : new StripStep.Unplug(c))
                .map(this::step)
                .toList();
    }

    private List<InCarView.Counted> sets() {
        List<InCarView.Counted> sets = new ArrayList<>();
        for (StateField f : SET) {
            if (!asked(f)) continue;
            for (String word : f.words())
                if (!word.equals(car.word(f)) && !word.equals("crank"))
                    sets.add(step(new StripStep.SetState(f, word, f == StateField.GEAR, StripStep.By.HAND)));
        }
        return sets;
    }

    private boolean asked(StateField f) {
        boolean second = f == StateField.SECOND_BATTERY || f == StateField.SECOND_BATTERY_POSITIVE;
        boolean gear = f == StateField.GEAR;
        boolean clear = f == StateField.COLUMN || f == StateField.DOOR;
        if (second) return strip.facts().batteryCount() > 1;
        if (gear) return strip.facts().lever().isPresent();
        return !clear || strip.items().stream().anyMatch(i -> i.clear().containsKey(f));
    }

    private List<InCarView.Counted> fasteners() {
        List<InCarView.Counted> steps = new ArrayList<>();
        car.trays().groups().forEach((group, tray) -> {
            if (tray.left() <= 0) return;
            steps.add(step(new StripStep.DoUp(group, tray.left())));
            steps.add(step(new StripStep.Spare(group, tray.left())));
            steps.add(step(new StripStep.Dropped(group, 1)));
        });
        return steps;
    }

    private List<InCarView.Counted> works() {
        Stream<StripStep> works = strip.works().stream()
                .filter(w -> !car.works().contains(w.id()))
                .map(w -> new StripStep.DoWork(w.id()));
        Stream<StripStep> rest = Stream.of(new StripStep.Exchange(), new StripStep.FunctionTest());
        return Stream.concat(works, rest).map(this::step).toList();
    }
}
