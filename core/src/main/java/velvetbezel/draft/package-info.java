/**
 * Sheets drawn up by a person: a vehicle from its pinout, a radio or part from ready-made building blocks.
 *
 * <p>Entry points: {@link velvetbezel.draft.Pinout} and {@link velvetbezel.draft.Blocks}. What comes out is a tree
 * that is read and checked like any other sheet.
 */
package velvetbezel.draft;
