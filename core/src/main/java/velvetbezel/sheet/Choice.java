package velvetbezel.sheet;

import java.util.List;

/**
 * A setting or mode of a device.
 *
 * @param start  its value as delivered
 * @param values that it may have
 * @param how    how a setting is set; a mode is set by nobody
 */
public record Choice(String name, String start, List<String> values, HowSet how) {
    public Choice {
        values = List.copyOf(values);
    }
}
