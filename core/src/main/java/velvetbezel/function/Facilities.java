package velvetbezel.function;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.run.PortRef;
import velvetbezel.sheet.ScenarioStep;

/**
 * Functions speak of facilities: "amplifier", "chime sounder". Each device says what it counts as; one whose own id is
 * the name counts as well. What is shown or heard may come from any of them, and what must not be from none. A button that
 * the wheel of this car has not got is not pressed.
 */
public final class Facilities {
    private final Map<String, List<String>> devices = new LinkedHashMap<>();
    private final Set<String> absentButtons;

    public Facilities(Installation installation) {
        this(installation.instances(), installation.recipe().vehicle().absentButtons());
    }

    public Facilities(Collection<Instance> instances, Set<String> absentButtons) {
        this.absentButtons = absentButtons;
        for (Instance i : instances)
            for (String facility : i.device().is())
                devices.computeIfAbsent(facility, k -> new ArrayList<>()).add(i.id());
        for (Instance i : instances)
            if (devices.containsKey(i.id()) && !devices.get(i.id()).contains(i.id()))
                devices.get(i.id()).add(0, i.id());
    }

    /** The function in terms of the devices of this installation. */
    public CarFunction bind(CarFunction function) {
        if (devices.isEmpty() && absentButtons.isEmpty()) return function;
        List<CarFunction.Scene> scenes = function.scenario().stream()
                .map(s -> new CarFunction.Scene(
                        bind(s.set()), s.expects().stream().map(this::bind).toList()))
                .toList();
        return function.with(scenes);
    }

    private List<String> of(String name) {
        return devices.getOrDefault(name, List.of(name));
    }

    private ScenarioStep bind(ScenarioStep step) {
        Map<String, String> settings = new LinkedHashMap<>();
        step.settings().forEach((key, value) -> {
            int dot = key.indexOf('.');
            for (String device : of(key.substring(0, dot))) settings.put(device + key.substring(dot), value);
        });
        return new ScenarioStep(
                step.words(), step.dimmer(), step.buttons().map(this::there), step.unplugged(), settings);
    }

    /** Pressing where this wheel has no button does nothing. */
    private Set<String> there(Set<String> buttons) {
        return buttons.stream().filter(b -> !absentButtons.contains(b)).collect(Collectors.toUnmodifiableSet());
    }

    private Expect bind(Expect expect) {
        return expect.accept(new Expect.Visitor<>() {
            @Override
            public Expect arrives(Expect.Arrives e) {
                return anyOf(of(e.at().instance()).stream()
                        .map(d -> new Expect.Arrives(e.signal(), new PortRef(d, e.at().port()))));
            }

            @Override
            public Expect shows(Expect.Shows e) {
                return anyOf(of(e.instance()).stream().map(d -> new Expect.Shows(d, e.what())));
            }

            @Override
            public Expect inMode(Expect.InMode e) {
                return anyOf(of(e.instance()).stream().map(d -> new Expect.InMode(d, e.mode(), e.is())));
            }

            @Override
            public Expect reads(Expect.Reads e) {
                return e;
            }

            @Override
            public Expect passes(Expect.Passes e) {
                return anyOf(of(e.at().instance()).stream()
                        .map(d -> new Expect.Passes(e.signal(), e.from(), new PortRef(d, e.at().port()))));
            }

            @Override
            public Expect quiet(Expect.Quiet e) {
                return e;
            }

            @Override
            public Expect not(Expect.Not e) {
                return new Expect.Not(bind(e.expect()));
            }

            @Override
            public Expect any(Expect.Any e) {
                return anyOf(e.expects().stream().map(Facilities.this::bind));
            }
        });
    }

    private static Expect anyOf(Stream<? extends Expect> all) {
        List<Expect> branches = new ArrayList<>();
        all.forEach(e -> {
            if (e instanceof Expect.Any inner) branches.addAll(inner.expects());
            else branches.add(e);
        });
        Optional<Expect> only = branches.size() == 1 ? Optional.of(branches.get(0)) : Optional.empty();
        return only.orElseGet(() -> new Expect.Any(branches));
    }
}
