package velvetbezel.fit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import velvetbezel.sheet.fit.Site;

/** Room behind a radio; volumes by hand, and against chance and a lattice. */
class RoomTest {
    private static final Site SITE = Dashes.site(
            "{'opening': {'w': 184, 'h': 104}, 'bands': [{'id': 'all', 'x': [-10, 194], 'y': [-10, 120], 'depth': 220}]}");

    @Test
    void twentyOneLeadsTiedTogetherAre12Point85Across() {
        List<Room.Run> runs = new ArrayList<>(Collections.nCopies(8, new Room.Run(2.1, 300)));
        runs.addAll(Collections.nCopies(12, new Room.Run(1.8, 300)));
        runs.add(new Room.Run(2.9, 300));
        assertEquals(12.85, Room.bundle(runs), 0.005);
        assertEquals(38.9, Room.volume(runs), 0.05);
    }

    @Test
    void whatIsFreeIsTheCavityLessTheRadioWithItsLastCentimetre() {
        FitReport fit = Dashes.fit(SITE, Dashes.radio(180, 100, 160, 12, 28), Optional.empty());
        Room room = Room.of(SITE, fit, Set.of(), List.of(), List.of()).orElseThrow();
        // 204 × 130 × 220 less 178 × 98 × 170, and what of the plug (52 × 22 × 40) lies beyond that centimetre
        assertEquals((204 * 130 * 220 - 178 * 98 * 170 - 52 * 22 * 30) / 1000.0, room.free(), 0.001);
        assertEquals(Room.Fill.EASY, room.fill());
    }

    @Test
    void bundleThickerThanTheRoomBehindGoesBelowOrBeside() {
        FitReport fit = Dashes.fit(SITE, Dashes.radio(180, 100, 172, 12, 28), Optional.empty());
        Room room = Room.of(SITE, fit, Set.of(), Collections.nCopies(20, new Room.Run(2.1, 300)), List.of())
                .orElseThrow();
        assertEquals(8, room.behind().orElseThrow(), 1e-9);
        assertTrue(room.beside());
    }

    @Test
    void nothingIsSaidOfACavityNobodyMeasured() {
        Site site = Dashes.site("{'opening': {'w': 184, 'h': 104}}");
        FitReport fit = Dashes.fit(site, Dashes.radio(180, 100, 160, 12, 28), Optional.empty());
        assertEquals(Optional.empty(), Room.of(site, fit, Set.of(), List.of(), List.of()));
    }

    @Test
    void namedPlaceTakesAModuleInItsFoamHoweverItIsTurned() {
        Site site = Dashes.site("{'opening': {'w': 184, 'h': 104}, 'places': [{'id': 'ledge', 'room':"
                + " {'x': [0, 50], 'y': [0, 120], 'z': [0, 80]}}, {'id': 'bare'}]}");
        // a ruler is right to a millimetre at each end: 48 × 118 × 78
        assertTrue(Room.takes(site.places().get(0), new Room.Module("m", 108, 68, 38)));
        assertFalse(Room.takes(site.places().get(0), new Room.Module("m", 108, 68, 39)));
        assertFalse(Room.takes(site.places().get(1), new Room.Module("m", 1, 1, 1)));
    }

    private static double[] box(Random r, double most) {
        double[] b = new double[6];
        for (int axis = 0; axis < 6; axis += 2) {
            b[axis] = Math.floor(r.nextDouble() * most);
            b[axis + 1] = b[axis] + 10 + Math.floor(r.nextDouble() * 60);
        }
        return b;
    }

    private static boolean free(List<double[]> rooms, List<double[]> blocked, double x, double y, double z) {
        return rooms.stream().anyMatch(b -> inside(b, x, y, z))
                && blocked.stream().noneMatch(b -> inside(b, x, y, z));
    }

    private static boolean inside(double[] b, double x, double y, double z) {
        return x > b[0] && x < b[1] && y > b[2] && y < b[3] && z > b[4] && z < b[5];
    }

    @Test
    void freeVolumeIsWhatChancePointsFind() {
        for (int seed = 0; seed < 10; seed++) {
            Random r = new Random(seed);
            List<double[]> rooms =
                    List.of(new double[] {0, 200, 0, 60, 0, 150}, new double[] {0, 200, 60, 120, 0, 200});
            List<double[]> blocked = new ArrayList<>();
            for (int i = 0; i < 8; i++) blocked.add(box(r, 180));
            int hits = 0;
            int points = 40_000;
            for (int i = 0; i < points; i++)
                if (free(rooms, blocked, 200 * r.nextDouble(), 120 * r.nextDouble(), 200 * r.nextDouble())) hits++;
            double chance = 200.0 * 120 * 200 * hits / points;
            // three standard deviations of 40 000 points are under 0.8 % of the whole
            assertEquals(chance, new FreeSpace(rooms, blocked).volume(), 0.008 * 200 * 120 * 200, "seed " + seed);
        }
    }

    @Test
    void placeFoundIsFreeAndWhereNoneIsFoundALatticeFindsNone() {
        int found = 0;
        int none = 0;
        for (int seed = 0; seed < 60; seed++) {
            Random r = new Random(seed);
            List<double[]> rooms = List.of(new double[] {0, 120, 0, 80, 0, 100});
            List<double[]> blocked = new ArrayList<>();
            for (int i = 0; i < 10; i++) blocked.add(box(r, 100));
            double[] size = {50 + r.nextInt(30), 40 + r.nextInt(30), 30 + r.nextInt(30)};
            Optional<double[]> place = new FreeSpace(rooms, blocked).place(size[0], size[1], size[2]);
            if (place.isPresent()) {
                found++;
                double[] p = place.get();
                assertTrue(apart(p, blocked) && p[1] <= 120 && p[3] <= 80 && p[5] <= 100, "seed " + seed);
            } else {
                none++;
                assertFalse(lattice(blocked, size), "seed " + seed);
            }
        }
        assertTrue(found > 15 && none > 15, found + " found, " + none + " not");
    }

    private static boolean apart(double[] p, List<double[]> blocked) {
        return blocked.stream()
                .allMatch(b ->
                        p[1] <= b[0] || b[1] <= p[0] || p[3] <= b[2] || b[3] <= p[2] || p[5] <= b[4] || b[5] <= p[4]);
    }

    private static boolean lattice(List<double[]> blocked, double[] s) {
        double[][] turns = {
            {s[0], s[1], s[2]}, {s[0], s[2], s[1]}, {s[1], s[0], s[2]},
            {s[1], s[2], s[0]}, {s[2], s[0], s[1]}, {s[2], s[1], s[0]}
        };
        for (double[] t : turns)
            for (int x = 0; x + t[0] <= 120; x += 4)
                for (int y = 0; y + t[1] <= 80; y += 4)
                    for (int z = 0; z + t[2] <= 100; z += 4)
                        if (apart(new double[] {x, x + t[0], y, y + t[1], z, z + t[2]}, blocked)) return true;
        return false;
    }
}
