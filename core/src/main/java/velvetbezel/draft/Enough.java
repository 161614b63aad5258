package velvetbezel.draft;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.LeadRole;

/**
 * Whether what was typed of a car is enough to plan with.
 *
 * @param stops what has to be typed or measured first
 * @param open  what may be left, and what rests on it
 */
public record Enough(List<String> stops, List<String> open) {
    public Enough {
        stops = List.copyOf(stops);
        open = List.copyOf(open);
    }

    public boolean toPlan() {
        return stops.isEmpty();
    }

    /** @param faults of the short sheet, as reading and expanding found them */
    static Enough of(ShortSheet sheet, List<Choosing> choices, List<InputProblem> faults) {
        List<String> stops = faults.stream()
                .filter(f -> !f.field().equals("name"))
                .map(f -> "%s %s".formatted(place(f.field()), f.message()).strip())
                .toList();
        List<String> open = new ArrayList<>();
        List<ShortLead> here = sheet.plugs().stream()
                .filter(ShortPlug::atTheRadio)
                .flatMap(p -> p.leads().stream())
                .toList();
        if (!here.isEmpty()
                && Stream.of(LeadRole.ACCESSORY, LeadRole.DATA_HIGH, LeadRole.DATA)
                        .noneMatch(r -> here.stream()
                                .anyMatch(l -> l.role().filter(r::equals).isPresent())))
            open.add("No accessory wire and no data bus at the radio: accessory has to come from elsewhere, such as the"
                    + " ignition switch. Add that place.");
        wires(sheet, open);
        keys(sheet, open);
        long unanswered =
                choices.stream().filter(c -> !sheet.has().containsKey(c.id())).count();
        if (unanswered > 0)
            open.add("%d %s not answered: the usual is taken for granted."
                    .formatted(unanswered, unanswered == 1 ? "question is" : "questions are"));
        return new Enough(stops, open);
    }

    /** Steering keys whose resistance nobody measured. */
    private static void keys(ShortSheet sheet, List<String> open) {
        List<String> keys = new ArrayList<>();
        for (String ladder : List.of("ladder", "ladder 2")) {
            if (sheet.has().get(ladder) instanceof List<?> all) all.forEach(k -> keys.add(k.toString()));
            Archetypes.object(sheet.has().get(ladder)).forEach((key, ohms) -> {
                if (!(ohms instanceof Number)) keys.add(key);
            });
        }
        if (!keys.isEmpty())
            open.add("Not measured: the resistance of %s. Whether a radio can tell them apart stays open."
                    .formatted(String.join(", ", keys)));
    }

    private static void wires(ShortSheet sheet, List<String> open) {
        String guessed = places(sheet, l -> l.guessed());
        if (!guessed.isEmpty()) open.add("Guessed, and joined to nothing that feeds until measured: " + guessed + ".");
        String unknown = places(sheet, l -> l.role().isEmpty());
        if (!unknown.isEmpty()) open.add("Of unknown use, capped until measured: " + unknown + ".");
        long colours = sheet.plugs().stream()
                .flatMap(p -> p.leads().stream())
                .filter(l -> l.colour().isEmpty()
                        && l.role()
                                .filter(r -> r.group() != LeadRole.Group.PLUGGED)
                                .isPresent())
                .count();
        if (colours > 0)
            open.add("%d %s without a colour: go by position, not by colour."
                    .formatted(colours, colours == 1 ? "wire" : "wires"));
    }

    private static String places(ShortSheet sheet, Predicate<ShortLead> which) {
        return sheet.plugs().stream()
                .flatMap(p -> p.leads().stream().filter(which).map(l -> "%s %d"
                        .formatted(p.id(), l.position().orElse(0))))
                .collect(Collectors.joining(", "));
    }

    private static String place(String field) {
        return field.startsWith("plugs.")
                ? "Plug " + field.substring("plugs.".length()) + ":"
                : field.equals("plugs") ? "The plugs" : field.equals("(whole sheet)") ? "" : field + ":";
    }
}
