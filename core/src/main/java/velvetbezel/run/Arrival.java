package velvetbezel.run;

import java.util.Optional;
import velvetbezel.sheet.SignalLevel;
import velvetbezel.units.Volts;

/**
 * A signal that arrives at a port.
 *
 * @param reversed odd number of crossings on the way
 * @param noise    the largest voltage drop along a return on the way
 * @param sentFrom the port at the other end of the last conductor; empty for a source inside the device
 * @param sentBy   the rule that emitted or carried it there
 * @param before   the arrival that was carried, if it was
 */
public record Arrival(
        String signal,
        PortRef at,
        boolean reversed,
        SignalLevel level,
        Volts noise,
        Optional<PortRef> sentFrom,
        RuleRef sentBy,
        Optional<Arrival> before) {}
