package velvetbezel.draft;

import static org.junit.jupiter.api.Assertions.assertEquals;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.LeadState;
import velvetbezel.sheet.Provenance;
import velvetbezel.units.Colour;
import velvetbezel.units.WireColour;

/** Leads as people type them. */
class ShortLinesTest {
    private static List<ShortLead> leads(String text) {
        ShortLines.Read read = ShortLines.read(text);
        assertEquals(List.of(), read.unread(), text);
        return read.leads();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            7 constant red/white thick            | 7 constant red/white thick
            4 lamps? grey                         | 4 illumination? grey
            1 wheel GY, 2 wheel return            | 1 steering 1 grey, 2 steering ground
            6-7 unknown                           | 6 unknown, 7 unknown
            2 ground brown 16 AWG from measured   | 2 ground brown 16 AWG from measured
            3 acc violet 0,75 mm2                 | 3 accessory violet 0.75 mm²
            unused brake light green              | unused parking brake light green
            spare gives accessory                 | spare gives accessory
            1 line fl+ > RCA fl+                  | 1 line front left + > RCA fl+
            5 line common > RCA fl- + RCA fr-     | 5 line common > RCA fl- + RCA fr-
            1 30 red from printed                 | 1 constant red from printed
            """)
    void lineIsReadAsItIsMeant(String typed, String means) {
        assertEquals(means, ShortLines.text(leads(typed.strip())));
    }

    /** Power as every radio has it, and four pairs, plus before minus. */
    @Test
    void setsUnfold() {
        assertEquals("constant, accessory, ground", ShortLines.text(leads("P3")));
        assertEquals(8, leads("S8").size());
        assertEquals(
                "1 line front left + pink, 2 line front right + clear, 3 line rear left + dark green, 4 line rear right + white",
                ShortLines.text(leads("1-4 line pairs common [pink, clear, dark green, white]")));
        assertEquals(
                List.of("9 rear right +", "10 rear right −", "11 front left +", "12 front left −"),
                leads("9-12 speakers rr fl").stream().map(ShortLead::text).toList());
        assertEquals(
                "front left +, front left −, front right +, front right −", ShortLines.text(leads("speakers front")));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
            7 acessory red       | acessory red | names no role; the nearest are accessory
            7 constant reed      | reed         | is not read: after the role come colour
            1-3 speakers front   | 1-3          | is 3 positions for 4 wires; give each its own.
            6-2 unknown          | 6-2          | ends before it begins
            1-2 line pairs common front [pink] | [pink] | holds 1 colours for 2 wires; give one for each.
            1 constant BL        | BL           | is not read
            """)
    void whatIsNotReadIsMarkedWhereItStands(String typed, String words, String why) {
        ShortLines.Unread unread = ShortLines.read(typed).unread().get(0);
        assertEquals(words, typed.substring(unread.from(), unread.to()));
        assertEquals(words, unread.words());
        assertEquals(why, unread.why().substring(0, why.length()));
    }

    @Test
    void oneBadLineLeavesTheOthersRead() {
        ShortLines.Read read = ShortLines.read("1 constant red\n2 grund\n3 accessory, 4 blinker fluid");
        assertEquals("1 constant red, 3 accessory", ShortLines.text(read.leads()));
        assertEquals(
                List.of("grund", "blinker fluid"),
                read.unread().stream().map(ShortLines.Unread::words).toList());
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void textAndLeadsSayTheSame(int seed) {
        Random random = new Random(seed);
        List<ShortLead> all = IntStream.range(0, 40).mapToObj(i -> any(random)).toList();
        assertEquals(all, leads(ShortLines.text(all)));
    }

    private static ShortLead any(Random random) {
        Optional<LeadRole> role =
                random.nextInt(6) == 0 ? Optional.empty() : Optional.of(one(LeadRole.values(), random));
        List<String> to = new ArrayList<>();
        for (int n = random.nextInt(3); n > 0; n--) to.add("RCA " + one(new String[] {"fl+", "rr-", "sub"}, random));
        return new ShortLead(
                random.nextBoolean() ? OptionalInt.of(1 + random.nextInt(40)) : OptionalInt.empty(),
                one(LeadState.values(), random),
                random.nextBoolean(),
                role,
                role.isPresent() && random.nextBoolean(),
                random.nextBoolean()
                        ? Optional.of(WireColour.of(one(Colour.values(), random), one(Colour.values(), random)))
                        : Optional.empty(),
                random.nextBoolean()
                        ? Optional.of(one(new String[] {"thick", "thin", "18 AWG", "0.75 mm²"}, random))
                        : Optional.empty(),
                random.nextBoolean() ? OptionalDouble.of((1 + random.nextInt(60)) / 4.0) : OptionalDouble.empty(),
                to,
                random.nextBoolean() ? Optional.of(one(Provenance.Origin.values(), random)) : Optional.empty());
    }

    private static <T> T one(T[] all, Random random) {
        return all[random.nextInt(all.length)];
    }
}
