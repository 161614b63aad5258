package velvetbezel.diagnose;

import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetbezel.Demo;
import velvetbezel.function.CarFunction;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.harness.ProposedSettings;

/**
 * The trade's list of symptoms and usual causes (common practice, no source): each comes out of running the cause. Menus
 * that stay grey, calls from the rear and a silent kept radio are among the ten jobs' complaints.
 */
class TroubleTest {
    private static final Map<String, String> KITS = Map.of(
            "minibus",
            "corrick-ferryman-2006 pebblefen-p2 quillmoor-ferryman-frame thornlea-iso-steering kelfax-microphone",
            "crossover",
            "meridale-plover-2019-amplified ondel-47 quillmoor-plover-panel ashdyke-plover-module "
                    + "marlstone-plover-iso-fed kelfax-plover-camera-voice kelfax-plover-usb kelfax-gps-antenna");
    private static final Map<String, SymptomTable> TABLES = new HashMap<>();

    private static SymptomTable table(String kit) {
        return TABLES.computeIfAbsent(kit, k -> {
            String[] ids = KITS.get(k).split(" ");
            Installation set = ProposedSettings.applied(
                    Demo.fit(Demo.vehicle(ids[0]), ids[1], Arrays.copyOfRange(ids, 2, ids.length)),
                    Demo.CATALOGUE.settingsInUse());
            Map<FunctionId, Kind> kinds = new Outcomes.Against(Builder.factory(Demo.vehicle(ids[0])), Demo.CATALOGUE)
                    .trial(set)
                    .kinds(Demo.CATALOGUE.functions().stream()
                            .map(CarFunction::id)
                            .toList());
            List<CarFunction> due = Demo.CATALOGUE.functions().stream()
                    .filter(f -> kinds.get(f.id()).works())
                    .toList();
            return SymptomTable.of(set, due, rates(), n -> {}, t -> {}, () -> false);
        });
    }

    private static FaultRates rates() {
        try {
            return FaultRates.read(
                    Demo.parse(Files.readString(Path.of("../store/src/main/resources/velvetbezel/store/faults.json"))));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                // asks for set-up, loses its clock at every key-off
                "minibus | memory | accessory lead of Thornlea ISO adapter with steering tail and constant lead"
                        + "| SHOWN_INSTEAD | asks for set-up",
                // plays with the key off
                "minibus | power | accessory lead of Pebblefen P2 is joined to the constant joint | SHOWN_INSTEAD | on",
                // completely dead
                "minibus | power | radio fuse, 15 A is blown | NOT_SHOWN | on",
                "minibus | power | the ground joint, leg to the ground lead of Pebblefen P2 is open | NOT_SHOWN | on",
                "minibus | power | the constant joint, leg to the constant lead of Pebblefen P2 is open | NOT_SHOWN | on",
                "minibus | power | plug A of the car | NOT_SHOWN | on",
                // on, but silent with the factory amplifier
                "crossover | front left | the amp remote joint, leg to the amp remote lead of Ondel 47 is open | MISSING | music",
                "crossover | amplifier | Ashdyke data module is dead | NOT_SHOWN | on",
                // one corner silent
                "minibus | front left | the front left + joint, leg to the front left + lead of Pebblefen P2 is open"
                        + "| MISSING | music",
                "minibus | front left | position B5 (front left +) of the car's plug is open | MISSING | music",
                "minibus | front left | fader of Pebblefen P2 stands on fr | MISSING | music",
                // thin bass
                "minibus | polarity | pair out fl of Pebblefen P2 is reversed | THIN | music",
                // no picture in reverse
                "crossover | rear camera | plug second of the car in second of Kelfax camera | NOT_SHOWN | rear view",
                // weak reception
                "minibus | reception | plug antenna of the car in antenna of Pebblefen P2 | NOT_SHOWN | reception",
                // controls dead
                "crossover | button next | vehicle of Ashdyke data module stands on none | NOT_SHOWN | next",
                "minibus | button next | plug S of the car | NOT_SHOWN | next",
                // some buttons act as others
                "minibus | button volume up | position S1 (steering 1) of the car's plug is poor"
                        + "| SHOWN_INSTEAD | volume down",
                // the display never dims
                "minibus | dimming | the illumination joint, leg to the illumination lead of Pebblefen P2 is open"
                        + "| NOT_SHOWN | dimmed",
                // microphone dead
                "minibus | microphone | plug jack of Kelfax microphone in microphone | NOT_SHOWN | driver is heard",
                // no position
                "crossover | position | Kelfax GPS antenna is mounted wrong: clear of metal | NOT_SHOWN | position"
            })
    void symptomComesOutOfItsUsualCause(String kit, String function, String cause, SceneDiff.Kind kind, String what) {
        SymptomTable table = table(kit);
        SymptomTable.Row row = table.rows().stream()
                .filter(r -> r.fault().words().contains(cause))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no fault " + cause));
        int i = table.indexOf(new Trial.OfCheck(new FunctionId(function)));
        assertTrue(i >= 0, () -> "no fault shows at " + function);
        Finding.Symptom symptom = (Finding.Symptom) table.findings().get(i).get(row.shows()[i]);
        assertTrue(
                symptom.diffs().stream()
                        .anyMatch(d -> d.kind() == kind && d.what().equals(what)),
                () -> function + " with " + row.fault().words() + ": " + symptom);
    }
}
