package velvetbezel.web.match;

import static velvetbezel.store.JobCodec.key;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import velvetbezel.job.Entry;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Words;
import velvetbezel.worksheet.GoodsIn;

/** Each radio and part checked against the car when it arrives, while it can still go back. */
public record GoodsInView(Frame frame, String heading, String verdict, List<Piece> pieces, String serial, String back) {
    /** @param instead where to put another part in its place; empty for the radio */
    public record Piece(String name, List<Look> looks, boolean differs, String instead) {}

    /** @param said "agrees", "differs" or nothing */
    public record Look(String what, String field, String said, boolean differs) {}

    private static Entry.PartCheckedIn entry(GoodsIn.Check c) {
        return new Entry.PartCheckedIn(c.sheet(), c.id());
    }

    static GoodsInView of(OpenJob open) {
        Frame frame = Frame.of(open, Station.MATCH, Frame.Trouble.NONE);
        String back = open.path(Station.MATCH);
        if (open.design().isEmpty())
            return new GoodsInView(
                    frame,
                    "Goods-in needs a kit first",
                    "Choose one at Match; what to look at is worked out for it.",
                    List.of(),
                    "",
                    back);
        List<GoodsIn.Check> checks = GoodsIn.of(open.design().get().installation());
        Map<String, List<Look>> bySheet = new LinkedHashMap<>();
        for (GoodsIn.Check c : checks)
            bySheet.computeIfAbsent(c.sheet(), k -> new ArrayList<>())
                    .add(new Look(c.what(), key(entry(c)), open.text(entry(c)), open.cameOtherwise(c)));
        long looked = checks.stream().filter(c -> open.has(entry(c))).count();
        long differ = checks.stream().filter(c -> open.cameOtherwise(c)).count();
        String radio = open.text(new Entry.RadioChosen());
        List<Piece> pieces = bySheet.entrySet().stream()
                .map(e -> new Piece(
                        open.sheetName(e.getKey()),
                        e.getValue(),
                        e.getValue().stream().anyMatch(Look::differs),
                        e.getKey().equals(radio)
                                ? ""
                                : back + "/instead?kit=" + MatchView.CHOSEN + "&part=" + e.getKey()))
                .toList();
        return new GoodsInView(
                frame,
                looked == checks.size() && differ == 0
                        ? "Everything is what it should be"
                        : "%d of %d looked at when it came".formatted(looked, checks.size()),
                differ == 0
                        ? "Lay the parts out by box and try each plug on its partner: now it can still go back."
                        : "%s otherwise than ordered: send it back, or take what came into the plan."
                                .formatted(differ == 1 ? "One is" : Words.sentence(Words.count((int) differ)) + " are"),
                pieces,
                open.text(new Entry.SerialNoted()),
                back);
    }
}
