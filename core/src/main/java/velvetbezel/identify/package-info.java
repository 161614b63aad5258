/**
 * Which of several look-alikes this one is, from what was seen of it.
 *
 * <p>Entry point: {@link velvetbezel.identify.WhichSystem#of}: how sure each vehicle sheet of a model is, and
 * which observation would decide most.
 */
package velvetbezel.identify;
