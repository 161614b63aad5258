package velvetbezel.fit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.fit.Band;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.sheet.fit.Length;
import velvetbezel.sheet.fit.Obstruction;
import velvetbezel.sheet.fit.RadioBody;
import velvetbezel.sheet.fit.Site;
import velvetbezel.sheet.fit.SpaceBox;

/**
 * Whether a radio goes into an opening with a kit, from boxes whose ends are ranges. A body that is slid in is swept
 * from outside to its rear: it meets a box where it passes it or stands in it; a screen before the panel meets only
 * what it stands in. It never calls certain what is open; it may call possible what lengths shared by two boxes would
 * exclude.
 */
public final class Fitter {
    private final Site site;
    private final Optional<KitFrame> kit;
    private final RadioBody radio;
    private final Bodies bodies;
    private final Affine plane;
    private final List<DepthLeft> depths = new ArrayList<>();
    private final List<WallLeft> walls = new ArrayList<>();
    private final List<Collision> collisions = new ArrayList<>();

    private Fitter(FitQuestion asked, Affine setBack) {
        this.site = asked.site();
        this.kit = asked.kit();
        this.radio = asked.radio();
        this.bodies = Bodies.of(asked, setBack);
        this.plane = kit.map(k -> Affine.of(k.plane())).orElse(Affine.of(0));
    }

    /** With every plug, no earlier fittings, and the holes nearest to flush. */
    public static FitReport of(Site site, RadioBody radio, Optional<KitFrame> kit) {
        return of(new FitQuestion(site, radio, kit, "", Set.of(), ""));
    }

    public static FitReport of(FitQuestion asked) {
        Optional<Correction> correction = Correction.of(asked.site(), asked.kitId());
        Optional<Length> bracketPlane = asked.kit().map(KitFrame::bracketPlane);
        double shift = correction
                .map(c -> c.range().likely())
                .orElse(bracketPlane
                        .filter(p -> !p.missing())
                        .map(Length::likely)
                        .orElse(0.0));
        double heightRoom = Math.max(
                        0,
                        asked.site().height().most()
                                - asked.radio().faceHeight().least())
                / 2;
        List<Brackets.HoleChoice> holes = Brackets.choices(asked.radio(), asked.kit(), shift, heightRoom);
        Optional<Brackets.HoleChoice> taken = holes.stream()
                .filter(h -> asked.holes().isEmpty() || h.key().equals(asked.holes()))
                .findFirst()
                .or(() -> holes.stream().findFirst());
        Affine setBack = Affine.of(taken.map(Brackets.HoleChoice::setBack).orElse(0.0));
        if (taken.isPresent()) setBack = setBack.plus(unsure(correction, bracketPlane, asked.kitId()));
        return new Fitter(asked, setBack).report(holes, taken, shift, correction);
    }

    /** How far the face may stand off what its holes say. */
    private static Affine unsure(Optional<Correction> correction, Optional<Length> bracketPlane, String kitId) {
        if (correction.isPresent()) {
            Range r = correction.get().range();
            FieldRef field = new FieldRef(kitId, "fittings");
            return Affine.of(Length.of(field, 0, Provenance.Origin.MEASURED, (r.most() - r.least()) / 2));
        }
        // what is known of the plane went into the row that was chosen; what is left of it is its tolerance
        return bracketPlane
                .map(p -> Affine.of(p).plus(p.missing() ? 0 : -p.likely()))
                .orElse(Affine.of(0));
    }

    private FitReport report(
            List<Brackets.HoleChoice> holes,
            Optional<Brackets.HoleChoice> taken,
            double shift,
            Optional<Correction> correction) {
        List<FaceGap> gaps = gaps();
        for (Bodies.Body body : bodies.all()) {
            if (!body.name().equals(Bodies.FACE)) cavity(body);
            for (Obstruction o : site.obstructions()) for (Obstruction.Piece p : o.pieces()) meets(body, o, p, false);
            kit.ifPresent(k -> k.inserts().forEach(i -> i.pieces().forEach(p -> meets(body, i, p, true))));
        }
        depths.sort(Comparator.comparingDouble(d -> d.slack().left().likely()));
        List<Neighbour> neighbours = Beside.neighbours(site, bodies.face(), plane);
        return new FitReport(
                verdict(gaps, neighbours),
                gaps,
                depths,
                walls,
                collisions,
                neighbours,
                Beside.fingers(site, radio, bodies.face(), plane),
                correction,
                holes,
                taken,
                correction.isEmpty()
                        && kit.filter(k -> k.bracketPlane().missing()).isPresent(),
                shift,
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

    /** In width and height; a sleeve stands in the opening, any other kit takes the face, a screen stands before it. */
    private List<FaceGap> gaps() {
        if (Bodies.before(kit)) return List.of();
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
        double ring = radio.ring().likely();
        return List.of(
                new FaceGap(FaceGap.Side.WIDTH, held(roomX.minus(width), Site.HeldRadio::faceWidth, width), ring),
                new FaceGap(FaceGap.Side.HEIGHT, held(roomY.minus(height), Site.HeldRadio::faceHeight, height), ring));
    }

    /** A face no larger than the one that stood there goes where it stood, whatever nobody measured. */
    private Slack held(Affine room, Function<Site.HeldRadio, Length> measure, Affine face) {
        Slack slack = Slack.of(room);
        Optional<Slack> asBefore = site.held()
                .filter(h -> slack instanceof Slack.Open)
                .map(h -> Slack.of(Affine.of(measure.apply(h)).minus(face)))
                .filter(s -> s.left().likely() >= -Slack.HAIR);
        return asBefore.<Slack>map(s -> new Slack.Clear(s.left())).orElse(slack);
    }

    /** Depth of each band that a body reaches into, and its walls. */
    private void cavity(Bodies.Body body) {
        for (Band band : site.bands()) {
            Range above = body.y1().minus(Affine.of(band.y0())).range();
            Range below = Affine.of(band.y1()).minus(body.y0()).range();
            if (above.most() <= 0 || below.most() <= 0) continue;
            boolean certain = above.least() > 0 && below.least() > 0;
            depths.add(new DepthLeft(
                    body.name(),
                    band.id(),
                    false,
                    unless(certain, Slack.of(Affine.of(band.depth()).plus(plane).minus(body.z1())))));
            // where nobody measured the cavity its walls are not known either
            if (site.assumedBands()) continue;
            Affine closes = body.z1().minus(plane).times(band.taper() / 100);
            walls.add(new WallLeft(
                    body.name(),
                    band.id(),
                    Collision.Escape.LEFT,
                    unless(
                            certain,
                            Slack.of(body.x0().minus(Affine.of(band.x0())).minus(closes)))));
            walls.add(new WallLeft(
                    body.name(),
                    band.id(),
                    Collision.Escape.RIGHT,
                    unless(certain, Slack.of(Affine.of(band.x1()).minus(closes).minus(body.x1())))));
        }
        if (site.assumedBands()) return;
        Band lowest = site.bands().stream()
                .min(Comparator.comparingDouble(b -> b.y0().likely()))
                .orElseThrow();
        Band highest = site.bands().stream()
                .max(Comparator.comparingDouble(b -> b.y1().likely()))
                .orElseThrow();
        walls.add(new WallLeft(
                body.name(),
                lowest.id(),
                Collision.Escape.BELOW,
                Slack.of(body.y0().minus(Affine.of(lowest.y0())))));
        walls.add(new WallLeft(
                body.name(),
                highest.id(),
                Collision.Escape.ABOVE,
                Slack.of(Affine.of(highest.y1()).minus(body.y1()))));
    }

    /** Where it is not certain that a body reaches into a band at all, nothing is short for certain. */
    private static Slack unless(boolean certain, Slack slack) {
        return slack instanceof Slack.Short s && !certain ? new Slack.Open(s.left(), Optional.empty()) : slack;
    }

    private void meets(Bodies.Body body, Obstruction of, Obstruction.Piece piece, boolean insert) {
        SpaceBox box = piece.box();
        Affine shift = insert ? Affine.of(0) : plane;
        Map<Collision.Escape, Affine> overlaps = new EnumMap<>(Beside.across(body, box));
        overlaps.put(
                Collision.Escape.DEPTH, body.z1().minus(Affine.of(box.z0())).minus(shift));
        if (!body.swept())
            overlaps.put(
                    Collision.Escape.NEARER, Affine.of(box.z1()).plus(shift).minus(body.z0()));
        boolean sideways = true;
        boolean certain = true;
        int undecided = 0;
        Collision.Escape past = null;
        for (var o : overlaps.entrySet()) {
            Range r = o.getValue().range();
            boolean along = o.getKey() == Collision.Escape.DEPTH || o.getKey() == Collision.Escape.NEARER;
            if (r.most() <= 0 && !along) return;
            if (r.most() <= 0) past = o.getKey();
            if (r.least() <= 0) certain = false;
            if (r.least() <= 0 && r.most() > 0) undecided++;
            if (!along && r.least() <= 0) sideways = false;
        }
        if (past != null) {
            if (sideways)
                depths.add(new DepthLeft(
                        body.name(),
                        of.id(),
                        past == Collision.Escape.NEARER,
                        Slack.of(Affine.of(0).minus(overlaps.get(past)))));
            return;
        }
        Collision.Escape escape = escape(overlaps, certain);
        Slack slack = Slack.of(Affine.of(0).minus(overlaps.get(escape)));
        if (slack instanceof Slack.Open o && undecided > 1)
            slack = new Slack.Open(o.left(), o.ask().map(Fitter::perhaps));
        boolean before = body.swept()
                && Affine.of(box.z1()).plus(shift).minus(body.z0()).range().likely() <= 0;
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
        Optional<String> licence = kit.flatMap(
                        k -> Optional.ofNullable(k.trims().get(of.id())))
                .or(() -> Optional.ofNullable(site.trims().get(of.id())));
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

    private FitVerdict verdict(List<FaceGap> gaps, List<Neighbour> neighbours) {
        List<Slack> room = Stream.of(
                        gaps.stream().map(FaceGap::slack),
                        depths.stream().map(DepthLeft::slack),
                        walls.stream().map(WallLeft::slack),
                        neighbours.stream().map(Neighbour::slack))
                .flatMap(s -> s)
                .toList();
        boolean tooLarge = room.stream().anyMatch(Slack.Short.class::isInstance)
                || collisions.stream().anyMatch(c -> c.certain() && c.refused());
        if (tooLarge) return FitVerdict.DOES_NOT_GO_IN;
        boolean open = room.stream().anyMatch(Slack.Open.class::isInstance)
                || collisions.stream().anyMatch(Collision::refused);
        if (open) return FitVerdict.MEASURE_FIRST;
        if (collisions.stream().anyMatch(c -> c.certain() && !c.insertOfKit())) return FitVerdict.GOES_IN_AFTER;
        return collisions.stream().anyMatch(c -> !c.insertOfKit())
                ? FitVerdict.GOES_IN_PERHAPS_AFTER
                : FitVerdict.GOES_IN;
    }
}
