package velvetbezel.web.library;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import velvetbezel.store.Document;
import velvetbezel.store.Json;
import velvetbezel.store.Library;
import velvetbezel.store.Listing;
import velvetbezel.store.Shelves;
import velvetbezel.store.Suppliers;
import velvetbezel.web.shell.Download;

/** The shelves: search and filter, one sheet or part, export. */
@Controller
class LibraryController {
    private final Library library;
    private final Shelves shelves;
    private final Editing editing;
    private final Suppliers suppliers;

    LibraryController(Library library, Shelves shelves, Editing editing, Suppliers suppliers) {
        this.suppliers = suppliers;
        this.editing = editing;
        this.library = library;
        this.shelves = shelves;
    }

    @GetMapping("/{shelf:vehicles|radios|parts}")
    String list(
            @PathVariable String shelf,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "") String type,
            @RequestParam(defaultValue = "") String family,
            @RequestParam(defaultValue = "") String opening,
            @RequestParam(defaultValue = "") String carries,
            @RequestParam Optional<String> stock,
            @RequestParam Optional<String> buildable,
            @RequestParam(defaultValue = "") String most,
            @RequestParam(defaultValue = "0") int page,
            Model model) {
        ShelfView.Asked asked = new ShelfView.Asked(
                q.strip(),
                type,
                family,
                opening,
                carries,
                stock.isPresent(),
                buildable.isPresent(),
                most.strip(),
                Math.max(0, page));
        model.addAttribute("view", ShelfView.of(shelf, asked, shelves));
        model.addAttribute("suppliers", suppliers.names());
        model.addAttribute("outdated", library.outdatedCount());
        return "library/list";
    }

    @GetMapping("/find")
    String find(@RequestParam(defaultValue = "") String q, Model model) {
        model.addAttribute("q", q.strip());
        model.addAttribute("shelves", q.isBlank() ? List.of() : ShelfView.everywhere(q.strip(), shelves));
        return "library/find";
    }

    @GetMapping("/sheets/{id}")
    String sheet(@PathVariable String id, Model model) {
        Optional<Listing> listing = shelves.listing(id);
        model.addAttribute(
                "view",
                listing.filter(l -> !l.buildable())
                        .map(SheetView::unbuildable)
                        .orElseGet(() -> SheetView.of(editing.find(id), listing, library)));
        return "library/sheet";
    }

    @GetMapping("/sheets/{id}.json")
    ResponseEntity<String> export(@PathVariable String id) {
        Document document = editing.find(id);
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(HttpHeaders.CONTENT_DISPOSITION, Download.named(id + ".json"))
                .body(Json.write(Json.parse(document.body())));
    }

    @GetMapping("/{shelf:vehicles|radios|parts}.zip")
    ResponseEntity<byte[]> exportAll(@PathVariable String shelf) {
        byte[] zip = library.zip(shelf.substring(0, shelf.length() - 1));
        return Download.of(shelf + ".zip", MediaType.valueOf("application/zip"), zip);
    }

    @GetMapping("/{shelf:radios|parts}.csv")
    void exportList(@PathVariable String shelf, HttpServletResponse response) throws IOException {
        response.setContentType("text/csv; charset=utf-8");
        response.setHeader(HttpHeaders.CONTENT_DISPOSITION, Download.named(shelf + ".csv"));
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        library.writeList(shelf.substring(0, shelf.length() - 1), response.getWriter());
    }
}
