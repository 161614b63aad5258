package velvetbezel.harness;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import velvetbezel.sheet.Choice;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.Guard;
import velvetbezel.sheet.Rule;

/**
 * What the rules of a kit propose for settings that nobody decided: of each set-up setting, one at a time, the value under
 * which most of its device's rules have something to do here. No search with proof: two settings that only help together
 * are told by the rules that name both. What a button does is chosen, and never proposed.
 */
public final class ProposedSettings {
    private final Installation installation;
    /** Which devices listen for each message. */
    private final Map<String, Set<String>> listening = new HashMap<>();

    private ProposedSettings(Installation installation) {
        this.installation = installation;
    }

    /**
     * @param inUse settings, by name, that are chosen again and again: nothing is proposed for them
     * @return values that differ from how the device is delivered, by setting
     */
    public static Map<SettingId, String> of(Installation installation, Set<String> inUse) {
        Map<SettingId, String> proposed = new TreeMap<>();
        ProposedSettings all = new ProposedSettings(installation);
        for (Instance i : installation.instances()) {
            if (i.owner() == Instance.Owner.CAR) continue;
            for (Choice c : i.device().settings()) {
                SettingId id = new SettingId(i.id(), c.name());
                boolean open = c.press().isEmpty()
                        && !inUse.contains(c.name())
                        && !installation.settings().containsKey(id.key());
                if (!open) continue;
                String best = all.best(i, c);
                if (!best.equals(c.start())) proposed.put(id, best);
            }
        }
        return proposed;
    }

    /** The same installation with every open setting as proposed. */
    public static Installation applied(Installation installation, Set<String> inUse) {
        return installation.withSettings(of(installation, inUse));
    }

    /** The first of the best; how it is delivered where no other is better. */
    private String best(Instance i, Choice c) {
        String best = c.start();
        long most = uses(i, c.name(), best);
        for (String value : c.values()) {
            long uses = uses(i, c.name(), value);
            if (uses <= most) continue;
            best = value;
            most = uses;
        }
        return best;
    }

    private long uses(Instance i, String setting, String value) {
        Guard.Setting wanted = new Guard.Setting(setting, value);
        return i.device().rules().stream()
                .filter(r -> asks(i.device(), r.when(), wanted) && useful(i, r))
                .count();
    }

    /** Asked for by a guard itself, not under a Not. */
    private static boolean asks(Device device, Guard guard, Guard.Setting wanted) {
        if (guard instanceof Guard.Not) return false;
        if (guard instanceof Guard.Met m)
            return asks(device, device.conditions().get(m.condition()), wanted);
        return guard.equals(wanted) || guard.inner().stream().anyMatch(g -> asks(device, g, wanted));
    }

    /** A message is of use where another device listens for it; every other effect is. */
    private boolean useful(Instance i, Rule rule) {
        List<Effect> then = rule.then();
        return then.stream().anyMatch(e -> !(e instanceof Effect.Emit m) || heard(i, m.signal()));
    }

    private boolean heard(Instance by, String signal) {
        Set<String> listeners = listeners().getOrDefault(signal, Set.of());
        return listeners.size() > 1 || listeners.size() == 1 && !listeners.contains(by.id());
    }

    private Map<String, Set<String>> listeners() {
        if (listening.isEmpty())
            for (Instance i : installation.instances())
                for (Rule r : i.device().rules())
                    i.device().parts(r.when()).forEach(g -> {
                        if (g instanceof Guard.Hears h)
                            listening
                                    .computeIfAbsent(h.signal(), k -> new HashSet<>())
                                    .add(i.id());
                    });
        return listening;
    }
}
