package velvetbezel.web.wire;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import velvetbezel.circuit.Spice;
import velvetbezel.run.Picture;
import velvetbezel.run.Run;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Paper;
import velvetbezel.web.shell.Download;

/** Wire: the worksheet, one joint, one at a time at the bench, loads; and as files for print, leads and a simulator. */
@Controller
class WireController {
    private static final VehicleState ON =
            VehicleState.AT_REST.with(StateField.KEY, "run").with(StateField.LAMPS, "on");
    private final Paper paper;
    private final Clock clock;

    WireController(Paper paper, Clock clock) {
        this.paper = paper;
        this.clock = clock;
    }

    @GetMapping("/jobs/{number}/wire")
    String page(OpenJob open, Frame.Trouble trouble, @RequestParam Optional<String> read, Model model) {
        model.addAttribute("view", WireView.of(open, read.isPresent(), trouble));
        return "wire/wire";
    }

    @GetMapping("/jobs/{number}/joint")
    String joint(OpenJob open, Frame.Trouble trouble, @RequestParam(defaultValue = "") String joint, Model model) {
        // moving its last lead but one away takes a joint away, and the person with it
        if (JointView.find(open, joint).isEmpty()) return page(open, trouble, Optional.empty(), model);
        model.addAttribute("view", JointView.of(open, joint, trouble));
        return "wire/joint";
    }

    /** @param a a colour in hand; @param b the other one */
    @GetMapping("/jobs/{number}/bench")
    String bench(
            OpenJob open,
            Frame.Trouble trouble,
            @RequestParam(defaultValue = "") String joint,
            @RequestParam Optional<String> read,
            @RequestParam(defaultValue = "") String a,
            @RequestParam(defaultValue = "") String b,
            Model model) {
        BenchView.Asked asked = new BenchView.Asked(joint, read.isPresent(), a, b);
        model.addAttribute("view", BenchView.of(open, asked, trouble));
        return "wire/bench";
    }

    @GetMapping("/jobs/{number}/bench/ahead")
    String ahead(OpenJob open, @RequestParam Optional<String> read, Model model) {
        model.addAttribute("view", BenchView.Ahead.of(open, read.isPresent()));
        return "wire/bench-ahead";
    }

    @GetMapping("/jobs/{number}/loads")
    String loads(OpenJob open, Frame.Trouble trouble, Model model) {
        model.addAttribute("view", LoadsView.of(open, trouble));
        return "wire/loads";
    }

    @GetMapping("/jobs/{number}/wire.pdf")
    ResponseEntity<byte[]> worksheet(OpenJob open, @RequestParam(defaultValue = "a4") String paper) {
        return pdf("worksheet", "wire/wire-paper", open, paper);
    }

    @GetMapping("/jobs/{number}/labels.pdf")
    ResponseEntity<byte[]> labels(OpenJob open, @RequestParam(defaultValue = "a4") String paper) {
        return pdf("labels", "wire/labels-paper", open, paper);
    }

    private ResponseEntity<byte[]> pdf(String name, String template, OpenJob open, String size) {
        needsKit(open);
        byte[] body = paper.pdf(template, PaperView.of(open, PaperView.Size.read(size), clock.instant()));
        return Download.of("%s-job-%d.pdf".formatted(name, open.job().number()), MediaType.APPLICATION_PDF, body);
    }

    /** Key on, lamps on. */
    @GetMapping("/jobs/{number}/wire.cir")
    ResponseEntity<byte[]> netlist(OpenJob open) {
        needsKit(open);
        int number = open.job().number();
        Run run = Run.of(open.design().orElseThrow().installation());
        Picture picture = run.in(ON, run.start()).picture();
        String spice = Spice.write("job %d, key on, lamps on".formatted(number), picture.netlist());
        return Download.of(
                "job-%d.cir".formatted(number), MediaType.TEXT_PLAIN, spice.getBytes(StandardCharsets.UTF_8));
    }

    private static void needsKit(OpenJob open) {
        if (open.design().isEmpty())
            throw new InvalidInput(
                    "kit",
                    "Job %d has no kit yet. Choose one at Match; the worksheet is computed from it."
                            .formatted(open.job().number()));
    }
}
