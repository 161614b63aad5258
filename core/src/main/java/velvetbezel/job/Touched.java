package velvetbezel.job;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Hop;
import velvetbezel.function.Outcome;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Conductor;
import velvetbezel.harness.Installation;
import velvetbezel.harness.TerminalId;
import velvetbezel.sheet.LeadRole;

/**
 * Which functions have to be tried again when something else is built: those whose way, before or after, meets a place
 * where conductors, a device or a setting changed, and all of them where the radio is fed otherwise. A function that
 * takes no way that is known is tried again after any change. A colour changes nothing.
 */
final class Touched {
    private static final Set<LeadRole> FEEDS = Set.of(LeadRole.CONSTANT, LeadRole.GROUND, LeadRole.ACCESSORY);

    private final Design was;
    private final Design is;
    private final Set<TerminalId> places = new HashSet<>();
    private final Set<String> instances = new HashSet<>();

    Touched(Design was, Design is) {
        this.was = was;
        this.is = is;
        conductors();
        instances();
    }

    private void conductors() {
        Map<Object, Conductor> before = new HashMap<>();
        was.installation().conductors().forEach(c -> before.put(electrically(c), c));
        for (Conductor c : is.installation().conductors()) if (before.remove(electrically(c)) == null) ends(c);
        before.values().forEach(this::ends);
    }

    /** What a conductor does. */
    private static Object electrically(Conductor c) {
        return List.of(c.id(), c.a(), c.b(), c.ohms(), c.closed());
    }

    private void ends(Conductor c) {
        places.add(c.a());
        places.add(c.b());
    }

    private void instances() {
        Map<String, Object> before = devices(was.installation());
        Map<String, Object> after = devices(is.installation());
        Stream.concat(before.keySet().stream(), after.keySet().stream())
                .filter(i -> !Optional.ofNullable(before.get(i)).equals(Optional.ofNullable(after.get(i))))
                .forEach(instances::add);
    }

    /** What each device is and how it is set. */
    private static Map<String, Object> devices(Installation installation) {
        Map<String, Object> devices = new HashMap<>();
        installation.instances().forEach(i -> {
            Map<String, String> set = new HashMap<>();
            i.device().settings().forEach(c -> Optional.ofNullable(
                            installation.settings().get(i.id() + "." + c.name()))
                    .ifPresent(v -> set.put(c.name(), v)));
            devices.put(i.id(), List.of(i.sheet(), set));
        });
        return devices;
    }

    boolean nothing() {
        return places.isEmpty() && instances.isEmpty();
    }

    /** Whether the radio is another, or fed otherwise: then nothing that was tried says anything. */
    boolean everything() {
        return instances.contains(Builder.RADIO) || feeds(was.installation()) || feeds(is.installation());
    }

    private boolean feeds(Installation installation) {
        return places.stream()
                .flatMap(t -> Optional.ofNullable(installation.terminal(t)).stream())
                .flatMap(t -> t.carries().stream())
                .anyMatch(role -> role.known().filter(FEEDS::contains).isPresent());
    }

    boolean has(FunctionId f) {
        if (nothing()) return false;
        Outcome before = was.outcomes().get(f);
        Outcome after = is.outcomes().get(f);
        if (before == null || after == null || !before.equals(after) || everything()) return true;
        return after.works() ? after.path().isEmpty() || after.path().stream().anyMatch(this::meets) : false;
    }

    private boolean meets(Hop hop) {
        if (hop instanceof Hop.Over o) return places.contains(o.from()) || places.contains(o.to());
        return instances.contains(((Hop.Through) hop).rule().instance());
    }
}
