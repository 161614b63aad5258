package velvetbezel.match;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.harness.Builder;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;

/** A plug takes room behind the radio where something is plugged in. */
class PlugsInUseTest {
    private static final Sheet.Vehicle CROSSOVER =
            (Sheet.Vehicle) SheetReader.read(Demo.tree("meridale-plover-2019-plain"));
    private static final Sheet.Part FRAME = (Sheet.Part) SheetReader.read(Demo.tree("hobwright-plover-frame"));

    private static Sheet.Radio radio(String more) {
        return (Sheet.Radio) SheetReader.read(Demo.parse(Demo.text("ondel-47")
                .replaceFirst("\"sockets\"\\s*:\\s*\\[", "\"sockets\": [" + more.replace('\'', '"'))));
    }

    private static String socket(String plug) {
        return "{'plug': '%s', 'x': 90, 'y': 10, 'w': 20, 'h': 20, 'out': 300, 'bend': 20}, ".formatted(plug);
    }

    @Test
    void socketNothingIsPluggedIntoRefusesNoHolder() {
        String unused = radio("").device().plugs().stream()
                .map(Plug::id)
                .filter(p -> !PlugsInUse.always(radio("")).contains(p))
                .findFirst()
                .orElseThrow();
        Sheet.Radio radio = radio(socket(unused));
        assertEquals(Optional.empty(), HolderFit.whyNot(CROSSOVER, radio, Optional.of(FRAME)));
        assertFalse(PlugsInUse.in(
                        Builder.replacement(CROSSOVER, radio, List.of(FRAME)),
                        radio.shape().orElseThrow())
                .contains(unused));
    }

    @Test
    void plugThatFeedsTheRadioAndTheAntennasAreCounted() {
        assertEquals(Set.of("main", "antenna"), PlugsInUse.always(radio("")));
        assertTrue(HolderFit.whyNot(CROSSOVER, radio(socket("main").replace("90", "60")), Optional.of(FRAME))
                .isPresent());
    }
}
