package velvetbezel.harness;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Plug;

/**
 * Factory amplifiers whose output plug has been taken apart: nothing may switch them on. A remote wire that feeds
 * something more, such as a mast's relay, goes on doing so.
 */
final class Bypass {
    /** Device id to the name of the amplifier. */
    private final Map<String, String> amplifiers = new HashMap<>();

    private final Draft draft;
    private final Ends ends;

    private Bypass(Draft draft, Ends ends) {
        this.draft = draft;
        this.ends = ends;
    }

    static Bypass of(Draft draft, Ends ends) {
        Bypass bypass = new Bypass(draft, ends);
        for (Instance i : draft.instances)
            if (i.owner() == Instance.Owner.CAR && !i.id().equals(Builder.CAR))
                for (Plug plug : i.device().plugs())
                    if (plug.drivesSpeakers() && bypass.parted(i, plug))
                        bypass.amplifiers.put(i.id(), i.device().name());
        return bypass;
    }

    private boolean parted(Instance i, Plug plug) {
        return !ends.mated(new PlugRef(i.id(), plug.id()))
                && draft.instance(Builder.CAR).device().plugs().stream().anyMatch(plug::mates);
    }

    boolean any() {
        return !amplifiers.isEmpty();
    }

    Optional<String> name() {
        return amplifiers.values().stream().sorted().findFirst();
    }

    /** The bypassed amplifier that a remote lead would switch on and nothing else. */
    Optional<String> switches(End e) {
        if (amplifiers.isEmpty() || e.role() != LeadRole.AMP_REMOTE || e.cable().isPresent()) return Optional.empty();
        boolean others = ends.ends().stream()
                .filter(o -> o.role() == LeadRole.AMP_REMOTE && o.takes())
                .anyMatch(o -> o.cable().isEmpty() && !onlyBypassed(o));
        return others || e.takes() && !onlyBypassed(e) ? Optional.empty() : name();
    }

    private boolean onlyBypassed(End e) {
        return ends.components().with(e.id()).stream()
                        .filter(t -> !t.instance().equals(Builder.CAR)
                                && !t.instance().equals(e.id().instance()))
                        .filter(t -> draft.instance(t.instance()).owner() == Instance.Owner.CAR)
                        .allMatch(t -> amplifiers.containsKey(t.instance()))
                && e.owner() == Instance.Owner.CAR;
    }
}
