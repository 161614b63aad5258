package velvetbezel.function;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.ScenarioStep;
import velvetbezel.state.VehicleState;

/**
 * A function as data: what is done to the car, and what must then be true.
 *
 * @param ask      how a person tries it
 * @param expected what a person then sees or hears
 * @param wish     whether customers are asked about it at arrival
 * @param must     it must stay, unless the customer says that it may go
 * @param phase    when it is tried
 * @param feeds    the switched supply whose working this is: served by another, it is kept but changed
 */
public record CarFunction(
        FunctionId id,
        String name,
        String group,
        String ask,
        String expected,
        boolean wish,
        boolean must,
        Optional<LeadRole> feeds,
        CheckPhase phase,
        List<Scene> scenario) {
    public CarFunction {
        scenario = List.copyOf(scenario);
    }

    /** One step of the scenario. */
    public record Scene(ScenarioStep set, List<Expect> expects) {
        public Scene {
            expects = List.copyOf(expects);
        }
    }

    /** How the car stands at each step of the scenario, from a parked car on. */
    public List<VehicleState> states() {
        List<VehicleState> states = new ArrayList<>();
        VehicleState state = VehicleState.AT_REST;
        for (Scene scene : scenario) {
            state = scene.set().from(state);
            states.add(state);
        }
        return states;
    }

    boolean pressesButtons() {
        return firstPress().isPresent();
    }

    /** What its first press presses, the word for a long one among it; empty where it presses nothing. */
    public Set<String> pressed() {
        return firstPress().flatMap(s -> s.set().buttons()).orElse(Set.of());
    }

    /** What is to be shown while its first press lasts. */
    public List<String> shownWhilePressed() {
        return firstPress().stream()
                .flatMap(s -> s.expects().stream())
                .filter(Expect.Shows.class::isInstance)
                .map(e -> ((Expect.Shows) e).what())
                .toList();
    }

    private Optional<Scene> firstPress() {
        return scenario.stream()
                .filter(s -> s.set().buttons().filter(b -> !b.isEmpty()).isPresent())
                .findFirst();
    }

    /**
     * A function that expects one thing alone at one step of the same scenario.
     *
     * @param number tells it from other pieces of this function
     */
    public CarFunction piece(int step, Expect only, int number) {
        List<Scene> scenes = new ArrayList<>();
        for (int i = 0; i < scenario.size(); i++)
            scenes.add(new Scene(scenario.get(i).set(), i == step ? List.of(only) : List.of()));
        FunctionId name = new FunctionId(id.text() + ", " + number);
        return new CarFunction(name, this.name, group, ask, expected, wish, must, feeds, phase, scenes);
    }

    CarFunction with(List<Scene> scenes) {
        return new CarFunction(id, name, group, ask, expected, wish, must, feeds, phase, scenes);
    }
}
