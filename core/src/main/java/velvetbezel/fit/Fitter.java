package velvetbezel.fit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import velvetbezel.sheet.fit.Band;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.sheet.fit.Obstruction;
import velvetbezel.sheet.fit.RadioBody;
import velvetbezel.sheet.fit.Site;
import velvetbezel.sheet.fit.SpaceBox;

/**
 * Whether a radio goes into an opening with a kit, from boxes whose ends are ranges. A body is swept from outside to
 * its
 * rear: it meets a box where it passes it or stands in it. It never calls certain what is open; it may call possible
 * what lengths shared by two boxes would exclude.
 */
public final class Fitter {
    private final Site site;
    private final Optional<KitFrame> kit;
    private final RadioBody radio;
    private final Bodies bodies;
    private final Affine plane;
    private final List<DepthLeft> depths = new ArrayList<>();
    private final List<Collision> collisions = new ArrayList<>();

    private Fitter(Site site, RadioBody radio, Optional<KitFrame> kit, double setBack, Set<String> used) {
        this.site = site;
        this.kit = kit;
        this.radio = radio;
        this.bodies = Bodies.of(site, radio, kit, setBack, used);
        this.plane = kit.map(k -> Affine.of(k.plane())).orElse(Affine.of(0));
    }

    /** @param used plugs that are used; empty: every one of the radio's */
    public static FitReport of(Site site, RadioBody radio, Optional<KitFrame> kit, Set<String> used) {
        List<Brackets.HoleChoice> holes = Brackets.choices(radio, kit);
        double setBack = holes.isEmpty() ? 0 : holes.get(0).setBack();
        return new Fitter(site, radio, kit, setBack, used).report(holes);
    }

    private FitReport report(List<Brackets.HoleChoice> holes) {
        List<FaceGap> gaps = gaps();
        for (Bodies.Body body : bodies.all()) {
            if (!body.name().equals("face")) cavity(body);
            for (Obstruction o : site.obstructions()) for (Obstruction.Piece p : o.pieces()) meets(body, o, p, false);
            kit.ifPresent(k -> k.inserts().forEach(i -> i.pieces().forEach(p -> meets(body, i, p, true))));
        }
        depths.sort(Comparator.comparingDouble(d -> d.slack().left().likely()));
        return new FitReport(
                verdict(gaps),
                gaps,
                depths,
                collisions,
                holes,
                bodies.all().stream().map(Fitter::placed).toList(),
                likely(plane));
    }

    private static FitReport.PlacedBody placed(Bodies.Body b) {
        return new FitReport.PlacedBody(
                b.name(),
                likely(b.x0()),
                likely(b.x1()),
                likely(b.y0()),
                likely(b.y1()),
                likely(b.z0()),
                likely(b.z1()));
    }

    private static double likely(Affine a) {
        return a.range().likely();
    }

    /** In width and height; a sleeve stands in the opening, any other kit takes the face. */
    private List<FaceGap> gaps() {
        Optional<KitFrame.Aperture> aperture = kit.flatMap(KitFrame::aperture);
        boolean sleeve = kit.filter(k -> k.mount() == KitFrame.Mount.SLEEVE).isPresent() && aperture.isPresent();
        Affine roomX = sleeve || aperture.isEmpty()
                ? Affine.of(site.width())
                : Affine.of(aperture.get().width());
        Affine roomY = sleeve || aperture.isEmpty()
                ? Affine.of(site.height())
                : Affine.of(aperture.get().height());
        Affine width = sleeve ? Affine.of(aperture.get().width()) : Affine.of(radio.faceWidth());
        Affine height = sleeve ? Affine.of(aperture.get().height()) : Affine.of(radio.faceHeight());
        return List.of(
                new FaceGap(FaceGap.Side.WIDTH, Slack.of(roomX.minus(width))),
                new FaceGap(FaceGap.Side.HEIGHT, Slack.of(roomY.minus(height))));
    }

    /** Depth of each band that a body reaches into, and its walls. */
    private void cavity(Bodies.Body body) {
        for (Band band : site.bands()) {
            Range above = body.y1().minus(Affine.of(band.y0())).range();
            Range below = Affine.of(band.y1()).minus(body.y0()).range();
            if (above.most() <= 0 || below.most() <= 0) continue;
            boolean certain = above.least() > 0 && below.least() > 0;
            Slack slack = Slack.of(Affine.of(band.depth()).plus(plane).minus(body.z1()));
            if (slack instanceof Slack.Short s && !certain) slack = new Slack.Open(s.left(), Optional.empty());
            depths.add(new DepthLeft(body.name(), band.id(), slack));
        }
    }

    private void meets(Bodies.Body body, Obstruction of, Obstruction.Piece piece, boolean insert) {
        SpaceBox box = piece.box();
        Map<Collision.Escape, Affine> overlaps = Map.of(
                Collision.Escape.DEPTH, body.z1().minus(Affine.of(box.z0())).minus(insert ? Affine.of(0) : plane),
                Collision.Escape.LEFT, body.x1().minus(Affine.of(box.x0())),
                Collision.Escape.RIGHT, Affine.of(box.x1()).minus(body.x0()),
                Collision.Escape.BELOW, body.y1().minus(Affine.of(box.y0())),
                Collision.Escape.ABOVE, Affine.of(box.y1()).minus(body.y0()));
        boolean sideways = true;
        boolean certain = true;
        int undecided = 0;
        for (var o : overlaps.entrySet()) {
            Range r = o.getValue().range();
            boolean depth = o.getKey() == Collision.Escape.DEPTH;
            if (r.most() <= 0 && !depth) return;
            if (r.least() <= 0) certain = false;
            if (r.least() <= 0 && r.most() > 0) undecided++;
            if (!depth && r.least() <= 0) sideways = false;
        }
        Affine depth = overlaps.get(Collision.Escape.DEPTH);
        if (depth.range().most() <= 0) {
            if (sideways)
                depths.add(new DepthLeft(
                        body.name(), of.id(), Slack.of(Affine.of(0).minus(depth))));
            return;
        }
        Collision.Escape escape = escape(overlaps, certain);
        Slack slack = Slack.of(Affine.of(0).minus(overlaps.get(escape)));
        if (slack instanceof Slack.Open o && undecided > 1)
            slack = new Slack.Open(o.left(), o.ask().map(Fitter::perhaps));
        boolean before =
                Affine.of(box.z1()).plus(plane).minus(body.z0()).range().likely() <= 0;
        collisions.add(
                new Collision(body.name(), of.id(), before, insert, slack, escape, remedy(of, piece, slack, insert)));
    }

    /** Something else may still save it: no reading makes it certain that it does not fit. */
    private static Slack.Settle perhaps(Slack.Settle s) {
        return new Slack.Settle(s.measure(), s.atLeast(), s.fits(), OptionalDouble.empty(), s.also());
    }

    /** The way in which least is missing; where it is open, of those that are undecided. */
    private static Collision.Escape escape(Map<Collision.Escape, Affine> overlaps, boolean certain) {
        return overlaps.entrySet().stream()
                .filter(e -> certain || e.getValue().range().least() <= 0)
                .min(Comparator.<Map.Entry<Collision.Escape, Affine>>comparingDouble(
                                e -> e.getValue().range().likely())
                        .thenComparing(Map.Entry::getKey))
                .orElseThrow()
                .getKey();
    }

    private Remedy remedy(Obstruction of, Obstruction.Piece piece, Slack slack, boolean insert) {
        if (!piece.bears().isEmpty()) return new Remedy.Refused(Remedy.Refused.Reason.BEARS, piece.bears());
        Optional<String> licence =
                kit.flatMap(k -> Optional.ofNullable(k.trims().get(of.id())));
        boolean named = insert || licence.isPresent();
        double missing = -slack.left().least();
        return switch (piece.may()) {
            case UNSCREW -> new Remedy.Unscrew(of.fasteners(), of.minutes(), of.carries());
            case MOVE -> missing <= piece.by()
                    ? new Remedy.MoveAside(piece.by())
                    : new Remedy.Refused(Remedy.Refused.Reason.MOVES_TOO_LITTLE, String.valueOf(piece.by()));
            case TRIM -> named
                    ? new Remedy.Trim(licence.orElse(""))
                    : new Remedy.Refused(Remedy.Refused.Reason.NO_LICENCE, "");
            case CUT_OFF -> named
                    ? new Remedy.CutOff(licence.orElse(""))
                    : new Remedy.Refused(Remedy.Refused.Reason.NO_LICENCE, "");
            case NEVER -> new Remedy.Refused(Remedy.Refused.Reason.NEVER, "");
        };
    }

    private FitVerdict verdict(List<FaceGap> gaps) {
        boolean tooLarge = gaps.stream().anyMatch(g -> g.slack() instanceof Slack.Short)
                || depths.stream().anyMatch(d -> d.slack() instanceof Slack.Short)
                || collisions.stream().anyMatch(c -> c.certain() && c.refused());
        if (tooLarge) return FitVerdict.DOES_NOT_GO_IN;
        boolean open = gaps.stream().anyMatch(g -> g.slack() instanceof Slack.Open)
                || depths.stream().anyMatch(d -> d.slack() instanceof Slack.Open)
                || collisions.stream().anyMatch(Collision::refused);
        if (open) return FitVerdict.MEASURE_FIRST;
        if (collisions.stream().anyMatch(c -> c.certain() && !c.insertOfKit())) return FitVerdict.GOES_IN_AFTER;
        return collisions.stream().anyMatch(c -> !c.insertOfKit())
                ? FitVerdict.GOES_IN_PERHAPS_AFTER
                : FitVerdict.GOES_IN;
    }
}
