package velvetbezel.web.prove;

import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;

/** Prove: the checks before the dash is closed. */
@Controller
class ProveController {
    /** @param check the one in hand; without it the first that is open */
    @GetMapping("/jobs/{number}/prove")
    String page(OpenJob open, Frame.Trouble trouble, @RequestParam Optional<String> check, Model model) {
        model.addAttribute("view", ProveView.of(open, check, trouble));
        return "prove/prove";
    }

    @GetMapping("/jobs/{number}/prove/ahead")
    String ahead(OpenJob open, Model model) {
        model.addAttribute("view", ProveView.Ahead.of(open));
        return "prove/ahead";
    }
}
