package velvetbezel.draft;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import velvetbezel.draft.Archetype.Param;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.LeadRole;

/** What is wrong with a short sheet of a car, beyond words that are not read. */
final class CarFaults {
    private static final List<String> LADDERS = List.of("ladder", "ladder 2");

    private final ShortSheet sheet;
    private final Archetypes catalogue;
    private final CarPieces pieces;
    private final List<InputProblem> faults;

    CarFaults(ShortSheet sheet, Archetypes catalogue, CarPieces pieces, List<InputProblem> faults) {
        this.sheet = sheet;
        this.catalogue = catalogue;
        this.pieces = pieces;
        this.faults = faults;
    }

    void find() {
        power();
        common();
        partners();
        sheet.has().forEach(this::answer);
        sheet.numbers().keySet().forEach(this::number);
        LADDERS.forEach(this::ladder);
        sheet.otherwise().stream().sorted().forEach(this::otherwise);
    }

    private void otherwise(String id) {
        List<String> ids = catalogue.car().stream().map(Archetype::id).toList();
        if (!ids.contains(id))
            fault(
                    ShortSheet.OTHERWISE,
                    "\"%s\" is nothing the catalogue knows; the nearest are %s.".formatted(id, Nearest.to(id, ids)));
        else if (pieces.struck().stream().noneMatch(a -> a.id().equals(id)))
            fault(ShortSheet.OTHERWISE, "\"%s\" is not behind these plugs anyway; take it out.".formatted(id));
    }

    private void fault(String field, String message) {
        faults.add(new InputProblem(field, message));
    }

    private void power() {
        for (LeadRole role : List.of(LeadRole.CONSTANT, LeadRole.GROUND))
            if (sheet.plugs().stream().noneMatch(p -> p.carries(role)))
                fault(
                        "plugs",
                        "hold no %s: a radio needs one. Type its position, or measure which it is."
                                .formatted(role.label()));
    }

    private void common() {
        if (!pieces.holds(LeadRole.LINE_COMMON.label())) return;
        String own = sheet.plugs().stream()
                .filter(ShortPlug::atTheRadio)
                .flatMap(p -> p.leads().stream())
                .flatMap(l -> l.role().stream())
                .filter(r -> r.group() == LeadRole.Group.LINE && r.label().endsWith("−"))
                .map(LeadRole::label)
                .collect(Collectors.joining(", "));
        if (!own.isEmpty())
            fault(
                    "plugs",
                    "carry a common line return and returns of their own (%s); a channel has one of the two."
                            .formatted(own));
    }

    /** Half of a pair carries no sound; a line channel may have the common return instead. */
    private void partners() {
        List<String> roles = sheet.plugs().stream()
                .flatMap(p -> p.leads().stream())
                .flatMap(l -> l.role().stream())
                .filter(r -> r.group() == LeadRole.Group.SPEAKER
                        || r.group() == LeadRole.Group.LINE && !pieces.holds(LeadRole.LINE_COMMON.label()))
                .map(LeadRole::label)
                .distinct()
                .toList();
        for (String role : roles) {
            String partner = role.endsWith("+") ? role.replace("+", "−") : role.replace("−", "+");
            if (!roles.contains(partner))
                fault("plugs", "carry \"%s\" alone: its partner %s is missing.".formatted(role, partner));
        }
    }

    private void answer(String name, Object said) {
        Optional<Choosing> asked = catalogue.choice(name, pieces::holds);
        if (asked.isPresent()) {
            option(asked.get(), said);
            return;
        }
        boolean ladder = LADDERS.contains(name);
        Optional<Choosing> known =
                catalogue.choices().stream().filter(c -> c.id().equals(name)).findFirst();
        if (ladder && pieces.holds(name.equals("ladder") ? "steering 1" : "steering 2")) return;
        if (ladder)
            fault(
                    "has." + name,
                    "hangs on nothing: no position carries steering %s.".formatted(name.equals("ladder") ? "1" : "2"));
        else if (known.isPresent())
            fault(
                    "has." + name,
                    "hangs on nothing: it is asked where the plugs carry %s."
                            .formatted(known.get().when().stream()
                                    .map(w -> w.wanted() ? w.words() : "no " + w.words())
                                    .collect(Collectors.joining(" and "))));
        else {
            Set<String> ids = new TreeSet<>(LADDERS);
            catalogue.choices().forEach(c -> ids.add(c.id()));
            fault(
                    "has." + name,
                    "is nothing the catalogue knows; the nearest are %s.".formatted(Nearest.to(name, ids)));
        }
    }

    private void option(Choosing asked, Object said) {
        List<?> answers = said instanceof List<?> several ? several : List.of(said);
        if (answers.size() > 1 && !asked.several())
            fault("has." + asked.id(), "has %d answers; give one.".formatted(answers.size()));
        for (Object answer : answers) {
            String word = answer instanceof Boolean b ? (b ? "yes" : "no") : String.valueOf(answer);
            if (!asked.options().containsKey(word))
                fault(
                        "has." + asked.id(),
                        "\"%s\" is none of %s."
                                .formatted(
                                        word, String.join(", ", asked.options().keySet())));
        }
    }

    private void number(String name) {
        List<String> here = pieces.taken().stream()
                .flatMap(a -> a.params().stream())
                .map(Param::name)
                .toList();
        if (here.contains(name)) return;
        Optional<Archetype> elsewhere = catalogue.car().stream()
                .filter(a -> a.params().stream().anyMatch(p -> p.name().equals(name)))
                .findFirst();
        fault(
                "numbers." + name,
                elsewhere
                        .map(a -> "hangs on nothing: it belongs to \"%s\", which is not behind these plugs."
                                .formatted(a.id()))
                        .orElseGet(() -> "is no number of what stands behind these plugs; the nearest are %s."
                                .formatted(Nearest.to(name, here))));
    }

    private void ladder(String name) {
        Map<Double, List<String>> byOhms = new TreeMap<>();
        Archetypes.object(sheet.has().get(name)).forEach((key, ohms) -> {
            if (!(ohms instanceof Number n)) return;
            if (n.doubleValue() < 0 || n.doubleValue() > 1_000_000)
                fault(
                        "has.%s.%s".formatted(name, key),
                        "%s Ω is no resistance of a key; type ohms such as 470.".formatted(ohms));
            byOhms.computeIfAbsent(n.doubleValue(), o -> new ArrayList<>()).add(key);
        });
        byOhms.forEach((ohms, keys) -> {
            if (keys.size() > 1)
                fault(
                        "has." + name,
                        "%s have the same resistance, %s Ω: nothing can tell them apart; measure again."
                                .formatted(String.join(" and ", keys), Template.number(ohms)));
        });
    }
}
