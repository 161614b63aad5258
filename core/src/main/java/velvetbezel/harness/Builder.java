package velvetbezel.harness;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.InnerWire;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Position;
import velvetbezel.sheet.Sheet;

/** Builds installations from sheets: the factory one, and the one with the new radio and its kit. */
public final class Builder {
    /** Instance id of the radio, factory or new, so that functions can speak of "the radio". */
    public static final String RADIO = "radio";
    /** Instance id of a screen over a factory radio that stays. */
    public static final String SCREEN = "screen";
    /** Instance id of the vehicle's plugs at the radio's place. */
    public static final String CAR = "car";

    /** Plug id of wires whose plug was cut off: its positions are the ends, in their order. */
    public static final String STUB = "stub";

    private Builder() {}

    /** The vehicle as it left its maker: its devices, its plugs, its radio. */
    public static Installation factory(Sheet.Vehicle vehicle) {
        return build(Recipe.factory(vehicle));
    }

    /** The vehicle with another radio and a kit of parts. */
    public static Installation replacement(Sheet.Vehicle vehicle, Sheet.Radio radio, List<Sheet.Part> parts) {
        return build(Recipe.of(vehicle, radio, parts));
    }

    /** The same with leads that a person joins otherwise than by their roles. */
    public static Installation replacement(
            Sheet.Vehicle vehicle, Sheet.Radio radio, List<Sheet.Part> parts, Moves moves) {
        return build(Recipe.of(vehicle, radio, parts).moving(moves));
    }

    /** What is wrong with a sheet as built on its own: outputs tied together inside it. */
    public static List<InputProblem> faultsOf(Sheet sheet) {
        if (sheet instanceof Sheet.Vehicle vehicle) return factory(vehicle).faults();
        Draft draft = new Draft();
        if (sheet instanceof Sheet.Radio radio)
            draft.add(new Instance(RADIO, sheet.id(), Instance.Owner.RADIO, radio.device()));
        if (sheet instanceof Sheet.Part part)
            part.device().ifPresent(d -> draft.add(new Instance(part.id(), sheet.id(), Instance.Owner.PART, d)));
        return OutputsTied.in(draft, new Components(draft.conductors));
    }

    /** What a recipe makes. */
    public static Installation build(Recipe recipe) {
        Draft draft = new Draft();
        car(draft, recipe.vehicle());
        recipe.parts().forEach((id, part) -> part.device()
                .ifPresent(d -> draft.add(new Instance(
                        id, part.id(), Instance.Owner.PART, Slotted.of(d, recipe.use(id), id), recipe.use(id)))));
        radios(draft, recipe);
        List<Mating> matings = new Matings(draft).make();
        Joining joining = new Joining(draft, recipe, matings);
        // as it left its maker no wire was cut: nothing is joined
        if (recipe.radio().isPresent()) joining.join();
        return new Installation(
                recipe,
                draft.instances,
                draft.terminals,
                draft.conductors,
                joining.joints(),
                matings,
                joining.caps(),
                OutputsTied.in(draft, joining.nets()),
                joining.substitutes(),
                settings(recipe),
                Map.of(),
                Set.of(),
                Set.of(),
                Set.of(),
                List.of());
    }

    private static Map<String, String> settings(Recipe recipe) {
        Map<String, String> settings = new LinkedHashMap<>();
        recipe.settings().forEach((id, value) -> settings.put(id.key(), value));
        return settings;
    }

    /** The factory radio, another in its place, or a screen beside the one that stays. */
    static void radios(Draft draft, Recipe recipe) {
        boolean stays = recipe.radio().filter(Sheet.Radio::screen).isPresent();
        if (stays || recipe.radio().isEmpty())
            draft.add(new Instance(
                    RADIO,
                    recipe.vehicle().id(),
                    stays ? Instance.Owner.CAR : Instance.Owner.RADIO,
                    recipe.vehicle().radio()));
        recipe.radio()
                .ifPresent(
                        r -> draft.add(new Instance(stays ? SCREEN : RADIO, r.id(), Instance.Owner.RADIO, r.device())));
    }

    /** The vehicle without a radio: its devices, its plugs, and the wires between them. */
    static void car(Draft draft, Sheet.Vehicle vehicle) {
        draft.of(vehicle);
        for (Device device : vehicle.devices())
            draft.add(new Instance(device.id(), vehicle.id(), Instance.Owner.CAR, device));
        draft.add(new Instance(CAR, vehicle.id(), Instance.Owner.CAR, vehicle.car()));
        for (Plug plug : vehicle.car().plugs())
            for (Position p : plug.positions())
                if (!p.empty())
                    draft.wire(
                            vehicle.id(),
                            new TerminalId(CAR, plug.id() + "." + p.number()),
                            ofDevice(draft, p.to().orElseThrow()),
                            p.gauge(),
                            p.metres(),
                            p.wired());
        for (InnerWire wire : vehicle.wires())
            draft.wire(
                    vehicle.id(),
                    ofDevice(draft, wire.from()),
                    ofDevice(draft, wire.to()),
                    wire.gauge(),
                    wire.metres(),
                    wire.wired());
    }

    /** "device.terminal" of a vehicle's sheet. */
    private static TerminalId ofDevice(Draft draft, String reference) {
        String device = reference.substring(0, reference.indexOf('.'));
        String name = reference.substring(reference.indexOf('.') + 1);
        return draft.instance(device).terminal(name);
    }
}
