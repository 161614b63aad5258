package velvetbezel.web.openup;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import velvetbezel.sheet.strip.Clips;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.FastenerGroup;
import velvetbezel.sheet.strip.GroupOf;
import velvetbezel.sheet.strip.ItemConnector;
import velvetbezel.sheet.strip.ItemId;
import velvetbezel.sheet.strip.ItemKind;
import velvetbezel.sheet.strip.StripDown;
import velvetbezel.state.StateField;
import velvetbezel.strip.StripStep;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/** A step in words: what to do, how, and with what. */
final class StepWords {
    private final Optional<StripDown> strip;

    StepWords(Optional<StripDown> strip) {
        this.strip = strip;
    }

    private Optional<DashItem> item(ItemId id) {
        return strip.flatMap(s -> s.item(id));
    }

    private Optional<FastenerGroup> group(GroupOf id) {
        return strip.flatMap(s -> s.group(id));
    }

    private Optional<ItemConnector> connector(StripStep step) {
        if (step instanceof StripStep.Unplug s) return strip.flatMap(d -> d.connector(s.connector()));
        return step instanceof StripStep.PlugIn s ? strip.flatMap(d -> d.connector(s.connector())) : Optional.empty();
    }

    private String lid(String code, ItemId id) {
        boolean lid = item(id).filter(i -> i.kind() == ItemKind.LID).isPresent();
        return Say.it(lid ? code + ".lid" : code, id.name());
    }

    /** What is done: "Undo front × 2, radio". */
    String what(StripStep step) {
        if (step instanceof StripStep.SetState s) return set(s);
        if (step instanceof StripStep.Undo s) return counted("step.undo", s.group(), s.count());
        if (step instanceof StripStep.DoUp s) return counted("step.do.up", s.group(), s.count());
        if (step instanceof StripStep.Loosen s) return lid("step.loosen", s.item());
        if (step instanceof StripStep.Fasten s) return lid("step.fasten", s.item());
        if (step instanceof StripStep.Unplug s)
            return Say.it(
                    "step.unplug", s.connector().item().name(), s.connector().name());
        if (step instanceof StripStep.Lift s)
            return Say.it("step.lift", s.item().name());
        if (step instanceof StripStep.Exchange) return Say.it("step.exchange");
        if (step instanceof StripStep.PutIn s)
            return Say.it(
                    s.forNow() ? "step.put.in.for.now" : "step.put.in", s.item().name());
        if (step instanceof StripStep.PlugIn s)
            return Say.it(
                    s.forNow() ? "step.plug.in.for.now" : "step.plug.in",
                    s.connector().item().name(),
                    s.connector().name());
        if (step instanceof StripStep.DoWork s) return Say.it("step.work", Words.sentence(s.work()));
        if (step instanceof StripStep.FunctionTest) return Say.it("step.test");
        if (step instanceof StripStep.CutLead s) return Say.it("step.cut", s.lead());
        if (step instanceof StripStep.Spare s) return spare(s);
        if (step instanceof StripStep.Dropped s) return Say.it("step.dropped", s.group(), s.count());
        return step instanceof StripStep.Noted s ? Say.it("step.note", s.text()) : Say.it("step.end");
    }

    private String spare(StripStep.Spare s) {
        String to = group(s.group()).map(FastenerGroup::to).orElse("");
        return to.isEmpty()
                ? Say.it("step.spare", s.group(), s.count())
                : Say.it("step.spare.to", s.group(), s.count(), to);
    }

    private String kind(GroupOf of) {
        return group(of).map(FastenerGroup::kind).orElse("screw");
    }

    private String counted(String code, GroupOf group, int count) {
        return group.name().equals(GroupOf.CLIPS)
                ? Say.it(code + ".clips", count, group.item().name())
                : Say.it(code, group.name(), count, group.item().name(), kind(group));
    }

    /** "off" is what people call a clamp that is disconnected. */
    static String word(String word) {
        return List.of("connected", "disconnected", "set", "released").contains(word) ? Say.it("word." + word) : word;
    }

    private static String set(StripStep.SetState s) {
        String code = "step.set." + s.field().label();
        boolean known = List.of(
                        StateField.KEY,
                        StateField.GEAR,
                        StateField.PARKING_BRAKE,
                        StateField.DOOR,
                        StateField.COLUMN,
                        StateField.BATTERY,
                        StateField.BATTERY_POSITIVE,
                        StateField.SECOND_BATTERY,
                        StateField.SECOND_BATTERY_POSITIVE)
                .contains(s.field());
        return known
                ? Say.it(code, word(s.to()))
                : Say.it("step.set.other", s.field().label(), s.to());
    }

    /** How it is done, in a few short phrases. */
    List<String> how(StripStep step) {
        List<String> how = new ArrayList<>();
        if (step instanceof StripStep.SetState s) setting(s, how);
        if (step instanceof StripStep.Undo s) undoing(s.group(), how);
        if (step instanceof StripStep.Loosen s)
            item(s.item()).ifPresent(i -> {
                if (i.openedBy().isPresent()) how.add(Say.it("how.power"));
                i.clips().filter(c -> !c.pull().isEmpty()).ifPresent(c -> how.add(Say.it("how.pull", c.pull())));
                if (!i.connectors().isEmpty() && i.rests().known().orElse(false)) how.add(Say.it("how.rests"));
            });
        connector(step).ifPresent(c -> plug(step, c, how));
        if (step instanceof StripStep.PutIn s)
            item(s.item()).filter(DashItem::liesAside).ifPresent(i -> how.add(Say.it("how.aside")));
        if (step instanceof StripStep.FunctionTest) how.add(Say.it("how.test"));
        return how;
    }

    private void setting(StripStep.SetState s, List<String> how) {
        if (s.footBrake()) how.add(Say.it("how.foot"));
        if (s.by() == StripStep.By.RELEASE) how.add(Say.it("how.release"));
        strip.flatMap(d -> d.facts().battery(s.field()))
                .ifPresent(
                        b -> how.add(Say.it("how.battery", b.place(), b.clamp().words())));
    }

    private void undoing(GroupOf of, List<String> how) {
        group(of).filter(FastenerGroup::hidden).ifPresent(g -> how.add(Say.it("how.hidden")));
        if (of.name().equals(GroupOf.CLIPS))
            item(of.item()).flatMap(DashItem::clips).ifPresent(c -> round(c, how));
    }

    private static void round(Clips c, List<String> how) {
        if (c.start().isEmpty()) return;
        how.add(c.round().isEmpty() ? Say.it("how.clips.start", c.start()) : Say.it("how.clips", c.start(), c.round()));
    }

    private static void plug(StripStep step, ItemConnector c, List<String> how) {
        if (step instanceof StripStep.PlugIn) {
            how.add(Say.it("how.listen"));
            return;
        }
        if (!c.unlock().isEmpty()) how.add(Say.it("how.unlock", Words.sentence(c.unlock())));
        if (!c.lock().isEmpty()) how.add(Say.it("how.lock", c.lock()));
    }

    /** "hex 7", or an empty text where the hand is enough. */
    String tool(StripStep step) {
        Optional<GroupOf> of = step instanceof StripStep.Undo s
                ? Optional.of(s.group())
                : step instanceof StripStep.DoUp s ? Optional.of(s.group()) : Optional.empty();
        if (of.isEmpty()) return "";
        if (of.get().name().equals(GroupOf.CLIPS)) return step instanceof StripStep.Undo ? "trim tool" : "";
        return of.flatMap(this::group).map(FastenerGroup::tool).orElse("");
    }
}
