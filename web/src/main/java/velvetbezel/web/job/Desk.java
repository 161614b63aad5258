package velvetbezel.web.job;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.springframework.stereotype.Service;
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
import velvetbezel.match.KitDecisions;
import velvetbezel.sheet.AsBuilt;
import velvetbezel.sheet.Doubt;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetReader;
import velvetbezel.sheet.SheetTree;
import velvetbezel.sheet.Vin;
import velvetbezel.store.Document;
import velvetbezel.store.Job;
import velvetbezel.store.JobArchive;
import velvetbezel.store.Jobs;
import velvetbezel.store.Library;

/** Opens a job: its sheets with what was measured on this car, and everything computed from them. */
@Service
public class Desk {
    private static final int KEPT = 40;
    private final Jobs jobs;
    private final Library library;
    private final Recent<String, Optional<Computed>> recent = new Recent<>(KEPT);

    private record Computed(
            Sheet.Vehicle vehicle, Installation factory, Set<FunctionId> had, Optional<Design> design) {}

    /** No job has this number. */
    public static class NoSuchJob extends RuntimeException {
        private static final long serialVersionUID = 1;

        NoSuchJob(int number) {
            super("There is no job %d here. Choose one from the list.".formatted(number));
        }
    }

    Desk(Jobs jobs, Library library) {
        this.jobs = jobs;
        this.library = library;
    }

    OpenJob open(int number) {
        return open(jobs.find(number).orElseThrow(() -> new NoSuchJob(number)));
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
        Optional<Integer> year = chosen.northAmerica()
                ? job.field(Fields.VIN).flatMap(Questions::vin).flatMap(Vin::modelYear)
                : Optional.empty();
        return WhichSystem.of(sheets.isEmpty() ? List.of(chosen) : sheets, OpenJob.seen(job, year));
    }

    /** What the computation depends on: the job's sheets and settled facts, and the library's revision. */
    String key(Job job) {
        StringBuilder key = new StringBuilder(job.id() + " " + library.revision());
        new TreeMap<>(job.fields()).forEach((field, value) -> {
            if (Fields.rewires(field))
                key.append('\n').append(field).append('=').append(value);
        });
        return key.toString();
    }

    private Optional<Computed> compute(Job job, Map<String, String> own, Catalogue catalogue) {
        return job.field(Fields.VEHICLE).map(id -> {
            Sheet.Vehicle sheet = (Sheet.Vehicle) settled(job, document(own, id));
            Installation factory = Builder.factory(sheet);
            Sheet.Vehicle vehicle = OpenJob.decisions(job).in(AsBuilt.of(sheet, asBuilt(job)));
            return new Computed(
                    vehicle,
                    factory,
                    Outcomes.fulfilled(factory, catalogue),
                    design(job, own, factory, vehicle, catalogue));
        });
    }

    /** What former owners changed, "plug/position" to what is there now. */
    private static Map<String, String> asBuilt(Job job) {
        Map<String, String> changes = new TreeMap<>();
        job.fields().forEach((field, value) -> {
            if (field.startsWith(Fields.AS_BUILT)) changes.put(field.substring(Fields.AS_BUILT.length()), value);
        });
        return changes;
    }

    private Optional<Design> design(
            Job job, Map<String, String> own, Installation factory, Sheet.Vehicle vehicle, Catalogue catalogue) {
        return job.field(Fields.RADIO).map(radio -> {
            Sheet.Radio head = as(Sheet.Radio.class, document(own, radio));
            List<Sheet.Part> bought = JobArchive.parts(job.field(Fields.PARTS).orElse("")).stream()
                    .map(id -> as(Sheet.Part.class, document(own, id)))
                    .toList();
            KitDecisions decisions = OpenJob.decisions(job);
            Map<String, PartUse> uses = new HashMap<>(decisions.uses());
            uses.putAll(OpenJob.uses(job));
            Recipe recipe = Recipe.of(vehicle, head, decisions.applied(vehicle, head, bought))
                    .moving(OpenJob.moves(job))
                    .using(uses)
                    .substituting(OpenJob.instead(job));
            return Design.of(factory, decided(recipe, job, catalogue), catalogue, library.tables(), OpenJob.ways(job));
        });
    }

    /**
     * Built with what was decided, and with what the rules propose for the rest.
     *
     * @throws InvalidInput where a decided value is none of the device's; a device that left with its part decides nothing
     */
    private static Installation decided(Recipe recipe, Job job, Catalogue catalogue) {
        Installation built = Builder.build(recipe.setting(OpenJob.settings(job)));
        for (Map.Entry<SettingId, String> e : OpenJob.settings(job).entrySet())
            built.instance(e.getKey().instance()).stream()
                    .flatMap(i -> i.device().settings().stream())
                    .filter(c ->
                            c.name().equals(e.getKey().setting()) && !c.values().contains(e.getValue()))
                    .findFirst()
                    .ifPresent(c -> {
                        throw new InvalidInput(
                                Fields.setting(e.getKey()),
                                "cannot be \"%s\"; one of %s.".formatted(e.getValue(), String.join(", ", c.values())));
                    });
        return ProposedSettings.applied(built, catalogue.settingsInUse());
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
        Map<String, String> facts = Offering.facts(job);
        if (facts.isEmpty()) return document.sheet().orElseThrow();
        Object tree = Document.tree(document.body());
        for (var fact : facts.entrySet())
            tree = SheetTree.measured(
                    tree, fact.getKey(), value(fact.getKey(), fact.getValue()), "job " + job.number());
        return SheetReader.read(tree);
    }

    /** What a settled field says, as a sheet writes it. */
    static Object value(String path, String said) {
        return path.endsWith(".wired") ? (Object) said.equals("there") : said;
    }
}
