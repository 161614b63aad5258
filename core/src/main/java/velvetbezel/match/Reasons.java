package velvetbezel.match;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.function.CarFunction;
import velvetbezel.function.Catalogue;
import velvetbezel.function.FunctionId;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Sheet;

/** Why a sheet is in no kit, in one sentence. */
final class Reasons {
    private final Sheet.Vehicle vehicle;
    private final List<RadioMatch> radios;
    private final Catalogue catalogue;
    private final KitDecisions decisions;
    private final Wishes wishes;
    private final Market market;
    private final List<Kit> kits;
    private final Map<RadioMatch, Set<String>> candidates = new HashMap<>();

    Reasons(
            Sheet.Vehicle vehicle,
            List<RadioMatch> radios,
            Catalogue catalogue,
            KitDecisions decisions,
            Wishes wishes,
            Market market,
            List<Kit> kits) {
        this.vehicle = vehicle;
        this.radios = radios;
        this.catalogue = catalogue;
        this.decisions = decisions;
        this.wishes = wishes;
        this.market = market;
        this.kits = kits;
        radios.forEach(r -> candidates.put(r, r.candidates()));
    }

    String of(Sheet sheet, List<Sheet.Part> parts) {
        if (sheet instanceof Sheet.Radio radio) return ofRadio(radio, parts);
        Sheet.Part part = (Sheet.Part) sheet;
        List<RadioMatch> where = radios.stream()
                .filter(r -> candidates.get(r).contains(part.id()))
                .toList();
        return where.isEmpty() ? noPlace(part) : beaten(part, where);
    }

    private String ofRadio(Sheet.Radio radio, List<Sheet.Part> parts) {
        Optional<String> out = HolderFit.out(vehicle, radio, parts);
        if (out.isPresent()) return out.get();
        List<Lacking.Thing> things =
                Lacking.of(vehicle, radio, parts, decisions).things();
        if (!things.isEmpty()) return "No %s.".formatted(things.get(0).words());
        RadioMatch match = radios.stream()
                .filter(r -> r.radio().id().equals(radio.id()))
                .findFirst()
                .orElseThrow();
        return beaten(
                match.kits(wishes, market, () -> false).kits(),
                match.kits(wishes.withoutMusts(), market, () -> false).kits());
    }

    private String noPlace(Sheet.Part part) {
        Optional<Filling> filled = KitNeed.of(part).flatMap(decisions::of);
        if (filled.isPresent())
            return "This job buys no %s: %s."
                    .formatted(KitNeed.of(part).get().label(), filled.get().by().label());
        if (!part.vehicles().isEmpty() && !part.vehicles().contains(vehicle.id())) return "Made for another vehicle.";
        if (part.holds().isPresent())
            return part.holds().get().opening().equals(vehicle.opening())
                    ? radios.stream()
                            .filter(r -> Slots.madeToHold(vehicle, r.radio(), part))
                            .flatMap(r -> HolderFit.whyNot(vehicle, r.radio(), Optional.of(part)).stream()
                                    .map(why -> "%s does not go in with it: %s"
                                            .formatted(r.radio().name(), why)))
                            .findFirst()
                            .orElse("No radio here is of its size.")
                    : "It does not fill this car's %s."
                            .formatted(vehicle.opening().of("opening"));
        if (part.kind() == PartKind.ANTENNA_ADAPTER)
            return "Its plugs do not join this car's antenna to a radio that fits.";
        boolean harness =
                part.kind() == PartKind.PASS_THROUGH_HARNESS || part.kind() == PartKind.VEHICLE_HARNESS_ADAPTER;
        Plug main = Slots.mainPlug(vehicle);
        if (harness
                && part.device()
                        .filter(d -> d.plugs().stream().anyMatch(p -> p.mates(main)))
                        .isEmpty()) return "It does not mate with this car's %s plug.".formatted(main.family());
        if (harness) return "It feeds no radio that fits: their power comes by other leads or plugs.";
        return part.device().map(d -> idle(d)).orElse("Nothing in a kit for this car takes it up.");
    }

    /** Nothing it could be joined to would make it do anything. */
    private String idle(Device device) {
        List<Device> others = Stream.concat(
                        Stream.of(vehicle.car(), vehicle.radio()),
                        radios.stream().filter(RadioMatch::possible).map(r -> r.radio()
                                .device()))
                .toList();
        Optional<Plug> alone = device.plugs().stream()
                .filter(p -> others.stream().flatMap(d -> d.plugs().stream()).noneMatch(p::mates))
                .findFirst();
        if (alone.filter(p -> p.positions().stream()
                        .anyMatch(x ->
                                x.role().filter(r -> r == LeadRole.RADIO_DATA).isPresent()))
                .isPresent()) return "Needs a data port, which no radio that fits has.";
        if (alone.isPresent())
            return "Its %s finds no partner on this car or the radios that fit."
                    .formatted(alone.get().family());
        Set<LeadRole> there = others.stream().flatMap(Reasons::roles).collect(Collectors.toSet());
        return roles(device)
                .filter(r -> !there.contains(r))
                .findFirst()
                .map(r -> "Its %s lead has no partner: nothing else in a kit carries it.".formatted(r.label()))
                .orElse("It can do nothing here that is not done without it.");
    }

    private static Stream<LeadRole> roles(Device device) {
        return Stream.concat(
                device.leads().stream().flatMap(l -> l.role().stream()),
                device.plugs().stream().flatMap(p -> p.positions().stream()).flatMap(p -> p.role().stream()));
    }

    private String beaten(Sheet.Part part, List<RadioMatch> where) {
        for (RadioMatch r : where) {
            Optional<Sheet.Part> twin = r.twin(part, p -> market.of(vehicle, p).covers(market.of(vehicle, part)));
            if (twin.isPresent())
                return "Does the same here as the %s%s."
                        .formatted(
                                twin.get().name(),
                                difference(market.of(vehicle, part), market.of(vehicle, twin.get()))
                                        .map(d -> ", and is " + d)
                                        .orElse(""));
        }
        List<Kit> own = where.stream()
                .flatMap(r -> r.with(part, wishes, market).stream())
                .toList();
        return beaten(
                own,
                own.isEmpty()
                        ? where.stream()
                                .flatMap(r -> r.with(part, wishes.withoutMusts(), market).stream())
                                .toList()
                        : own);
    }

    /** @param own the best kits with what is asked about; @param free those that may lose what must stay */
    private String beaten(List<Kit> own, List<Kit> free) {
        if (free.isEmpty()) return "In every kit it would tie two outputs together.";
        if (own.isEmpty()) {
            Kit best = free.stream().min(Kit.BEST).orElseThrow();
            List<FunctionId> lost = wishes.musts().stream()
                    .filter(f -> !best.working().contains(f))
                    .toList();
            return lost.isEmpty()
                    ? "Every kit with it is dearer than the budget."
                    : "Every kit with it loses what must stay: %s.".formatted(names(lost));
        }
        Kit best = own.stream().min(Kit.BEST).orElseThrow();
        Optional<Kit> better = kits.stream().filter(k -> k.covers(best)).min(Comparator.comparingLong(k -> k.cost()
                .cents()));
        if (better.isEmpty()) return "Its kits lie within the margin by which this list was thinned.";
        List<FunctionId> lost = order(better.get().working(), best);
        String costs = difference(best.cost(), better.get().cost()).orElse("no better");
        return lost.isEmpty()
                ? "The best kit with it is %s than one without it, and keeps nothing more that is asked for."
                        .formatted(costs)
                : "The best kit with it is %s than one without it, and loses %s.".formatted(costs, names(lost));
    }

    /** Of some functions those that a kit does not have, as far as they were worked out for it. */
    private List<FunctionId> order(Set<FunctionId> all, Kit without) {
        return catalogue.functions().stream()
                .map(CarFunction::id)
                .filter(f -> all.contains(f)
                        && without.kinds().containsKey(f)
                        && !without.kinds().get(f).works())
                .toList();
    }

    private String names(List<FunctionId> functions) {
        List<String> names = functions.stream()
                .map(f -> catalogue
                        .find(f)
                        .map(CarFunction::name)
                        .orElse(f.text())
                        .toLowerCase(Locale.ROOT))
                .toList();
        return names.size() > 3
                ? String.join(", ", names.subList(0, 2)) + " and %d more".formatted(names.size() - 2)
                : String.join(", ", names);
    }

    /** By how much a cost is worse than another, in words. */
    private static Optional<String> difference(Cost worse, Cost better) {
        List<String> words = new ArrayList<>();
        if (worse.cents() > better.cents())
            words.add("%d.%02d dearer"
                    .formatted((worse.cents() - better.cents()) / 100, (worse.cents() - better.cents()) % 100));
        if (worse.minutes() > better.minutes())
            words.add("%d min slower".formatted(worse.minutes() - better.minutes()));
        if (worse.cuts() > better.cuts())
            words.add(
                    worse.cuts() - better.cuts() == 1
                            ? "one cut worse"
                            : "%d cuts worse".formatted(worse.cuts() - better.cuts()));
        if (worse.days() > better.days())
            words.add(
                    worse.days() - better.days() == 1
                            ? "a day later"
                            : "%d days later".formatted(worse.days() - better.days()));
        if (worse.missing().fits() > better.missing().fits()) words.add("less proven here");
        return words.isEmpty() ? Optional.empty() : Optional.of(String.join(", ", words));
    }
}
