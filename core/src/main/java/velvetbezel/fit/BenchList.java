package velvetbezel.fit;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.sheet.fit.Obstruction;
import velvetbezel.sheet.fit.RadioBody;
import velvetbezel.sheet.fit.Site;

/** What is done with kit and radio, in its order, as far as their sheets and the fit say. */
public final class BenchList {
    /** Screws a side where a sheet says nothing; four are the careful choice (common practice, no source). */
    private static final int SCREWS = 2;

    private BenchList() {}

    public static List<BenchStep> of(Site site, RadioBody radio, Optional<KitFrame> kit, FitReport fit) {
        List<BenchStep> steps = new ArrayList<>();
        kit.ifPresent(k -> atTheBench(k, radio, fit, steps));
        inTheCar(site, kit, fit, steps);
        return steps;
    }

    private static void add(List<BenchStep> steps, BenchStep.Kind kind, String... of) {
        steps.add(new BenchStep(kind, List.of(of)));
    }

    private static void atTheBench(KitFrame kit, RadioBody radio, FitReport fit, List<BenchStep> steps) {
        KitFrame.Bench bench = kit.bench();
        if (!bench.keep().isEmpty()) add(steps, BenchStep.Kind.KEEP, String.join(", ", bench.keep()));
        for (Obstruction i : kit.inserts()) {
            List<Collision> met = fit.collisions().stream()
                    .filter(c -> c.insertOfKit() && c.with().equals(i.id()))
                    .toList();
            if (met.stream().anyMatch(Collision::certain)) add(steps, BenchStep.Kind.INSERTS_OUT, i.id());
            // what may be met is decided with the radio in hand
            if (met.isEmpty()) add(steps, BenchStep.Kind.INSERTS_IN, i.id());
        }
        fit.taken().ifPresent(h -> holes(kit, h, steps));
        boolean holds = kit.mount() == KitFrame.Mount.FRAME || kit.mount() == KitFrame.Mount.ISO;
        if (holds && kit.left().isEmpty()) add(steps, BenchStep.Kind.NO_BRACKETS);
        if (holds) {
            boolean stated = bench.screws() > 0;
            add(
                    steps,
                    BenchStep.Kind.TOGETHER,
                    String.valueOf(stated ? bench.screws() : SCREWS),
                    stated ? "sheet" : "usual");
            screw(kit, radio, fit, steps);
        }
        tabs(bench, steps);
        if (radio.ring().likely() > 0) add(steps, BenchStep.Kind.RING_ON);
        if (kit.mount() == KitFrame.Mount.FRONT)
            add(steps, BenchStep.Kind.FEET, SmallSums.tenths(kit.feet().likely()));
    }

    private static void holes(KitFrame kit, Brackets.HoleChoice h, List<BenchStep> steps) {
        add(steps, BenchStep.Kind.HOLES, "left", said(h.left()));
        add(steps, BenchStep.Kind.HOLES, "right", said(h.right()));
        kit.left()
                .ifPresent(b ->
                        add(steps, BenchStep.Kind.BRACKET, "left", b.mark(), h.flipLeft() ? "upside down" : "upright"));
        kit.right()
                .ifPresent(b -> add(
                        steps, BenchStep.Kind.BRACKET, "right", b.mark(), h.flipRight() ? "upside down" : "upright"));
    }

    private static String said(List<Brackets.HoleAtSlot> holes) {
        return String.join(
                ", ",
                holes.stream()
                        .map(h -> "hole %d in slot %s".formatted(h.hole(), h.slot()))
                        .toList());
    }

    /** Head, thread and length, where the radio's sheet says how far a screw may reach. */
    private static void screw(KitFrame kit, RadioBody radio, FitReport fit, List<BenchStep> steps) {
        Optional<RadioBody.Hole> hole = radio.holes().stream().findFirst();
        Optional<KitFrame.Bracket> bracket = kit.left();
        if (hole.isEmpty() || bracket.isEmpty()) return;
        OptionalDouble pitch = SmallSums.pitch(hole.get().thread());
        Optional<Integer> length = hole.get().most() == 0 || pitch.isEmpty()
                ? Optional.empty()
                : SmallSums.screw(hole.get().most(), bracket.get().thickness(), pitch.getAsDouble())
                        .stock();
        if (length.isEmpty()) {
            add(steps, BenchStep.Kind.SCREW_UNKNOWN, hole.get().thread());
            return;
        }
        Set<String> used = new TreeSet<>();
        fit.taken().stream().flatMap(h -> h.left().stream()).forEach(h -> used.add(h.slot()));
        boolean sunk = bracket.get().slots().stream().anyMatch(s -> used.contains(s.id()) && s.countersunk());
        add(
                steps,
                BenchStep.Kind.SCREW,
                hole.get().thread(),
                String.valueOf(length.get()),
                sunk ? "countersunk" : "pan head",
                SmallSums.tenths(hole.get().most() + bracket.get().thickness()));
    }

    /** A tab grips where the wall is within its reach for certain. */
    private static void tabs(KitFrame.Bench bench, List<BenchStep> steps) {
        List<String> fold = new ArrayList<>();
        List<String> idle = new ArrayList<>();
        List<String> look = new ArrayList<>();
        for (KitFrame.Tab t : bench.tabs())
            (t.wall().missing() ? look : t.wall().likely() <= t.reach().likely() ? fold : idle).add(t.id());
        if (!fold.isEmpty()) add(steps, BenchStep.Kind.TABS_FOLD, String.valueOf(fold.size()), String.join(", ", fold));
        if (!look.isEmpty()) add(steps, BenchStep.Kind.TABS_LOOK, String.valueOf(look.size()), String.join(", ", look));
        if (!idle.isEmpty()) add(steps, BenchStep.Kind.TABS_IDLE, String.valueOf(idle.size()), String.join(", ", idle));
    }

    private static void inTheCar(Site site, Optional<KitFrame> kit, FitReport fit, List<BenchStep> steps) {
        Set<BenchStep> once = new LinkedHashSet<>();
        for (Collision c : fit.collisions()) {
            if (c.insertOfKit() || !c.certain()) continue;
            if (c.remedy() instanceof Remedy.Unscrew u)
                once.add(new BenchStep(BenchStep.Kind.TAKE_OUT, List.of(c.with(), u.fasteners(), u.carries())));
            if (c.remedy() instanceof Remedy.MoveAside m)
                once.add(new BenchStep(BenchStep.Kind.MOVE_ASIDE, List.of(c.with(), SmallSums.tenths(m.by()))));
            if (c.remedy() instanceof Remedy.Trim t)
                once.add(new BenchStep(BenchStep.Kind.CUT, List.of(c.with(), t.words())));
            if (c.remedy() instanceof Remedy.CutOff t)
                once.add(new BenchStep(BenchStep.Kind.CUT, List.of(c.with(), t.words())));
        }
        steps.addAll(once);
        kit.map(f -> f.bench().rings())
                .filter(r -> !r.isEmpty())
                .ifPresent(r -> add(steps, BenchStep.Kind.RINGS, String.join(", ", r)));
        add(steps, BenchStep.Kind.TEST_FIT);
        kit.map(KitFrame::bench)
                .filter(b -> b.clips() > 0)
                .ifPresent(b -> add(steps, BenchStep.Kind.CLIPS, String.valueOf(b.clips()), b.pull()));
        double gap = fit.gaps().stream().mapToDouble(FaceGap::seen).max().orElse(0);
        if (gap > 0) {
            Range foam = SmallSums.foam(gap);
            add(
                    steps,
                    BenchStep.Kind.FOAM,
                    SmallSums.tenths(gap),
                    SmallSums.tenths(foam.least()),
                    SmallSums.tenths(foam.most()));
        }
    }
}
