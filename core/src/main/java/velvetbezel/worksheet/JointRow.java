package velvetbezel.worksheet;

import java.util.List;
import java.util.Optional;
import velvetbezel.harness.Instance;
import velvetbezel.harness.JointId;
import velvetbezel.run.ExpectedReading;
import velvetbezel.sheet.LeadRole;

/** One joint of the worksheet. @param readings what to measure before trusting the joint, for an exception of power */
public record JointRow(
        int number,
        JointId id,
        LeadRole role,
        List<LeadEnd> leads,
        List<Deviation> deviations,
        List<Reading> readings,
        List<ExpectedReading> expected) {
    public JointRow {
        leads = List.copyOf(leads);
        deviations = List.copyOf(deviations);
        readings = List.copyOf(readings);
        expected = List.copyOf(expected);
    }

    /** Whether going by colour alone would go wrong here. */
    public boolean misleads() {
        return deviations.stream().anyMatch(d -> d.kind().misleads());
    }

    public boolean has(Deviation.Kind kind) {
        return deviations.stream().anyMatch(d -> d.kind() == kind);
    }

    public boolean exception() {
        return !deviations.isEmpty();
    }

    public Optional<LeadEnd> of(Instance.Owner owner) {
        return leads.stream().filter(l -> l.owner() == owner).findFirst();
    }
}
