package velvetbezel.web.job;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import velvetbezel.diagnose.Finding;
import velvetbezel.diagnose.SceneDiff;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.prove.Meter;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/** What a test shows, in the words of whoever stands before it. */
public final class SymptomWords {
    private static final int MOST = 3;
    private final Installation installation;

    public SymptomWords(Installation installation) {
        this.installation = installation;
    }

    public String of(Finding finding) {
        if (finding instanceof Finding.Nothing n) return Say.it("finding.nothing." + n.meter());
        if (finding instanceof Finding.Between b) return of(b);
        Finding.Symptom symptom = (Finding.Symptom) finding;
        return symptom.right() ? Say.it("finding.right") : of(symptom);
    }

    private static String of(Finding.Between b) {
        String digits = b.meter() == Meter.AMPS ? "%.3f" : "%.1f";
        return Say.it(
                "finding.between." + b.meter(),
                digits.formatted(Math.max(b.low(), lowest(b))),
                digits.formatted(b.high()));
    }

    /** No meter shows less than no ohms. */
    private static double lowest(Finding.Between b) {
        return b.meter() == Meter.VOLTS ? b.low() : 0;
    }

    /** Several places of one kind are said together. */
    private String of(Finding.Symptom symptom) {
        Map<String, List<SceneDiff>> alike = symptom.diffs().stream()
                .collect(
                        Collectors.groupingBy(d -> d.kind() + " " + d.what(), LinkedHashMap::new, Collectors.toList()));
        List<String> said = new ArrayList<>();
        alike.values().forEach(d -> said.add(of(d)));
        return said.size() <= MOST
                ? Words.sentence(String.join("; ", said))
                : Words.sentence(String.join("; ", said.subList(0, MOST))) + Say.it("finding.more", said.size() - MOST);
    }

    private String of(List<SceneDiff> alike) {
        SceneDiff first = alike.get(0);
        String where = Words.list(alike.stream()
                .flatMap(d -> List.of(d.where().split(", ")).stream())
                .map(this::name)
                .distinct()
                .toList());
        boolean off = first.kind() == SceneDiff.Kind.NOT_SHOWN && first.what().equals("on");
        boolean music = first.kind() == SceneDiff.Kind.MISSING && first.what().equals("music");
        return Say.it(off ? "symptom.off" : music ? "symptom.silent" : "symptom." + first.kind(), first.what(), where);
    }

    private String name(String instance) {
        return installation
                .instance(instance)
                .map(i -> i.owner() == Instance.Owner.CAR
                        ? Words.small(i.device().name())
                        : i.device().name())
                .orElse(instance);
    }
}
