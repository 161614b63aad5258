package velvetbezel.fit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.sheet.fit.RadioBody;
import velvetbezel.sheet.fit.Site;

/** The radio as boxes where it will stand: face, chassis, what stands out behind, and one box for each used plug. */
record Bodies(List<Body> all) {
    /**
     * One box: a plug reaches as far as its leads need to bend.
     *
     * @param swept whether it is slid in, so that it meets whatever it passes
     */
    record Body(String name, boolean swept, Affine x0, Affine x1, Affine y0, Affine y1, Affine z0, Affine z1) {}

    static final String FACE = "face";
    static final String CHASSIS = "chassis";

    Body face() {
        return all.get(0);
    }

    /** @param setBack of the finished face; of a screen before the panel nothing is slid in, and only its face counts */
    static Bodies of(FitQuestion asked, Affine setBack) {
        Site site = asked.site();
        RadioBody radio = asked.radio();
        Optional<KitFrame> kit = asked.kit();
        Set<String> used = asked.used();
        Affine width = Affine.of(radio.faceWidth());
        Affine height = Affine.of(radio.faceHeight());
        Optional<KitFrame.Aperture> aperture = kit.flatMap(KitFrame::aperture);
        Affine left = aperture.map(a -> Affine.of(a.x())).orElse(Affine.of(0));
        Affine below = aperture.map(a -> Affine.of(a.y())).orElse(Affine.of(0));
        Affine roomX = aperture.map(a -> Affine.of(a.width())).orElse(Affine.of(site.width()));
        Affine roomY = aperture.map(a -> Affine.of(a.height())).orElse(Affine.of(site.height()));
        Affine x = left.plus(roomX.minus(width).half());
        Affine y = below.plus(roomY.minus(height).half());
        if (before(kit)) {
            Affine back = Affine.of(0).minus(kit.orElseThrow().feet());
            Affine front = back.minus(radio.thickness()).minus(radio.knobs());
            return new Bodies(List.of(new Body(FACE, false, x, x.plus(width), y, y.plus(height), front, back)));
        }
        List<Body> all = new ArrayList<>();
        Affine back = setBack.plus(radio.thickness());
        Affine front = setBack.minus(radio.knobs());
        all.add(new Body(FACE, true, x, x.plus(width), y, y.plus(height), front, back));
        Affine cx = x.plus(width.minus(Affine.of(radio.width())).half()).plus(radio.offsetX());
        Affine cy = y.plus(height.minus(Affine.of(radio.height())).half()).plus(radio.offsetY());
        Affine rear = back.plus(radio.depth());
        all.add(new Body(CHASSIS, true, cx, cx.plus(radio.width()), cy, cy.plus(radio.height()), back, rear));
        for (RadioBody.RearBox r : radio.rear())
            all.add(new Body(
                    r.id(),
                    true,
                    cx.plus(r.x()),
                    cx.plus(r.x() + r.width()),
                    cy.plus(r.y()),
                    cy.plus(r.y() + r.height()),
                    rear,
                    rear.plus(r.out())));
        for (RadioBody.Socket s : radio.sockets())
            if (used.isEmpty() || used.contains(s.plug()))
                all.add(new Body(
                        s.plug(),
                        true,
                        cx.plus(s.x()),
                        cx.plus(s.x() + s.width()),
                        cy.plus(s.y()),
                        cy.plus(s.y() + s.height()),
                        rear,
                        rear.plus(s.out()).plus(s.bend())));
        return new Bodies(List.copyOf(all));
    }

    /** A screen on feet before the panel. */
    static boolean before(Optional<KitFrame> kit) {
        return kit.filter(k -> k.mount() == KitFrame.Mount.FRONT).isPresent();
    }
}
