package velvetbezel.controls;

import velvetbezel.units.Ohms;

/**
 * How much more a slip ring in series with the wheel may have before a button is read as its neighbour.
 *
 * @param more    ohms beside those at the time of learning
 * @param becomes the neighbour with the higher volts; an empty text: as if nothing were pressed
 */
public record RingLimit(Ohms more, String button, String becomes) {}
