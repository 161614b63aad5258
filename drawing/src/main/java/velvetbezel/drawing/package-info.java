/**
 * Where everything in a drawing goes: coordinates, paths and labels, no markup.
 *
 * <p>Entry points: {@link velvetbezel.drawing.HarnessDrawing#of} and {@link velvetbezel.drawing.LoomDrawing#of}.
 * Every shape has the id of what it shows and a label in words.
 */
package velvetbezel.drawing;
