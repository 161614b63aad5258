package velvetbezel.web.job;

import static velvetbezel.store.JobCodec.key;

import velvetbezel.job.Entry;
import velvetbezel.web.shell.Words;

/** A voltage to measure at a joint, and what was measured. */
public record MeasureLine(
        String field, String id, String where, String expected, String value, Question.Mark mark, String word) {
    public static MeasureLine of(OpenJob open, OpenJob.Measured m) {
        Entry.ReadingTaken entry =
                new Entry.ReadingTaken(m.reading().at(), m.reading().state());
        return new MeasureLine(
                key(entry),
                Ids.of(entry),
                "%s, %s".formatted(m.reading().place(), m.reading().state()),
                Words.expected(m.reading()),
                open.text(entry),
                m.volts().isEmpty() ? Question.Mark.OPEN : m.agrees() ? Question.Mark.SETTLED : Question.Mark.WRONG,
                m.volts().isEmpty() ? "to measure" : m.agrees() ? "agrees" : "does not agree");
    }
}
