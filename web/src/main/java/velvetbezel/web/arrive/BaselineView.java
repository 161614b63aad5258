package velvetbezel.web.arrive;

import static velvetbezel.store.JobCodec.key;

import java.util.List;
import java.util.Optional;
import velvetbezel.function.CarFunction;
import velvetbezel.job.Entry;
import velvetbezel.prove.Baseline;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Question;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Addresses;
import velvetbezel.web.shell.Words;

/**
 * The baseline in the car: one function at a time, before anything is touched.
 *
 * @param card empty when every function has an answer, or there is no vehicle
 * @param rest fields of the functions without an answer, for those that say the rest works
 */
public record BaselineView(
        Frame frame,
        String heading,
        String verdict,
        Optional<Card> card,
        List<Question.Mark> marks,
        List<String> rest) {
    /** One function. @param before address of the function before it, or empty text */
    public record Card(int number, String name, String group, String ask, String field, String answer, String before) {
        public boolean answered() {
            return !answer.isEmpty();
        }
    }

    /** All functions at once, sent ahead for work without a connection. */
    public record Ahead(Frame frame, List<Card> cards, List<Question.Mark> marks) {
        static Ahead of(OpenJob open) {
            List<CarFunction> functions = open.factoryFunctions();
            return new Ahead(
                    Frame.of(open, Station.ARRIVE, Frame.Trouble.NONE),
                    functions.stream()
                            .map(f -> BaselineView.card(open, f, functions))
                            .toList(),
                    BaselineView.marks(open));
        }
    }

    /** @param asked id of the function; without it the first that has no answer */
    static BaselineView of(OpenJob open, Optional<String> asked, Frame.Trouble trouble) {
        List<CarFunction> functions = open.factoryFunctions();
        Optional<CarFunction> current = functions.stream()
                .filter(f -> asked.map(f.id().text()::equals).orElseGet(() -> !open.has(entry(f))))
                .findFirst();
        List<String> rest = rest(open);
        return new BaselineView(
                Frame.of(open, Station.ARRIVE, trouble),
                rest.isEmpty()
                        ? "The baseline is taken"
                        : "%s to try before anything is touched"
                                .formatted(Words.sentence(Words.count(rest.size(), "function"))),
                "What worked at arrival must work at the hand-over; what was faulty before is not yours.",
                current.map(f -> card(open, f, functions)),
                marks(open),
                rest);
    }

    private static Entry.BaselineTaken entry(CarFunction f) {
        return new Entry.BaselineTaken(f.id());
    }

    private static Card card(OpenJob open, CarFunction f, List<CarFunction> functions) {
        int place = functions.indexOf(f);
        return new Card(
                place + 1,
                f.name(),
                f.group(),
                f.ask(),
                key(entry(f)),
                open.text(entry(f)),
                place == 0 ? "" : address(open, functions.get(place - 1)));
    }

    private static String address(OpenJob open, CarFunction f) {
        return "/jobs/%d/baseline?function=%s".formatted(open.job().number(), Addresses.encoded(f.id().text()));
    }

    private static List<Question.Mark> marks(OpenJob open) {
        return open.factoryFunctions().stream()
                .map(f -> !open.has(entry(f))
                        ? Question.Mark.OPEN
                        : open.baseline(f.id()) == Baseline.FAULTY ? Question.Mark.WRONG : Question.Mark.SETTLED)
                .toList();
    }

    private static List<String> rest(OpenJob open) {
        return open.factoryFunctions().stream()
                .filter(f -> !open.has(entry(f)))
                .map(f -> key(entry(f)))
                .toList();
    }
}
