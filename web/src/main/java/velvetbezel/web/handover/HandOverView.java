package velvetbezel.web.handover;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.drawing.LoomDrawing;
import velvetbezel.fit.BenchStep;
import velvetbezel.job.Design;
import velvetbezel.job.Entry;
import velvetbezel.match.Cost;
import velvetbezel.match.Market;
import velvetbezel.sheet.Sheet;
import velvetbezel.web.job.CapLine;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.Goods;
import velvetbezel.web.job.JobLabour;
import velvetbezel.web.job.MeasureLine;
import velvetbezel.web.job.OpenFit;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Phrases;
import velvetbezel.web.job.Prices;
import velvetbezel.web.job.Progress;
import velvetbezel.web.job.Rates;
import velvetbezel.web.job.SetUpView;
import velvetbezel.web.job.Station;
import velvetbezel.web.job.TestLine;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/** Hand over: the record of the job, which prints, and its archive. */
public record HandOverView(
        Frame frame,
        String heading,
        String verdict,
        boolean kit,
        List<Fact> facts,
        List<Goods.Item> items,
        String total,
        String labour,
        String labourPrice,
        String currency,
        List<TestLine> tests,
        List<MeasureLine> readings,
        List<String> settled,
        List<CapLine> spares,
        List<SetUpView.Line> settings,
        List<String> inUse,
        List<String> cautions,
        boolean ready,
        boolean handedOver,
        String printed) {
    public record Fact(String name, String value) {}

    static HandOverView of(OpenJob open, Prices prices, Rates rates, Instant now, Frame.Trouble trouble) {
        Optional<Goods> bought = open.design().map(d -> bought(open, d, prices));
        Cost cost = bought.map(b -> JobLabour.chosen(open).in(b.cost())).orElse(Cost.NOTHING);
        long labour = rates.labour(cost.minutes());
        boolean handed = open.has(new Entry.HandedOver());
        return new HandOverView(
                Frame.of(open, Station.HAND_OVER, trouble),
                heading(open, handed),
                verdict(open),
                open.design().isPresent(),
                facts(open),
                bought.map(Goods::items).orElse(List.of()),
                bought.map(b -> Words.price(b.cents() + labour, cost.missing())).orElse(""),
                bought.map(b -> Words.time(cost)).orElse(""),
                bought.map(b -> Words.money(labour)).orElse(""),
                rates.currency(),
                open.tried().stream().map(t -> TestLine.of(open, t, false)).toList(),
                open.measured().stream().map(m -> MeasureLine.of(open, m)).toList(),
                settled(open),
                open.design()
                        .map(d -> d.worksheet().caps().stream()
                                .map(c -> CapLine.of(open, c))
                                .toList())
                        .orElse(List.of()),
                SetUpView.of(open),
                SetUpView.inUse(open),
                open.vehicle()
                        .map(v -> v.cautions().stream()
                                .map(c -> c.text() + " " + c.why())
                                .toList())
                        .orElse(List.of()),
                unfinished(open).isEmpty(),
                handed,
                Words.moment(now));
    }

    private static String heading(OpenJob open, boolean handed) {
        if (handed) return "Handed over";
        int left = unfinished(open).size();
        return left == 0
                ? "Everything is settled: ready to hand over"
                : "%s before hand-over".formatted(Words.sentence(Words.count(left, "thing")));
    }

    private static String verdict(OpenJob open) {
        List<String> left = unfinished(open);
        return left.isEmpty()
                ? "The record below says what was kept, what changed, and what each test showed."
                : "Still open: " + String.join("; ", left) + ".";
    }

    private static List<String> unfinished(OpenJob open) {
        List<String> left = new ArrayList<>();
        List<Station> asked =
                new ArrayList<>(List.of(Station.ARRIVE, Station.MATCH, Station.WIRE, Station.CONTROLS, Station.PROVE));
        if (open.fit().report().isPresent()) asked.add(Station.FIT);
        if (!open.dash().done().isEmpty()) asked.add(Station.OPEN_UP);
        for (Station s : asked) {
            Progress p = Progress.of(s, open);
            if (p.state() != LoomDrawing.State.SETTLED)
                left.add(s.label() + (p.note().isEmpty() ? "" : ", " + p.note()));
        }
        return left;
    }

    private static List<Fact> facts(OpenJob open) {
        List<Fact> facts = new ArrayList<>(List.of(
                new Fact("Customer", or(open.text(new Entry.CustomerNamed()))),
                new Fact("VIN", or(open.text(new Entry.VinRead()))),
                new Fact("Vehicle", open.vehicle().map(Sheet::name).orElse("not chosen")),
                new Fact(
                        "Audio system",
                        open.vehicle()
                                .map(v -> v.amplified() ? "amplified" : "plain")
                                .orElse("not known"))));
        open.design().ifPresent(d -> {
            facts.add(new Fact(
                    "Radio", d.installation().recipe().radio().orElseThrow().name()));
            long back = d.worksheet().joints().stream()
                    .filter(j -> open.readBack(j, Entry.Agreement.AGREES))
                    .count();
            facts.add(new Fact(
                    "Joints",
                    "%d of %d joined, %d read back"
                            .formatted(open.jointsDone().size(), open.joints().size(), back)));
        });
        OpenFit fit = open.fit();
        String places = open.state().all(Entry.PlaceTaken.class).stream()
                .map(e -> Say.it("placed", e.thing(), fit.place(open.text(e))))
                .sorted()
                .collect(Collectors.joining("; "));
        if (!places.isEmpty()) facts.add(new Fact("Places", places));
        String done = fit.bench().stream()
                .filter(b -> b.kind() == BenchStep.Kind.TAKE_OUT || b.kind() == BenchStep.Kind.CUT)
                .filter(b -> open.has(new Entry.BenchStepDone(b.key())))
                .map(BenchStep::key)
                .collect(Collectors.joining("; "));
        if (!done.isEmpty()) facts.add(new Fact("Done to the dash", Words.sentence(done)));
        if (!open.text(new Entry.NoteWritten()).isEmpty())
            facts.add(new Fact("Note", open.text(new Entry.NoteWritten())));
        return facts;
    }

    private static String or(String text) {
        return text.isEmpty() ? "not recorded" : text;
    }

    /** At what it costs on the shelves today; labour with the ways to plugs elsewhere in the car. */
    private static Goods bought(OpenJob open, Design design, Prices prices) {
        Sheet.Radio radio = design.installation().recipe().radio().orElseThrow();
        List<Sheet.Part> parts =
                List.copyOf(design.installation().recipe().parts().values());
        Market market = prices.of(open, Stream.concat(Stream.of(radio), parts.stream()));
        return Goods.of(open, radio, parts, market, Goods.materials(open, design));
    }

    private static List<String> settled(OpenJob open) {
        Phrases phrases = new Phrases(open);
        List<String> settled = open.state().all(Entry.FactSettled.class).stream()
                .map(f -> Words.sentence(phrases.entry(f).replaceFirst("^Settled on this car, ", "")) + ": "
                        + open.state().get(f).orElseThrow())
                .collect(Collectors.toCollection(ArrayList::new));
        open.fit().stands(open).ifPresent(mm -> settled.add(Say.it("stands", Math.round(mm))));
        return settled;
    }
}
