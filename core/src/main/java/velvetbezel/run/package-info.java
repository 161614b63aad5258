/**
 * Runs an installation in a vehicle state: voltages, messages, arrivals and modes, settled together.
 *
 * <p>Entry point: {@link velvetbezel.run.Run#in}. A {@link velvetbezel.run.Picture} is what holds at one
 * moment; {@link velvetbezel.run.Memory} (modes and the rules in force) is carried to the next state.
 * Reading order: Plan (numbering), Circuitry (voltages), Signals (arrivals), Judge (guards), Run (the
 * fixed point).
 */
package velvetbezel.run;
