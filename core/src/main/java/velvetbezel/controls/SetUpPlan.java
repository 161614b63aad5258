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
 * @param decisions     in the order of time, then of the devices
 * @param lostBySetting functions that work with everything as delivered, and do not as decided
 * @param openFunctions functions that an open setting decides
 */
public record SetUpPlan(
        List<Decision> decisions, List<FunctionId> lostBySetting, List<FunctionId> openFunctions, Proof proof) {
    public static final SetUpPlan NOTHING = new SetUpPlan(List.of(), List.of(), List.of(), Proof.PROVEN);

    public SetUpPlan {
        decisions = List.copyOf(decisions);
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
        decisions.forEach(d -> d.value().ifPresent(v -> values.put(d.id(), v)));
        return values;
    }

    public Optional<Decision> of(SettingId id) {
        return decisions.stream().filter(d -> d.id().equals(id)).findFirst();
    }

    /** What of the car has to be looked at before its settings can be decided. */
    public List<Trait> looks() {
        return decisions.stream()
                .flatMap(d -> d.wanted() instanceof Decision.Wanted.Open o ? Stream.of(o.fact()) : Stream.of())
                .distinct()
                .toList();
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
