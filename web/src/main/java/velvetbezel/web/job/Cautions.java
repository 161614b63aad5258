package velvetbezel.web.job;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import velvetbezel.sheet.Sheet;

/** Cautions at the station where they matter: the vehicle's own, and the one that every car with plugs needs. */
public final class Cautions {
    private static final Sheet.Caution BATTERY = new Sheet.Caution(
            Station.WIRE.label(),
            "Key off and battery negative off before any plug is parted; on again last.",
            "A plug parted under power can short circuit or store faults. Have the radio code ready; with two batteries take off both negatives.");

    private Cautions() {}

    public static List<Sheet.Caution> at(Sheet.Vehicle vehicle, Station station) {
        return of(vehicle).stream()
                .filter(c -> c.station().equals(station.label()))
                .toList();
    }

    /** All of a vehicle; one that speaks of the battery's negative itself needs no second. */
    static List<Sheet.Caution> of(Sheet.Vehicle vehicle) {
        boolean said = vehicle.cautions().stream()
                .anyMatch(c -> c.station().equals(BATTERY.station())
                        && c.text().toLowerCase(Locale.ROOT).contains("negative"));
        return said || vehicle.car().plugs().isEmpty()
                ? vehicle.cautions()
                : Stream.concat(Stream.of(BATTERY), vehicle.cautions().stream()).toList();
    }
}
