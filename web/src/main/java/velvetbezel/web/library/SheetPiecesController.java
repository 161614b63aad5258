package velvetbezel.web.library;

import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
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
import velvetbezel.store.Library;
import velvetbezel.web.shell.Who;

/** What a sheet is made of: its facts, and the leads, plugs, ports and rules of its device. */
@Controller
class SheetPiecesController {
    private final Editing editing;
    private final SheetPieces making;
    private final Library library;

    SheetPiecesController(Editing editing, SheetPieces making, Library library) {
        this.editing = editing;
        this.making = making;
        this.library = library;
    }

    @GetMapping("/sheets/{id}/facts")
    String facts(@PathVariable String id, Model model) {
        return facts(id, Map.of(), List.of(), model);
    }

    private String facts(String id, Map<String, String> typed, List<InputProblem> faults, Model model) {
        Document document = editing.find(id);
        model.addAttribute(
                "view",
                FactsView.of(
                        document.sheet().orElseThrow(),
                        document.kind() + "s",
                        library.revision(id),
                        editing.tree(id),
                        typed,
                        faults));
        return "library/facts";
    }

    @PostMapping("/sheets/{id}/facts")
    String facts(
            @PathVariable String id,
            @RequestParam int seen,
            @RequestParam Map<String, String> typed,
            Who.Person who,
            Model model,
            HttpServletResponse response) {
        try {
            making.facts(id, who.name(), seen, typed);
            return "redirect:/sheets/" + id;
        } catch (InvalidInput e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return facts(id, typed, e.faults(), model);
        }
    }

    @GetMapping("/sheets/{id}/device")
    String device(@PathVariable String id, Model model) {
        return device(id, List.of(), model);
    }

    private String device(String id, List<InputProblem> faults, Model model) {
        Document document = editing.find(id);
        model.addAttribute(
                "view",
                DeviceView.of(document.sheet().orElseThrow(), document.kind() + "s", library.revision(id), faults));
        return "library/device";
    }

    /** @param list leads, plugs, wires, ports or rules; @param key the entry's name there */
    @PostMapping("/sheets/{id}/remove")
    String remove(
            @PathVariable String id,
            @RequestParam int seen,
            @RequestParam String list,
            @RequestParam String key,
            Who.Person who,
            Model model,
            HttpServletResponse response) {
        try {
            making.remove(id, who.name(), seen, list, key);
            return "redirect:/sheets/%s/device".formatted(id);
        } catch (InvalidInput e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return device(id, e.faults(), model);
        }
    }
}
