package velvetbezel.web.openup;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import velvetbezel.job.Entry;
import velvetbezel.sheet.strip.Count;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.state.StateField;
import velvetbezel.store.JobCodec;
import velvetbezel.strip.CarState;
import velvetbezel.strip.HazardFinding;
import velvetbezel.strip.Severity;
import velvetbezel.strip.StepText;
import velvetbezel.strip.StripStep;
import velvetbezel.web.job.BeforePower;
import velvetbezel.web.job.Closing;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.PhotoLine;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Say;

/**
 * Open up in the car: one step in the hand, and always in sight how the car stands.
 *
 * @param plan  whether there is an order to follow
 * @param field     of what was done instead of the step in hand
 * @param elseNumber the number in that field
 */
public record InCarView(
        Frame frame,
        boolean plan,
        String heading,
        Optional<Card> current,
        List<Other> others,
        List<StepLine.Hazard> lately,
        List<PhotoLine> photos,
        String field,
        int elseNumber) {
    /** Numbers of steps are so far apart that what was done instead finds room before the next. */
    static final int APART = 100;

    /**
     * A step in the hand.
     *
     * @param field  of the job that it is said in
     * @param value  what is said when it is done as asked
     * @param counts other numbers of fasteners that may have come out or gone in
     */
    public record Card(
            int number,
            int of,
            String field,
            String value,
            String what,
            List<String> how,
            String tool,
            boolean test,
            List<StepLine.Hazard> cautions,
            List<Counted> counts,
            Standing standing) {}

    public record Counted(String label, String value) {}

    /** How the car stands before a step. */
    public record Standing(List<Word> words, String off, String tray) {}

    /** @param rest whether it is as a parked car has it */
    public record Word(String name, String word, boolean rest) {}

    /** A kind of step that may be done instead. */
    public record Other(String name, List<Counted> steps) {}

    /** All cards from here on, sent ahead. */
    public record Ahead(Frame frame, List<Card> cards, String heading) {
        static Ahead of(OpenJob open, String device) {
            Course course = Course.of(open);
            return new Ahead(
                    Frame.of(open, Station.OPEN_UP, Frame.Trouble.NONE),
                    InCarView.cards(open, course, device),
                    OpenUpView.heading(open, course));
        }
    }

    static InCarView of(OpenJob open, String device, Frame.Trouble trouble) {
        Course course = Course.of(open);
        List<Card> cards = cards(open, course, device);
        return new InCarView(
                Frame.of(open, Station.OPEN_UP, trouble),
                course.plan().found().isPresent(),
                OpenUpView.heading(open, course),
                cards.stream().findFirst(),
                new OtherSteps(course.dash()).all(),
                lately(course),
                PhotoLine.of(open),
                field(instead(open), device),
                instead(open));
    }

    /** What the last step brought about, where that is more than a caution. */
    private static List<StepLine.Hazard> lately(Course course) {
        return course.found().stream()
                .filter(f -> f.step() == course.done() - 1 && f.severity() != Severity.CAUTION)
                .map(StepLine.Hazard::of)
                .toList();
    }

    /** Before the step in hand, after everything that was done. */
    private static int instead(OpenJob open) {
        return last(open) + 1;
    }

    static int next(OpenJob open) {
        return (last(open) / APART + 1) * APART;
    }

    private static int last(OpenJob open) {
        return open.state().all(Entry.StepDone.class).stream()
                .mapToInt(e -> Integer.parseInt(e.id().substring(0, e.id().indexOf('-'))))
                .max()
                .orElse(0);
    }

    private static String field(int number, String device) {
        return JobCodec.key(new Entry.StepDone("%06d-%s".formatted(number, device)));
    }

    private static List<Card> cards(OpenJob open, Course course, String device) {
        StepWords words = new StepWords(course.dash().sheet());
        List<Card> cards = new ArrayList<>();
        int next = next(open);
        for (int i = course.done(); i < course.steps().size(); i++) {
            int at = i;
            StripStep step = course.steps().get(i);
            List<HazardFinding> here =
                    course.found().stream().filter(f -> f.step() == at).toList();
            cards.add(new Card(
                    i + 1,
                    course.steps().size(),
                    field(next + (i - course.done()) * APART, device),
                    StepText.write(step),
                    words.what(step),
                    words.how(step),
                    words.tool(step),
                    step instanceof StripStep.FunctionTest,
                    cautions(open, course, i, here),
                    counts(step, course.dash().sheet()),
                    standing(
                            course.ran().orElseThrow().states().get(i),
                            words,
                            course.dash().sheet())));
        }
        return cards;
    }

    /** Hazards of a step; where it is the first to give the new radio power or to close the dash, also what comes before. */
    private static List<StepLine.Hazard> cautions(OpenJob job, Course course, int i, List<HazardFinding> here) {
        List<StepLine.Hazard> cautions =
                new ArrayList<>(here.stream().map(StepLine.Hazard::of).toList());
        boolean exchanged = course.steps().subList(0, i).contains(new StripStep.Exchange());
        boolean power = course.steps().get(i) instanceof StripStep.SetState s
                && (s.field() == StateField.BATTERY && s.to().equals("connected")
                        || s.field() == StateField.KEY && !s.to().equals("off"));
        String before = exchanged && power ? BeforePower.caution(job) : "";
        if (!before.isEmpty()) cautions.add(new StepLine.Hazard(Severity.CAUTION.word(), true, before, ""));
        String open = exchanged && closesFirst(course, i) ? Closing.caution(job) : "";
        if (!open.isEmpty()) cautions.add(new StepLine.Hazard(Severity.CAUTION.word(), true, open, ""));
        return cautions;
    }

    /** Whether no step between the exchange and this one closes the dash. */
    private static boolean closesFirst(Course course, int i) {
        List<StripStep> steps = course.steps();
        int exchange = steps.indexOf(new StripStep.Exchange());
        return steps.get(i).closes() && steps.subList(exchange, i).stream().noneMatch(StripStep::closes);
    }

    /** Numbers next to the one expected. */
    private static List<Counted> counts(StripStep step, Optional<StripDown> strip) {
        List<Counted> counts = new ArrayList<>();
        if (step instanceof StripStep.Undo u) {
            int most = strip.flatMap(d -> d.count(u.group())).map(Count::most).orElse(u.count()) + 1;
            for (int n = 1; n <= most; n++)
                if (n != u.count() && (n >= u.count() - 2))
                    counts.add(new Counted(String.valueOf(n), StepText.write(new StripStep.Undo(u.group(), n))));
        }
        if (step instanceof StripStep.DoUp d)
            for (int n = Math.max(1, d.count() - 2); n < d.count(); n++)
                counts.add(new Counted(String.valueOf(n), StepText.write(new StripStep.DoUp(d.group(), n))));
        return counts;
    }

    static Standing standing(CarState car, StepWords words, Optional<StripDown> strip) {
        List<Word> shown = new ArrayList<>();
        boolean lever = strip.flatMap(s -> s.facts().lever()).isPresent();
        if (lever) shown.add(word("Lever", car, StateField.GEAR));
        shown.add(word("Key", car, StateField.KEY));
        shown.add(word("Brake", car, StateField.PARKING_BRAKE));
        shown.add(word("Battery", car, StateField.BATTERY));
        if (strip.filter(s -> s.facts().batteryCount() > 1).isPresent())
            shown.add(word("Second", car, StateField.SECOND_BATTERY));
        String off = String.join(
                ", ",
                car.positions().entrySet().stream()
                        .map(e -> e.getKey() + " " + e.getValue().word())
                        .sorted()
                        .toList());
        int left = car.trays().left();
        return new Standing(
                shown,
                off.isEmpty() ? Say.it("off.none") : off,
                left == 0 ? Say.it("tray.none") : Say.it("tray.left", left));
    }

    private static Word word(String name, CarState car, StateField field) {
        String word = car.word(field);
        return new Word(name, StepWords.word(word), word.equals(field.words().get(0)));
    }
}
