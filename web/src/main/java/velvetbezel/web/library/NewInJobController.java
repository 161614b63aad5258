package velvetbezel.web.library;

import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import velvetbezel.harness.Use;
import velvetbezel.job.Change;
import velvetbezel.job.Entry;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.store.Sender;
import velvetbezel.web.job.Changes;
import velvetbezel.web.job.JobOpener;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Who;

/** A car or part that the library lacks, typed in without leaving the job: once saved, the job has it. */
@Controller
class NewInJobController {
    private static final Map<String, String> KINDS = Map.of("new-vehicle", "vehicle", "new-part", "part");
    private final JobOpener opener;
    private final Changes changes;
    private final Lines lines;

    NewInJobController(JobOpener opener, Changes changes, Lines lines) {
        this.opener = opener;
        this.changes = changes;
        this.lines = lines;
    }

    @GetMapping("/jobs/{number}/{what:new-vehicle|new-part}")
    String type(
            @PathVariable int number, @PathVariable String what, @RequestParam Map<String, String> given, Model model) {
        OpenJob open = opener.open(number);
        Map<String, String> typed = new LinkedHashMap<>(lines.blank(KINDS.get(what)));
        typed.putAll(given);
        if (what.equals("new-part")) typed.put("car", open.text(new Entry.VehicleChosen()));
        return show(open, what, given.containsKey("carplug") ? lines.copied(typed) : typed, List.of(), model);
    }

    private String show(OpenJob open, String what, Map<String, String> typed, List<InputProblem> refused, Model model) {
        String kind = KINDS.get(what);
        model.addAttribute("shelf", kind + "s");
        model.addAttribute(
                "view",
                lines.view(
                        kind,
                        "/jobs/%d/%s".formatted(open.job().number(), what),
                        "Job %d: a new %s".formatted(open.job().number(), kind),
                        typed,
                        refused));
        return "library/lines";
    }

    @PostMapping("/jobs/{number}/{what:new-vehicle|new-part}")
    String type(
            @PathVariable int number,
            @PathVariable String what,
            @RequestParam Map<String, String> typed,
            @RequestParam(name = "do", defaultValue = "look") String then,
            Who.Person who,
            Model model,
            HttpServletResponse response) {
        OpenJob open = opener.open(number);
        if (!then.equals("save")) return show(open, what, lines.changed(typed, then), List.of(), model);
        try {
            String id = lines.make(KINDS.get(what), typed, who.name());
            return take(open, what, id, who);
        } catch (InvalidInput e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(open, what, typed, e.faults(), model);
        }
    }

    /** A new car is the job's car; a new part is at hand, and in the kits that Match works out. */
    private String take(OpenJob open, String what, String id, Who.Person who) {
        Change<?> change = what.equals("new-vehicle")
                ? Change.set(new Entry.VehicleChosen(), id)
                : Change.set(new Entry.PartUsed(id), Use.OWN);
        changes.change(open, Sender.named(who.name()), open.job().seq(), List.of(change));
        return "redirect:" + open.path(what.equals("new-vehicle") ? Station.ARRIVE : Station.MATCH);
    }

    /** Bare leads from this car's own plugs, in the common code, as an own part: nothing to buy. */
    @PostMapping("/jobs/{number}/bare-leads")
    String bareLeads(@PathVariable int number, Who.Person who) {
        OpenJob open = opener.open(number);
        String id = lines.bareLeads(open.text(new Entry.VehicleChosen()), who.name());
        return take(open, "new-part", id, who);
    }
}
