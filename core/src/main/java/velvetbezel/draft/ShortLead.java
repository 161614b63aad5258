package velvetbezel.draft;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.LeadState;
import velvetbezel.sheet.Provenance;
import velvetbezel.units.WireColour;

/**
 * A lead or position as a person types it.
 *
 * @param position where its plug has it; empty for a bare lead
 * @param gives    it gives what usually is taken
 * @param role     empty where nobody knows it
 * @param guessed  somebody guesses the role
 * @param size     "thick", "thin", "18 AWG" or "0.75 mm²"
 * @param metres   its length
 * @param to       what it is carried on to, instead of ending bare
 * @param from     who says so; empty as the sheet
 */
public record ShortLead(
        OptionalInt position,
        LeadState state,
        boolean gives,
        Optional<LeadRole> role,
        boolean guessed,
        Optional<WireColour> colour,
        Optional<String> size,
        OptionalDouble metres,
        List<String> to,
        Optional<Provenance.Origin> from) {
    public ShortLead {
        to = List.copyOf(to);
        if (role.isEmpty() && guessed) throw new IllegalArgumentException("Nobody guesses a role without naming it.");
    }

    /** The same at a position of a plug. */
    ShortLead at(int place) {
        return new ShortLead(OptionalInt.of(place), state, gives, role, guessed, colour, size, metres, to, from);
    }

    /** The same in this colour. */
    ShortLead coloured(Optional<WireColour> usual) {
        return new ShortLead(position, state, gives, role, guessed, usual, size, metres, to, from);
    }

    /** The same in the size and length of a wire's tree. */
    ShortLead sizedAs(Map<String, Object> wire) {
        Map<String, Object> tree = new LinkedHashMap<>(wire);
        tree.put("role", role.map(LeadRole::label).orElse(ShortLines.UNKNOWN));
        return LeadTree.read(tree, OptionalDouble.empty())
                .map(w -> new ShortLead(position, state, gives, role, guessed, colour, w.size, w.metres, to, from))
                .orElse(this);
    }

    /** The same, carried on. */
    ShortLead to(List<String> ends) {
        return new ShortLead(position, state, gives, role, guessed, colour, size, metres, ends, from);
    }

    /** As it is typed. */
    public String text() {
        StringBuilder text = new StringBuilder();
        position.ifPresent(p -> text.append(p).append(' '));
        if (state != LeadState.USED) text.append(state.word()).append(' ');
        if (gives) text.append("gives ");
        text.append(role.map(LeadRole::label).orElse(ShortLines.UNKNOWN));
        if (guessed) text.append('?');
        colour.ifPresent(c -> text.append(' ').append(c.words()));
        size.ifPresent(s -> text.append(' ').append(s));
        metres.ifPresent(m -> text.append(' ').append(Template.number(m)).append(" m"));
        if (!to.isEmpty()) text.append(" > ").append(String.join(" + ", to));
        from.ifPresent(o -> text.append(" from ").append(o.word()));
        return text.toString();
    }
}
