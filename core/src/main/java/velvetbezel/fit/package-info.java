/**
 * Will it go in, what has to go for it, and which holes hold it flush. Every answer is a range and says what it rests
 * on. Entry point: {@link velvetbezel.fit.Fitter}. Reading order: Affine, Slack, Bodies, Fitter, Brackets.
 */
package velvetbezel.fit;
