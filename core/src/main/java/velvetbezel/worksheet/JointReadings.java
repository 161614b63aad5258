package velvetbezel.worksheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Terminal;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.ExpectedReading;
import velvetbezel.run.Ohmmeter;
import velvetbezel.run.Picture;
import velvetbezel.sheet.LeadRole;
import velvetbezel.units.Ohms;
import velvetbezel.units.Volts;

/**
 * What a meter must show at a joint's wire of the car before it is joined: volts of a feed in three states of the car; the
 * way of a ground to body metal; a speaker pair's ohms, both its ends open to metal (common practice, no source).
 */
final class JointReadings {
    private static final String BATTERY_OFF = "battery off";
    /** A ground that carries current is below this. */
    private static final double GROUND_OHMS = 1;
    /** A speaker reads between these; the bands are the trade's, not the speaker's own. */
    private static final double LEAST_SPEAKER = 1;

    private static final double MOST_SPEAKER = 16;
    private static final double SPEAKER_LOW = 3;
    private static final double SPEAKER_HIGH = 8;
    private final Installation installation;
    private final Picture off;
    private final Picture accessory;
    private final Picture allOn;

    JointReadings(Installation installation, Picture off, Picture accessory, Picture allOn) {
        this.installation = installation;
        this.off = off;
        this.accessory = accessory;
        this.allOn = allOn;
    }

    List<ExpectedReading> of(LeadRole role, List<LeadEnd> leads) {
        Optional<LeadEnd> car = leads.stream()
                .filter(l -> l.carPosition().isPresent() || l.id().instance().equals(Builder.CAR))
                .findFirst();
        if (car.isEmpty()) return List.of();
        TerminalId at = car.get().carPosition().orElse(car.get().id());
        if (role == LeadRole.GROUND)
            return List.of(new ExpectedReading(
                    ExpectedReading.Kind.OHMS_TO_METAL, at, car.get().place(), BATTERY_OFF, 0, GROUND_OHMS));
        if (role.feeds() || role == LeadRole.CONSTANT) return feed(at, car.get().place());
        return role.group() == LeadRole.Group.SPEAKER
                ? speaker(role, at, car.get().place())
                : List.of();
    }

    private List<ExpectedReading> feed(TerminalId at, String place) {
        return List.of(
                ExpectedReading.volts(at, place, "key off", volts(off, at)),
                ExpectedReading.volts(at, place, "at accessory", volts(accessory, at)),
                ExpectedReading.volts(at, place, "key on, lamps on", volts(allOn, at)));
    }

    static double volts(Picture picture, TerminalId at) {
        return picture.at(at).reading().map(Volts::value).orElse(0.0);
    }

    /** Of the plus wire, against the car's minus wire of the same speaker. */
    private List<ExpectedReading> speaker(LeadRole role, TerminalId plus, String place) {
        if (!role.label().endsWith("+")) return List.of();
        LeadRole other = LeadRole.find(role.label().replace("+", "−")).orElseThrow();
        Optional<Ohms> ohms = installation.terminals().values().stream()
                .filter(t -> t.id().instance().equals(Builder.CAR) && t.kind() != Terminal.Kind.BARE)
                .filter(t -> t.role().filter(r -> r == other).isPresent())
                .findFirst()
                .flatMap(minus -> Ohmmeter.ohms(off, plus, minus.id()));
        if (ohms.filter(o -> o.value() >= LEAST_SPEAKER && o.value() <= MOST_SPEAKER)
                .isEmpty()) return List.of();
        List<ExpectedReading> readings = new ArrayList<>();
        readings.add(new ExpectedReading(
                ExpectedReading.Kind.OHMS_OF_PAIR, plus, place, BATTERY_OFF, SPEAKER_LOW, SPEAKER_HIGH));
        readings.add(new ExpectedReading(ExpectedReading.Kind.OPEN_TO_METAL, plus, place, BATTERY_OFF, 0, 0));
        return readings;
    }
}
