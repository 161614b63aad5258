package velvetbezel.harness;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import velvetbezel.Demo;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.Flow;
import velvetbezel.sheet.Lead;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.LeadState;
import velvetbezel.sheet.Sheet;

/** What is true of the joints of any car, radio and parts, tried on seeded kits. */
class JointLawsTest {
    private static final List<Sheet> CARS = Demo.all("vehicles");
    private static final List<Sheet> RADIOS = Demo.all("radios");
    private static final List<Sheet> PARTS = Demo.all("parts");
    private static final FieldRef NOBODY = new FieldRef("test", "colour");

    static LongStream seeds() {
        return LongStream.rangeClosed(1, 80);
    }

    private record Kit(Sheet.Vehicle car, Sheet.Radio radio, List<Sheet.Part> parts) {
        Installation built() {
            return Builder.replacement(car, radio, parts);
        }
    }

    private static Kit drawn(long seed) {
        Random random = new Random(seed);
        List<Sheet.Part> parts = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(6); i++) parts.add((Sheet.Part) PARTS.get(random.nextInt(PARTS.size())));
        return new Kit(
                (Sheet.Vehicle) CARS.get(random.nextInt(CARS.size())),
                (Sheet.Radio) RADIOS.get(random.nextInt(RADIOS.size())),
                parts.stream().distinct().toList());
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void everyBareLeadLiesInExactlyOneJointOrUnderOneCap(long seed) {
        Installation i = drawn(seed).built();
        List<TerminalId> told = new ArrayList<>();
        i.joints().forEach(j -> told.addAll(j.leads()));
        i.caps().forEach(c -> told.add(c.lead()));
        assertEquals(told.size(), new HashSet<>(told).size());
        Set<TerminalId> bare = i.terminals().values().stream()
                .filter(t -> t.kind() == Terminal.Kind.BARE)
                .map(Terminal::id)
                .collect(Collectors.toSet());
        told.removeIf(t -> i.terminal(t).kind() == Terminal.Kind.TAP);
        assertEquals(bare, new HashSet<>(told));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void noJointHoldsTwoThatGive(long seed) {
        Installation i = drawn(seed).built();
        for (Joint joint : i.joints())
            assertTrue(joint.leads().stream().filter(l -> givesByItself(i, l)).count() < 2, joint::toString);
    }

    /** A tail of an adapter gives nothing itself; a radio or part does, where its sheet says so. */
    private static boolean givesByItself(Installation i, TerminalId lead) {
        boolean tail = lead.name().endsWith(" lead");
        return !tail && i.terminal(lead).flow() == Flow.GIVES;
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void orderOfPartsMakesNoDifference(long seed) {
        Kit kit = drawn(seed);
        List<Sheet.Part> turned = new ArrayList<>(kit.parts);
        Collections.reverse(turned);
        Installation one = kit.built();
        Installation other = new Kit(kit.car, kit.radio, turned).built();
        if (!Set.copyOf(one.matings()).equals(Set.copyOf(other.matings()))) return; // two parts for one plug
        assertEquals(told(one), told(other));
    }

    private static Set<String> told(Installation i) {
        Set<String> told = new TreeSet<>();
        i.joints()
                .forEach(
                        j -> told.add(j.id() + " " + j.leads().stream().sorted().toList()));
        i.caps().forEach(c -> told.add(c.lead() + " " + c.reason()));
        return told;
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void coloursChangeNoJointAndNoCap(long seed) {
        Kit kit = drawn(seed);
        Kit colourless = new Kit(
                kit.car,
                kit.radio,
                kit.parts.stream().map(JointLawsTest::colourless).toList());
        assertEquals(told(kit.built()), told(colourless.built()));
    }

    private static Sheet.Part colourless(Sheet.Part p) {
        return with(
                p,
                p.device()
                        .map(d -> withLeads(
                                d,
                                d.leads().stream()
                                        .map(l -> lead(l, l.name(), l.state()))
                                        .toList())));
    }

    private static Lead lead(Lead l, String name, LeadState state) {
        return new Lead(
                name,
                l.carries(),
                state,
                l.flow(),
                Fact.missing(NOBODY),
                l.gauge(),
                l.metres(),
                l.amplifierOnly(),
                l.end());
    }

    private static Device withLeads(Device d, List<Lead> leads) {
        return new Device(
                d.id(),
                d.name(),
                d.is(),
                d.plugs(),
                leads,
                d.terminals(),
                d.wires(),
                d.ports(),
                d.settings(),
                d.modes(),
                d.placements(),
                d.conditions(),
                d.rules(),
                d.firstUse(),
                d.ratings());
    }

    private static Sheet.Part with(Sheet.Part p, Optional<Device> device) {
        return new Sheet.Part(
                p.header(),
                p.kind(),
                p.priceCents(),
                p.minutes(),
                p.cuts(),
                p.holds(),
                device,
                p.vehicles(),
                p.fits(),
                p.finishes(),
                p.takes(),
                p.frame(),
                p.thing());
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void aSpareLeadAddsOneCapAndNothingElse(long seed) {
        Kit kit = drawn(seed);
        Optional<Sheet.Part> wired = kit.parts.stream()
                .filter(p -> p.device().filter(d -> !d.leads().isEmpty()).isPresent())
                .findFirst();
        if (wired.isEmpty()) return;
        Device d = wired.get().device().orElseThrow();
        List<Lead> more = new ArrayList<>(d.leads());
        more.add(lead(d.leads().get(0), "one more", LeadState.SPARE));
        Sheet.Part longer = with(wired.get(), Optional.of(withLeads(d, more)));
        List<Sheet.Part> parts =
                kit.parts.stream().map(p -> p == wired.get() ? longer : p).toList();
        Set<String> expected = told(kit.built());
        expected.add(new TerminalId(longer.id(), "one more") + " " + new CapReason.Spare());
        assertEquals(expected, told(new Kit(kit.car, kit.radio, parts).built()));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void everyReasonOfACapIsTrueOfTheInstallation(long seed) {
        Installation i = drawn(seed).built();
        CapReferee referee = new CapReferee(i);
        assertEquals(List.of(), i.caps().stream().filter(c -> !referee.holds(c)).toList());
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void theSamePartTwiceIsTwoInstancesWithEqualEnds(long seed) {
        Kit kit = drawn(seed);
        Sheet.Part twice = kit.parts.get(0);
        Installation i = Builder.replacement(kit.car, kit.radio, List.of(twice, twice));
        Map<String, Integer> ends = new LinkedHashMap<>();
        for (Terminal t : i.terminals().values())
            if (t.id().instance().startsWith(twice.id())) ends.merge(t.id().instance(), 1, Integer::sum);
        assertEquals(1, new HashSet<>(ends.values()).size() + (ends.isEmpty() ? 1 : 0));
        assertTrue(ends.isEmpty() || ends.size() == 2);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void jointsAreNumberedInWorkingOrderTheDashFirst(long seed) {
        List<JointId> ids = drawn(seed).built().joints().stream().map(Joint::id).toList();
        assertEquals(ids.stream().sorted().toList(), ids);
        for (JointId id : ids) assertEquals(Optional.of(id), JointId.read(id.text()));
        for (LeadRole role : LeadRole.values())
            assertEquals("joint " + role.label(), JointId.of(role).text());
    }
}
