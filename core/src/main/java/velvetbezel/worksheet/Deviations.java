package velvetbezel.worksheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.harness.Builder;
import velvetbezel.harness.CapReason;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.harness.Joint;
import velvetbezel.harness.Labels;
import velvetbezel.harness.PositionId;
import velvetbezel.sheet.CommonCode;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.Iso10487;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Plug;
import velvetbezel.units.WireColour;

/**
 * What makes a joint an exception to colour for colour, told from the leads that are held in the hands: a colour behind
 * a plug is shown and counts for nothing here.
 */
final class Deviations {
    private final Installation installation;
    private final Labels labels;
    /** Colours of the radio's leads that are capped, and not spare on purpose. */
    private final Set<WireColour> leftOut;

    Deviations(Installation installation) {
        this.installation = installation;
        this.labels = new Labels(installation);
        this.leftOut = installation.caps().stream()
                .filter(c -> !(c.reason() instanceof CapReason.Spare)
                        && radios(c.lead().instance()))
                .flatMap(c -> installation.terminal(c.lead()).colour().known().stream())
                .collect(Collectors.toSet());
    }

    private boolean radios(String instance) {
        return installation
                .instance(instance)
                .filter(i -> i.owner() == Instance.Owner.RADIO)
                .isPresent();
    }

    List<Deviation> of(Joint joint, List<LeadEnd> leads) {
        List<Deviation> found = new ArrayList<>();
        otherFunction(joint.role(), leads).ifPresent(found::add);
        leads.stream()
                .filter(l -> l.colour().known().isEmpty())
                .forEach(l -> found.add(new Deviation(
                        Deviation.Kind.COLOUR_UNKNOWN,
                        "The colour of " + labels.terminal(l.id()) + " is not known: go by position.")));
        coloursDiffer(leads).ifPresent(found::add);
        if (leads.size() > 2)
            found.add(new Deviation(
                    Deviation.Kind.THREE_OR_MORE,
                    "%d leads in one joint: lay them out before joining.".formatted(leads.size())));
        away(leads).ifPresent(found::add);
        lookAlike(joint, leads).ifPresent(found::add);
        guess(leads).ifPresent(found::add);
        return found;
    }

    private static Optional<Deviation> coloursDiffer(List<LeadEnd> leads) {
        List<WireColour> colours = leads.stream()
                .flatMap(l -> l.colour().known().stream())
                .distinct()
                .toList();
        return colours.size() < 2
                ? Optional.empty()
                : Optional.of(new Deviation(
                        Deviation.Kind.COLOURS_DIFFER,
                        capital(colours.stream().map(WireColour::words).collect(Collectors.joining(" goes to ")))
                                + "."));
    }

    private Optional<Deviation> away(List<LeadEnd> leads) {
        return leads.stream()
                .filter(l -> l.id().instance().equals(Builder.CAR))
                .map(l -> installation.terminal(l.id()).location())
                .filter(at -> !at.dash())
                .findFirst()
                .map(at -> new Deviation(
                        Deviation.Kind.AWAY,
                        "The car's wire is not at the radio's plug: it lies at the %s.".formatted(at)));
    }

    private Optional<Deviation> lookAlike(Joint joint, List<LeadEnd> leads) {
        if (!joint.id().location().dash() || leads.stream().anyMatch(l -> radios(l.id().instance())))
            return Optional.empty();
        return leads.stream()
                .flatMap(l -> l.colour().known().stream())
                .filter(leftOut::contains)
                .findFirst()
                .map(c -> new Deviation(
                        Deviation.Kind.LOOK_ALIKE,
                        "The radio has a %s lead, too, and it stays out: it is capped.".formatted(c.words())));
    }

    private Optional<Deviation> guess(List<LeadEnd> leads) {
        return leads.stream()
                .filter(l -> l.carries().filter(Fact.Guessed.class::isInstance).isPresent())
                .findFirst()
                .map(l -> new Deviation(
                        Deviation.Kind.GUESS,
                        "What %s is for is only guessed: join it with a plug, so that it comes apart again."
                                .formatted(labels.terminal(l.id()))));
    }

    // --- a colour or label that says something else

    private Optional<Deviation> otherFunction(LeadRole role, List<LeadEnd> leads) {
        List<String> said = leads.stream().flatMap(l -> says(role, l).stream()).toList();
        if (said.isEmpty()) return Optional.empty();
        return Optional.of(
                new Deviation(Deviation.Kind.OTHER_FUNCTION, carried(role, leads) + " " + String.join(" ", said)));
    }

    /** What the joint carries, and at which position of the car where one leads there. */
    private String carried(LeadRole role, List<LeadEnd> leads) {
        Optional<LeadEnd> car =
                leads.stream().filter(l -> l.carPosition().isPresent()).findFirst();
        if (car.isEmpty()) return "This joint carries %s.".formatted(role.label());
        String standard = standard(car.get())
                .filter(s -> s != role)
                .map(s -> ", where ISO 10487 has " + s.label())
                .orElse("");
        return "Position %s of this car carries %s%s.".formatted(car.get().place(), role.label(), standard);
    }

    /** A lead whose label or usual colour is not what the joint carries. */
    private Optional<String> says(LeadRole role, LeadEnd lead) {
        Optional<LeadRole> label = lead.labelled().map(LeadRole::joinsAs).filter(l -> l != role);
        if (label.isPresent())
            return Optional.of("%s labels its %s lead there %s."
                    .formatted(
                            owner(lead),
                            lead.colourWords(),
                            lead.labelled().get().label()));
        return lead.colour()
                .known()
                .flatMap(CommonCode::role)
                .filter(usual -> usual != role)
                .map(usual ->
                        "%s usually means %s, on %s.".formatted(capital(lead.colourWords()), usual.label(), on(lead)));
    }

    private static String owner(LeadEnd lead) {
        return lead.owner() == Instance.Owner.CAR && !lead.id().instance().equals(Builder.CAR)
                ? "The adapter"
                : capital(lead.deviceWords());
    }

    private static String on(LeadEnd lead) {
        return lead.deviceWords();
    }

    private Optional<LeadRole> standard(LeadEnd lead) {
        return lead.carPosition().flatMap(PositionId::of).flatMap(p -> installation
                .recipe()
                .vehicle()
                .car()
                .plug(p.plug().plug())
                .map(Plug::family)
                .flatMap(f -> Iso10487.role(f, p.number())));
    }

    private static String capital(String text) {
        return text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
    }
}
