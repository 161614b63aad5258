package velvetbezel.web.job;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import velvetbezel.circuit.Spice;
import velvetbezel.run.Picture;
import velvetbezel.run.Run;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;

/** The worksheet as files: for print, for the leads themselves, for a simulator. */
@Controller
class WireController {
    private static final VehicleState ON =
            VehicleState.AT_REST.with(StateField.KEY, "run").with(StateField.LAMPS, "on");
    private final JobOpener desk;
    private final Paper paper;
    private final Clock clock;

    WireController(JobOpener desk, Paper paper, Clock clock) {
        this.desk = desk;
        this.paper = paper;
        this.clock = clock;
    }

    @GetMapping("/jobs/{number}/wire.pdf")
    ResponseEntity<byte[]> worksheet(@PathVariable int number, @RequestParam(defaultValue = "a4") String paper) {
        return pdf("worksheet", "job/wire-paper", number, paper);
    }

    @GetMapping("/jobs/{number}/labels.pdf")
    ResponseEntity<byte[]> labels(@PathVariable int number, @RequestParam(defaultValue = "a4") String paper) {
        return pdf("labels", "job/labels-paper", number, paper);
    }

    private ResponseEntity<byte[]> pdf(String name, String template, int number, String size) {
        OpenJob open = withKit(number);
        byte[] body = paper.pdf(template, PaperView.of(open, PaperView.Size.read(size), clock.instant()));
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("%s-job-%d.pdf".formatted(name, number))
                                .build()
                                .toString())
                .body(body);
    }

    /** Key on, lamps on. */
    @GetMapping("/jobs/{number}/wire.cir")
    ResponseEntity<byte[]> netlist(@PathVariable int number) {
        OpenJob open = withKit(number);
        Run run = Run.of(open.design().orElseThrow().installation());
        Picture picture = run.in(ON, run.start()).picture();
        return ResponseEntity.ok()
                .contentType(MediaType.TEXT_PLAIN)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("job-%d.cir".formatted(number))
                                .build()
                                .toString())
                .body(Spice.write("job %d, key on, lamps on".formatted(number), picture.netlist())
                        .getBytes(StandardCharsets.UTF_8));
    }

    private OpenJob withKit(int number) {
        OpenJob open = desk.open(number);
        if (open.design().isEmpty())
            throw new InvalidInput(
                    "kit",
                    "Job %d has no kit yet. Choose one at Match; the worksheet is computed from it.".formatted(number));
        return open;
    }
}
