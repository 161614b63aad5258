package velvetbezel.harness;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.Location;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Position;

/** A device in an installation. */
public final class Instance {
    /** Decides which lead gives way where two would serve. */
    public enum Owner {
        CAR,
        RADIO,
        PART
    }

    private final String id;
    private final String sheet;
    private final Owner owner;
    private final Device device;
    private final PartUse use;
    private final Map<String, TerminalId> names = new HashMap<>();

    /**
     * @param sheet id of the sheet that describes it
     * @param owner whose it is
     */
    Instance(String id, String sheet, Owner owner, Device device) {
        this(id, sheet, owner, device, PartUse.FITTED);
    }

    /** @param use of a part: how it is used in the kit */
    Instance(String id, String sheet, Owner owner, Device device, PartUse use) {
        this.use = use;
        this.id = id;
        this.sheet = sheet;
        this.owner = owner;
        this.device = device;
        for (Plug plug : device.plugs())
            for (Position p : plug.positions())
                if (!p.name().isEmpty()) names.put(p.name(), new TerminalId(id, plug.id() + "." + p.number()));
    }

    public String id() {
        return id;
    }

    public String sheet() {
        return sheet;
    }

    public Owner owner() {
        return owner;
    }

    public Device device() {
        return device;
    }

    Use use() {
        return use.use();
    }

    /** Where an end of a cable lies in this kit, that its sheet puts at {@code end}. */
    Location lies(Location end) {
        if (use.ends().isEmpty()) return end;
        List<Location> own = device.leads().stream()
                .flatMap(l -> l.end().stream())
                .distinct()
                .toList();
        return own.indexOf(end) < use.ends().size() ? use.ends().get(own.indexOf(end)) : end;
    }

    /** The terminal that a rule of this device calls {@code name}. */
    public TerminalId terminal(String name) {
        return names.getOrDefault(name, new TerminalId(id, name));
    }

    /** Same device of the same sheet, whatever it is called here. */
    public boolean sameAs(Instance other) {
        return sheet.equals(other.sheet) && device.id().equals(other.device.id());
    }
}
