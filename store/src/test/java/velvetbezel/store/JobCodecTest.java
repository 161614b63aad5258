package velvetbezel.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetbezel.harness.TerminalId;
import velvetbezel.job.Change;
import velvetbezel.job.Entry;
import velvetbezel.job.JobState;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.units.Volts;

/** Entries of a job as texts and back. */
class JobCodecTest {
    /** One example of every kind of entry, as it has been stored since the first version. */
    private static final String EXAMPLES =
            """
        vin=1HGCM82633A004352
        vehicle=corrick-ferryman-2006
        customer=Saltgate Rowing Club
        phone=0555 0117
        due=2026-11-28
        note=Back by Saturday
        budget=450.00
        radio=pebblefen-p2
        parts=quillmoor-ferryman-frame,thornlea-iso-steering
        serial=PF 0042
        school=crimp cap
        handed over=done
        sign/grille-badge=no
        trait/built=2016-11
        as built/A/6=no wire
        settled/corrick-ferryman-2006/plugs[A].positions[position 6].colour=grey/red
        baseline/front left=WORKED
        wish/chimes=must stay
        result/power=NOT_RIGHT
        result note/power=hums
        symptom/front left=0 MISSING music @ front left speaker
        probe/radio.acc/run with lamps=12.4
        look/joint joint ground=nothing wrong
        need/dash kit=own part
        need minutes/dash kit=90
        need material/harness=12.50
        also/amplifier=wanted
        use/thornlea-iso-tails=later
        slot/nessick-isolator=rear
        setting/corvane-t4.selector=3
        set/corvane-t4.selector=done
        instead/amp remote=not fed
        goods/pebblefen-p2/box=differs
        joint/joint ground=done
        joint note/joint antenna power #2=long way
        undo/joint accessory at boot=accessory: red of the radio
        read back/joint ground=agrees
        joint kind/joint ground=solder and shrink tube
        extend/joint ground=1.5 m, 18 AWG
        fold/radio.remote=done
        cap/radio.remote=done
        move/thornlea-iso-tails.A.4=unused
        reading/radio.acc/key at accessory=12.4
        step/001200-a3f9=undo radio/rear bracket × 2 @ 1764288000
        photo/0d9f1c52-1111-4222-8333-123456789abc=Undo 2 screws of radio
        extra/USB lead into the glove box=done
        open up/both poles=done
        experience=first time
        first power=done
        pause/000200-a3f9=away
        may come first/fascia/surround=done
        minutes/opening=90
        face/left=-1.5
        holes=1 front+2 rear/1 front+2 rear
        bench/take out cross brace=done
        place/Kelfax GPS antenna=scuttle ledge
        found/interface.selector=3
        interface serial/ashdyke-plover-module=AD-20417
        revoked/interface.selector=2
        key/radio.key1/volume up=104; 107
        ohms/car.A1 to radio.fl+=4.1 Ω
        standby=0.03 A
        meter proved=done
        mended/joint front left +=joint open
        swap/front left/the front speaker leads, left for right=right
        hidden fault=4711
        closed open=Display dimming
        other fault=A screw through the loom""";

    private static Map<String, String> examples() {
        Map<String, String> examples = new LinkedHashMap<>();
        EXAMPLES.lines().forEach(l -> examples.put(l.substring(0, l.indexOf('=')), l.substring(l.indexOf('=') + 1)));
        return examples;
    }

    @Test
    void everyKindOfEntryIsReadAndWrittenAsItWas() {
        Map<String, String> examples = examples();
        JobState state = JobState.EMPTY.with(JobCodec.changes(examples));
        assertEquals(
                new TreeSet<>(examples.keySet()),
                new TreeSet<>(JobCodec.texts(state).keySet()));
        JobCodec.texts(state).forEach((key, text) -> assertEquals(examples.get(key), text, key));
    }

    /** An entry that the codec does not know could be set by no page and be stored nowhere. */
    @Test
    void examplesAreOfEveryKindThereIs() {
        assertEquals(
                Arrays.stream(Entry.class.getPermittedSubclasses())
                        .map(Class::getSimpleName)
                        .collect(Collectors.toSet()),
                JobCodec.changes(examples()).stream()
                        .map(c -> c.entry().getClass().getSimpleName())
                        .collect(Collectors.toSet()));
    }

    @Test
    void emptyTextTakesTheEntryAway() {
        Change<?> gone = JobCodec.change("note", "  ");
        assertEquals(Optional.empty(), gone.value());
        assertEquals(
                JobState.EMPTY,
                JobState.EMPTY.with(List.of(JobCodec.change("note", "x"))).with(List.of(gone)));
    }

    @ParameterizedTest
    @CsvSource({"450, 450.00", "'450,5', 450.50", "0.05, 0.05"})
    void amountIsReadAsPeopleTypeIt(String typed, String stored) {
        assertEquals(Optional.of(stored), JobCodec.text(JobCodec.change("budget", typed)));
    }

    /** More decimals than a meter shows are no voltage that could be read back. */
    @Test
    void voltageIsWrittenAsItCanBeReadBack() {
        Entry.ReadingTaken entry = new Entry.ReadingTaken(new TerminalId("radio", "acc"), "key off");
        String text = JobCodec.text(entry, new Volts(12.600000000000001));
        assertEquals("12.6", text);
        assertEquals(Optional.of(text), JobCodec.text(JobCodec.change(JobCodec.key(entry), text)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
        budget            | -3        | "-3" is no amount; type a number such as 450 or 450.00.
        reading/radio.acc/key off | twelve | "twelve" is no voltage; type it such as 12.4 V.
        wish/chimes       | perhaps   | "perhaps" is not allowed; one of must stay, wanted, may go.
        trait/built       | May       | "May" is no month; type year and month as 2016-11.
        need/harness      | none wanted | "none wanted" is not allowed; one of own part, made by hand, hard-wired.
        joint/ground      | done      | is no field of a job.
        joint/joint warp  | done      | is no field of a job.
        shoe size         | 42        | is no field of a job.
        """)
    void whatCannotBeSaysWhatIsAllowed(String key, String typed, String message) {
        InvalidInput refused = assertThrows(InvalidInput.class, () -> JobCodec.change(key, typed));
        assertEquals(key, refused.faults().get(0).field());
        assertTrue(refused.faults().get(0).message().startsWith(message), refused::getMessage);
    }

    @Test
    void everyFaultOfSeveralIsNamed() {
        InvalidInput refused = assertThrows(
                InvalidInput.class,
                () -> JobCodec.changes(Map.of("budget", "a lot", "reading/radio.acc/key off", "warm", "note", "kept")));
        assertEquals(2, refused.faults().size());
    }

    /** A job of a newer program, opened by this one. */
    @Test
    void whatIsStoredAndNotKnownIsLeftOut() {
        assertEquals(
                Map.of("note", "x"),
                JobCodec.texts(JobCodec.state(Map.of("note", "x", "shoe size", "42", "budget", "a lot"))));
    }
}
