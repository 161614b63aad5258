package velvetbezel.worksheet;

import velvetbezel.harness.CapReason;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Labels;
import velvetbezel.harness.PositionId;
import velvetbezel.sheet.LeadRole;

/** Why a lead is capped, in a sentence that says no more than its reason. */
final class CapWords {
    private final Labels labels;

    CapWords(Installation installation) {
        this.labels = new Labels(installation);
    }

    String of(CapReason reason) {
        if (reason instanceof CapReason.ByHand) return "You chose to leave it unused.";
        if (reason instanceof CapReason.Spare) return "Spare on purpose: left long, where a hand reaches it.";
        if (reason instanceof CapReason.Unused) return "Its paper says that it is not used here.";
        if (reason instanceof CapReason.RoleUnknown) return "Nobody knows what it is for: measure it, never feed it.";
        if (reason instanceof CapReason.TwoClaim r)
            return "Two wires claim %s: open until they are told apart."
                    .formatted(r.role().label());
        if (reason instanceof CapReason.GuessedFeed r)
            return "Only guessed to be %s: measure it before it is joined."
                    .formatted(r.role().label());
        if (reason instanceof CapReason.FoundUnfused) return "Found without a fuse: take it off at its source first.";
        return missing(reason);
    }

    private String missing(CapReason reason) {
        if (reason instanceof CapReason.NoWire r) return "This car has no wire at %s.".formatted(r.place());
        if (reason instanceof CapReason.PlugAlone) return "Its plug has no partner in this car.";
        if (reason instanceof CapReason.DrivenBy r)
            return (r.byData() ? "%s tells it through the data port instead." : "%s gives it instead.")
                    .formatted(device(r.giver().instance()));
        if (reason instanceof CapReason.InterfaceReads r)
            return "%s reads the buttons instead.".formatted(labels.device(r.instance()));
        if (reason instanceof CapReason.Bypassed r)
            return "The %s is bypassed: nothing may switch it on.".formatted(r.amplifier());
        if (reason instanceof CapReason.DeadEnd r) return "Leads nowhere at its other end (%s).".formatted(r.other());
        if (reason instanceof CapReason.NotBroughtOut r)
            return "The car has %s at %s, and no part of this kit brings it out."
                    .formatted(r.role().label(), position(r.position()));
        if (reason instanceof CapReason.RadioHasNone r)
            return "The radio has no lead for %s.".formatted(r.role().label());
        if (reason instanceof CapReason.AmplifierDrives)
            return "The factory amplifier drives the speakers; this pair stays unused.";
        if (reason instanceof CapReason.CarHasNone r) return "This car has no %s.".formatted(wire(r.role()));
        CapReason.NothingSwitched r = (CapReason.NothingSwitched) reason;
        return r.passive()
                ? "Nothing is switched by it: this antenna is passive and needs no feed."
                : "Nothing is switched by it.";
    }

    private static String wire(LeadRole role) {
        return role.group() == LeadRole.Group.SPEAKER ? role.label() + " speaker lead" : role.label() + " wire";
    }

    private String device(String instance) {
        return instance.equals(velvetbezel.harness.Builder.CAR) ? "The car's own wire" : labels.device(instance);
    }

    private static String position(PositionId p) {
        return p.plug().plug().length() == 1
                ? p.plug().plug() + p.number()
                : p.plug().plug() + " " + p.number();
    }
}
