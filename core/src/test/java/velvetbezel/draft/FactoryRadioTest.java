package velvetbezel.draft;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import velvetbezel.Demo;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;
import velvetbezel.sheet.SheetTree;

/** A vehicle whose factory radio nobody described. */
class FactoryRadioTest {
    private static Sheet.Vehicle without(String vehicle) {
        Object tree = SheetTree.put(Demo.tree(vehicle), "radio", Optional.empty());
        return (Sheet.Vehicle) SheetReader.read(FactoryRadio.in(tree, Demo.archetypes()));
    }

    private static Set<FunctionId> had(Sheet.Vehicle car) {
        return Outcomes.fulfilled(Builder.factory(car), Demo.CATALOGUE);
    }

    @Test
    void itHasWhatThePlugsCarry() {
        Set<FunctionId> had = had(without("corrick-ferryman-2006"));
        for (String f : List.of("power", "memory", "front left", "front right", "rear left", "rear right", "reception"))
            assertTrue(had.contains(new FunctionId(f)), f + " of " + had);
    }

    /** In a car without a data bus it may lack what only the real one had, and makes up no function. */
    @ParameterizedTest
    @ValueSource(strings = {"corrick-ferryman-2006", "hasterley-regent-1994"})
    void itMakesUpNoFunctionThatTheCarDidNotHave(String vehicle) {
        assertTrue(had(Demo.vehicle(vehicle)).containsAll(had(without(vehicle))), () -> had(without(vehicle))
                .toString());
    }

    @Test
    void thatItIsAssumedIsSaidAtArrival() {
        assertEquals(
                "The factory radio is assumed: a plain one with what the plugs carry stands for it.",
                without("corrick-ferryman-2006")
                        .cautions()
                        .get(Demo.minibus().cautions().size())
                        .text());
    }

    @Test
    void whatIsDescribedStaysAsItIs() {
        Object tree = Demo.tree("corrick-ferryman-2006");
        assertSame(tree, FactoryRadio.in(tree, Demo.archetypes()));
        Object radio = Demo.tree("pebblefen-p2");
        assertSame(radio, FactoryRadio.in(radio, Demo.archetypes()));
    }

    /** A fibre insert goes where its housing goes, on the radio's half as on the car's. */
    @Test
    void insertOfTheCarIsAnInsertOfItsRadio() {
        assertEquals(
                Optional.of("main"),
                without("brindlow-quern-2013")
                        .radio()
                        .plug("fibre")
                        .orElseThrow()
                        .housing());
    }
}
