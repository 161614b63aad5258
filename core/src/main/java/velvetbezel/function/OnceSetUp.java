package velvetbezel.function;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import velvetbezel.harness.Edit;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.harness.SettingId;
import velvetbezel.sheet.Choice;

/**
 * What works only once something was set up: each decided setting is put back to what it is as delivered, one at a time,
 * and each device that learns buttons is tried untaught.
 */
final class OnceSetUp {
    private final Outcomes.Against against;
    private final Installation installation;

    OnceSetUp(Outcomes.Against against, Installation installation) {
        this.against = against;
        this.installation = installation;
    }

    Map<FunctionId, Outcome> mark(Map<FunctionId, Outcome> decided) {
        List<SettingId> settings = setOtherwise();
        Set<String> learners = learners();
        List<FunctionId> working = decided.entrySet().stream()
                .filter(e -> e.getValue().works())
                .map(Map.Entry::getKey)
                .toList();
        if (working.isEmpty() || settings.isEmpty() && learners.isEmpty()) return decided;
        Map<FunctionId, List<SettingId>> once = new LinkedHashMap<>();
        for (SettingId s : settings) note(once, s, lostIn(asDelivered(List.of(s)), Set.of(), working));
        for (String device : learners)
            note(once, new SettingId(device, Outcome.LEARNED), lostIn(installation, Set.of(device), working));
        if (settings.size() > 1)
            for (FunctionId f : lostIn(asDelivered(settings), Set.of(), working)) once.putIfAbsent(f, settings);
        Map<FunctionId, Outcome> marked = new LinkedHashMap<>(decided);
        once.forEach((f, needed) -> marked.put(f, decided.get(f).once(needed)));
        return marked;
    }

    private static void note(Map<FunctionId, List<SettingId>> once, SettingId needed, List<FunctionId> lost) {
        lost.forEach(f -> once.computeIfAbsent(f, k -> new ArrayList<>()).add(needed));
    }

    private List<SettingId> setOtherwise() {
        return installation.settings().entrySet().stream()
                .filter(e -> delivered(id(e.getKey()))
                        .filter(start -> !start.equals(e.getValue()))
                        .isPresent())
                .map(e -> id(e.getKey()))
                .sorted()
                .toList();
    }

    private static SettingId id(String key) {
        int dot = key.indexOf('.');
        return new SettingId(key.substring(0, dot), key.substring(dot + 1));
    }

    private Optional<String> delivered(SettingId id) {
        return installation.instance(id.instance()).stream()
                .flatMap(i -> i.device().settings().stream())
                .filter(c -> c.name().equals(id.setting()))
                .map(Choice::start)
                .findFirst();
    }

    private Set<String> learners() {
        return installation.instances().stream()
                .filter(i -> i.owner() != Instance.Owner.CAR)
                .filter(i -> i.device().firstUse().stream()
                        .anyMatch(u -> !u.learnAt().isEmpty()))
                .map(Instance::id)
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private Installation asDelivered(List<SettingId> settings) {
        Installation changed = installation;
        for (SettingId s : settings)
            changed = changed.with(
                    new Edit.SetSetting(s.instance(), s.setting(), delivered(s).orElseThrow()));
        return changed;
    }

    private List<FunctionId> lostIn(Installation other, Set<String> unlearned, List<FunctionId> working) {
        Map<FunctionId, Kind> kinds = new Outcomes.Trial(against, other, unlearned).kinds(working);
        return working.stream()
                .filter(f -> kinds.get(f) == Kind.LOST || kinds.get(f) == Kind.ABSENT)
                .toList();
    }
}
