package velvetbezel.fit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import velvetbezel.sheet.fit.Band;
import velvetbezel.sheet.fit.MountingPlace;
import velvetbezel.sheet.fit.Obstruction;
import velvetbezel.sheet.fit.Site;
import velvetbezel.sheet.fit.SpaceBox;

/**
 * Room behind the radio for the bundle of leads and for modules, by the likely measures.
 *
 * @param free    cm³ that stay free beside the radio and what is not taken out
 * @param leads   cm³ that the leads fill, packed as a hand packs them
 * @param modules each with where it goes; in foam, largest first
 * @param bundle  mm across, tied into one
 * @param behind  mm left behind chassis and plugs; empty where nobody knows the depth
 */
public record Room(double free, double leads, List<Stowed> modules, double bundle, OptionalDouble behind) {
    /** Of the bundle's room so much is copper and insulation (common practice, no source). */
    static final double PACKING = 0.5;
    /** The last centimetre behind the chassis stays free. */
    private static final double LAST = 10;
    /** Foam round a module, a side. */
    private static final double FOAM = 5;
    /** Filled more than this it is tight, and more than that too full (common practice, no source). */
    private static final double EASY = 0.4;

    private static final double TIGHT = 0.7;

    public Room {
        modules = List.copyOf(modules);
    }

    /** A lead behind the radio, in mm. */
    public record Run(double across, double length) {}

    /** A module with its outer measures in mm. */
    public record Module(String name, double width, double height, double depth) {}

    /** Whether a place has room for a module in its foam, whichever way it is turned. */
    public static boolean takes(MountingPlace place, Module m) {
        if (place.room().isEmpty()) return false;
        SpaceBox room = place.room().get();
        double[] has = {
            room.x1().least() - room.x0().most(),
            room.y1().least() - room.y0().most(),
            room.z1().least() - room.z0().most()
        };
        double[] wants = {m.width + 2 * FOAM, m.height + 2 * FOAM, m.depth + 2 * FOAM};
        Arrays.sort(has);
        Arrays.sort(wants);
        return wants[0] <= has[0] && wants[1] <= has[1] && wants[2] <= has[2];
    }

    /** @param at where it lies in the dash, foam counted; empty: no place found */
    public record Stowed(Module module, Optional<FitReport.PlacedBody> at) {}

    /** How full it is. */
    public enum Fill {
        EASY,
        TIGHT,
        TOO_FULL
    }

    public double taken() {
        return leads
                + modules.stream()
                        .flatMap(m -> m.at().stream())
                        .mapToDouble(b -> (b.x1() - b.x0()) * (b.y1() - b.y0()) * (b.z1() - b.z0()) / 1000)
                        .sum();
    }

    public Fill fill() {
        double share = free <= 0 ? Double.POSITIVE_INFINITY : taken() / free;
        return share <= EASY ? Fill.EASY : share <= TIGHT ? Fill.TIGHT : Fill.TOO_FULL;
    }

    /** Whether the bundle is thicker than what is left behind: then below or beside it. */
    public boolean beside() {
        return behind.isPresent() && bundle > behind.getAsDouble();
    }

    /** Mm across a bundle of leads (√(Σ d² / packing)). */
    public static double bundle(List<Run> runs) {
        return Math.sqrt(runs.stream().mapToDouble(r -> r.across * r.across).sum() / PACKING);
    }

    /** Cm³ that leads fill. */
    public static double volume(List<Run> runs) {
        return runs.stream()
                        .mapToDouble(r -> Math.PI / 4 * r.across * r.across * r.length)
                        .sum()
                / PACKING
                / 1000;
    }

    /** @param out what is taken out of the dash @return empty where nobody measured the cavity */
    public static Optional<Room> of(Site site, FitReport fit, Set<String> out, List<Run> runs, List<Module> modules) {
        if (site.assumedBands()) return Optional.empty();
        List<double[]> bands = new ArrayList<>();
        for (Band b : site.bands()) bands.add(back(b, fit.plane()));
        List<double[]> blocked = new ArrayList<>();
        for (Obstruction o : site.obstructions())
            if (!out.contains(o.id()))
                for (Obstruction.Piece p : o.pieces())
                    blocked.add(new double[] {
                        p.box().x0().likely(),
                        p.box().x1().likely(),
                        p.box().y0().likely(),
                        p.box().y1().likely(),
                        p.box().z0().likely() + fit.plane(),
                        p.box().z1().likely() + fit.plane()
                    });
        for (FitReport.PlacedBody b : fit.bodies())
            blocked.add(new double[] {
                b.x0(),
                b.x1(),
                b.y0(),
                b.y1(),
                Math.min(0, b.z0()),
                b.z1() + (b.name().equals(Bodies.CHASSIS) ? LAST : 0)
            });
        double free = new FreeSpace(bands, blocked).volume() / 1000;
        List<Stowed> stowed = new ArrayList<>();
        List<Module> largest = new ArrayList<>(modules);
        largest.sort(Comparator.comparingDouble((Module m) -> m.width * m.height * m.depth)
                .reversed());
        for (Module m : largest) {
            Optional<double[]> place =
                    new FreeSpace(bands, blocked).place(m.width + 2 * FOAM, m.height + 2 * FOAM, m.depth + 2 * FOAM);
            place.ifPresent(blocked::add);
            stowed.add(new Stowed(
                    m, place.map(p -> new FitReport.PlacedBody(m.name, p[0], p[1], p[2], p[3], p[4], p[5]))));
        }
        OptionalDouble behind = fit.depths().stream()
                .filter(d -> !d.nearer())
                .mapToDouble(d -> d.slack().left().likely())
                .min();
        return Optional.of(new Room(free, volume(runs), stowed, bundle(runs), behind));
    }

    /** As wide as it is at its back, so never too much; as deep as it is at least. */
    private static double[] back(Band b, double plane) {
        double depth = b.depth().missing() ? b.depth().least() : b.depth().likely();
        double closes = b.taper() * depth / 100;
        return new double[] {
            b.x0().likely() + closes,
            Math.max(b.x0().likely() + closes, b.x1().likely() - closes),
            b.y0().likely(),
            b.y1().likely(),
            0,
            depth + plane
        };
    }
}
