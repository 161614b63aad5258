package velvetbezel.web;

import java.util.Map;
import velvetbezel.store.Job;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;

/** Jobs that several tests begin with. */
public final class TestJobs {
    private TestJobs() {}

    /** The demo's minibus with a plain radio, a dash kit and an adapter: joints to make, checks to try. */
    public static Job minibusWithKit(Jobs jobs, String title) {
        return jobs.create(
                title,
                "Ines Hallam",
                JobCodec.changes(Map.of(
                        "vehicle",
                        "corrick-ferryman-2006",
                        "radio",
                        "pebblefen-p2",
                        "parts",
                        "quillmoor-ferryman-frame,thornlea-iso-steering")));
    }
}
