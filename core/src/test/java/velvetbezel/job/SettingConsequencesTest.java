package velvetbezel.job;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.controls.SetUpPlan;
import velvetbezel.controls.SetUpSearch;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.harness.SettingId;
import velvetbezel.worksheet.JointChoices;

/** What another value or a late tick does to a setting that was made. */
class SettingConsequencesTest {
    private static final SettingId VEHICLE = new SettingId("ashdyke-plover-module", "vehicle");
    private static final Entry.SettingMade MADE = new Entry.SettingMade(VEHICLE);
    private static final Entry.SettingRevoked REVOKED = new Entry.SettingRevoked(VEHICLE);
    private static final Installation FACTORY = Builder.factory(Demo.vehicle("meridale-plover-2019-amplified"));
    private static final Map<Map<SettingId, String>, Design> BUILT = new HashMap<>();

    private static Optional<Design> design(Map<SettingId, String> persons) {
        return Optional.of(BUILT.computeIfAbsent(persons, p -> {
            Installation built = Demo.fit(
                            Demo.vehicle("meridale-plover-2019-amplified"), "ondel-47", "ashdyke-plover-module")
                    .withSettings(p);
            Outcomes.Against against = new Outcomes.Against(FACTORY, Demo.CATALOGUE);
            SetUpPlan plan = SetUpSearch.of(
                    built,
                    Demo.CATALOGUE,
                    against,
                    new SetUpSearch.Asked(
                            Set.of(), Set.of(), Outcomes.fulfilled(FACTORY, Demo.CATALOGUE), p, Map.of()));
            return Design.of(
                    against, plan.applied(built), plan, List.of(), Demo.CATALOGUE, Demo.tables(), JointChoices.USUAL);
        }));
    }

    private static JobState with(JobState state, List<Change<?>> changes) {
        return state.with(changes);
    }

    @Test
    void anotherValueTakesTheTickBackAndRemembersWhatWasSet() {
        JobState made = with(JobState.EMPTY, List.of(Change.set(MADE, Entry.Evidence.SET)));
        JobState after = with(made, Consequences.of(made, design(Map.of()), design(Map.of(VEHICLE, "none"))));
        assertTrue(!after.has(MADE));
        assertTrue(after.says(REVOKED, "Plover"));
        JobState again = with(after, Consequences.of(after, design(Map.of(VEHICLE, "none")), design(Map.of())));
        assertTrue(again.has(MADE) && !again.has(REVOKED));
    }

    @Test
    void sameValueAsksNothingTwice() {
        JobState made = with(JobState.EMPTY, List.of(Change.set(MADE, Entry.Evidence.TAPED)));
        assertEquals(List.of(), Consequences.of(made, design(Map.of()), design(Map.of())));
    }

    @Test
    void whatIsReadAtPowerUpAndSetAfterItWantsPowerAnew() {
        JobState powered = with(JobState.EMPTY, List.of(Change.set(new Entry.FirstPower(), Entry.Done.DONE)));
        List<Change<?>> tick = List.of(Change.set(MADE, Entry.Evidence.SET));
        assertEquals(
                List.of(Change.gone(new Entry.FirstPower())), Consequences.ofSetting(powered, design(Map.of()), tick));
        assertEquals(List.of(), Consequences.ofSetting(JobState.EMPTY, design(Map.of()), tick));
    }
}
