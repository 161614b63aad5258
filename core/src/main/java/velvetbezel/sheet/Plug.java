package velvetbezel.sheet;

import java.util.List;
import java.util.Optional;

/** A connector: plugs of one family mate with sockets of that family, position on position. */
public record Plug(String id, String family, boolean socket, int size, List<Position> positions) {
    public Plug { positions = List.copyOf(positions); }

    public boolean fits(Plug other) { return family.equals(other.family) && socket != other.socket; }

    public Optional<Position> at(String number) {
        return positions.stream().filter(p -> p.number().equals(number)).findFirst();
    }
}
