package velvetbezel.web.job;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.fit.BenchList;
import velvetbezel.fit.BenchStep;
import velvetbezel.fit.FitQuestion;
import velvetbezel.fit.FitReport;
import velvetbezel.fit.Fitter;
import velvetbezel.fit.Placing;
import velvetbezel.fit.Room;
import velvetbezel.fit.TestFit;
import velvetbezel.harness.Instance;
import velvetbezel.job.Entry;
import velvetbezel.match.PlugsInUse;
import velvetbezel.sheet.Lead;
import velvetbezel.sheet.Location;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.sheet.fit.MountingPlace;
import velvetbezel.sheet.fit.RadioBody;
import velvetbezel.sheet.fit.Site;
import velvetbezel.sheet.fit.Thing;
import velvetbezel.store.StandardPlacing;
import velvetbezel.worksheet.Tables;

/**
 * Whether the chosen radio goes in.
 *
 * @param kit    id of the part that holds it; an empty text where none does
 * @param report empty where opening or radio are not measured, or none is chosen
 */
public record OpenFit(
        Optional<Site> site,
        Optional<RadioBody> body,
        Optional<KitFrame> frame,
        String kit,
        Optional<FitReport> report) {
    private static final double MILLIMETRES_A_METRE = 1000;

    static OpenFit of(OpenJob open) {
        Optional<Site> site = open.vehicle().flatMap(Sheet.Vehicle::site);
        Optional<RadioBody> body =
                open.design().flatMap(d -> d.installation().recipe().radio()).flatMap(Sheet.Radio::shape);
        Optional<Sheet.Part> holder =
                parts(open).filter(p -> p.frame().isPresent()).findFirst();
        Optional<KitFrame> frame = holder.flatMap(Sheet.Part::frame);
        String kit = holder.map(Sheet::id).orElse("");
        Optional<FitReport> report = site.isPresent() && body.isPresent()
                ? Optional.of(Fitter.of(new FitQuestion(
                        site.get(),
                        body.get(),
                        frame,
                        kit,
                        PlugsInUse.in(open.design().orElseThrow().installation(), body.get()),
                        open.text(new Entry.HolesTaken()))))
                : Optional.empty();
        return new OpenFit(site, body, frame, kit, report);
    }

    private static Stream<Sheet.Part> parts(OpenJob open) {
        return open.design().stream().flatMap(d -> d.installation().recipe().parts().values().stream());
    }

    /** What is done at the bench and in the car to put it in; empty without a report. */
    public List<BenchStep> bench() {
        return report.map(r -> BenchList.of(site.orElseThrow(), body.orElseThrow(), frame, r))
                .orElse(List.of());
    }

    /** What stands in the way and was taken out already, by the ticks of the bench list. */
    public static Set<String> out(OpenJob open, List<BenchStep> bench) {
        return bench.stream()
                .filter(s -> s.kind() == BenchStep.Kind.TAKE_OUT)
                .filter(s -> open.has(new Entry.BenchStepDone(s.key())))
                .map(s -> s.of().get(0))
                .collect(Collectors.toSet());
    }

    /** What the first try in the dash shows; empty until all four edges are measured. */
    public List<TestFit.Cause> tried(OpenJob open) {
        return report.flatMap(r -> seen(open).map(s -> s.explain(site.orElseThrow(), r, r.taken(), out(open, bench()))))
                .orElse(List.of());
    }

    private static Optional<TestFit> seen(OpenJob open) {
        List<Double> edges = Stream.of(
                        Entry.FaceEdge.LEFT, Entry.FaceEdge.RIGHT, Entry.FaceEdge.TOP, Entry.FaceEdge.BOTTOM)
                .flatMap(e -> open.state().get(new Entry.FaceStands(e)).stream())
                .toList();
        return edges.size() < 4
                ? Optional.empty()
                : Optional.of(new TestFit(
                        edges.get(0),
                        edges.get(1),
                        edges.get(2),
                        edges.get(3),
                        open.state().get(new Entry.FaceStands(Entry.FaceEdge.WIRED))));
    }

    /** Mm that the face stands behind the panel on all sides alike; empty where it leans, or nobody measured it. */
    public Optional<Double> stands(OpenJob open) {
        return report.flatMap(r -> seen(open)).filter(TestFit::even).map(TestFit::mean);
    }

    /** What of the chosen kit wants a place of its own. */
    private List<Thing> things(OpenJob open) {
        List<Thing> things = new ArrayList<>(body.map(RadioBody::things).orElse(List.of()));
        parts(open)
                .filter(p -> p.kind().wants().isPresent())
                // an adapter of such a kind goes where the radio is; a module always wants room
                .filter(p -> p.thing().isPresent() || module(p).isPresent())
                .map(p -> p.thing()
                        .map(t -> new Thing(t.kind(), p.name(), t.lead(), t.plug()))
                        .orElse(new Thing(
                                p.kind().wants().orElseThrow(), p.name(), Optional.empty(), Optional.empty())))
                .forEach(things::add);
        return things;
    }

    /** What goes to which place, as a person chose. */
    Map<String, MountingPlace> placed(OpenJob open) {
        Map<String, MountingPlace> placed = new TreeMap<>();
        for (Entry.PlaceTaken e : open.state().all(Entry.PlaceTaken.class))
            site.stream()
                    .flatMap(s -> s.places().stream())
                    .filter(p -> p.id().equals(open.text(e)))
                    .forEach(p -> placed.put(e.thing(), p));
        return placed;
    }

    /** A place by its name; its id where the sheet has none such any more. */
    public String place(String id) {
        return site.stream()
                .flatMap(s -> s.places().stream())
                .filter(p -> p.id().equals(id))
                .map(MountingPlace::words)
                .findFirst()
                .orElse(id);
    }

    public List<Placing> places(OpenJob open) {
        return site.map(s -> Placing.of(s, things(open), StandardPlacing.all())).orElse(List.of());
    }

    /** Room for the bundle and the modules; empty where nobody measured the cavity, or no size of a module is known. */
    public Optional<Room> room(OpenJob open) {
        Set<String> gone = new HashSet<>();
        report.ifPresent(r ->
                r.collisions().stream().filter(c -> c.certain() && !c.refused()).forEach(c -> gone.add(c.with())));
        return report.flatMap(r -> Room.of(site.orElseThrow(), r, gone, runs(open), modules(open)));
    }

    /** Modules whose sheets do not state all three measures. */
    public List<String> unmeasured(OpenJob open) {
        return parts(open)
                .filter(p ->
                        p.kind().wants().filter(k -> k == Thing.Kind.MODULE).isPresent())
                .filter(p -> module(p).isEmpty())
                .map(Sheet::name)
                .toList();
    }

    private static List<Room.Module> modules(OpenJob open) {
        return parts(open)
                .filter(p ->
                        p.kind().wants().filter(k -> k == Thing.Kind.MODULE).isPresent())
                .flatMap(p -> module(p).stream())
                .toList();
    }

    private static Optional<Room.Module> module(Sheet.Part p) {
        return p.takes().width().known().flatMap(w -> p.takes().height().known().flatMap(h -> p.takes()
                .depth()
                .known()
                .map(d -> new Room.Module(p.name(), w.value(), h.value(), d.value()))));
    }

    /** The bare leads of radio and parts behind the dash, as thick as the workshop's tables say. */
    private static List<Room.Run> runs(OpenJob open) {
        Tables tables = open.tables();
        return open.design().stream()
                .flatMap(d -> d.installation().instances().stream())
                .filter(i -> i.owner() != Instance.Owner.CAR)
                .flatMap(i -> i.device().leads().stream())
                .filter(l -> l.end().filter(e -> !e.equals(Location.DASH)).isEmpty())
                .flatMap(l -> run(l, tables).stream())
                .toList();
    }

    private static Optional<Room.Run> run(Lead lead, Tables tables) {
        return lead.gauge()
                .known()
                .filter(g -> lead.metres() > 0)
                .map(g -> new Room.Run(tables.insulation(g).value(), lead.metres() * MILLIMETRES_A_METRE));
    }
}
