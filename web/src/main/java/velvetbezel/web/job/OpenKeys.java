package velvetbezel.web.job;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import velvetbezel.controls.KeyInput;
import velvetbezel.controls.KeyReader;
import velvetbezel.controls.KeyReadings;
import velvetbezel.controls.LadderEstimate;
import velvetbezel.controls.LadderVerdict;
import velvetbezel.controls.Rung;
import velvetbezel.harness.Edit;
import velvetbezel.harness.Installation;
import velvetbezel.job.Entry;
import velvetbezel.job.JobState;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.store.JobCodec;
import velvetbezel.units.Ohms;
import velvetbezel.web.shell.Say;

/** What was measured of this car's steering wheel. */
public final class OpenKeys {
    /** Less than this is a joint, and no ring. */
    private static final double LEAST_OHMS = 1;

    private OpenKeys() {}

    /** Readings of an input, by button. @throws InvalidInput with the field where one is none */
    public static KeyReadings readings(KeyInput input, JobState state) {
        Map<String, List<Double>> all = new TreeMap<>();
        for (Entry.KeyRead e : state.all(Entry.KeyRead.class)) {
            if (!e.reader().equals(input.reader().at())) continue;
            KeyReadings.Typed typed = KeyReadings.parse(
                    state.get(e).orElseThrow(),
                    input.reader(),
                    input.ladder().flatMap(l -> l.rung(e.button())).map(Rung::ohms));
            typed.refused().ifPresent(r -> {
                throw new InvalidInput(JobCodec.key(e), words(r, input.reader()));
            });
            all.put(e.button(), typed.ohms());
        }
        return new KeyReadings(all);
    }

    private static String words(KeyReadings.Refused refused, KeyReader reader) {
        return Say.it(
                "key.reading." + refused.why(),
                refused.given(),
                reader.reference().toString(),
                refused.nearest().map(o -> new Ohms(Math.round(o)).toString()).orElse(""));
    }

    /** What they say; empty where nothing was measured, or the ladder is not known. */
    public static Optional<LadderVerdict> verdict(KeyInput input, JobState state) {
        KeyReadings readings = readings(input, state);
        return readings.ohms().isEmpty() ? Optional.empty() : input.ladder().map(l -> LadderVerdict.of(l, readings));
    }

    /** The installation with the slip ring as it was found, so that what works is asked of this car. */
    static Installation asMeasured(Installation set, List<KeyInput> keys, JobState state) {
        Installation aged = set;
        for (KeyInput input : keys) {
            Optional<Double> contact = verdict(input, state)
                    .flatMap(LadderVerdict::estimate)
                    .map(LadderEstimate::contact)
                    .filter(c -> c > LEAST_OHMS);
            if (contact.isPresent() && input.wheel().isPresent())
                aged = aged.with(new Edit.SetOhms(input.wheel().get(), new Ohms(contact.get())));
        }
        return aged;
    }

    /** Whether what was measured asks for work at the wheel. */
    static boolean wrong(OpenJob open) {
        return open.design().stream().flatMap(d -> d.keys().stream()).anyMatch(k -> verdict(k, open.state())
                .filter(v -> v.kind().wrong())
                .isPresent());
    }
}
