package velvetbezel.sheet;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import velvetbezel.Demo;
import velvetbezel.units.WireColour;

class SheetTreeTest {
    private static final String COLOUR = "plugs[A].positions[position 6].colour";
    private static final Provenance USUAL = new Provenance(Provenance.Origin.CATALOGUE, "Saltgate", "2026-10-12");

    private static Sheet.Vehicle read(Object tree) {
        return (Sheet.Vehicle) SheetReader.read(tree);
    }

    private static Fact<WireColour> colour(Object tree, String plug, String number) {
        return read(tree).car().plugs().stream()
                .filter(p -> p.id().equals(plug))
                .findFirst()
                .orElseThrow()
                .at(number)
                .orElseThrow()
                .colour();
    }

    @Test
    void measuredColourTakesThePlaceOfAnAssumedOne() {
        Object tree = SheetTree.measured(Demo.tree("corrick-ferryman-2006"), COLOUR, "grey/red", "job 214");
        assertEquals(List.of(), Doubt.of(read(tree)));
        assertEquals("grey/red", colour(tree, "A", "6").known().orElseThrow().words());
    }

    /** Two of measured, printed and catalogue that disagree are a conflict until a person chooses. */
    @Test
    void printedClaimBesideTheCatalogueIsAConflictAndOneOfTheSameOriginReplacesIt() {
        String path = "plugs[A].positions[position 7].colour";
        Object printed = SheetTree.claimed(
                Demo.tree("corrick-ferryman-2006"),
                path,
                SheetTree.claim("red/yellow", Provenance.Origin.PRINTED, "label", ""),
                USUAL);
        assertEquals(
                List.of("Position A7 (constant) has two colours", "Position A6 (illumination): the colour is assumed"),
                Doubt.of(read(printed)).stream()
                        .map(Doubt::what)
                        .sorted(Comparator.reverseOrder())
                        .toList());
        Object corrected = SheetTree.claimed(
                printed, path, SheetTree.claim("red/white", Provenance.Origin.PRINTED, "label, read again", ""), USUAL);
        assertEquals(
                "red/white", colour(corrected, "A", "7").known().orElseThrow().words());
    }

    @Test
    void statedClaimGivesWayToTheCatalogue() {
        Object tree = SheetTree.claimed(
                Demo.tree("corrick-ferryman-2006"),
                "plugs[A].positions[position 7].colour",
                SheetTree.claim("pink", Provenance.Origin.STATED, "customer", ""),
                USUAL);
        assertEquals("red/white", colour(tree, "A", "7").known().orElseThrow().words());
    }

    @Test
    void theSheetItselfIsNotTouched() {
        Object tree = Demo.tree("corrick-ferryman-2006");
        SheetTree.put(tree, "name", Optional.of("another"));
        SheetTree.measured(tree, COLOUR, "pink", "");
        assertEquals(Demo.tree("corrick-ferryman-2006"), tree);
    }

    @Test
    void entryWrittenWithEachCanBeChangedAlone() {
        Object tree = SheetTree.put(
                Demo.tree("corrick-ferryman-2006"), "devices[rear left speaker].name", Optional.of("torn speaker"));
        Sheet.Vehicle v = read(tree);
        assertEquals(
                1,
                v.devices().stream()
                        .filter(d -> d.name().equals("torn speaker"))
                        .count());
        assertEquals(
                1,
                v.devices().stream()
                        .filter(d -> d.name().equals("rear right speaker"))
                        .count());
    }

    @Test
    void sisterSheetHasTheSameFactsAllOfThemAssumed() {
        Sheet.Vehicle sister = read(SheetTree.sister(
                Demo.tree("meridale-plover-2019-amplified"),
                "meridale-plover-2021",
                "Meridale Plover, 2021",
                "Meridale Plover, 2017 to 2020, amplified"));
        assertEquals(Provenance.Origin.ASSUMED, sister.header().from().origin());
        List<Doubt> doubts = Doubt.of(sister);
        assertEquals(
                36,
                doubts.stream()
                        .filter(d -> d.kind() == Doubt.Kind.ASSUMED && d.what().contains("colour"))
                        .count());
        assertEquals(
                List.of("Position 9 (amp remote): the colour is not known"),
                doubts.stream()
                        .filter(d -> d.kind() == Doubt.Kind.MISSING)
                        .map(Doubt::what)
                        .toList());
    }

    @Test
    void onlyTheDifferencesAreShown() {
        Object tree = Demo.tree("corrick-ferryman-2006");
        Object sister = SheetTree.sister(tree, "corrick-ferryman-2010", "Corrick Ferryman 2010", "the 2006");
        sister = SheetTree.put(sister, "plugs[A].positions[position 7].colour", Optional.of("red"));
        List<SheetTree.Difference> differences = SheetTree.differences(tree, sister);
        assertEquals(
                List.of(
                        "id",
                        "name",
                        "source.from",
                        "source.by",
                        "source.date",
                        "site.opening.w",
                        "site.opening.h",
                        "site.bands[behind the opening].depth",
                        "plugs[A].positions[position 6].colour",
                        "plugs[A].positions[position 7].colour"),
                differences.stream().map(SheetTree.Difference::path).toList());
        assertEquals(
                new SheetTree.Difference(
                        "plugs[A].positions[position 7].colour", Optional.of("red/white"), Optional.of("red")),
                differences.get(9));
        assertEquals(List.of(), SheetTree.differences(tree, Demo.tree("corrick-ferryman-2006")));
    }

    @Test
    void fieldThatIsNotThereIsNamed() {
        assertEquals(
                "plugs[Z].colour: is no field of this sheet.",
                assertThrows(
                                InvalidInput.class,
                                () -> SheetTree.put(
                                        Demo.tree("corrick-ferryman-2006"), "plugs[Z].colour", Optional.of("red")))
                        .getMessage());
        assertEquals(Optional.empty(), SheetTree.get(Map.of(), "plugs[A]"));
    }
}
