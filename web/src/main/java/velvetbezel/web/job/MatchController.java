package velvetbezel.web.job;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import velvetbezel.sheet.InvalidInput;

/** What belongs to Match beside its page: substitutes, reasons, and the work behind it. */
@Controller
class MatchController {
    private final JobOpener desk;
    private final KitSearch matching;
    private final Rates tariff;
    private final Paper paper;
    private final Clock clock;

    MatchController(JobOpener desk, KitSearch matching, Rates.Source tariff, Paper paper, Clock clock) {
        this.desk = desk;
        this.matching = matching;
        this.tariff = tariff.tariff();
        this.paper = paper;
        this.clock = clock;
    }

    @GetMapping("/jobs/{number}/match/instead")
    String instead(@PathVariable int number, @RequestParam String kit, @RequestParam String part, Model model) {
        OpenJob open = withCar(number);
        model.addAttribute(
                "view",
                InsteadView.of(open, matching, kit, part)
                        .orElseThrow(() -> new InvalidInput(
                                "kit",
                                "There is no kit \"%s\" with the part \"%s\" in this job now; the list has changed. Go back to Match and choose again."
                                        .formatted(kit, part))));
        return "job/instead";
    }

    @GetMapping("/jobs/{number}/extras")
    String extras(@PathVariable int number, Model model) {
        model.addAttribute("view", ExtrasView.of(withCar(number), matching, tariff));
        return "job/extras";
    }

    @GetMapping("/jobs/{number}/goods-in")
    String goodsIn(@PathVariable int number, Model model) {
        model.addAttribute("view", GoodsInView.of(withCar(number)));
        return "job/goods-in";
    }

    @GetMapping("/jobs/{number}/quote")
    String quote(@PathVariable int number, @RequestParam(defaultValue = "") String kits, Model model) {
        model.addAttribute("view", quote(number, kits));
        return "job/quote";
    }

    /** The same as a file. */
    @GetMapping("/jobs/{number}/quote.pdf")
    ResponseEntity<byte[]> quotePdf(@PathVariable int number, @RequestParam(defaultValue = "") String kits) {
        String file = ContentDisposition.attachment()
                .filename("quote-job-%d.pdf".formatted(number))
                .build()
                .toString();
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, file)
                .body(paper.pdf("job/quote-paper", quote(number, kits)));
    }

    private QuoteView quote(int number, String kits) {
        OpenJob open = withCar(number);
        List<String> letters = kits.isBlank()
                ? List.of(open.design().isPresent() ? MatchView.CHOSEN : MatchView.letter(0))
                : MatchView.letters(kits);
        QuoteView quote = QuoteView.of(open, matching, tariff, letters, LocalDate.now(clock));
        if (quote.alternatives().isEmpty())
            throw new InvalidInput(
                    "kits",
                    "There is no kit \"%s\" in this job now; the list has changed. Go back to Match and choose again."
                            .formatted(kits));
        return quote;
    }

    @GetMapping("/jobs/{number}/match/why")
    String why(@PathVariable int number, Model model) {
        model.addAttribute("view", WhyNotView.of(withCar(number), matching));
        return "job/why";
    }

    @PostMapping("/jobs/{number}/match/stop")
    String stop(@PathVariable int number) {
        matching.stop(withCar(number));
        return "redirect:/jobs/%d/match".formatted(number);
    }

    @PostMapping("/jobs/{number}/match/go-on")
    String goOn(@PathVariable int number) {
        matching.goOn(withCar(number));
        return "redirect:/jobs/%d/match".formatted(number);
    }

    private OpenJob withCar(int number) {
        OpenJob open = desk.open(number);
        if (open.vehicle().isEmpty())
            throw new InvalidInput(
                    "vehicle",
                    "Job %d has no vehicle yet. Choose it at Arrive; kits are worked out for it.".formatted(number));
        return open;
    }
}
