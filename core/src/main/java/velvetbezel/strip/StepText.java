package velvetbezel.strip;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.strip.ConnectorOf;
import velvetbezel.sheet.strip.GroupOf;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.state.StateField;

/**
 * Steps as short texts and back, as jobs keep them: "undo radio/front × 2", "set gear: low, foot brake held",
 * "unplug fascia.airbag lamp".
 */
public final class StepText {
    private static final String FOOT = ", foot brake held";
    private static final String RELEASE = ", by the release";
    private static final String FOR_NOW = " for now";
    private static final String ALLOWED =
            "set, undo, loosen, unplug, lift, exchange, put in, plug in, do up, fasten, do, "
                    + "function test, cut, spare, dropped, note";
    private static final Pattern COUNTED = Pattern.compile("(.+) × (-?\\d{1,6})");
    private static final int MOST_AT_ONCE = 60;

    private StepText() {}

    public static String write(StripStep step) {
        if (step instanceof StripStep.SetState s)
            return "set %s: %s%s%s"
                    .formatted(
                            s.field().label(),
                            s.to(),
                            s.footBrake() ? FOOT : "",
                            s.by() == StripStep.By.RELEASE ? RELEASE : "");
        if (step instanceof StripStep.Undo s) return "undo %s × %d".formatted(s.group(), s.count());
        if (step instanceof StripStep.Loosen s) return "loosen " + s.item();
        if (step instanceof StripStep.Unplug s) return "unplug " + s.connector();
        if (step instanceof StripStep.Lift s) return "lift " + s.item();
        if (step instanceof StripStep.Exchange) return "exchange";
        if (step instanceof StripStep.PutIn s) return "put in " + s.item() + (s.forNow() ? FOR_NOW : "");
        if (step instanceof StripStep.PlugIn s) return "plug in " + s.connector() + (s.forNow() ? FOR_NOW : "");
        if (step instanceof StripStep.DoUp s) return "do up %s × %d".formatted(s.group(), s.count());
        if (step instanceof StripStep.Fasten s) return "fasten " + s.item();
        if (step instanceof StripStep.DoWork s) return "do " + s.work();
        if (step instanceof StripStep.FunctionTest) return "function test";
        if (step instanceof StripStep.CutLead s) return "cut " + s.lead();
        if (step instanceof StripStep.Spare s) return "spare %s × %d".formatted(s.group(), s.count());
        if (step instanceof StripStep.Dropped s) return "dropped %s × %d".formatted(s.group(), s.count());
        return step instanceof StripStep.Noted s ? "note " + s.text() : "end";
    }

    /** @throws InvalidInput saying what was given and what is allowed */
    public static StripStep read(String text) {
        return find(text.strip())
                .orElseThrow(() -> new InvalidInput(
                        "step",
                        "\"%s\" is no step; it begins with one of: %s. Fasteners are counted with ×, from 1 to %d."
                                .formatted(text, ALLOWED, MOST_AT_ONCE)));
    }

    /** @throws InvalidInput at the first that is none */
    public static List<StripStep> readAll(List<String> texts) {
        List<StripStep> steps = new ArrayList<>();
        for (String t : texts) steps.add(read(t));
        return steps;
    }

    private static Optional<StripStep> find(String text) {
        if (text.equals("exchange")) return Optional.of(new StripStep.Exchange());
        if (text.equals("function test")) return Optional.of(new StripStep.FunctionTest());
        if (text.equals("end")) return Optional.of(new StripStep.End());
        return after(text, "set ", StepText::set)
                .or(() -> after(text, "undo ", t -> counted(t, StripStep.Undo::new)))
                .or(() -> after(text, "do up ", t -> counted(t, StripStep.DoUp::new)))
                .or(() -> after(text, "spare ", t -> counted(t, StripStep.Spare::new)))
                .or(() -> after(text, "dropped ", t -> counted(t, StripStep.Dropped::new)))
                .or(() -> after(text, "loosen ", t -> Optional.of(new StripStep.Loosen(new ItemId(t)))))
                .or(() -> after(text, "lift ", t -> Optional.of(new StripStep.Lift(new ItemId(t)))))
                .or(() -> after(text, "fasten ", t -> Optional.of(new StripStep.Fasten(new ItemId(t)))))
                .or(() -> after(text, "unplug ", t -> ConnectorOf.read(t).map(StripStep.Unplug::new)))
                .or(() -> after(text, "put in ", StepText::putIn))
                .or(() -> after(text, "plug in ", StepText::plugIn))
                .or(() -> after(text, "do ", t -> Optional.of(new StripStep.DoWork(t))))
                .or(() -> after(text, "cut ", t -> Optional.of(new StripStep.CutLead(t))))
                .or(() -> after(text, "note ", t -> Optional.of(new StripStep.Noted(t))));
    }

    private static Optional<StripStep> after(String text, String word, Function<String, Optional<StripStep>> of) {
        return text.startsWith(word) && text.length() > word.length()
                ? of.apply(text.substring(word.length()).strip())
                : Optional.empty();
    }

    private interface Counted {
        StripStep of(GroupOf group, int count);
    }

    private static Optional<StripStep> counted(String text, Counted of) {
        Matcher m = COUNTED.matcher(text);
        if (!m.matches()) return Optional.empty();
        int count = Integer.parseInt(m.group(2));
        return count < 1 || count > MOST_AT_ONCE
                ? Optional.empty()
                : GroupOf.read(m.group(1)).map(g -> of.of(g, count));
    }

    private static Optional<StripStep> set(String text) {
        StripStep.By by = text.endsWith(RELEASE) ? StripStep.By.RELEASE : StripStep.By.HAND;
        String rest = text.endsWith(RELEASE) ? text.substring(0, text.length() - RELEASE.length()) : text;
        boolean foot = rest.endsWith(FOOT);
        String plain = foot ? rest.substring(0, rest.length() - FOOT.length()) : rest;
        int colon = plain.indexOf(": ");
        if (colon < 0) return Optional.empty();
        String to = plain.substring(colon + 2);
        return StateField.find(plain.substring(0, colon))
                .filter(f -> f.words().contains(to))
                .map(f -> new StripStep.SetState(f, to, foot, by));
    }

    private static Optional<StripStep> putIn(String text) {
        return Optional.of(new StripStep.PutIn(new ItemId(plain(text)), text.endsWith(FOR_NOW)));
    }

    private static Optional<StripStep> plugIn(String text) {
        return ConnectorOf.read(plain(text)).map(c -> new StripStep.PlugIn(c, text.endsWith(FOR_NOW)));
    }

    private static String plain(String text) {
        return text.endsWith(FOR_NOW) ? text.substring(0, text.length() - FOR_NOW.length()) : text;
    }
}
