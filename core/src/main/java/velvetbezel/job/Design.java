package velvetbezel.job;

import java.util.List;
import java.util.Map;
import velvetbezel.function.Catalogue;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Misfed;
import velvetbezel.prove.TestPlan;
import velvetbezel.sheet.InputProblem;
import velvetbezel.worksheet.JointChoices;
import velvetbezel.worksheet.Load;
import velvetbezel.worksheet.Loads;
import velvetbezel.worksheet.Tables;
import velvetbezel.worksheet.Worksheet;

/** A chosen kit in its car, with everything that is computed from it. */
public record Design(
        Installation installation,
        Map<FunctionId, Outcome> outcomes,
        Worksheet worksheet,
        TestPlan plan,
        List<Load> loads,
        List<InputProblem> misfed) {
    /** @param ways of which only the extensions matter here */
    public static Design of(
            Installation factory, Installation built, Catalogue catalogue, Tables tables, JointChoices ways) {
        Installation installation = ways.applied(built);
        Map<FunctionId, Outcome> outcomes = Outcomes.compare(factory, installation, catalogue);
        Worksheet worksheet = Worksheet.of(installation);
        return new Design(
                installation,
                outcomes,
                worksheet,
                TestPlan.of(installation, catalogue, outcomes),
                Loads.of(installation, worksheet, tables),
                Misfed.in(installation));
    }

    /** Loads that are more than what bears them. */
    public List<Load> overloads() {
        return loads.stream().filter(l -> l.verdict().wrong()).toList();
    }
}
