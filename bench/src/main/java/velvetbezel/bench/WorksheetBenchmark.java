package velvetbezel.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Terminal;
import velvetbezel.run.Run;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;
import velvetbezel.state.StateField;
import velvetbezel.state.VehicleState;
import velvetbezel.store.Json;
import velvetbezel.store.StandardTables;
import velvetbezel.worksheet.JointChoices;
import velvetbezel.worksheet.JointRow;
import velvetbezel.worksheet.Loads;
import velvetbezel.worksheet.Sizing;
import velvetbezel.worksheet.Worksheet;

/**
 * A harness of 60 joints and 120 bare leads: built, run in every state that the worksheet or a test asks about,
 * sized, its loads found.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class WorksheetBenchmark {
    private static final int JOINTS = 60;
    private static final VehicleState RUN = VehicleState.AT_REST.with(StateField.KEY, "run");
    private static final List<VehicleState> STATES = List.of(
            VehicleState.AT_REST,
            VehicleState.AT_REST.with(StateField.KEY, "accessory"),
            RUN,
            RUN.with(StateField.LAMPS, "on"),
            RUN.with(StateField.ENGINE, "running"),
            RUN.with(StateField.GEAR, "reverse"));
    private Sheet.Vehicle vehicle;
    private Sheet.Radio radio;

    @Setup
    public void put() {
        List<LeadRole> roles =
                new ArrayList<>(Arrays.stream(LeadRole.values()).limit(JOINTS).toList());
        String terminals =
                roles.stream().map(r -> "\"%s\"".formatted(r.label())).collect(Collectors.joining(","));
        String positions = IntStream.range(0, JOINTS)
                .mapToObj(i ->
                        "{\"position\":%d,\"role\":\"%s\",\"to\":\"%s\",\"colour\":\"red\",\"gauge\":18,\"metres\":2,\"bare\":true}"
                                .formatted(
                                        i + 1,
                                        roles.get(i).label(),
                                        i == 0
                                                ? "battery.minus"
                                                : i == 1
                                                        ? "battery.plus"
                                                        : i == 2
                                                                ? "switch.out"
                                                                : "box."
                                                                        + roles.get(i)
                                                                                .label()))
                .collect(Collectors.joining(","));
        vehicle = (Sheet.Vehicle) SheetReader.read(Json.parse(
                """
            {"format":"velvet-bezel/sheet","version":1,"kind":"vehicle","id":"long-loom","name":"long loom","source":{"from":"measured"},"make":"m","model":"m","trim":"m","years":[2000,2001],"opening":"one-DIN","audio system":"plain","buttons":[],
             "devices":[{"id":"battery","terminals":["plus","minus"],"rules":[{"id":"feed","then":[{"drive":["plus","minus"],"volts":12.6,"ohms":0.02}]}]},
               {"id":"switch","terminals":["in","out"],"rules":[{"id":"on","when":{"state":"key","in":["accessory","run"]},"then":[{"connect":["in","out"],"ohms":0.01}]}]},
               {"id":"box","terminals":[%s]}],
             "wires":[{"from":"battery.plus","to":"switch.in","gauge":16,"metres":0.5}],
             "plugs":[{"id":"A","family":"Long 60-way","size":60,"positions":[%s]}],
             "radio":{"id":"radio","terminals":["gnd"]}}"""
                        .formatted(terminals, positions)));
        String leads = roles.stream()
                .map(r -> "{\"name\":\"%s\",\"role\":\"%s\",\"colour\":\"red\",\"gauge\":18,\"metres\":0.3}"
                        .formatted(r.label(), r.label()))
                .collect(Collectors.joining(","));
        radio = (Sheet.Radio) SheetReader.read(Json.parse(
                """
            {"format":"velvet-bezel/sheet","version":1,"kind":"radio","id":"long-radio","name":"long radio","source":{"from":"measured"},"size":"one-DIN","price":1,
             "device":{"id":"radio","ratings":{"draws amps":7},"leads":[%s],"rules":[{"id":"on","when":{"volts":"accessory","of":"ground","min":9},"then":[{"draw":["constant","ground"],"amps":1.2},{"draw":["accessory","ground"],"amps":0.05}]}]}}"""
                        .formatted(leads)));
        Installation built = Builder.replacement(vehicle, radio, List.of());
        long bare = built.terminals().values().stream()
                .filter(t -> t.kind() == Terminal.Kind.BARE)
                .count();
        System.out.println("joints " + Worksheet.of(built).joints().size() + ", bare leads " + bare + ", terminals "
                + built.terminals().size());
    }

    @Benchmark
    public Object worksheet() {
        Installation installation = Builder.replacement(vehicle, radio, List.of());
        Run run = Run.of(installation);
        run.through(STATES, run.start());
        Worksheet worksheet = Worksheet.of(installation);
        Sizing sizing = new Sizing(StandardTables.all(), JointChoices.USUAL);
        List<Object> made = new ArrayList<>();
        for (JointRow row : worksheet.joints()) made.add(sizing.of(row));
        return made;
    }

    @Benchmark
    public Object loads() {
        Installation installation = Builder.replacement(vehicle, radio, List.of());
        return Loads.of(installation, Worksheet.of(installation), StandardTables.all());
    }
}
