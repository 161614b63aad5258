package velvetbezel.web.wire;

import static velvetbezel.store.JobCodec.key;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.job.Entry;
import velvetbezel.units.WireColour;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Question;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Addresses;
import velvetbezel.web.shell.Words;
import velvetbezel.worksheet.JointRow;
import velvetbezel.worksheet.LeadEnd;

/**
 * One joint at a time, large, for hands that hold wires; or the reading back, last joint first. Its place is the first
 * joint that is not done, so that it survives a reload, a crash or a night.
 *
 * @param row    empty when all is done, or there is no kit
 * @param hands  the two colours in hand as they were named
 * @param answer whether they belong together; empty where none were named
 */
public record BenchView(
        Frame frame,
        String heading,
        boolean readingBack,
        Optional<WireView.Row> row,
        int place,
        int all,
        String before,
        String after,
        String noteField,
        String note,
        List<String> colours,
        List<String> hands,
        Optional<Answer> answer,
        String here,
        Map<String, String> shown) {
    public record Answer(Question.Mark mark, String text) {}

    /** @param joint the one asked for, or empty for the next that is open; @param a the colours in hand */
    record Asked(String joint, boolean readingBack, String a, String b) {}

    /** All joints at once, sent ahead for work without a connection. */
    public record Ahead(Frame frame, boolean readingBack, List<BenchView> cards) {
        static Ahead of(OpenJob open, boolean readingBack) {
            Frame frame = Frame.of(open, Station.WIRE, Frame.Trouble.NONE);
            return new Ahead(
                    frame,
                    readingBack,
                    order(open, readingBack).stream()
                            .map(j -> BenchView.of(open, new Asked(j.id().name(), readingBack, "", ""), frame))
                            .toList());
        }
    }

    /** The field that the answer to this joint goes into. */
    public String card() {
        return row.map(r -> readingBack ? r.backField() : r.field()).orElse("");
    }

    public boolean answered() {
        return row.filter(r -> readingBack ? !r.back().isEmpty() : r.state().equals("done"))
                .isPresent();
    }

    /** Where all joints are, in this order. */
    public String ahead() {
        return frame.base() + "/bench/ahead" + (readingBack ? "?read=back" : "");
    }

    static BenchView of(OpenJob open, Asked asked, Frame.Trouble trouble) {
        return of(open, asked, Frame.of(open, Station.WIRE, trouble));
    }

    /** Read back from the last one: what was heard first is not repeated by heart. */
    private static List<JointRow> order(OpenJob open, boolean readingBack) {
        List<JointRow> order = new ArrayList<>(open.joints());
        if (readingBack) Collections.reverse(order);
        return order;
    }

    private static BenchView of(OpenJob open, Asked asked, Frame frame) {
        List<JointRow> order = order(open, asked.readingBack);
        String base = "/jobs/%d/bench".formatted(open.job().number());
        Optional<JointRow> found = asked.joint.isEmpty()
                ? order.stream().filter(j -> !done(open, j, asked.readingBack)).findFirst()
                : JointView.find(open, asked.joint);
        int place = found.map(order::indexOf).orElse(-1);
        List<String> colours = open.joints().stream()
                .flatMap(j -> j.leads().stream())
                .map(LeadEnd::colourWords)
                .distinct()
                .sorted()
                .toList();
        Optional<Answer> answer = asked.a.isBlank() || asked.b.isBlank()
                ? Optional.empty()
                : Optional.of(answer(open, asked.a, asked.b, found));
        return new BenchView(
                frame,
                heading(open, found, asked.readingBack),
                asked.readingBack,
                found.map(j -> WireView.row(open, j, open.sizing(), "", open.measured())),
                place + 1,
                order.size(),
                link(base, order, place - 1, asked.readingBack),
                link(base, order, place + 1, asked.readingBack),
                found.map(j -> key(new Entry.JointNoted(j.id()))).orElse(""),
                found.map(j -> open.text(new Entry.JointNoted(j.id()))).orElse(""),
                colours,
                List.of(asked.a, asked.b),
                answer,
                base + (asked.readingBack ? "?read=back" : ""),
                open.shown(found.stream().flatMap(WireView::entries)));
    }

    private static boolean done(OpenJob open, JointRow j, boolean readingBack) {
        return readingBack ? open.has(new Entry.ReadBack(j.id())) : open.has(new Entry.JointMade(j.id()));
    }

    private static String link(String base, List<JointRow> order, int place, boolean readingBack) {
        return place < 0 || place >= order.size()
                ? ""
                : "%s?joint=%s%s"
                        .formatted(
                                base,
                                Addresses.encoded(order.get(place).role().label()),
                                readingBack ? "&read=back" : "");
    }

    private static String heading(OpenJob open, Optional<JointRow> row, boolean readingBack) {
        if (open.design().isEmpty()) return "No kit is chosen yet";
        return row.map(r -> r.role().label()).orElse(readingBack ? "All are read back" : "All are joined");
    }

    /** The two colours against every joint: going by colour alone is where joints go wrong. */
    private static Answer answer(OpenJob open, String a, String b, Optional<JointRow> here) {
        Optional<WireColour> first = WireColour.read(a);
        Optional<WireColour> second = WireColour.read(b);
        if (first.isEmpty() || second.isEmpty())
            return new Answer(
                    Question.Mark.WRONG,
                    "\"%s\" is no colour; type %s.".formatted(first.isEmpty() ? a : b, WireColour.expected()));
        Optional<JointRow> other = open.joints().stream()
                .filter(j -> here.filter(j::equals).isEmpty() && joins(j, first.get(), second.get()))
                .findFirst();
        if (here.filter(j -> joins(j, first.get(), second.get())).isPresent()) {
            String like = other.map(j -> " The same colours meet in joint %d, %s, too: go by position."
                            .formatted(j.number(), j.id().name()))
                    .orElse("");
            return new Answer(Question.Mark.SETTLED, "They belong together: this joint." + like);
        }
        if (other.isPresent())
            return new Answer(
                    Question.Mark.WRONG,
                    "Not in this joint. %s and %s meet in joint %d, %s."
                            .formatted(
                                    Words.sentence(first.get().words()),
                                    second.get().words(),
                                    other.get().number(),
                                    other.get().role().label()));
        return new Answer(
                Question.Mark.WRONG,
                "They do not belong together. "
                        + Stream.of(first.get(), second.get())
                                .distinct()
                                .map(c -> where(open, c))
                                .collect(Collectors.joining(" ")));
    }

    private static boolean joins(JointRow row, WireColour a, WireColour b) {
        List<LeadEnd> first = row.leads().stream()
                .filter(l -> l.colour().known().filter(a::equals).isPresent())
                .toList();
        return first.stream().anyMatch(l -> row.leads().stream()
                .anyMatch(o -> o != l && o.colour().known().filter(b::equals).isPresent()));
    }

    private static String where(OpenJob open, WireColour colour) {
        List<String> joints = open.joints().stream()
                .filter(j -> j.leads().stream()
                        .anyMatch(l -> l.colour().known().filter(colour::equals).isPresent()))
                .map(j -> "%d, %s".formatted(j.number(), j.id().name()))
                .toList();
        return joints.isEmpty()
                ? "%s is in no joint: it is capped, or of another harness.".formatted(Words.sentence(colour.words()))
                : "%s goes into joint %s.".formatted(Words.sentence(colour.words()), String.join(" or ", joints));
    }
}
