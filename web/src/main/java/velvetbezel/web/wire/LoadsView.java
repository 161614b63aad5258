package velvetbezel.web.wire;

import java.util.Arrays;
import java.util.List;
import velvetbezel.job.Design;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Question;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Words;
import velvetbezel.worksheet.Load;
import velvetbezel.worksheet.Materials;

/** What the leads, fuses and outputs bear, and what the harness uses up. */
public record LoadsView(
        Frame frame,
        String heading,
        String verdict,
        boolean kit,
        List<Group> groups,
        List<Line> materials,
        String total,
        String tables) {
    public record Group(String name, List<Row> rows) {}

    /** @param word "bears", "close", "too much" or "not known" */
    public record Row(String what, String figures, Question.Mark mark, String word, String text) {}

    public record Line(String name, String amount, String packs, String price) {}

    static LoadsView of(OpenJob open, Frame.Trouble trouble) {
        Frame frame = Frame.of(open, Station.WIRE, trouble);
        if (open.design().isEmpty())
            return new LoadsView(
                    frame,
                    "No kit is chosen yet",
                    "Loads are computed from the kit: choose one at Match.",
                    false,
                    List.of(),
                    List.of(),
                    "",
                    "");
        List<Load> loads = open.design().get().loads();
        List<Group> groups = Arrays.stream(Load.Kind.values())
                .map(k -> new Group(
                        k.heading(),
                        loads.stream()
                                .filter(l -> l.kind() == k)
                                .map(LoadsView::row)
                                .toList()))
                .filter(g -> !g.rows.isEmpty())
                .toList();
        Materials materials = open.materials();
        return new LoadsView(
                frame,
                heading(open.design().get()),
                verdict(open.design().get()),
                true,
                groups,
                materials.lines().stream().map(LoadsView::line).toList(),
                Words.money(materials.cents()),
                open.tables().name());
    }

    private static String heading(Design design) {
        int unfused = (int) design.overloads().stream()
                .filter(l -> l.verdict() == Load.Verdict.NO_FUSE)
                .count();
        int over = design.overloads().size() - unfused;
        if (over > 0)
            return "%s too much for what bears it"
                    .formatted(Words.sentence(Words.count(over, "load") + (over == 1 ? " is" : " are")));
        if (unfused > 0) return "Everything is borne; no fuse fits %s".formatted(Words.count(unfused, "feed"));
        long unknown = design.loads().stream()
                .filter(l -> l.verdict() == Load.Verdict.UNKNOWN)
                .count();
        return unknown > 0
                ? "Everything known is borne; %s not known"
                        .formatted(Words.count((int) unknown, "load") + (unknown == 1 ? " is" : " are"))
                : "Everything is borne";
    }

    private static String verdict(Design design) {
        List<String> over = design.overloads().stream()
                .map(l -> "%s: %s".formatted(l.what(), l.figures()))
                .distinct()
                .toList();
        return over.isEmpty()
                ? "The worst of everything on with the engine stopped and running, and of reverse, with each new device at the most that its sheet states."
                : Words.sentence(String.join("; ", over)) + ".";
    }

    private static Row row(Load l) {
        return new Row(l.what(), l.figures(), mark(l.verdict()), word(l.verdict()), l.text());
    }

    private static Question.Mark mark(Load.Verdict verdict) {
        return switch (verdict) {
            case BEARS -> Question.Mark.SETTLED;
            case CLOSE, UNKNOWN -> Question.Mark.OPEN;
            case OVER, NO_FUSE -> Question.Mark.WRONG;
        };
    }

    private static String word(Load.Verdict verdict) {
        return switch (verdict) {
            case BEARS -> "bears it";
            case CLOSE -> "look at it";
            case OVER -> "too much";
            case NO_FUSE -> "no fuse fits";
            case UNKNOWN -> "not known";
        };
    }

    private static Line line(Materials.Line l) {
        return new Line(
                Words.sentence(l.name()),
                l.amountWords(),
                l.packs() == 0 ? "" : l.packs() == 1 ? "of one pack" : "of %d packs".formatted(l.packs()),
                l.cents().map(Words::money).orElse("no price"));
    }
}
