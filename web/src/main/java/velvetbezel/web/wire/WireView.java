package velvetbezel.web.wire;

import static velvetbezel.store.JobCodec.key;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.drawing.HarnessDrawing;
import velvetbezel.harness.Instance;
import velvetbezel.job.Design;
import velvetbezel.job.Entry;
import velvetbezel.run.ExpectedReading;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Location;
import velvetbezel.sheet.Provenance;
import velvetbezel.store.JobCodec;
import velvetbezel.units.Gauge;
import velvetbezel.units.WireColour;
import velvetbezel.web.job.CapLine;
import velvetbezel.web.job.ColouredLead;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.Ids;
import velvetbezel.web.job.MeasureLine;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.PlugWords;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Words;
import velvetbezel.worksheet.BeforeJoining;
import velvetbezel.worksheet.Deviation;
import velvetbezel.worksheet.JointKind;
import velvetbezel.worksheet.JointRow;
import velvetbezel.worksheet.LeadEnd;
import velvetbezel.worksheet.PlugUps;
import velvetbezel.worksheet.Sizing;

/** Wire: joints in working order, exceptions to colour-for-colour first, caps, ticked off and read back. */
public record WireView(
        Frame frame,
        String heading,
        String verdict,
        boolean kit,
        boolean readingBack,
        List<Row> exceptions,
        Optional<HarnessDrawing> drawing,
        List<Group> groups,
        List<CapLine> caps,
        List<Mating> plugged,
        List<String> alone,
        List<String> empty,
        int joints,
        int joined,
        int agreed,
        List<Undo> undo,
        List<BeforeJoining> before,
        List<String> schools,
        String school,
        int over,
        List<Instead> instead,
        List<String> openSockets,
        List<String> links,
        List<String> harm,
        Map<String, String> shown) {
    /** Kinds that a whole job can be made in. */
    private static final List<String> SCHOOLS = Arrays.stream(JointKind.values())
            .filter(k -> k != JointKind.TAP)
            .map(JointKind::label)
            .toList();

    /** @param state "done", "next" or "open" */
    public record Row(
            int number,
            String field,
            String id,
            String role,
            ColouredLead from,
            String position,
            String carColour,
            List<ColouredLead> to,
            String gauges,
            boolean exception,
            List<String> reasons,
            List<MeasureLine> readings,
            String state,
            String backField,
            String back,
            JointMethodWords making,
            String href,
            String note,
            String meter,
            String place) {}

    /** Something that no lead gives, and what serves instead. */
    public record Instead(
            String field, String id, String wanted, String source, List<String> sources, boolean chosen, String text) {}

    /** A joint of an earlier kit that is to be taken apart. */
    public record Undo(String field, String text) {}

    public record Group(String heading, List<Row> rows) {}

    /**
     * Two plugs that are pushed together, no joint to make.
     *
     * @param note what a person should know at it, or empty text
     */
    public record Mating(String family, String a, String b, String note) {}

    static WireView of(OpenJob open, boolean readingBack, Frame.Trouble trouble) {
        Frame frame = Frame.of(open, Station.WIRE, trouble);
        if (open.design().isEmpty())
            return new WireView(
                    frame,
                    "No kit is chosen yet",
                    "The worksheet is computed from the kit: choose one at Match.",
                    false,
                    false,
                    List.of(),
                    Optional.empty(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    0,
                    0,
                    0,
                    undo(open),
                    List.of(),
                    List.of(),
                    "",
                    0,
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    Map.of());
        Design design = open.design().get();
        Set<String> done = open.jointsDone();
        String next = design.worksheet().joints().stream()
                .map(j -> j.id().text())
                .filter(j -> !done.contains(j))
                .findFirst()
                .orElse("");
        Map<JointRow, Row> rows = new LinkedHashMap<>();
        List<OpenJob.Measured> measured = open.measured();
        Sizing sizing = open.sizing();
        design.worksheet().joints().forEach(j -> rows.put(j, row(open, j, sizing, next, measured)));
        Map<LeadRole.Group, List<Row>> groups = new LinkedHashMap<>();
        rows.forEach((joint, row) -> groups.computeIfAbsent(joint.role().group(), g -> new ArrayList<>())
                .add(row));
        PlugUps ups = PlugUps.of(design.installation());
        int agreed = (int) design.worksheet().joints().stream()
                .filter(j -> open.readBack(j, Entry.Agreement.AGREES))
                .count();
        return new WireView(
                frame,
                heading(design),
                toTakeApart(open) + verdict(rows, done, next, agreed, readingBack),
                true,
                readingBack,
                rows.values().stream().filter(Row::exception).toList(),
                Optional.of(HarnessDrawing.of(design.worksheet(), done)),
                groups.entrySet().stream()
                        .map(g -> new Group(g.getKey().heading(), g.getValue()))
                        .toList(),
                design.worksheet().caps().stream().map(c -> CapLine.of(open, c)).toList(),
                plugged(ups),
                names(ups.alone()),
                PlugsView.meantToStayEmpty(open, ups),
                rows.size(),
                done.size(),
                agreed,
                undo(open),
                BeforeJoining.of(design.installation(), design.worksheet(), sizing),
                SCHOOLS,
                open.text(new Entry.SchoolChosen()),
                design.overloads().size(),
                instead(open, design),
                PlugsView.openWork(open, ups),
                PlugsView.links(ups),
                design.misfed().stream().map(f -> Words.sentence(f.message())).toList(),
                open.shown(Stream.concat(
                        design.worksheet().joints().stream().flatMap(WireView::entries),
                        design.worksheet().caps().stream()
                                .map(c -> new Entry.CapMade(c.lead().id())))));
    }

    /** What may be ticked or measured at a joint. */
    static Stream<Entry<?>> entries(JointRow row) {
        return Stream.concat(
                Stream.of(new Entry.JointMade(row.id()), new Entry.ReadBack(row.id()), new Entry.JointNoted(row.id())),
                row.readings().stream().map(r -> new Entry.ReadingTaken(r.at(), r.state())));
    }

    /** What serves where nothing gives what is wanted, and what else could. */
    private static List<Instead> instead(OpenJob open, Design design) {
        return design.installation().substitutes().stream()
                .map(s -> new Instead(
                        key(new Entry.SubstituteChoice(s.wanted())),
                        Ids.of(new Entry.SubstituteChoice(s.wanted())),
                        Words.sentence(s.wanted().label()),
                        s.source().map(LeadRole::label).orElse(JobCodec.NOT_FED),
                        Stream.concat(s.sources().stream().map(LeadRole::label), Stream.of(JobCodec.NOT_FED))
                                .toList(),
                        open.has(new Entry.SubstituteChoice(s.wanted())),
                        Words.served(s.wanted(), s.source())))
                .toList();
    }

    private static String toTakeApart(OpenJob open) {
        int joints = undo(open).size();
        return joints == 0
                ? ""
                : "%s of the earlier kit to take apart first. ".formatted(Words.sentence(Words.count(joints, "joint")));
    }

    private static List<Undo> undo(OpenJob open) {
        return open.state().all(Entry.JointToUndo.class).stream()
                .map(e -> new Undo(key(e), open.text(e)))
                .toList();
    }

    private static String heading(Design design) {
        if (design.worksheet().joints().isEmpty()) return "No joint to make: everything is plugged";
        List<JointRow> joints = design.worksheet().joints();
        int misled = (int) joints.stream().filter(JointRow::misleads).count();
        int many = (int)
                joints.stream().filter(j -> j.has(Deviation.Kind.THREE_OR_MORE)).count();
        String colours = misled == 0
                ? "every one is colour to colour"
                : "going by colour would miss %s".formatted(Words.count(misled));
        String more = many == 0 ? "" : "; three leads or more meet in %s".formatted(Words.count(many));
        return "%s%s; %s%s"
                .formatted(Words.sentence(Words.count(joints.size(), "joint")), places(joints), colours, more);
    }

    /** ", 13 at the dash and 8 at the boot"; nothing where all lie at the dash. */
    private static String places(List<JointRow> joints) {
        Map<Location, Long> places = joints.stream()
                .collect(Collectors.groupingBy(j -> j.id().location(), TreeMap::new, Collectors.counting()));
        if (places.size() < 2 && places.containsKey(Location.DASH)) return "";
        return ", "
                + Words.list(places.entrySet().stream()
                        .map(e -> "%s at the %s"
                                .formatted(Words.count(e.getValue().intValue()), e.getKey()))
                        .toList());
    }

    private static String verdict(
            Map<JointRow, Row> rows, Set<String> done, String next, int agreed, boolean readingBack) {
        if (rows.isEmpty()) return "Cap what stays unused, then go through the plugs below.";
        if (readingBack)
            return "%s of %d read back. Name each joint aloud from the harness, last one first, then say whether the sheet agrees."
                    .formatted(Words.sentence(Words.count(agreed)), rows.size());
        String joined = done.isEmpty()
                ? "None is joined yet."
                : done.size() == rows.size()
                        ? "All are joined."
                        : "%s %s joined."
                                .formatted(Words.sentence(Words.count(done.size())), done.size() == 1 ? "is" : "are");
        return rows.entrySet().stream()
                .filter(e -> e.getKey().id().text().equals(next))
                .findFirst()
                .map(e -> joined
                        + " Next: %s, %s to %s."
                                .formatted(
                                        e.getValue().role,
                                        e.getValue().from.words(),
                                        e.getValue().to.stream()
                                                .map(ColouredLead::words)
                                                .collect(Collectors.joining(" and "))))
                .orElseGet(() ->
                        joined + (agreed == rows.size() ? " All are read back." : " Next: read the whole list back."));
    }

    static Row row(OpenJob open, JointRow joint, Sizing sizing, String next, List<OpenJob.Measured> measured) {
        List<LeadEnd> leads = joint.leads();
        LeadEnd from = joint.of(Instance.Owner.CAR)
                .or(() -> joint.of(Instance.Owner.PART))
                .orElse(leads.get(0));
        List<ColouredLead> to =
                leads.stream().filter(l -> l != from).map(ColouredLead::of).toList();
        String position = from.owner() == Instance.Owner.CAR ? from.place().replaceAll("^main ", "") : "—";
        String state = open.has(new Entry.JointMade(joint.id()))
                ? "done"
                : joint.id().text().equals(next) ? "next" : "open";
        return new Row(
                joint.number(),
                key(new Entry.JointMade(joint.id())),
                Ids.of(new Entry.JointMade(joint.id())),
                joint.id().name(),
                ColouredLead.of(from),
                position,
                carColour(from),
                to,
                gauges(leads),
                joint.exception(),
                joint.deviations().stream().map(Deviation::text).toList(),
                measured.stream()
                        .filter(m -> m.joint() == joint)
                        .map(m -> MeasureLine.of(open, m))
                        .toList(),
                state,
                key(new Entry.ReadBack(joint.id())),
                open.text(new Entry.ReadBack(joint.id())),
                JointMethodWords.of(joint, sizing.of(joint)),
                JointView.here(open, joint.id().name()),
                open.text(new Entry.JointNoted(joint.id())),
                joint.expected().stream()
                        .map(ExpectedReading::words)
                        .collect(Collectors.collectingAndThen(
                                Collectors.joining("; "), m -> m.isEmpty() ? "" : meterAt(joint) + m)),
                joint.id().location().dash() ? "" : joint.id().location().words());
    }

    private static String meterAt(JointRow joint) {
        return joint.expected().get(0).place() + ": ";
    }

    /** The car's own wire behind an adapter's tail, with its provenance where that is weak. */
    private static String carColour(LeadEnd lead) {
        return lead.carColour()
                .map(fact -> {
                    if (fact instanceof Fact.Known<WireColour> known)
                        return known.value().words()
                                + (known.from().origin().compareTo(Provenance.Origin.STATED) >= 0
                                        ? " (" + known.from().origin().word() + ")"
                                        : "");
                    return ((Fact.Missing<WireColour>) fact).conflicting() ? "in conflict" : "not known";
                })
                .orElse("");
    }

    private static String gauges(List<LeadEnd> leads) {
        return leads.stream()
                .map(l -> l.gauge()
                        .known()
                        .map(Gauge::nearestAwg)
                        .map(String::valueOf)
                        .orElse("?"))
                .collect(Collectors.joining("+"));
    }

    private static List<Mating> plugged(PlugUps ups) {
        return ups.together().stream()
                .map(p -> {
                    List<String> notes = new ArrayList<>();
                    if (p.crossed())
                        notes.add(
                                "▲ The letters mislead: %s goes into %s on this car, so that calls and prompts come from the right speakers."
                                        .formatted(
                                                p.first().plug().id(),
                                                p.second().plug().id()));
                    if (p.insert()) notes.add("Move the insert with care: no sharp bend, no dirt on its ends.");
                    p.access()
                            .ifPresent(a -> notes.add(
                                    "%s; %s.".formatted(Words.sentence(a.place().words()), a.route())));
                    return new Mating(
                            p.first().plug().family(),
                            PlugWords.name(p.first()),
                            PlugWords.name(p.second()),
                            String.join(" ", notes));
                })
                .toList();
    }

    private static List<String> names(List<PlugUps.End> ends) {
        return ends.stream()
                .map(e -> "%s (%s)".formatted(PlugWords.name(e), e.plug().family()))
                .toList();
    }

    private static String device(Design design, String instance) {
        return design.installation()
                .instance(instance)
                .map(i -> i.device().name())
                .orElse(instance);
    }
}
