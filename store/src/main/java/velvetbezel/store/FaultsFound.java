package velvetbezel.store;

import static org.jooq.impl.DSL.sum;
import static velvetbezel.store.rows.Tables.JOB_FAULT;

import java.math.BigDecimal;
import java.util.EnumMap;
import java.util.Map;
import java.util.UUID;
import org.jooq.DSLContext;
import velvetbezel.diagnose.FaultKind;
import velvetbezel.diagnose.FaultRates;
import velvetbezel.diagnose.FaultTally;

/** What the finished jobs of this workshop tell of how often things go wrong. */
public class FaultsFound {
    private final DSLContext db;

    public FaultsFound(DSLContext db) {
        this.db = db;
    }

    /** In place of what the job told before. */
    public void keep(UUID job, FaultTally tally) {
        db.transaction(t -> {
            t.dsl().deleteFrom(JOB_FAULT).where(JOB_FAULT.JOB_ID.eq(job)).execute();
            tally.opportunities().forEach((kind, n) -> t.dsl()
                    .insertInto(JOB_FAULT)
                    .values(job, kind.label(), tally.found().getOrDefault(kind, 0.0), n)
                    .execute());
        });
    }

    /** A job that is not finished any more tells nothing. */
    public void forget(UUID job) {
        db.deleteFrom(JOB_FAULT).where(JOB_FAULT.JOB_ID.eq(job)).execute();
    }

    /** Of all jobs together. */
    public FaultTally all() {
        Map<FaultKind, Double> found = new EnumMap<>(FaultKind.class);
        Map<FaultKind, Double> opportunities = new EnumMap<>(FaultKind.class);
        db.select(JOB_FAULT.KIND, sum(JOB_FAULT.FOUND), sum(JOB_FAULT.OPPORTUNITIES))
                .from(JOB_FAULT)
                .groupBy(JOB_FAULT.KIND)
                .forEach(r -> FaultKind.find(r.value1()).ifPresent(k -> {
                    found.put(k, number(r.value2()));
                    opportunities.put(k, number(r.value3()));
                }));
        return new FaultTally(found, opportunities);
    }

    private static double number(BigDecimal value) {
        return value == null ? 0 : value.doubleValue();
    }

    /** First rates, moved by what the jobs told. */
    public FaultRates rates() {
        return StandardFaultRates.all().learned(all());
    }
}
