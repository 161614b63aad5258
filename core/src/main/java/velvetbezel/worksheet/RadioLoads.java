package velvetbezel.worksheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import velvetbezel.harness.Instance;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.Loaded;
import velvetbezel.run.Ohmmeter;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Port;
import velvetbezel.units.Ohms;

/** What a radio loses on its feed and its ground, and what speakers its channels drive. */
final class RadioLoads {
    /** More than this is no speaker. */
    private static final double NO_SPEAKER_OHMS = 1000;

    private final FullLoad strain;
    private final Instance radio;
    private final List<Load> loads = new ArrayList<>();

    private RadioLoads(FullLoad strain, Instance radio) {
        this.strain = strain;
        this.radio = radio;
    }

    static List<Load> of(FullLoad strain, Instance radio) {
        RadioLoads found = new RadioLoads(strain, radio);
        found.drops();
        strain.outputs(radio, LeadRole.Group.SPEAKER).forEach(found::speaker);
        return found.loads;
    }

    private void drops() {
        Optional<TerminalId> constant = strain.terminal(radio, LeadRole.CONSTANT);
        Optional<TerminalId> ground = strain.terminal(radio, LeadRole.GROUND);
        if (constant.isEmpty()
                || ground.isEmpty()
                || strain.worst(l -> FullLoad.volts(l, constant.get())) < FullLoad.A_SUPPLY) return;
        drop(
                "feed",
                strain.worst(l -> highest(l) - FullLoad.volts(l, constant.get())),
                strain.tables.limits().feedDrop().value(),
                strain.worstAmps(constant.get()));
        drop(
                "ground",
                strain.worst(l -> FullLoad.volts(l, ground.get())),
                strain.tables.limits().groundDrop().value(),
                strain.worstAmps(ground.get()));
    }

    /** Worth a warning, not forbidden. */
    private void drop(String what, double volts, double most, double amps) {
        loads.add(new Load(
                Load.Kind.DROP,
                "%s of %s".formatted(what, radio.device().name()),
                "%s at %s, worth a look from %s"
                        .formatted(FullLoad.volts(volts), FullLoad.amps(amps), FullLoad.volts(most)),
                volts > most ? Load.Verdict.CLOSE : Load.Verdict.BEARS,
                volts > most ? "A thicker or shorter lead drops less; a poor joint drops more." : "",
                List.of()));
    }

    /** At the battery: nothing in the car is higher. */
    private double highest(Loaded l) {
        return strain.installation.terminals().keySet().stream()
                .mapToDouble(t -> FullLoad.volts(l, t))
                .max()
                .orElse(0);
    }

    private void speaker(Port p) {
        TerminalId plus = radio.terminal(p.plus().orElseThrow());
        Optional<Ohms> ohms = Ohmmeter.ohms(
                strain.pictures.get(0), plus, radio.terminal(p.minus().orElseThrow()));
        if (ohms.filter(o -> o.value() < NO_SPEAKER_OHMS).isEmpty()) return;
        String what = strain.role(plus).orElseThrow().label().replace(" +", "");
        String seen = FullLoad.ohms(ohms.get().value());
        Optional<Ohms> least = radio.device().ratings().leastSpeaker();
        boolean low = least.filter(l -> ohms.get().value() < l.value()).isPresent();
        loads.add(
                least.isEmpty()
                        ? new Load(
                                Load.Kind.SPEAKER,
                                what,
                                seen,
                                Load.Verdict.UNKNOWN,
                                "The sheet of %s does not state the least load of a channel."
                                        .formatted(radio.device().name()),
                                List.of())
                        : new Load(
                                Load.Kind.SPEAKER,
                                what,
                                "%s on a channel made for %s and more"
                                        .formatted(
                                                seen, FullLoad.ohms(least.get().value())),
                                low ? Load.Verdict.OVER : Load.Verdict.BEARS,
                                low
                                        ? "The channel overheats or switches off: keep the factory amplifier, or fit speakers of more ohms."
                                        : "",
                                List.of()));
    }
}
