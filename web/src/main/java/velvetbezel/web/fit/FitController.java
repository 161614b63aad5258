package velvetbezel.web.fit;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;

/** Fit: will it go in. */
@Controller
class FitController {
    @GetMapping("/jobs/{number}/fit")
    String page(OpenJob open, Frame.Trouble trouble, Model model) {
        model.addAttribute("view", FitView.of(open, trouble));
        return "fit/fit";
    }
}
