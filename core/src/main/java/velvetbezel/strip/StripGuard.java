package velvetbezel.strip;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import velvetbezel.state.StateField;

/** What must hold at a step for a hazard to be there. */
sealed interface StripGuard {
    /** A word of the vehicle changes. An empty set allows every word. */
    record Changes(StateField field, Set<String> from, Set<String> to) implements StripGuard {}

    /** A word of the vehicle before or after the step. */
    record Word(boolean after, StateField field, Set<String> in) implements StripGuard {}

    record Any(List<StripGuard> of) implements StripGuard {
        public Any {
            of = List.copyOf(of);
        }
    }

    record Not(StripGuard of) implements StripGuard {}

    /** A battery clamp is moved. An empty text allows every pole, and both directions. */
    record Clamp(String pole, String to) implements StripGuard {}

    /** What of the moment itself is asked for, as the rules write it: {@code {"item has": "plugs"}}. */
    enum Circumstance implements StripGuard {
        LIVE_BEFORE("live", "before"),
        LIVE_AFTER("live", "after"),
        LIVE_EITHER("live", "either"),
        LIVE_ALL("live", "all"),
        OPEN_AIRBAG("open", "airbag"),
        OPEN_ANY("open", "any"),
        TOUCHES_AIRBAG("touches", "airbag"),
        TOUCHES_POWERED("touches", "powered"),
        HOLDING_BRAKE("holding", "foot brake"),
        BY_RELEASE("by", "release"),
        LEVER_WRONG_KEY("lever", "wrong key"),
        LEVER_NEEDS_BATTERY("fact", "lever.battery"),
        LEVER_NEEDS_FOOT("fact", "lever.foot brake"),
        LEVER_MANUAL("fact", "lever.manual"),
        LEVER_GONE("gone", "lever"),
        LEVER_STILL_NEEDED("lever", "still needed"),
        BATTERY_COVERED("battery", "covered"),
        BATTERY_SHUT_IN("battery", "shut in"),
        PINNED("pinned", "true"),
        NEGATIVES_ON("negatives", "on"),
        SOME_BATTERIES("batteries", "some"),
        POWER_WORK_LEFT("task left", "power"),
        PLUG_WORK_LEFT("task left", "this plug"),
        HAS_FASTENERS("item has", "fasteners"),
        HAS_PLUGS("item has", "plugs"),
        HAS_OPEN_PLUGS("item has", "open plugs"),
        MAY_DROP("item has", "may drop"),
        BREAKABLE("item has", "breakable"),
        UNSURE_COUNT("item has", "unsure count"),
        RECORDED("recorded", "fasteners"),
        COVERED("covered", "true"),
        NOT_CLEAR("clear", "not met"),
        ELECTRIC_DEAD("electric", "dead"),
        OUT_OF_REACH("reach", "not loose"),
        UNTESTED("tested", "false"),
        EARLY("early", "true"),
        BURIED("buried", "true"),
        TOO_SOON("too soon", "true"),
        WORK_CLOSED("task closed", "true"),
        WORK_DEAD("task dead", "true"),
        WAITS("waits", "true"),
        POPS_UP("pops up", "true"),
        WAIT_AFTER_OFF("wait after off", "true"),
        HIGH_VOLTAGE("touches", "high voltage"),
        END_KEY("end", "key on"),
        END_LEVER("end", "lever"),
        END_COLUMN("end", "column"),
        END_ITEMS("end", "items"),
        END_TRAY("end", "tray"),
        END_NO_EXCHANGE("end", "no swap");

        private final String key;
        private final String value;

        Circumstance(String key, String value) {
            this.key = key;
            this.value = value;
        }

        static Optional<Circumstance> find(String key, String value) {
            return Arrays.stream(values())
                    .filter(c -> c.key.equals(key) && c.value.equals(value))
                    .findFirst();
        }

        static List<String> keys() {
            return Arrays.stream(values()).map(c -> c.key).distinct().toList();
        }
    }
}
