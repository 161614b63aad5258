package velvetbezel.strip;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.Demo;
import velvetbezel.sheet.FactReader;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Node;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.Lever;
import velvetbezel.sheet.strip.Minutes;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.sheet.strip.StripReader;
import velvetbezel.sheet.strip.VehicleFacts;

/** Strip-downs to try things on: some by hand, any number by seed. */
public final class Cars {
    private static final HazardRules RULES = readRules();
    private static final Provenance STATED = Provenance.of(Provenance.Origin.STATED);

    private Cars() {}

    /** The rules that ship with the program. */
    public static HazardRules rules() {
        return RULES;
    }

    private static HazardRules readRules() {
        try {
            return HazardRules.read(Demo.parse(Files.readString(
                    Path.of("..", "store", "src", "main", "resources", "velvetbezel", "store", "hazards.json"))));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @param json with ' for " */
    public static StripDown of(String json) {
        return read(Demo.parse(json.replace('\'', '"')));
    }

    static StripDown read(Object tree) {
        List<InputProblem> faults = new ArrayList<>();
        StripDown strip = StripReader.read(Node.root(tree, faults), facts()).orElseThrow();
        if (!faults.isEmpty()) throw new InvalidInput(faults);
        return strip;
    }

    private static FactReader facts() {
        return new FactReader("car", STATED);
    }

    /** Lever against battery against airbag lamp: the panel comes past the lever at low, with an airbag lamp in it. */
    public static StripDown leverAgainstLamp() {
        return of(
                """
                {'facts': {'lever': {'key': ['run'], 'foot brake': true, 'battery': true},
                  'batteries': [{'id': 'main', 'place': 'engine bay', 'clamp': 'hex 10', 'minutes': [1, 2, 4]}]},
                 'items': [
                  {'id': 'console lid', 'kind': 'lid', 'minutes': [0, 0.2, 1]},
                  {'id': 'surround', 'kind': 'trim', 'fasteners': [
                    {'id': 'under lid', 'drive': 'hex 7', 'count': 2, 'behind': ['console lid:loose']}],
                    'leads': [{'id': 'switches', 'unlock': 'press tab'}]},
                  {'id': 'fascia', 'clips': {'count': 9, 'start': 'lower left', 'round': 'clockwise'},
                    'clear': {'gear': ['low']}, 'behind': ['surround:loose'], 'breaks': ['hazard switch'],
                    'leads': [{'id': 'airbag lamp', 'circuit': 'airbag', 'lock': 'yellow'},
                              {'id': 'glove-box button', 'gives': ['glove box release']}]},
                  {'id': 'glove box', 'kind': 'lid', 'electric': {}, 'uses': ['glove box release']},
                  {'id': 'radio', 'kind': 'radio', 'behind': ['fascia'], 'leads': [{'id': 'main'}],
                    'fasteners': [{'id': 'front', 'drive': 'hex 7', 'count': 2},
                      {'id': 'rear', 'drive': 'hex 7', 'count': 2, 'hidden': true, 'may drop': true,
                       'after': ['front']}]}],
                 'works': [{'id': 'delete paired phones', 'phase': 'before', 'plugged': ['radio.main'],
                    'needs': {'battery': ['connected'], 'key': ['accessory', 'run']}}],
                 'extras': [{'id': 'USB lead into the glove box', 'open': ['glove box:loose', 'radio'],
                    'minutes': [5, 8, 15]}]}""");
    }

    /** The last part of a seeded car is what comes out. */
    public static Wanted wanted(StripDown strip) {
        return new Wanted(Set.of(strip.items().get(strip.items().size() - 1).id()), Set.of(), Set.of(), School.USUAL);
    }

    /** Every part comes out. */
    public static Wanted allOff(StripDown strip) {
        return new Wanted(
                strip.items().stream().map(DashItem::id).collect(Collectors.toSet()), Set.of(), Set.of(), School.USUAL);
    }

    /**
     * A car by chance.
     *
     * @param conditioned how many parts of a hundred ask for something of the vehicle
     */
    public static StripDown seeded(long seed, int items, int conditioned) {
        Random random = new Random(seed);
        StringBuilder json = new StringBuilder();
        int airbags = 0;
        int givers = 0;
        for (int i = 0; i < items; i++) {
            StringBuilder item = new StringBuilder("{'id': 'p" + i + "'");
            List<String> behind = new ArrayList<>();
            for (int j = 0; j < i; j++)
                if (random.nextInt(Math.max(2, i)) == 0 || i == items - 1 && random.nextBoolean() && j >= i - 3)
                    behind.add("'p" + j + (random.nextInt(3) == 0 ? ":loose'" : "'"));
            item.append(", 'behind': [").append(String.join(", ", behind)).append("]");
            List<String> leads = new ArrayList<>();
            for (int c = random.nextInt(3); c > 0; c--) {
                String more = "";
                if (airbags < 3 && random.nextInt(8) == 0) {
                    more = ", 'circuit': 'airbag'";
                    airbags++;
                } else if (givers < 2 && random.nextInt(10) == 0) {
                    more = ", 'gives': ['f" + givers++ + "']";
                } else if (random.nextInt(4) == 0) more = ", 'supply': false";
                leads.add("{'id': 'c" + c + "'" + more + "}");
            }
            item.append(", 'leads': [").append(String.join(", ", leads)).append("]");
            if (random.nextInt(100) < conditioned)
                item.append(
                        random.nextInt(4) == 0 ? ", 'clear': {'column': ['down']}" : ", 'clear': {'gear': ['low']}");
            else if (random.nextInt(100) < conditioned / 2 && givers > 0)
                item.append(", 'electric': {}, 'uses': ['f" + random.nextInt(givers) + "']");
            if (random.nextInt(12) == 0) item.append(", 'rests': false");
            if (random.nextInt(6) == 0) item.append(", 'lies aside': false");
            item.append(", 'minutes': [1, ").append(2 + random.nextInt(3)).append(", 6]}");
            json.append(json.isEmpty() ? "" : ",\n").append(item);
        }
        String lever = random.nextInt(4) == 0 ? "false" : "true";
        return of("{'facts': {'lever': {'key': ['run'], 'foot brake': true, 'battery': %s}}, 'items': [%s]}"
                .formatted(lever, json));
    }

    /** The same with a mechanical release of the lever. */
    static StripDown released(StripDown car) {
        VehicleFacts f = car.facts();
        Lever lever = f.lever().orElseThrow();
        Lever with = new Lever(
                lever.key(),
                lever.footBrake(),
                lever.battery(),
                Optional.of(new Lever.MechanicalRelease(new Minutes(1, 2, 4), List.of())),
                lever.manual());
        return new StripDown(
                car.items(),
                car.works(),
                car.extras(),
                new VehicleFacts(
                        Optional.of(with),
                        f.batteries(),
                        f.radioCode(),
                        f.startUp(),
                        f.waitAfterOff(),
                        f.popUps(),
                        f.forgets()));
    }
}
