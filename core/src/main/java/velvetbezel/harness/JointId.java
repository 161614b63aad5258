package velvetbezel.harness;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Location;

/**
 * Names a joint: what it carries, where it lies, and which of several of that kind it is. The text of the first joint of
 * a role at the dash names the role alone, as it did before there were other places.
 */
public record JointId(LeadRole role, Location location, int n) implements Comparable<JointId> {
    /** Instance id of the nodes in the middle of joints. */
    static final String NODE = "joint";

    private static final String JOINT = "joint ";
    private static final Pattern TEXT = Pattern.compile("(?:joint )?(.+?)(?: at ([^#]+?))?(?: #(\\d{1,3}))?");

    public JointId {
        if (n < 1) throw new IllegalArgumentException("Joints of a role are numbered from 1, not %d.".formatted(n));
    }

    /** The first joint of a role at the dash. */
    public static JointId of(LeadRole role) {
        return new JointId(role, Location.DASH, 1);
    }

    /** Reads what {@link #text} wrote. */
    public static Optional<JointId> read(String text) {
        Matcher m = TEXT.matcher(text);
        if (!m.matches()) return Optional.empty();
        Optional<String> place = Optional.ofNullable(m.group(2));
        int n = m.group(3) == null ? 1 : Integer.parseInt(m.group(3));
        if (n < 1 || place.filter(p -> p.contains(":")).isPresent()) return Optional.empty();
        return LeadRole.find(m.group(1))
                .map(r -> new JointId(r, place.map(Location::new).orElse(Location.DASH), n));
    }

    /** "joint accessory", "joint accessory at boot", "joint antenna power #2". */
    public String text() {
        return JOINT + name();
    }

    /** "accessory", "accessory at boot". */
    public String name() {
        return role.label() + (location.dash() ? "" : " at " + location) + (n == 1 ? "" : " #" + n);
    }

    /** As people say it: "rear left + joint". */
    public String label() {
        return name() + " joint";
    }

    /** The node in the middle of the joint. */
    TerminalId node() {
        return new TerminalId(NODE, text());
    }

    /** In working order: by role, the dash before other places. */
    @Override
    public int compareTo(JointId other) {
        if (role != other.role) return role.compareTo(other.role);
        int place = location.compareTo(other.location);
        return place != 0 ? place : Integer.compare(n, other.n);
    }

    @Override
    public String toString() {
        return text();
    }
}
