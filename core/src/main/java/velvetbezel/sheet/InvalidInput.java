package velvetbezel.sheet;

import java.util.List;
import java.util.stream.Collectors;

/** Input a person can correct: every fault at once. */
public class InvalidInput extends RuntimeException {
    private static final long serialVersionUID = 1;
    private final transient List<Fault> faults;

    public InvalidInput(List<Fault> faults) {
        super(faults.stream().map(Fault::toString).collect(Collectors.joining("\n")));
        this.faults = List.copyOf(faults);
    }

    public InvalidInput(String field, String message) {
        this(List.of(new Fault(field, message)));
    }

    public List<Fault> faults() {
        return faults;
    }
}
