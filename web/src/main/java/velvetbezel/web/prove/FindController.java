package velvetbezel.web.prove;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import velvetbezel.diagnose.SymptomTable;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.store.Sender;
import velvetbezel.web.job.Changes;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Who;

/** Finding what is wrong, from what does not work. */
@Controller
class FindController {
    private final SymptomTables tables;
    private final Changes changes;

    FindController(SymptomTables tables, Changes changes) {
        this.tables = tables;
        this.changes = changes;
    }

    @GetMapping("/jobs/{number}/find")
    String page(OpenJob open, Frame.Trouble trouble, Model model) {
        model.addAttribute("view", FindView.of(open, tables, trouble));
        return "prove/find";
    }

    /** Something was found and mended: what it touches is tried again. @param place its name */
    @PostMapping("/jobs/{number}/find/mended")
    String mended(OpenJob open, @RequestParam String place, Who.Person who) {
        SymptomTable table = open.design()
                .flatMap(d -> tables.of(d).table())
                .filter(t -> t.place(place).isPresent())
                .orElseThrow(() -> new InvalidInput("place", Say.it("find.no.place", place)));
        changes.change(open, Sender.named(who.name()), open.job().seq(), new Search(open, table).mended(place));
        return "redirect:/jobs/%d/prove".formatted(open.job().number());
    }
}
