package velvetbezel.web.openup;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import velvetbezel.sheet.strip.GroupOf;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.strip.TrayAdvice;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Say;

/**
 * The trays: what came out, what went in, and where one belongs that is left in the hand.
 *
 * @param over   what is left over of parts that are closed
 * @param tool   drive of a fastener in the hand, as asked; an empty text where nobody asks
 * @param belongs where it belongs
 */
public record TraysView(
        Frame frame,
        String heading,
        List<Line> lines,
        List<String> over,
        List<String> tools,
        String tool,
        List<String> belongs) {
    public record Line(String item, String group, String tool, int out, int in, int left, String note) {}

    static TraysView of(OpenJob open, String tool, Frame.Trouble trouble) {
        Frame frame = Frame.of(open, Station.OPEN_UP, trouble);
        Optional<StripDown> strip = open.dash().sheet();
        if (strip.isEmpty())
            return new TraysView(frame, Say.it("heading.none"), List.of(), List.of(), List.of(), "", List.of());
        TrayAdvice advice =
                new TrayAdvice(strip.get(), open.dash().car(), open.dash().steps());
        int left = open.dash().car().trays().left();
        return new TraysView(
                frame,
                left == 0 ? Say.it("tray.none") : Say.it("tray.left", left),
                advice.lines().stream().map(l -> line(l, advice)).toList(),
                over(advice),
                tools(strip.get()),
                tool,
                tool.isEmpty() ? List.of() : belongs(advice, tool));
    }

    private static Line line(TrayAdvice.Line l, TrayAdvice advice) {
        List<String> notes = new ArrayList<>();
        if (l.tray().spare() > 0) notes.add(l.tray().spare() + " stay out");
        if (l.tray().dropped() > 0) notes.add(l.tray().dropped() + " dropped, not found");
        if (l.closed() && l.tray().left() > 0) notes.add("closed without them");
        if (l.closed() && l.tray().out() == 0) notes.add("not counted out");
        if (!l.closed() && l.tray().left() < l.tray().out() - l.tray().in())
            advice.missing(l.group()).ifPresent(g -> notes.add(gone(g)));
        return new Line(
                l.group().item().name(),
                l.group().name(),
                l.tool(),
                l.tray().out(),
                l.tray().in(),
                l.tray().left(),
                String.join("; ", notes));
    }

    private static String gone(TrayAdvice.Gone g) {
        return Say.it(
                "tray.gone." + g.why().name().toLowerCase(Locale.ROOT),
                g.group().item() + ", " + g.group().name(),
                g.step() + 1);
    }

    private static List<String> over(TrayAdvice advice) {
        List<GroupOf> left = advice.leftOver();
        return advice.lines().stream()
                .filter(l -> left.contains(l.group()))
                .map(l -> Say.it(
                        "tray.over",
                        l.tray().left(),
                        l.group().item() + ", " + l.group().name(),
                        l.tool()))
                .toList();
    }

    private static List<String> tools(StripDown strip) {
        return strip.items().stream()
                .flatMap(i -> i.fasteners().stream())
                .flatMap(g -> g.drives().stream())
                .map(d -> d.words())
                .distinct()
                .sorted()
                .toList();
    }

    private static List<String> belongs(TrayAdvice advice, String tool) {
        List<String> belongs = advice.inHand(tool).stream()
                .map(g -> g.item() + ", " + g.name())
                .toList();
        return belongs.isEmpty()
                ? List.of("None of this dash lacks one of %s: it is from the kit, or of another job.".formatted(tool))
                : belongs;
    }
}
