package velvetbezel.web.fit;

import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Paper;
import velvetbezel.web.shell.Download;

/** Fit: will it go in, what is measured for it, and the template at full size. */
@Controller
class FitController {
    private final Paper paper;

    FitController(Paper paper) {
        this.paper = paper;
    }

    @GetMapping("/jobs/{number}/fit")
    String page(OpenJob open, Frame.Trouble trouble, Model model) {
        model.addAttribute("view", FitView.of(open, trouble));
        return "fit/fit";
    }

    /** One number at a time, on the phone. */
    @GetMapping("/jobs/{number}/measure")
    String measure(OpenJob open, Frame.Trouble trouble, Model model) {
        model.addAttribute("view", MeasureView.of(open, trouble));
        return "fit/measure";
    }

    /** @param typed what was typed into the sums, by the names of their fields */
    @GetMapping("/jobs/{number}/fit/sums")
    String sums(OpenJob open, Frame.Trouble trouble, @RequestParam Map<String, String> typed, Model model) {
        model.addAttribute("view", SumsView.of(open, trouble, typed));
        return "fit/sums";
    }

    @GetMapping("/jobs/{number}/fit.pdf")
    ResponseEntity<byte[]> print(OpenJob open, @RequestParam(defaultValue = "a4") String paper) {
        byte[] body = this.paper.pdf("fit/fit-paper", FitPaper.of(open, paper));
        return Download.of("template-job-%d.pdf".formatted(open.job().number()), MediaType.APPLICATION_PDF, body);
    }
}
