package velvetbezel.job;

import java.util.Optional;
import velvetbezel.function.Outcome;
import velvetbezel.harness.JointId;
import velvetbezel.harness.TerminalId;
import velvetbezel.prove.Check;
import velvetbezel.worksheet.JointRow;
import velvetbezel.worksheet.Reading;
import velvetbezel.worksheet.Rework;

/**
 * What of a design a tick, reading or result speaks of, in words: the joint with its leads, the check with its way. A
 * page that showed other words showed another kit, and what was ticked on it was not done to this one.
 */
public final class Against {
    private Against() {}

    /** Whether an entry speaks of something that only a design has. */
    public static boolean speaksOf(Entry<?> entry) {
        return joint(entry).isPresent()
                || entry instanceof Entry.CapMade
                || entry instanceof Entry.ReadingTaken
                || entry instanceof Entry.ResultGiven
                || entry instanceof Entry.ResultNoted;
    }

    private static Optional<JointId> joint(Entry<?> entry) {
        if (entry instanceof Entry.JointMade e) return Optional.of(e.joint());
        if (entry instanceof Entry.ReadBack e) return Optional.of(e.joint());
        if (entry instanceof Entry.JointNoted e) return Optional.of(e.joint());
        if (entry instanceof Entry.JointKindChosen e) return Optional.of(e.joint());
        return entry instanceof Entry.JointExtended e ? Optional.of(e.joint()) : Optional.empty();
    }

    /** Empty where the design has no such thing. */
    public static Optional<String> words(Entry<?> entry, Design design) {
        Optional<JointId> joint = joint(entry);
        if (joint.isPresent()) return row(design, joint.get()).map(Rework::words);
        if (entry instanceof Entry.CapMade e) return cap(design, e.lead());
        if (entry instanceof Entry.ReadingTaken e) return reading(design, e);
        if (entry instanceof Entry.ResultGiven e) return check(design, e);
        return entry instanceof Entry.ResultNoted e ? check(design, e) : Optional.empty();
    }

    private static Optional<JointRow> row(Design design, JointId id) {
        return design.worksheet().joints().stream()
                .filter(j -> j.id().equals(id))
                .findFirst();
    }

    private static Optional<String> cap(Design design, TerminalId lead) {
        return design.worksheet().caps().stream()
                .filter(c -> c.lead().id().equals(lead))
                .findFirst()
                .map(c -> "%s of %s".formatted(c.lead().colourWords(), c.lead().deviceWords()));
    }

    private static Optional<String> reading(Design design, Entry.ReadingTaken entry) {
        for (JointRow j : design.worksheet().joints())
            for (Reading r : j.readings())
                if (r.at().equals(entry.at()) && r.state().equals(entry.state()))
                    return Optional.of(
                            "%s; %.1f V".formatted(Rework.words(j), r.expected().value()));
        return Optional.empty();
    }

    /** The way is told by a short sum of it: two kits may do the same for a function by other leads. */
    private static Optional<String> check(Design design, Entry.OfFunction entry) {
        Optional<Check> check = design.plan().checks().stream()
                .filter(c -> c.function().id().equals(entry.function()))
                .findFirst();
        return check.map(c -> "%s (way %s)".formatted(c.expected(), way(c.outcome())));
    }

    private static String way(Outcome outcome) {
        return Integer.toHexString(outcome.path().toString().hashCode());
    }
}
