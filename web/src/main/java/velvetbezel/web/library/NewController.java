package velvetbezel.web.library;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.LinkedHashMap;
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
import velvetbezel.sheet.Fault;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Mount;
import velvetbezel.sheet.Opening;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Sheet;
import velvetbezel.store.Document;
import velvetbezel.store.Json;
import velvetbezel.store.Library;
import velvetbezel.store.Shelves;
import velvetbezel.store.StandardBlocks;
import velvetbezel.web.Who;

/** New sheets from nothing: a vehicle from its pinout, a radio or part to be built from blocks. */
@Controller
class NewController {
    private final Library library;
    private final Shelves shelves;
    private final Clock clock;

    NewController(Library library, Shelves shelves, Clock clock) {
        this.library = library;
        this.shelves = shelves;
        this.clock = clock;
    }

    @GetMapping("/vehicles/new")
    String vehicle(@RequestParam Optional<String> like, Model model) {
        return vehicle(
                like.flatMap(library::find)
                        .flatMap(Document::sheet)
                        .filter(Sheet.Vehicle.class::isInstance)
                        .map(s -> NewVehicle.like((Sheet.Vehicle) s))
                        .orElseGet(NewVehicle::empty),
                model);
    }

    private String vehicle(NewVehicle view, Model model) {
        model.addAttribute("view", view);
        model.addAttribute("families", shelves.facets("vehicle").families());
        return "library/new-vehicle";
    }

    /** @param then "lay out" shows the positions, "plug" adds a plug, "save" makes the sheet */
    @PostMapping("/vehicles/new")
    String vehicle(
            @RequestParam Map<String, String> typed,
            @RequestParam(name = "do") String then,
            Who.Person who,
            Model model,
            HttpServletResponse response) {
        if (!then.equals("save")) return vehicle(NewVehicle.of(typed, then.equals("plug"), List.of()), model);
        try {
            Map<String, Object> sheet = NewVehicle.pinout(typed).sheet(StandardBlocks.all(), source(typed, who));
            return "redirect:/sheets/" + make(sheet, who);
        } catch (InvalidInput e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return vehicle(NewVehicle.of(typed, false, e.faults()), model);
        }
    }

    private Map<String, Object> source(Map<String, String> typed, Who.Person who) {
        Map<String, Object> source = new LinkedHashMap<>();
        source.put("from", typed.getOrDefault("from", "printed"));
        source.put(
                "by",
                typed.getOrDefault("by", "").isBlank()
                        ? who.name()
                        : typed.get("by").strip());
        source.put(
                "date",
                LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault()).toString());
        return source;
    }

    private String make(Map<String, Object> sheet, Who.Person who) {
        String id = (String) sheet.get("id");
        if (library.find(id).isPresent())
            throw new InvalidInput("id", "\"%s\" is taken; give this one another id.".formatted(id));
        library.take(Map.of("this form", Json.write(sheet)), who.name());
        return id;
    }

    @GetMapping("/{shelf:radios|parts}/new")
    String device(@PathVariable String shelf, Model model) {
        return device(shelf, Map.of("part", PartKind.VEHICLE_HARNESS_ADAPTER.label()), List.of(), model);
    }

    private String device(String shelf, Map<String, String> typed, List<Fault> faults, Model model) {
        model.addAttribute("shelf", shelf);
        model.addAttribute("title", shelf.equals("radios") ? "New radio" : "New part");
        model.addAttribute("typed", typed);
        model.addAttribute("faults", faults);
        model.addAttribute(
                "kinds", Arrays.stream(PartKind.values()).map(PartKind::label).toList());
        model.addAttribute("openings", Opening.labels());
        model.addAttribute(
                "mounts", Arrays.stream(Mount.values()).map(Mount::label).toList());
        return "library/new-device";
    }

    @PostMapping("/{shelf:radios|parts}/new")
    String device(
            @PathVariable String shelf,
            @RequestParam Map<String, String> typed,
            Who.Person who,
            Model model,
            HttpServletResponse response) {
        try {
            String id = make(NewDevice.sheet(shelf.equals("radios"), typed, source(typed, who)), who);
            boolean wireless = PartKind.find(typed.getOrDefault("part", ""))
                    .filter(PartKind::wireless)
                    .isPresent();
            return "redirect:/sheets/%s%s".formatted(id, shelf.equals("parts") && wireless ? "" : "/device");
        } catch (InvalidInput e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return device(shelf, typed, e.faults(), model);
        }
    }
}
