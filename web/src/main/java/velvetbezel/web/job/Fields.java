package velvetbezel.web.job;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import velvetbezel.function.FunctionId;
import velvetbezel.harness.JointId;
import velvetbezel.harness.SettingId;
import velvetbezel.harness.TerminalId;
import velvetbezel.harness.Use;
import velvetbezel.match.Filling;
import velvetbezel.match.KitNeed;
import velvetbezel.prove.Baseline;
import velvetbezel.prove.Result;
import velvetbezel.sheet.AsBuilt;
import velvetbezel.sheet.AudioSign;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Position;
import velvetbezel.sheet.Trait;
import velvetbezel.sheet.Vin;
import velvetbezel.units.Volts;
import velvetbezel.worksheet.Extension;
import velvetbezel.worksheet.GoodsIn;
import velvetbezel.worksheet.JointKind;
import velvetbezel.worksheet.Reading;

/** Names of a job's fields, and what each may hold. */
final class Fields {
    static final String VIN = "vin";
    static final String VEHICLE = "vehicle";
    static final String CUSTOMER = "customer";
    static final String NOTE = "note";
    static final String RADIO = "radio";
    static final String PARTS = "parts";
    /** Of the radio, noted at unboxing: a module's set-up asks for it. */
    static final String SERIAL = "serial";

    static final String BUDGET = "budget";
    static final String HANDED_OVER = "handed over";
    static final String DONE = "done";
    static final String MUST_STAY = "must stay";
    static final String WANTED = "wanted";
    /** What the customer can do without, although it usually must stay. */
    static final String MAY_GO = "may go";

    static final List<String> WISHES = List.of(MUST_STAY, WANTED, MAY_GO);
    /** Changes of former owners, by plug and position. */
    static final String AS_BUILT = "as built/";

    private static final List<String> BUILT_FROM = List.of(VEHICLE, RADIO, PARTS);
    static final String SEEN = "yes";
    static final List<String> SIGNS = List.of(SEEN, "no");
    static final String AGREES = "agrees";
    static final String DIFFERS = "differs";
    static final List<String> READ_BACK = List.of(AGREES, DIFFERS);
    private static final int MOST_CHARACTERS = 4000;

    private Fields() {}

    static String sign(AudioSign sign) {
        return "sign/" + sign.id();
    }

    static String trait(Trait trait) {
        return "trait/" + trait.label();
    }

    static String asBuilt(Plug plug, Position p) {
        return AS_BUILT + plug.id() + "/" + p.number();
    }

    static String wish(FunctionId f) {
        return "wish/" + f;
    }

    static String baseline(FunctionId f) {
        return "baseline/" + f;
    }

    static String result(FunctionId f) {
        return "result/" + f;
    }

    static String resultNote(FunctionId f) {
        return "result note/" + f;
    }

    static String joint(JointId j) {
        return "joint/" + j;
    }

    static String readBack(JointId j) {
        return "read back/" + j;
    }

    /** How the joints of this job are made. */
    static final String SCHOOL = "school";

    static final String MOVES = "move/";
    static final String EXTENDS = "extend/";
    static final String UNDO = "undo/";
    static final String KINDS = "joint kind/";
    static final String FOLDS = "fold/";
    static final String UNUSED = "unused";
    /** Values decided for devices: selectors, switches, what a module is told. */
    static final String SETTINGS = "setting/";

    /** That a setting was made. */
    static final String SET = "set/";

    /** What serves where nothing gives what is wanted. */
    static final String INSTEAD = "instead/";

    static final String NOT_FED = "not fed";
    /** How a part is used: laid for later, the customer's own, made by hand. */
    static final String USES = "use/";

    /** How a need of the kit is filled without buying; with the time and material that takes. */
    static final String NEEDS = "need/";

    /** Kinds of part that every kit is to have. */
    static final String ALSO = "also/";

    static final String NEED_MINUTES = "need minutes/";
    static final String NEED_MATERIAL = "need material/";
    static final String SLOTS = "slot/";
    static final List<String> SLOT_NAMES = List.of("front", "rear");
    static final List<String> USE_NAMES = Arrays.stream(Use.values())
            .map(u -> u.name().toLowerCase(Locale.ROOT))
            .toList();

    static String kind(JointId j) {
        return KINDS + j;
    }

    static String extended(JointId j) {
        return EXTENDS + j;
    }

    static String jointNote(JointId j) {
        return "joint note/" + j;
    }

    /** A joint of an earlier kit that is still in the harness. */
    static String undo(JointId j) {
        return UNDO + j;
    }

    static String need(KitNeed need) {
        return NEEDS + need.label();
    }

    static String needMinutes(KitNeed need) {
        return NEED_MINUTES + need.label();
    }

    static String needMaterial(KitNeed need) {
        return NEED_MATERIAL + need.label();
    }

    static String setting(SettingId id) {
        return SETTINGS + id;
    }

    static String set(SettingId id) {
        return SET + id;
    }

    /** Reads what {@link SettingId} writes; empty for a text that names no device's setting. */
    static Optional<SettingId> settingId(String text) {
        int dot = text.indexOf('.');
        return dot < 0 ? Optional.empty() : Optional.of(new SettingId(text.substring(0, dot), text.substring(dot + 1)));
    }

    static String instead(LeadRole wanted) {
        return INSTEAD + wanted.label();
    }

    static String folded(TerminalId t) {
        return FOLDS + t;
    }

    static String moved(TerminalId t) {
        return MOVES + t;
    }

    /** Reads what {@link TerminalId} writes. */
    static TerminalId terminal(String text) {
        int dot = text.indexOf('.');
        return new TerminalId(dot < 0 ? text : text.substring(0, dot), text.substring(dot + 1));
    }

    static String cap(TerminalId t) {
        return "cap/" + t;
    }

    static String reading(Reading r) {
        return "reading/" + r.at() + "/" + r.state();
    }

    static String goods(GoodsIn.Check c) {
        return "goods/" + c.sheet() + "/" + c.id();
    }

    static String settled(FieldRef f) {
        return "settled/" + f.sheet() + "/" + f.path();
    }

    /** Whether the car is another one, electrically, with this field. */
    static boolean rebuilds(String field) {
        return field.startsWith("settled/") || field.startsWith(AS_BUILT) || fills(field);
    }

    private static boolean fills(String field) {
        return List.of(NEEDS, NEED_MINUTES, NEED_MATERIAL, ALSO).stream().anyMatch(field::startsWith);
    }

    /** Whether what is built from a job is another with this field: its kit, its worksheet, its loads. */
    static boolean rewires(String field) {
        return BUILT_FROM.contains(field)
                || rebuilds(field)
                || List.of(MOVES, EXTENDS, SETTINGS, INSTEAD, USES, SLOTS).stream()
                        .anyMatch(field::startsWith);
    }

    /** The function a field speaks of, if it speaks of one. */
    static Optional<FunctionId> function(String field) {
        return List.of("wish/", "baseline/", "result/", "result note/").stream()
                .filter(field::startsWith)
                .findFirst()
                .map(prefix -> new FunctionId(field.substring(prefix.length())));
    }

    /**
     * What is stored for what was typed; empty takes the field away.
     *
     * @throws InvalidInput naming the field, what was given and what is allowed
     */
    static Optional<String> accept(String field, String typed) {
        String value = typed.strip();
        if (value.isEmpty()) return Optional.empty();
        if (value.length() > MOST_CHARACTERS)
            throw new InvalidInput(
                    field,
                    "has %d characters; at most %d are kept. Shorten it.".formatted(value.length(), MOST_CHARACTERS));
        String kind = field.contains("/") ? field.substring(0, field.indexOf('/')) : field;
        return Optional.of(
                switch (kind) {
                    case VIN -> new Vin(value).text();
                    case BUDGET -> Words.money(cents(field, value));
                    case "sign" -> one(field, value, SIGNS);
                    case "trait" -> trait(field, value);
                    case "as built" -> one(
                            field,
                            value,
                            Stream.concat(
                                            Stream.of(AsBuilt.NO_WIRE),
                                            Arrays.stream(LeadRole.values()).map(LeadRole::label))
                                    .toList());
                    case "wish" -> one(field, value, WISHES);
                    case "baseline" -> one(
                            field,
                            value,
                            Arrays.stream(Baseline.values()).map(Baseline::name).toList());
                    case "result" -> one(
                            field,
                            value,
                            Arrays.stream(Result.values()).map(Result::name).toList());
                    case SCHOOL, "joint kind" -> jointKind(field, value);
                    case "extend" -> Extension.read(value)
                            .map(Extension::toString)
                            .orElseThrow(() -> new InvalidInput(
                                    field,
                                    "\"%s\" is no piece of lead; type its length and gauge as 1.5 m, 18 AWG (up to 20 m, AWG 4 to 24)."
                                            .formatted(value)));
                    case "move" -> one(
                            field,
                            value,
                            Stream.concat(
                                            Stream.of(UNUSED),
                                            Arrays.stream(LeadRole.values()).map(LeadRole::label))
                                    .toList());
                    case "instead" -> one(
                            field,
                            value,
                            Stream.concat(
                                            Stream.of(NOT_FED),
                                            Arrays.stream(LeadRole.values()).map(LeadRole::label))
                                    .toList());
                    case "use" -> one(field, value, USE_NAMES);
                    case "need" -> filling(field, value);
                    case "also" -> also(field, value);
                    case "need minutes" -> String.valueOf(minutes(field, value));
                    case "need material" -> Words.money(cents(field, value));
                    case "slot" -> one(field, value, SLOT_NAMES);
                    case "fold", "joint", "cap", "set", HANDED_OVER -> one(field, value, List.of(DONE));
                    case "read back", "goods" -> one(field, value, READ_BACK);
                    case "reading" -> String.valueOf(volts(field, value).value());
                    case VEHICLE,
                            RADIO,
                            PARTS,
                            CUSTOMER,
                            NOTE,
                            SERIAL,
                            "result note",
                            "joint note",
                            "undo",
                            "setting",
                            "settled" -> value;
                    default -> throw new InvalidInput(field, "is no field of a job.");
                });
    }

    private static String jointKind(String field, String value) {
        for (JointKind.Refused r : JointKind.Refused.values())
            if (r.label().equals(value))
                throw new InvalidInput(
                        field, "cannot be \"%s\". %s Choose one of %s.".formatted(value, r.why(), JointKind.all()));
        return JointKind.find(value)
                .map(JointKind::label)
                .orElseThrow(() -> new InvalidInput(
                        field, "\"%s\" is no kind of joint; one of %s.".formatted(value, JointKind.all())));
    }

    private static String also(String field, String value) {
        if (PartKind.find(field.substring(ALSO.length())).isEmpty())
            throw new InvalidInput(field, "is no kind of part; one of %s.".formatted(PartKind.all()));
        return one(field, value, List.of(WANTED));
    }

    private static String filling(String field, String value) {
        KitNeed need = KitNeed.find(field.substring(NEEDS.length()))
                .orElseThrow(() -> new InvalidInput(field, "is no field of a job."));
        return one(
                field,
                value,
                Arrays.stream(Filling.By.values())
                        .filter(need::allows)
                        .map(Filling.By::label)
                        .toList());
    }

    /** Reads whole minutes, "90" or "90 min". */
    static int minutes(String field, String text) {
        String number = text.strip().replaceAll("\\s*min$", "");
        if (!number.matches("\\d{1,4}"))
            throw new InvalidInput(field, "\"%s\" is no time; type whole minutes such as 90.".formatted(text));
        return Integer.parseInt(number);
    }

    private static String trait(String field, String value) {
        Trait trait = Trait.find(field.substring("trait/".length()))
                .orElseThrow(() -> new InvalidInput(field, "is no field of a job."));
        if (trait == Trait.BUILT && !value.matches("(19|20)\\d\\d-(0[1-9]|1[0-2])"))
            throw new InvalidInput(field, "\"%s\" is no month; type year and month as 2016-11.".formatted(value));
        return value;
    }

    private static String one(String field, String value, List<String> allowed) {
        if (allowed.contains(value)) return value;
        throw new InvalidInput(field, "\"%s\" is not allowed; one of %s.".formatted(value, String.join(", ", allowed)));
    }

    /** Reads "450", "450.5" or "450,50", in hundredths. */
    static long cents(String field, String text) {
        String number = text.strip().replace(',', '.');
        if (!number.matches("\\d{1,6}(\\.\\d{1,2})?"))
            throw new InvalidInput(field, "\"%s\" is no amount; type a number such as 450 or 450.00.".formatted(text));
        return Math.round(Double.parseDouble(number) * 100);
    }

    /** Reads "12,4", "12.4" or "12.4 V". */
    static Volts volts(String field, String text) {
        String number = text.strip().replaceAll("\\s*[vV]$", "").replace(',', '.');
        if (!number.matches("-?\\d{1,3}(\\.\\d{1,4})?"))
            throw new InvalidInput(field, "\"%s\" is no voltage; type a number such as 12.4.".formatted(text));
        return new Volts(Double.parseDouble(number));
    }
}
