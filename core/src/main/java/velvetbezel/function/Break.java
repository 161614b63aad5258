package velvetbezel.function;

import java.util.Optional;
import velvetbezel.harness.ConductorId;

/**
 * The first thing that stops a function.
 *
 * @param at        the conductor, terminal or rule, by its id
 * @param why       a sentence for people
 * @param conductor the conductor, where it is one
 * @param need      what would mend it, where a part can
 */
public record Break(String at, String why, Optional<ConductorId> conductor, Optional<Need> need) {}
