package velvetbezel.web.openup;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.strip.GroupOf;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.strip.StripStep;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.shell.Words;

/** The order on paper: boxes to tick, trays to count into, cautions at their step. @param size "A4" or "letter" */
public record OpenUpPaper(
        int number, String title, String vehicle, String printed, String size, OpenUpView view, List<TrayRow> trays) {
    /** @param out how many come out as planned */
    public record TrayRow(String item, String group, String tool, int out) {}

    static OpenUpPaper of(OpenJob open, String size, Instant now) {
        if (!size.equals("a4") && !size.equals("letter"))
            throw new InvalidInput("paper", "\"%s\" is no paper here; a4 or letter.".formatted(size));
        Course course = Course.of(open);
        OpenUpView view = OpenUpView.of(open, course, Frame.Trouble.NONE);
        if (!view.orderly())
            throw new InvalidInput(
                    "order",
                    "Job %d has no order to print: %s.".formatted(open.job().number(), view.heading()));
        return new OpenUpPaper(
                open.job().number(),
                open.job().title(),
                open.vehicle()
                        .map(v -> "%s %s, %s".formatted(v.make(), v.model(), v.trim()))
                        .orElse(""),
                Words.moment(now),
                size.equals("a4") ? "A4" : "letter",
                view,
                trays(course.dash().sheet(), course.steps()));
    }

    private static List<TrayRow> trays(Optional<StripDown> strip, List<StripStep> steps) {
        StepWords words = new StepWords(strip);
        return steps.stream()
                .filter(StripStep.Undo.class::isInstance)
                .map(StripStep.Undo.class::cast)
                .map(u -> new TrayRow(
                        u.group().item().name(),
                        u.group().name().equals(GroupOf.CLIPS)
                                ? "clips"
                                : u.group().name(),
                        words.tool(u),
                        u.count()))
                .toList();
    }
}
