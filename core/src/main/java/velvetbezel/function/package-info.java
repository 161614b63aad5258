/**
 * Functions a car has or may gain, as data, and what becomes of each: kept, changed, lost, gained, absent
 * or unknown, against the factory installation.
 *
 * <p>Entry points: {@link velvetbezel.function.Outcomes#compare} and {@link velvetbezel.function.Catalogue}.
 * {@link velvetbezel.function.FirstUse} sets devices up, Attempt runs one scenario, Paths finds the way a
 * signal or supply takes, Why finds the first thing that stops it.
 */
package velvetbezel.function;
