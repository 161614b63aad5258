package velvetbezel.fit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.fit.Length;
import velvetbezel.sheet.fit.MountingPlace;
import velvetbezel.sheet.fit.Route;
import velvetbezel.sheet.fit.Site;
import velvetbezel.sheet.fit.Thing;

/** Where antennas and microphones go, by the rules that ship, and what must hold of every car. */
class PlacingTest {
    private static final PlacingRules RULES = rules();

    private static PlacingRules rules() {
        try {
            return PlacingRules.read(Demo.parse(
                    Files.readString(Path.of("../store/src/main/resources/velvetbezel/store/placing.json"))));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static final Site CAR = Dashes.site("{'opening': {'w': 184, 'h': 104}, 'places': ["
            + "{'id': 'scuttle ledge', 'height': 2, 'metal above': false, 'metal below': true, 'coated glass': false,"
            + " 'airbag path': false},"
            + "{'id': 'behind the dash', 'height': 1, 'metal above': true, 'airbag path': false},"
            + "{'id': 'dash top', 'height': 3, 'metal above': false, 'coated glass': false},"
            + "{'id': 'pillar', 'from the mouth': 400, 'airbag path': true, 'visor hits': false},"
            + "{'id': 'mirror', 'from the mouth': 550, 'airbag path': false, 'visor hits': false}],"
            + " 'ways': [{'a': 'radio', 'b': 'scuttle ledge', 'length': 430, 'over': ['flap'], 'hole': 19},"
            + " {'a': 'radio', 'b': 'behind the dash', 'length': 200},"
            + " {'a': 'radio', 'b': 'dash top', 'length': 300, 'hole': 10},"
            + " {'a': 'scuttle ledge', 'b': 'dash top', 'length': 350},"
            + " {'a': 'radio', 'b': 'pillar', 'length': 700, 'over': ['curtain airbag']},"
            + " {'a': 'radio', 'b': 'mirror', 'length': 1500, 'over': ['curtain airbag'], 'passes behind': true}]}");

    private static Thing thing(Thing.Kind kind, double lead, double plug) {
        return new Thing(kind, kind.word(), Optional.of(length("lead", lead)), Optional.of(length("plug", plug)));
    }

    private static Length length(String what, double mm) {
        return Length.of(new FieldRef("thing", what), mm, Provenance.Origin.PRINTED, 0.5);
    }

    private static Placing.Option at(Placing placing, String place) {
        return placing.options().stream()
                .filter(o -> o.place().id().equals(place))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void antennaUnderMetalIsRefusedAndMetalBelowIsNoWarning() {
        Placing gps = Placing.of(CAR, thing(Thing.Kind.GPS_ANTENNA, 3000, 9), RULES);
        assertEquals("scuttle ledge", gps.best().orElseThrow().place().id());
        assertEquals(Placing.Standing.ALLOWED, at(gps, "scuttle ledge").standing());
        assertEquals(List.of(), at(gps, "scuttle ledge").warnings());
        assertEquals(
                List.of("antenna-under-metal"),
                at(gps, "behind the dash").against().stream()
                        .map(PlacingRule::id)
                        .toList());
        // nobody said whether an airbag opens there
        assertEquals(Placing.Standing.ALLOWED_IF, at(gps, "dash top").standing());
        assertEquals(
                List.of(MountingPlace.Known.AIRBAG_PATH), at(gps, "dash top").look());
    }

    @Test
    void leadTakesTheLongerWayWhereItsPlugDoesNotPassTheHole() {
        Placing thin = Placing.of(CAR, thing(Thing.Kind.GPS_ANTENNA, 3000, 9), RULES);
        assertEquals(300, at(thin, "dash top").way().orElseThrow().length().likely());
        Placing thick = Placing.of(CAR, thing(Thing.Kind.GPS_ANTENNA, 3000, 14), RULES);
        Ways.Way way = at(thick, "dash top").way().orElseThrow();
        assertEquals(List.of("scuttle ledge"), way.via());
        assertEquals(780, way.length().likely());
        // 780 × 1.05 + 150
        assertEquals(969, at(thick, "dash top").need().orElseThrow(), 1e-9);
    }

    @Test
    void leadOverACurtainAirbagIsNoWayUnlessItPassesBehind() {
        Placing mic = Placing.of(CAR, thing(Thing.Kind.MICROPHONE, 3000, 4), RULES);
        assertTrue(at(mic, "pillar").noWay());
        assertEquals("mirror", mic.best().orElseThrow().place().id());
    }

    @Test
    void leadThatIsTooShortIsRefusedByMillimetres() {
        Placing mic = Placing.of(CAR, thing(Thing.Kind.MICROPHONE, 1500, 4), RULES);
        // 1499 at least × 1.05 + 150 less 1500.5
        assertEquals(223.45, at(mic, "mirror").shortBy().orElseThrow(), 1e-9);
    }

    @Test
    void catalogueNamesNothingThatAPlaceCannotSay() {
        assertEquals(Set.of(Thing.Kind.values()), RULES.ranks().keySet());
        assertTrue(RULES.all().size() >= 19);
    }

    @Test
    void antennaPutUnderMetalLosesThePosition() {
        Sheet.Vehicle car = Demo.vehicle("meridale-plover-2019-plain");
        Installation built = Builder.replacement(
                car,
                Demo.radio("ondel-60"),
                Demo.parts("quillmoor-plover-panel", "thornlea-plover-plain", "kelfax-gps-antenna"));
        Site site = car.site().orElseThrow();
        String antenna = Demo.parts("kelfax-gps-antenna").get(0).name();
        assertEquals(Kind.GAINED, position(car, built));
        assertEquals(List.of(), Misplaced.of(built, site, RULES, Map.of(antenna, "scuttle ledge")));
        Installation under = built.with(Misplaced.of(built, site, RULES, Map.of(antenna, "behind the cluster")));
        assertEquals(Kind.ABSENT, position(car, under));
    }

    private static Kind position(Sheet.Vehicle car, Installation installation) {
        return new Outcomes.Against(Builder.factory(car), Demo.CATALOGUE)
                .outcomes(installation)
                .get(new FunctionId("position"))
                .kind();
    }

    // --- laws

    private static Site seeded(Random r, MountingPlace.Known set, double to) {
        List<MountingPlace> places = new ArrayList<>();
        List<Route> routes = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            Map<MountingPlace.Known, Double> facts = new EnumMap<>(MountingPlace.Known.class);
            for (MountingPlace.Known k : MountingPlace.Known.values())
                if (r.nextInt(4) > 0) facts.put(k, k.truth() ? r.nextInt(2) : r.nextDouble() * 1000);
            if (set != null) facts.put(set, to);
            places.add(new MountingPlace("p" + i, "p" + i, facts, Optional.empty(), List.of()));
            routes.add(new Route(
                    i == 0 ? Route.RADIO : "p" + r.nextInt(i),
                    "p" + i,
                    length("way " + i, 100 + r.nextInt(900)),
                    r.nextInt(4) == 0 ? Set.of(Route.Over.PEDALS) : Set.of(),
                    r.nextBoolean(),
                    r.nextBoolean() ? Optional.of(length("hole " + i, 5 + r.nextInt(20))) : Optional.empty()));
        }
        return with(places, routes);
    }

    private static Site with(List<MountingPlace> places, List<Route> routes) {
        return new Site(
                "dash",
                CAR.width(),
                CAR.height(),
                CAR.bands(),
                true,
                List.of(),
                0,
                Map.of(),
                Optional.empty(),
                List.of(),
                places,
                routes);
    }

    private static long refused(Placing p) {
        return p.options().stream()
                .filter(o -> o.standing() == Placing.Standing.REFUSED)
                .count();
    }

    @Test
    void longerLeadAndOneMoreWayNeverRefuseMore() {
        for (int seed = 0; seed < 300; seed++) {
            Random r = new Random(seed);
            Site site = seeded(r, null, 0);
            Thing.Kind kind = Thing.Kind.values()[r.nextInt(Thing.Kind.values().length)];
            long was = refused(Placing.of(site, thing(kind, 900, 10), RULES));
            assertTrue(refused(Placing.of(site, thing(kind, 1800, 10), RULES)) <= was, "seed " + seed);
            List<Route> more = new ArrayList<>(site.routes());
            more.add(new Route(Route.RADIO, "p4", length("more", 200), Set.of(), false, Optional.empty()));
            assertTrue(
                    refused(Placing.of(with(site.places(), more), thing(kind, 900, 10), RULES)) <= was, "seed " + seed);
        }
    }

    @Test
    void metalBelowFlipsNothingAndTheAirbagPathAlwaysRefuses() {
        for (int seed = 0; seed < 300; seed++) {
            Thing t = thing(Thing.Kind.values()[seed % Thing.Kind.values().length], 3000, 6);
            Placing without = Placing.of(seeded(new Random(seed), MountingPlace.Known.METAL_BELOW, 0), t, RULES);
            Placing with = Placing.of(seeded(new Random(seed), MountingPlace.Known.METAL_BELOW, 1), t, RULES);
            assertEquals(
                    without.options().stream()
                            .map(o -> o.place().id() + o.standing())
                            .toList(),
                    with.options().stream()
                            .map(o -> o.place().id() + o.standing())
                            .toList());
            assertEquals(
                    5, refused(Placing.of(seeded(new Random(seed), MountingPlace.Known.AIRBAG_PATH, 1), t, RULES)));
        }
    }
}
