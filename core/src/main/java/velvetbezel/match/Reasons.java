package velvetbezel.match;

import java.util.Optional;
import java.util.stream.Stream;
import velvetbezel.harness.Cap;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Sheet;
import velvetbezel.units.Millimetres;

/** Why a sheet is in no kit, in one sentence. */
final class Reasons {
    private final Sheet.Vehicle vehicle;

    Reasons(Sheet.Vehicle vehicle) { this.vehicle = vehicle; }

    static Plug mainPlug(Sheet.Vehicle vehicle) { return vehicle.car().plugs().get(0); }

    String of(Sheet sheet) {
        if (sheet instanceof Sheet.Radio) return "No antenna adapter here joins it to this car's antenna plug.";
        Sheet.Part part = (Sheet.Part) sheet;
        if (part.kind() == PartKind.DASH_KIT) return part.vehicles().contains(vehicle.id()) ? "No radio here is of its size." : part.vehicles().isEmpty() ? "It does not fill a %s opening.".formatted(vehicle.opening().label()) : "Made for another vehicle.";
        if (part.kind() == PartKind.ANTENNA_ADAPTER) return "Its plugs do not join this car's antenna to a radio that fits.";
        if (part.kind() == PartKind.PASS_THROUGH_HARNESS || part.kind() == PartKind.VEHICLE_HARNESS_ADAPTER) return "It does not mate with this car's %s plug.".formatted(mainPlug(vehicle).family());
        return "Nothing in a kit for this car takes it up.";
    }

    String noFrame(Sheet.Radio radio) { return "No dash kit here holds a %s radio in the %s opening of this vehicle.".formatted(radio.size().label(), vehicle.opening().label()); }

    String noHarness(Sheet.Radio radio) {
        return radio.screen() ? "No pass-through harness here goes between this car's %s plug and the factory radio.".formatted(mainPlug(vehicle).family())
            : "No harness here plugs into this car's %s plug.".formatted(mainPlug(vehicle).family());
    }

    /** A chassis deeper than the room behind the opening; empty where one of the two is not known. */
    Optional<String> tooDeep(Sheet.Radio radio) {
        Optional<Millimetres> room = vehicle.space().depth().known();
        Optional<Millimetres> chassis = radio.body().depth().known();
        if (radio.screen() || room.isEmpty() || chassis.isEmpty() || chassis.get().compareTo(room.get()) <= 0) return Optional.empty();
        return Optional.of("Too deep: its chassis is %s, and there is %s behind the opening.".formatted(chassis.get(), room.get()));
    }

    /** Why a part that could be added changes nothing for the better. */
    static String useless(Sheet.Part extra, Installation installation) {
        String instance = installation.recipe().parts().entrySet().stream().filter(e -> e.getValue().id().equals(extra.id())).map(e -> e.getKey()).findFirst().orElseThrow();
        Device device = extra.device().orElseThrow();
        Optional<Plug> alone = device.plugs().stream().filter(p -> installation.matings().stream().noneMatch(m -> m.has(instance, p.id()))).findFirst();
        if (alone.isPresent()) return "Its %s finds no partner on this car or the radios that fit.".formatted(alone.get().family());
        Optional<String> served = caps(installation, instance).filter(c -> c.reason() == Cap.Reason.CAR_SERVES_IT).flatMap(c -> c.role().stream()).map(LeadRole::label).findFirst();
        if (served.isPresent()) return "This car's own %s serves; it brings nothing more.".formatted(served.get());
        Optional<String> lead = caps(installation, instance).flatMap(c -> c.role().stream()).map(LeadRole::label).findFirst();
        return lead.map(l -> "Its %s lead has no partner: nothing else in a kit carries it.".formatted(l)).orElse("Dearer, and keeps nothing more than the kit without it.");
    }

    private static Stream<Cap> caps(Installation installation, String instance) { return installation.caps().stream().filter(c -> c.lead().instance().equals(instance)); }
}
