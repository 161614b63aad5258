package velvetbezel.web.library;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.store.Intakes;
import velvetbezel.web.Who;

/** Bringing in sheets and lists of parts: read, previewed, then taken in or cancelled. */
@Controller
class IntakeController {
    private final Intaking intaking;
    private final Intakes intakes;

    IntakeController(Intaking intaking, Intakes intakes) {
        this.intaking = intaking;
        this.intakes = intakes;
    }

    @PostMapping("/sheets/import")
    String sheets(@RequestParam List<MultipartFile> sheets, Who.Person who) {
        return page(intaking.sheets(sheets, who.name()));
    }

    @PostMapping("/parts/import-list")
    String parts(@RequestParam MultipartFile list, Who.Person who) {
        return page(intaking.parts(list, who.name()));
    }

    @GetMapping("/intakes/{id}")
    String show(@PathVariable UUID id, Model model) {
        Intakes.Intake intake = intakes.find(id)
                .orElseThrow(
                        () -> new InvalidInput("intake", "There is no such import here. Bring the file in again."));
        model.addAttribute("view", IntakeView.of(intake, intakes));
        return "library/intake";
    }

    @PostMapping("/intakes/{id}/take")
    String take(@PathVariable UUID id) {
        intaking.take(id);
        return page(id);
    }

    @PostMapping("/intakes/{id}/cancel")
    String cancel(@PathVariable UUID id) {
        intakes.cancel(id);
        return page(id);
    }

    private static String page(UUID id) {
        return "redirect:/intakes/" + id;
    }
}
