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
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.store.Document;
import velvetbezel.store.FaultsFound;
import velvetbezel.store.Json;
import velvetbezel.store.Library;
import velvetbezel.store.StandardTables;
import velvetbezel.web.shell.Who;

/** The workshop's sizes, limits and small goods. */
@Controller
class TablesController {
    private final Library library;
    private final FaultsFound faults;

    TablesController(Library library, FaultsFound faults) {
        this.library = library;
        this.faults = faults;
    }

    @GetMapping("/tables")
    String tables(Model model) {
        return show(text(), List.of(), "", model);
    }

    private String text() {
        return library.find(Library.TABLES)
                .map(Document::body)
                .map(b -> Json.write(Json.parse(b)))
                .orElseGet(StandardTables::text);
    }

    private String show(String text, List<String> problems, String theirs, Model model) {
        int revision = library.revision(Library.TABLES);
        model.addAttribute(
                "view",
                TablesView.of(
                        library.tables(),
                        faults.all(),
                        text,
                        problems,
                        revision,
                        theirs,
                        SheetView.past(library, Library.TABLES)));
        return "library/tables";
    }

    /** The whole of it as text; what was typed stays where it is refused. @param seen the revision it changes */
    @PostMapping("/tables")
    String save(
            @RequestParam String body,
            @RequestParam int seen,
            Who.Person who,
            Model model,
            HttpServletResponse response) {
        if (seen != library.revision(Library.TABLES)) {
            response.setStatus(HttpStatus.CONFLICT.value());
            String why =
                    "Somebody saved the tables meanwhile. Yours are in the field, theirs below it; save once more to replace theirs.";
            return show(body, List.of(why), text(), model);
        }
        try {
            if (seen == 0) library.take(Map.of("tables.json", body), who.name());
            else library.change(Library.TABLES, who.name(), "Changed the tables", seen, tree -> Json.parse(body));
            return "redirect:/tables";
        } catch (InvalidInput e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(body, e.faults().stream().map(InputProblem::toString).toList(), "", model);
        }
    }

    @PostMapping("/tables/bring-back")
    String bringBack(@RequestParam int seen, @RequestParam int revision, Who.Person who) {
        library.bringBack(Library.TABLES, who.name(), seen, revision);
        return "redirect:/tables";
    }

    /** How joints are made here, and whether taps are allowed. */
    @PostMapping("/tables/school")
    String school(
            @RequestParam String school,
            @RequestParam Optional<String> taps,
            @RequestParam int seen,
            Who.Person who,
            Model model,
            HttpServletResponse response) {
        Map<String, Object> tree = new LinkedHashMap<>();
        ((Map<?, ?>) Json.parse(text())).forEach((name, value) -> tree.put((String) name, value));
        tree.put("school", school);
        tree.put("taps", taps.isPresent());
        return save(Json.write(tree), seen, who, model, response);
    }
}
