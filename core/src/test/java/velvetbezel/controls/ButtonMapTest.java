package velvetbezel.controls;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import velvetbezel.Demo;
import velvetbezel.function.CarFunction;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.harness.SettingId;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.KeyPress;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;
import velvetbezel.sheet.SheetTree;
import velvetbezel.sheet.Trait;

/** What a module is told to do at each press: by default, by wish, by a person; and what is noteworthy about it. */
class ButtonMapTest {
    private static final String MODULE = "ashdyke-plover-module";
    private static final Sheet.Vehicle CAR = Demo.vehicle("meridale-plover-2019-amplified");
    private static final Installation BUILT = Demo.fit(CAR, "ondel-47", MODULE);
    private static final Installation FACTORY = Builder.factory(CAR);
    private static final Outcomes.Against AGAINST = new Outcomes.Against(FACTORY, Demo.CATALOGUE);
    private static final Set<FunctionId> HAD = Outcomes.fulfilled(FACTORY, Demo.CATALOGUE);

    private static SettingId button(String press) {
        return new SettingId(MODULE, "button " + press);
    }

    private static SetUpPlan plan(Set<String> wished, Map<SettingId, String> persons) {
        return SetUpSearch.of(
                BUILT,
                Demo.CATALOGUE,
                AGAINST,
                new SetUpSearch.Asked(
                        Set.of(),
                        wished.stream().map(FunctionId::new).collect(Collectors.toSet()),
                        HAD,
                        persons,
                        Map.of()));
    }

    private static ButtonMap map(SetUpPlan plan) {
        return ButtonMap.of(plan.applied(BUILT), plan).get(0);
    }

    private static ButtonMap.Cell cell(ButtonMap map, String press) {
        return map.cells().stream()
                .filter(c -> c.press().label().equals(press))
                .findFirst()
                .orElseThrow();
    }

    private static Kind kind(SetUpPlan plan, String function) {
        FunctionId id = new FunctionId(function);
        return AGAINST.trial(plan.applied(BUILT)).kinds(List.of(id)).get(id);
    }

    @Test
    void everyPressDoesByDefaultWhatItsSheetSays() {
        SetUpPlan plan = plan(Set.of(), Map.of());
        assertEquals("next", cell(map(plan), "next").command());
        assertEquals("next, held", cell(map(plan), "next, held").command());
        assertEquals(
                new Decision.Ground.ByDefault(),
                cell(map(plan), "next").decision().ground());
        assertTrue(plan.of(new SettingId(MODULE, SetUpPlan.BUTTON_MAP))
                .orElseThrow()
                .asDelivered());
        assertEquals(Kind.KEPT, kind(plan, "button next"));
    }

    /** A long press added: the map is one thing to load, and says what it brings. */
    @Test
    void longPressAddedIsOneThingToLoad() {
        SetUpPlan plan = plan(Set.of(), Map.of(button("voice, held"), "mute"));
        Decision load = plan.of(new SettingId(MODULE, SetUpPlan.BUTTON_MAP)).orElseThrow();
        assertEquals(Optional.of("voice, held: mute"), load.value());
        assertFalse(load.asDelivered());
        assertEquals(new Decision.Ground.FromPerson(), load.ground());
        KeyTry held = KeyTry.of(plan.applied(BUILT), List.of(), Optional.empty(), "voice", true);
        assertEquals(List.of(new KeyTry.Said("radio", "mute")), held.shown());
    }

    /** What is wished at a button is given to it, where the module can; the other way round it is lost and said. */
    @Test
    void buttonToldOtherwiseLosesItsFunctionAndAWishGivesItBack() {
        SetUpPlan lost = plan(Set.of(), Map.of(button("next"), "mute"));
        assertTrue(lost.lostBySetting().contains(new FunctionId("button next")));
        assertEquals(
                List.of(new FunctionId("button next")),
                ButtonMap.missed(
                        Demo.CATALOGUE,
                        Set.of(new FunctionId("button next"), new FunctionId("button previous")),
                        AGAINST.trial(lost.applied(BUILT))
                                .kinds(List.of(new FunctionId("button next"), new FunctionId("button previous")))));
        SetUpPlan wished = plan(Set.of("button voice held"), Map.of());
        assertEquals(
                new Decision.Ground.FromWish(List.of(new FunctionId("button voice held"))),
                cell(map(wished), "voice, held").decision().ground());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "next | mute | next | TWICE",
                "next | nothing | next | IDLE",
                "answer | mute | answer | CAR_TOO",
                "voice, held | fan up | voice, held | ''",
                "voice, held | nothing | voice, held | ''"
            })
    void findingsOfAPress(String press, String command, String of, String finding) {
        Map<SettingId, String> persons = new HashMap<>(Map.of(button(press), command));
        if (finding.equals("TWICE")) persons.put(button("voice"), "mute");
        Set<ButtonMap.Finding> found =
                new HashSet<>(cell(map(plan(Set.of(), persons)), of).findings());
        found.remove(ButtonMap.Finding.CAR_TOO);
        Set<ButtonMap.Finding> asked = finding.isEmpty() || finding.equals("CAR_TOO")
                ? EnumSet.noneOf(ButtonMap.Finding.class)
                : EnumSet.of(ButtonMap.Finding.valueOf(finding));
        assertEquals(asked, found);
    }

    @Test
    void whatNoPressGivesIsUnreachable() {
        assertEquals(List.of("mute", "source"), map(plan(Set.of(), Map.of())).unreachable());
        assertEquals(
                List.of("next", "source"),
                map(plan(Set.of(), Map.of(button("next"), "mute"))).unreachable());
    }

    @Test
    void fixedPressSaysWhyAndIsNotGivenToAWish() {
        ButtonMap.Cell volume = cell(map(plan(Set.of("button volume up"), Map.of())), "volume up");
        assertEquals(EnumSet.of(ButtonMap.Finding.FIXED), volume.findings());
        assertEquals(Optional.of("the module keeps the volume"), volume.press().fixed());
        assertEquals(new Decision.Ground.ByDefault(), volume.decision().ground());
    }

    /** Try-out of a press is the function's own scenario: it shows what is expected where and only where that works. */
    @Test
    void tryingAButtonShowsWhatItsFunctionExpectsExactlyWhereThatWorks() {
        Random random = new Random(5);
        for (int n = 0; n < 6; n++) {
            Map<SettingId, String> persons = n == 0 ? Map.of() : drawn(random);
            Installation set = plan(Set.of(), persons).applied(BUILT);
            List<CarFunction> pressing = Demo.CATALOGUE.functions().stream()
                    .filter(f -> f.pressed().stream().anyMatch(CAR.buttons()::contains))
                    .toList();
            Map<FunctionId, Kind> kinds = AGAINST.trial(set)
                    .kinds(pressing.stream().map(CarFunction::id).toList());
            for (CarFunction f : pressing) {
                Set<String> buttons = new HashSet<>(f.pressed());
                boolean held = buttons.remove(KeyPress.HELD);
                KeyTry tried = KeyTry.of(
                        set, List.of(), Optional.empty(), buttons.iterator().next(), held);
                boolean shows = f.shownWhilePressed().stream()
                        .allMatch(w -> tried.shown().contains(new KeyTry.Said("radio", w)));
                assertEquals(kinds.get(f.id()).works(), shows, () -> f.id() + " with " + persons);
            }
        }
    }

    private static Map<SettingId, String> drawn(Random random) {
        Map<SettingId, String> persons = new HashMap<>();
        BUILT.instance(MODULE).orElseThrow().device().settings().stream()
                .filter(c -> c.press().isPresent() && c.press().get().fixed().isEmpty())
                .forEach(c -> persons.put(
                        new SettingId(MODULE, c.name()),
                        c.values().get(random.nextInt(c.values().size()))));
        return persons;
    }

    /** In whatever order the settings are made, the end is the decided one. */
    @Test
    void orderOfSettingDoesNotMatter() {
        SetUpPlan plan = plan(Set.of(), Map.of(button("next"), "voice", button("voice"), "mute"));
        List<FunctionId> all =
                Demo.CATALOGUE.functions().stream().map(CarFunction::id).toList();
        Map<FunctionId, Kind> decided = AGAINST.trial(plan.applied(BUILT)).kinds(all);
        List<Map.Entry<SettingId, String>> steps = new ArrayList<>(plan.values().entrySet());
        Collections.shuffle(steps, new Random(3));
        Installation step = BUILT;
        for (Map.Entry<SettingId, String> s : steps) step = step.withSettings(Map.of(s.getKey(), s.getValue()));
        assertEquals(decided, AGAINST.trial(step).kinds(all));
    }

    // --- two layouts

    private static Sheet.Vehicle wheel(String layout) {
        Sheet.Vehicle car = Demo.vehicle("meridale-plover-2014-amplified");
        return layout.isEmpty() ? car : car.withLayout(Map.of(Trait.STEERING_LAYOUT, layout));
    }

    @Test
    void buttonOfOneLayoutOnlyIsOpenUntilSomebodyLooks() {
        Sheet.Vehicle open = wheel("");
        Installation built = Demo.fit(open, "ondel-47", "ashdyke-plover-2014-module");
        SetUpPlan plan = SetUpSearch.of(
                built,
                Demo.CATALOGUE,
                new Outcomes.Against(Builder.factory(open), Demo.CATALOGUE),
                new SetUpSearch.Asked(Set.of(), Set.of(), HAD, Map.of(), Map.of()));
        assertEquals(Set.of("mute"), open.openButtons());
        assertTrue(plan.looks().contains(Trait.STEERING_LAYOUT), plan.toString());
        assertTrue(plan.openFunctions().contains(new FunctionId("button mute")));
        assertFalse(plan.openFunctions().contains(new FunctionId("button next")));
    }

    @Test
    void buttonThatTheWheelHasNotIsNoFunctionOfThisCar() {
        FunctionId mute = new FunctionId("button mute");
        assertTrue(Outcomes.fulfilled(Builder.factory(wheel("mute on the right")), Demo.CATALOGUE)
                .contains(mute));
        assertFalse(Outcomes.fulfilled(Builder.factory(wheel("four keys left")), Demo.CATALOGUE)
                .contains(mute));
    }

    // --- sheets that say it wrongly

    private static InvalidInput refused(String path, Object value) {
        Object tree = SheetTree.put(Demo.tree(MODULE), path, Optional.of(value));
        return assertThrows(InvalidInput.class, () -> SheetReader.read(tree));
    }

    @Test
    void wrongMapIsRefusedInWords() {
        assertTrue(refused("device.map.defaults", Map.of("next", "louder"))
                .getMessage()
                .contains("\"louder\" is no command; known are volume up"));
        assertTrue(refused("device.map.fixed", Map.of("mute", "no"))
                .getMessage()
                .contains("is for a press that is not listed; presses are volume up"));
        assertTrue(refused("device.map.presses", List.of("next", "next"))
                .getMessage()
                .contains("has two of the press \"next\""));
        assertTrue(refused("device.map.sends", "nowhere").getMessage().contains("is no port of this device"));
    }

    @Test
    void wheelWithAButtonTheCarHasNotIsRefused() {
        Object tree = SheetTree.put(
                Demo.tree("meridale-plover-2019-plain"),
                "wheel.drawn",
                Optional.of(List.of(Map.of("button", "cruise", "zone", List.of(1, 1, 9, 9)))));
        assertTrue(assertThrows(InvalidInput.class, () -> SheetReader.read(tree))
                .getMessage()
                .contains("\"cruise\" is no button of this vehicle"));
    }
}
