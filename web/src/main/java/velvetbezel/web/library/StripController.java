package velvetbezel.web.library;

import jakarta.servlet.http.HttpServletResponse;
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
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetTree;
import velvetbezel.store.Library;
import velvetbezel.web.shell.Who;

/** How a vehicle's dash comes apart, typed in lines. */
@Controller
class StripController {
    private final Editing editing;
    private final Library library;

    StripController(Editing editing, Library library) {
        this.editing = editing;
        this.library = library;
    }

    private Sheet.Vehicle vehicle(String id) {
        return editing.find(id)
                .sheet()
                .filter(Sheet.Vehicle.class::isInstance)
                .map(Sheet.Vehicle.class::cast)
                .orElseThrow(() -> new InvalidInput(id, "is no vehicle; only a vehicle has a dash to open."));
    }

    @GetMapping("/sheets/{id}/strip")
    String form(@PathVariable String id, Model model) {
        Sheet.Vehicle vehicle = vehicle(id);
        Map<String, String> typed = StripForm.typed(vehicle);
        StripForm.Read read = vehicle.strip().isPresent()
                ? StripForm.read(typed, editing.tree(id), vehicle)
                : new StripForm.Read(Map.of(), Optional.empty(), List.of());
        return show(StripFormView.of(vehicle, library.revision(id), typed, read, false), model);
    }

    private static String show(StripFormView view, Model model) {
        model.addAttribute("view", view);
        return "library/strip";
    }

    /** @param then "save" writes it into the sheet, anything else reads it and shows what is understood */
    @PostMapping("/sheets/{id}/strip")
    String form(
            @PathVariable String id,
            @RequestParam int seen,
            @RequestParam Map<String, String> typed,
            @RequestParam(name = "do", defaultValue = "look") String then,
            Who.Person who,
            Model model,
            HttpServletResponse response) {
        Sheet.Vehicle vehicle = vehicle(id);
        StripForm.Read read = StripForm.read(typed, editing.tree(id), vehicle);
        if (!then.equals("save")) return show(StripFormView.of(vehicle, seen, typed, read, false), model);
        List<InputProblem> faults = read.faults();
        if (faults.isEmpty())
            try {
                library.change(
                        id,
                        who.name(),
                        "How the dash comes apart",
                        seen,
                        tree -> SheetTree.put(tree, "strip", Optional.of(read.tree())));
                return "redirect:/sheets/" + id;
            } catch (InvalidInput e) {
                faults = e.faults();
            }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        StripForm.Read refused = new StripForm.Read(read.tree(), read.strip(), faults);
        return show(StripFormView.of(vehicle, seen, typed, refused, true), model);
    }
}
