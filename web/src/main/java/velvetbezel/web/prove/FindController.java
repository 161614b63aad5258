package velvetbezel.web.prove;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ThreadLocalRandom;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import velvetbezel.diagnose.FaultKind;
import velvetbezel.diagnose.SimulatedCar;
import velvetbezel.diagnose.Trial;
import velvetbezel.job.Change;
import velvetbezel.job.Entry;
import velvetbezel.prove.Result;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.store.Jobs;
import velvetbezel.store.Sender;
import velvetbezel.web.job.Changes;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Summaries;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Who;

/** Finding what is wrong, from what does not work. */
@Controller
class FindController {
    private static final long MOST_SEEDS = 1_000_000;
    private final SymptomTables tables;
    private final Changes changes;
    private final Jobs jobs;
    private final Summaries summaries;

    FindController(SymptomTables tables, Changes changes, Jobs jobs, Summaries summaries) {
        this.jobs = jobs;
        this.summaries = summaries;
        this.tables = tables;
        this.changes = changes;
    }

    @GetMapping("/jobs/{number}/find")
    String page(OpenJob open, Frame.Trouble trouble, Model model) {
        model.addAttribute("view", FindView.of(open, tables, trouble));
        return "prove/find";
    }

    @GetMapping("/jobs/{number}/find/ahead")
    String ahead(OpenJob open, Model model) {
        model.addAttribute("view", StepsAhead.of(open, worked(open)));
        return "prove/find-ahead";
    }

    /**
     * Something was found and mended: what it touches is tried again.
     *
     * @param place its name
     * @param kind  what was wrong there; missing where it is in no list
     */
    @PostMapping("/jobs/{number}/find/mended")
    String mended(OpenJob open, @RequestParam String place, @RequestParam Optional<String> kind, Who.Person who) {
        Search search = search(open)
                .filter(s -> s.table().place(place).isPresent())
                .orElseThrow(() -> new InvalidInput("place", Say.it("find.no.place", place)));
        Optional<FaultKind> was =
                kind.map(k -> FaultKind.find(k).orElseThrow(() -> new InvalidInput("kind", Say.it("find.no.kind", k))));
        return changed(open, who, search.mended(place, was), "prove");
    }

    /** Something that no list has was found and mended. */
    @PostMapping("/jobs/{number}/find/other")
    String other(OpenJob open, @RequestParam String what, Who.Person who) {
        if (what.isBlank()) throw new InvalidInput("what", Say.it("find.other.blank"));
        return changed(open, who, worked(open).otherMended(what.strip()), "prove");
    }

    /** The meter was at fault, and shows what is there now. */
    @PostMapping("/jobs/{number}/find/meter")
    String meter(OpenJob open, Who.Person who) {
        return changed(open, who, worked(open).meterMended(), "find");
    }

    /** A job like this one in which one fault of its kit is hidden: for practice. */
    @PostMapping("/jobs/{number}/find/practise")
    String practise(OpenJob open, Who.Person who) {
        Search search = worked(open);
        long seed = ThreadLocalRandom.current().nextLong(MOST_SEEDS);
        Trial.OfCheck complaint = SimulatedCar.of(search.table(), seed)
                .flatMap(SimulatedCar::complaint)
                .orElseThrow(() -> new InvalidInput("", Say.it("practice.nothing")));
        List<Change<?>> says = new ArrayList<>(open.state().changes(Entry.Rewires.class::isInstance));
        says.add(Change.set(new Entry.HiddenFault(), seed));
        says.add(Change.set(new Entry.ResultGiven(complaint.function()), Result.NOT_RIGHT));
        int number = jobs.create(title(open), who.name(), says).number();
        summaries.keep(number);
        return "redirect:/jobs/%d/find".formatted(number);
    }

    private static String title(OpenJob open) {
        return open.has(new Entry.HiddenFault())
                ? open.job().title()
                : Say.it("practice.title", open.job().title());
    }

    /** The car of a practice job answers what is asked next. */
    @PostMapping("/jobs/{number}/find/ask")
    String ask(OpenJob open, Who.Person who) {
        PracticeSearch practice =
                PracticeSearch.of(open, worked(open)).orElseThrow(() -> new InvalidInput("", Say.it("practice.real")));
        List<Change<?>> made = practice.answered(ThreadLocalRandom.current()::nextDouble);
        return made.isEmpty()
                ? "redirect:/jobs/%d/find".formatted(open.job().number())
                : changed(open, who, made, "find");
    }

    private Optional<Search> search(OpenJob open) {
        return open.design()
                .map(tables::of)
                .filter(SymptomTables.Work::whole)
                .flatMap(SymptomTables.Work::table)
                .map(t -> new Search(open, t));
    }

    private Search worked(OpenJob open) {
        return search(open).orElseThrow(() -> new InvalidInput("", Say.it("find.not.worked")));
    }

    private String changed(OpenJob open, Who.Person who, List<Change<?>> made, String page) {
        changes.change(open, Sender.named(who.name()), open.job().seq(), made);
        return "redirect:/jobs/%d/%s".formatted(open.job().number(), page);
    }
}
