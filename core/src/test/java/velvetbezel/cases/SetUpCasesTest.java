package velvetbezel.cases;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetbezel.Demo;
import velvetbezel.controls.Decision;
import velvetbezel.controls.SetUpPlan;
import velvetbezel.controls.SetUpSearch;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Recipe;
import velvetbezel.harness.SettingId;
import velvetbezel.sheet.HowSet;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;

/** The settings of the ten jobs as derived on paper, found from the rules alone. */
class SetUpCasesTest {
    private static SetUpPlan plan(CaseFile job, Map<SettingId, String> persons) {
        Recipe recipe = job.recipe(job.kit()).setting(persons);
        Installation built = Builder.build(recipe);
        Installation factory = Builder.factory(job.vehicle());
        return SetUpSearch.of(
                built,
                job.catalogue(),
                new Outcomes.Against(factory, job.catalogue()),
                new SetUpSearch.Asked(
                        Set.of(), Set.of(), Outcomes.fulfilled(factory, job.catalogue()), persons, Map.of()));
    }

    @ParameterizedTest
    @ValueSource(strings = {"N1", "N2", "N3", "N4", "N5", "N6", "N7", "N8", "N9", "N10"})
    void everySettingComesOutAsOnPaper(String id) {
        CaseFile job = CaseFile.of(id, 0);
        SetUpPlan plan = plan(job, Map.of());
        Map<SettingId, String> found = new TreeMap<>(plan.values());
        found.keySet().retainAll(job.settings().keySet());
        assertEquals(
                new TreeMap<>(job.settings()), found, () -> plan.decisions().toString());
        assertEquals(SetUpPlan.Proof.PROVEN, plan.proof());
    }

    /** What is set otherwise than delivered has something that is lost without it. */
    @ParameterizedTest
    @ValueSource(strings = {"N2", "N3", "N4", "N8", "N10"})
    void everythingSetServesSomething(String id) {
        SetUpPlan plan = plan(CaseFile.of(id, 0), Map.of());
        plan.decisions().stream()
                .filter(d -> !d.asDelivered())
                .forEach(d -> assertTrue(!d.lostWhileUnset().isEmpty(), d.toString()));
    }

    /** A selector in an interface and a module's file are read when power comes. */
    @ParameterizedTest
    @CsvSource({"N2, w1, selector, 4", "N8, th9, vehicle, Tavenor 2017", "N3, bx5, selector, Fennimar"})
    void interfacesAreSetBeforePower(String id, String device, String setting, String value) {
        Decision d = plan(CaseFile.of(id, 0), Map.of())
                .of(new SettingId(device, setting))
                .orElseThrow();
        assertEquals(HowSet.Moment.BEFORE_POWER, d.when());
        assertEquals(new Decision.Wanted.Value(value), d.wanted());
    }

    /** The amplified car set up as a plain one: what it loses is named, and who said so. */
    @ParameterizedTest
    @CsvSource({"N8, th9, amplifier, off"})
    void amplifierOffOnAnAmplifiedCarLosesItsSound(String id, String device, String setting, String value) {
        SettingId amplifier = new SettingId(device, setting);
        SetUpPlan plan = plan(CaseFile.of(id, 0), Map.of(amplifier, value));
        assertEquals(
                new Decision.Ground.FromPerson(),
                plan.of(amplifier).orElseThrow().ground());
        SetUpPlan right = plan(CaseFile.of(id, 0), Map.of());
        assertTrue(!right.of(amplifier).orElseThrow().lostWhileUnset().isEmpty());
    }

    /** A rule that asks for a setting by a named condition asks for it all the same. */
    @Test
    void settingAskedForByAConditionIsDecidedToo() {
        String named = Demo.text("ashdyke-plover-module")
                .replace("{\"setting\": \"vehicle\", \"is\": \"Plover\"}", "{\"met\": \"set up\"}")
                .replaceFirst(
                        "\"rules\": ",
                        "\"conditions\": {\"set up\": {\"setting\": \"vehicle\", \"is\": \"Plover\"}}, \"rules\": ");
        Sheet.Vehicle car = Demo.vehicle("meridale-plover-2019-amplified");
        Installation factory = Builder.factory(car);
        SetUpPlan plan = SetUpSearch.of(
                Builder.replacement(
                        car, Demo.radio("ondel-47"), List.of((Sheet.Part) SheetReader.read(Demo.parse(named)))),
                Demo.CATALOGUE,
                new Outcomes.Against(factory, Demo.CATALOGUE),
                new SetUpSearch.Asked(
                        Set.of(), Set.of(), Outcomes.fulfilled(factory, Demo.CATALOGUE), Map.of(), Map.of()));
        assertEquals(
                new Decision.Wanted.Value("Plover"),
                plan.of(new SettingId("ashdyke-plover-module", "vehicle"))
                        .orElseThrow()
                        .wanted());
    }
}
