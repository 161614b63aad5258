package velvetbezel.web.job;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import velvetbezel.controls.Decision;
import velvetbezel.controls.KeyAction;
import velvetbezel.harness.Installation;
import velvetbezel.harness.ProposedSettings;
import velvetbezel.harness.Recipe;
import velvetbezel.harness.SettingId;
import velvetbezel.job.Design;
import velvetbezel.job.Entry;
import velvetbezel.match.Cost;
import velvetbezel.match.Kit;
import velvetbezel.match.Labour;
import velvetbezel.match.SetUpWork;
import velvetbezel.sheet.Sheet;
import velvetbezel.strip.FitWorks;
import velvetbezel.strip.Openings;
import velvetbezel.strip.Planner;
import velvetbezel.strip.Wanted;
import velvetbezel.worksheet.Worksheet;

/** Minutes of a job with one kit, as quote, record and comparison all count them. */
public final class JobLabour {
    private static final Planner PLANNER = new Planner();

    private JobLabour() {}

    /** A kit that may not be chosen: as the job would make its joints, without what a person said of the chosen one. */
    public static Labour of(OpenJob open, Kit kit) {
        Installation built = kit.build(open.vehicle().orElseThrow());
        Set<SettingId> set =
                ProposedSettings.of(built, open.catalogue().settingsInUse()).keySet();
        return of(
                open,
                kit,
                Worksheet.of(built),
                SetUpWork.of(built, set, KeyAction.working(open.catalogue(), kit.kinds())));
    }

    /** The chosen one, with what a person said. */
    public static Labour chosen(OpenJob open, Kit kit) {
        Design design = open.design().orElseThrow();
        Set<SettingId> set = design.setUp().decisions().stream()
                .filter(d -> !d.asDelivered())
                .map(Decision::id)
                .collect(Collectors.toSet());
        return of(
                        open,
                        kit,
                        design.worksheet(),
                        SetUpWork.of(design.installation(), set, KeyAction.working(open.catalogue(), design.kinds())))
                .with(said(open));
    }

    /** The same from the design alone. */
    public static Labour chosen(OpenJob open) {
        Recipe recipe = open.design().orElseThrow().installation().recipe();
        Kit kit =
                new Kit(recipe.radio().orElseThrow(), List.copyOf(recipe.parts().values()), Cost.NOTHING, 0, Map.of());
        return chosen(open, kit);
    }

    private static Labour of(OpenJob open, Kit kit, Worksheet worksheet, SetUpWork setUp) {
        Sheet.Vehicle vehicle = open.vehicle().orElseThrow();
        return Labour.of(vehicle, kit, worksheet, open.tables(), open.ways(), setUp, opening(open, vehicle, kit));
    }

    /** Minutes to open the dash and close it, as planned for this kit from the closed car. */
    private static Optional<Double> opening(OpenJob open, Sheet.Vehicle vehicle, Kit kit) {
        return vehicle.strip().flatMap(strip -> {
            FitWorks works = kit.fit(vehicle)
                    .map(r -> FitWorks.in(strip, r, Optional.empty()))
                    .orElse(new FitWorks(strip, Set.of()));
            Wanted wanted =
                    OpenDash.wanted(open, kit.radio().screen(), works.strip().items(), works.away());
            return new Openings(PLANNER, works.strip(), wanted).atTheCar();
        });
    }

    private static Map<String, Integer> said(OpenJob open) {
        Map<String, Integer> said = new TreeMap<>();
        for (Entry.MinutesSaid e : open.state().all(Entry.MinutesSaid.class))
            said.put(e.line(), open.state().get(e).orElseThrow());
        return said;
    }
}
