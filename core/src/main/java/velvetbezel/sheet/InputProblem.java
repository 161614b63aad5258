package velvetbezel.sheet;

/** One thing wrong with an input: which field, and what was given, what is allowed, what to do. */
public record InputProblem(String field, String message) {
    @Override
    public String toString() {
        return field + ": " + message;
    }
}
