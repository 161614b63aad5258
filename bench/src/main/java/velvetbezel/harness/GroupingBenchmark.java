package velvetbezel.harness;

import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;
import velvetbezel.store.Json;

/** Gathers 400 lead ends of fifty roles into joints and caps: a cut loom, a radio, and one part used six times. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class GroupingBenchmark {
    private static final int ROLES = 50;
    private static final int PARTS = 6;
    private Recipe recipe;
    private Draft draft;

    @Setup
    public void read() {
        List<LeadRole> roles = Arrays.stream(LeadRole.values()).limit(ROLES).toList();
        String terminals = each(roles, r -> "\"%s\"".formatted(r.label()));
        String positions = IntStream.range(0, ROLES)
                .mapToObj(i ->
                        "{\"position\":%d,\"role\":\"%s\",\"to\":\"box.%s\",\"gauge\":18,\"metres\":2,\"bare\":true}"
                                .formatted(
                                        i + 1,
                                        roles.get(i).label(),
                                        roles.get(i).label()))
                .collect(Collectors.joining(","));
        Sheet.Vehicle vehicle = (Sheet.Vehicle) SheetReader.read(Json.parse(
                """
            {"format":"velvet-bezel/sheet","version":1,"kind":"vehicle","id":"cut-loom","name":"cut loom","source":{"from":"measured"},"make":"m","model":"m","trim":"m","years":[2000,2001],"opening":"one-DIN","audio system":"plain","buttons":[],
             "devices":[{"id":"battery","terminals":["plus","minus"],"rules":[{"id":"feed","then":[{"drive":["plus","minus"],"volts":12.6,"ohms":0.02}]}]},{"id":"box","terminals":[%s]}],
             "wires":[{"from":"battery.plus","to":"box.constant","gauge":16,"metres":0.5}],
             "plugs":[{"id":"stub","family":"cut ends","size":50,"positions":[%s]}],
             "radio":{"id":"radio","terminals":["gnd"]}}"""
                        .formatted(terminals, positions)));
        String leads =
                each(roles, r -> "{\"name\":\"%s\",\"role\":\"%s\",\"gauge\":18}".formatted(r.label(), r.label()));
        Sheet.Radio radio = (Sheet.Radio) SheetReader.read(Json.parse(
                """
            {"format":"velvet-bezel/sheet","version":1,"kind":"radio","id":"many-leads","name":"many leads","source":{"from":"measured"},"size":"one-DIN","device":{"id":"radio","leads":[%s]}}"""
                        .formatted(leads)));
        Sheet.Part part = (Sheet.Part) SheetReader.read(Json.parse(
                """
            {"format":"velvet-bezel/sheet","version":1,"kind":"part","id":"tails","name":"tails","source":{"from":"measured"},"part":"access lead","device":{"id":"tails","leads":[%s]}}"""
                        .formatted(leads)));
        recipe = Recipe.of(vehicle, radio, Collections.nCopies(PARTS, part));
        draft();
        System.out.println("ends "
                + draft.terminals.values().stream().filter(Terminal::joinable).count());
    }

    private static String each(List<LeadRole> roles, Function<LeadRole, String> text) {
        return roles.stream().map(text).collect(Collectors.joining(","));
    }

    /** A joint is drawn into the draft: each call has its own. */
    @Setup(Level.Invocation)
    public void draft() {
        draft = new Draft();
        Builder.car(draft, recipe.vehicle());
        recipe.parts()
                .forEach((id, part) -> draft.add(new Instance(
                        id, part.id(), Instance.Owner.PART, part.device().orElseThrow())));
        Builder.radios(draft, recipe);
    }

    @Benchmark
    public Object joints() {
        Joining joining = new Joining(draft, recipe, List.of());
        joining.join();
        return joining.joints();
    }
}
