package velvetbezel.sheet.strip;

import java.util.Optional;

/** Names one plug of a part of a dash: "fascia.airbag lamp". */
public record ConnectorOf(ItemId item, String name) implements Comparable<ConnectorOf> {
    /** Empty where the text has no point in it. */
    public static Optional<ConnectorOf> read(String text) {
        int point = text.indexOf('.');
        return point <= 0 || point == text.length() - 1
                ? Optional.empty()
                : Optional.of(new ConnectorOf(new ItemId(text.substring(0, point)), text.substring(point + 1)));
    }

    @Override
    public int compareTo(ConnectorOf other) {
        return toString().compareTo(other.toString());
    }

    @Override
    public String toString() {
        return item + "." + name;
    }
}
