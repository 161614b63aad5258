package velvetbezel.web.library;

import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import velvetbezel.store.Library;
import velvetbezel.web.shell.Who;

/** A new revision of the catalogue: what it would change is shown before it is taken. */
@Controller
class CatalogueController {
    private final Library library;

    CatalogueController(Library library) {
        this.library = library;
    }

    @GetMapping("/catalogue")
    String show(Model model) {
        model.addAttribute("view", CatalogueView.of(library));
        return "library/catalogue";
    }

    @PostMapping("/catalogue")
    String take(@RequestParam(defaultValue = "") List<String> id, Who.Person who) {
        library.takeCatalogue(id, who.name());
        return "redirect:/catalogue";
    }
}
