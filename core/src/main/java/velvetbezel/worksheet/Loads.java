package velvetbezel.worksheet;

import java.util.ArrayList;
import java.util.List;
import velvetbezel.harness.Installation;

/**
 * What the installation asks of its leads, fuses, outputs and supplies: the worst of everything on with the engine
 * stopped, everything on with it running, and reverse, with each new device drawing the most that its sheet states.
 */
public final class Loads {
    private Loads() {}

    /** In the order of their kinds' headings within each device. @param installation with its extensions */
    public static List<Load> of(Installation installation, Worksheet worksheet, Tables tables) {
        FullLoad strain = new FullLoad(installation, tables);
        List<Load> loads = new ArrayList<>(LeadLoads.of(strain, worksheet));
        installation.instances().forEach(i -> loads.addAll(LimitLoads.of(strain, i)));
        strain.radios().forEach(i -> {
            loads.addAll(RadioLoads.of(strain, i));
            loads.addAll(LineLoads.of(strain, i));
        });
        return loads;
    }
}
