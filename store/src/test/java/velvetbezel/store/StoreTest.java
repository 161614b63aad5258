package velvetbezel.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.jooq.DSLContext;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import velvetbezel.controls.SetUpFile;
import velvetbezel.job.Change;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.Sheet;
import velvetbezel.sheet.SheetTree;

class StoreTest {
    private Library library;
    private Jobs jobs;
    private JobArchive archive;

    @BeforeEach
    void fresh() throws Exception {
        DSLContext db = TestDatabase.fresh();
        library = new Library(db);
        jobs = new Jobs(db, Clock.systemUTC());
        archive = new JobArchive(jobs, library, new Photos(db));
    }

    /** A shelf of the demo's sheets that is large enough to store and quick to read. */
    private static final Set<String> SHELF = Set.of(
            "functions",
            "corrick-ferryman-2006",
            "meridale-plover-2019-amplified",
            "meridale-plover-2019-plain",
            "ondel-47",
            "pebblefen-p2",
            "tarnlight-minor",
            "ashdyke-bus-power",
            "ashdyke-plover-module",
            "hobwright-iso-exchanged",
            "kestwick-bus-interface",
            "kestwick-ladder-interface",
            "marlstone-din-to-iso",
            "marlstone-plover-din-fed",
            "marlstone-plover-iso-fed",
            "marlstone-plover-iso",
            "quillmoor-ferryman-frame",
            "quillmoor-plover-panel",
            "quillmoor-plover-pocket",
            "thornlea-iso-steering",
            "thornlea-iso-tails",
            "thornlea-plover-amplified",
            "thornlea-plover-plain");

    static Map<String, String> demo() throws IOException {
        Map<String, String> texts = everySheet();
        texts.keySet().removeIf(name -> !SHELF.contains(name.replace(".json", "")));
        return texts;
    }

    private static Map<String, String> everySheet() throws IOException {
        Map<String, String> texts = new LinkedHashMap<>();
        try (Stream<Path> files = Files.walk(Path.of("..", "demo"))) {
            for (Path f :
                    files.filter(p -> p.toString().endsWith(".json")).sorted().toList())
                texts.put(f.getFileName().toString(), Files.readString(f));
        }
        return texts;
    }

    private static List<String> faults(Runnable run) {
        return assertThrows(InvalidInput.class, run::run).faults().stream()
                .map(InputProblem::toString)
                .toList();
    }

    // --- library

    @Test
    void demoIsTakenInAndASecondTimeNothingChanges() throws IOException {
        Map<String, String> all = everySheet();
        assertEquals(all.size(), library.take(all, "Ines").added().size());
        assertEquals(all.size(), library.take(all, "Ines").unchanged().size());
        assertEquals(6, library.radios().size());
        assertEquals(65, library.parts().size());
    }

    @Test
    void candidatesOfACarAreItsOwnPartsAndThoseThatGoAnywhere() throws IOException {
        library.take(everySheet(), "Ines");
        Sheet.Vehicle minibus = (Sheet.Vehicle)
                library.find("corrick-ferryman-2006").orElseThrow().sheet().orElseThrow();
        List<String> ids = library.candidates(minibus, library.radios()).stream()
                .map(Sheet::id)
                .toList();
        assertTrue(
                ids.containsAll(List.of(
                        "quillmoor-sleeve",
                        "thornlea-iso-steering",
                        "kelfax-microphone",
                        "ashdyke-bus-power",
                        "marlstone-din-to-iso")),
                ids::toString);
        assertTrue(
                ids.stream()
                        .noneMatch(List.of(
                                "quillmoor-plover-panel",
                                "thornlea-plover-plain",
                                "hobwright-regent-two",
                                "kelfax-plover-camera-aux")::contains),
                ids::toString);
    }

    @Test
    void oneBadSheetKeepsAllOthersOutAndEveryFaultIsNamedWithItsFile() throws IOException {
        Map<String, String> texts = demo();
        texts.put(
                "bad.json",
                texts.get("ondel-47.json")
                        .replace("\"ondel-47\"", "\"ondel-48\"")
                        .replace("\"two-DIN\"", "\"huge\"")
                        .replace("amp remote", "amp control"));
        texts.put("broken.json", "{\"a\": 1,");
        List<String> faults = faults(() -> library.take(texts, "Ines"));
        assertEquals(3, faults.size(), faults::toString);
        assertEquals(
                "bad.json: size: \"huge\" is not known; allowed: one-DIN, one-and-a-half-height, two-DIN, or \"shape\" and the name of one of its own (\"shape of the Plover\").",
                faults.get(0));
        assertTrue(faults.get(2).startsWith("broken.json: line 1, column"), faults::toString);
        assertEquals(List.of(), library.radios());
    }

    @Test
    void sheetWithTwoOutputsTiedTogetherIsRefusedWithBothNames() throws IOException {
        String tied = Document.read(demo().get("tarnlight-minor.json"))
                .body()
                .replace(
                        "\"ports\" :",
                        "\"wires\" : [{\"from\": \"fl+\", \"to\": \"rl+\", \"metres\": 0.1}], \"ports\" :");
        assertEquals(
                List.of(
                        "tied.json: radio.fl+ and radio.rl+: two outputs are tied together: fl+ of Tarnlight Minor and rl+ of Tarnlight Minor. Leave one out, or put a diode or relay between them."),
                faults(() -> library.take(Map.of("tied.json", tied), "Ines")));
    }

    @Test
    void fieldGivenTwiceIsNoJson() {
        assertTrue(faults(() -> Json.parse("{\"a\": 1, \"a\": 2}")).get(0).contains("Duplicate"));
    }

    @Test
    void changedSheetIsServedAtOnce() throws IOException {
        library.take(demo(), "Ines");
        String dearer = demo().get("ondel-47.json").replace("389.0", "399.0");
        assertEquals(
                List.of("Ondel 47, two-DIN screen"),
                library.take(Map.of("o.json", dearer), "Ines").changed());
        assertEquals(
                Optional.of(39900L),
                library.radios().stream()
                        .filter(r -> r.id().equals("ondel-47"))
                        .findFirst()
                        .orElseThrow()
                        .priceCents());
    }

    @Test
    void changedSheetKeepsItsPastAndBringsItBack() throws IOException {
        library.take(demo(), "Ines");
        library.change("ondel-47", "Tomas", "Dearer", 1, tree -> SheetTree.put(tree, "price", Optional.of(399)));
        assertEquals(
                Optional.of(39900L),
                library.radios().stream()
                        .filter(r -> r.id().equals("ondel-47"))
                        .findFirst()
                        .orElseThrow()
                        .priceCents());
        assertEquals(
                List.of("1 Tomas Dearer"),
                library.history("ondel-47").stream()
                        .map(h -> h.revision() + " " + h.who() + " " + h.what())
                        .toList());
        library.bringBack("ondel-47", "Ines", 2, 1);
        assertEquals(
                Optional.of(38900L),
                library.radios().stream()
                        .filter(r -> r.id().equals("ondel-47"))
                        .findFirst()
                        .orElseThrow()
                        .priceCents());
        assertEquals(
                List.of("Brought back revision 1", "Dearer"),
                library.history("ondel-47").stream().map(Library.Past::what).toList());
    }

    @Test
    void changeOfASheetThatIsStaleOrNoGoodIsRefusedAndNothingIsWritten() throws IOException {
        library.take(demo(), "Ines");
        library.change("ondel-47", "Tomas", "Dearer", 1, tree -> SheetTree.put(tree, "price", Optional.of(399)));
        assertTrue(faults(() -> library.change(
                        "ondel-47", "Ines", "Cheaper", 1, tree -> SheetTree.put(tree, "price", Optional.of(9))))
                .get(0)
                .contains("Somebody changed this sheet meanwhile"));
        assertEquals(
                List.of(
                        "size: \"huge\" is not known; allowed: one-DIN, one-and-a-half-height, two-DIN, or \"shape\" and the name of one of its own (\"shape of the Plover\")."),
                faults(() -> library.change(
                        "ondel-47", "Ines", "x", 2, tree -> SheetTree.put(tree, "size", Optional.of("huge")))));
        assertEquals(2, library.revision("ondel-47"));
    }

    // --- jobs

    private Job open() {
        return jobs.create("Rowing club's minibus", "Ines", says("vehicle", "corrick-ferryman-2006"));
    }

    private static List<Change<?>> says(String... keysAndTexts) {
        Map<String, String> typed = new LinkedHashMap<>();
        for (int i = 0; i < keysAndTexts.length; i += 2) typed.put(keysAndTexts[i], keysAndTexts[i + 1]);
        return JobCodec.changes(typed);
    }

    private Map<String, String> fields(Job job) {
        return JobCodec.texts(now(job).state());
    }

    private Job now(Job job) {
        return jobs.find(job.number()).orElseThrow();
    }

    @Test
    void changeIsLoggedWithBeforeAndAfter() {
        Job job = open();
        jobs.change(job.id(), Sender.named("Ines"), "Chose the radio", job.seq(), says("radio", "pebblefen-p2"));
        jobs.change(job.id(), Sender.named("Tomas"), "Chose another radio", 2, says("radio", "tarnlight-minor"));
        LogEntry last = jobs.log(job.id()).get(0);
        assertEquals("Tomas", last.who());
        assertEquals(
                List.of(new LogEntry.Change("radio", Optional.of("pebblefen-p2"), Optional.of("tarnlight-minor"))),
                last.changes());
    }

    @Test
    void undoGoesBackStepByStepAndIsItselfInTheLog() {
        Job job = open();
        jobs.change(job.id(), Sender.named("Ines"), "one", 9, says("note", "1"));
        jobs.change(job.id(), Sender.named("Ines"), "two", 9, says("note", "2"));
        assertEquals(Optional.empty(), jobs.undo(job.id(), "Ines", 2), "the last change is another one by now");
        assertEquals("two", jobs.undo(job.id(), "Ines", 3).orElseThrow().what());
        assertEquals(Optional.of("1"), Optional.ofNullable(fields(job).get("note")));
        assertEquals("one", jobs.undo(job.id(), "Ines", 2).orElseThrow().what());
        assertEquals(Optional.empty(), Optional.ofNullable(fields(job).get("note")));
        assertEquals(Optional.empty(), jobs.undo(job.id(), "Ines", 1), "opening the job is not undone");
        assertEquals(5, jobs.log(job.id()).size());
    }

    @Test
    void staleEditOfTheSameFieldIsRefusedWithBothVersionsAndOtherFieldsAreNot() {
        Job job = open();
        jobs.change(job.id(), Sender.named("Ines"), "note", job.seq(), says("note", "hers"));
        StaleEdit stale = assertThrows(
                StaleEdit.class,
                () -> jobs.change(job.id(), Sender.named("Tomas"), "note", job.seq(), says("note", "his")));
        assertEquals(
                List.of("note", "his", "hers", "Ines"),
                List.of(stale.field(), stale.mine(), stale.theirs(), stale.who()));
        jobs.change(job.id(), Sender.named("Tomas"), "tick", job.seq(), says("joint/joint ground", "done"));
        assertEquals(
                Map.of("vehicle", "corrick-ferryman-2006", "note", "hers", "joint/joint ground", "done"), fields(job));
    }

    @Test
    void fieldTakenAwayMeanwhileIsStaleToo() {
        Job job = open();
        jobs.change(job.id(), Sender.named("Ines"), "note", 1, says("note", "x"));
        jobs.change(job.id(), Sender.named("Ines"), "note", 2, says("note", ""));
        assertEquals(
                "nothing",
                assertThrows(
                                StaleEdit.class,
                                () -> jobs.change(job.id(), Sender.named("Tomas"), "note", 2, says("note", "y")))
                        .theirs());
    }

    @Test
    void ownEarlierChangeIsNotHeldAgainstAPerson() {
        Job job = open();
        jobs.change(job.id(), Sender.named("Ines"), "note", job.seq(), says("note", "a"));
        jobs.change(job.id(), Sender.named("Ines"), "note", job.seq(), says("note", "ab"));
        assertEquals(Optional.of("ab"), Optional.ofNullable(fields(job).get("note")));
    }

    @Test
    void changeToTheSameValueIsNoChange() {
        Job job = open();
        assertEquals(
                job.seq(),
                jobs.change(
                        job.id(), Sender.named("Ines"), "again", job.seq(), says("vehicle", "corrick-ferryman-2006")));
    }

    private Sender sender(String device, String change) {
        return new Sender("Ines", device, Optional.of(change));
    }

    @Test
    void changeThatIsSentTwiceCountsOnce() {
        Job job = open();
        long first = jobs.change(job.id(), sender("phone", "c1"), "note", 1, says("note", "a"));
        jobs.change(job.id(), sender("phone", "c2"), "note", 1, says("note", "b"));
        assertEquals(first, jobs.change(job.id(), sender("phone", "c1"), "note", 1, says("note", "a")));
        assertEquals("b", fields(job).get("note"));
        assertEquals(3, jobs.log(job.id()).size());
    }

    @Test
    void twoDevicesOfOnePersonAreTwoWriters() {
        Job job = open();
        jobs.change(job.id(), sender("laptop", "c1"), "note", 1, says("note", "at the bench"));
        StaleEdit stale = assertThrows(
                StaleEdit.class,
                () -> jobs.change(job.id(), sender("phone", "c2"), "note", 1, says("note", "in the car")));
        assertEquals(List.of("in the car", "at the bench"), List.of(stale.mine(), stale.theirs()));
        jobs.change(job.id(), sender("laptop", "c3"), "note", 1, says("note", "at the bench, later"));
        assertEquals("at the bench, later", fields(job).get("note"));
    }

    // --- archive

    private Job worked() throws IOException {
        library.take(demo(), "Ines");
        Job job = open();
        jobs.change(
                job.id(),
                Sender.named("Ines"),
                "Chose a kit",
                1,
                says("radio", "pebblefen-p2", "parts", "quillmoor-ferryman-frame,thornlea-iso-steering"));
        jobs.change(job.id(), Sender.named("Tomas"), "Joined ground", 2, says("joint/joint ground", "done"));
        jobs.undo(job.id(), "Tomas", 3);
        return now(job);
    }

    private Job read(byte[] zip) {
        return archive.read(zip);
    }

    private static String demoText(String file) {
        try {
            return demo().get(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private byte[] packed(Job job) {
        return archive.write(job, Map.of());
    }

    /** Set-up files are made anew from the job, so one that was changed on the way is refused and not silently dropped. */
    @Test
    void setUpFileInAnArchiveIsCheckedWhenItComesBack() throws Exception {
        Job job = worked();
        SetUpFile file = new SetUpFile(
                "module", 1, "AD-1", "a car", "a radio", "", new TreeMap<>(), new TreeMap<>(), new TreeMap<>());
        byte[] zip = archive.write(job, Map.of("module", file));
        fresh();
        assertEquals(job, read(zip));
        Map<String, byte[]> files = new LinkedHashMap<>(Zip.readFiles(zip, "an archive"));
        String spoiled = new String(files.get("set-up/module.json"), StandardCharsets.UTF_8).replace("a car", "my car");
        files.put("set-up/module.json", spoiled.getBytes(StandardCharsets.UTF_8));
        fresh();
        String message = assertThrows(InvalidInput.class, () -> read(Zip.writeFiles(files)))
                .getMessage();
        assertTrue(message.contains("set-up/module.json: digest"), message);
    }

    @Test
    void archiveReadsBackWithoutLossInAnotherWorkshop() throws Exception {
        Job job = worked();
        byte[] zip = packed(job);
        List<LogEntry> log = jobs.log(job.id());
        fresh();
        Job restored = read(zip);
        assertEquals(job, restored);
        assertEquals(log, jobs.log(restored.id()));
        assertEquals(
                Set.of(
                        "corrick-ferryman-2006",
                        "pebblefen-p2",
                        "quillmoor-ferryman-frame",
                        "thornlea-iso-steering",
                        "functions"),
                jobs.ownSheets(restored.id()).keySet());
        assertTrue(Arrays.equals(zip, packed(restored)), "written again, the archive is the same to the byte");
        assertTrue(jobs.create("next", "Ines", List.of()).number() > restored.number());
    }

    @Test
    void sameJobIsNotTakenInTwice() throws IOException {
        byte[] zip = packed(worked());
        assertEquals(
                List.of("job.json: id: This job is here already, as job 214. Nothing was changed."),
                faults(() -> read(zip)));
    }

    @Test
    void archiveCutAnywhereIsRefusedWholeAndNothingIsImported() throws Exception {
        byte[] zip = packed(worked());
        fresh();
        for (int cut : new int[] {zip.length - 1, zip.length - 30, zip.length * 3 / 4, zip.length / 2, 40, 4, 0})
            assertFalse(faults(() -> read(Arrays.copyOf(zip, cut))).isEmpty(), "cut at " + cut);
        assertEquals(
                List.of(
                        "archive: is cut short or damaged: its end is missing. Copy it again from where it was saved; nothing was imported."),
                faults(() -> read(Arrays.copyOf(zip, zip.length / 2))));
        assertEquals(List.of(), jobs.list());
        assertEquals(List.of(), library.radios());
    }

    @Test
    void newerArchiveIsRefusedByItsVersion() throws Exception {
        byte[] zip = changed(packed(worked()), "job.json", t -> t.replace("\"version\" : 1", "\"version\" : 7"));
        fresh();
        assertEquals(
                List.of("job.json: version"),
                faults(() -> read(zip)).stream()
                        .map(f -> f.startsWith("job.json: version: The archive is of version 7")
                                ? "job.json: version"
                                : f)
                        .toList());
    }

    @Test
    void fieldThatAJobMayNotHaveIsRefused() throws Exception {
        byte[] zip = changed(
                packed(worked()),
                "job.json",
                t -> t.replace("\"radio\" : \"pebblefen-p2\"", "\"radio\" : \"pebblefen-p2\", \"forbidden\" : \"x\""));
        fresh();
        assertEquals(List.of("job.json: fields.forbidden: is no field of a job."), faults(() -> read(zip)));
        assertEquals(List.of(), jobs.list());
    }

    @Test
    void archiveWhoseCatalogueIsAnotherSheetIsRefused() throws Exception {
        byte[] zip = changed(packed(worked()), "sheets/functions.json", t -> demoText("ondel-47.json")
                .replace("\"ondel-47\"", "\"functions\""));
        fresh();
        assertTrue(
                faults(() -> read(zip))
                        .contains(
                                "sheets/functions.json: holds a radio, and the catalogue of functions is needed here."),
                () -> faults(() -> read(zip)).toString());
    }

    @Test
    void everyFaultOfAnArchiveIsNamedAtOnce() throws Exception {
        byte[] zip = changed(
                changed(
                        packed(worked()),
                        "job.json",
                        t -> t.replaceFirst("\"at\" : \"[^\"]+\"", "\"at\" : \"yesterday\"")),
                "sheets/pebblefen-p2.json",
                t -> t.replace("\"one-DIN\"", "\"tiny\""));
        fresh();
        List<String> faults = faults(() -> read(zip));
        assertEquals(2, faults.size(), faults::toString);
        assertTrue(
                faults.contains(
                        "sheets/pebblefen-p2.json: size: \"tiny\" is not known; allowed: one-DIN, one-and-a-half-height, two-DIN, or \"shape\" and the name of one of its own (\"shape of the Plover\")."),
                faults::toString);
        assertEquals(List.of(), jobs.list());
    }

    private static byte[] changed(byte[] zip, String name, UnaryOperator<String> change) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip));
                ZipOutputStream to = new ZipOutputStream(out)) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
                to.putNextEntry(new ZipEntry(e.getName()));
                to.write((e.getName().equals(name) ? change.apply(text) : text).getBytes(StandardCharsets.UTF_8));
            }
        }
        return out.toByteArray();
    }
}
