package velvetbezel.web.board;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import velvetbezel.job.Change;
import velvetbezel.job.Entry;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.store.Board;
import velvetbezel.store.JobArchive;
import velvetbezel.store.Jobs;
import velvetbezel.store.Library;
import velvetbezel.web.job.JobOpener;
import velvetbezel.web.job.KitWarmUp;
import velvetbezel.web.job.LoadedDevices;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Summaries;
import velvetbezel.web.shell.Download;
import velvetbezel.web.shell.Today;
import velvetbezel.web.shell.Who;

/** The list of jobs: open a new one, save one as an archive, take one in. */
@Controller
class BoardController {
    private static final int MOST_TITLE = 80;
    private final Jobs jobs;
    private final JobArchive archive;
    private final JobOpener opener;
    private final Library library;
    private final KitWarmUp warmUp;
    private final Board board;
    private final Summaries summaries;
    private final Clock clock;

    BoardController(
            Jobs jobs,
            JobArchive archive,
            JobOpener opener,
            Library library,
            KitWarmUp warmUp,
            Board board,
            Summaries summaries,
            Clock clock) {
        this.board = board;
        this.summaries = summaries;
        this.clock = clock;
        this.warmUp = warmUp;
        this.jobs = jobs;
        this.archive = archive;
        this.opener = opener;
        this.library = library;
    }

    @GetMapping("/")
    String start() {
        return "redirect:/jobs";
    }

    /** @param which open, handed_over or all */
    @GetMapping("/jobs")
    String list(
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "open") String which,
            @RequestParam(defaultValue = "0") int page,
            Model model) {
        Board.Which jobs = Arrays.stream(Board.Which.values())
                .filter(w -> w.name().equalsIgnoreCase(which))
                .findFirst()
                .orElse(Board.Which.OPEN);
        return show(new BoardView.Asked(q.strip(), jobs, Math.max(0, page)), model, List.of(), Map.of());
    }

    private String show(BoardView.Asked asked, Model model, List<InputProblem> faults, Map<String, String> typed) {
        LocalDate today = Today.at(clock);
        model.addAttribute("view", BoardView.of(asked, board, today, library.entries("vehicle"), faults, typed));
        return "board/board";
    }

    @PostMapping("/jobs")
    String create(
            @RequestParam String title,
            @RequestParam(defaultValue = "") String vehicle,
            Who.Person who,
            Model model,
            HttpServletResponse response) {
        String name = title.strip();
        if (name.isEmpty() || name.length() > MOST_TITLE) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            String fault = name.isEmpty()
                    ? "A job needs a name, such as \"Vet's crossover\"."
                    : "The name has %d characters; at most %d fit on the board. Shorten it."
                            .formatted(name.length(), MOST_TITLE);
            return show(
                    BoardView.Asked.NOTHING,
                    model,
                    List.of(new InputProblem("title", fault)),
                    Map.of("title", title, "vehicle", vehicle));
        }
        List<Change<?>> says =
                library.find(vehicle).isPresent() ? List.of(Change.set(new Entry.VehicleChosen(), vehicle)) : List.of();
        int number = jobs.create(name, who.name(), says).number();
        summaries.keep(number);
        warmUp.soon(number);
        return "redirect:/jobs/%d/arrive".formatted(number);
    }

    @PostMapping("/jobs/import")
    String take(@RequestParam MultipartFile archive, Who.Person who, Model model, HttpServletResponse response)
            throws IOException {
        try {
            int number = this.archive.read(archive.getBytes()).number();
            summaries.keep(number);
            return "redirect:/jobs/%d/arrive".formatted(number);
        } catch (InvalidInput e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return show(BoardView.Asked.NOTHING, model, e.faults(), Map.of());
        }
    }

    @GetMapping("/jobs/{number}/archive.zip")
    ResponseEntity<byte[]> archive(@PathVariable int number) {
        OpenJob open = opener.open(number);
        return Download.of(
                "job-%d.zip".formatted(number),
                MediaType.valueOf("application/zip"),
                archive.write(open.job(), LoadedDevices.files(open)));
    }
}
