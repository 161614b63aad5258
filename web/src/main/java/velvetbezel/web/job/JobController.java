package velvetbezel.web.job;

import jakarta.servlet.http.HttpServletResponse;
import java.net.URI;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
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
import org.springframework.web.util.UriComponentsBuilder;
import velvetbezel.job.Entry;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.store.Jobs;
import velvetbezel.store.Sender;
import velvetbezel.store.StaleEdit;
import velvetbezel.web.Who;

/** The stations of one job, and the changes made at them. */
@Controller
class JobController {
    /** Form fields with this prefix are fields of the job. */
    private static final String FIELD = "f:";
    /** Those with this prefix say what the page showed of the design. */
    private static final String SHOWN = "d:";

    private final JobPages pages;
    private final Changes changes;
    private final Jobs jobs;
    private final MeasuredFacts offering;

    JobController(JobPages pages, Changes changes, Jobs jobs, MeasuredFacts offering) {
        this.offering = offering;
        this.pages = pages;
        this.changes = changes;
        this.jobs = jobs;
    }

    @GetMapping("/jobs/{number}")
    String job(@PathVariable int number) {
        return "redirect:" + pages.open(number).path(Station.ARRIVE);
    }

    @GetMapping("/jobs/{number}/{path:arrive|match|wire|prove|hand-over|" + JobPages.BESIDE + "}")
    String page(
            @PathVariable int number, @PathVariable String path, @RequestParam Map<String, String> query, Model model) {
        OpenJob open = pages.open(number);
        JobPages.Look look = JobPages.Look.of(query);
        // moving its last lead but one away takes a joint away, and the person with it
        if (path.equals("joint") && JointView.find(open, look.joint()).isEmpty())
            return "redirect:" + open.path(Station.WIRE);
        return show(open, path, look, Frame.Trouble.NONE, model);
    }

    private String show(OpenJob open, String path, JobPages.Look look, Frame.Trouble trouble, Model model) {
        model.addAttribute("view", pages.page(open, path, look, trouble));
        return "job/" + path;
    }

    @GetMapping("/jobs/{number}/log")
    String log(@PathVariable int number, @RequestParam Optional<Long> before, Model model) {
        model.addAttribute("view", LogView.of(pages.open(number), jobs, before.orElse(Long.MAX_VALUE)));
        return "job/log";
    }

    /** @param back the page to return to, within this job */
    @PostMapping("/jobs/{number}/change")
    String change(
            @PathVariable int number,
            @RequestParam long seen,
            @RequestParam String back,
            @RequestParam Map<String, String> form,
            @RequestParam(defaultValue = "") String change,
            Who.Person who,
            Model model,
            HttpServletResponse response) {
        Map<String, String> typed = named(form, FIELD);
        String page = within(number, back);
        try {
            changes.change(number, sender(who, change, typed), seen, typed, named(form, SHOWN));
            return "redirect:" + page;
        } catch (InvalidInput e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return again(pages.open(number).with(typed), page, trouble(e.faults()), model);
        } catch (Changes.OtherDesign e) {
            response.setStatus(HttpStatus.CONFLICT.value());
            return again(pages.open(number), page, trouble(e.faults()), model);
        } catch (StaleEdit e) {
            response.setStatus(HttpStatus.CONFLICT.value());
            OpenJob open = pages.open(number);
            return again(open, page, new Frame.Trouble(Map.of(), Optional.of(Frame.Stale.of(e, open))), model);
        }
    }

    private static Map<String, String> named(Map<String, String> form, String prefix) {
        Map<String, String> named = new LinkedHashMap<>();
        form.forEach((name, value) -> {
            if (name.startsWith(prefix)) named.put(name.substring(prefix.length()), value);
        });
        return named;
    }

    /** A page has one name for what is sent from it: with other content it is another change. */
    private static Sender sender(Who.Person who, String change, Map<String, String> typed) {
        Optional<String> name =
                change.matches("[0-9a-f-]{36}") ? Optional.of(change + "/" + typed.hashCode()) : Optional.empty();
        return new Sender(who.name(), who.device(), name);
    }

    private static Frame.Trouble trouble(List<InputProblem> faults) {
        Map<String, String> byField = new LinkedHashMap<>();
        for (InputProblem f : faults) byField.merge(f.field(), f.message(), (a, b) -> a + " " + b);
        return new Frame.Trouble(byField, Optional.empty());
    }

    private String again(OpenJob open, String page, Frame.Trouble trouble, Model model) {
        URI uri = URI.create(page);
        Map<String, String> query = new LinkedHashMap<>();
        UriComponentsBuilder.fromUri(uri)
                .build()
                .getQueryParams()
                .toSingleValueMap()
                .forEach((name, value) ->
                        query.put(name, value == null ? "" : URLDecoder.decode(value, StandardCharsets.UTF_8)));
        String path = uri.getPath().substring(uri.getPath().lastIndexOf('/') + 1);
        return show(
                open,
                Station.find(path).isPresent() || path.matches(JobPages.BESIDE) ? path : Station.ARRIVE.path(),
                JobPages.Look.of(query),
                trouble,
                model);
    }

    /** @param entry the change to take back; refused where another one came after it */
    @PostMapping("/jobs/{number}/undo")
    String undo(
            @PathVariable int number,
            @RequestParam long entry,
            @RequestParam String back,
            Who.Person who,
            Model model,
            HttpServletResponse response) {
        OpenJob open = pages.open(number);
        if (changes.undo(open, who.name(), entry)) return "redirect:" + within(number, back);
        response.setStatus(HttpStatus.CONFLICT.value());
        String fault = "Nothing was undone: another change came after the one you meant. The last one now is \"%s\"."
                .formatted(open.undoable().map(e -> e.what()).orElse("none"));
        return again(open, within(number, back), new Frame.Trouble(Map.of("undo", fault), Optional.empty()), model);
    }

    /** Writes what was measured on this car into its sheet. */
    @PostMapping("/jobs/{number}/offer")
    String offer(@PathVariable int number, Who.Person who) {
        offering.offer(number, who.name());
        return "redirect:/sheets/" + pages.open(number).text(new Entry.VehicleChosen());
    }

    /** A page of this job, whatever was sent. */
    private static String within(int number, String back) {
        return back.matches("/jobs/%d/[a-z-]+(\\?([A-Za-z0-9=&,._+-]|%%[0-9A-Fa-f]{2})*)?".formatted(number))
                ? back
                : "/jobs/%d/arrive".formatted(number);
    }
}
