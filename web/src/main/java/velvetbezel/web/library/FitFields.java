package velvetbezel.web.library;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.draft.Years;
import velvetbezel.sheet.InputProblem;

/** A part's fit list as fields of the page: years, trims, sheets, and whether somebody has fitted it to one. */
final class FitFields {
    private static final String YEARS = "fits.years";
    private static final String LISTED_ONLY = "fits.listed";

    private FitFields() {}

    /** @return empty where none of the fields is filled in */
    static Optional<Map<String, Object>> tree(Map<String, String> typed, List<InputProblem> faults) {
        Map<String, Object> fits = new LinkedHashMap<>();
        for (String list : List.of("vehicles", "trims")) {
            List<String> words = Typed.words(typed, "fits." + list);
            if (!words.isEmpty()) fits.put(list, words);
        }
        String years = typed.getOrDefault(YEARS, "").strip();
        if (!years.isEmpty()) years(years, faults).ifPresent(y -> fits.put("years", List.of(y.first(), y.last())));
        if (!typed.getOrDefault(LISTED_ONLY, "").isBlank()) fits.put("proven", false);
        return Optional.of(fits).filter(f -> !f.isEmpty());
    }

    private static Optional<Years> years(String text, List<InputProblem> faults) {
        Optional<Years> years = Years.read(text);
        if (years.isEmpty())
            faults.add(new InputProblem(
                    YEARS, "\"%s\" is no span of years; type it as 2004-2009, 2006 or 2018 on.".formatted(text)));
        else if (!years.get().built().isEmpty())
            faults.add(new InputProblem(
                    YEARS,
                    "\"%s\" names a month, and a fit list counts whole years; type 2018 on, or 2019 on to be safe."
                            .formatted(text)));
        return years.filter(y -> y.built().isEmpty());
    }

    static void typed(Object said, Map<String, String> typed) {
        if (!(said instanceof Map<?, ?> fits)) return;
        for (String list : List.of("vehicles", "trims"))
            if (fits.get(list) instanceof List<?> words)
                typed.put(
                        "fits." + list,
                        String.join(", ", words.stream().map(String::valueOf).toList()));
        if (fits.get("years") instanceof List<?> years) typed.put(YEARS, LinesForm.years(years));
        if (Boolean.FALSE.equals(fits.get("proven"))) typed.put(LISTED_ONLY, "yes");
    }
}
