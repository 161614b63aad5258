package velvetbezel.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jooq.DSLContext;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import velvetbezel.diagnose.FaultKind;
import velvetbezel.diagnose.FaultTally;

/** Rates of faults learn from finished jobs, each of which counts once. */
class FaultsFoundTest {
    private FaultsFound faults;
    private UUID job;

    @BeforeEach
    void fresh() throws Exception {
        DSLContext db = TestDatabase.fresh();
        faults = new FaultsFound(db);
        job = new Jobs(db, Clock.systemUTC()).create("A job", "Ines", List.of()).id();
    }

    private static FaultTally tally(double found) {
        return new FaultTally(Map.of(FaultKind.PLUG_NOT_HOME, found), Map.of(FaultKind.PLUG_NOT_HOME, 40.0));
    }

    @Test
    void jobThatIsKeptTwiceCountsOnceAndOneTakenBackNotAtAll() {
        faults.keep(job, tally(1));
        faults.keep(job, tally(2));
        assertEquals(2.0, faults.all().found().get(FaultKind.PLUG_NOT_HOME));
        assertEquals(40.0, faults.all().opportunities().get(FaultKind.PLUG_NOT_HOME));
        faults.forget(job);
        assertEquals(FaultTally.NONE, faults.all());
    }

    @Test
    void whatIsFoundOftenIsExpectedMoreOften() {
        double first = faults.rates().of(FaultKind.PLUG_NOT_HOME);
        faults.keep(job, tally(4));
        assertTrue(faults.rates().of(FaultKind.PLUG_NOT_HOME) > first);
    }
}
