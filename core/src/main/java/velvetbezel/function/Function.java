package velvetbezel.function;

import java.util.List;
import velvetbezel.sheet.Step;

/**
 * A function as data: what is done to the car, and what must then be true.
 *
 * @param ask      how a person tries it
 * @param expected what a person then sees or hears
 * @param wish     whether customers are asked about it at arrival
 */
public record Function(
        FunctionId id, String name, String group, String ask, String expected, boolean wish, List<Scene> scenario) {
    public Function {
        scenario = List.copyOf(scenario);
    }

    /** One step of the scenario. */
    public record Scene(Step set, List<Expect> expects) {
        public Scene {
            expects = List.copyOf(expects);
        }
    }
}
