package velvetbezel.worksheet;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Stream;
import velvetbezel.harness.Instance;
import velvetbezel.run.Arrival;
import velvetbezel.run.Loaded;
import velvetbezel.run.PortRef;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Medium;
import velvetbezel.sheet.Port;
import velvetbezel.units.Volts;

/** A radio's line outputs at the inputs they reach: their level, and noise of a ground that is shared. */
final class LineLoads {
    private final FullLoad strain;
    private final Instance radio;
    private final Map<PortRef, LeadRole> outs = new LinkedHashMap<>();
    private final Set<String> told = new HashSet<>();
    private final SortedSet<String> noisy = new TreeSet<>();
    private final List<Load> loads = new ArrayList<>();

    private LineLoads(FullLoad strain, Instance radio) {
        this.strain = strain;
        this.radio = radio;
        strain.outputs(radio, LeadRole.Group.LINE)
                .forEach(p -> outs.put(
                        new PortRef(radio.id(), p.id()),
                        strain.role(radio.terminal(p.plus().orElseThrow())).orElseThrow()));
    }

    static List<Load> of(FullLoad strain, Instance radio) {
        LineLoads found = new LineLoads(strain, radio);
        for (int k = 0; k < strain.pictures.size(); k++)
            for (Instance i : strain.installation.instances())
                for (Port in : i.device().ports())
                    if (in.medium() == Medium.AUDIO && in.dir() == Port.Dir.IN) found.input(k, i, in);
        if (!found.noisy.isEmpty())
            found.add(
                    "ground shared with the line feed",
                    "noise on %s".formatted(String.join(" and ", found.noisy)),
                    Load.Verdict.OVER,
                    "Pops at on and off, whine with the engine: current of another device returns over the line's shield. An isolator per pair, front and rear, cures it; one alone leaves the pop. Choose them at Match.");
        return found.loads;
    }

    private void add(String what, String figures, Load.Verdict verdict, String text) {
        loads.add(new Load(Load.Kind.LINE, what, figures, verdict, text, List.of()));
    }

    private void input(int picture, Instance i, Port in) {
        for (Arrival arrival : strain.pictures.get(picture).arrivals(new PortRef(i.id(), in.id()))) {
            Optional<LeadRole> from = chain(arrival)
                    .flatMap(a -> a.sentFrom().stream())
                    .filter(outs::containsKey)
                    .map(outs::get)
                    .findFirst();
            if (from.isEmpty()) continue;
            if (i.device().ratings().lineIn().isPresent() && told.add(i.id())) level(i);
            double noise = noise(strain.loaded.get(picture), arrival);
            if (in.quiet().filter(q -> noise > q.value()).isPresent())
                noisy.add(from.get().label().replaceAll("line (front|rear) .*", "$1"));
        }
    }

    /** An arrival and those it came from, nearest first. */
    private static Stream<Arrival> chain(Arrival arrival) {
        return Stream.iterate(
                        Optional.of(arrival), Optional::isPresent, a -> a.get().before())
                .map(Optional::get);
    }

    /** The largest drop along a return on the way at full volume, in volts. */
    private double noise(Loaded at, Arrival arrival) {
        return chain(arrival)
                .filter(a -> a.sentFrom().isPresent())
                .mapToDouble(
                        a -> Math.abs(minus(at, a.at()) - minus(at, a.sentFrom().get())))
                .max()
                .orElse(0);
    }

    private double minus(Loaded at, PortRef port) {
        Instance i = strain.installation.instance(port.instance()).orElseThrow();
        return i.device().ports().stream()
                .filter(p -> p.id().equals(port.port()))
                .flatMap(p -> p.minus().stream())
                .findFirst()
                .map(m -> FullLoad.volts(at, i.terminal(m)))
                .orElse(0.0);
    }

    private void level(Instance amplifier) {
        Volts takes = amplifier.device().ratings().lineIn().orElseThrow();
        Optional<Volts> gives = radio.device().ratings().lineOut();
        String what = "input of " + amplifier.device().name();
        if (gives.isEmpty()) {
            add(
                    what,
                    "takes " + FullLoad.volts(takes.value()),
                    Load.Verdict.UNKNOWN,
                    "The sheet of %s does not state what its line outputs give."
                            .formatted(radio.device().name()));
            return;
        }
        String figures = "%s of %s".formatted(FullLoad.volts(gives.get().value()), FullLoad.volts(takes.value()));
        if (gives.get().value() <= takes.value()) {
            add(what, figures, Load.Verdict.BEARS, "");
            return;
        }
        Pad pad = Pad.of(gives.get(), takes);
        add(
                what,
                figures,
                Load.Verdict.OVER,
                "It clips before the radio's scale ends: a pad in each line lead, %s in series and %s across the input, leaves %s (E24 values nearest by ratio)."
                        .formatted(
                                FullLoad.ohms(pad.series().value()),
                                FullLoad.ohms(pad.shunt().value()),
                                FullLoad.volts(pad.gives().value())));
    }
}
