package velvetbezel.simulate;

/** The device lost its power, or the line was unplugged. */
final class PowerCut extends RuntimeException {
    private static final long serialVersionUID = 1;

    PowerCut() {
        super("The line is cut.", null, false, false);
    }
}
