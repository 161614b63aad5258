package velvetbezel.web;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import velvetbezel.Demo;
import velvetbezel.job.Entry;
import velvetbezel.job.JobState;
import velvetbezel.store.JobCodec;
import velvetbezel.store.Jobs;
import velvetbezel.store.Library;
import velvetbezel.store.StandardTables;

/** Bad input gets a message that says what was given, what is allowed and what to do; nothing is half done. */
@ExtendWith(TestApp.class)
class BadInputTest {
    private Site site;
    private int job;

    @BeforeEach
    void open() {
        site = new Site(TestApp.url(), "ines");
        job = TestApp.bean(Jobs.class)
                .create("Bad input", "Ines Hallam", JobCodec.changes(Map.of("vehicle", "corrick-ferryman-2006")))
                .number();
    }

    private JobState state() {
        return TestApp.bean(Jobs.class).find(job).orElseThrow().state();
    }

    private static void says(HttpResponse<String> page, int status, String... parts) {
        String words = Site.words(page);
        assertEquals(status, page.statusCode(), words);
        for (String part : parts) assertTrue(words.contains(part), () -> part + " is not in: " + words);
        assertFalse(page.body().contains("Exception") || page.body().contains("at velvetbezel."), "no stack trace");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
        vin            | 1M8GDM9AXKP04278      | A VIN has 17 characters; "1M8GDM9AXKP04278" has 16.
        vin            | 1M8GDM9AXKPI42788     | Character 12 is I, and a VIN has no I, O or Q. It is probably 1.
        baseline/power | SOMETIMES             | "SOMETIMES" is not allowed; one of NOT_TESTED, WORKED, FAULTY.
        wish/levitation | wanted               | "levitation" is no function of the catalogue; it has power, retained power, memory
        wish/power     | perhaps               | "perhaps" is not allowed; one of must stay, wanted, may go.
        reading/car.A.7/key off | a lot        | "a lot" is no voltage; type it such as 12.4 V.
        budget         | -5                    | "-5" is no amount; type a number such as 450 or 450.00.
        goods/ondel-47/box | perhaps           | "perhaps" is not allowed; one of agrees, differs.
        colour         | red                   | is no field of a job.
        trait/built    | June 2014             | "June 2014" is no month; type year and month as 2016-11.
        trait/smell    | leather               | is no field of a job.
        as built/A/4   | warmth                | "warmth" is not allowed; one of no wire, ground
        as built/A/1   | amp remote            | this car's sheet has no wire for amp remote at any plug; add it to the sheet first.
        need/dash kit  | hard-wired            | "hard-wired" is not allowed; one of own part, made by hand, none wanted.
        need/harness   | none wanted           | "none wanted" is not allowed; one of own part, made by hand, hard-wired.
        need/roof      | own part              | is no field of a job.
        need minutes/dash kit | two hours      | "two hours" is no time; type whole minutes such as 90.
        need material/dash kit | a little      | "a little" is no amount; type a number such as 450 or 450.00.
        also/banana    | wanted                | is no field of a job.
        also/amplifier | yes                   | "yes" is not allowed; one of wanted.
        use/anything   | stolen                | "stolen" is not allowed; one of fitted, later, own, made.
        as built/Z/1   | no wire               | is no position of this car's plugs.
        vehicle        | no-such-car           | This sheet is not in the library; import it, or choose another.
        settled/corrick-ferryman-2006/plugs[A].positions[position 6].colour | blurple | "blurple" is not known; allowed: a colour or base/stripe from:
        settled/corrick-ferryman-2006/plugs[Z].colour | red                         | is no field of this sheet.
        """)
    void refusedFieldSaysWhatIsAllowedAndKeepsWhatWasTyped(String field, String typed, String message) {
        HttpResponse<String> page = site.change(job, 1, field, typed);
        says(page, 422, "Not saved. What you typed is still here.", message);
        assertEquals(Map.of("vehicle", "corrick-ferryman-2006"), JobCodec.texts(state()));
        if (field.equals("vin")) assertTrue(page.body().contains("value=\"" + typed + "\""), "typed text is kept");
    }

    /** A sheet in lines: refused with what was given and what is read, and the rest of what was typed is there still. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
        vehicles | years   | 2009-2004             | "2009-2004" is no span of years
        vehicles | opening | three-DIN             | "three-DIN" is not known; allowed: one-DIN
        vehicles | paper   | B is black            | "B is black" maps nothing; write it as B = black.
        vehicles | ladder  | volume up 300         | has.ladder hangs on nothing: no position carries steering 1.
        vehicles | lines0  | 7 constant blurple    | "blurple"
        vehicles | lines0  | 7 constant red, 7 ground brown | position 7 is typed twice; one position holds one wire.
        vehicles | lines0  | 9-2 speakers          | "9-2
        radios   | price   | a lot                 | "a lot"
        radios   | size    | huge                  | "huge"
        radios   | leads   | P3, warp drive        | "warp drive" names no role
        radios   | leads   | accessory             | hold no lead that is constant, which every radio needs; type it.
        parts    | price   | -3                    | "-3"
        parts    | minutes | soon                  | "soon"
        parts    | part    | trumpet               | "trumpet" is not known; allowed: dash kit
        parts    | fits.years | 05/2018 on         | "05/2018 on" names a month, and a fit list counts whole years
        parts    | fits.years | 2008-2004          | "2008-2004" is no span of years
        parts    | fits.vehicles | meridale-plover | "meridale-plover" is the id of no vehicle sheet here; near: meridale-plover-20
        parts    | vehicles | nobody-nothing-1901  | "nobody-nothing-1901" is the id of no vehicle sheet here; near:
        """)
    void lineThatIsNotReadIsToldAndTheRestStays(String shelf, String field, String typed, String message) {
        Map<String, String> form = new LinkedHashMap<>(
                Map.of("name", "Tarrick Ousel", "plug0", "A", "lines0", "4 acc violet/white", "years", "2004-2009"));
        form.put("part", "cable");
        form.put("do", "save");
        form.put(field, typed);
        HttpResponse<String> page = site.post("/%s/new".formatted(shelf), form);
        says(page, 422, message);
        assertTrue(page.body().contains("value=\"Tarrick Ousel\""), "typed text is kept");
        assertTrue(TestApp.bean(Library.class).find("tarrick-ousel").isEmpty());
    }

    @Test
    void noteThatIsTooLongIsKeptInTheForm() {
        String note = "long ".repeat(1000);
        HttpResponse<String> page = site.change(job, 1, "note", note);
        says(page, 422, "has 4999 characters; at most 4000 are kept. Shorten it.");
        assertTrue(page.body().contains("long long long"));
    }

    @Test
    void changesAreAllMadeOrNone() {
        HttpResponse<String> page = site.post(
                "/jobs/%d/change".formatted(job),
                Map.of(
                        "seen",
                        "1",
                        "back",
                        "/jobs/%d/arrive".formatted(job),
                        "f:customer",
                        "Amsel",
                        "f:vin",
                        "short",
                        "f:wish/power",
                        "perhaps"));
        says(page, 422, "A VIN has 17 characters", "\"perhaps\" is not allowed");
        assertTrue(state().get(new Entry.CustomerNamed()).isEmpty());
        assertTrue(page.body().contains("value=\"Amsel\""));
    }

    @Test
    void sheetsWithFaultsAreRefusedWholeWithAllFaultsAtOnce() throws IOException {
        String minibus = Demo.text("corrick-ferryman-2006");
        Map<String, byte[]> files = new LinkedHashMap<>();
        files.put(
                "good.json",
                Demo.text("pebblefen-p2")
                        .replace("\"pebblefen-p2\"", "\"pebblefen-p9\"")
                        .getBytes(StandardCharsets.UTF_8));
        files.put(
                "bad.json",
                minibus.replace("{\"position\": 5, \"empty\": true}, {\"position\": 6", "{\"position\": 6")
                        .replace("{\"position\": 5, \"empty\": true},\n      {\"position\": 6", "{\"position\": 6")
                        .replace("\"colour\": \"red/white\"", "\"colour\": \"blurple\"")
                        .replace(
                                "{\"position\": 8, \"role\": \"ground\", \"to\"",
                                "{\"position\": 7, \"role\": \"earth\", \"to\"")
                        .getBytes(StandardCharsets.UTF_8));
        says(
                site.preview("/sheets/import", "sheets", files),
                200,
                "Nothing can be taken in before the refused lines are corrected.",
                "is missing. List it, with \"empty\": true if it holds no wire.",
                "\"blurple\" is not known; allowed:",
                "\"earth\" is not known; allowed: ground, amplifier ground, constant",
                "holds a second wire: position 7 of plug A is listed twice.");
        assertTrue(TestApp.bean(Library.class).find("pebblefen-p9").isEmpty());
    }

    @Test
    void sheetWithTwoOutputsTiedTogetherAndAFileThatIsNoJsonAreRefused() throws IOException {
        String tied = Demo.text("tarnlight-minor")
                .replace(
                        "\"ports\": [",
                        "\"wires\": [{\"from\": \"fl+\", \"to\": \"rl+\", \"metres\": 0.1}], \"ports\": [");
        says(
                site.preview(
                        "/sheets/import",
                        "sheets",
                        Map.of(
                                "tied.json",
                                tied.getBytes(StandardCharsets.UTF_8),
                                "text.json",
                                "hello".getBytes(StandardCharsets.UTF_8))),
                200,
                "two outputs are tied together: fl+ of Tarnlight Minor and rl+ of Tarnlight Minor.",
                "is no JSON");
    }

    @Test
    void importOfNothingOrOfABrokenZipIsAnsweredInWords() throws IOException {
        says(site.upload("/sheets/import", "sheets", Map.of("", new byte[0])), 422, "No file was chosen.");
        says(
                site.upload("/sheets/import", "sheets", Map.of("half.zip", "PK half".getBytes(StandardCharsets.UTF_8))),
                422,
                "is cut short or damaged: its end is missing.");
        says(
                site.preview("/price-lists/import", "list", Map.of("latin.csv", new byte[] {
                    'n', 'u', 'm', 'b', 'e', 'r', '\n', (byte) 0xe4, '\n'
                })),
                200,
                "It could not be taken in; nothing was changed",
                "cannot be read from here on");
        says(site.get("/parts?most=cheap"), 200, "\"cheap\" is no price; type a number such as 40 or 39.90.");
        says(site.get("/intakes/00000000-0000-0000-0000-000000000000"), 422, "There is no such import here.");
    }

    @Test
    void archiveThatIsCutNewerOrSomethingElseIsRefusedAndNothingComesIn() throws IOException {
        byte[] zip = site.bytes("/jobs/%d/archive.zip".formatted(job));
        int before = TestApp.bean(Jobs.class).list().size();
        says(
                site.upload("/jobs/import", "archive", Map.of("half.zip", Arrays.copyOf(zip, zip.length / 2))),
                422,
                "is cut short or damaged: its end is missing.");
        says(
                site.upload(
                        "/jobs/import", "archive", Map.of("note.txt", "not a zip".getBytes(StandardCharsets.UTF_8))),
                422,
                "is no ZIP file. Choose a job archive that was saved at Hand over.");
        says(
                site.upload("/jobs/import", "archive", Map.of("again.zip", zip)),
                422,
                "This job is here already, as job %d. Nothing was changed.".formatted(job));
        assertEquals(before, TestApp.bean(Jobs.class).list().size());
    }

    @Test
    void unknownPagesAndJobsAreAnsweredInWords() {
        says(site.get("/jobs/99999/wire"), 404, "There is no job 99999 here. Choose one from the list.");
        says(site.get("/nowhere"), 404, "There is no such page");
        says(site.get("/sheets/no-such-sheet"), 422, "There is no sheet of this name here.");
        says(site.get("/jobs/abc/wire"), 404, "A job has a number, and \"abc\" is none.");
        says(site.post("/jobs/%d/change".formatted(job), Map.of("f:vin", "x")), 400, "A field was missing");
        says(site.post("/jobs", Map.of("title", "  ")), 422, "A job needs a name");
    }

    @Test
    void changeFromAnotherSitesPageIsRefused() throws Exception {
        HttpRequest foreign = HttpRequest.newBuilder(URI.create(TestApp.url() + "/jobs/%d/change".formatted(job)))
                .header("Cookie", "person=ines")
                .header("Origin", "http://elsewhere.invalid")
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(BodyPublishers.ofString("seen=1&back=/jobs&f%3Anote=x"))
                .build();
        HttpResponse<String> page = HttpClient.newHttpClient().send(foreign, BodyHandlers.ofString());
        assertEquals(403, page.statusCode());
        assertTrue(state().get(new Entry.NoteWritten()).isEmpty());
    }

    @Test
    void changeWithoutThePagesTokenIsRefused() {
        HttpResponse<String> page = site.post(
                "/jobs/%d/change".formatted(job),
                Map.of("seen", "1", "back", "/jobs", "f:note", "x", "token", "guessed"));
        says(page, 403, "Nothing was changed; go back, load the page again");
        assertTrue(state().get(new Entry.NoteWritten()).isEmpty());
        assertTrue(site.get("/jobs/%d/arrive".formatted(job)).body().contains("name=\"token\""), "pages carry it");
    }

    @Test
    void appIsNotReachedUnderAnotherHostsName() throws Exception {
        URI here = URI.create(TestApp.url());
        try (Socket socket = new Socket(here.getHost(), here.getPort())) {
            socket.getOutputStream()
                    .write("GET /jobs HTTP/1.1\r\nHost: elsewhere.invalid\r\nConnection: close\r\n\r\n"
                            .getBytes(StandardCharsets.US_ASCII));
            String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertTrue(answer.startsWith("HTTP/1.1 421"), answer);
        }
    }

    @Test
    void uploadThatBrokeOffSaysSo() throws Exception {
        HttpRequest broken = HttpRequest.newBuilder(URI.create(TestApp.url() + "/sheets/import"))
                .header("Cookie", "person=ines; token=t")
                .header("Content-Type", "multipart/form-data; boundary=b")
                .POST(BodyPublishers.ofString(
                        "--b\r\nContent-Disposition: form-data; name=\"sheets\"; filename=\"a.json\"\r\n\r\n{"))
                .build();
        says(HttpClient.newHttpClient().send(broken, BodyHandlers.ofString()), 400, "The file did not arrive whole");
    }

    @Test
    void tablesThatSomebodySavedMeanwhileAreNotOverwritten() {
        String mine = StandardTables.text().replace("\"school\": \"crimp cap\"", "\"school\": \"solder sleeve\"");
        int seen = TestApp.bean(Library.class).revision(Library.TABLES);
        site.post("/tables", Map.of("body", StandardTables.text(), "seen", String.valueOf(seen)));
        HttpResponse<String> late = site.post("/tables", Map.of("body", mine, "seen", String.valueOf(seen - 1)));
        says(late, 409, "Somebody saved the tables meanwhile", "As they are saved now");
        assertTrue(late.body().contains("solder sleeve"), "what was typed is still there");
    }

    @Test
    void everyAnswerTellsTheBrowserWhatItMayRun() {
        HttpResponse<String> page = site.get("/jobs/%d/arrive".formatted(job));
        String policy = page.headers().firstValue("Content-Security-Policy").orElseThrow();
        assertTrue(policy.contains("default-src 'self'") && policy.contains("frame-ancestors 'none'"), policy);
        assertFalse(policy.contains("script-src"), "no script but our own files");
        assertEquals(
                "nosniff", page.headers().firstValue("X-Content-Type-Options").orElseThrow());
        assertEquals("no-store", page.headers().firstValue("Cache-Control").orElseThrow());
    }

    @Test
    void characterThatNoTextHasIsRefusedInWords() throws IOException {
        says(site.change(job, 1, "note", "a\0b"), 400, "A field holds the character NUL");
        says(site.get("/jobs?q=%00"), 400, "A field holds the character NUL");
        says(
                site.preview(
                        "/sheets/import",
                        "sheets",
                        Map.of("nul.json", "{\"name\":\"a\\u0000b\"}".getBytes(StandardCharsets.UTF_8))),
                200,
                "holds the character NUL");
        says(
                site.preview(
                        "/price-lists/import",
                        "list",
                        Map.of("nul.csv", "number,name,kind\nkelfax-n1,a\0b,cable\n".getBytes(StandardCharsets.UTF_8))),
                200,
                "name holds a character that cannot be printed");
    }

    @ParameterizedTest
    @ValueSource(strings = {"/jobs/%d/wire?read=%zz", "//elsewhere", "/jobs/%d/wire?a={b}", "javascript:alert(1)"})
    void oddWayBackLeadsToThisJob(String back) {
        HttpResponse<String> page = site.post(
                "/jobs/%d/change".formatted(job),
                Map.of("seen", "1", "back", back.replace("%d", String.valueOf(job)), "f:vin", "short"));
        says(page, 422, "A VIN has 17 characters");
    }

    @Test
    void personWhomNobodyKnowsIsAskedAgain() {
        HttpResponse<String> page = site.post("/who", Map.of("person", "a;b\r\nc", "back", "/jobs"));
        assertEquals(303, page.statusCode());
        assertEquals("/who", page.headers().firstValue("Location").orElseThrow());
    }

    @Test
    void nobodyChangesAnythingWithoutAName() {
        HttpResponse<String> page = new Site(TestApp.url(), "nobody").change(job, 1, "note", "x");
        assertEquals(302, page.statusCode());
        assertTrue(page.headers().firstValue("Location").orElseThrow().contains("/who"));
        assertTrue(state().get(new Entry.NoteWritten()).isEmpty());
    }

    @Test
    void textOfAPersonIsNeverMarkup() {
        site.change(job, 1, "customer", "<script>alert(1)</script>");
        String page = site.get("/jobs/%d/hand-over".formatted(job)).body();
        assertFalse(page.contains("<script>alert"));
        assertTrue(page.contains("&lt;script&gt;alert"));
    }

    @Test
    void returnAddressOutsideTheJobIsNotFollowed() {
        HttpResponse<String> page = site.post(
                "/jobs/%d/change".formatted(job),
                Map.of("seen", "1", "back", "https://elsewhere.example/", "f:note", "x"));
        assertTrue(page.headers().firstValue("Location").orElseThrow().endsWith("/jobs/%d/arrive".formatted(job)));
    }
}
