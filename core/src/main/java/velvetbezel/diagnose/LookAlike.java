package velvetbezel.diagnose;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import velvetbezel.harness.Terminal;
import velvetbezel.sheet.LeadRole;
import velvetbezel.units.Colour;
import velvetbezel.units.WireColour;

/** Leads of one part that a person can take for each other (common practice, no source). */
final class LookAlike {
    private static final List<Set<String>> COLOURS = List.of(
            Set.of("grey", "violet"),
            Set.of("orange", "red"),
            Set.of("black", "brown"),
            Set.of("white", "yellow"),
            Set.of("blue", "violet"));

    private static final List<Set<LeadRole>> ROLES = List.of(
            Set.of(LeadRole.CONSTANT, LeadRole.ACCESSORY),
            Set.of(LeadRole.ACCESSORY, LeadRole.ILLUMINATION),
            Set.of(LeadRole.AMP_REMOTE, LeadRole.ANTENNA_POWER),
            Set.of(LeadRole.ACCESSORY, LeadRole.AMP_REMOTE));

    private LookAlike() {}

    static boolean leads(Terminal a, Terminal b) {
        return colours(a, b) || roles(a, b);
    }

    private static boolean colours(Terminal a, Terminal b) {
        Optional<WireColour> one = a.colour().known();
        Optional<WireColour> other = b.colour().known();
        if (one.isEmpty() || other.isEmpty()) return false;
        Colour x = one.get().base();
        Colour y = other.get().base();
        if (x == y) return true;
        return one.get().stripe().equals(other.get().stripe())
                && COLOURS.stream().anyMatch(s -> s.contains(x.word()) && s.contains(y.word()));
    }

    private static boolean roles(Terminal a, Terminal b) {
        if (a.role().isEmpty() || b.role().isEmpty()) return false;
        LeadRole x = a.role().get();
        LeadRole y = b.role().get();
        return ROLES.stream().anyMatch(s -> s.contains(x) && s.contains(y))
                || corner(x).equals(corner(y));
    }

    /** The same lead of another corner has the same name but for left, right, front and rear. */
    private static String corner(LeadRole role) {
        return role.label().replaceAll("\\b(left|right|front|rear)\\b", "");
    }
}
