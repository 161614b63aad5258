package velvetbezel.web.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import velvetbezel.function.Catalogue;
import velvetbezel.job.Against;
import velvetbezel.job.Change;
import velvetbezel.job.Consequences;
import velvetbezel.job.DoneStep;
import velvetbezel.job.Entry;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.store.Job;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;
import velvetbezel.store.Sender;
import velvetbezel.strip.EventCheck;

/** Takes in what a person changed at a job: checked as a whole, then written and logged as one change. */
@Service
public class Changes {
    private final JobOpener opener;
    private final Jobs jobs;
    private final KitWarmUp warmUp;
    private final Summaries summaries;

    Changes(JobOpener opener, Jobs jobs, KitWarmUp warmUp, Summaries summaries) {
        this.summaries = summaries;
        this.opener = opener;
        this.jobs = jobs;
        this.warmUp = warmUp;
    }

    /**
     * @param seen  the job's seq when the page was loaded
     * @param typed key of an entry to what was typed; an empty text takes the entry away
     * @param shown by key, what the page showed of the design that the entry speaks of
     * @throws InvalidInput with every fault; nothing is written then
     * @throws OtherDesign  if the page showed another kit
     * @throws velvetbezel.store.StaleEdit if somebody else changed one of the entries since
     */
    void change(OpenJob before, Sender by, long seen, Map<String, String> typed, Map<String, String> shown) {
        List<Change<?>> made = read(typed, before.catalogue());
        if (first(made).isEmpty()) refuseOtherDesign(before, made, shown);
        refuseSteps(before, made);
        change(before, by, seen, made);
    }

    /** A step at the dash must be one that can have been done to it as it stands. */
    private static void refuseSteps(OpenJob open, List<Change<?>> made) {
        OpenDash dash = open.dash();
        if (dash.sheet().isEmpty()) return;
        EventCheck check = new EventCheck(dash.sheet().get());
        List<InputProblem> faults = new ArrayList<>();
        for (Change<?> c : made)
            if (c.value().isPresent() && c.value().get() instanceof DoneStep d)
                check.refused(dash.car(), d.step())
                        .ifPresent(why -> faults.add(new InputProblem(JobCodec.key(c.entry()), why)));
        if (!faults.isEmpty()) throw new InvalidInput(faults);
    }

    private static void refuseOtherDesign(OpenJob open, List<Change<?>> made, Map<String, String> shown) {
        List<InputProblem> faults = new ArrayList<>();
        for (Change<?> c : made) {
            if (c.value().isEmpty() || !Against.speaksOf(c.entry())) continue;
            String key = JobCodec.key(c.entry());
            Optional<String> now = open.design().flatMap(d -> Against.words(c.entry(), d));
            if (now.isPresent() && now.get().equals(shown.getOrDefault(key, now.get()))) continue;
            faults.add(new InputProblem(
                    key,
                    "%s: your page showed %s; in the kit chosen now %s. Nothing was saved; look again before you go on."
                            .formatted(
                                    new Phrases(open).entry(c.entry()),
                                    Optional.ofNullable(shown.get(key))
                                            .map("\"%s\""::formatted)
                                            .orElse("it for another kit"),
                                    now.map("it is \"%s\""::formatted).orElse("there is none"))));
        }
        if (!faults.isEmpty()) throw new OtherDesign(faults);
    }

    /** What was ticked or found belongs to another kit than the one chosen now. */
    static final class OtherDesign extends RuntimeException {
        private static final long serialVersionUID = 1;
        private final transient List<InputProblem> faults;

        private OtherDesign(List<InputProblem> faults) {
            this.faults = faults;
        }

        List<InputProblem> faults() {
            return faults;
        }
    }

    /** As above, with changes that nobody typed. */
    public void change(OpenJob before, Sender by, long seen, List<? extends Change<?>> made) {
        Optional<Change<?>> rewires = first(made).or(() -> decides(before, made));
        OpenJob after = rewires.isPresent() ? after(before, made, rewires.get()) : before;
        String what = new Phrases(after).changes(made);
        List<Change<?>> all = new ArrayList<>(made);
        all.addAll(Consequences.ofSetting(before.state(), before.design(), made));
        all.addAll(Consequences.ofSymptom(before.state(), made));
        Closing.kept(before, made).ifPresent(all::add);
        if (after != before) all.addAll(Consequences.of(before.state(), before.design(), after.design()));
        jobs.change(before.job().id(), by, what, seen, all);
        summaries.keep(before.job().number());
        if (after != before) warmUp.soon(before.job().number());
    }

    /** @param entry the change that the person means; false where that is not the last one any more */
    boolean undo(OpenJob open, String who, long entry) {
        boolean undone = jobs.undo(open.job().id(), who, entry).isPresent();
        if (undone) summaries.keep(open.job().number());
        return undone;
    }

    private static Optional<Change<?>> first(List<? extends Change<?>> made) {
        return made.stream()
                .filter(c -> c.entry() instanceof Entry.Rewires)
                .findFirst()
                .map(c -> c);
    }

    /** What the settings of a kit are to be hangs on wishes and on what tells look-alike cars apart. */
    private static Optional<Change<?>> decides(OpenJob before, List<? extends Change<?>> made) {
        if (before.design().isEmpty()) return Optional.empty();
        return made.stream()
                .filter(c -> c.entry() instanceof Entry.WishMade || c.entry() instanceof Entry.TraitSeen)
                .findFirst()
                .map(c -> c);
    }

    private static List<Change<?>> read(Map<String, String> typed, Catalogue catalogue) {
        List<Change<?>> changes = JobCodec.changes(typed);
        List<InputProblem> faults = changes.stream()
                .filter(c -> c.entry() instanceof Entry.OfFunction of
                        && catalogue.find(of.function()).isEmpty())
                .map(c -> new InputProblem(
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
        OpenJob after = opener.open(new Job(
                job.id(), job.number(), job.title(), job.seq(), job.state().with(made)));
        if (!after.trouble().isEmpty())
            throw new InvalidInput(after.trouble().stream()
                    .map(t -> new InputProblem(JobCodec.key(rewires.entry()), t))
                    .toList());
        return after;
    }
}
