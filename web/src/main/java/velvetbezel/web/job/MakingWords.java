package velvetbezel.web.job;

import static velvetbezel.store.JobCodec.key;

import java.util.ArrayList;
import java.util.List;
import velvetbezel.job.Entry;
import velvetbezel.store.JobCodec;
import velvetbezel.worksheet.JointRow;
import velvetbezel.worksheet.Making;

/**
 * How a joint is made, in words for pages and print.
 *
 * @param how     kind, size and strip length: "crimp cap, small · strip 12 mm"
 * @param sum     what the size was chosen by
 * @param slideOn what goes on before the joint closes it in; empty where nothing does
 * @param trouble why it cannot be made so; empty where it can
 * @param ways    ways out of it
 */
record MakingWords(
        String how, String sum, String tube, String slideOn, String doneWhen, String trouble, List<Way> ways) {
    /** @param field what of the job settles it so; empty where the person does it without */
    record Way(String text, String field, String value) {}

    static MakingWords of(JointRow row, Making m) {
        String strip = m.strip().value() == 0
                ? "not stripped"
                : "strip %s".formatted(Words.millimetres(m.strip().value()));
        String size = m.size().isEmpty()
                ? m.kind().label()
                : "%s, %s".formatted(m.kind().label(), m.size());
        String tube = m.tube()
                .map(t -> "tube %s supplied, %s recovered (%s), %s long"
                        .formatted(
                                Words.millimetres(t.tube().supplied().value()),
                                Words.millimetres(t.tube().recovered().value()),
                                t.tube().ratio(),
                                Words.millimetres(t.length().value())))
                .orElse("");
        return new MakingWords(
                "%s · %s".formatted(size, strip),
                sum(m.fit()),
                tube,
                m.slideOn(),
                m.kind().doneWhen(),
                trouble(m.fit()),
                ways(row, m.fit()));
    }

    private static String sum(Making.Fit fit) {
        return fit instanceof Making.Fit.Sized s ? s.sum() : fit instanceof Making.Fit.Free f ? f.sum() : "";
    }

    private static String trouble(Making.Fit fit) {
        return fit instanceof Making.Fit.NoSize n ? n.why() : fit instanceof Making.Fit.Unknown u ? u.what() : "";
    }

    private static List<Way> ways(JointRow row, Making.Fit fit) {
        List<Way> ways = new ArrayList<>();
        if (fit instanceof Making.Fit.NoSize n)
            n.ways()
                    .forEach(w -> ways.add(w.kind()
                            .map(k -> new Way(w.text(), key(new Entry.JointKindChosen(row.id())), k.label()))
                            .or(() -> w.fold()
                                    .map(l -> new Way(w.text(), key(new Entry.LeadFolded(l.id())), JobCodec.TICKED)))
                            .orElse(new Way(w.text(), "", ""))));
        return ways;
    }
}
