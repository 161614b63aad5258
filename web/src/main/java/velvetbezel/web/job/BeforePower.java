package velvetbezel.web.job;

import java.util.ArrayList;
import java.util.List;
import velvetbezel.job.Entry;
import velvetbezel.web.shell.Say;

/** What should be done before the new installation gets power for the first time. */
public final class BeforePower {
    private BeforePower() {}

    /** What is not done yet, each in a clause; empty where nothing stands against power, or no kit is chosen. */
    public static List<String> things(OpenJob open) {
        List<String> things = new ArrayList<>();
        if (open.design().isEmpty()) return things;
        int joints = open.joints().size();
        long read = open.joints().stream()
                .filter(j -> open.readBack(j, Entry.Agreement.AGREES))
                .count();
        say(things, "joints", joints - open.jointsDone().size());
        say(things, "read", joints - (int) read);
        say(things, "caps", (int) open.design().get().worksheet().caps().stream()
                .filter(c -> !open.has(new Entry.CapMade(c.lead().id())))
                .count());
        say(things, "undo", open.state().all(Entry.JointToUndo.class).size());
        say(things, "settings", (int) SetUpView.of(open).stream()
                .filter(l -> !l.set() && l.beforePower())
                .count());
        say(things, "readings", (int)
                open.measured().stream().filter(m -> m.differs()).count());
        return things;
    }

    private static void say(List<String> things, String code, int count) {
        if (count > 0) things.add(Say.it("before.power." + code, count));
    }

    /** One caution for all of it; an empty text where nothing is missing or power was on before. */
    public static String caution(OpenJob open) {
        List<String> things = things(open);
        return things.isEmpty() || open.has(new Entry.FirstPower())
                ? ""
                : Say.it("before.power", String.join(", ", things));
    }
}
