package velvetbezel.strip;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import velvetbezel.sheet.strip.Battery;
import velvetbezel.sheet.strip.FastenerGroup;
import velvetbezel.sheet.strip.GroupOf;
import velvetbezel.sheet.strip.ScrewDrive;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.state.StateField;

/** What lies ready before a strip-down begins, worked out from its steps. */
public final class Tools {
    /**
     * One tool.
     *
     * @param uses       what it is for, in the order of the steps
     * @param substitutes inch sockets that may serve instead, by name
     */
    public record Tool(String name, List<String> uses, Map<String, HexFit> substitutes) {
        public Tool {
            uses = List.copyOf(uses);
        }
    }

    static final String TRIM = "trim tool";
    static final String MAGNET = "magnet on a stick";
    static final String EXTENSION = "extension";

    private final Dash dash;
    private final Map<String, Set<String>> uses = new LinkedHashMap<>();
    private final Map<String, ScrewDrive> drives = new LinkedHashMap<>();

    private Tools(StripDown strip) {
        this.dash = new Dash(strip);
    }

    public static List<Tool> of(StripDown strip, List<StripStep> steps) {
        Tools tools = new Tools(strip);
        steps.forEach(tools::step);
        return tools.list();
    }

    private void step(StripStep step) {
        if (step instanceof StripStep.Undo s && s.group().name().equals(GroupOf.CLIPS))
            use(TRIM, s.group().item().name());
        else if (step instanceof StripStep.Undo s) dash.group(s.group()).ifPresent(g -> group(s.group(), g));
        if (step instanceof StripStep.SetState s && HazardRules.isClamp(s.field())) clamp(s.field());
    }

    private void group(GroupOf of, FastenerGroup group) {
        String what = "%s of %s".formatted(of.name(), of.item());
        for (ScrewDrive d : group.drives()) {
            drives.put(d.words(), d);
            use(d.words(), what);
        }
        if (group.mayDrop()) use(MAGNET, what);
        if (group.hidden()) use(EXTENSION, what);
    }

    private void clamp(StateField field) {
        dash.strip().facts().battery(field).map(Battery::clamp).ifPresent(clamp -> {
            drives.put(clamp.words(), clamp);
            use(clamp.words(), "battery clamp");
        });
    }

    private void use(String tool, String what) {
        uses.computeIfAbsent(tool, t -> new LinkedHashSet<>()).add(what);
    }

    private List<Tool> list() {
        List<Tool> list = new ArrayList<>();
        uses.forEach((name, what) -> {
            Map<String, HexFit> serve = drives.get(name) instanceof ScrewDrive.Hex h
                    ? HexFit.inchSubstitutes(h.acrossFlats())
                    : new TreeMap<>();
            if (!name.equals("by hand")) list.add(new Tool(name, List.copyOf(what), serve));
        });
        return list;
    }
}
