package velvetbezel.web.job;

import java.util.Map;
import velvetbezel.function.Catalogue;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Installation;
import velvetbezel.prove.TestPlan;
import velvetbezel.worksheet.Worksheet;

/** A chosen kit in its car, with everything that is computed from it. */
record Design(Installation installation, Map<FunctionId, Outcome> outcomes, Worksheet worksheet, TestPlan plan) {
    static Design of(Installation factory, Installation installation, Catalogue catalogue) {
        Map<FunctionId, Outcome> outcomes = Outcomes.compare(factory, installation, catalogue);
        return new Design(installation, outcomes, Worksheet.of(installation), TestPlan.of(installation, catalogue, outcomes));
    }
}
