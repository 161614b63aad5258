package velvetbezel.web.wire;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import velvetbezel.drawing.HarnessDrawing;
import velvetbezel.job.Design;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.web.job.CapLine;
import velvetbezel.web.job.Cautions;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Words;
import velvetbezel.worksheet.BeforeJoining;
import velvetbezel.worksheet.JointRow;
import velvetbezel.worksheet.LeadEnd;
import velvetbezel.worksheet.Load;
import velvetbezel.worksheet.Sizing;

/** The worksheet for paper: rows with boxes to tick, drawing, cautions; and a label for each lead. */
public record PaperView(
        String size,
        int number,
        String title,
        String vehicle,
        String printed,
        HarnessDrawing drawing,
        List<WireView.Row> rows,
        List<BeforeJoining> before,
        List<CapLine> caps,
        List<String> cautions,
        List<String> loads,
        List<List<Label>> labels) {
    private static final int LABELS_ABREAST = 3;

    /** Sheets of paper, as CSS names them. */
    enum Size {
        A4("A4"),
        LETTER("letter");

        private final String css;

        Size(String css) {
            this.css = css;
        }

        static Size read(String text) {
            return Arrays.stream(values())
                    .filter(s -> s.css.equalsIgnoreCase(text))
                    .findFirst()
                    .orElseThrow(() -> new InvalidInput(
                            "paper", "\"%s\" is no paper this prints on; choose a4 or letter.".formatted(text)));
        }
    }

    /** What is wrapped round a lead: the joint's number, what it is, whose it is, and the colours that meet. */
    public record Label(int joint, String role, String lead, String device, String other) {}

    static PaperView of(OpenJob open, Size size, Instant now) {
        Design design = open.design().orElseThrow();
        Sizing sizing = open.sizing();
        List<OpenJob.Measured> measured = open.measured();
        List<WireView.Row> rows = design.worksheet().joints().stream()
                .map(j -> WireView.row(open, j, sizing, "", measured))
                .toList();
        List<Label> labels = new ArrayList<>();
        design.worksheet().joints().forEach(j -> j.leads()
                .forEach(l -> labels.add(
                        new Label(j.number(), j.id().name(), l.colourWords(), l.deviceWords(), others(j, l)))));
        return new PaperView(
                size.css,
                open.job().number(),
                open.job().title(),
                design.installation().recipe().vehicle().name(),
                Words.moment(now),
                HarnessDrawing.of(design.worksheet(), open.jointsDone()),
                rows,
                BeforeJoining.of(design.installation(), design.worksheet(), sizing),
                design.worksheet().caps().stream().map(c -> CapLine.of(open, c)).toList(),
                Cautions.at(open.vehicle().orElseThrow(), Station.WIRE).stream()
                        .map(c -> c.text() + " " + c.why())
                        .toList(),
                design.loads().stream()
                        .filter(l -> l.verdict() != Load.Verdict.BEARS)
                        .map(l -> "%s: %s. %s".formatted(Words.sentence(l.what()), l.figures(), l.text()))
                        .toList(),
                abreast(labels));
    }

    private static List<List<Label>> abreast(List<Label> labels) {
        List<List<Label>> rows = new ArrayList<>();
        for (int i = 0; i < labels.size(); i += LABELS_ABREAST)
            rows.add(labels.subList(i, Math.min(labels.size(), i + LABELS_ABREAST)));
        return rows;
    }

    private static String others(JointRow joint, LeadEnd lead) {
        return joint.leads().stream()
                .filter(l -> l != lead)
                .map(LeadEnd::colourWords)
                .collect(Collectors.joining(", "));
    }
}
