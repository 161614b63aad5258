package velvetbezel.web.library;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.strip.Circuit;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.ItemKind;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.state.StateField;
import velvetbezel.store.StandardHazards;
import velvetbezel.strip.CarState;
import velvetbezel.strip.Planner;
import velvetbezel.strip.School;
import velvetbezel.strip.Simulation;
import velvetbezel.strip.StripPlan;
import velvetbezel.strip.Wanted;
import velvetbezel.web.shell.Words;

/**
 * The form of a strip-down, with what the lines are understood as.
 *
 * @param plan what the planner makes of it, in one sentence
 */
public record StripFormView(
        String id,
        String name,
        int seen,
        Map<String, String> typed,
        List<InputProblem> faults,
        boolean saving,
        List<Part> parts,
        String plan) {
    private static final Planner PLANNER = new Planner();

    /** One part as it was understood. */
    public record Part(String name, String kind, String held, String plugs, String behind, String clear) {
        static Part of(DashItem i) {
            return new Part(
                    i.id().name(),
                    i.kind().word(),
                    i.fasteners().stream()
                                    .map(g -> "%s × %s".formatted(g.tool(), g.count()))
                                    .collect(Collectors.joining(", "))
                            + i.clips()
                                    .map(c -> (i.fasteners().isEmpty() ? "" : ", ") + Words.count(c.count(), "clip"))
                                    .orElse(""),
                    i.connectors().stream()
                            .map(c -> c.id().name()
                                    + (c.circuit() == Circuit.PLAIN
                                            ? ""
                                            : " ▲ " + c.circuit().word()))
                            .collect(Collectors.joining(", ")),
                    i.hiders().stream()
                            .map(b -> b.item() + " " + b.atLeast().word())
                            .collect(Collectors.joining(", ")),
                    i.clear().entrySet().stream()
                            .map(e -> (e.getKey() == StateField.GEAR
                                            ? "lever"
                                            : e.getKey().label()) + " " + String.join(" or ", e.getValue()))
                            .collect(Collectors.joining(", ")));
        }
    }

    static StripFormView of(
            Sheet.Vehicle vehicle, int seen, Map<String, String> typed, StripForm.Read read, boolean saving) {
        return new StripFormView(
                vehicle.id(),
                vehicle.name(),
                seen,
                typed,
                read.faults(),
                saving,
                read.strip().map(s -> s.items().stream().map(Part::of).toList()).orElse(List.of()),
                read.strip().map(StripFormView::plan).orElse(""));
    }

    private static String plan(StripDown strip) {
        Optional<DashItem> radio =
                strip.items().stream().filter(i -> i.kind() == ItemKind.RADIO).findFirst();
        if (radio.isEmpty()) return "No part of kind radio yet: write (radio) behind the name of what is to come out.";
        Wanted wanted = new Wanted(Set.of(radio.get().id()), Set.of(), Set.of(), School.USUAL);
        StripPlan plan = PLANNER.plan(strip, wanted, CarState.CLOSED);
        if (plan.found().isEmpty())
            return "No order takes %s out as this stands; see Open up of a job for what would free it."
                    .formatted(radio.get().id());
        StripPlan.Order order = plan.found().get();
        int hazards = new Simulation(strip, wanted, StandardHazards.all())
                .run(CarState.CLOSED, order.steps())
                .hazards()
                .size();
        return "%d steps, %s of key, lever and battery%s."
                .formatted(
                        order.steps().size(),
                        Words.count(order.changes(), "change"),
                        hazards == 0 ? "" : "; " + Words.count(hazards, "hazard"));
    }

    /** A fact of the vehicle that is answered from a list. */
    public record Choice(String id, String field, String label, List<String> values) {}

    private static final List<String> YES_NO = List.of("yes", "no", "unknown");

    public List<Choice> choices() {
        return List.of(
                new Choice("lever-battery", "lever battery", "It needs the battery", YES_NO),
                new Choice("lever-foot", "lever foot", "and a foot on the brake", YES_NO),
                new Choice("release", "release", "Mechanical release", List.of("yes", "no")),
                new Choice("radio-code", "radio code", "Radio asks for a code", YES_NO));
    }

    public String value(String field) {
        return typed.getOrDefault(field, "");
    }

    public int rows(String field) {
        return Math.max(3, (int) value(field).lines().count() + 2);
    }
}
