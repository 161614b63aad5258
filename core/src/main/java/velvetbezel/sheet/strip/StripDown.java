package velvetbezel.sheet.strip;

import java.util.List;
import java.util.Optional;

/** How one vehicle's dash comes apart. Parts stand in the order in which somebody would take them off. */
public record StripDown(List<DashItem> items, List<Work> works, List<PossibleExtra> extras, VehicleFacts facts) {
    public StripDown {
        items = List.copyOf(items);
        works = List.copyOf(works);
        extras = List.copyOf(extras);
    }

    public Optional<DashItem> item(ItemId id) {
        return items.stream().filter(i -> i.id().equals(id)).findFirst();
    }

    public Optional<ItemConnector> connector(ConnectorOf id) {
        return items.stream()
                .flatMap(i -> i.connectors().stream())
                .filter(c -> c.id().equals(id))
                .findFirst();
    }

    public Optional<FastenerGroup> group(GroupOf id) {
        return item(id.item()).flatMap(i -> i.fasteners().stream()
                .filter(g -> g.id().equals(id.name()))
                .findFirst());
    }

    /** How many fasteners, or clips, a group has; empty where the sheet has no such group. */
    public Optional<Count> count(GroupOf id) {
        return id.name().equals(GroupOf.CLIPS)
                ? item(id.item()).flatMap(DashItem::clips).map(c -> new Count(c.count(), c.count()))
                : group(id).map(FastenerGroup::count);
    }

    public StripDown withItems(List<DashItem> others) {
        return new StripDown(others, works, extras, facts);
    }
}
