package velvetbezel.web.openup;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import velvetbezel.job.Entry;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.store.JobCodec;
import velvetbezel.strip.LearnedTimes;
import velvetbezel.strip.StepText;
import velvetbezel.strip.StepTimes;
import velvetbezel.strip.StripStep;
import velvetbezel.strip.Timeline;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Say;

/**
 * What a person takes at this dash, learned from what he took, and pauses that he is asked about.
 *
 * @param lines one for each step of the order that has minutes
 */
record TimesView(Frame frame, String heading, String verdict, List<Line> lines, List<Pause> pauses) {
    public record Line(String what, String sheet, String own, String from) {}

    /** @param answer "worked", "away", or an empty text where nobody said */
    public record Pause(String words, String field, String answer) {}

    static TimesView of(OpenJob open, Learned learned, Frame.Trouble trouble) {
        Course course = Course.of(open);
        Optional<StripDown> strip = course.dash().sheet();
        StepWords words = new StepWords(strip);
        List<Line> lines = new ArrayList<>();
        strip.ifPresent(s -> lines.addAll(lines(s, course.steps(), words, learned.times())));
        return new TimesView(
                Frame.of(open, Station.OPEN_UP, trouble),
                learned.times().records() == 0
                        ? Say.it("times.none")
                        : Say.it(
                                "times.pace",
                                percent(learned.times().pace()),
                                learned.times().records()),
                Say.it("times.method"),
                lines,
                pauses(open, learned, words));
    }

    /** The person's own time for what is left, in a sentence; an empty text where nothing is known of him. */
    static String line(Course course, Learned learned) {
        Optional<StripDown> strip = course.dash().sheet();
        if (learned.times().records() == 0 || strip.isEmpty()) return "";
        StepTimes sheet = new StepTimes(strip.get());
        double minutes = course.steps().stream()
                .skip(course.done())
                .mapToDouble(s -> learned.times()
                        .of(StepText.write(s), sheet.of(s).usual())
                        .minutes())
                .sum();
        return minutes < 1
                ? ""
                : Say.it("times.line", Math.round(minutes), learned.times().records());
    }

    private static long percent(double pace) {
        return Math.round(pace * 100);
    }

    private static List<Line> lines(StripDown strip, List<StripStep> steps, StepWords words, LearnedTimes times) {
        StepTimes sheet = new StepTimes(strip);
        List<Line> lines = new ArrayList<>();
        Set<StripStep> told = new HashSet<>();
        for (StripStep s : steps) {
            double minutes = sheet.of(s).usual();
            if (minutes == 0 || !told.add(s)) continue;
            LearnedTimes.Learned own = times.of(StepText.write(s), minutes);
            lines.add(new Line(
                    words.what(s),
                    minutes(minutes),
                    minutes(own.minutes()),
                    own.records() == 0 ? Say.it("times.from.sheet") : Say.it("times.from.own", own.records())));
        }
        return lines;
    }

    private static String minutes(double minutes) {
        return Say.it("times.minutes", Math.round(minutes * 10) / 10.0);
    }

    private static List<Pause> pauses(OpenJob open, Learned learned, StepWords words) {
        return new Timeline(learned.here())
                .pauses().stream()
                        .map(p -> {
                            Entry.PauseAnswered entry = new Entry.PauseAnswered(p.id());
                            return new Pause(
                                    Say.it(
                                            "times.pause",
                                            Math.round(p.minutes()),
                                            words.what(p.before()),
                                            words.what(p.after())),
                                    JobCodec.key(entry),
                                    open.text(entry));
                        })
                        .collect(Collectors.toList());
    }

    /**
     * What is known of a person's times.
     *
     * @param here steps of this job
     */
    record Learned(LearnedTimes times, List<Timeline.Timed> here) {}
}
