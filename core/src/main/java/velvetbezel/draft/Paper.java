package velvetbezel.draft;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.LeadRole;
import velvetbezel.units.Colour;
import velvetbezel.units.WireColour;

/**
 * Abbreviations of one paper: "B = black" on this paper, whatever B means elsewhere. They go before what we read
 * ourselves.
 *
 * @param words abbreviation in small letters to a colour or role, as a line says it
 */
public record Paper(Map<String, String> words) {
    public static final Paper PLAIN = new Paper(Map.of());

    public Paper {
        words = Map.copyOf(words);
    }

    /** Reads "B = black, SP1 = front left +", by commas or lines. @param faults those that mean nothing are added */
    public static Paper read(String text, List<InputProblem> faults) {
        Map<String, String> words = new LinkedHashMap<>();
        for (String line : text.split("[,;\\n]")) {
            if (line.isBlank()) continue;
            String[] sides = line.split("=", 2);
            String meaning = sides.length == 2 ? sides[1].strip() : "";
            if (sides.length < 2 || sides[0].isBlank())
                faults.add(new InputProblem(
                        "paper", "\"%s\" maps nothing; write it as B = black.".formatted(line.strip())));
            else if (WireColour.read(meaning).isEmpty()
                    && LeadRole.read(meaning).isEmpty())
                faults.add(new InputProblem(
                        "paper",
                        "\"%s\" is no colour and no role; the nearest are %s."
                                .formatted(meaning, Nearest.to(meaning, meanings()))));
            else words.put(sides[0].strip().toLowerCase(Locale.ROOT), meaning);
        }
        return new Paper(words);
    }

    private static List<String> meanings() {
        List<String> meanings = new ArrayList<>(List.of(LeadRole.all().split(", ")));
        for (Colour c : Colour.values()) meanings.add(c.word());
        return meanings;
    }

    /** A colour as this paper writes it: each half of "B/W" by itself. */
    Optional<WireColour> colour(String text) {
        Optional<WireColour> whole = said(text).flatMap(WireColour::read);
        if (whole.isPresent()) return whole;
        String[] halves = text.strip().split("\\s*[/-]\\s*", 2);
        if (halves.length < 2 || said(halves[0]).isEmpty() && said(halves[1]).isEmpty()) return WireColour.read(text);
        return WireColour.read(
                said(halves[0]).orElse(halves[0]) + "/" + said(halves[1]).orElse(halves[1]));
    }

    Optional<LeadRole> role(String text) {
        return said(text).flatMap(LeadRole::read).or(() -> LeadRole.read(text));
    }

    private Optional<String> said(String word) {
        return Optional.ofNullable(words.get(word.strip().toLowerCase(Locale.ROOT)));
    }
}
