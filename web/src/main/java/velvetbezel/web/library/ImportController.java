package velvetbezel.web.library;

import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.store.Imports;
import velvetbezel.store.Suppliers;
import velvetbezel.web.shell.Who;

/** Bringing in sheets and price lists: read, previewed, then taken in or cancelled. */
@Controller
class ImportController {
    private final ImportService intaking;
    private final Imports intakes;
    private final Suppliers suppliers;

    ImportController(ImportService intaking, Imports intakes, Suppliers suppliers) {
        this.suppliers = suppliers;
        this.intaking = intaking;
        this.intakes = intakes;
    }

    @PostMapping("/sheets/import")
    String sheets(@RequestParam List<MultipartFile> sheets, Who.Person who) {
        return page(intaking.sheets(sheets, who.name()));
    }

    @PostMapping("/price-lists/import")
    String list(@RequestParam MultipartFile list, @RequestParam(defaultValue = "") String supplier, Who.Person who) {
        return page(intaking.list(list, supplier, who.name()));
    }

    @GetMapping("/intakes/{id}")
    String show(@PathVariable UUID id, Model model) {
        return show(id, Map.of(), List.of(), model);
    }

    private String show(UUID id, Map<String, String> typed, List<InputProblem> faults, Model model) {
        Imports.Import intake = intakes.find(id)
                .orElseThrow(
                        () -> new InvalidInput("intake", "There is no such import here. Bring the file in again."));
        model.addAttribute("view", ImportView.of(intake, intakes, intaking.has(id)));
        if (intake.state() == Imports.State.HEADINGS)
            model.addAttribute("ask", HeadingsView.of(intake, intakes, suppliers, typed, faults));
        return "library/import";
    }

    /** @param typed the supplier, and under each heading's number what it stands for */
    @PostMapping("/intakes/{id}/headings")
    String headings(
            @PathVariable UUID id, @RequestParam Map<String, String> typed, Model model, HttpServletResponse response) {
        try {
            intaking.learn(id, typed.getOrDefault("supplier", ""), HeadingsView.meanings(intakes.headings(id), typed));
            return page(id);
        } catch (InvalidInput e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(id, typed, e.faults(), model);
        }
    }

    @PostMapping("/intakes/{id}/otherwise")
    String otherwise(@PathVariable UUID id) {
        intaking.otherwise(id);
        return page(id);
    }

    @PostMapping("/intakes/{id}/take")
    String take(@PathVariable UUID id) {
        intaking.take(id);
        return page(id);
    }

    @PostMapping("/intakes/{id}/cancel")
    String cancel(@PathVariable UUID id) {
        intaking.cancel(id);
        return page(id);
    }

    private static String page(UUID id) {
        return "redirect:/intakes/" + id;
    }
}
