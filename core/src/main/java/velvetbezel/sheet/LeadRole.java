package velvetbezel.sheet;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What a lead is for. The order is the usual working order at the bench (common practice): power, then
 * control leads, then speakers from the farthest corner, negative first.
 */
public enum LeadRole {
    GROUND(Group.POWER, Flow.SHARES),
    CONSTANT(Group.POWER, Flow.GIVES),
    ACCESSORY(Group.POWER, Flow.GIVES),
    AMP_REMOTE(Group.CONTROL, Flow.TAKES),
    ANTENNA_POWER(Group.CONTROL, Flow.TAKES),
    ILLUMINATION(Group.CONTROL, Flow.GIVES),
    STEERING_1(Group.CONTROL, Flow.SHARES),
    STEERING_2(Group.CONTROL, Flow.SHARES),
    STEERING_GROUND(Group.CONTROL, Flow.SHARES),
    PARKING_BRAKE(Group.CONTROL, Flow.GIVES),
    REVERSE(Group.CONTROL, Flow.GIVES),
    SPEED(Group.CONTROL, Flow.GIVES),
    MUTE(Group.CONTROL, Flow.GIVES),
    DATA_HIGH(Group.CONTROL, Flow.SHARES),
    DATA_LOW(Group.CONTROL, Flow.SHARES),
    K_LINE(Group.CONTROL, Flow.SHARES),
    REAR_RIGHT_MINUS(Group.SPEAKER, Flow.TAKES),
    REAR_RIGHT_PLUS(Group.SPEAKER, Flow.TAKES),
    REAR_LEFT_MINUS(Group.SPEAKER, Flow.TAKES),
    REAR_LEFT_PLUS(Group.SPEAKER, Flow.TAKES),
    FRONT_RIGHT_MINUS(Group.SPEAKER, Flow.TAKES),
    FRONT_RIGHT_PLUS(Group.SPEAKER, Flow.TAKES),
    FRONT_LEFT_MINUS(Group.SPEAKER, Flow.TAKES),
    FRONT_LEFT_PLUS(Group.SPEAKER, Flow.TAKES),
    LINE_REAR_RIGHT_MINUS(Group.LINE, Flow.TAKES),
    LINE_REAR_RIGHT_PLUS(Group.LINE, Flow.TAKES),
    LINE_REAR_LEFT_MINUS(Group.LINE, Flow.TAKES),
    LINE_REAR_LEFT_PLUS(Group.LINE, Flow.TAKES),
    LINE_FRONT_RIGHT_MINUS(Group.LINE, Flow.TAKES),
    LINE_FRONT_RIGHT_PLUS(Group.LINE, Flow.TAKES),
    LINE_FRONT_LEFT_MINUS(Group.LINE, Flow.TAKES),
    LINE_FRONT_LEFT_PLUS(Group.LINE, Flow.TAKES),
    ANTENNA(Group.PLUGGED, Flow.GIVES),
    ANTENNA_SHIELD(Group.PLUGGED, Flow.SHARES),
    WIRED_REMOTE(Group.PLUGGED, Flow.SHARES),
    WIRED_REMOTE_GROUND(Group.PLUGGED, Flow.SHARES),
    RADIO_DATA(Group.PLUGGED, Flow.SHARES),
    RADIO_DATA_GROUND(Group.PLUGGED, Flow.SHARES);

    /** Headings of the joint list. */
    public enum Group {
        POWER("Power"), CONTROL("Control leads"), SPEAKER("Speakers, farthest first"), LINE("Line level"), PLUGGED("Plugged");

        private final String heading;

        Group(String heading) { this.heading = heading; }

        public String heading() { return heading; }
    }

    private final Group group;
    private final Flow carFlow;

    LeadRole(Group group, Flow carFlow) {
        this.group = group;
        this.carFlow = carFlow;
    }

    public Group group() { return group; }

    /** Which way the lead works at the car's plug; a radio's lead works the other way. */
    public Flow carFlow() { return carFlow; }

    /** As sheets and people write it: "front left +", "amp remote". */
    public String label() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ').replaceAll(" plus$", " +").replaceAll(" minus$", " −");
    }

    /** Reads a label; "-" and "−" are the same here. */
    public static Optional<LeadRole> find(String label) {
        String wanted = label.strip().toLowerCase(Locale.ROOT).replace(" -", " −");
        return Arrays.stream(values()).filter(r -> r.label().equals(wanted)).findFirst();
    }

    public static String all() { return Arrays.stream(values()).map(LeadRole::label).collect(Collectors.joining(", ")); }
}
