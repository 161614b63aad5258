/**
 * Quantities and colours of the trade as types, so that volts and ohms cannot change places.
 *
 * <p>Entry points: {@link velvetbezel.units.Gauge} (AWG and mm²), {@link velvetbezel.units.WireColour}
 * (base and stripe, read from any usual notation). Values hold plain SI numbers; rounding belongs to
 * views.
 */
package velvetbezel.units;
