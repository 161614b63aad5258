package velvetbezel.web.openup;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.util.Locale;
import java.util.Map;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.View;
import velvetbezel.web.job.ChangeAnswer;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Paper;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Download;
import velvetbezel.web.shell.Who;

/** Open up: the order at the bench, one step at a time in the car, the trays, any other order tried, and on paper. */
@Controller
class OpenUpController {
    private final Recording recording;
    private final OwnTimes times;
    private final Paper paper;
    private final Clock clock;

    OpenUpController(Recording recording, OwnTimes times, Paper paper, Clock clock) {
        this.recording = recording;
        this.times = times;
        this.paper = paper;
        this.clock = clock;
    }

    @GetMapping("/jobs/{number}/open-up")
    String page(OpenJob open, Frame.Trouble trouble, Who.Person who, Model model) {
        Course course = Course.of(open);
        model.addAttribute("view", OpenUpView.of(open, course, trouble));
        model.addAttribute("own", TimesView.line(course, times.of(open, who.name())));
        return "openup/open-up";
    }

    @GetMapping("/jobs/{number}/in-car")
    String inCar(OpenJob open, Frame.Trouble trouble, Who.Person who, Model model) {
        model.addAttribute("view", InCarView.of(open, device(who), trouble));
        return "openup/in-car";
    }

    @GetMapping("/jobs/{number}/in-car/ahead")
    String ahead(OpenJob open, Who.Person who, Model model) {
        model.addAttribute("view", InCarView.Ahead.of(open, device(who)));
        return "openup/in-car-ahead";
    }

    /** What this person took, and takes. */
    @GetMapping("/jobs/{number}/times")
    String times(OpenJob open, Frame.Trouble trouble, Who.Person who, Model model) {
        model.addAttribute("view", TimesView.of(open, times.of(open, who.name()), trouble));
        return "openup/times";
    }

    @GetMapping("/jobs/{number}/trays")
    String trays(OpenJob open, Frame.Trouble trouble, @RequestParam(defaultValue = "") String tool, Model model) {
        model.addAttribute("view", TraysView.of(open, tool, trouble));
        return "openup/trays";
    }

    /** @param steps one a line; without them the order that is planned */
    @GetMapping("/jobs/{number}/try-order")
    String tryOrder(OpenJob open, Frame.Trouble trouble, @RequestParam(defaultValue = "") String steps, Model model) {
        model.addAttribute("view", TryOrderView.of(open, steps, trouble));
        return "openup/try-order";
    }

    @GetMapping("/jobs/{number}/record")
    String record(OpenJob open, Frame.Trouble trouble, Model model) {
        model.addAttribute("view", RecordView.of(open, recording, trouble));
        return "openup/record";
    }

    /** @param typed what was done and to which part */
    @PostMapping("/jobs/{number}/record")
    View record(
            OpenJob open,
            @RequestParam long seen,
            @RequestParam String back,
            @RequestParam Map<String, String> typed,
            @RequestParam(defaultValue = "") String change,
            @RequestHeader(name = ChangeAnswer.QUEUE, defaultValue = "") String queue,
            Who.Person who,
            HttpServletResponse response) {
        return ChangeAnswer.of(open, back, queue, response)
                .to(
                        typed,
                        () -> recording.record(
                                open, ChangeAnswer.sender(who, change, typed), seen, device(who), typed));
    }

    @PostMapping("/jobs/{number}/record/sheet")
    String makeSheet(OpenJob open, Who.Person who) {
        recording.makeSheet(open, who.name());
        return "redirect:" + open.path(Station.OPEN_UP);
    }

    @GetMapping("/jobs/{number}/open-up.pdf")
    ResponseEntity<byte[]> print(OpenJob open, @RequestParam(defaultValue = "a4") String paper) {
        byte[] body = this.paper.pdf("openup/open-up-paper", OpenUpPaper.of(open, paper, clock.instant()));
        return Download.of("open-up-job-%d.pdf".formatted(open.job().number()), MediaType.APPLICATION_PDF, body);
    }

    /** Two devices are two hands: each says its steps under its own name. */
    private static String device(Who.Person who) {
        String letters = who.device().toLowerCase(Locale.ROOT).replaceAll("[^0-9a-z]", "");
        return letters.isEmpty() ? "desk" : letters.substring(0, Math.min(4, letters.length()));
    }
}
