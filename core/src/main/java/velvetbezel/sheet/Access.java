package velvetbezel.sheet;

/**
 * An access point: a plug of the car that is not at the radio's place, such as the diagnostic socket.
 *
 * @param place   where it is
 * @param route   how a lead gets there from the radio
 * @param minutes work it adds
 */
public record Access(String place, String route, int minutes) {}
