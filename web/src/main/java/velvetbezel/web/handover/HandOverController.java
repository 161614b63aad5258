package velvetbezel.web.handover;

import java.time.Clock;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Prices;
import velvetbezel.web.job.Rates;

/** Hand over: the record of the job. */
@Controller
class HandOverController {
    private final Prices prices;
    private final Rates rates;
    private final Clock clock;

    HandOverController(Prices prices, Rates.Source rates, Clock clock) {
        this.prices = prices;
        this.rates = rates.rates();
        this.clock = clock;
    }

    @GetMapping("/jobs/{number}/hand-over")
    String page(OpenJob open, Frame.Trouble trouble, Model model) {
        model.addAttribute("view", HandOverView.of(open, prices, rates, clock.instant(), trouble));
        return "handover/hand-over";
    }
}
