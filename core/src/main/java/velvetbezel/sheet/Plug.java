package velvetbezel.sheet;

import java.util.List;
import java.util.Optional;

/**
 * A connector: plugs of one family mate with sockets of that family, position on position.
 *
 * @param housing the plug whose housing this one is an insert of: it goes where that one goes
 * @param access  where it is, if not at the radio's place
 */
public record Plug(
        String id,
        String family,
        boolean socket,
        int size,
        List<Position> positions,
        Optional<String> housing,
        Optional<Access> access) {
    public Plug {
        positions = List.copyOf(positions);
    }

    public Plug withPositions(List<Position> other) {
        return new Plug(id, family, socket, size, other, housing, access);
    }

    public boolean fits(Plug other) {
        return family.equals(other.family) && socket != other.socket;
    }

    /** In how many positions both carry the same. */
    public int agreement(Plug other) {
        return (int) positions.stream()
                .filter(p -> other.at(p.number()).filter(p::agrees).isPresent())
                .count();
    }

    /** Fits, and agrees somewhere: a look-alike that agrees nowhere is not pushed in. */
    public boolean mates(Plug other) {
        return fits(other) && agreement(other) > 0;
    }

    /** Whether it is the plug through which an amplifier drives speakers. */
    public boolean drivesSpeakers() {
        return positions.stream()
                .anyMatch(p -> p.flow() == Flow.GIVES
                        && p.role()
                                .filter(r -> r.group() == LeadRole.Group.SPEAKER)
                                .isPresent());
    }

    /** Whether every wire of it ends bare: it is cut off. */
    public boolean isCutOff() {
        return positions.stream().filter(p -> !p.empty()).allMatch(Position::bare);
    }

    /** Whether some wire of it only carries on what it meets, and so has no role of its own. */
    public boolean carriesOn() {
        return positions.stream().anyMatch(Position::carriesOn);
    }

    public Optional<Position> at(String number) {
        return positions.stream().filter(p -> p.number().equals(number)).findFirst();
    }
}
