package velvetbezel.function;

import java.util.List;
import java.util.Optional;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Step;

/**
 * A function as data: what is done to the car, and what must then be true.
 *
 * @param ask      how a person tries it
 * @param expected what a person then sees or hears
 * @param wish     whether customers are asked about it at arrival
 * @param must     it must stay, unless the customer says that it may go
 * @param feeds    the switched supply whose working this is: served by another, it is kept but changed
 */
public record Function(
        FunctionId id,
        String name,
        String group,
        String ask,
        String expected,
        boolean wish,
        boolean must,
        Optional<LeadRole> feeds,
        List<Scene> scenario) {
    public Function {
        scenario = List.copyOf(scenario);
    }

    /** One step of the scenario. */
    public record Scene(Step set, List<Expect> expects) {
        public Scene {
            expects = List.copyOf(expects);
        }
    }

    Function with(List<Scene> scenes) {
        return new Function(id, name, group, ask, expected, wish, must, feeds, scenes);
    }
}
