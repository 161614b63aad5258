package velvetbezel.web.job;

import velvetbezel.job.Entry;
import velvetbezel.store.JobCodec;

/** Names of the form fields that stand for one entry of a job each; templates take them from here. */
public record FieldNames(
        String vehicle,
        String vin,
        String customer,
        String phone,
        String due,
        String note,
        String budget,
        String radio,
        String parts,
        String serial,
        String school,
        String handedOver) {
    static final FieldNames OF_A_JOB = new FieldNames(
            JobCodec.key(new Entry.VehicleChosen()),
            JobCodec.key(new Entry.VinRead()),
            JobCodec.key(new Entry.CustomerNamed()),
            JobCodec.key(new Entry.PhoneNoted()),
            JobCodec.key(new Entry.DueBy()),
            JobCodec.key(new Entry.NoteWritten()),
            JobCodec.key(new Entry.BudgetSet()),
            JobCodec.key(new Entry.RadioChosen()),
            JobCodec.key(new Entry.PartsChosen()),
            JobCodec.key(new Entry.SerialNoted()),
            JobCodec.key(new Entry.SchoolChosen()),
            JobCodec.key(new Entry.HandedOver()));
}
