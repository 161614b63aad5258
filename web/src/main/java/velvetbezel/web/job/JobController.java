package velvetbezel.web.job;

import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.View;
import org.springframework.web.servlet.view.RedirectView;
import velvetbezel.job.Entry;
import velvetbezel.store.Jobs;
import velvetbezel.web.shell.Who;

/** What every station of a job has: changes, undo, the log. */
@Controller
class JobController {
    /** Form fields with this prefix are fields of the job. */
    private static final String FIELD = "f:";
    /** Those with this prefix say what the page showed of the design. */
    private static final String SHOWN = "d:";

    private final Changes changes;
    private final Jobs jobs;
    private final MeasuredFacts measured;

    JobController(Changes changes, Jobs jobs, MeasuredFacts measured) {
        this.changes = changes;
        this.jobs = jobs;
        this.measured = measured;
    }

    @GetMapping("/jobs/{number}")
    String job(OpenJob open) {
        return "redirect:" + open.path(Station.ARRIVE);
    }

    @GetMapping("/jobs/{number}/log")
    String log(OpenJob open, @RequestParam Optional<Long> before, Model model) {
        model.addAttribute("view", LogView.of(open, jobs, before.orElse(Long.MAX_VALUE)));
        return "job/log";
    }

    /** @param back the page to return to, within this job */
    @PostMapping("/jobs/{number}/change")
    View change(
            OpenJob open,
            @RequestParam long seen,
            @RequestParam String back,
            @RequestParam Map<String, String> form,
            @RequestParam(defaultValue = "") String change,
            @RequestHeader(name = ChangeAnswer.QUEUE, defaultValue = "") String queue,
            Who.Person who,
            HttpServletResponse response) {
        Map<String, String> typed = named(form, FIELD);
        ChangeAnswer answer = ChangeAnswer.of(open, back, queue, response);
        return answer.to(
                typed,
                () -> changes.change(open, ChangeAnswer.sender(who, change, typed), seen, typed, named(form, SHOWN)));
    }

    private static Map<String, String> named(Map<String, String> form, String prefix) {
        Map<String, String> named = new LinkedHashMap<>();
        form.forEach((name, value) -> {
            if (name.startsWith(prefix)) named.put(name.substring(prefix.length()), value);
        });
        return named;
    }

    /** @param entry the change to take back; refused where another one came after it */
    @PostMapping("/jobs/{number}/undo")
    View undo(OpenJob open, @RequestParam long entry, @RequestParam String back, Who.Person who) {
        String page = within(open, back);
        if (changes.undo(open, who.name(), entry)) return new RedirectView(page);
        String problem = "Nothing was undone: another change came after the one you meant. The last one now is \"%s\"."
                .formatted(open.undoable().map(e -> e.what()).orElse("none"));
        Frame.Trouble trouble = new Frame.Trouble(Map.of("undo", problem), Optional.empty());
        return new ShownAgain(page, HttpStatus.CONFLICT, trouble, Map.of());
    }

    /** Writes what was measured on this car into its sheet. */
    @PostMapping("/jobs/{number}/offer")
    String offer(OpenJob open, Who.Person who) {
        measured.offer(open, who.name());
        return "redirect:/sheets/" + open.text(new Entry.VehicleChosen());
    }

    /** A page of this job, whatever was sent. */
    static String within(OpenJob open, String back) {
        int number = open.job().number();
        return back.matches("/jobs/%d/[a-z-]+(\\?([A-Za-z0-9=&,._+-]|%%[0-9A-Fa-f]{2})*)?".formatted(number))
                ? back
                : open.path(Station.ARRIVE);
    }
}
