package velvetbezel.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.match.KitDecisions;
import velvetbezel.match.Market;
import velvetbezel.match.RadioMatch;
import velvetbezel.match.Wishes;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Sheet;

/**
 * A seeded shop for the plain crossover: eight needs with so many candidates each, and radios. Parts are copies of the
 * demo's that behave as these and are priced anew: price and labour are correlated at −0.6 (dearer is quicker), a
 * seventh waits, a twentieth asks for a cut. Radios are copies of the demo's six, priced anew.
 */
public final class Seeded {
    private static final double CORRELATION = -0.6;
    private static final double SPREAD = 0.25;
    private static final Set<PartKind> NEEDS = Set.of(
            PartKind.DASH_KIT,
            PartKind.VEHICLE_HARNESS_ADAPTER,
            PartKind.ANTENNA_ADAPTER,
            PartKind.DATA_MODULE,
            PartKind.CAMERA,
            PartKind.MICROPHONE,
            PartKind.USB_ADAPTER,
            PartKind.GPS_ANTENNA);
    private final Sheet.Vehicle vehicle = Workshop.find(Sheet.Vehicle.class, "meridale-plover-2019-plain");
    private final Random random = new Random(7);
    private final Map<String, Integer> days = new HashMap<>();
    private final List<Sheet.Part> parts = new ArrayList<>();
    private final Wishes wishes = new Wishes(
            Set.of(),
            Stream.of("microphone", "position", "rear camera", "usb", "aux")
                    .map(FunctionId::new)
                    .collect(Collectors.toSet()),
            Optional.empty());

    public Seeded(int candidates) {
        Map<PartKind, List<Sheet.Part>> kinds = Workshop.all(Sheet.Part.class).stream()
                .filter(p -> NEEDS.contains(p.kind()))
                .filter(p -> p.vehicles().isEmpty() || p.vehicles().contains(vehicle.id()))
                .collect(Collectors.groupingBy(Sheet.Part::kind));
        kinds.entrySet().stream().sorted(Map.Entry.comparingByKey()).forEach(e -> {
            for (int i = 0; i < Math.max(candidates, e.getValue().size()); i++)
                parts.add(copy(e.getValue().get(i % e.getValue().size()), i));
        });
    }

    public Sheet.Vehicle vehicle() {
        return vehicle;
    }

    public Wishes wishes() {
        return wishes;
    }

    public RadioMatch one(String radio) {
        return match(List.of(Workshop.find(Sheet.Radio.class, radio))).get(0);
    }

    private double around(double value, double deviation) {
        return value * (1 + SPREAD * deviation);
    }

    private Sheet.Part copy(Sheet.Part p, int i) {
        double price = random.nextGaussian();
        double labour = CORRELATION * price + Math.sqrt(1 - CORRELATION * CORRELATION) * random.nextGaussian();
        String id = p.id() + "-" + i;
        if (random.nextInt(7) == 0) days.put(id, 1 + random.nextInt(5));
        return new Sheet.Part(
                new Sheet.Header(id, p.name() + " " + i, p.header().from()),
                p.kind(),
                p.priceCents().map(c -> Math.max(100, Math.round(around(c, price)))),
                p.minutes().map(m -> Math.max(0, (int) Math.round(around(m, labour)))),
                random.nextInt(20) == 0 ? 1 : p.cuts(),
                p.holds(),
                p.device(),
                p.vehicles(),
                p.fits(),
                p.finishes(),
                p.takes(),
                p.frame(),
                p.thing());
    }

    /**
     * @param alike whether copies of one radio behave alike; else each has a mode of its own, which nothing asks
     *     about
     */
    List<Sheet.Radio> radios(int count, boolean alike) {
        List<Sheet.Radio> demo = Workshop.all(Sheet.Radio.class).stream()
                .sorted(Comparator.comparing(Sheet::id))
                .toList();
        return IntStream.range(0, count)
                .mapToObj(i -> {
                    Sheet.Radio r = demo.get(i % demo.size());
                    return new Sheet.Radio(
                            new Sheet.Header(
                                    r.id() + "-" + i,
                                    r.name() + " " + i,
                                    r.header().from()),
                            r.size(),
                            r.mount(),
                            r.priceCents().map(c -> Math.round(around(c, random.nextGaussian()))),
                            alike ? r.device() : own(r.device(), i),
                            r.screen(),
                            r.body(),
                            r.shape());
                })
                .toList();
    }

    private static Device own(Device d, int i) {
        List<String> places = new ArrayList<>(d.placements());
        places.add("bay " + i);
        return new Device(
                d.id(),
                d.name(),
                d.is(),
                d.plugs(),
                d.leads(),
                d.terminals(),
                d.wires(),
                d.ports(),
                d.settings(),
                d.modes(),
                places,
                d.conditions(),
                d.rules(),
                d.firstUse(),
                d.ratings());
    }

    public Market market() {
        return new Market(Map.of(), days);
    }

    List<RadioMatch> match(List<Sheet.Radio> radios) {
        Installation factory = Builder.factory(vehicle);
        return RadioMatch.of(
                factory,
                vehicle,
                radios,
                parts,
                Workshop.catalogue(),
                Outcomes.fulfilled(factory, Workshop.catalogue()),
                KitDecisions.NONE);
    }
}
