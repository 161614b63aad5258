package velvetbezel.web.match;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.KitSearch;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Paper;
import velvetbezel.web.job.Rates;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Download;

/** Match: the kits, and beside them substitutes, reasons, extras, goods-in, the quote and the work behind it. */
@Controller
class MatchController {
    private final KitSearch search;
    private final Rates rates;
    private final Paper paper;
    private final Clock clock;

    MatchController(KitSearch search, Rates.Source rates, Paper paper, Clock clock) {
        this.search = search;
        this.rates = rates.rates();
        this.paper = paper;
        this.clock = clock;
    }

    /** @param kits the letters of those on show; @param radio kits with this one only; @param all every one */
    @GetMapping("/jobs/{number}/match")
    String page(
            OpenJob open,
            Frame.Trouble trouble,
            @RequestParam(defaultValue = "") String kits,
            @RequestParam(defaultValue = "") String radio,
            @RequestParam Optional<String> all,
            Model model) {
        MatchView.Asked asked = new MatchView.Asked(kits, radio, all.isPresent());
        model.addAttribute(
                "view", MatchView.of(open, open.vehicle().map(v -> search.kits(open)), search, asked, trouble));
        return "match/match";
    }

    @GetMapping("/jobs/{number}/match/instead")
    String instead(OpenJob open, @RequestParam String kit, @RequestParam String part, Model model) {
        withCar(open);
        model.addAttribute(
                "view",
                InsteadView.of(open, search, kit, part)
                        .orElseThrow(() -> new InvalidInput(
                                "kit",
                                "There is no kit \"%s\" with the part \"%s\" in this job now; the list has changed. Go back to Match and choose again."
                                        .formatted(kit, part))));
        return "match/instead";
    }

    @GetMapping("/jobs/{number}/extras")
    String extras(OpenJob open, Model model) {
        model.addAttribute("view", ExtrasView.of(withCar(open), search, rates));
        return "match/extras";
    }

    @GetMapping("/jobs/{number}/labour")
    String labour(OpenJob open, Frame.Trouble trouble, Model model) {
        model.addAttribute("view", LabourView.of(withCar(open), search, rates, trouble));
        return "match/labour";
    }

    @GetMapping("/jobs/{number}/goods-in")
    String goodsIn(OpenJob open, Model model) {
        model.addAttribute("view", GoodsInView.of(withCar(open)));
        return "match/goods-in";
    }

    @GetMapping("/jobs/{number}/quote")
    String quote(OpenJob open, @RequestParam(defaultValue = "") String kits, Model model) {
        model.addAttribute("view", quote(open, kits));
        return "match/quote";
    }

    /** The same as a file. */
    @GetMapping("/jobs/{number}/quote.pdf")
    ResponseEntity<byte[]> quotePdf(OpenJob open, @RequestParam(defaultValue = "") String kits) {
        return Download.of(
                "quote-job-%d.pdf".formatted(open.job().number()),
                MediaType.APPLICATION_PDF,
                paper.pdf("match/quote-paper", quote(open, kits)));
    }

    private QuoteView quote(OpenJob open, String kits) {
        withCar(open);
        List<String> letters = kits.isBlank()
                ? List.of(open.design().isPresent() ? MatchView.CHOSEN : MatchView.letter(0))
                : MatchView.letters(kits);
        QuoteView quote = QuoteView.of(open, search, rates, letters, LocalDate.now(clock));
        if (quote.alternatives().isEmpty())
            throw new InvalidInput(
                    "kits",
                    "There is no kit \"%s\" in this job now; the list has changed. Go back to Match and choose again."
                            .formatted(kits));
        return quote;
    }

    @GetMapping("/jobs/{number}/match/why")
    String why(OpenJob open, Model model) {
        model.addAttribute("view", WhyNotView.of(withCar(open), search));
        return "match/why";
    }

    @PostMapping("/jobs/{number}/match/stop")
    String stop(OpenJob open) {
        search.stop(withCar(open));
        return "redirect:" + open.path(Station.MATCH);
    }

    @PostMapping("/jobs/{number}/match/go-on")
    String goOn(OpenJob open) {
        search.goOn(withCar(open));
        return "redirect:" + open.path(Station.MATCH);
    }

    private static OpenJob withCar(OpenJob open) {
        if (open.vehicle().isEmpty())
            throw new InvalidInput(
                    "vehicle",
                    "Job %d has no vehicle yet. Choose it at Arrive; kits are worked out for it."
                            .formatted(open.job().number()));
        return open;
    }
}
