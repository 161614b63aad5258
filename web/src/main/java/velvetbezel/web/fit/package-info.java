/**
 * Fit: whether the radio of the chosen kit goes into this dash, what has to go for it, what to measure, and which holes
 * hold it flush. Decided in {@code velvetbezel.fit}; here it is put into words and drawn.
 */
package velvetbezel.web.fit;
