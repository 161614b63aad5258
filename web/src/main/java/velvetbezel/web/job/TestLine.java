package velvetbezel.web.job;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import velvetbezel.job.Entry;
import velvetbezel.prove.Check;
import velvetbezel.prove.Verdict;

/** A check in the list. @param mark of its verdict */
public record TestLine(
        String name,
        String href,
        String expected,
        String before,
        String outcome,
        Question.Mark mark,
        String verdict,
        String note,
        boolean current) {
    public static TestLine of(OpenJob open, OpenJob.Tried t, boolean current) {
        return new TestLine(
                t.check().function().name(),
                href(open, t.check()),
                t.check().expected(),
                before(open, t, ""),
                t.check().outcome().word(),
                mark(t.verdict()),
                t.verdict().text(),
                open.state()
                        .get(new Entry.ResultNoted(t.check().function().id()))
                        .orElse(""),
                current);
    }

    /** Where the check is in hand. */
    public static String href(OpenJob open, Check check) {
        return open.path(Station.PROVE) + "?check="
                + URLEncoder.encode(check.function().id().text(), StandardCharsets.UTF_8)
                        .replace("+", "%20");
    }

    public static String before(OpenJob open, OpenJob.Tried t, String when) {
        if (!open.had().contains(t.check().function().id())) return "New with this radio";
        return switch (t.before()) {
            case WORKED -> "Worked" + when;
            case FAULTY -> "Faulty" + when;
            case NOT_TESTED -> "Not tested" + when;
        };
    }

    private static Question.Mark mark(Verdict verdict) {
        return switch (verdict.kind()) {
            case SETTLED -> Question.Mark.SETTLED;
            case OPEN -> Question.Mark.OPEN;
            case WRONG -> Question.Mark.WRONG;
        };
    }
}
