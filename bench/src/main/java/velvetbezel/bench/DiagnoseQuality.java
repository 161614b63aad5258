package velvetbezel.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import velvetbezel.diagnose.Advice;
import velvetbezel.diagnose.Diagnosis;
import velvetbezel.diagnose.Fault;
import velvetbezel.diagnose.Observation;
import velvetbezel.diagnose.SymptomTable;
import velvetbezel.diagnose.Trial;

/**
 * How well faults are found, seeded: one or two are drawn, a person with noise complains of one check and follows the
 * advice. Run as {@code java -cp … velvetbezel.bench.DiagnoseQuality [every] [doubles]}.
 */
public final class DiagnoseQuality {
    private static final int MOST_STEPS = 30;
    private static final int EARLY = 5;
    private static final int FIRST = 3;

    private final Searched searched;
    private final SymptomTable table;
    private final Random random;
    /** How often a person says something else than what is there. */
    private final double noise;

    private DiagnoseQuality(Searched searched, SymptomTable table, double noise) {
        this.searched = searched;
        this.table = table;
        this.noise = noise;
        this.random = new Random(7);
    }

    /**
     * @param early whether it was among the first three, or found, within five tests
     * @param tests checks, readings and looks until it was found, or given up
     */
    private record Ended(Optional<Fault> found, boolean early, int tests, int minutes) {}

    /** @param arguments every how many singles, and how many doubles */
    public static void main(String[] arguments) {
        int every = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 1;
        int doubles = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 100;
        for (Searched s : List.of(Searched.minibus(), Searched.crossover())) {
            SymptomTable table = s.table();
            System.out.printf(
                    Locale.ROOT,
                    "%s: %d faults, %d shown by nothing, %d tests%n",
                    s.name(),
                    table.rows().size(),
                    table.silent().size(),
                    table.tests().size());
            new DiagnoseQuality(s, table, 0.05).singles("singles", every);
            new DiagnoseQuality(s, table, 0.15).singles("singles, a noisier person", every);
            new DiagnoseQuality(s, table, 0.05).doubles(doubles);
        }
    }

    private void singles(String name, int every) {
        List<Ended> ended = new ArrayList<>();
        for (int i = 0; i < table.rows().size(); i += every) {
            SymptomTable.Row row = table.rows().get(i);
            if (wrong(row.shows()).isEmpty()) continue;
            ended.add(search(row.shows(), List.of(row.fault())));
        }
        say(name, ended);
    }

    private void doubles(int most) {
        List<SymptomTable.Row> rows =
                table.rows().stream().filter(r -> !wrong(r.shows()).isEmpty()).toList();
        List<Ended> first = new ArrayList<>();
        int both = 0;
        for (int i = 0; i < most; i++) {
            SymptomTable.Row a = rows.get(random.nextInt(rows.size()));
            SymptomTable.Row b = rows.get(random.nextInt(rows.size()));
            int[] shows = together(a, b);
            if (wrong(shows).isEmpty()) continue;
            Ended one = search(shows, List.of(a.fault(), b.fault()));
            first.add(one);
            if (one.found.isEmpty()) continue;
            SymptomTable.Row left = one.found.get().equals(a.fault()) ? b : a;
            if (left == a && left == b
                    || search(left.shows(), List.of(left.fault())).found.isPresent()) both++;
        }
        say("doubles, until the first", first);
        System.out.printf(Locale.ROOT, "  both found %.1f %%%n", 100.0 * both / first.size());
    }

    private int[] together(SymptomTable.Row a, SymptomTable.Row b) {
        try {
            return table.shownBy(
                    searched.kit().with(a.fault().edits()).with(b.fault().edits()),
                    searched.kit(),
                    searched.functions(),
                    Searched.RATES);
        } catch (IllegalArgumentException gone) {
            return a.shows();
        }
    }

    private List<Integer> wrong(int[] shows) {
        return IntStream.range(0, shows.length)
                .filter(i -> shows[i] != 0 && table.tests().get(i) instanceof Trial.OfCheck)
                .boxed()
                .toList();
    }

    private Ended search(int[] shows, List<Fault> faults) {
        List<Integer> wrong = wrong(shows);
        int complaint = wrong.get(random.nextInt(wrong.size()));
        List<Observation> seen = new ArrayList<>(
                List.of(new Observation.OfTest(table.tests().get(complaint), said(shows[complaint], complaint))));
        boolean early = false;
        int minutes = 0;
        for (int step = 1; step <= MOST_STEPS; step++) {
            Diagnosis d = Diagnosis.of(table, seen, Map.of());
            if (step <= EARLY + 1) early |= first(d, faults);
            Advice next = d.next().orElse(new Advice.NoneFits());
            if (next instanceof Advice.NoneFits) return new Ended(Optional.empty(), early, step, minutes);
            if (next instanceof Advice.Try t) {
                int i = table.indexOf(t.test());
                minutes += t.test().minutes();
                seen.add(new Observation.OfTest(t.test(), said(shows[i], i)));
            } else if (next instanceof Advice.LookAt l) {
                minutes += l.place().cost();
                Optional<Fault> there =
                        faults.stream().filter(f -> f.place().equals(l.place())).findFirst();
                if (there.isPresent() && random.nextDouble() >= noise)
                    return new Ended(there, early || step <= EARLY + 1, step, minutes);
                seen.add(new Observation.OfLook(l.place(), false));
            }
        }
        return new Ended(Optional.empty(), early, MOST_STEPS, minutes);
    }

    private static boolean first(Diagnosis d, List<Fault> faults) {
        return d.likeliest().stream().limit(FIRST).anyMatch(e -> e.faults().stream()
                .anyMatch(f -> faults.stream().anyMatch(f::contains)));
    }

    /** Of a person with noise; a finding that no single gives is something else. */
    private int said(int shown, int test) {
        if (shown < 0) return Observation.NONE_OF_THEM;
        int of = table.findings().get(test).size();
        if (random.nextDouble() >= noise || of < 2) return shown;
        int other = random.nextInt(of - 1);
        return other >= shown ? other + 1 : other;
    }

    private static void say(String name, List<Ended> ended) {
        double n = ended.size();
        System.out.printf(
                Locale.ROOT,
                "  %s: %d tried, found %.1f %%, in the first three within five %.1f %%, %.2f tests, %.1f minutes%n",
                name,
                ended.size(),
                100 * ended.stream().filter(e -> e.found.isPresent()).count() / n,
                100 * ended.stream().filter(Ended::early).count() / n,
                ended.stream().mapToInt(Ended::tests).average().orElse(0),
                ended.stream().mapToInt(Ended::minutes).average().orElse(0));
    }
}
