package velvetbezel.controls;

import java.util.Optional;
import velvetbezel.run.Window;
import velvetbezel.units.Volts;

/**
 * Volts of one button, or at rest.
 *
 * @param low    at the resistors' worst one way, {@code high} the other way
 * @param window in which the device takes it for this button, once learned; empty at rest
 */
public record VoltBand(String button, Volts low, Volts nominal, Volts high, Optional<Window> window) {}
