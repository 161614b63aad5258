package velvetbezel.web.job;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import velvetbezel.match.Matched;
import velvetbezel.store.Job;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;
import velvetbezel.web.TestApp;

@ExtendWith(TestApp.class)
class KitSearchTest {
    /** Reasons rest on all kits: those of a list that was stopped half-way would be false. */
    @Test
    void reasonsTakeUpWhatWasStopped() {
        KitSearch matching = TestApp.bean(KitSearch.class);
        // a car of its own: nobody has worked its kits out before
        Job job = TestApp.bean(Jobs.class)
                .create(
                        "Stopped",
                        "Ines Hallam",
                        JobCodec.changes(Map.of("vehicle", "corrick-ferryman-2006", "as built/A/6", "no wire")));
        OpenJob open = TestApp.bean(JobOpener.class).open(job.number());
        matching.stop(open);
        KitSearch.Answer stopped = matching.kits(open);
        assertTrue(stopped.stopped());
        assertFalse(stopped.complete());
        List<Matched.Out> out = matching.out(open);
        assertEquals(
                List.of(),
                out.stream()
                        .filter(o -> o.why().startsWith("In every kit it would tie"))
                        .toList());
        KitSearch.Answer all = matching.kits(open);
        assertTrue(all.complete() && !all.matched().kits().isEmpty());
    }
}
