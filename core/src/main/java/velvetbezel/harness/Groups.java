package velvetbezel.harness;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.sheet.Flow;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Location;

/**
 * The leads of one role, grouped by where they lie; a cable ties groups together. Of several givers that are tied
 * together one stays; a group joins where something gives and something takes; a cable wire that leads nowhere is taken
 * out at both ends.
 */
final class Groups {
    /** A joint to be: some ends at one place. */
    private static final class Group {
        final Location at;
        /** 1, or 2 for the output side of a part that both takes and gives this role. */
        final int n;

        final List<End> ends = new ArrayList<>();

        Group(Location at, int n) {
            this.at = at;
            this.n = n;
        }

        boolean joins() {
            return complete(ends);
        }
    }

    private final LeadRole role;
    private final List<Group> groups = new ArrayList<>();
    private final Map<TerminalId, Group> of = new HashMap<>();
    private final Map<TerminalId, CapReason> out = new LinkedHashMap<>();
    private final List<End> alone = new ArrayList<>();
    /** Ends that gave way, by what they gave way to. */
    private final Map<End, TerminalId> gaveWay = new LinkedHashMap<>();

    /**
     * @param ends of one role, in their order
     */
    Groups(LeadRole role, List<End> ends) {
        this.role = role;
        Map<Location, List<End>> here = new TreeMap<>();
        wanted(ends).forEach(e -> here.computeIfAbsent(e.at(), k -> new ArrayList<>())
                .add(e));
        bringToDash(here);
        here.forEach(this::split);
        groups.forEach(g -> g.ends.forEach(e -> of.put(e.id(), g)));
        for (List<Group> chain : chains()) {
            keepOneGiver(chain);
            orient(chain);
        }
        takeOutDeadEnds();
        withdrawEmptyVictories();
    }

    /** Joints to be made, in working order. */
    Map<JointId, List<TerminalId>> joints() {
        Map<JointId, List<TerminalId>> joints = new TreeMap<>();
        Map<Location, Integer> made = new HashMap<>();
        for (Group g : groups)
            if (g.joins()) {
                int n = made.merge(g.at, 1, Integer::sum);
                joints.put(
                        new JointId(role, g.at, n),
                        g.ends.stream().sorted(End.ORDER).map(End::id).toList());
            }
        return joints;
    }

    /** Ends that are out for a reason that this role's leads tell. */
    Map<TerminalId, CapReason> out() {
        return out;
    }

    /** Ends that found no partner. */
    List<End> left() {
        return Stream.concat(groups.stream().filter(g -> !g.joins()).flatMap(g -> g.ends.stream()), alone.stream())
                .toList();
    }

    /**
     * Two ends at least, one that does not only take and one that does not only give. Wires of the car alone are no joint,
     * unless one of them serves in place of what the other lacks.
     */
    private static boolean complete(Collection<End> ends) {
        return ends.size() > 1
                && ends.stream().anyMatch(e -> !e.takes())
                && ends.stream().anyMatch(e -> !e.gives())
                && (ends.stream().anyMatch(e -> e.owner() != Instance.Owner.CAR)
                        || ends.stream().map(End::own).distinct().count() > 1);
    }

    // --- where

    /**
     * An optional access point is left alone unless something here lacks what it gives; its ground serves its own place
     * only.
     */
    private List<End> wanted(List<End> ends) {
        List<End> wanted =
                new ArrayList<>(ends.stream().filter(e -> !e.optional()).toList());
        boolean given = wanted.stream().anyMatch(End::source);
        boolean asked = wanted.stream().anyMatch(e -> !e.gives() && e.owner() != Instance.Owner.CAR);
        List<End> optional =
                ends.stream().filter(End::optional).sorted(End.ORDER).toList();
        for (End e : optional) {
            boolean served = role == LeadRole.GROUND
                    ? wanted.stream().anyMatch(w -> w.at().equals(e.at()) && w.owner() != Instance.Owner.CAR)
                    : !given && asked && !e.takes();
            if (served) wanted.add(e);
            given |= served && e.source();
        }
        return wanted;
    }

    /** What is not complete where it lies is brought to the dash: a lead is run. A cable's ends stay where they are. */
    private void bringToDash(Map<Location, List<End>> here) {
        List<End> dash = here.computeIfAbsent(Location.DASH, k -> new ArrayList<>());
        here.forEach((at, ends) -> {
            boolean stays = at.dash()
                    || complete(ends)
                    || ends.stream().anyMatch(e -> e.cable().isPresent());
            if (stays) return;
            dash.addAll(ends);
            ends.clear();
        });
    }

    /** A part that both takes and gives this role has an input side and an output side: a contact never feeds its own coil. */
    private void split(Location at, List<End> ends) {
        if (ends.isEmpty()) return;
        List<End> ofParts =
                ends.stream().filter(e -> e.owner() == Instance.Owner.PART).toList();
        Set<String> through = ofParts.stream()
                .filter(End::takes)
                .map(e -> e.id().instance())
                .filter(i -> ofParts.stream()
                        .anyMatch(e -> e.gives() && e.id().instance().equals(i)))
                .collect(Collectors.toSet());
        Group in = new Group(at, 1);
        Group out = new Group(at, 2);
        for (End e : ends) {
            boolean part = e.owner() == Instance.Owner.PART && through.contains(e.id().instance());
            boolean input = through.isEmpty() || part == e.takes();
            (input ? in : out).ends.add(e);
        }
        groups.add(in);
        if (!out.ends.isEmpty()) groups.add(out);
    }

    // --- who

    /** Groups that cables tie together. */
    private List<List<Group>> chains() {
        List<List<Group>> chains = new ArrayList<>();
        Set<Group> seen = new HashSet<>();
        for (Group first : groups) {
            if (!seen.add(first)) continue;
            List<Group> chain = new ArrayList<>(List.of(first));
            for (int i = 0; i < chain.size(); i++)
                for (End e : chain.get(i).ends) across(e).filter(seen::add).ifPresent(chain::add);
            chains.add(chain);
        }
        return chains;
    }

    private Optional<Group> across(End e) {
        return e.cable().map(of::get);
    }

    /** The highest giver stays; those that a person put here stay as well, so that the harm is seen and named. */
    private void keepOneGiver(List<Group> chain) {
        List<End> all = chain.stream().flatMap(g -> g.ends.stream()).toList();
        boolean parking = role == LeadRole.PARKING_BRAKE;
        List<End> givers = all.stream()
                .filter(e -> e.cable().isEmpty() && !e.moved() && (parking ? e.source() : e.gives()))
                .sorted(End.BEST_GIVER)
                .toList();
        if (!givers.isEmpty())
            for (End loser : givers.subList(1, givers.size()))
                if (loser.gives() || givers.get(0).gives()) giveWay(loser, givers.get(0));
        readByParts(all);
    }

    private void giveWay(End loser, End winner) {
        takeOut(loser, new CapReason.DrivenBy(winner.id(), false));
        gaveWay.put(loser, winner.id());
    }

    /** Where nothing takes it, the winner is capped as well, and nobody gives instead of anybody. */
    private void withdrawEmptyVictories() {
        gaveWay.forEach((loser, winner) -> {
            if (of.containsKey(winner) && of.get(winner).joins()) return;
            out.remove(loser.id());
            alone.add(loser);
        });
    }

    /** A part that reads the steering controls outranks the radio's own input. */
    private void readByParts(List<End> all) {
        boolean steering =
                role == LeadRole.STEERING_1 || role == LeadRole.STEERING_2 || role == LeadRole.STEERING_GROUND;
        if (!steering) return;
        Optional<End> reader = all.stream()
                .filter(e -> e.owner() == Instance.Owner.PART && e.cable().isEmpty())
                .findFirst();
        reader.ifPresent(r -> all.stream()
                .filter(e -> e.owner() == Instance.Owner.RADIO && !e.moved())
                .forEach(e -> {
                    takeOut(e, new CapReason.InterfaceReads(r.id().instance()));
                    gaveWay.put(e, r.id());
                }));
    }

    private void takeOut(End e, CapReason why) {
        Group g = of.remove(e.id());
        if (g == null) return;
        g.ends.remove(e);
        out.put(e.id(), why);
    }

    /** A cable's end has the flow of what its other end meets, seen from the giver outwards. */
    private void orient(List<Group> chain) {
        Optional<Group> source = chain.stream()
                .filter(g -> g.ends.stream().anyMatch(e -> e.cable().isEmpty() && e.gives()))
                .findFirst();
        if (source.isEmpty()) return;
        Set<Group> seen = new HashSet<>(Set.of(source.get()));
        List<Group> queue = new ArrayList<>(seen);
        for (int i = 0; i < queue.size(); i++)
            for (End near : List.copyOf(queue.get(i).ends)) {
                Optional<Group> far = across(near).filter(seen::add);
                if (far.isEmpty()) continue;
                queue.add(far.get());
                flow(queue.get(i), near.id(), Flow.TAKES);
                flow(far.get(), near.cable().orElseThrow(), Flow.GIVES);
            }
    }

    private static void flow(Group g, TerminalId id, Flow flow) {
        g.ends.replaceAll(e -> e.id().equals(id) ? e.flowing(flow) : e);
    }

    /** Each round takes a cable wire out, so it ends. */
    private void takeOutDeadEnds() {
        boolean found = true;
        while (found) {
            found = false;
            for (Group g : groups)
                if (!g.joins())
                    for (End e : List.copyOf(g.ends))
                        if (e.cable().isPresent()) {
                            deadEnd(e);
                            found = true;
                        }
        }
    }

    private void deadEnd(End e) {
        Optional<Group> far = across(e);
        takeOut(e, new CapReason.DeadEnd(far.map(g -> g.at).orElse(e.at())));
        far.ifPresent(g -> g.ends.stream()
                .filter(o -> o.id().equals(e.cable().orElseThrow()))
                .findFirst()
                .ifPresent(o -> takeOut(o, new CapReason.DeadEnd(e.at()))));
    }
}
