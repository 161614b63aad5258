/**
 * What people type of cars, radios and parts, and the sheets that come of it.
 *
 * <p>Entry points: {@link velvetbezel.draft.Expander} makes a long sheet from a short one, {@link
 * velvetbezel.draft.Recognise} finds the short one of a long one. Read in this order: {@code ShortLines} (one line a
 * lead), {@code ShortSheet} (what was typed), {@code Archetypes} (what standard devices do), {@code CarPieces} and
 * {@code DevicePieces} (which of them stand behind the plugs), {@code CarExpander} and {@code DeviceExpander}, {@code
 * Patch} (what is written by hand over them). What comes out is a tree of maps, lists, texts and numbers, which {@link
 * velvetbezel.sheet.SheetReader} reads and checks like any other.
 */
package velvetbezel.draft;
