package velvetbezel.strip;

import java.util.Set;
import velvetbezel.sheet.strip.ConnectorOf;
import velvetbezel.sheet.strip.ItemId;

/**
 * What a strip-down is for.
 *
 * @param away   parts that come out and are exchanged
 * @param off    plugs that have to come off
 * @param extras ids of extra work that is done as well
 */
public record Wanted(Set<ItemId> away, Set<ConnectorOf> off, Set<String> extras, School school) {
    public Wanted {
        away = Set.copyOf(away);
        off = Set.copyOf(off);
        extras = Set.copyOf(extras);
    }

    public static Wanted away(String item) {
        return new Wanted(Set.of(new ItemId(item)), Set.of(), Set.of(), School.USUAL);
    }

    public Wanted with(School other) {
        return new Wanted(away, off, extras, other);
    }

    public Wanted with(Set<String> others) {
        return new Wanted(away, off, others, school);
    }

    /** Whether something is exchanged; extras alone open and close, and nothing else. */
    public boolean exchanges() {
        return !away.isEmpty() || !off.isEmpty();
    }

    public boolean nothing() {
        return away.isEmpty() && off.isEmpty() && extras.isEmpty();
    }
}
