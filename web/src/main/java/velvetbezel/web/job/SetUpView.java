package velvetbezel.web.job;

import static velvetbezel.store.JobCodec.key;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import velvetbezel.function.FunctionId;
import velvetbezel.harness.Instance;
import velvetbezel.harness.SettingId;
import velvetbezel.job.Design;
import velvetbezel.job.Entry;
import velvetbezel.sheet.Choice;
import velvetbezel.web.shell.Words;

/** What is set up on the devices of a kit, and what works only then. */
public final class SetUpView {
    private SetUpView() {}

    /**
     * One setting.
     *
     * @param standing whether a person decided it, or the rules propose it
     * @param serves   functions that do not work with it as delivered
     * @param field    that holds its value
     * @param setField that holds the tick
     */
    public record Line(
            String field,
            String id,
            String device,
            String name,
            String value,
            List<String> values,
            String standing,
            String serves,
            String setField,
            boolean set) {}

    /** Settings that were decided, that the rules propose, or that a function hangs on. */
    public static List<Line> of(OpenJob open) {
        if (open.design().isEmpty()) return List.of();
        Design design = open.design().get();
        Map<SettingId, List<FunctionId>> serves = new TreeMap<>();
        design.outcomes().forEach((f, o) -> o.once().forEach(id -> serves.computeIfAbsent(id, k -> new ArrayList<>())
                .add(f)));
        List<Line> lines = new ArrayList<>();
        for (Instance i : design.installation().instances())
            for (Choice c : i.device().settings()) {
                SettingId id = new SettingId(i.id(), c.name());
                boolean told = serves.containsKey(id)
                        || i.owner() != Instance.Owner.CAR
                                && design.installation().settings().containsKey(id.key());
                if (told) lines.add(line(open, i, c, serves.getOrDefault(id, List.of())));
            }
        return lines;
    }

    private static Line line(OpenJob open, Instance i, Choice c, List<FunctionId> serves) {
        SettingId id = new SettingId(i.id(), c.name());
        boolean decided = open.has(new Entry.SettingChoice(id));
        String value = open.design().orElseThrow().installation().settings().getOrDefault(id.key(), c.start());
        List<String> names = serves.stream().map(open::functionName).toList();
        return new Line(
                key(new Entry.SettingChoice(id)),
                Ids.of(new Entry.SettingChoice(id)),
                i.device().name(),
                c.name(),
                value,
                c.values(),
                decided ? "decided" : value.equals(c.start()) ? "as delivered" : "proposed by the rules",
                names.isEmpty() ? "No function can tell." : "Without it: no " + Words.list(Words.together(names)) + ".",
                key(new Entry.SettingMade(id)),
                open.has(new Entry.SettingMade(id)));
    }
}
