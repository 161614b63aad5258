package velvetbezel.match;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.harness.SettingId;
import velvetbezel.sheet.HowSet;

/**
 * What a kit asks to be set up.
 *
 * @param settings of each that is set otherwise than delivered
 * @param keys     buttons that its devices learn one by one
 */
public record SetUpWork(List<HowSet> settings, int keys) {
    public static final SetUpWork NONE = new SetUpWork(List.of(), 0);

    public SetUpWork {
        settings = List.copyOf(settings);
    }

    /**
     * @param set     settings that are made
     * @param working buttons that work then: others nobody teaches
     */
    public static SetUpWork of(Installation installation, Set<SettingId> set, int working) {
        List<HowSet> settings = new ArrayList<>();
        int keys = 0;
        for (Instance i : installation.instances()) {
            i.device().settings().stream()
                    .filter(c -> set.contains(new SettingId(i.id(), c.name())))
                    .forEach(c -> settings.add(c.how()));
            boolean learns = i.owner() != Instance.Owner.CAR
                    && i.device().firstUse().stream().anyMatch(u -> !u.learnAt().isEmpty());
            if (learns) keys = working;
        }
        return new SetUpWork(settings, keys);
    }
}
