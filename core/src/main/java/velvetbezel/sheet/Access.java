package velvetbezel.sheet;

/**
 * An access point: a plug or wire of the car that is not at the radio's place, such as the diagnostic socket.
 *
 * @param place    where it is
 * @param route    how a lead gets there from the radio
 * @param minutes  work it adds
 * @param mate     how a lead gets to its wires
 * @param optional nobody goes there unless something wants what it has
 */
public record Access(Location place, String route, int minutes, Mate mate, boolean optional) {}
