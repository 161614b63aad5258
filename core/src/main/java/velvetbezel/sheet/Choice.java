package velvetbezel.sheet;

import java.util.List;
import java.util.Optional;

/**
 * A setting or mode of a device.
 *
 * @param start  its value as delivered
 * @param values that it may have
 * @param how    how a setting is set; a mode is set by nobody
 * @param press  of which button it says what it does; empty for any other setting
 */
public record Choice(String name, String start, List<String> values, HowSet how, Optional<KeyPress> press) {
    public Choice {
        values = List.copyOf(values);
    }

    Choice(String name, String start, List<String> values, HowSet how) {
        this(name, start, values, how, Optional.empty());
    }
}
