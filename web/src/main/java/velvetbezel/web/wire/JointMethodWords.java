package velvetbezel.web.wire;

import static velvetbezel.store.JobCodec.key;

import java.util.ArrayList;
import java.util.List;
import velvetbezel.job.Entry;
import velvetbezel.store.JobCodec;
import velvetbezel.web.shell.Words;
import velvetbezel.worksheet.JointMethod;
import velvetbezel.worksheet.JointRow;

/**
 * How a joint is made, in words for pages and print.
 *
 * @param how     kind, size and strip length: "crimp cap, small · strip 12 mm"
 * @param sum     what the size was chosen by
 * @param slideOn what goes on before the joint closes it in; empty where nothing does
 * @param trouble why it cannot be made so; empty where it can
 * @param ways    ways out of it
 */
record JointMethodWords(
        String how, String sum, String tube, String slideOn, String doneWhen, String trouble, List<Way> ways) {
    /** @param field what of the job settles it so; empty where the person does it without */
    record Way(String text, String field, String value) {}

    static JointMethodWords of(JointRow row, JointMethod m) {
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
        return new JointMethodWords(
                "%s · %s".formatted(size, strip),
                sum(m.fit()),
                tube,
                m.slideOn(),
                m.kind().doneWhen(),
                trouble(m.fit()),
                ways(row, m.fit()));
    }

    private static String sum(JointMethod.Fit fit) {
        return fit instanceof JointMethod.Fit.Sized s ? s.sum() : fit instanceof JointMethod.Fit.Free f ? f.sum() : "";
    }

    private static String trouble(JointMethod.Fit fit) {
        return fit instanceof JointMethod.Fit.NoSize n
                ? n.why()
                : fit instanceof JointMethod.Fit.Unknown u ? u.what() : "";
    }

    private static List<Way> ways(JointRow row, JointMethod.Fit fit) {
        List<Way> ways = new ArrayList<>();
        if (fit instanceof JointMethod.Fit.NoSize n)
            n.ways()
                    .forEach(w -> ways.add(w.kind()
                            .map(k -> new Way(w.text(), key(new Entry.JointKindChosen(row.id())), k.label()))
                            .or(() -> w.fold()
                                    .map(l -> new Way(w.text(), key(new Entry.LeadFolded(l.id())), JobCodec.TICKED)))
                            .orElse(new Way(w.text(), "", ""))));
        return ways;
    }
}
