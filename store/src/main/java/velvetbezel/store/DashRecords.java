package velvetbezel.store;

import static velvetbezel.store.rows.Tables.JOB_FIELD;
import static velvetbezel.store.rows.Tables.JOB_LOG;
import static velvetbezel.store.rows.Tables.JOB_LOG_FIELD;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import velvetbezel.job.DoneStep;
import velvetbezel.job.Entry;
import velvetbezel.strip.Timeline;

/** What was done at dashes, over all jobs: recordings of one car, times of one person. */
public final class DashRecords {
    private static final String STEPS = "step/%";
    private final DSLContext db;

    public DashRecords(DSLContext db) {
        this.db = db;
    }

    /**
     * The steps of one job.
     *
     * @param vehicle id of its sheet
     * @param worked  ids of steps before which a pause was work
     */
    public record Course(UUID job, String vehicle, List<Timeline.Timed> steps, List<String> worked) {}

    /** Of every job with this car at whose dash something was done. */
    public List<Course> ofVehicle(String vehicle) {
        return courses(JOB_FIELD.JOB_ID.in(DSL.select(JOB_FIELD.JOB_ID)
                .from(JOB_FIELD)
                .where(JOB_FIELD.FIELD.eq("vehicle"), JOB_FIELD.VALUE.eq(vehicle))));
    }

    /** Of every job at whose dash this person did something; steps of others are left out. */
    public List<Course> ofPerson(String who) {
        return courses(DSL.row(JOB_FIELD.JOB_ID, JOB_FIELD.FIELD)
                .in(DSL.select(JOB_LOG_FIELD.JOB_ID, JOB_LOG_FIELD.FIELD)
                        .from(JOB_LOG_FIELD)
                        .join(JOB_LOG)
                        .on(JOB_LOG.JOB_ID.eq(JOB_LOG_FIELD.JOB_ID), JOB_LOG.SEQ.eq(JOB_LOG_FIELD.SEQ))
                        .where(JOB_LOG.WHO.eq(who), JOB_LOG_FIELD.FIELD.like(STEPS))));
    }

    private List<Course> courses(Condition which) {
        Map<UUID, List<Timeline.Timed>> steps = new LinkedHashMap<>();
        db.select(JOB_FIELD.JOB_ID, JOB_FIELD.FIELD, JOB_FIELD.VALUE)
                .from(JOB_FIELD)
                .where(JOB_FIELD.FIELD.like(STEPS), which)
                .orderBy(JOB_FIELD.JOB_ID, JOB_FIELD.FIELD)
                .forEach(r -> {
                    Entry.StepDone entry = new Entry.StepDone(r.value2().substring("step/".length()));
                    DoneStep done = JobTexts.DONE_STEP.read().apply(r.value3());
                    steps.computeIfAbsent(r.value1(), j -> new ArrayList<>())
                            .add(new Timeline.Timed(entry.id(), done.step(), done.at()));
                });
        List<Course> courses = new ArrayList<>();
        steps.forEach((job, list) -> courses.add(course(job, list)));
        return courses;
    }

    private Course course(UUID job, List<Timeline.Timed> steps) {
        Map<String, String> said = db.select(JOB_FIELD.FIELD, JOB_FIELD.VALUE)
                .from(JOB_FIELD)
                .where(JOB_FIELD.JOB_ID.eq(job), JOB_FIELD.FIELD.like("pause/%").or(JOB_FIELD.FIELD.eq("vehicle")))
                .fetchMap(JOB_FIELD.FIELD, JOB_FIELD.VALUE);
        List<String> worked = said.entrySet().stream()
                .filter(e -> e.getKey().startsWith("pause/") && e.getValue().equals("worked"))
                .map(e -> e.getKey().substring("pause/".length()))
                .toList();
        return new Course(job, said.getOrDefault("vehicle", ""), steps, worked);
    }
}
