package velvetbezel.sheet;

import java.util.List;
import java.util.stream.Collectors;

/** Input a person can correct: every fault at once. */
public class InvalidInput extends RuntimeException {
    private static final long serialVersionUID = 1;
    private final transient List<InputProblem> faults;

    public InvalidInput(List<InputProblem> faults) {
        super(faults.stream().map(InputProblem::toString).collect(Collectors.joining("\n")));
        this.faults = List.copyOf(faults);
    }

    public InvalidInput(String field, String message) {
        this(List.of(new InputProblem(field, message)));
    }

    public List<InputProblem> faults() {
        return faults;
    }
}
