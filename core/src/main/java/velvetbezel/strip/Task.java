package velvetbezel.strip;

import java.util.Locale;
import java.util.Map;
import java.util.Set;
import velvetbezel.sheet.strip.ConnectorOf;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.state.StateField;

/**
 * Something of a plan that has to be done once. Fasteners go with loosening and fastening.
 *
 * @param number  its bit
 * @param item    part it is done to; null for a work, the exchange, the test and the end
 * @param plug    plug it is done to; null where it is none
 * @param work    id of the work; null where it is none
 * @param demands what must be true of the vehicle meanwhile
 */
record Task(int number, Kind kind, ItemId item, ConnectorOf plug, String work, Map<StateField, Set<String>> demands) {
    enum Kind {
        LOOSEN,
        UNPLUG,
        LIFT,
        EXCHANGE,
        PUT_IN,
        PLUG_IN,
        FASTEN,
        WORK,
        TEST,
        END
    }

    Task {
        demands = Map.copyOf(demands);
    }

    @Override
    public String toString() {
        String of = plug != null ? plug.toString() : item != null ? item.name() : work != null ? work : "";
        return kind.name().toLowerCase(Locale.ROOT).replace('_', ' ') + (of.isEmpty() ? "" : " " + of);
    }
}
