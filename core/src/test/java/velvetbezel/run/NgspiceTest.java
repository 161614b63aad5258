package velvetbezel.run;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import velvetbezel.Demo;
import velvetbezel.circuit.Spice;
import velvetbezel.harness.Conductor;
import velvetbezel.harness.Edit;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Joint;
import velvetbezel.harness.TerminalId;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;
import velvetbezel.units.Ohms;
import velvetbezel.units.Volts;

/** The voltages of whole demo cars, confirmed by ngspice (Debian's package) on the exported netlist. */
class NgspiceTest {
    private static final int FAULTS = 25;
    private static final Pattern PRINTED = Pattern.compile("^v\\((n\\d+)\\) = (\\S+)$", Pattern.MULTILINE);

    static Stream<Installation> cars() {
        return Stream.of(Demo.minibusJob(), Demo.crossoverJob());
    }

    private static VehicleState on() {
        return VehicleState.AT_REST
                .with(StateField.KEY, "run")
                .with(StateField.LAMPS, "on")
                .withDimmer(40);
    }

    @ParameterizedTest
    @MethodSource("cars")
    void voltagesOfADemoCarAgreeWithNgspice(Installation installation, @TempDir Path folder) throws Exception {
        assertTrue(compared(installation, on(), folder) > 30);
    }

    /** Twenty-five single faults of each car, spread over all that can be wrong with it. */
    @ParameterizedTest
    @MethodSource("cars")
    void voltagesOfFaultyCarsAgreeWithNgspice(Installation installation, @TempDir Path folder) throws Exception {
        List<List<Edit>> faults = faults(installation);
        for (int i = 0; i < FAULTS; i++)
            compared(installation.with(faults.get(i * faults.size() / FAULTS)), on(), folder);
    }

    /** Everything that may part, short or be exchanged, one at a time. */
    private static List<List<Edit>> faults(Installation installation) {
        List<List<Edit>> faults = new ArrayList<>();
        for (Conductor c : installation.conductors()) {
            faults.add(List.of(new Edit.Open(c.id())));
            faults.add(List.of(new Edit.SetOhms(c.id(), new Ohms(3))));
        }
        for (Joint j : installation.joints())
            faults.add(List.of(new Edit.Bridge(j.leads().get(0), new TerminalId("battery", "minus"), new Ohms(0.05))));
        return faults;
    }

    /** @return how many nodes ngspice gave a voltage */
    private static int compared(Installation installation, VehicleState state, Path folder) throws Exception {
        Run run = Run.of(installation);
        Picture picture = run.in(state, run.start()).picture();
        Path deck = Files.writeString(folder.resolve("car.cir"), Spice.write("demo car", picture.netlist()));
        Process process = new ProcessBuilder("ngspice", "-b", deck.toString())
                .redirectErrorStream(true)
                .start();
        String printed = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        process.waitFor();
        Map<String, Double> theirs = new HashMap<>();
        Matcher m = PRINTED.matcher(printed);
        while (m.find()) theirs.put(m.group(1), Double.parseDouble(m.group(2)));
        for (int node = 1; node < picture.nodes().size(); node++) {
            Volts ours = picture.at(picture.nodes().get(node)).reading().orElse(null);
            if (ours == null) continue;
            assertEquals(
                    theirs.get(Spice.name(node)),
                    ours.value(),
                    Math.max(1e-9, Math.abs(ours.value()) * 1e-5),
                    picture.nodes().get(node).toString());
        }
        return theirs.size();
    }
}
