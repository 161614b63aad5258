package velvetbezel.web.job;

import java.util.List;
import java.util.Optional;
import velvetbezel.function.CheckPhase;
import velvetbezel.job.Change;
import velvetbezel.job.DoneStep;
import velvetbezel.job.Entry;
import velvetbezel.prove.Result;
import velvetbezel.strip.StripStep;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/** Closing the dash while checks are open that need it open: asked at the step, and kept in the job. */
public final class Closing {
    private Closing() {}

    /** What is told at the first step that closes the dash; empty where nothing speaks against it. */
    public static String caution(OpenJob open) {
        String names = openChecks(open);
        return names.isEmpty() ? "" : Say.it("closing.open", names);
    }

    /** What a job keeps when a step closes the dash over open checks; nothing where it was said before. */
    static Optional<Change<?>> kept(OpenJob open, List<? extends Change<?>> made) {
        boolean closes = made.stream()
                .anyMatch(c -> c.value().isPresent()
                        && c.value().get() instanceof DoneStep d
                        && d.step().closes());
        if (!closes || !exchanged(open) || open.has(new Entry.ClosedWithOpenChecks())) return Optional.empty();
        String names = openChecks(open);
        return names.isEmpty() ? Optional.empty() : Optional.of(Change.set(new Entry.ClosedWithOpenChecks(), names));
    }

    private static boolean exchanged(OpenJob open) {
        return open.state().all(Entry.StepDone.class).stream()
                .flatMap(e -> open.state().get(e).stream())
                .anyMatch(d -> d.step() instanceof StripStep.Exchange);
    }

    private static String openChecks(OpenJob open) {
        return Words.list(open.tried().stream()
                .filter(t -> t.check().due() && t.check().function().phase() == CheckPhase.BEFORE_CLOSING)
                .filter(t -> t.result() == Result.OPEN || t.result() == Result.NOT_RIGHT)
                .map(t -> t.check().function().name())
                .toList());
    }
}
