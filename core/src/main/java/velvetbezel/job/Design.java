package velvetbezel.job;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import velvetbezel.controls.KeyInput;
import velvetbezel.controls.SetUpPlan;
import velvetbezel.function.Catalogue;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.function.Outcome;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Misfed;
import velvetbezel.prove.TestPlan;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.InputProblem;
import velvetbezel.worksheet.JointChoices;
import velvetbezel.worksheet.Load;
import velvetbezel.worksheet.Loads;
import velvetbezel.worksheet.Tables;
import velvetbezel.worksheet.Worksheet;

/**
 * A chosen kit in its car, with everything that is computed from it.
 *
 * @param setUp what its settings are to be
 * @param keys  its inputs for steering-wheel keys, as the sheets say
 */
public record Design(
        Installation installation,
        SetUpPlan setUp,
        List<KeyInput> keys,
        Map<FunctionId, Outcome> outcomes,
        Worksheet worksheet,
        TestPlan plan,
        List<Load> loads,
        List<InputProblem> misfed) {
    /** With nothing to set up. @param ways of which only the extensions matter here */
    public static Design of(
            Installation factory, Installation built, Catalogue catalogue, Tables tables, JointChoices ways) {
        return of(
                new Outcomes.Against(factory, catalogue), built, SetUpPlan.NOTHING, List.of(), catalogue, tables, ways);
    }

    /**
     * @param built with what is set up, and with what was found of this car's wheel
     * @param ways  of which only the extensions matter here
     */
    public static Design of(
            Outcomes.Against factory,
            Installation built,
            SetUpPlan setUp,
            List<KeyInput> keys,
            Catalogue catalogue,
            Tables tables,
            JointChoices ways) {
        Installation installation = ways.applied(built);
        Map<FunctionId, Outcome> outcomes = new LinkedHashMap<>(factory.outcomes(installation));
        List<FieldRef> looks = setUp.looks().stream()
                .map(t -> new FieldRef(installation.recipe().vehicle().id(), t.label()))
                .toList();
        setUp.openFunctions().forEach(f -> outcomes.put(f, new Outcome.Unknown(looks)));
        Worksheet worksheet = Worksheet.of(installation);
        return new Design(
                installation,
                setUp,
                List.copyOf(keys),
                outcomes,
                worksheet,
                TestPlan.of(installation, catalogue, outcomes),
                Loads.of(installation, worksheet, tables),
                Misfed.in(installation));
    }

    /** What becomes of each function, in a word. */
    public Map<FunctionId, Kind> kinds() {
        return outcomes.entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, e -> e.getValue().kind()));
    }

    /** Loads that are more than what bears them. */
    public List<Load> overloads() {
        return loads.stream().filter(l -> l.verdict().wrong()).toList();
    }
}
