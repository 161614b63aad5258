package velvetbezel.sheet.strip;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import velvetbezel.sheet.Fact;
import velvetbezel.state.StateField;

/**
 * One part of a dash.
 *
 * @param area     where in the car: "centre", "driver's side"
 * @param behind   parts in front of it
 * @param clear    what must be true of the vehicle while it is loosened and fastened: the lever at low
 * @param rests    whether it can hang on its leads without being held; a part that cannot, pins what it must be clear
 *       of
 * @param liesAside whether it can be put back loosely before what it hides is fastened
 * @param returns  whether it is put back; a shelf that is cut out is not
 * @param openedBy key words at which it opens by power; empty: it opens by hand
 * @param uses     functions of the car that it opens by
 * @param minutes  to take it off; to put it back takes the same (common practice, no source)
 * @param breaks   what of it breaks easily
 * @param pictures ids of pictures
 */
public record DashItem(
        ItemId id,
        ItemKind kind,
        String area,
        List<FastenerGroup> fasteners,
        Optional<Clips> clips,
        List<ItemConnector> connectors,
        List<Behind> behind,
        Map<StateField, Set<String>> clear,
        Fact<Boolean> rests,
        boolean liesAside,
        boolean returns,
        Optional<Set<String>> openedBy,
        Set<String> uses,
        Minutes minutes,
        List<String> breaks,
        List<String> pictures) {
    public DashItem {
        fasteners = List.copyOf(fasteners);
        connectors = List.copyOf(connectors);
        behind = List.copyOf(behind);
        clear = Map.copyOf(clear);
        uses = Set.copyOf(uses);
        breaks = List.copyOf(breaks);
        pictures = List.copyOf(pictures);
    }

    /** Whether it pins what it must be clear of while it is loose; where nobody knows, it is taken to. */
    public boolean pins() {
        return !clear.isEmpty() && !rests.known().orElse(false);
    }

    public DashItem withFasteners(List<FastenerGroup> others) {
        return new DashItem(
                id,
                kind,
                area,
                others,
                clips,
                connectors,
                behind,
                clear,
                rests,
                liesAside,
                returns,
                openedBy,
                uses,
                minutes,
                breaks,
                pictures);
    }

    /** Everything in front of it or of one of its fasteners. */
    public List<Behind> hiders() {
        return Stream.concat(behind.stream(), fasteners.stream().flatMap(g -> g.behind().stream()))
                .distinct()
                .toList();
    }

    /** Its fasteners and clips as groups that are counted into a tray. */
    public List<GroupOf> groups() {
        Stream<String> screws = fasteners.stream().map(FastenerGroup::id);
        return Stream.concat(screws, clips.stream().map(c -> GroupOf.CLIPS))
                .map(g -> new GroupOf(id, g))
                .toList();
    }
}
