package velvetbezel.worksheet;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import velvetbezel.harness.ConductorId;
import velvetbezel.sheet.LeadRole;
import velvetbezel.units.Amps;

/** Leads of the feeds against what they carry, and the fuses that suit them. */
final class LeadLoads {
    private static final Set<LeadRole> FEEDS = Set.of(
            LeadRole.GROUND,
            LeadRole.CONSTANT,
            LeadRole.ACCESSORY,
            LeadRole.AMP_REMOTE,
            LeadRole.ANTENNA_POWER,
            LeadRole.ILLUMINATION,
            LeadRole.CAMERA_POWER,
            LeadRole.REVERSE);
    private static final Set<LeadRole> FUSED = Set.of(LeadRole.CONSTANT, LeadRole.ACCESSORY);
    /** Below this the fuse of the circuit that it hangs on does. */
    private static final double WORTH_A_FUSE = 0.5;

    private final FullLoad strain;
    private final List<Load> loads = new ArrayList<>();

    private LeadLoads(FullLoad strain) {
        this.strain = strain;
    }

    static List<Load> of(FullLoad strain, Worksheet worksheet) {
        LeadLoads found = new LeadLoads(strain);
        worksheet.joints().stream().filter(j -> FEEDS.contains(j.role())).forEach(found::leads);
        strain.radios()
                .filter(i -> i.device().ratings().draws().isEmpty())
                .forEach(
                        i -> found.add(
                                i.device().name(),
                                "",
                                Load.Verdict.UNKNOWN,
                                "Its sheet does not state what it draws at full volume: the figures are what it draws when it plays."));
        return found.loads;
    }

    private void add(String what, String figures, Load.Verdict verdict, String text, String... goods) {
        loads.add(new Load(Load.Kind.LEAD, what, figures, verdict, text, List.of(goods)));
    }

    /** A lead of a joint with its worst current and what it may carry. */
    private record Carried(LeadEnd lead, double amps, double carries) {
        double part() {
            return amps / carries;
        }

        String figures() {
            return "%s on the %d AWG lead of %s, good for %s"
                    .formatted(
                            FullLoad.amps(amps),
                            lead.gauge().known().orElseThrow().nearestAwg(),
                            lead.deviceWords(),
                            FullLoad.amps(carries));
        }
    }

    private void leads(JointRow row) {
        String what = row.role().label();
        Optional<LeadEnd> unknown =
                row.leads().stream().filter(l -> l.gauge().known().isEmpty()).findFirst();
        if (unknown.isPresent()) {
            add(
                    what,
                    "",
                    Load.Verdict.UNKNOWN,
                    "The gauge of the %s lead of %s is not known."
                            .formatted(
                                    unknown.get().colourWords(), unknown.get().deviceWords()));
            return;
        }
        List<Carried> all = row.leads().stream()
                .map(l -> new Carried(
                        l,
                        strain.worst(x ->
                                x.through(ConductorId.leg(row.id(), l.id())).value()),
                        strain.tables.carries(l.gauge().known().orElseThrow()).value()))
                .toList();
        Carried worst =
                all.stream().max(Comparator.comparingDouble(Carried::part)).orElseThrow();
        Load.Verdict verdict = FullLoad.verdict(worst.part());
        if (verdict == Load.Verdict.OVER)
            add(
                    what,
                    worst.figures(),
                    verdict,
                    "Too thin: take a thicker lead, or feed the load from elsewhere with its own fuse.");
        else if (FUSED.contains(row.role()) && feed(all).amps >= WORTH_A_FUSE)
            fused(what, worst.figures(), verdict, all);
        else add(what, worst.figures(), verdict, "");
    }

    private static Carried feed(List<Carried> all) {
        return all.stream().max(Comparator.comparingDouble(Carried::amps)).orElseThrow();
    }

    /** The feed's fuse, and one of its own for each lead that is too thin for it. */
    private void fused(String what, String figures, Load.Verdict verdict, List<Carried> all) {
        Carried feed = feed(all);
        Optional<Tables.Fuse> fuse =
                fuse(new Amps(feed.amps), strain.tables).filter(f -> f.rating().value() <= feed.carries);
        if (fuse.isEmpty()) {
            add(what, figures, verdict, "");
            double factor = strain.tables.limits().fuseFactor();
            add(
                    what + ", its fuse",
                    "at least %s wanted, at most %s borne by the lead"
                            .formatted(FullLoad.amps(feed.amps * factor), FullLoad.amps(feed.carries)),
                    Load.Verdict.NO_FUSE,
                    "No fuse is at least %s times the load and at most what its lead carries. Take a thicker lead."
                            .formatted(Tables.plain(factor)));
            return;
        }
        double rating = fuse.get().rating().value();
        add(what, figures, verdict, "Fuse for this feed: %s, blade (usual colours).".formatted(words(fuse.get())));
        all.stream().filter(thin -> thin != feed && thin.carries < rating).forEach(thin -> fuse(
                        new Amps(Math.max(FullLoad.NOTHING, thin.amps)), strain.tables)
                .filter(f -> f.rating().value() <= thin.carries)
                .ifPresent(own -> add(
                        what + ", " + thin.lead.device(),
                        thin.figures(),
                        Load.Verdict.CLOSE,
                        "Thinner than the feed's fuse of %s: give it its own, %s, in line and near the joint."
                                .formatted(FullLoad.amps(rating), words(own)),
                        Tables.HOLDER,
                        Tables.FUSE)));
    }

    /** The smallest rating of at least 1.25 × a continuous load (common practice). */
    static Optional<Tables.Fuse> fuse(Amps load, Tables tables) {
        return tables.fuses().stream()
                .filter(f ->
                        f.rating().value() >= load.value() * tables.limits().fuseFactor() - 1e-9)
                .findFirst();
    }

    private static String words(Tables.Fuse f) {
        return "%s A, %s".formatted(Tables.plain(f.rating().value()), f.colour());
    }
}
