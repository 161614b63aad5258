package velvetbezel.controls;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import velvetbezel.function.FunctionId;
import velvetbezel.harness.Installation;
import velvetbezel.harness.SettingId;
import velvetbezel.sheet.HowSet;
import velvetbezel.sheet.Trait;

/**
 * All settings of a kit, decided together.
 *
 * @param decisions     in the order of time, then of the devices; what the buttons of a device do is one of them
 * @param presses       what each button is told to do
 * @param looks         what of the car has to be looked at before all can be decided
 * @param lostBySetting functions that would work with all, or one of all, as delivered, and do not as decided
 * @param openFunctions functions that an open setting decides
 */
public record SetUpPlan(
        List<Decision> decisions,
        List<Decision> presses,
        List<Trait> looks,
        List<FunctionId> lostBySetting,
        List<FunctionId> openFunctions,
        Proof proof) {
    public static final SetUpPlan NOTHING =
            new SetUpPlan(List.of(), List.of(), List.of(), List.of(), List.of(), Proof.PROVEN);

    /** The one setting of a device that stands for what all its buttons are told to do. */
    public static final String BUTTON_MAP = "button map";

    public SetUpPlan {
        decisions = List.copyOf(decisions);
        presses = List.copyOf(presses);
        looks = List.copyOf(looks);
        lostBySetting = List.copyOf(lostBySetting);
        openFunctions = List.copyOf(openFunctions);
    }

    /** Whether every combination that could matter was tried. */
    public enum Proof {
        PROVEN,
        BEST_FOUND
    }

    public Map<SettingId, String> values() {
        Map<SettingId, String> values = new TreeMap<>();
        Stream.concat(decisions.stream().filter(d -> !d.id().setting().equals(BUTTON_MAP)), presses.stream())
                .forEach(d -> d.value().ifPresent(v -> values.put(d.id(), v)));
        return values;
    }

    public Optional<Decision> of(SettingId id) {
        return decisions.stream().filter(d -> d.id().equals(id)).findFirst();
    }

    /** What is to be done before power comes for the first time. */
    public List<Decision> beforePower() {
        return decisions.stream()
                .filter(d -> d.when() == HowSet.Moment.BEFORE_POWER && !d.asDelivered())
                .toList();
    }

    /** The installation with everything that is decided. */
    public Installation applied(Installation installation) {
        return installation.withSettings(values());
    }
}
