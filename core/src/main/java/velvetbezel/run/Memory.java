package velvetbezel.run;

import java.util.BitSet;
import java.util.Map;

/**
 * What an installation carries from one state to the next: its modes and the rules in force.
 *
 * @param modes "instance.mode" → value, complete
 */
public record Memory(Map<String, String> modes, BitSet inForce) {
    public Memory {
        modes = Map.copyOf(modes);
        inForce = (BitSet) inForce.clone();
    }
}
