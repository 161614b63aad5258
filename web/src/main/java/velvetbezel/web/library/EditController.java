package velvetbezel.web.library;

import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
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
import velvetbezel.store.Library;
import velvetbezel.web.shell.Addresses;
import velvetbezel.web.shell.Who;

/** Sheets changed by hand. */
@Controller
class EditController {
    private final Editing editing;
    private final Library library;

    EditController(Editing editing, Library library) {
        this.editing = editing;
        this.library = library;
    }

    @GetMapping("/sheets/{id}/edit")
    String edit(
            @PathVariable String id,
            @RequestParam(defaultValue = "") String plug,
            @RequestParam(defaultValue = "") String position,
            Model model) {
        return show(id, plug, position, Optional.empty(), List.of(), model);
    }

    private String show(
            String id,
            String plug,
            String position,
            Optional<Editing.Typed> typed,
            List<InputProblem> faults,
            Model model) {
        Document document = editing.find(id);
        model.addAttribute(
                "view",
                EditView.of(
                        document.sheet().orElseThrow(),
                        document.kind() + "s",
                        editing.tree(id),
                        library.revision(id),
                        plug,
                        position,
                        typed,
                        faults));
        return "library/positions";
    }

    @PostMapping("/sheets/{id}/position")
    String position(
            @PathVariable String id,
            @RequestParam int seen,
            @RequestParam String plug,
            @RequestParam String position,
            @RequestParam(defaultValue = "") String empty,
            @RequestParam(defaultValue = "") String role,
            @RequestParam(defaultValue = "") String to,
            @RequestParam(defaultValue = "") String colour,
            @RequestParam(defaultValue = "") String gauge,
            @RequestParam(defaultValue = "measured") String from,
            @RequestParam(defaultValue = "") String by,
            @RequestParam Optional<Integer> keep,
            Who.Person who,
            Model model,
            HttpServletResponse response) {
        Editing.Typed typed =
                new Editing.Typed(plug, position, !empty.isEmpty(), role, to, colour, gauge, from, by, keep);
        try {
            editing.position(id, who.name(), seen, typed);
            return "redirect:/sheets/%s/edit?plug=%s&position=%s"
                    .formatted(id, Addresses.encoded(plug), Addresses.encoded(position));
        } catch (InvalidInput e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(id, plug, position, Optional.of(typed), e.faults(), model);
        }
    }

    @PostMapping("/sheets/{id}/duplicate")
    String duplicate(@PathVariable String id, @RequestParam String newId, @RequestParam String name, Who.Person who) {
        return "redirect:/sheets/%s/compare?with=%s".formatted(editing.duplicate(id, who.name(), newId, name), id);
    }

    @GetMapping("/sheets/{id}/compare")
    String compare(@PathVariable String id, @RequestParam String with, Model model) {
        model.addAttribute("first", editing.find(with));
        model.addAttribute("second", editing.find(id));
        model.addAttribute("differences", editing.differences(with, id));
        return "library/compare";
    }

    @PostMapping("/sheets/{id}/bring-back")
    String bringBack(@PathVariable String id, @RequestParam int seen, @RequestParam int revision, Who.Person who) {
        library.bringBack(id, who.name(), seen, revision);
        return "redirect:/sheets/" + id;
    }
}
