package velvetbezel.sheet;

import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.sheet.fit.RadioBody;
import velvetbezel.sheet.fit.Site;
import velvetbezel.sheet.fit.Thing;
import velvetbezel.sheet.strip.StripDown;

/** A document of the library. */
public sealed interface Sheet {
    Header header();

    default String id() {
        return header().id();
    }

    default String name() {
        return header().name();
    }

    /** @param from where the sheet's facts come from unless a fact says otherwise */
    record Header(String id, String name, Provenance from) {}

    /**
     * A vehicle of one trim and audio system.
     *
     * @param car     the plugs at the factory radio's place; each position says where its wire goes
     * @param radio   the factory radio
     * @param wires   the vehicle's own wires between its devices
     * @param buttons the steering-wheel buttons, in the order in which they are learned
     * @param wheels  layouts that its wheel may have, by the name of the trait; empty where the sheet draws none
     * @param traits  what tells it from its look-alikes
     * @param space   the opening and the room behind it
     * @param families what is known of the faces of its plugs
     * @param strip   how its dash comes apart; empty where nobody said
     * @param site    its opening with what is behind it; empty where nobody measured
     */
    record Vehicle(
            Header header,
            String make,
            String model,
            String trim,
            int fromYear,
            int toYear,
            Opening opening,
            boolean amplified,
            boolean northAmerica,
            List<Device> devices,
            Device car,
            Device radio,
            List<InnerWire> wires,
            List<String> buttons,
            Map<String, List<WheelKey>> wheels,
            List<Caution> cautions,
            Map<Trait, String> traits,
            Geometry space,
            List<PlugFamily> families,
            Optional<StripDown> strip,
            Optional<Site> site)
            implements Sheet {
        public Vehicle {
            devices = List.copyOf(devices);
            wires = List.copyOf(wires);
            buttons = List.copyOf(buttons);
            wheels = Collections.unmodifiableMap(new LinkedHashMap<>(wheels));
            cautions = List.copyOf(cautions);
            traits = Map.copyOf(traits);
            families = List.copyOf(families);
        }

        /** The same with other plugs at the radio's place. */
        public Vehicle withCar(Device plugs) {
            return with(plugs, traits);
        }

        /** The same with the layout of its wheel that somebody saw, where its sheet leaves that open and knows it. */
        public Vehicle withLayout(Map<Trait, String> seen) {
            String layout = seen.get(Trait.STEERING_LAYOUT);
            if (layout == null || traits.containsKey(Trait.STEERING_LAYOUT) || !wheels.containsKey(layout)) return this;
            Map<Trait, String> all = new EnumMap<>(Trait.class);
            all.putAll(traits);
            all.put(Trait.STEERING_LAYOUT, layout);
            return with(car, all);
        }

        private Vehicle with(Device plugs, Map<Trait, String> seen) {
            return new Vehicle(
                    header,
                    make,
                    model,
                    trim,
                    fromYear,
                    toYear,
                    opening,
                    amplified,
                    northAmerica,
                    devices,
                    plugs,
                    radio,
                    wires,
                    buttons,
                    wheels,
                    cautions,
                    seen,
                    space,
                    families,
                    strip,
                    site);
        }

        /** Layouts of the wheel that this car may have: the one that is known to be its own, else all of its sheet. */
        public Map<String, List<WheelKey>> possibleWheels() {
            Optional<String> own = Optional.ofNullable(traits.get(Trait.STEERING_LAYOUT))
                    .flatMap(seen -> wheels.keySet().stream()
                            .filter(w -> w.equalsIgnoreCase(seen.strip()))
                            .findFirst());
            return own.map(w -> Map.of(w, wheels.get(w))).orElse(wheels);
        }

        /** Whether nobody knows which of several layouts its wheel has. */
        public boolean wheelOpen() {
            return possibleWheels().size() > 1;
        }

        /** Buttons of its sheet that none of its possible layouts has. */
        public Set<String> absentButtons() {
            return wheels.isEmpty() ? Set.of() : without(b -> layoutsWith(b) == 0);
        }

        /** Buttons that some possible layouts have and others have not. */
        public Set<String> openButtons() {
            int all = possibleWheels().size();
            return without(b -> layoutsWith(b) > 0 && layoutsWith(b) < all);
        }

        private Set<String> without(Predicate<String> which) {
            return buttons.stream().filter(which).collect(Collectors.toUnmodifiableSet());
        }

        private long layoutsWith(String button) {
            return possibleWheels().values().stream()
                    .filter(keys -> keys.stream().anyMatch(k -> k.button().equals(button)))
                    .count();
        }

        /** What is known of a plug's face. */
        public Optional<PlugFamily> family(Plug plug) {
            return families.stream()
                    .filter(f -> f.name().equals(plug.family()))
                    .filter(f -> f.rows().stream().mapToInt(List::size).sum() == plug.size())
                    .findFirst();
        }
    }

    /**
     * @param mount      what holds it
     * @param priceCents price in hundredths of the workshop's currency, tax included; empty where nobody stated it
     * @param screen     the factory radio stays as sound source and amplifier driver; this is a screen over it
     * @param body       face and chassis, their outer measures
     * @param shape      its body with plugs and holes; empty where nobody measured
     */
    record Radio(
            Header header,
            Opening size,
            Mount mount,
            Optional<Long> priceCents,
            Device device,
            boolean screen,
            Geometry body,
            Optional<RadioBody> shape)
            implements Sheet {}

    /**
     * A part of a kit.
     *
     * @param holds    for what holds a radio: the car's opening, the radio's size and the vehicles it is made for
     * @param device   empty for a part without wires
     * @param priceCents as for a radio
     * @param minutes  labour to fit it; empty where nobody stated it
     * @param cuts     cuts it asks for in the car: a sub-dash sawn, a hole drilled, a factory wire cut
     * @param vehicles sheets it is made for, and goes into no other car; empty when its plugs alone decide
     * @param fits     the cars that its maker or paper names; it may go into others, unproven
     * @param finishes colours it comes in; empty where nobody sees it
     * @param takes    room it takes behind the dash
     * @param frame    how it holds a radio; empty where it does not, or nobody measured
     * @param thing    its own lead and plug, where it wants a place in the car; empty where nobody stated them
     */
    record Part(
            Header header,
            PartKind kind,
            Optional<Long> priceCents,
            Optional<Integer> minutes,
            int cuts,
            Optional<Holds> holds,
            Optional<Device> device,
            List<String> vehicles,
            Optional<FitList> fits,
            List<String> finishes,
            Geometry takes,
            Optional<KitFrame> frame,
            Optional<Thing> thing)
            implements Sheet {
        public Part {
            vehicles = List.copyOf(vehicles);
            finishes = List.copyOf(finishes);
        }

        /** Why nobody can say that it fits this car, as a clause; empty where nothing speaks against it. */
        public Optional<String> unproven(Vehicle car) {
            return fits.flatMap(f -> f.unproven(car));
        }
    }

    record Holds(Opening opening, Opening radio) {}

    /** A warning of this vehicle, shown at the station where it matters. */
    record Caution(String station, String text, String why) {
        /** Where one may be shown. */
        static final List<String> STATIONS = List.of("Arrive", "Match", "Fit", "Wire", "Open up", "Prove", "Hand over");
    }
}
