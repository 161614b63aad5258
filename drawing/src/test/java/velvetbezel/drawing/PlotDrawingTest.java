package velvetbezel.drawing;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class PlotDrawingTest {
    private static PlotDrawing.Point point(String name, double price, int losses, boolean shown) {
        return new PlotDrawing.Point(name, name, price, losses, shown, false, "#");
    }

    @Test
    void cheaperIsFurtherLeftAndLosingMoreIsHigher() {
        List<PlotDrawing.Dot> dots = PlotDrawing.of(List.of(point("A", 760.5, 2, false), point("B", 101.5, 41, false)))
                .dots();
        assertTrue(dots.get(0).x() > dots.get(1).x()
                && dots.get(0).y() > dots.get(1).y());
    }

    @Test
    void everyDotAndTickLiesInTheDrawing() {
        PlotDrawing plot = PlotDrawing.of(IntStream.range(0, 50)
                .mapToObj(i -> point("K" + i, 17.3 * i * i, i % 7, false))
                .toList());
        assertTrue(plot.dots().stream()
                .allMatch(d -> d.x() >= plot.left() && d.x() <= plot.width() && d.y() >= 0 && d.y() <= plot.bottom()));
        assertTrue(plot.across().stream().allMatch(t -> t.at() >= plot.left() - 1 && t.at() <= plot.width()));
        assertEquals("0", plot.up().get(0).label());
    }

    @Test
    void oneKitAndEqualKitsCanBeDrawn() {
        assertEquals(1, PlotDrawing.of(List.of(point("A", 100, 0, true))).dots().size());
        assertEquals(
                2,
                PlotDrawing.of(List.of(point("A", 100, 3, true), point("B", 100, 3, false))).dots().stream()
                        .mapToDouble(PlotDrawing.Dot::x)
                        .filter(Double::isFinite)
                        .count());
    }

    @Test
    void comparedKitsLieOverTheOthers() {
        assertEquals(
                List.of("B", "A"),
                PlotDrawing.of(List.of(point("A", 1, 1, true), point("B", 2, 1, false))).dots().stream()
                        .map(PlotDrawing.Dot::name)
                        .toList());
    }
}
