package velvetbezel.sheet;

import java.util.List;

/** A setting or mode of a device: its value at the start and the values it may have. */
public record Choice(String name, String start, List<String> values) {
    public Choice {
        values = List.copyOf(values);
    }
}
