package velvetbezel.run;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import velvetbezel.Demo;
import velvetbezel.circuit.Spice;
import velvetbezel.harness.Installation;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;
import velvetbezel.units.Volts;

/** The voltages of whole demo cars, confirmed by ngspice (Debian's package) on the exported netlist. */
class NgspiceTest {
    private static final Pattern PRINTED = Pattern.compile("^v\\((n\\d+)\\) = (\\S+)$", Pattern.MULTILINE);

    static Stream<Installation> cars() {
        return Stream.of(Demo.minibusJob(), Demo.crossoverJob());
    }

    @ParameterizedTest
    @MethodSource("cars")
    void voltagesOfADemoCarAgreeWithNgspice(Installation installation, @TempDir Path folder) throws Exception {
        Run run = Run.of(installation);
        VehicleState on = VehicleState.AT_REST
                .with(StateField.KEY, "run")
                .with(StateField.LAMPS, "on")
                .withDimmer(40);
        Picture picture = run.in(on, run.start()).picture();
        Path deck = Files.writeString(
                folder.resolve("car.cir"), Spice.write("demo car, key on, lamps on", picture.netlist()));
        Process process = new ProcessBuilder("ngspice", "-b", deck.toString())
                .redirectErrorStream(true)
                .start();
        String printed = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        process.waitFor();
        Map<String, Double> theirs = new HashMap<>();
        Matcher m = PRINTED.matcher(printed);
        while (m.find()) theirs.put(m.group(1), Double.parseDouble(m.group(2)));
        assertTrue(theirs.size() > 30, printed);
        for (int node = 1; node < picture.nodes().size(); node++) {
            Volts ours = picture.at(picture.nodes().get(node)).reading().orElse(null);
            if (ours == null) continue;
            assertEquals(
                    theirs.get(Spice.name(node)),
                    ours.value(),
                    Math.max(1e-9, Math.abs(ours.value()) * 1e-5),
                    picture.nodes().get(node).toString());
        }
    }
}
