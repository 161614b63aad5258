package velvetbezel.worksheet;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import velvetbezel.harness.ConductorId;
import velvetbezel.harness.Edit;
import velvetbezel.harness.Installation;
import velvetbezel.harness.JointId;
import velvetbezel.harness.TerminalId;
import velvetbezel.units.Ohms;

/**
 * How a person wants the joints of a job made.
 *
 * @param school for the whole job; empty for the workshop's own
 * @param kinds  for one joint, where it is to be made otherwise
 * @param folded leads whose bared end is folded back, so that they count twice
 * @param extended joints with a piece of lead put in between
 */
public record JointChoices(
        Optional<JointKind> school,
        Map<JointId, JointKind> kinds,
        Set<TerminalId> folded,
        Map<JointId, Extension> extended) {
    /** Of the further joint that an extension brings, in ohms (common practice, no source). */
    private static final double GOOD_JOINT = 0.01;

    public static final JointChoices USUAL = new JointChoices(Optional.empty(), Map.of(), Set.of(), Map.of());

    public JointChoices {
        kinds = Map.copyOf(kinds);
        folded = Set.copyOf(folded);
        extended = Map.copyOf(extended);
    }

    static JointChoices in(JointKind school) {
        return new JointChoices(Optional.of(school), Map.of(), Set.of(), Map.of());
    }

    /** The installation with the resistance of the extensions in their joints, at the first lead. */
    public Installation applied(Installation installation) {
        Installation extended = installation;
        for (Map.Entry<JointId, Extension> e : this.extended.entrySet()) {
            Optional<ConductorId> leg = installation
                    .joint(e.getKey())
                    .map(j -> ConductorId.leg(j.id(), j.leads().get(0)));
            if (leg.isPresent())
                extended = extended.with(new Edit.SetOhms(
                        leg.get(), new Ohms(GOOD_JOINT + e.getValue().ohms().value())));
        }
        return extended;
    }

    /** The kind that is asked for; whether it may be used there is another question. */
    JointKind of(JointId joint, Tables tables) {
        return Optional.ofNullable(kinds.get(joint)).or(() -> school).orElse(tables.school());
    }
}
