package velvetbezel.web.prove;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import velvetbezel.store.JobCodec;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Say;

/** The next things of a search for its likeliest answers, sent ahead for work without a connection. */
record StepsAhead(Frame frame, List<Step> steps) {
    private static final int DEEP = 2;
    private static final int ANSWERS = 3;
    static final String ROOT = "root";

    /**
     * What comes next where something was answered.
     *
     * @param after the step before
     * @param name  field of the answer, and its value
     * @param ask   empty where nothing fits any more
     */
    record Step(String id, String after, String name, String value, String heading, String why, Optional<Ask> ask) {}

    static StepsAhead of(OpenJob open, Search search) {
        List<Step> steps = new ArrayList<>();
        add(open, search, next(open, search), ROOT, DEEP, steps);
        return new StepsAhead(Frame.of(open, Station.PROVE, Frame.Trouble.NONE), steps);
    }

    private static Optional<Ask> next(OpenJob open, Search search) {
        return new NextThing(open, search).of(search.diagnosis());
    }

    /** @param ask what this search asks next */
    private static void add(OpenJob open, Search search, Optional<Ask> ask, String id, int deep, List<Step> steps) {
        if (deep == 0) return;
        List<Ask.Answer> answers = ask.map(Ask::answers).orElse(List.of());
        for (int i = 0; i < Math.min(ANSWERS, answers.size()); i++) {
            Ask.Answer a = answers.get(i);
            Search then = search.after(List.of(JobCodec.change(a.field(), a.value())));
            Optional<Ask> next = next(open, then);
            String own = id + "." + i;
            steps.add(new Step(
                    own,
                    id,
                    a.field(),
                    a.value(),
                    next.map(Ask::title).orElse(Say.it("find.none.fits")),
                    next.map(Ask::why).orElse(Say.it("find.none.fits.verdict")),
                    next));
            add(open, then, next, own, deep - 1, steps);
        }
    }
}
