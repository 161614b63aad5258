package velvetbezel.sheet;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * What a lead is for. The order is the usual working order at the bench (common practice): power, then
 * control leads, then speakers from the farthest corner, negative first.
 */
public enum LeadRole {
    GROUND(Group.POWER, Flow.SHARES),
    /** Ground of an amplifier, brought out on its own; it joins as ground. */
    AMPLIFIER_GROUND(Group.POWER, Flow.SHARES),
    CONSTANT(Group.POWER, Flow.GIVES),
    ACCESSORY(Group.POWER, Flow.GIVES),
    /** Live in run, dead in accessory (terminal 15 of DIN 72552, from memory). */
    IGNITION(Group.POWER, Flow.GIVES),
    AMP_REMOTE(Group.CONTROL, Flow.TAKES),
    ANTENNA_POWER(Group.CONTROL, Flow.TAKES),
    ILLUMINATION(Group.CONTROL, Flow.GIVES),
    SECOND_ILLUMINATION(Group.CONTROL, Flow.GIVES),
    DIMMER_RETURN(Group.CONTROL, Flow.SHARES),
    STEERING_1(Group.CONTROL, Flow.SHARES),
    STEERING_2(Group.CONTROL, Flow.SHARES),
    STEERING_GROUND(Group.CONTROL, Flow.SHARES),
    PARKING_BRAKE(Group.CONTROL, Flow.SHARES),
    BRAKE_LAMP(Group.CONTROL, Flow.GIVES),
    REVERSE(Group.CONTROL, Flow.GIVES),
    SPEED(Group.CONTROL, Flow.GIVES),
    MUTE(Group.CONTROL, Flow.GIVES),
    DATA_HIGH(Group.CONTROL, Flow.SHARES),
    DATA_LOW(Group.CONTROL, Flow.SHARES),
    /** A data bus of one wire; it joins as data high. */
    DATA(Group.CONTROL, Flow.SHARES),
    K_LINE(Group.CONTROL, Flow.SHARES),
    HAZARD(Group.CONTROL, Flow.SHARES),
    CAMERA_POWER(Group.CONTROL, Flow.TAKES),
    SUBWOOFER_MINUS(Group.SPEAKER, Flow.TAKES),
    SUBWOOFER_PLUS(Group.SPEAKER, Flow.TAKES),
    REAR_RIGHT_MINUS(Group.SPEAKER, Flow.TAKES),
    REAR_RIGHT_PLUS(Group.SPEAKER, Flow.TAKES),
    REAR_LEFT_MINUS(Group.SPEAKER, Flow.TAKES),
    REAR_LEFT_PLUS(Group.SPEAKER, Flow.TAKES),
    FRONT_RIGHT_MINUS(Group.SPEAKER, Flow.TAKES),
    FRONT_RIGHT_PLUS(Group.SPEAKER, Flow.TAKES),
    FRONT_LEFT_MINUS(Group.SPEAKER, Flow.TAKES),
    FRONT_LEFT_PLUS(Group.SPEAKER, Flow.TAKES),
    CENTRE_SPEAKER_MINUS(Group.SPEAKER, Flow.TAKES),
    CENTRE_SPEAKER_PLUS(Group.SPEAKER, Flow.TAKES),
    CHIME_MINUS(Group.SPEAKER, Flow.TAKES),
    CHIME_PLUS(Group.SPEAKER, Flow.TAKES),
    LINE_REAR_RIGHT_MINUS(Group.LINE, Flow.TAKES),
    LINE_REAR_RIGHT_PLUS(Group.LINE, Flow.TAKES),
    LINE_REAR_LEFT_MINUS(Group.LINE, Flow.TAKES),
    LINE_REAR_LEFT_PLUS(Group.LINE, Flow.TAKES),
    LINE_FRONT_RIGHT_MINUS(Group.LINE, Flow.TAKES),
    LINE_FRONT_RIGHT_PLUS(Group.LINE, Flow.TAKES),
    LINE_FRONT_LEFT_MINUS(Group.LINE, Flow.TAKES),
    LINE_FRONT_LEFT_PLUS(Group.LINE, Flow.TAKES),
    LINE_RIGHT_MINUS(Group.LINE, Flow.TAKES),
    LINE_RIGHT_PLUS(Group.LINE, Flow.TAKES),
    LINE_LEFT_MINUS(Group.LINE, Flow.TAKES),
    LINE_LEFT_PLUS(Group.LINE, Flow.TAKES),
    LINE_SUBWOOFER_MINUS(Group.LINE, Flow.TAKES),
    LINE_SUBWOOFER_PLUS(Group.LINE, Flow.TAKES),
    /** The one return that several line-level channels share. */
    LINE_COMMON(Group.LINE, Flow.SHARES),
    ANTENNA(Group.PLUGGED, Flow.GIVES),
    ANTENNA_SHIELD(Group.PLUGGED, Flow.SHARES),
    WIRED_REMOTE(Group.PLUGGED, Flow.SHARES),
    WIRED_REMOTE_GROUND(Group.PLUGGED, Flow.SHARES),
    RADIO_DATA(Group.PLUGGED, Flow.SHARES),
    RADIO_DATA_GROUND(Group.PLUGGED, Flow.SHARES),
    CAMERA(Group.PLUGGED, Flow.GIVES),
    CAMERA_GROUND(Group.PLUGGED, Flow.SHARES),
    MICROPHONE(Group.PLUGGED, Flow.GIVES),
    MICROPHONE_GROUND(Group.PLUGGED, Flow.SHARES),
    TELEMATICS_VOICE(Group.PLUGGED, Flow.GIVES),
    TELEMATICS_VOICE_GROUND(Group.PLUGGED, Flow.SHARES),
    AUX_INPUT(Group.PLUGGED, Flow.GIVES),
    AUX_INPUT_GROUND(Group.PLUGGED, Flow.SHARES),
    USB(Group.PLUGGED, Flow.SHARES),
    USB_GROUND(Group.PLUGGED, Flow.SHARES),
    GPS(Group.PLUGGED, Flow.GIVES),
    GPS_SHIELD(Group.PLUGGED, Flow.SHARES),
    SATELLITE(Group.PLUGGED, Flow.GIVES),
    SATELLITE_SHIELD(Group.PLUGGED, Flow.SHARES),
    REAR_SCREEN(Group.PLUGGED, Flow.TAKES),
    REAR_SCREEN_GROUND(Group.PLUGGED, Flow.SHARES),
    FIBRE_IN(Group.PLUGGED, Flow.GIVES),
    FIBRE_OUT(Group.PLUGGED, Flow.TAKES);

    /** Headings of the joint list. */
    public enum Group {
        POWER("Power"),
        CONTROL("Control leads"),
        SPEAKER("Speakers, farthest first"),
        LINE("Line level"),
        PLUGGED("Plugged");

        private final String heading;

        Group(String heading) {
            this.heading = heading;
        }

        public String heading() {
            return heading;
        }
    }

    private final Group group;
    private final Flow carFlow;
    private final String label;

    LeadRole(Group group, Flow carFlow) {
        this.label = label(name());
        this.group = group;
        this.carFlow = carFlow;
    }

    public Group group() {
        return group;
    }

    /** Which way the lead works at the car's plug; a radio's lead works the other way. */
    public Flow carFlow() {
        return carFlow;
    }

    /** The role that a lead of this one is joined as: an amplifier's ground is ground, one data wire is data high. */
    public LeadRole joinsAs() {
        if (this == AMPLIFIER_GROUND) return GROUND;
        return this == DATA ? DATA_HIGH : this;
    }

    /** Whether it carries the battery's voltage to what it feeds. */
    public boolean feeds() {
        return FEEDS.contains(this);
    }

    /** A fact about a role as a line says it: "illumination", "illumination?" for a guess, "unknown". */
    public static String words(Fact<LeadRole> fact) {
        return fact.said()
                .map(r -> fact instanceof Fact.Guessed ? r.label() + "?" : r.label())
                .orElse("unknown");
    }

    /** As sheets and people write it: "front left +", "amp remote". */
    public String label() {
        return label;
    }

    private static String label(String name) {
        return name.toLowerCase(Locale.ROOT)
                .replace('_', ' ')
                .replaceAll(" plus$", " +")
                .replaceAll(" minus$", " −")
                .replaceAll("^(usb|gps)", name.substring(0, 3))
                .replaceAll("^k line", "K line");
    }

    private static final Set<LeadRole> FEEDS =
            EnumSet.of(CONSTANT, ACCESSORY, IGNITION, ILLUMINATION, SECOND_ILLUMINATION, REVERSE, BRAKE_LAMP);
    private static final Map<String, LeadRole> BY_LABEL = Arrays.stream(values())
            .collect(Collectors.toUnmodifiableMap(r -> r.label.toLowerCase(Locale.ROOT), r -> r));
    private static final String ALL =
            Arrays.stream(values()).map(LeadRole::label).collect(Collectors.joining(", "));

    /** Reads a label; "-" and "−" are the same here. */
    public static Optional<LeadRole> find(String label) {
        return Optional.ofNullable(
                BY_LABEL.get(label.strip().toLowerCase(Locale.ROOT).replace(" -", " −")));
    }

    /**
     * Short forms from pinouts and wiring lists (DIN 72552 terminal numbers, from memory; the rest common practice).
     */
    private static final Map<String, LeadRole> SHORT = Map.ofEntries(
            Map.entry("30", CONSTANT),
            Map.entry("b+", CONSTANT),
            Map.entry("12v", CONSTANT),
            Map.entry("batt", CONSTANT),
            Map.entry("75", ACCESSORY),
            Map.entry("acc", ACCESSORY),
            Map.entry("31", GROUND),
            Map.entry("gnd", GROUND),
            Map.entry("earth", GROUND),
            Map.entry("58", ILLUMINATION),
            Map.entry("ill", ILLUMINATION),
            Map.entry("lamps", ILLUMINATION),
            Map.entry("rem", AMP_REMOTE),
            Map.entry("remote", AMP_REMOTE),
            Map.entry("ant", ANTENNA_POWER),
            Map.entry("swc", STEERING_1),
            Map.entry("sw1", STEERING_1),
            Map.entry("sw2", STEERING_2),
            Map.entry("swg", STEERING_GROUND),
            Map.entry("can h", DATA_HIGH),
            Map.entry("can l", DATA_LOW),
            Map.entry("canh", DATA_HIGH),
            Map.entry("canl", DATA_LOW),
            Map.entry("k", K_LINE),
            Map.entry("rev", REVERSE),
            Map.entry("pb", PARKING_BRAKE),
            Map.entry("vss", SPEED),
            Map.entry("mic", MICROPHONE),
            Map.entry("micg", MICROPHONE_GROUND));

    private static final Pattern SPACES = Pattern.compile("\\s+");
    private static final Pattern CORNER = Pattern.compile("(line |l )?(fl|lf|fr|rf|rl|lr|rr) ?([+-])");
    private static final Map<String, String> CORNERS = Map.of(
            "fl",
            "front left",
            "lf",
            "front left",
            "fr",
            "front right",
            "rf",
            "front right",
            "rl",
            "rear left",
            "lr",
            "rear left",
            "rr",
            "rear right");

    /** Reads a label or a short form: "fl+", "line rr-", "acc", "30". */
    public static Optional<LeadRole> read(String text) {
        String wanted = SPACES.matcher(text.strip().toLowerCase(Locale.ROOT).replace('−', '-'))
                .replaceAll(" ");
        Optional<LeadRole> known = find(wanted).or(() -> Optional.ofNullable(SHORT.get(wanted)));
        if (known.isPresent()) return known;
        Matcher corner = CORNER.matcher(wanted);
        return corner.matches()
                ? find((corner.group(1) == null ? "" : "line ") + CORNERS.get(corner.group(2)) + " " + corner.group(3))
                : Optional.empty();
    }

    public static String all() {
        return ALL;
    }
}
