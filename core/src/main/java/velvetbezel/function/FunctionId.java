package velvetbezel.function;

/** Names a function of the catalogue. */
public record FunctionId(String text) {
    @Override
    public String toString() {
        return text;
    }
}
