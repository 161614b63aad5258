package velvetbezel.worksheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.harness.Mating;
import velvetbezel.harness.Terminal;
import velvetbezel.harness.Use;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Sheet;

/** What is looked at when parts arrive, while they can still go back (common practice, no source). */
public final class GoodsIn {
    private GoodsIn() {}

    /**
     * @param sheet the radio or part
     * @param id    names the check within its sheet
     */
    public record Check(String sheet, String id, String what) {}

    /** Radio first, then parts in the kit's order. Empty for the factory installation. */
    public static List<Check> of(Installation installation) {
        List<Check> checks = new ArrayList<>();
        installation.recipe().radio().ifPresent(radio -> {
            checks.add(new Check(radio.id(), "box", "The radio and its label are a %s.".formatted(radio.name())));
            leads(
                    installation,
                    installation.recipe().radio().filter(Sheet.Radio::screen).isPresent()
                            ? Builder.SCREEN
                            : Builder.RADIO,
                    radio.id(),
                    checks);
        });
        for (Map.Entry<String, Sheet.Part> e : installation.recipe().parts().entrySet()) {
            Sheet.Part part = e.getValue();
            if (!arrives(installation.recipe().use(e.getKey()).use())) continue;
            checks.add(new Check(part.id(), "box", "Box and label say %s.".formatted(part.name())));
            part.unproven(installation.recipe().vehicle())
                    .ifPresent(why -> checks.add(new Check(
                            part.id(),
                            "fit",
                            "%s: held to the car before the dash is opened, and it goes together.".formatted(why))));
            part.holds()
                    .ifPresent(h -> checks.add(new Check(
                            part.id(),
                            "hold",
                            "Held to the opening and to the radio it fits both%s."
                                    .formatted(
                                            part.finishes().isEmpty()
                                                    ? ""
                                                    : "; its colour is " + String.join(" or ", part.finishes())))));
            for (Mating m : installation.matings())
                if (m.touches(e.getKey())) checks.add(plug(installation, e.getKey(), part.id(), m));
            if (part.device().isPresent()) leads(installation, e.getKey(), part.id(), checks);
        }
        return checks;
    }

    /** What is at hand or made by hand comes in no box. */
    private static boolean arrives(Use use) {
        return use == Use.FITTED || use == Use.LATER;
    }

    private static Check plug(Installation installation, String instance, String sheet, Mating m) {
        boolean first = m.instance().equals(instance);
        String own = first ? m.plug() : m.otherPlug();
        String other = first ? m.otherInstance() : m.instance();
        Instance partner = installation.instance(other).orElseThrow();
        String where = partner.owner() == Instance.Owner.CAR
                ? "the car's plug " + (first ? m.otherPlug() : m.plug())
                : "the " + partner.device().name();
        String text = is(installation, instance, own, LeadRole.MICROPHONE)
                ? "Its %s goes into the microphone socket of %s, not into the look-alike beside it."
                        .formatted(m.family(), where)
                : "Its %s goes home on %s and locks.".formatted(m.family(), where);
        return new Check(sheet, "plug " + own, text);
    }

    private static boolean is(Installation installation, String instance, String plug, LeadRole role) {
        Optional<Plug> found =
                installation.instance(instance).flatMap(i -> i.device().plug(plug));
        return found.filter(p -> p.positions().stream().anyMatch(x -> x.role().equals(Optional.of(role))))
                .isPresent();
    }

    /** The same part with bare leads and with finished plugs are two revisions and need different work. */
    private static void leads(Installation installation, String instance, String sheet, List<Check> checks) {
        long bare = installation.terminals().values().stream()
                .filter(t -> t.id().instance().equals(instance) && t.kind() == Terminal.Kind.BARE)
                .count();
        checks.add(new Check(
                sheet,
                "revision",
                bare == 0
                        ? "No bare leads: every plug is finished. With bare leads it is another revision."
                        : "%d bare %s, as its sheet has them. With finished plugs it is another revision."
                                .formatted(bare, bare == 1 ? "lead" : "leads")));
    }
}
