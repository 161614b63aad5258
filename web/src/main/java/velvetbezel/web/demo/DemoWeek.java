package velvetbezel.web.demo;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import velvetbezel.function.FunctionId;
import velvetbezel.job.Change;
import velvetbezel.job.Design;
import velvetbezel.job.Entry;
import velvetbezel.job.Entry.Done;
import velvetbezel.prove.Baseline;
import velvetbezel.prove.Check;
import velvetbezel.prove.Result;
import velvetbezel.store.Board;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;
import velvetbezel.store.Sender;
import velvetbezel.units.Volts;
import velvetbezel.web.job.Changes;
import velvetbezel.web.job.JobOpener;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.SetUpView;
import velvetbezel.web.job.Summaries;
import velvetbezel.web.shell.Today;
import velvetbezel.worksheet.CapRow;
import velvetbezel.worksheet.JointRow;
import velvetbezel.worksheet.Reading;

/** The demo's jobs that are further on: one with parts due, one half wired, one with a failed check, one handed over. */
@Component
public class DemoWeek {
    private static final String INES = "Ines Hallam";
    private static final String TOMAS = "Tomas Berrow";
    private static final String MINIBUS = "corrick-ferryman-2006";
    private static final List<String> MINIBUS_PARTS =
            List.of("quillmoor-ferryman-frame", "thornlea-iso-steering", "kelfax-microphone");
    private final Jobs jobs;
    private final JobOpener opener;
    private final Changes changes;
    private final Board board;
    private final Summaries summaries;
    private final Clock clock;

    DemoWeek(Jobs jobs, JobOpener opener, Changes changes, Board board, Summaries summaries, Clock clock) {
        this.board = board;
        this.summaries = summaries;
        this.jobs = jobs;
        this.opener = opener;
        this.changes = changes;
        this.clock = clock;
    }

    /** Opens them and works on them as people would. */
    public void load() {
        LocalDate today = Today.at(clock);
        int waiting = open(
                "Piano tuner's crossover",
                "M. Tallow",
                "0555 0142",
                today.plusDays(4),
                "meridale-plover-2019-amplified");
        baseline(waiting);
        kit(
                waiting,
                "ondel-47",
                List.of(
                        "quillmoor-plover-panel",
                        "ashdyke-plover-module",
                        "marlstone-plover-iso-fed",
                        "kelfax-plover-camera-voice",
                        "kelfax-plover-usb",
                        "marlstone-plover-gps"));
        int half = open("Choir's minibus", "St. Orlan's Choir", "0555 0117", today.plusDays(1), MINIBUS);
        baseline(half);
        kit(half, "pebblefen-p2", MINIBUS_PARTS);
        join(half, 2);
        int failing = open("Ferry office's minibus", "Saltgate Ferries", "0555 0163", today, MINIBUS);
        baseline(failing);
        kit(failing, "pebblefen-p2", MINIBUS_PARTS);
        join(failing, 1);
        close(failing);
        prove(failing, "rear left");
        int gone = open("Sailing school's minibus", "Cormorant Sailing", "0555 0128", today.minusDays(3), MINIBUS);
        baseline(gone);
        kit(gone, "pebblefen-p2", MINIBUS_PARTS);
        join(gone, 1);
        close(gone);
        prove(gone, "");
        made(gone, INES, List.of(Change.set(new Entry.HandedOver(), Done.DONE)));
        board.outdated().forEach(summaries::keep);
    }

    private int open(String title, String customer, String phone, LocalDate due, String vehicle) {
        return jobs.create(
                        title,
                        TOMAS,
                        List.of(
                                Change.set(new Entry.CustomerNamed(), customer),
                                Change.set(new Entry.PhoneNoted(), phone),
                                Change.set(new Entry.DueBy(), due),
                                Change.set(new Entry.VehicleChosen(), vehicle)))
                .number();
    }

    private void made(int job, String who, List<? extends Change<?>> made) {
        OpenJob open = opener.open(job);
        changes.change(open, Sender.named(who), open.job().seq(), made);
    }

    private Design design(int job) {
        return opener.open(job).design().orElseThrow();
    }

    private void baseline(int job) {
        made(
                job,
                TOMAS,
                opener.open(job).had().stream()
                        .map(f -> Change.set(new Entry.BaselineTaken(f), Baseline.WORKED))
                        .toList());
    }

    private void kit(int job, String radio, List<String> parts) {
        made(
                job,
                INES,
                List.of(Change.set(new Entry.RadioChosen(), radio), Change.set(new Entry.PartsChosen(), parts)));
    }

    /** @param each of how many joints one is made */
    private void join(int job, int each) {
        List<Change<?>> ticks = new ArrayList<>();
        List<JointRow> joints = design(job).worksheet().joints();
        for (JointRow j : joints.subList(0, joints.size() / each))
            ticks.add(Change.set(new Entry.JointMade(j.id()), Done.DONE));
        made(job, INES, ticks);
    }

    /** Read back, measured, capped and set up. */
    private void close(int job) {
        Design design = design(job);
        List<Change<?>> ticks = new ArrayList<>();
        for (JointRow j : design.worksheet().joints()) {
            ticks.add(Change.set(new Entry.ReadBack(j.id()), Entry.Agreement.AGREES));
            for (Reading r : j.readings())
                ticks.add(Change.set(
                        new Entry.ReadingTaken(r.at(), r.state()),
                        new Volts(r.expected().value())));
        }
        for (CapRow c : design.worksheet().caps())
            ticks.add(Change.set(new Entry.CapMade(c.lead().id()), Done.DONE));
        for (SetUpView.Line l : SetUpView.of(opener.open(job)))
            ticks.add(JobCodec.change(l.setField(), JobCodec.TICKED));
        made(job, INES, ticks);
    }

    /** @param failing function that does not work; empty for none */
    private void prove(int job, String failing) {
        List<Change<?>> results = new ArrayList<>();
        for (Check c : design(job).plan().checks())
            results.add(Change.set(
                    new Entry.ResultGiven(c.function().id()),
                    c.function().id().text().equals(failing) ? Result.NOT_RIGHT : Result.RIGHT));
        if (!failing.isEmpty())
            results.add(Change.set(new Entry.ResultNoted(new FunctionId(failing)), "Crackles when the seat is moved."));
        made(job, TOMAS, results);
    }
}
