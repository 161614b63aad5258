package velvetbezel.match;

import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import velvetbezel.fit.FitQuestion;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.fit.RadioBody;

/** Which plugs of a radio need room behind it. */
public final class PlugsInUse {
    private PlugsInUse() {}

    /** Those of every kit: what feeds the radio, and its antenna's. */
    static Set<String> always(Sheet.Radio radio) {
        Set<String> always = radio.device().plugs().stream()
                .filter(p -> carries(p, LeadRole.CONSTANT) || carries(p, LeadRole.ANTENNA))
                .map(Plug::id)
                .collect(Collectors.toSet());
        return radio.shape().map(s -> of(s, radio.device(), always::contains)).orElse(FitQuestion.NO_PLUG);
    }

    /** Those that mate in one installation. */
    public static Set<String> in(Installation installation, RadioBody body) {
        return installation
                .instance(Builder.RADIO)
                .map(r -> of(
                        body, r.device(), p -> installation.matings().stream().anyMatch(m -> m.has(Builder.RADIO, p))))
                .orElse(FitQuestion.NO_PLUG);
    }

    /** A socket that only the body names, such as the one of the leads that come with the radio, is counted. */
    private static Set<String> of(RadioBody body, Device device, Predicate<String> mates) {
        Set<String> named = device.plugs().stream().map(Plug::id).collect(Collectors.toSet());
        Set<String> used = body.sockets().stream()
                .map(RadioBody.Socket::plug)
                .filter(p -> !named.contains(p) || mates.test(p))
                .collect(Collectors.toSet());
        return used.isEmpty() ? FitQuestion.NO_PLUG : used;
    }

    private static boolean carries(Plug plug, LeadRole role) {
        return plug.positions().stream()
                .anyMatch(p -> p.role().filter(role::equals).isPresent());
    }
}
