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
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetTree;
import velvetbezel.store.Library;
import velvetbezel.web.shell.Who;

/** What a fitter measures of an opening, a radio or a kit, typed in lines. */
@Controller
class SpaceController {
    private final Editing editing;
    private final Library library;

    SpaceController(Editing editing, Library library) {
        this.editing = editing;
        this.library = library;
    }

    private Sheet sheet(String id) {
        return editing.find(id)
                .sheet()
                .orElseThrow(() ->
                        new InvalidInput(id, "is neither a vehicle nor a radio nor a part; only these have measures."));
    }

    @GetMapping("/sheets/{id}/measures")
    String form(@PathVariable String id, Model model) {
        Sheet sheet = sheet(id);
        String typed = SpaceForm.of(sheet).typed(editing.tree(id));
        return show(SpaceFormView.of(sheet, library.revision(id), typed, List.of(), false), model);
    }

    private static String show(SpaceFormView view, Model model) {
        model.addAttribute("view", view);
        return "library/measures";
    }

    /** @param then "save" writes it into the sheet, anything else reads it and shows what is wrong */
    @PostMapping("/sheets/{id}/measures")
    String form(
            @PathVariable String id,
            @RequestParam int seen,
            @RequestParam String lines,
            @RequestParam(name = "do", defaultValue = "look") String then,
            Who.Person who,
            Model model,
            HttpServletResponse response) {
        Sheet sheet = sheet(id);
        SpaceForm form = SpaceForm.of(sheet);
        SpaceForm.Read read = form.read(lines, editing.tree(id), sheet);
        if (!then.equals("save")) return show(SpaceFormView.of(sheet, seen, lines, read.faults(), false), model);
        List<InputProblem> faults = read.faults();
        if (faults.isEmpty())
            try {
                Optional<Object> tree = read.tree().isEmpty() ? Optional.empty() : Optional.of(read.tree());
                library.change(id, who.name(), "Measures", seen, t -> SheetTree.put(t, form.field(), tree));
                return "redirect:/sheets/" + id;
            } catch (InvalidInput e) {
                faults = e.faults();
            }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return show(SpaceFormView.of(sheet, seen, lines, faults, true), model);
    }
}
