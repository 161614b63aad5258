package velvetbezel.web.library;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import velvetbezel.sheet.Fault;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.store.Document;
import velvetbezel.store.Json;
import velvetbezel.store.Library;

/** Lists of sheets, one sheet, and the import that takes in several or none. */
@Controller
class LibraryController {
    private final Library library;

    LibraryController(Library library) { this.library = library; }

    @GetMapping("/{shelf:vehicles|radios|parts}")
    String list(@PathVariable String shelf, Model model) { return show(shelf, Optional.empty(), List.of(), model); }

    private String show(String shelf, Optional<Library.Imported> imported, List<Fault> faults, Model model) {
        model.addAttribute("view", ShelfView.of(shelf, library, imported, faults));
        return "library/list";
    }

    @PostMapping("/{shelf:vehicles|radios|parts}/import")
    String take(@PathVariable String shelf, @RequestParam List<MultipartFile> sheets, Model model, HttpServletResponse response) throws IOException {
        Map<String, String> texts = new LinkedHashMap<>();
        for (MultipartFile file : sheets)
            if (!file.isEmpty()) texts.put(Optional.ofNullable(file.getOriginalFilename()).orElse("sheet"), new String(file.getBytes(), StandardCharsets.UTF_8));
        try {
            if (texts.isEmpty()) throw new InvalidInput("sheets", "No file was chosen. Choose one or more sheets, as .json files.");
            return show(shelf, Optional.of(library.take(texts)), List.of(), model);
        } catch (InvalidInput e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(shelf, Optional.empty(), e.faults(), model);
        }
    }

    @GetMapping("/sheets/{id}")
    String sheet(@PathVariable String id, Model model) {
        model.addAttribute("view", SheetView.of(find(id)));
        return "library/sheet";
    }

    @GetMapping("/sheets/{id}.json")
    ResponseEntity<String> export(@PathVariable String id) {
        return ResponseEntity.ok().contentType(MediaType.APPLICATION_JSON).header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"%s.json\"".formatted(id))
            .body(Json.write(Json.parse(find(id).body())));
    }

    private Document find(String id) {
        return library.find(id).filter(d -> d.sheet().isPresent()).orElseThrow(() -> new InvalidInput(id, "There is no sheet of this name here. Choose one from the list."));
    }
}
