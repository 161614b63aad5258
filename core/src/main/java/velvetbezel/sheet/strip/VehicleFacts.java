package velvetbezel.sheet.strip;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import velvetbezel.sheet.Fact;
import velvetbezel.state.StateField;

/**
 * What of the vehicle bears on taking its dash apart.
 *
 * @param lever        empty where nothing of the dash asks for the lever
 * @param batteries    empty where nobody stated them
 * @param radioCode    whether a radio asks for a code after the battery was off
 * @param startUp      seconds from power to a working screen
 * @param waitAfterOff seconds to wait after the battery is off before an airbag plug is touched; the maker's figure
 * @param popUps       what moves by itself
 * @param forgets      what the car forgets with the battery off
 */
public record VehicleFacts(
        Optional<Lever> lever,
        List<Battery> batteries,
        Fact<Boolean> radioCode,
        Fact<Integer> startUp,
        Fact<Integer> waitAfterOff,
        List<PopUp> popUps,
        List<String> forgets) {
    public VehicleFacts {
        batteries = List.copyOf(batteries);
        popUps = List.copyOf(popUps);
        forgets = List.copyOf(forgets);
    }

    /** Something that moves by itself: a motorised screen, a roll bar, a column at key-off. */
    public record PopUp(String what, Map<StateField, Set<String>> when, String caution) {
        public PopUp {
            when = Map.copyOf(when);
        }
    }

    /** The battery that a clamp belongs to; empty for another field, or where nobody stated it. */
    public Optional<Battery> battery(StateField clamp) {
        int number =
                switch (clamp) {
                    case BATTERY, BATTERY_POSITIVE -> 0;
                    case SECOND_BATTERY, SECOND_BATTERY_POSITIVE -> 1;
                    default -> Integer.MAX_VALUE;
                };
        return number < batteries.size() ? Optional.of(batteries.get(number)) : Optional.empty();
    }

    /** How many batteries are planned for: one, where nobody stated it. */
    public int batteryCount() {
        return Math.max(1, batteries.size());
    }
}
