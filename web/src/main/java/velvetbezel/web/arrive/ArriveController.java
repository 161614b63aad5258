package velvetbezel.web.arrive;

import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import velvetbezel.store.Library;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;

/** Arrive: which car, what it has, what works today, what must stay. */
@Controller
class ArriveController {
    private final Library library;

    ArriveController(Library library) {
        this.library = library;
    }

    @GetMapping("/jobs/{number}/arrive")
    String page(OpenJob open, Frame.Trouble trouble, Model model) {
        model.addAttribute("view", ArriveView.of(open, library.entries("vehicle"), trouble));
        return "arrive/arrive";
    }

    /** @param function the one in hand; without it the first that has no answer */
    @GetMapping("/jobs/{number}/baseline")
    String baseline(OpenJob open, Frame.Trouble trouble, @RequestParam Optional<String> function, Model model) {
        model.addAttribute("view", BaselineView.of(open, function, trouble));
        return "arrive/baseline";
    }

    @GetMapping("/jobs/{number}/baseline/ahead")
    String ahead(OpenJob open, Model model) {
        model.addAttribute("view", BaselineView.Ahead.of(open));
        return "arrive/baseline-ahead";
    }
}
