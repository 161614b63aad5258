package velvetbezel.harness;

import java.util.Comparator;
import java.util.Optional;
import velvetbezel.sheet.Flow;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Location;

/**
 * A lead end that could go into a joint.
 *
 * @param role     what it is joined as: the car's role where it leads to a wire of the car, else its own
 * @param own      the same before another output served in place of what it wants
 * @param flow     which way it works, seen from its own side; of a cable's end, what its other end meets decides
 * @param owner    whose side it is on: the car's where it leads to a wire of the car
 * @param rank     which of several givers stays
 * @param at       where it lies
 * @param carWire  a wire of the car itself, cut or tapped, in the hand
 * @param tap      that wire stays whole
 * @param optional at an access point where nobody goes unless something wants what it has
 * @param guessed  its role is only guessed
 * @param moved    a person put it here
 * @param cable    the other end of the same wire of a cable
 */
record End(
        TerminalId id,
        LeadRole role,
        LeadRole own,
        Flow flow,
        Instance.Owner owner,
        Rank rank,
        Location at,
        boolean carWire,
        boolean tap,
        boolean optional,
        boolean guessed,
        boolean moved,
        Optional<TerminalId> cable) {
    /** Who gives where several could, the first before the others. */
    enum Rank {
        CAR,
        ADDED_AMPLIFIER,
        PART,
        RADIO,
        ACCESS_POINT
    }

    /** In every list the same, whatever the order of parts: by instance and lead. */
    static final Comparator<End> ORDER = Comparator.comparing(End::id);

    static final Comparator<End> BEST_GIVER = Comparator.comparing(End::rank).thenComparing(ORDER);

    End as(LeadRole other) {
        return new End(id, other, own, flow, owner, rank, at, carWire, tap, optional, guessed, moved, cable);
    }

    End flowing(Flow other) {
        return new End(id, role, own, other, owner, rank, at, carWire, tap, optional, guessed, moved, cable);
    }

    End movedTo(LeadRole other) {
        return new End(id, other, other, flow, owner, rank, Location.DASH, carWire, tap, false, guessed, true, cable);
    }

    boolean gives() {
        return flow == Flow.GIVES;
    }

    boolean takes() {
        return flow == Flow.TAKES;
    }

    /** Gives, or is the car's own switch wire of a role that all share. */
    boolean source() {
        return gives() || role == LeadRole.PARKING_BRAKE && owner == Instance.Owner.CAR;
    }
}
