/**
 * The final test: checks made from the functions, and what a result means against the baseline.
 *
 * <p>Entry point: {@link velvetbezel.prove.TestPlan#of}.
 */
package velvetbezel.prove;
