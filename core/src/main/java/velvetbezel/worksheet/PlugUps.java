package velvetbezel.worksheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.harness.Mating;
import velvetbezel.sheet.Access;
import velvetbezel.sheet.Plug;

/**
 * What is only plugged: plugs pushed together, plugs of the car left without a partner, sockets meant to stay empty.
 *
 * @param alone plugs of the car to be insulated and tied back
 * @param empty sockets of the new parts that nothing goes into
 * @param links in-line links of the car that a part of the kit concerns
 */
public record PlugUps(List<PlugUp> together, List<End> alone, List<End> empty, List<Link> links) {
    private static final Set<Instance.Owner> NEW = Set.of(Instance.Owner.RADIO, Instance.Owner.PART);

    public PlugUps {
        together = List.copyOf(together);
        alone = List.copyOf(alone);
        empty = List.copyOf(empty);
        links = List.copyOf(links);
    }

    /** A plug of a device. */
    public record End(String instance, String device, Plug plug) {}

    /** @param crossed like plugs are there on both sides and go into each other's place: their letters mislead */
    public record PlugUp(End first, End second, boolean crossed) {
        /** Where it is, if not at the radio's place. */
        public Optional<Access> access() {
            return first.plug.access().or(second.plug::access);
        }

        /** Whether a fibre or other insert moves out of its old housing into a new one. */
        public boolean insert() {
            return first.plug.housing().isPresent() || second.plug.housing().isPresent();
        }
    }

    /**
     * A link in a lead of the car: two plugs of its own that are together when it leaves its maker.
     *
     * @param part what goes between its halves, or would
     */
    public record Link(End first, End second, State state, String part) {
        public enum State {
            /** The lead goes on through the part. */
            THROUGH,
            /** The part lies beside it and does nothing to it. */
            CLOSED_BESIDE,
            /** One half at least meets nothing: the lead ends here. */
            OPEN
        }
    }

    public static PlugUps of(Installation installation) {
        List<PlugUp> together = new ArrayList<>();
        for (Mating m : installation.matings()) {
            End first = end(installation, m.instance(), m.plug());
            End second = end(installation, m.otherInstance(), m.otherPlug());
            if (isNew(installation, first) || isNew(installation, second))
                together.add(new PlugUp(first, second, crossed(installation, first, second)));
        }
        List<End> alone = new ArrayList<>();
        List<End> empty = new ArrayList<>();
        for (Instance i : installation.instances())
            for (Plug p : i.device().plugs()) {
                if (installation.matings().stream().anyMatch(m -> m.has(i.id(), p.id()))) continue;
                // an access point nobody uses stays as it was
                if (i.id().equals(Builder.CAR) && p.access().isEmpty())
                    alone.add(new End(i.id(), i.device().name(), p));
                if (NEW.contains(i.owner()) && p.socket())
                    empty.add(new End(i.id(), i.device().name(), p));
            }
        return new PlugUps(together, alone, empty, links(installation));
    }

    private static List<Link> links(Installation installation) {
        List<End> halves = installation.instances().stream()
                .filter(i -> i.owner() == Instance.Owner.CAR && !i.id().equals(Builder.CAR))
                .flatMap(i -> i.device().plugs().stream()
                        .map(p -> new End(i.id(), i.device().name(), p)))
                .toList();
        List<Link> links = new ArrayList<>();
        for (End a : halves)
            for (End b : halves)
                if (!a.plug.socket() && a.plug.mates(b.plug))
                    link(installation, a, b).ifPresent(links::add);
        return links;
    }

    /** Empty where no part of the kit has a plug for it. */
    private static Optional<Link> link(Installation installation, End a, End b) {
        return installation.instances().stream()
                .filter(i -> i.owner() == Instance.Owner.PART)
                .filter(i -> i.device().plugs().stream().anyMatch(p -> p.mates(a.plug) || p.mates(b.plug)))
                .findFirst()
                .map(part -> new Link(
                        a,
                        b,
                        state(installation, a, b, part.id()),
                        part.device().name()));
    }

    private static Link.State state(Installation installation, End a, End b, String part) {
        Optional<String> first = partner(installation, a);
        Optional<String> second = partner(installation, b);
        if (first.equals(Optional.of(b.instance))) return Link.State.CLOSED_BESIDE;
        return first.equals(Optional.of(part)) && second.equals(first) ? Link.State.THROUGH : Link.State.OPEN;
    }

    private static Optional<String> partner(Installation installation, End end) {
        return installation.matings().stream()
                .filter(m -> m.has(end.instance, end.plug.id()))
                .map(m -> m.instance().equals(end.instance) && m.plug().equals(end.plug.id())
                        ? m.otherInstance()
                        : m.instance())
                .findFirst();
    }

    private static boolean isNew(Installation installation, End end) {
        return NEW.contains(installation.instance(end.instance).orElseThrow().owner());
    }

    private static End end(Installation installation, String instance, String plug) {
        Instance i = installation.instance(instance).orElseThrow();
        return new End(instance, i.device().name(), i.device().plug(plug).orElseThrow());
    }

    /** Like plugs go into each other's place, or what the two are called agrees nowhere. */
    private static boolean crossed(Installation installation, End a, End b) {
        boolean swapped =
                !a.plug.id().equals(b.plug.id()) && has(installation, b, a.plug) && has(installation, a, b.plug);
        return swapped || a.plug.agreement(b.plug) == 0;
    }

    private static boolean has(Installation installation, End end, Plug like) {
        return installation.instance(end.instance).orElseThrow().device().plugs().stream()
                .anyMatch(p -> p.id().equals(like.id()) && p.family().equals(like.family()));
    }
}
