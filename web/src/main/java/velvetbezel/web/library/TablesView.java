package velvetbezel.web.library;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import velvetbezel.diagnose.FaultKind;
import velvetbezel.diagnose.FaultRates;
import velvetbezel.diagnose.FaultTally;
import velvetbezel.sheet.HowSet;
import velvetbezel.store.StandardFaultRates;
import velvetbezel.worksheet.JointKind;
import velvetbezel.worksheet.Tables;

/**
 * The workshop's tables, read by eye; their text, to be changed.
 *
 * @param text     to be changed, or as it was typed and refused
 * @param revision that the text is a change of
 * @param theirs   what somebody saved meanwhile, or empty text
 */
public record TablesView(
        String name,
        List<String> schools,
        String school,
        boolean taps,
        List<Section> sections,
        String text,
        List<String> faults,
        int revision,
        String theirs,
        List<SheetView.Past> past) {
    public record Section(String heading, List<String> columns, List<List<String>> rows) {}

    /** @param found what jobs told of how often things go wrong */
    static TablesView of(
            Tables t,
            FaultTally found,
            String text,
            List<String> faults,
            int revision,
            String theirs,
            List<SheetView.Past> past) {
        List<Section> sections = List.of(
                new Section(
                        "Leads in a dash",
                        List.of("AWG", "carries, A", "over insulation, mm"),
                        t.leads().stream()
                                .map(l -> List.of(
                                        String.valueOf(l.gauge().nearestAwg()),
                                        plain(l.carries().value()),
                                        plain(l.insulation().value())))
                                .toList()),
                sizes("Heat-shrink butt splices, each side", t.butts()),
                sizes("Crimp caps, all leads together", t.caps()),
                sizes("Displacement taps, each lead", t.tapSizes()),
                new Section(
                        "Shrink tube",
                        List.of("ratio", "supplied, mm", "recovered, mm"),
                        t.tubes().stream()
                                .map(x -> List.of(
                                        x.ratio(),
                                        plain(x.supplied().value()),
                                        plain(x.recovered().value())))
                                .toList()),
                new Section(
                        "Blade fuses, small and regular",
                        List.of("A", "colour"),
                        t.fuses().stream()
                                .map(f -> List.of(plain(f.rating().value()), f.colour()))
                                .toList()),
                new Section(
                        "Strip length",
                        List.of("joint", "mm"),
                        Arrays.stream(JointKind.values())
                                .map(k -> List.of(
                                        k.label(), plain(t.strip().get(k).value())))
                                .toList()),
                new Section("Minutes at the bench", List.of("of", "minutes"), minutes(t)),
                new Section(
                        "Limits",
                        List.of("of", "is"),
                        List.of(
                                List.of(
                                        "a remote lead whose sheet says nothing",
                                        plain(t.limits().remote().value()) + " A"),
                                List.of(
                                        "drop of a feed worth a look",
                                        plain(t.limits().feedDrop().value()) + " V"),
                                List.of(
                                        "drop of a ground worth a look",
                                        plain(t.limits().groundDrop().value()) + " V"),
                                List.of("a fuse, at least", plain(t.limits().fuseFactor()) + " × the continuous load"),
                                List.of("cable cut", plain(t.allowance()) + " × the length"))),
                new Section(
                        "Small goods",
                        List.of("good", "pack", "price"),
                        t.goods().stream()
                                .map(g -> List.of(
                                        g.name(),
                                        "%s %s".formatted(plain(g.pack()), g.unit()),
                                        "%d.%02d".formatted(g.cents() / 100, g.cents() % 100)))
                                .toList()),
                new Section(
                        "How often things are found wrong",
                        List.of("kind", "at first", "found", "of", "now"),
                        faults(found)));
        return new TablesView(
                t.name(),
                Arrays.stream(JointKind.values())
                        .filter(k -> k != JointKind.TAP)
                        .map(JointKind::label)
                        .toList(),
                t.school().label(),
                t.taps(),
                sections,
                text,
                faults,
                revision,
                theirs,
                past);
    }

    /** First rates are common practice, with no source; what was found, mended and then worked moves them. */
    private static List<List<String>> faults(FaultTally found) {
        FaultRates first = StandardFaultRates.all();
        FaultRates now = first.learned(found);
        return Arrays.stream(FaultKind.values())
                .map(k -> List.of(
                        k.label(),
                        share(first.of(k)),
                        plain(found.found().getOrDefault(k, 0.0)),
                        plain(Math.rint(found.opportunities().getOrDefault(k, 0.0))),
                        share(now.of(k))))
                .toList();
    }

    private static String share(double rate) {
        return "%.3f %%".formatted(100 * rate);
    }

    private static List<List<String>> minutes(Tables t) {
        List<List<String>> rows = new ArrayList<>();
        for (JointKind k : JointKind.values())
            rows.add(List.of(
                    "each lead of a joint, " + k.label(),
                    plain(t.minutes().leadEnd().getOrDefault(k, 0.0))));
        rows.add(List.of("a lead capped by itself", plain(t.minutes().cap())));
        for (HowSet.Means m : HowSet.Means.values())
            rows.add(List.of(
                    "a setting, by " + HowSet.label(m),
                    plain(t.minutes().setting().get(m))));
        rows.add(List.of(
                "a setting, by what its sheet does not say", plain(t.minutes().otherSetting())));
        rows.add(List.of("a button learned", plain(t.minutes().key())));
        return rows;
    }

    private static Section sizes(String heading, List<Tables.Size> sizes) {
        return new Section(
                heading,
                List.of("size", "from, mm²", "to, mm²"),
                sizes.stream()
                        .map(s -> List.of(s.name(), plain(s.least()), plain(s.most())))
                        .toList());
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
    }
}
