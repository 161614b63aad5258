package velvetbezel.sheet;

import java.util.Optional;
import velvetbezel.units.Amps;
import velvetbezel.units.Ohms;
import velvetbezel.units.Volts;

/**
 * What a device's maker states it draws and bears; empty where its sheet does not say, and never guessed.
 *
 * @param draws        most it draws from its constant lead, at full volume
 * @param leastSpeaker lowest speaker load of one channel
 * @param lineOut      most that its line outputs give, RMS
 * @param lineIn       most that its line inputs take without clipping, RMS
 */
public record Ratings(
        Optional<Amps> draws, Optional<Ohms> leastSpeaker, Optional<Volts> lineOut, Optional<Volts> lineIn) {
    public static final Ratings NONE =
            new Ratings(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());
    private static final double MOST_AMPS = 100;
    private static final double MOST_OHMS = 64;
    private static final double MOST_VOLTS = 40;

    static Ratings read(Node node) {
        node.only("draws amps", "least speaker ohms", "line out volts", "line in volts");
        return new Ratings(
                figure(node.at("draws amps"), MOST_AMPS).map(Amps::new),
                figure(node.at("least speaker ohms"), MOST_OHMS).map(Ohms::new),
                figure(node.at("line out volts"), MOST_VOLTS).map(Volts::new),
                figure(node.at("line in volts"), MOST_VOLTS).map(Volts::new));
    }

    private static Optional<Double> figure(Node node, double most) {
        return node.present() ? Optional.of(node.number(0.001, most)) : Optional.empty();
    }
}
