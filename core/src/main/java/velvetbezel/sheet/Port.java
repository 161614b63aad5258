package velvetbezel.sheet;

import java.util.Optional;
import velvetbezel.units.Decibels;
import velvetbezel.units.Volts;

/**
 * Where signals enter or leave a device. Terminals are named within the device.
 *
 * @param floor below this level nothing arrives
 * @param quiet noise above this is heard
 */
public record Port(
        String id,
        Optional<String> plus,
        Optional<String> minus,
        Medium medium,
        Dir dir,
        Optional<Decibels> floor,
        Optional<Volts> quiet) {
    /** Data and internal ports work both ways. */
    public enum Dir {
        IN,
        OUT,
        BOTH
    }

    public boolean sends() {
        return dir != Dir.IN;
    }

    public boolean receives() {
        return dir != Dir.OUT;
    }
}
