package velvetbezel.store;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import velvetbezel.controls.SetUpFile;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Node;

/**
 * A job as one ZIP: job.json (fields and log), sheets/*.json (every sheet the job uses), photos/*.jpg and set-up/*.json
 * (what its devices are loaded with). It reads back in without loss: sheets that differ from the library's are kept for
 * that job alone; set-up files are checked, and made anew from the job.
 */
public class JobArchive {
    private static final String FORMAT = "velvet-bezel/job";
    private static final int VERSION = 1;
    /** More than any job has: a joint has about ten entries, and a job some dozens of joints. */
    private static final int MOST_FIELDS = 20_000;

    private static final String PHOTO = "photos/[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}\\.jpg";
    private static final String SET_UP = "set-up/[a-z0-9-]{1,80}\\.json";
    private static final int MOST_LOG_ENTRIES = 50_000;
    private final Jobs jobs;
    private final Library library;
    private final Photos photos;

    public JobArchive(Jobs jobs, Library library, Photos photos) {
        this.jobs = jobs;
        this.library = library;
        this.photos = photos;
    }

    /** @param setUps by device */
    public byte[] write(Job job, Map<String, SetUpFile> setUps) {
        Map<String, String> own = jobs.ownSheets(job.id());
        Map<String, String> texts = new LinkedHashMap<>();
        Map<String, String> fields = jobs.fields(job.id());
        texts.put("job.json", Json.write(tree(job, fields)));
        for (String id : sheets(fields)) {
            String body = own.containsKey(id)
                    ? own.get(id)
                    : library.find(id).map(Document::body).orElseThrow();
            texts.put("sheets/" + id + ".json", Json.write(Json.parse(body)));
        }
        Map<String, byte[]> files = new LinkedHashMap<>();
        texts.forEach((name, text) -> files.put(name, text.getBytes(StandardCharsets.UTF_8)));
        setUps.forEach((device, file) -> files.put("set-up/" + device + ".json", SetUpFiles.write(file)));
        photos.of(job.id(), job.state()).forEach((id, jpeg) -> files.put("photos/" + id + ".jpg", jpeg));
        return Zip.writeFiles(files);
    }

    private Map<String, Object> tree(Job job, Map<String, String> fields) {
        Map<String, Object> tree = new LinkedHashMap<>();
        tree.put("format", FORMAT);
        tree.put("version", VERSION);
        tree.put("id", job.id().toString());
        tree.put("number", job.number());
        tree.put("title", job.title());
        tree.put("fields", new TreeMap<>(fields));
        List<Object> log = new ArrayList<>();
        for (LogEntry e : jobs.log(job.id())) {
            Map<String, Object> line = new LinkedHashMap<>();
            line.put("seq", e.seq());
            line.put("at", e.at().toString());
            line.put("who", e.who());
            line.put("what", e.what());
            e.undoOf().ifPresent(u -> line.put("undo of", u));
            line.put("changes", e.changes().stream().map(JobArchive::tree).toList());
            log.add(0, line);
        }
        tree.put("log", log);
        return tree;
    }

    private static Map<String, Object> tree(LogEntry.Change c) {
        Map<String, Object> tree = new LinkedHashMap<>();
        tree.put("field", c.field());
        c.before().ifPresent(b -> tree.put("before", b));
        c.after().ifPresent(a -> tree.put("after", a));
        return tree;
    }

    /**
     * @throws InvalidInput with every fault; nothing is written then
     */
    public Job read(byte[] bytes) {
        Map<String, String> files = new LinkedHashMap<>();
        Map<UUID, byte[]> pictures = new LinkedHashMap<>();
        List<InputProblem> faults = new ArrayList<>();
        Zip.readFiles(bytes, "a job archive that was saved at Hand over").forEach((name, content) -> {
            if (name.matches(PHOTO)) photo(name, content, pictures, faults);
            else if (name.matches(SET_UP)) setUp(name, content, faults);
            else files.put(name, new String(content, StandardCharsets.UTF_8));
        });
        List<Document> own = sheets(files, faults);
        List<InputProblem> inJob = new ArrayList<>();
        Node job = job(files, inJob);
        atMost(MOST_FIELDS, job.at("fields").fields().size(), "fields");
        atMost(MOST_LOG_ENTRIES, job.at("log").list().size(), "log entries");
        Map<String, String> fields = new LinkedHashMap<>();
        job.at("fields").fields().forEach((name, node) -> fields.put(name, text(node)));
        List<LogEntry> log =
                job.at("log").list().stream().map(JobArchive::entry).toList();
        UUID id = uuid(job.at("id"));
        int number = job.at("number").whole(1, 10_000_000);
        String title = job.at("title").text();
        check(fields, inJob);
        for (String used : sheets(fields))
            if (!files.containsKey("sheets/" + used + ".json"))
                faults.add(new InputProblem("sheets/" + used + ".json", "is missing, and the job uses that sheet."));
        if (log.isEmpty()) job.at("log").fault("is missing or empty; a job has at least the entry that opened it.");
        inJob.forEach(f -> faults.add(new InputProblem("job.json: " + f.field(), f.message())));
        if (!faults.isEmpty()) throw new InvalidInput(faults.stream().distinct().toList());
        Job restored = jobs.restore(id, number, title, fields, log, own);
        pictures.forEach((photo, jpeg) -> photos.keep(restored.id(), photo, jpeg));
        return restored;
    }

    private static void photo(String name, byte[] content, Map<UUID, byte[]> into, List<InputProblem> faults) {
        try {
            Photos.check(name, content);
            into.put(UUID.fromString(name.substring("photos/".length(), name.length() - ".jpg".length())), content);
        } catch (InvalidInput e) {
            faults.addAll(e.faults());
        }
    }

    private static void setUp(String name, byte[] content, List<InputProblem> faults) {
        try {
            SetUpFiles.read(content);
        } catch (InvalidInput e) {
            e.faults().forEach(f -> faults.add(new InputProblem(name + ": " + f.field(), f.message())));
        }
    }

    private static void atMost(int most, int found, String what) {
        if (found > most)
            throw new InvalidInput(
                    "job.json",
                    "has %d %s, and at most %d are read; nothing was imported. Is it the archive of one job?"
                            .formatted(found, what, most));
    }

    private static void check(Map<String, String> fields, List<InputProblem> faults) {
        fields.forEach((field, value) -> {
            try {
                JobCodec.change(field, value);
            } catch (InvalidInput e) {
                e.faults().forEach(f -> faults.add(new InputProblem("fields." + field, f.message())));
            }
        });
    }

    /** Reads every sheet; those the library has in the same form are not kept again. */
    private List<Document> sheets(Map<String, String> files, List<InputProblem> faults) {
        List<Document> own = new ArrayList<>();
        files.forEach((name, text) -> {
            if (name.equals("job.json")) return;
            if (!name.matches("sheets/[a-z0-9-]+\\.json")) {
                faults.add(new InputProblem(
                        name,
                        "does not belong in a job archive, which holds job.json, sheets/*.json and photos/*.jpg."));
                return;
            }
            try {
                Document document = Document.read(text);
                if (!name.equals("sheets/" + document.id() + ".json"))
                    faults.add(new InputProblem(
                            name,
                            "holds the sheet \"%s\"; file and sheet must have one name.".formatted(document.id())));
                if (document.id().equals(Library.CATALOGUE)
                        && document.catalogue().isEmpty())
                    faults.add(new InputProblem(
                            name,
                            "holds a %s, and the catalogue of functions is needed here.".formatted(document.kind())));
                if (library.find(document.id())
                        .filter(d -> Json.same(d.body(), document.body()))
                        .isEmpty()) own.add(document);
            } catch (InvalidInput e) {
                e.faults().forEach(f -> faults.add(new InputProblem(name + ": " + f.field(), f.message())));
            }
        });
        return own;
    }

    private static Node job(Map<String, String> files, List<InputProblem> faults) {
        if (!files.containsKey("job.json"))
            throw new InvalidInput(
                    "job.json", "is missing from the archive. Choose a job archive that was saved at Hand over.");
        Object tree;
        try {
            tree = Json.parse(files.get("job.json"));
        } catch (InvalidInput e) {
            throw new InvalidInput(
                    "job.json, " + e.faults().get(0).field(), e.faults().get(0).message());
        }
        Node job = Node.root(tree, faults).only("format", "version", "id", "number", "title", "fields", "log");
        job.at("format").one(f -> f.equals(FORMAT) ? Optional.of(f) : Optional.empty(), FORMAT, FORMAT);
        if (job.at("version").isNumber() && job.at("version").number(-1e9, 1e9) > VERSION)
            job.at("version")
                    .fault("The archive is of version %.0f and this program reads up to %d. Update the program first."
                            .formatted(job.at("version").number(-1e9, 1e9), VERSION));
        else job.at("version").whole(1, VERSION);
        return job;
    }

    /** Field values may be empty texts. */
    private static String text(Node node) {
        return node.text("");
    }

    private static LogEntry entry(Node node) {
        node.only("seq", "at", "who", "what", "undo of", "changes");
        Instant at = Instant.EPOCH;
        try {
            at = Instant.parse(node.at("at").text());
        } catch (DateTimeParseException e) {
            node.at("at").fault("is no time; expected one such as 2026-11-02T09:30:00Z.");
        }
        Optional<Long> undoOf = node.has("undo of")
                ? Optional.of((long) node.at("undo of").whole(1, Integer.MAX_VALUE))
                : Optional.empty();
        return new LogEntry(
                node.at("seq").whole(1, Integer.MAX_VALUE),
                at,
                node.at("who").text(),
                node.at("what").text(),
                undoOf,
                node.at("changes").list().stream()
                        .map(c -> new LogEntry.Change(
                                c.at("field").text(),
                                c.at("before").optionalText(),
                                c.at("after").optionalText()))
                        .toList());
    }

    private static UUID uuid(Node node) {
        try {
            return UUID.fromString(node.text());
        } catch (IllegalArgumentException e) {
            node.fault("is no job id.");
            return new UUID(0, 0);
        }
    }

    /** Every document that a job's answers rest on: the sheets its fields name, and the catalogue of functions. */
    static List<String> sheets(Map<String, String> fields) {
        List<String> used = new ArrayList<>();
        for (String field : List.of("vehicle", "radio")) if (fields.containsKey(field)) used.add(fields.get(field));
        used.addAll(JobTexts.IDS.read().apply(fields.getOrDefault("parts", "")));
        used.add(Library.CATALOGUE);
        return used;
    }
}
