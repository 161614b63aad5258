package velvetbezel.harness;

import java.util.List;
import velvetbezel.sheet.LeadRole;

/** Bare leads joined in one place; one leg alone can open. */
public record Joint(JointId id, List<TerminalId> leads) {
    public Joint {
        leads = List.copyOf(leads);
    }

    public LeadRole role() {
        return id.role();
    }
}
