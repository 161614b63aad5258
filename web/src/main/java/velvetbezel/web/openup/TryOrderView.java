package velvetbezel.web.openup;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.store.StandardHazards;
import velvetbezel.strip.CarState;
import velvetbezel.strip.EventCheck;
import velvetbezel.strip.HazardFinding;
import velvetbezel.strip.Simulation;
import velvetbezel.strip.StepText;
import velvetbezel.strip.StripStep;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Words;

/**
 * Any order, tried against the hazard rules before anybody touches the car.
 *
 * @param typed   as it stands in the field
 * @param refused lines that are no steps of this dash, each with what was given and expected
 */
public record TryOrderView(
        Frame frame, String heading, String typed, List<String> refused, List<StepLine> lines, boolean sheet) {
    private static final int MOST_LINES = 400;

    static TryOrderView of(OpenJob open, String typed, Frame.Trouble trouble) {
        Frame frame = Frame.of(open, Station.OPEN_UP, trouble);
        Optional<StripDown> strip = open.dash().sheet();
        if (strip.isEmpty())
            return new TryOrderView(frame, "There is nothing to try an order on", typed, List.of(), List.of(), false);
        String text = typed.isBlank() ? planned(open) : typed;
        List<String> refused = new ArrayList<>();
        List<StripStep> steps = read(text, strip.get(), refused);
        List<HazardFinding> findings = new Simulation(strip.get(), open.dash().wanted(), StandardHazards.all())
                .run(CarState.CLOSED, steps)
                .findings();
        StepWords words = new StepWords(strip);
        List<StepLine> lines = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) lines.add(StepLine.of(i, steps.get(i), false, words, findings));
        return new TryOrderView(frame, heading(lines), text, refused, lines, true);
    }

    private static String heading(List<StepLine> lines) {
        int hazards = (int) lines.stream()
                .flatMap(l -> l.hazards().stream())
                .filter(h -> !h.caution())
                .count();
        return hazards == 0
                ? "Nothing speaks against this order"
                : "%s in this order".formatted(Words.sentence(Words.count(hazards, "hazard")));
    }

    private static String planned(OpenJob open) {
        return Course.of(open).steps().stream().map(StepText::write).collect(Collectors.joining("\n"));
    }

    private static List<StripStep> read(String text, StripDown strip, List<String> refused) {
        List<StripStep> steps = new ArrayList<>();
        EventCheck check = new EventCheck(strip);
        CarState car = CarState.CLOSED;
        List<String> lines = text.lines().filter(l -> !l.isBlank()).toList();
        if (lines.size() > MOST_LINES)
            refused.add("%d lines; the first %d were tried.".formatted(lines.size(), MOST_LINES));
        for (int i = 0; i < Math.min(MOST_LINES, lines.size()); i++) {
            try {
                StripStep step = StepText.read(lines.get(i));
                int line = i + 1;
                check.refused(car, step).ifPresent(why -> refused.add("Line %d: %s".formatted(line, why)));
                steps.add(step);
                car = car.after(step);
            } catch (InvalidInput e) {
                refused.add("Line %d: %s".formatted(i + 1, e.faults().get(0).message()));
            }
        }
        return steps;
    }
}
