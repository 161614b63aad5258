package velvetbezel.fit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import velvetbezel.Demo;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Node;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.fit.FitReader;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.sheet.fit.RadioBody;
import velvetbezel.sheet.fit.Site;

/** Openings, radios and kits to try things on. */
final class Dashes {
    static final Provenance PRINTED = Provenance.of(Provenance.Origin.PRINTED);
    static final Provenance MEASURED = Provenance.of(Provenance.Origin.MEASURED);

    private Dashes() {}

    /** @param json with ' for " */
    static Site site(String json) {
        List<InputProblem> faults = new ArrayList<>();
        Site site = FitReader.site(Node.root(Demo.parse(json.replace('\'', '"')), faults), "car", MEASURED)
                .orElseThrow();
        refuse(faults);
        return site;
    }

    static RadioBody radio(String json) {
        List<InputProblem> faults = new ArrayList<>();
        RadioBody body = FitReader.body(Node.root(Demo.parse(json.replace('\'', '"')), faults), "radio", PRINTED)
                .orElseThrow();
        refuse(faults);
        return body;
    }

    static Optional<KitFrame> kit(String json) {
        List<InputProblem> faults = new ArrayList<>();
        Optional<KitFrame> kit =
                FitReader.frame(Node.root(Demo.parse(json.replace('\'', '"')), faults), "kit", PRINTED);
        refuse(faults);
        return kit;
    }

    private static void refuse(List<InputProblem> faults) {
        if (!faults.isEmpty()) throw new InvalidInput(faults);
    }

    static FitReport fit(Site site, RadioBody radio, Optional<KitFrame> kit) {
        return Fitter.of(site, radio, kit);
    }

    /** A two-DIN or one-DIN radio of printed measures. @param deep chassis; @param plug out and bend together */
    static RadioBody radio(double wide, double high, double deep, double out, double bend) {
        return radio(("{'face': {'w': %s, 'h': %s}, 'chassis': {'w': %s, 'h': %s, 'd': %s},"
                        + " 'sockets': [{'plug': 'main', 'x': 20, 'y': 8, 'w': 52, 'h': 22, 'out': %s,"
                        + " 'bend': {'value': %s, 'from': 'measured'}}]}")
                .formatted(wide, high, wide - 2, high - 2, deep, out, bend));
    }

    static Site seeded(Random random) {
        int depth = 150 + random.nextInt(100);
        StringBuilder obstructions = new StringBuilder();
        for (int i = random.nextInt(4); i > 0; i--) {
            int x = random.nextInt(160);
            int y = random.nextInt(90);
            int z = 40 + random.nextInt(180);
            String may = List.of("unscrew", "move", "trim", "never").get(random.nextInt(4));
            obstructions
                    .append(obstructions.isEmpty() ? "" : ", ")
                    .append(
                            ("{'id': 'o%d', 'boxes': [{'x': [%d, %d], 'y': [%d, %d], 'z': [%d, %d], 'may': '%s', 'by': %d}]}")
                                    .formatted(
                                            i,
                                            x,
                                            x + 10 + random.nextInt(60),
                                            y,
                                            y + 8 + random.nextInt(30),
                                            z,
                                            z + 10 + random.nextInt(60),
                                            may,
                                            random.nextInt(30)));
        }
        String deep = random.nextInt(4) == 0
                ? "{'missing': true, 'range': [%d, %d]}".formatted(depth - 30, depth + 40)
                : "" + depth;
        return site(
                "{'opening': {'w': 184, 'h': 104}, 'bands': [{'id': 'all', 'x': [-10, 194], 'y': [-10, 120], 'depth': %s}], 'obstructions': [%s]}"
                        .formatted(deep, obstructions));
    }
}
