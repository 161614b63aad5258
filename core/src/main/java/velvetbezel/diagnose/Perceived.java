package velvetbezel.diagnose;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import velvetbezel.function.Attempt;
import velvetbezel.function.CarFunction;
import velvetbezel.function.Expect;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.run.Arrival;
import velvetbezel.run.Picture;
import velvetbezel.run.PortRef;
import velvetbezel.sheet.Medium;
import velvetbezel.sheet.Port;

/**
 * What a person perceives of one function in one installation: which sinks play what, from where, how loud and how clean,
 * and what is shown. Absolute polarity is not perceived; two sinks that play against each other are.
 */
final class Perceived {
    /** A level that differs by more is heard (common practice, no source). */
    private static final double AUDIBLE_DB = 3;

    private static final String ON = ":on";

    /** Audio inputs of devices that send nothing on: speakers. What a radio's microphone hears nobody perceives. */
    record Sinks(Map<PortRef, Port> ports) {
        static Sinks of(Installation installation) {
            Map<PortRef, Port> sinks = new LinkedHashMap<>();
            for (Instance i : installation.instances()) {
                if (i.device().ports().stream().anyMatch(Port::sends)) continue;
                for (Port p : i.device().ports())
                    if (p.medium() == Medium.AUDIO) sinks.put(new PortRef(i.id(), p.id()), p);
            }
            return new Sinks(sinks);
        }
    }

    private final CarFunction function;
    private final Sinks sinks;
    private final List<Picture> scenes;
    /** Whether the person is asked to listen: nobody notices at a screen which corner is silent. */
    private final boolean listens;

    /** @param scenes the last picture of each step of the function's scenario */
    Perceived(CarFunction function, Sinks sinks, List<Picture> scenes) {
        this.function = function;
        this.sinks = sinks;
        this.scenes = scenes;
        this.listens =
                function.scenario().stream().flatMap(s -> s.expects().stream()).anyMatch(this::ofSound);
    }

    private boolean ofSound(Expect e) {
        if (e instanceof Expect.Any any) return any.expects().stream().anyMatch(this::ofSound);
        if (e instanceof Expect.Not not) return ofSound(not.expect());
        return e instanceof Expect.Arrives a && sinks.ports.containsKey(a.at())
                || e instanceof Expect.Quiet q && sinks.ports.containsKey(q.at());
    }

    /** What is otherwise than in the healthy installation. */
    Finding.Symptom against(Perceived healthy) {
        List<SceneDiff> diffs = new ArrayList<>();
        for (int i = 0; i < scenes.size(); i++) {
            Picture now = scenes.get(i);
            Picture then = healthy.scenes.get(i);
            if (now == then) continue;
            if (listens) heard(diffs, i, then, now);
            shown(diffs, i, then, now);
        }
        return diffs.isEmpty() ? Finding.Symptom.RIGHT : new Finding.Symptom(diffs);
    }

    private void heard(List<SceneDiff> diffs, int scene, Picture then, Picture now) {
        Map<String, Map<PortRef, Boolean>> turned = new TreeMap<>();
        sinks.ports.forEach((sink, port) -> {
            Map<String, Arrival> before = arrivals(then, sink);
            Map<String, Arrival> after = arrivals(now, sink);
            before.forEach((signal, b) -> {
                Arrival a = after.get(signal);
                if (a == null) diffs.add(new SceneDiff(scene, SceneDiff.Kind.MISSING, signal, sink.instance()));
                else {
                    louder(diffs, scene, sink, b, a);
                    if (noisy(port, a) && !noisy(port, b))
                        diffs.add(new SceneDiff(scene, SceneDiff.Kind.NOISY, signal, sink.instance()));
                    turned.computeIfAbsent(signal, k -> new LinkedHashMap<>()).put(sink, a.reversed() != b.reversed());
                }
            });
            after.keySet().stream()
                    .filter(signal -> !before.containsKey(signal))
                    .forEach(signal ->
                            diffs.add(new SceneDiff(scene, SceneDiff.Kind.FROM_ELSEWHERE, signal, sink.instance())));
        });
        turned.forEach((signal, by) -> thin(diffs, scene, signal, by));
    }

    private static Map<String, Arrival> arrivals(Picture picture, PortRef sink) {
        Map<String, Arrival> by = new HashMap<>();
        // a dead speaker is silent, whatever arrives
        if (picture.setting(sink.instance(), "working").filter("false"::equals).isPresent()) return by;
        picture.arrivals(sink).forEach(a -> by.put(a.signal(), a));
        return by;
    }

    private static void louder(List<SceneDiff> diffs, int scene, PortRef sink, Arrival before, Arrival after) {
        double db = after.level().value().value() - before.level().value().value();
        if (Math.abs(db) > AUDIBLE_DB)
            diffs.add(new SceneDiff(
                    scene, db > 0 ? SceneDiff.Kind.LOUDER : SceneDiff.Kind.FAINTER, before.signal(), sink.instance()));
    }

    private static boolean noisy(Port port, Arrival a) {
        return port.quiet().filter(q -> a.noise().compareTo(q) > 0).isPresent();
    }

    /** Named by the fewer of the two sides that play against each other. */
    private static void thin(List<SceneDiff> diffs, int scene, String signal, Map<PortRef, Boolean> turned) {
        List<String> yes = new ArrayList<>();
        List<String> no = new ArrayList<>();
        turned.forEach((sink, t) -> (t ? yes : no).add(sink.instance()));
        if (yes.isEmpty() || no.isEmpty()) return;
        diffs.add(new SceneDiff(
                scene, SceneDiff.Kind.THIN, signal, String.join(", ", yes.size() <= no.size() ? yes : no)));
    }

    // --- what is shown

    private void shown(List<SceneDiff> diffs, int scene, Picture then, Picture now) {
        Set<String> before = then.shows();
        Set<String> after = now.shows();
        Set<String> missing = new TreeSet<>();
        for (Expect e : function.scenario().get(scene).expects())
            if (Attempt.holds(e, then) && !Attempt.holds(e, now)) named(e, missing, diffs, scene);
        before.stream()
                .filter(s -> s.endsWith(ON) && !after.contains(s) && headUnit(then, s))
                .forEach(missing::add);
        missing.forEach(s -> diffs.add(shown(scene, SceneDiff.Kind.NOT_SHOWN, s)));
        after.stream()
                .filter(s -> !before.contains(s))
                .forEach(s -> diffs.add(shown(scene, SceneDiff.Kind.SHOWN_INSTEAD, s)));
    }

    /** Whether a radio or screen stays dark is seen at every check; of other devices only where a check asks. */
    private static boolean headUnit(Picture picture, String shown) {
        return picture.installation()
                .instance(shown.substring(0, shown.indexOf(':')))
                .filter(i -> i.owner() == Instance.Owner.RADIO)
                .isPresent();
    }

    /** What an expectation names that is not there; what plays or not is told by the sinks. */
    private void named(Expect e, Set<String> missing, List<SceneDiff> diffs, int scene) {
        if (e instanceof Expect.Shows s) missing.add(s.instance() + ":" + s.what());
        else if (e instanceof Expect.Any any)
            any.expects().stream().limit(1).forEach(x -> named(x, missing, diffs, scene));
        else if (e instanceof Expect.Arrives a && !sinks.ports.containsKey(a.at()))
            diffs.add(new SceneDiff(scene, SceneDiff.Kind.MISSING, a.signal(), a.at().instance()));
        else if (e instanceof Expect.InMode m) missing.add(m.instance() + ":" + m.is());
        else if (e instanceof Expect.Reads r) missing.add(r.at().instance() + ":reading");
    }

    private static SceneDiff shown(int scene, SceneDiff.Kind kind, String shown) {
        int colon = shown.indexOf(':');
        return new SceneDiff(scene, kind, shown.substring(colon + 1), shown.substring(0, colon));
    }
}
