package velvetbezel.web.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import velvetbezel.function.Catalogue;
import velvetbezel.job.Change;
import velvetbezel.job.Consequences;
import velvetbezel.job.Entry;
import velvetbezel.sheet.Fault;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.store.Job;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;

/** Takes in what a person changed at a job: checked as a whole, then written and logged as one change. */
@Service
class Changes {
    private final Desk desk;
    private final Jobs jobs;
    private final WarmUp warmUp;

    Changes(Desk desk, Jobs jobs, WarmUp warmUp) {
        this.desk = desk;
        this.jobs = jobs;
        this.warmUp = warmUp;
    }

    /**
     * @param seen  the job's seq when the page was loaded
     * @param typed key of an entry to what was typed; an empty text takes the entry away
     * @throws InvalidInput with every fault; nothing is written then
     * @throws velvetbezel.store.StaleEdit if somebody else changed one of the entries since
     */
    void change(int number, String who, long seen, Map<String, String> typed) {
        OpenJob before = desk.open(number);
        change(before, who, seen, read(typed, before.catalogue()));
    }

    /** As above, with changes that nobody typed. */
    void change(OpenJob before, String who, long seen, List<? extends Change<?>> made) {
        Optional<Change<?>> rewires = first(made);
        OpenJob after = rewires.isPresent() ? after(before, made, rewires.get()) : before;
        String what = new Phrases(after).changes(made);
        List<Change<?>> all = new ArrayList<>(made);
        if (after != before) all.addAll(Consequences.of(before.state(), before.design(), after.design()));
        jobs.change(before.job().id(), who, what, seen, all);
        if (after != before) warmUp.soon(before.job().number());
    }

    private static Optional<Change<?>> first(List<? extends Change<?>> made) {
        return made.stream()
                .filter(c -> c.entry() instanceof Entry.Rewires)
                .findFirst()
                .map(c -> c);
    }

    private static List<Change<?>> read(Map<String, String> typed, Catalogue catalogue) {
        List<Change<?>> changes = JobCodec.changes(typed);
        List<Fault> faults = changes.stream()
                .filter(c -> c.entry() instanceof Entry.OfFunction of
                        && catalogue.find(of.function()).isEmpty())
                .map(c -> new Fault(
                        JobCodec.key(c.entry()),
                        "\"%s\" is no function of the catalogue; it has %s."
                                .formatted(
                                        ((Entry.OfFunction) c.entry()).function(),
                                        catalogue.functions().stream()
                                                .map(f -> f.id().text())
                                                .collect(Collectors.joining(", ")))))
                .toList();
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        return changes;
    }

    /** The job as it would be; what cannot be built is refused at the entry that was changed. */
    private OpenJob after(OpenJob before, List<? extends Change<?>> made, Change<?> rewires) {
        Job job = before.job();
        OpenJob after = desk.open(new Job(
                job.id(), job.number(), job.title(), job.seq(), job.state().with(made)));
        if (!after.trouble().isEmpty())
            throw new InvalidInput(after.trouble().stream()
                    .map(t -> new Fault(JobCodec.key(rewires.entry()), t))
                    .toList());
        return after;
    }
}
