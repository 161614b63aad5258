package velvetbezel.fit;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.harness.Edit;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.fit.MountingPlace;
import velvetbezel.sheet.fit.Site;
import velvetbezel.sheet.fit.Thing;

/** What a place that a person chose does to a device: an antenna under metal hears nothing, and functions show it. */
public final class Misplaced {
    private Misplaced() {}

    /** @param places id of a place by the name of the part that goes there */
    public static List<Edit> of(Installation installation, Site site, PlacingRules rules, Map<String, String> places) {
        List<Edit> edits = new ArrayList<>();
        for (Sheet.Part part : installation.recipe().parts().values()) {
            Optional<MountingPlace> place = site.places().stream()
                    .filter(p -> p.id().equals(places.get(part.name())))
                    .findFirst();
            Optional<Thing.Kind> kind = part.kind().wants();
            if (place.isEmpty() || kind.isEmpty()) continue;
            for (PlacingRule rule : rules.all())
                if (rule.things().contains(kind.get()) && rule.of(place.get()) == PlacingRule.Answer.SPEAKS_AGAINST)
                    for (Instance i : installation.instances())
                        rule.placement()
                                .filter(p -> i.sheet().equals(part.id())
                                        && i.device().placements().contains(p))
                                .ifPresent(p -> edits.add(new Edit.Misplace(i.id(), p)));
        }
        return edits;
    }
}
