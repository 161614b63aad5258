package velvetbezel.web.controls;

import java.io.IOException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import velvetbezel.controls.SetUpFile;
import velvetbezel.job.Change;
import velvetbezel.job.Entry;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.simulate.Faults;
import velvetbezel.store.Sender;
import velvetbezel.store.SetUpFiles;
import velvetbezel.web.job.Changes;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.LoadedDevices;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Paper;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Download;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Who;

/** Controls: settings, the keys of the wheel, and what of it goes on paper. */
@Controller
class ControlsController {
    private static final double TEN_THOUSAND = 10_000;

    private final Paper paper;
    private final Clock clock;
    private final StandIns standIns;
    private final Changes changes;

    ControlsController(Paper paper, Clock clock, StandIns standIns, Changes changes) {
        this.changes = changes;
        this.paper = paper;
        this.clock = clock;
        this.standIns = standIns;
    }

    @GetMapping("/jobs/{number}/controls")
    String page(
            OpenJob open,
            Frame.Trouble trouble,
            @RequestParam(defaultValue = "") String press,
            @RequestParam(defaultValue = "false") boolean held,
            Model model) {
        model.addAttribute("view", ControlsView.of(open, standIns, trouble, new WheelView.Asked(press, held)));
        return "controls/controls";
    }

    /** What each button does, for the driver's wallet. */
    @GetMapping("/jobs/{number}/card.pdf")
    ResponseEntity<byte[]> card(OpenJob open) {
        return pdf(open, "card", "controls/card", CardView.of(withKit(open), LocalDate.now(clock)));
    }

    /** What is plugged into what, and set to what. */
    @GetMapping("/jobs/{number}/guide.pdf")
    ResponseEntity<byte[]> guide(OpenJob open) {
        return pdf(open, "guide", "controls/guide", GuideView.of(withKit(open), LocalDate.now(clock)));
    }

    /** @param device its id in the installation */
    @GetMapping("/jobs/{number}/set-up.json")
    ResponseEntity<byte[]> setUp(OpenJob open, @RequestParam String device) {
        SetUpFile file = file(open, device);
        return Download.of(
                "set-up-job-%d-%s.json".formatted(open.job().number(), file.serial()),
                MediaType.APPLICATION_JSON,
                SetUpFiles.write(file));
    }

    /** Whether a file is what this job loads into a device. */
    @PostMapping("/jobs/{number}/set-up/compare")
    String compare(
            OpenJob open,
            Frame.Trouble trouble,
            @RequestParam String device,
            @RequestParam MultipartFile file,
            Model model)
            throws IOException {
        SetUpFile now = file(open, device);
        List<String> said;
        try {
            said = FileWords.compared(SetUpFiles.read(file.getBytes()), now);
        } catch (InvalidInput e) {
            said = e.faults().stream()
                    .map(f -> Say.it("file.refused", f.field(), f.message()))
                    .toList();
        }
        model.addAttribute(
                "view",
                ControlsView.of(open, standIns, trouble, WheelView.Asked.NOTHING)
                        .compared(device, said));
        return "controls/controls";
    }

    /**
     * Loads the set-up into the stand-in, which can be made to fail.
     *
     * @param unplug bytes after which the line is cut; below zero never
     * @param garble bytes of ten thousand that arrive as others
     */
    @PostMapping("/jobs/{number}/load")
    String load(
            OpenJob open,
            @RequestParam String device,
            @RequestParam(defaultValue = "RIGHT") StandIns.Which which,
            @RequestParam(defaultValue = "") String unplug,
            @RequestParam(defaultValue = "") String garble) {
        SetUpFile file = file(open, device);
        Faults faults = new Faults(
                unplug.isBlank() ? Faults.NONE.unplugAfter() : whole("unplug", unplug),
                garble.isBlank() ? 0 : whole("garble", garble) / TEN_THOUSAND,
                open.job().seq());
        standIns.load(open.job().number(), device, file, which, faults);
        return "redirect:" + open.path(Station.CONTROLS);
    }

    @PostMapping("/jobs/{number}/load/cancel")
    String cancel(OpenJob open, @RequestParam String device) {
        standIns.cancel(open.job().number(), device);
        return "redirect:" + open.path(Station.CONTROLS);
    }

    /** The stand-in goes back to what was in force before. */
    @PostMapping("/jobs/{number}/load/back")
    String back(OpenJob open, @RequestParam String device) {
        standIns.goBack(open.job().number(), device, file(open, device));
        return "redirect:" + open.path(Station.CONTROLS);
    }

    /** What was loaded and read back counts as set. */
    @PostMapping("/jobs/{number}/load/record")
    String record(OpenJob open, @RequestParam String device, Who.Person who) {
        if (!InterfaceView.inForce(open, standIns, device))
            throw new InvalidInput("device", Say.it("load.not.in.force"));
        List<Change<Entry.Evidence>> made = InterfaceView.toSet(open, device)
                .map(id -> Change.set(new Entry.SettingMade(id), Entry.Evidence.READ_BACK))
                .toList();
        changes.change(open, Sender.named(who.name()), open.job().seq(), made);
        return "redirect:" + open.path(Station.CONTROLS);
    }

    private static SetUpFile file(OpenJob open, String device) {
        return LoadedDevices.file(withKit(open), device)
                .orElseThrow(() -> new InvalidInput("serial", Say.it("file.no.serial")));
    }

    private static int whole(String field, String typed) {
        if (!typed.strip().matches("\\d{1,5}")) throw new InvalidInput(field, Say.it("load.no.number", typed.strip()));
        return Integer.parseInt(typed.strip());
    }

    private ResponseEntity<byte[]> pdf(OpenJob open, String name, String template, Object view) {
        return Download.of(
                "%s-job-%d.pdf".formatted(name, open.job().number()),
                MediaType.APPLICATION_PDF,
                paper.pdf(template, view));
    }

    private static OpenJob withKit(OpenJob open) {
        if (open.design().isEmpty())
            throw new InvalidInput(
                    "radio",
                    Say.it("controls.paper.no.kit", String.valueOf(open.job().number())));
        return open;
    }
}
