package velvetbezel.web.fit;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import velvetbezel.drawing.FitDrawing;
import velvetbezel.fit.FitReport;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.web.job.OpenFit;
import velvetbezel.web.job.OpenJob;

/**
 * The drawing as a template at full size: one view a page, on more pages where it is larger than the paper.
 *
 * @param size "A4 landscape" or "letter landscape"
 */
record FitPaper(int number, String title, String size, List<Page> pages) {
    private static final double MARGIN = 10;
    /** Height that heading and scale bars take. */
    private static final double BARS = 21;
    /** Of a drawing's own margin so much is empty above and at the right, and below and at the left. */
    private static final double EMPTY = 20;

    private static final double LITTLE = 4;

    /** A sheet laid on its side: what of it can be drawn on, in mm. */
    private enum Format {
        A4("A4 landscape", 297, 210),
        LETTER("letter landscape", 279.4, 215.9);

        private final String css;
        private final double width;
        private final double height;

        Format(String css, double width, double height) {
            this.css = css;
            this.width = width - 2 * MARGIN;
            this.height = height - 2 * MARGIN - BARS;
        }
    }

    /**
     * One page.
     *
     * @param x where what it shows begins in the drawing; a unit is a millimetre
     * @param part    "2 of 4"; an empty text where it is all on one page
     */
    public record Page(FitDrawing drawing, double x, double y, double width, double height, String part) {
        public String viewBox() {
            return String.format(Locale.ROOT, "%.2f %.2f %.2f %.2f", x, y, width, height);
        }

        public boolean tiled() {
            return !part.isEmpty();
        }
    }

    /** @throws InvalidInput where the paper is none, or nothing is measured */
    static FitPaper of(OpenJob open, String paper) {
        Format format =
                switch (paper) {
                    case "a4" -> Format.A4;
                    case "letter" -> Format.LETTER;
                    default -> throw new InvalidInput(
                            "paper", "\"%s\" is no paper here; a4 or letter.".formatted(paper));
                };
        OpenFit fit = open.fit();
        FitReport report = fit.report()
                .orElseThrow(() -> new InvalidInput(
                        "template",
                        "Job %d has nothing to draw: opening and radio are not both measured."
                                .formatted(open.job().number())));
        List<FitDrawing> drawings = new ArrayList<>();
        FitDrawing.of(fit.site().orElseThrow(), report, List.of()).stream()
                .filter(d -> d.view() != FitDrawing.View.TOP)
                .forEach(drawings::add);
        report.taken().ifPresent(choice -> {
            for (String side : List.of("left", "right"))
                fit.frame()
                        .flatMap(side.equals("left") ? KitFrame::left : KitFrame::right)
                        .map(b -> FitDrawing.of(b, fit.body().orElseThrow(), choice, side))
                        .ifPresent(drawings::add);
        });
        return new FitPaper(
                open.job().number(),
                open.job().title(),
                format.css,
                drawings.stream().flatMap(d -> pages(d, format).stream()).toList());
    }

    private static List<Page> pages(FitDrawing d, Format format) {
        double wide = d.wide() - EMPTY - LITTLE;
        double high = d.high() - EMPTY - LITTLE;
        int across = (int) Math.ceil(wide / format.width);
        int down = (int) Math.ceil(high / format.height);
        int all = across * down;
        List<Page> pages = new ArrayList<>();
        for (int row = 0; row < down; row++)
            for (int column = 0; column < across; column++) {
                double x = column * format.width;
                double y = row * format.height;
                String part = all == 1 ? "" : "%d of %d".formatted(row * across + column + 1, all);
                pages.add(new Page(
                        d,
                        LITTLE + x,
                        EMPTY + y,
                        Math.min(format.width, wide - x),
                        Math.min(format.height, high - y),
                        part));
            }
        return pages;
    }
}
