package velvetbezel.strip;

import velvetbezel.sheet.strip.Battery;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.Minutes;
import velvetbezel.sheet.strip.StripDown;

/** Minutes of each step, as the sheet states them. What goes with a part is in the part's own minutes. */
public final class StepTimes {
    /** Key, lever, brake, door or column (starting figure, from memory). */
    private static final Minutes SET = new Minutes(0.1, 0.2, 0.5);
    /** One look at everything that was to be kept, before the panels close (starting figure, from memory). */
    private static final Minutes TEST = new Minutes(3, 6, 12);

    private static final Minutes CLAMP = new Minutes(1, 2, 4);
    private final Dash dash;

    public StepTimes(StripDown strip) {
        this.dash = new Dash(strip);
    }

    public Minutes of(StripStep step) {
        if (step instanceof StripStep.SetState s) return setting(s);
        if (step instanceof StripStep.Loosen s) return part(dash.item(s.item()));
        if (step instanceof StripStep.Fasten s) return part(dash.item(s.item()));
        if (step instanceof StripStep.DoWork s)
            return dash.work(s.work()).map(w -> w.minutes()).orElse(Minutes.NONE);
        return step instanceof StripStep.FunctionTest ? TEST : Minutes.NONE;
    }

    private static Minutes part(DashItem item) {
        return item == null ? Minutes.NONE : item.minutes();
    }

    private Minutes setting(StripStep.SetState s) {
        if (s.by() == StripStep.By.RELEASE)
            return dash.lever().flatMap(l -> l.release()).map(r -> r.minutes()).orElse(SET);
        if (!HazardRules.isClamp(s.field())) return SET;
        return dash.strip().facts().battery(s.field()).map(Battery::minutes).orElse(CLAMP);
    }
}
