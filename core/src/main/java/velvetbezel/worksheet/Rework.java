package velvetbezel.worksheet;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.harness.Builder;

/**
 * What another kit leaves standing of joints already made: found by comparing the two worksheets.
 *
 * @param stand joints that are the same in both
 * @param undo  joints of the first that are gone or have other leads
 * @param fresh joints of the second that have to be made
 */
public record Rework(List<JointRow> stand, List<JointRow> undo, List<JointRow> fresh) {
    public static Rework between(List<JointRow> before, List<JointRow> after) {
        Set<String> old = before.stream().map(Rework::leads).collect(Collectors.toSet());
        Set<String> now = after.stream().map(Rework::leads).collect(Collectors.toSet());
        return new Rework(
                before.stream().filter(r -> now.contains(leads(r))).toList(),
                before.stream().filter(r -> !now.contains(leads(r))).toList(),
                after.stream().filter(r -> !old.contains(leads(r))).toList());
    }

    /**
     * A joint is the same where its leads, the devices they belong to and their colours are; the car's own wire stays
     * the same whatever its colour is found to be.
     */
    private static String leads(JointRow row) {
        return Stream.concat(
                        Stream.of(row.id().text()),
                        row.leads().stream()
                                .map(l -> l.id() + "/" + l.device() + "/"
                                        + (l.id().instance().equals(Builder.CAR) ? "" : l.colourWords()) + "/"
                                        + l.place())
                                .sorted())
                .toList()
                .toString();
    }

    /** What a joint was, so that it can be found and taken apart. */
    public static String words(JointRow row) {
        return "%s: %s"
                .formatted(
                        row.role().label(),
                        row.leads().stream()
                                .map(l -> "%s of %s".formatted(l.colourWords(), l.deviceWords()))
                                .collect(Collectors.joining(", ")));
    }
}
