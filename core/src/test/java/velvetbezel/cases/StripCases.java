package velvetbezel.cases;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import velvetbezel.sheet.strip.ConnectorOf;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.strip.CarState;
import velvetbezel.strip.Cars;
import velvetbezel.strip.HazardFinding;
import velvetbezel.strip.Planner;
import velvetbezel.strip.School;
import velvetbezel.strip.Simulation;
import velvetbezel.strip.StepText;
import velvetbezel.strip.StripPlan;
import velvetbezel.strip.StripStep;
import velvetbezel.strip.Wanted;

/**
 * The strip-downs of the ten jobs (strip-downs.json, written from their words), with each line of their order as steps,
 * and the wrong order.
 */
final class StripCases {
    private static final JsonNode ALL = read();
    private final JsonNode file;
    private final StripDown strip;
    private final Wanted wanted;

    StripCases(String id) {
        file = ALL.get(id);
        strip = Cars.of(file.get("strip").toString());
        Set<ItemId> away = new HashSet<>();
        file.get("away").forEach(n -> away.add(new ItemId(n.asString())));
        Set<ConnectorOf> off = new HashSet<>();
        file.get("off").forEach(n -> off.add(ConnectorOf.read(n.asString()).orElseThrow()));
        School school = file.has("school") ? new School(true, true, false) : School.USUAL;
        wanted = new Wanted(away, off, Set.of(), school);
    }

    private static JsonNode read() {
        try (InputStream in = StripCases.class.getResourceAsStream("/cases/strip-downs.json")) {
            return new JsonMapper().readTree(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    List<String> plan() {
        StripPlan.Order order =
                new Planner().plan(strip, wanted, CarState.CLOSED).found().orElseThrow();
        return order.steps().stream().map(StepText::write).toList();
    }

    int orderLines() {
        return file.get("order").size();
    }

    /** Whether a line of the order holds in the plan: what comes before is all before, and all of it is there. */
    boolean holds(int line, List<String> plan) {
        for (String before : texts(file.get("order").get(line).get(0)))
            for (String after : texts(file.get("order").get(line).get(1))) {
                boolean last = after.startsWith("last ");
                String step = last ? after.substring("last ".length()) : after;
                int at = last ? plan.lastIndexOf(step) : plan.indexOf(step);
                if (plan.indexOf(before) < 0 || plan.indexOf(before) >= at) return false;
            }
        return true;
    }

    String line(int line) {
        return file.get("order").get(line).toString();
    }

    private static List<String> texts(JsonNode node) {
        List<String> texts = new ArrayList<>();
        if (node.isArray()) node.forEach(n -> texts.add(n.asString()));
        else texts.add(node.asString());
        return texts;
    }

    String hazard() {
        return file.get("hazard").asString();
    }

    /** What the rules find in the wrong order, plans being none of its steps' excuse. */
    List<HazardFinding> wrong() {
        List<StripStep> steps = StepText.readAll(texts(file.get("wrong")));
        return new Simulation(strip, wanted, Cars.rules())
                .run(CarState.CLOSED, steps)
                .findings();
    }

    /** Hazards of the plan itself: there must be none. */
    List<HazardFinding> hazardsOfPlan() {
        List<StripStep> steps = new ArrayList<>(StepText.readAll(plan()));
        steps.add(new StripStep.End());
        return new Simulation(strip, wanted, Cars.rules())
                .run(CarState.CLOSED, steps)
                .hazards();
    }
}
