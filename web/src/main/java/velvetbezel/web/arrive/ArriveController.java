package velvetbezel.web.arrive;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
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
}
