package velvetbezel.harness;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.Flow;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.LeadRole;

/**
 * Joints that would do harm or nothing, each with its leads and what to do: feeds of the car looped together or shorted,
 * a diagnostic or data line that is fed, a lead whose own work its joint defeats, an output that bears more than it can,
 * a lead that goes nowhere (common practice, no source).
 */
public final class Misfed {
    private static final Set<LeadRole> NEVER_FED = Set.of(LeadRole.K_LINE, LeadRole.DATA_HIGH, LeadRole.DATA_LOW);
    private static final Set<LeadRole> SWITCHED = Set.of(LeadRole.ACCESSORY, LeadRole.IGNITION);
    private static final Set<LeadRole> OUTPUTS = Set.of(LeadRole.AMP_REMOTE, LeadRole.ANTENNA_POWER);
    private static final double USUAL_LIMIT = 0.3;

    private final Installation installation;
    private final Labels labels;
    private final List<InputProblem> faults = new ArrayList<>();

    private Misfed(Installation installation) {
        this.installation = installation;
        this.labels = new Labels(installation);
    }

    public static List<InputProblem> in(Installation installation) {
        Misfed misfed = new Misfed(installation);
        Components components = new Components(installation.conductors());
        components.groups().forEach(misfed::net);
        for (Joint joint : installation.joints()) {
            joint.leads().forEach(lead -> misfed.lead(joint, lead));
            if (OUTPUTS.contains(joint.role())) misfed.overload(joint, components);
        }
        misfed.nowhere();
        return misfed.faults;
    }

    private void fault(String at, String message) {
        faults.add(new InputProblem(at, message));
    }

    private Optional<LeadRole> role(TerminalId id) {
        return Optional.ofNullable(installation.terminal(id)).flatMap(Terminal::role);
    }

    private String place(TerminalId id) {
        Terminal t = installation.terminal(id);
        return t.location().dash() ? t.place() : t.location().words();
    }

    private String words(TerminalId id) {
        return "%s (%s)".formatted(role(id).orElseThrow().label(), place(id));
    }

    // --- what hangs together

    private void net(List<TerminalId> net) {
        Map<LeadRole, TerminalId> car = net.stream()
                .filter(t -> t.instance().equals(Builder.CAR) && role(t).isPresent())
                .collect(Collectors.toMap(t -> role(t).orElseThrow(), t -> t, (a, b) -> a));
        List<LeadRole> feeds =
                car.keySet().stream().filter(LeadRole::feeds).sorted().toList();
        for (int i = 1; i < feeds.size(); i++) looped(car.get(feeds.get(0)), car.get(feeds.get(i)));
        if (!feeds.isEmpty() && car.containsKey(LeadRole.GROUND))
            shorted(car.get(feeds.get(0)), car.get(LeadRole.GROUND));
        NEVER_FED.stream().sorted().forEach(line -> Optional.ofNullable(car.get(line))
                .ifPresent(at -> fed(at, net)));
    }

    private void looped(TerminalId first, TerminalId other) {
        boolean plays = role(first).orElseThrow() == LeadRole.CONSTANT
                && SWITCHED.contains(role(other).orElseThrow());
        fault(
                first + " and " + other,
                "%s and %s of the car are joined: %s. Take one of them out of the joint."
                        .formatted(
                                words(first),
                                words(other),
                                plays
                                        ? "the radio plays with the key off and the battery goes flat"
                                        : "each feeds the other's circuit past its switch and fuse"));
    }

    private void shorted(TerminalId feed, TerminalId ground) {
        fault(
                feed + " and " + ground,
                "%s and %s of the car are joined: a short circuit, and its fuse blows. Take one of them out of the joint."
                        .formatted(words(feed), words(ground)));
    }

    private void fed(TerminalId line, List<TerminalId> net) {
        net.stream()
                .filter(t -> role(t).filter(LeadRole::feeds).isPresent())
                .findFirst()
                .ifPresent(feed -> fault(
                        line + " and " + feed,
                        "the car's %s is joined to %s: it must never be fed 12 V, and its control units can be destroyed. Take it out of the joint and cap it."
                                .formatted(words(line), words(feed))));
    }

    // --- one lead in its joint

    private void lead(Joint joint, TerminalId lead) {
        Terminal t = installation.terminal(lead);
        boolean carEnd = lead.instance().equals(Builder.CAR) || PositionId.isTail(lead);
        if (t.carries().filter(Fact.Guessed.class::isInstance).isPresent() && t.flow() == Flow.GIVES)
            fault(
                    lead.toString(),
                    "%s is only guessed to be a feed, and is joined. Measure it first, and state what it is."
                            .formatted(capital(labels.terminal(lead))));
        Optional<LeadRole> own = t.role();
        if (own.isEmpty() || carEnd || own.get().joinsAs() == joint.role()) return;
        harm(own.get(), joint.role(), t.flow())
                .ifPresent(harm -> fault(
                        lead.toString(),
                        "%s lies in the %s: %s."
                                .formatted(
                                        capital(labels.terminal(lead)),
                                        joint.id().label(),
                                        harm)));
    }

    /** What comes of a lead in a joint that carries something else; empty where it does no harm. */
    private static Optional<String> harm(LeadRole own, LeadRole joint, Flow flow) {
        if (SWITCHED.contains(own) && joint == LeadRole.CONSTANT)
            return Optional.of("the radio plays with the key off and the battery goes flat. Join it with accessory");
        if (own == LeadRole.CONSTANT && joint != LeadRole.CONSTANT)
            return Optional.of("it loses clock and settings at every key-off. Join it with constant");
        if (own == LeadRole.PARKING_BRAKE)
            return Optional.of(
                    "it belongs on the wire of the parking-brake switch or on a module that reads it, and on nothing else. "
                            + "Anything else defeats the lock on moving pictures, which is unlawful in many places");
        if (joint == LeadRole.GROUND && own.group() == LeadRole.Group.SPEAKER)
            return Optional.of("a speaker output to ground is destroyed. Take it out of the joint");
        if (joint == LeadRole.GROUND && flow == Flow.GIVES)
            return Optional.of("an output to ground is destroyed. Take it out of the joint");
        if (own == LeadRole.GROUND && joint != LeadRole.GROUND)
            return Optional.of("ground there short-circuits what gives. Join it with ground");
        return Optional.empty();
    }

    // --- what an output bears

    private void overload(Joint joint, Components components) {
        Draws draws = new Draws(installation, components);
        joint.leads().stream()
                .filter(l -> installation.terminal(l).flow() == Flow.GIVES && ofRadio(l))
                .findFirst()
                .ifPresent(output -> {
                    double limit = draws.limit(output).orElse(USUAL_LIMIT);
                    draws.drawnAt(output)
                            .filter(drawn -> drawn > limit)
                            .ifPresent(drawn -> fault(
                                    output.toString(),
                                    "%s bears %s A, and what hangs on it draws %.1f A. Put a relay between them, fed from constant with a fuse of its own."
                                            .formatted(capital(labels.terminal(output)), plain(limit), drawn)));
                });
    }

    private boolean ofRadio(TerminalId id) {
        return installation
                .instance(id.instance())
                .filter(i -> i.owner() == Instance.Owner.RADIO)
                .isPresent();
    }

    private static String plain(double amps) {
        return String.valueOf(amps).replaceAll("\\.0$", "");
    }

    private void nowhere() {
        new TreeMap<>(installation.recipe().moves().to()).forEach((lead, to) -> {
            boolean capped = installation.caps().stream().anyMatch(c -> c.lead().equals(lead));
            if (to.isPresent() && capped)
                fault(
                        lead.toString(),
                        "goes nowhere: you chose %s for it, and nothing else meets it there. Choose another joint, or cap it."
                                .formatted(to.get().label()));
        });
    }

    private static String capital(String text) {
        return text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
    }
}
