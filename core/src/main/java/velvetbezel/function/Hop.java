package velvetbezel.function;

import velvetbezel.harness.ConductorId;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.RuleRef;

/** A piece of the way that a signal or a supply takes. */
public sealed interface Hop {
    record Over(ConductorId conductor, TerminalId from, TerminalId to) implements Hop {}

    record Through(RuleRef rule) implements Hop {}
}
