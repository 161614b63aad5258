/**
 * What is known of vehicles, radios and parts: sheets. A sheet states facts with their provenance, and
 * what its devices do as rules, which are data.
 *
 * <p>Entry point: {@link velvetbezel.sheet.SheetReader}, which turns a tree of maps, lists, texts and
 * numbers into a sheet or into every fault at once. Then {@link velvetbezel.sheet.Device} (plugs, leads,
 * ports, rules), {@link velvetbezel.sheet.Guard} and {@link velvetbezel.sheet.Effect} (the rule language),
 * {@link velvetbezel.sheet.Fact} (known, or missing by name).
 */
package velvetbezel.sheet;
