package velvetbezel.harness;

import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Location;

/** Why a lead is capped and not joined: the first of these that is true of it, with what it names. */
public sealed interface CapReason {
    /** A person chose to leave it unused. */
    record ByHand() implements CapReason {}

    /** Left long on purpose, for later or for another car. */
    record Spare() implements CapReason {}

    /** Its own paper says that it is not used here. */
    record Unused() implements CapReason {}

    /** Nobody knows what it is for: it is measured and never fed. */
    record RoleUnknown() implements CapReason {}

    /** Only a guess, and a known wire has that role: open until the two are told apart. */
    record TwoClaim(LeadRole role, TerminalId known) implements CapReason {}

    /** Guessed to be a feed: never joined before it is measured. */
    record GuessedFeed(LeadRole role) implements CapReason {}

    /** Found to be a feed without a fuse: it is taken off at its source before anything is joined to it. */
    record FoundUnfused() implements CapReason {}

    /** @param place the position of the other half that holds no live wire */
    record NoWire(String place) implements CapReason {}

    /** Its plug has no partner in this car. */
    record PlugAlone(PlugRef plug) implements CapReason {}

    /** @param byData it is told through a data port, not by wire */
    record DrivenBy(TerminalId giver, boolean byData) implements CapReason {}

    /** The part that reads the steering controls instead. */
    record InterfaceReads(String instance) implements CapReason {}

    /** The amplifier that it would switch on is bypassed. */
    record Bypassed(String amplifier) implements CapReason {}

    /** @param other where its other end lies, capped */
    record DeadEnd(Location other) implements CapReason {}

    /** The car has this wire, and no part brings it out. */
    record NotBroughtOut(LeadRole role, PositionId position) implements CapReason {}

    /** The radio has no lead for what it carries. */
    record RadioHasNone(LeadRole role) implements CapReason {}

    /** The factory amplifier drives the speakers. */
    record AmplifierDrives() implements CapReason {}

    record CarHasNone(LeadRole role) implements CapReason {}

    /** @param passive the antenna is known to need no feed */
    record NothingSwitched(LeadRole role, boolean passive) implements CapReason {}
}
