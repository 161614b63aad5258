package velvetbezel.fit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.sheet.fit.RadioBody;
import velvetbezel.sheet.fit.Site;

/**
 * The radio as boxes where it will stand: face, chassis, and one for each plug that is used.
 *
 */
record Bodies(List<Body> all) {
    /** One box: a plug reaches as far as its leads need to bend. */
    record Body(String name, Affine x0, Affine x1, Affine y0, Affine y1, Affine z0, Affine z1) {}

    static final String CHASSIS = "chassis";

    static Bodies of(Site site, RadioBody radio, Optional<KitFrame> kit, double setBack, Set<String> used) {
        Affine width = Affine.of(radio.faceWidth());
        Affine height = Affine.of(radio.faceHeight());
        Optional<KitFrame.Aperture> aperture = kit.flatMap(KitFrame::aperture);
        Affine left = aperture.map(a -> Affine.of(a.x())).orElse(Affine.of(0));
        Affine below = aperture.map(a -> Affine.of(a.y())).orElse(Affine.of(0));
        Affine roomX = aperture.map(a -> Affine.of(a.width())).orElse(Affine.of(site.width()));
        Affine roomY = aperture.map(a -> Affine.of(a.height())).orElse(Affine.of(site.height()));
        Affine x = left.plus(roomX.minus(width).half());
        Affine y = below.plus(roomY.minus(height).half());
        List<Body> all = new ArrayList<>();
        Affine front = Affine.of(setBack);
        Affine back = front.plus(radio.thickness());
        all.add(new Body("face", x, x.plus(width), y, y.plus(height), front, back));
        Affine cx = x.plus(width.minus(Affine.of(radio.width())).half()).plus(radio.offsetX());
        Affine cy = y.plus(height.minus(Affine.of(radio.height())).half()).plus(radio.offsetY());
        Affine rear = back.plus(radio.depth());
        all.add(new Body(CHASSIS, cx, cx.plus(radio.width()), cy, cy.plus(radio.height()), back, rear));
        for (RadioBody.Socket s : radio.sockets())
            if (used.isEmpty() || used.contains(s.plug()))
                all.add(new Body(
                        s.plug(),
                        cx.plus(s.x()),
                        cx.plus(s.x() + s.width()),
                        cy.plus(s.y()),
                        cy.plus(s.y() + s.height()),
                        rear,
                        rear.plus(s.out()).plus(s.bend())));
        return new Bodies(List.copyOf(all));
    }
}
