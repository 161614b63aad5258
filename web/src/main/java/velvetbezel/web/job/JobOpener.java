package velvetbezel.web.job;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import velvetbezel.controls.KeyInput;
import velvetbezel.controls.KeyInputs;
import velvetbezel.controls.SetUpPlan;
import velvetbezel.controls.SetUpSearch;
import velvetbezel.fit.Misplaced;
import velvetbezel.function.CarFunction;
import velvetbezel.function.Catalogue;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.harness.PartUse;
import velvetbezel.harness.ProposedSettings;
import velvetbezel.harness.Recipe;
import velvetbezel.harness.SettingId;
import velvetbezel.identify.WhichSystem;
import velvetbezel.job.Design;
import velvetbezel.job.Entry;
import velvetbezel.job.JobState;
import velvetbezel.match.KitDecisions;
import velvetbezel.sheet.AsBuilt;
import velvetbezel.sheet.Choice;
import velvetbezel.sheet.Doubt;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.KeyPress;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;
import velvetbezel.sheet.SheetTree;
import velvetbezel.sheet.Trait;
import velvetbezel.sheet.Vin;
import velvetbezel.store.Document;
import velvetbezel.store.Job;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;
import velvetbezel.store.Library;
import velvetbezel.store.StandardPlacing;
import velvetbezel.web.shell.NotFound;
import velvetbezel.web.shell.Recent;

/** Opens a job: its sheets with what was measured on this car, and everything computed from them. */
@Service
public class JobOpener {
    private static final int KEPT = 40;
    private final Jobs jobs;
    private final Library library;
    private final Recent<String, Optional<Computed>> recent = new Recent<>(KEPT);

    private record Computed(
            Sheet.Vehicle vehicle, Installation factory, Set<FunctionId> had, Optional<Design> design) {}

    JobOpener(Jobs jobs, Library library) {
        this.jobs = jobs;
        this.library = library;
    }

    /** @throws NotFound if no job has this number */
    public OpenJob open(int number) {
        return open(jobs.find(number)
                .orElseThrow(() -> new NotFound(
                        "No such job", "There is no job %d here. Choose one from the list.".formatted(number))));
    }

    /** A job as stored, or as it would be with other fields. */
    OpenJob open(Job job) {
        Map<String, String> own = jobs.ownSheets(job.id());
        Catalogue catalogue = own.containsKey(Library.CATALOGUE)
                ? Document.read(own.get(Library.CATALOGUE)).catalogue().orElseThrow()
                : library.catalogue();
        List<String> trouble = new ArrayList<>();
        Optional<Computed> computed;
        try {
            computed = recent.get(key(job), () -> compute(job, own, catalogue));
        } catch (InvalidInput e) {
            e.faults().forEach(f -> trouble.add(f.toString()));
            computed = Optional.empty();
        }
        Optional<Sheet.Vehicle> vehicle = computed.map(Computed::vehicle);
        return new OpenJob(
                job,
                catalogue,
                library.tables(),
                vehicle,
                computed.map(Computed::factory),
                vehicle.map(v -> which(job, v)),
                vehicle.map(Doubt::of).orElse(List.of()),
                computed.map(Computed::had).orElse(Set.of()),
                computed.flatMap(Computed::design),
                jobs.undoable(job.id()),
                Map.of(),
                trouble);
    }

    /** The chosen sheet against the others of its model. */
    private WhichSystem which(Job job, Sheet.Vehicle chosen) {
        List<Sheet.Vehicle> sheets = library.model(chosen.make(), chosen.model()).stream()
                .map(s -> s.id().equals(chosen.id()) ? chosen : s)
                .toList();
        Optional<Integer> year =
                chosen.northAmerica() ? job.state().get(new Entry.VinRead()).flatMap(Vin::modelYear) : Optional.empty();
        return WhichSystem.of(sheets.isEmpty() ? List.of(chosen) : sheets, seen(job.state(), year));
    }

    private static WhichSystem.Seen seen(JobState state, Optional<Integer> year) {
        return new WhichSystem.Seen(state.signs(), state.traits(), year);
    }

    /** What the computation depends on: the job's sheets and settled facts, and the library's revision. */
    String key(Job job) {
        StringBuilder key = new StringBuilder(job.id() + " " + library.revision());
        boolean kit = job.state().has(new Entry.RadioChosen());
        job.state()
                .entries()
                .filter(e -> e instanceof Entry.Rewires
                        || e instanceof Entry.TraitSeen
                        || kit && e instanceof Entry.WishMade)
                .forEach(e ->
                        key.append('\n').append(JobCodec.key(e)).append('=').append(JobCodec.text(job.state(), e)));
        return key.toString();
    }

    private Optional<Computed> compute(Job job, Map<String, String> own, Catalogue catalogue) {
        return job.state().get(new Entry.VehicleChosen()).map(id -> {
            Sheet.Vehicle sheet = ((Sheet.Vehicle) settled(job, document(own, id)))
                    .withLayout(job.state().traits());
            Installation factory = Builder.factory(sheet);
            Outcomes.Against against = new Outcomes.Against(factory, catalogue);
            Sheet.Vehicle vehicle =
                    job.state().decisions().in(AsBuilt.of(sheet, job.state().altered()));
            Set<FunctionId> had = Outcomes.fulfilled(factory, catalogue);
            return new Computed(vehicle, factory, had, design(job, own, against, had, vehicle, catalogue));
        });
    }

    private Optional<Design> design(
            Job job,
            Map<String, String> own,
            Outcomes.Against against,
            Set<FunctionId> had,
            Sheet.Vehicle vehicle,
            Catalogue catalogue) {
        return job.state().get(new Entry.RadioChosen()).map(radio -> {
            Sheet.Radio head = as(Sheet.Radio.class, document(own, radio));
            List<Sheet.Part> bought = job.state().parts().stream()
                    .map(id -> as(Sheet.Part.class, document(own, id)))
                    .toList();
            KitDecisions decisions = job.state().decisions();
            Map<String, PartUse> uses = new HashMap<>(decisions.uses());
            uses.putAll(job.state().uses());
            Recipe recipe = Recipe.of(vehicle, head, decisions.applied(vehicle, head, bought))
                    .moving(job.state().moves())
                    .using(uses)
                    .substituting(job.state().substitutes());
            Installation built = decided(recipe, job);
            SetUpPlan setUp = SetUpSearch.of(built, catalogue, against, asked(job, vehicle, had, catalogue));
            Installation set = ProposedSettings.applied(setUp.applied(built), catalogue.settingsInUse());
            List<KeyInput> keys = KeyInputs.of(set);
            return Design.of(
                    against,
                    OpenKeys.asMeasured(set, keys, job.state()),
                    setUp,
                    keys,
                    catalogue,
                    library.tables(),
                    job.state().ways());
        });
    }

    private static SetUpSearch.Asked asked(Job job, Sheet.Vehicle vehicle, Set<FunctionId> had, Catalogue catalogue) {
        Map<Trait, String> traits = new EnumMap<>(Trait.class);
        traits.putAll(vehicle.traits());
        traits.putAll(job.state().traits());
        return new SetUpSearch.Asked(
                wished(job, catalogue, Entry.Wish.MUST_STAY),
                wished(job, catalogue, Entry.Wish.WANTED),
                had,
                job.state().settings(),
                traits);
    }

    private static Set<FunctionId> wished(Job job, Catalogue catalogue, Entry.Wish wish) {
        return catalogue.functions().stream()
                .map(CarFunction::id)
                .filter(f -> job.state().says(new Entry.WishMade(f), wish))
                .collect(Collectors.toSet());
    }

    /**
     * Built with what a person decided.
     *
     * @throws InvalidInput where a decided value is none of the device's; a device that left with its part decides
     *       nothing
     */
    private static Installation decided(Recipe recipe, Job job) {
        Installation built = Builder.build(recipe.setting(job.state().settings()));
        for (Map.Entry<SettingId, String> e : job.state().settings().entrySet())
            built.instance(e.getKey().instance()).stream()
                    .flatMap(i -> i.device().settings().stream())
                    .filter(c ->
                            c.name().equals(e.getKey().setting()) && !allowed(c).contains(e.getValue()))
                    .findFirst()
                    .ifPresent(c -> {
                        throw new InvalidInput(
                                JobCodec.key(new Entry.SettingChoice(e.getKey())),
                                "cannot be \"%s\"; one of %s.".formatted(e.getValue(), String.join(", ", allowed(c))));
                    });
        return placed(built, job);
    }

    private static List<String> allowed(Choice c) {
        boolean fixed = c.press().flatMap(KeyPress::fixed).isPresent();
        return fixed ? List.of(c.start()) : c.values();
    }

    /** With devices where a person put them. */
    private static Installation placed(Installation built, Job job) {
        Map<String, String> places = new HashMap<>();
        for (Entry.PlaceTaken e : job.state().all(Entry.PlaceTaken.class))
            places.put(e.thing(), job.state().get(e).orElseThrow());
        return built.recipe()
                .vehicle()
                .site()
                .map(s -> built.with(Misplaced.of(built, s, StandardPlacing.all(), places)))
                .orElse(built);
    }

    private static <T extends Sheet> T as(Class<T> type, Document document) {
        return document.sheet()
                .filter(type::isInstance)
                .map(type::cast)
                .orElseThrow(() -> new InvalidInput(
                        document.id(),
                        "is a %s, and a %s is needed here."
                                .formatted(document.kind(), type.getSimpleName().toLowerCase(Locale.ROOT))));
    }

    private Document document(Map<String, String> own, String id) {
        if (own.containsKey(id)) return Document.read(own.get(id));
        return library.find(id)
                .orElseThrow(
                        () -> new InvalidInput(id, "This sheet is not in the library; import it, or choose another."));
    }

    /** The vehicle's sheet with the facts that were measured on this job's car. */
    private static Sheet settled(Job job, Document document) {
        as(Sheet.Vehicle.class, document);
        Map<String, String> facts = MeasuredFacts.facts(job);
        if (facts.isEmpty()) return document.sheet().orElseThrow();
        Object tree = MeasuredFacts.withOpening(Document.tree(document.body()), facts.keySet());
        for (var fact : facts.entrySet())
            tree = SheetTree.measured(
                    tree, fact.getKey(), value(fact.getKey(), fact.getValue()), "job " + job.number());
        return SheetReader.read(tree);
    }

    /** What a settled field says, as a sheet writes it: a wire that is there, a length as a number. */
    static Object value(String path, String said) {
        if (path.startsWith("site.")) return length(path, said);
        return path.endsWith(".wired") ? (Object) said.equals("there") : said;
    }

    private static double length(String path, String said) {
        String number = said.replace(',', '.').replaceAll("\\s*mm$", "").strip();
        if (!number.matches("\\d{1,4}(\\.\\d{1,2})?"))
            throw new InvalidInput(
                    path, "\"%s\" is no length; a number of mm is expected, such as 195.".formatted(said));
        return Double.parseDouble(number);
    }
}
