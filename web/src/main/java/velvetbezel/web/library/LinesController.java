package velvetbezel.web.library;

import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.store.Document;
import velvetbezel.web.shell.Who;

/** Vehicles, radios and parts typed in lines, new ones and those of the library. */
@Controller
class LinesController {
    private static final Map<String, String> KINDS = Map.of("vehicles", "vehicle", "radios", "radio", "parts", "part");
    private final Lines lines;
    private final Editing editing;

    LinesController(Lines lines, Editing editing) {
        this.lines = lines;
        this.editing = editing;
    }

    @GetMapping("/{shelf:vehicles|radios|parts}/new")
    String fresh(@PathVariable String shelf, @RequestParam Map<String, String> given, Model model) {
        String kind = KINDS.get(shelf);
        Map<String, String> typed = Optional.ofNullable(given.get("like"))
                .map(this::sister)
                .orElseGet(() -> new LinkedHashMap<>(LinesView.blank(kind)));
        given.forEach(typed::putIfAbsent);
        if (given.containsKey("carplug")) typed = lines.copied(typed);
        return show(shelf, kind, typed, List.of(), model);
    }

    /** What is said of a sister model is only assumed of this one. */
    private Map<String, String> sister(String id) {
        Map<String, String> typed = lines.typed(id);
        typed.put("by", "sister: " + typed.getOrDefault("name", id));
        typed.put("from", "assumed");
        List.of("id", "name", "trim").forEach(typed::remove);
        return typed;
    }

    private String show(String shelf, String kind, Map<String, String> typed, List<InputProblem> refused, Model model) {
        model.addAttribute("shelf", shelf);
        model.addAttribute("view", lines.view(kind, "/%s/new".formatted(shelf), heading(kind), typed, refused));
        return "library/lines";
    }

    private static String heading(String kind) {
        return switch (kind) {
            case "vehicle" -> "A new vehicle, from its paper";
            case "radio" -> "A new radio, from its paper";
            default -> "A new part, from its plugs";
        };
    }

    /** @param then "save" makes the sheet, "plug" shows one more plug, "copy" the car's, anything else looks again */
    @PostMapping("/{shelf:vehicles|radios|parts}/new")
    String fresh(
            @PathVariable String shelf,
            @RequestParam Map<String, String> typed,
            @RequestParam(name = "do", defaultValue = "look") String then,
            Who.Person who,
            Model model,
            HttpServletResponse response) {
        String kind = KINDS.get(shelf);
        if (!then.equals("save")) return show(shelf, kind, lines.changed(typed, then), List.of(), model);
        try {
            return "redirect:/sheets/" + lines.make(kind, typed, who.name());
        } catch (InvalidInput e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(shelf, kind, typed, e.faults(), model);
        }
    }

    @GetMapping("/sheets/{id}/lines")
    String edit(@PathVariable String id, Model model) {
        return show(editing.find(id), lines.typed(id), List.of(), model);
    }

    private String show(Document document, Map<String, String> typed, List<InputProblem> refused, Model model) {
        Map<String, String> all = new LinkedHashMap<>(typed);
        all.putIfAbsent("seen", String.valueOf(lines.revision(document.id())));
        model.addAttribute("shelf", document.kind() + "s");
        model.addAttribute(
                "view",
                lines.view(
                        document.kind(),
                        "/sheets/%s/lines".formatted(document.id()),
                        document.name() + ", in lines",
                        all,
                        refused));
        return "library/lines";
    }

    @PostMapping("/sheets/{id}/lines")
    String edit(
            @PathVariable String id,
            @RequestParam Map<String, String> typed,
            @RequestParam(name = "do", defaultValue = "look") String then,
            @RequestParam int seen,
            Who.Person who,
            Model model,
            HttpServletResponse response) {
        Document document = editing.find(id);
        if (!then.equals("save")) return show(document, lines.changed(typed, then), List.of(), model);
        try {
            lines.change(id, document.kind(), typed, seen, who.name());
            return "redirect:/sheets/" + id;
        } catch (InvalidInput e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(document, typed, e.faults(), model);
        }
    }
}
