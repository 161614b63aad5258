package velvetbezel.web.job;

import java.util.Arrays;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.function.FunctionId;
import velvetbezel.harness.Recipe;
import velvetbezel.sheet.AudioSign;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.Trait;

/** How fields of a job and changes to them are told in the log. */
final class Phrases {
    private static final int SHORT = 60;
    private static final Pattern POSITION = Pattern.compile("plugs\\[(.+)]\\.positions\\[position (.+)]\\.(\\w+)");
    private final OpenJob open;

    Phrases(OpenJob open) {
        this.open = open;
    }

    /** One change by name; several as their names. Kit and vehicle are told as they stand after the change. */
    String changes(Map<String, Optional<String>> changes) {
        Map<String, Optional<String>> told = new TreeMap<>(changes);
        if (told.containsKey(Fields.RADIO) || told.containsKey(Fields.PARTS))
            return "Chose the kit: "
                    + open.design().map(d -> kit(d.installation().recipe())).orElse("none");
        if (told.containsKey(Fields.VEHICLE))
            return "Chose the vehicle: " + open.vehicle().map(Sheet::name).orElse("none");
        return told.entrySet().stream()
                .map(e -> field(e.getKey()) + ": "
                        + e.getValue().map(Phrases::value).orElse("taken back"))
                .collect(Collectors.joining("; "));
    }

    private static String kit(Recipe recipe) {
        return Stream.concat(recipe.radio().stream(), recipe.parts().values().stream())
                .map(Sheet::name)
                .collect(Collectors.joining(", "));
    }

    private static String value(String value) {
        String words = value.equals(value.toUpperCase(Locale.ROOT)) && value.contains("_")
                ? value.toLowerCase(Locale.ROOT).replace('_', ' ')
                : value;
        return words.length() <= SHORT ? words : words.substring(0, SHORT) + " …";
    }

    String field(String field) {
        int slash = field.indexOf('/');
        if (slash < 0)
            return Words.sentence(
                    field.equals(Fields.VIN)
                            ? "VIN"
                            : field.equals(Fields.SERIAL)
                                    ? "serial number of the radio"
                                    : field.equals(Fields.SCHOOL) ? "joints of this job" : field);
        String rest = field.substring(slash + 1);
        return switch (field.substring(0, slash)) {
            case "sign" -> "Seen, "
                    + Arrays.stream(AudioSign.values())
                            .filter(s -> s.id().equals(rest))
                            .map(AudioSign::text)
                            .findFirst()
                            .orElse(rest);
            case "trait" -> Trait.find(rest).map(Trait::text).orElse(rest);
            case "as built" -> "Changed by a former owner, position " + rest.replace("/", " ");
            case "wish" -> "Wish, " + function(rest);
            case "baseline" -> "Baseline, " + function(rest);
            case "result" -> "Final test, " + function(rest);
            case "result note" -> "Reading or note, " + function(rest);
            case "joint" -> Words.sentence(rest);
            case "joint kind" -> "Kind of " + rest;
            case "extend" -> "Piece of lead in " + rest;
            case "fold" -> "Folded back, " + rest;
            case "move" -> "Joined otherwise, " + rest;
            case "setting" -> "Setting, " + rest;
            case "set" -> "Set, " + rest;
            case "instead" -> "Instead of " + rest;
            case "use" -> "Use of " + rest;
            case "need" -> Words.sentence(rest) + ", not bought";
            case "also" -> Words.sentence(rest) + " in every kit";
            case "need minutes" -> "Minutes for the " + rest;
            case "need material" -> "Material of the " + rest;
            case "slot" -> "Place of " + rest;
            case "joint note" -> "Note at " + rest;
            case "undo" -> "To take apart, " + rest;
            case "read back" -> "Read back, " + rest;
            case "cap" -> "Cap on " + rest;
            case "reading" -> "Measured at " + rest.replace("/", ", ");
            case "goods" -> "Goods-in, " + GoodsInView.name(open, rest.substring(0, rest.indexOf('/'))) + ", "
                    + rest.substring(rest.indexOf('/') + 1);
            case "settled" -> "Settled on this car, " + place(rest.substring(rest.indexOf('/') + 1));
            default -> field;
        };
    }

    /** A path of a sheet as people say it: "position A8, colour". */
    private static String place(String path) {
        Matcher at = POSITION.matcher(path);
        if (!at.matches()) return path.replaceAll("[\\[\\].]+", " ");
        String plug = at.group(1);
        return "position %s%s, %s".formatted(plug.length() == 1 ? plug : plug + " ", at.group(2), at.group(3));
    }

    private String function(String id) {
        return open.functionName(new FunctionId(id));
    }
}
