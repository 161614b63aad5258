package velvetbezel.sheet;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.sheet.fit.FitReader;
import velvetbezel.sheet.strip.StripReader;

/**
 * Reads one sheet from a tree of maps, lists, texts, numbers and booleans (what any JSON parser gives).
 * Nothing is read by halves: either a sheet comes out, or every fault at once with its field.
 */
public final class SheetReader {
    public static final String FORMAT = "velvet-bezel/sheet";
    public static final int VERSION = 1;
    private static final long MOST_CENTS = 100_000_000;
    private final List<InputProblem> faults = new ArrayList<>();

    private SheetReader() {}

    /** @throws InvalidInput with every fault */
    public static Sheet read(Object tree) {
        SheetReader reader = new SheetReader();
        Sheet sheet = reader.sheet(Node.root(tree, reader.faults));
        if (!reader.faults.isEmpty())
            throw new InvalidInput(reader.faults.stream().distinct().toList());
        return sheet;
    }

    /** Format, version, id, name and provenance, which every document has. */
    public static Sheet.Header header(Node node) {
        if (!node.isObject()) node.fault("is no sheet; expected a JSON object.");
        node.at("format").one(f -> f.equals(FORMAT) ? Optional.of(f) : Optional.empty(), FORMAT, FORMAT);
        if (node.at("version").isNumber() && node.at("version").number(-1e9, 1e9) > VERSION)
            node.at("version")
                    .fault(
                            "is newer than this program, which reads up to version %d. Update the program, or export the sheet from the older one."
                                    .formatted(VERSION));
        else node.at("version").whole(1, VERSION);
        String id = node.at("id").text();
        if (!id.equals(Node.UNREAD) && !id.matches("[a-z0-9][a-z0-9-]{1,59}"))
            node.at("id").fault("\"%s\" is no id; 2 to 60 small letters, digits and hyphens.".formatted(id));
        return new Sheet.Header(
                id,
                node.at("name").text(),
                FactReader.provenance(node.at("source").only("from", "by", "date")));
    }

    /**
     * A change of the vehicle's state, as scenarios and check lists write it.
     *
     * @throws InvalidInput with every fault
     */
    public static ScenarioStep step(Object tree) {
        List<InputProblem> faults = new ArrayList<>();
        ScenarioStep step = ScenarioReader.step(Node.root(tree, faults));
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        return step;
    }

    private Sheet sheet(Node node) {
        Sheet.Header header = header(node);
        FactReader facts = new FactReader(header.id(), header.from());
        String kind = node.at("kind")
                .one(
                        k -> List.of("vehicle", "radio", "part").contains(k) ? Optional.of(k) : Optional.empty(),
                        "vehicle, radio, part",
                        "");
        return switch (kind) {
            case "vehicle" -> vehicle(node, header, facts);
            case "radio" -> radio(node, header, facts);
            case "part" -> part(node, header, facts);
            default -> null;
        };
    }

    /** A price that is not written down is not known; nothing is free by silence. */
    private static Optional<Long> cents(Node sheet) {
        return sheet.has("price")
                ? Optional.of(Math.round(sheet.at("price").number(0, MOST_CENTS / 100.0) * 100))
                : Optional.empty();
    }

    private static Opening opening(Node node) {
        return node.one(Opening::find, Opening.all(), Opening.ONE_DIN);
    }

    private static Sheet.Radio radio(Node node, Sheet.Header header, FactReader facts) {
        node.only(
                "format",
                "version",
                "kind",
                "id",
                "name",
                "source",
                "size",
                "mount",
                "price",
                "device",
                "factory radio stays",
                "geometry",
                "body");
        return new Sheet.Radio(
                header,
                opening(node.at("size")),
                node.has("mount") ? node.at("mount").one(Mount::find, Mount.all(), Mount.FRAME) : Mount.FRAME,
                cents(node),
                new DeviceReader(header.id(), facts, DeviceReader.Owner.RADIO).device(node.at("device")),
                node.at("factory radio stays").truth(false),
                facts.geometry(node.at("geometry")),
                FitReader.body(node.at("body"), header.id(), header.from()));
    }

    private static Sheet.Part part(Node node, Sheet.Header header, FactReader facts) {
        node.only(
                "format",
                "version",
                "kind",
                "id",
                "name",
                "source",
                "part",
                "price",
                "minutes",
                "cuts",
                "holds",
                "device",
                "vehicles",
                "fits",
                "finishes",
                "geometry",
                "frame",
                "thing");
        PartKind kind = node.at("part").one(PartKind::find, PartKind.all(), PartKind.DASH_KIT);
        Optional<Sheet.Holds> holds = node.has("holds")
                ? Optional.of(new Sheet.Holds(
                        opening(node.at("holds").only("opening", "radio").at("opening")),
                        opening(node.at("holds").at("radio"))))
                : Optional.empty();
        if (kind == PartKind.DASH_KIT && holds.isEmpty())
            node.at("holds").fault("is missing; a dash kit says which opening it fills and which radio it takes.");
        if (!kind.wireless() && !node.has("device"))
            node.at("device").fault("is missing; only a dash kit has no wires.");
        return new Sheet.Part(
                header,
                kind,
                cents(node),
                node.has("minutes") ? Optional.of(node.at("minutes").whole(0, 6000)) : Optional.empty(),
                node.has("cuts") ? node.at("cuts").whole(0, 20) : 0,
                holds,
                node.has("device")
                        ? Optional.of(
                                new DeviceReader(header.id(), facts, DeviceReader.Owner.PART).device(node.at("device")))
                        : Optional.empty(),
                node.at("vehicles").texts(),
                node.has("fits") ? Optional.of(FitList.read(node.at("fits"))) : Optional.empty(),
                node.at("finishes").texts(),
                facts.geometry(node.at("geometry")),
                FitReader.frame(node.at("frame"), header.id(), header.from()),
                kind.wants().flatMap(k -> FitReader.thing(node.at("thing"), k, header.id(), header.from())));
    }

    private static Sheet.Vehicle vehicle(Node node, Sheet.Header header, FactReader facts) {
        node.only(
                "format",
                "version",
                "kind",
                "id",
                "name",
                "source",
                "make",
                "model",
                "trim",
                "years",
                "opening",
                "audio system",
                "north america",
                "devices",
                "plugs",
                "radio",
                "wires",
                "buttons",
                "wheel",
                "cautions",
                "traits",
                "geometry",
                "families",
                "strip",
                "site");
        DeviceReader reader = new DeviceReader(header.id(), facts, DeviceReader.Owner.CAR);
        DeviceReader inside = new DeviceReader(header.id(), facts, DeviceReader.Owner.PART);
        List<Device> devices =
                node.at("devices").list().stream().map(inside::device).toList();
        Device car = Device.passive("car", "car", reader.plugs(node.at("plugs")), List.of());
        Device radio = new DeviceReader(header.id(), facts, DeviceReader.Owner.RADIO).device(node.at("radio"));
        List<String> terminals = terminals(devices);
        DeviceReader.twice(node.at("devices"), devices.stream().map(Device::id).toList(), "device");
        if (!terminals.contains("battery.minus"))
            node.at("devices")
                    .fault(
                            "has no device \"battery\" with a terminal \"minus\"; every voltage is measured against it.");
        checkEnds(node.at("plugs"), terminals);
        List<InnerWire> wires = node.at("wires").list().stream()
                .map(n -> reader.wire(n, terminals))
                .toList();
        String audio = node.at("audio system")
                .one(
                        a -> List.of("plain", "amplified").contains(a) ? Optional.of(a) : Optional.empty(),
                        "plain, amplified",
                        "plain");
        ModelYears years = ModelYears.read(node.at("years"));
        return new Sheet.Vehicle(
                header,
                node.at("make").text(),
                node.at("model").text(),
                node.at("trim").text(),
                years.first(),
                years.last(),
                opening(node.at("opening")),
                audio.equals("amplified"),
                node.at("north america").truth(false),
                devices,
                car,
                radio,
                wires,
                node.at("buttons").texts(),
                WheelKey.layouts(node.at("wheel"), node.at("buttons").texts()),
                node.at("cautions").list().stream()
                        .map(n -> new Sheet.Caution(
                                n.only("station", "text", "why")
                                        .at("station")
                                        .one(
                                                s -> Sheet.Caution.STATIONS.contains(s)
                                                        ? Optional.of(s)
                                                        : Optional.empty(),
                                                String.join(", ", Sheet.Caution.STATIONS),
                                                "Wire"),
                                n.at("text").text(),
                                n.at("why").text("")))
                        .toList(),
                traits(node.at("traits")),
                facts.geometry(node.at("geometry")),
                node.at("families").list().stream().map(PlugFamily::read).toList(),
                StripReader.read(node.at("strip"), facts),
                FitReader.site(node.at("site"), header.id(), header.from()));
    }

    private static Map<Trait, String> traits(Node node) {
        Map<Trait, String> traits = new EnumMap<>(Trait.class);
        node.fields().forEach((name, value) -> Trait.find(name)
                .ifPresentOrElse(
                        t -> traits.put(t, value.text()),
                        () -> value.fault("is no trait; allowed: " + Trait.all() + ".")));
        return traits;
    }

    private static List<String> terminals(List<Device> devices) {
        List<String> names = new ArrayList<>();
        for (Device device : devices) {
            device.terminals().forEach(t -> names.add(device.id() + "." + t));
            device.leads().forEach(l -> names.add(device.id() + "." + l.name()));
            for (Plug plug : device.plugs())
                for (Position p : plug.positions())
                    names.add(device.id() + "." + (p.name().isEmpty() ? plug.id() + "." + p.number() : p.name()));
        }
        return names;
    }

    private static void checkEnds(Node plugs, List<String> terminals) {
        for (Node plug : plugs.list())
            for (Node position : plug.at("positions").list()) {
                Node to = position.at("to");
                if (!to.present()) continue;
                String end = to.text();
                if (!end.equals(Node.UNREAD) && !terminals.contains(end))
                    to.fault("\"%s\" is no terminal of a device of this vehicle; known: %s."
                            .formatted(end, String.join(", ", terminals)));
            }
    }
}
