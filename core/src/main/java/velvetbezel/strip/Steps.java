package velvetbezel.strip;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.FastenerGroup;
import velvetbezel.sheet.strip.GroupOf;
import velvetbezel.sheet.strip.Work;
import velvetbezel.sheet.strip.WorkPhase;
import velvetbezel.state.StateField;

/** Writes what the search found as steps for a person: fasteners by group, bench works at their place. */
final class Steps {
    private final Tasks tasks;
    private final Words words;
    private final List<StripStep> steps = new ArrayList<>();
    private Trays trays;

    private Steps(Tasks tasks, Words words) {
        this.tasks = tasks;
        this.words = words;
        this.trays = tasks.start.trays();
    }

    static List<StripStep> of(Tasks tasks, Words words, List<Moves.Move> moves) {
        Steps s = new Steps(tasks, words);
        boolean benchFirst =
                tasks.wanted.school().benchFirst() && tasks.start.positions().isEmpty();
        boolean exchanges =
                tasks.exchange().filter(e -> !Bits.has(tasks.startDone(), e)).isPresent();
        if (benchFirst || !exchanges) s.bench();
        for (Moves.Move m : moves) s.move(m, !benchFirst && exchanges);
        return List.copyOf(s.steps);
    }

    private void add(StripStep step) {
        steps.add(step);
        trays = trays.after(step);
    }

    private void bench() {
        if (!tasks.wanted.exchanges()) return;
        List<Work> left = new ArrayList<>();
        for (Work w : tasks.dash.works())
            if (w.phase() == WorkPhase.BENCH && !tasks.start.works().contains(w.id())) left.add(w);
        Set<String> ids = new HashSet<>();
        left.forEach(w -> ids.add(w.id()));
        while (!left.isEmpty()) {
            Work next = left.stream()
                    .filter(w -> w.after().stream().noneMatch(ids::contains))
                    .findFirst()
                    .orElse(left.get(0));
            add(new StripStep.DoWork(next.id()));
            left.remove(next);
            ids.remove(next.id());
        }
    }

    private void move(Moves.Move move, boolean benchAtExchange) {
        if (move instanceof Moves.SetWord s) {
            StateField field = words.fields().get(s.field());
            boolean foot = field == StateField.GEAR
                    && tasks.dash
                            .lever()
                            .filter(l -> !l.manual() && l.needsFoot())
                            .isPresent();
            add(new StripStep.SetState(
                    field,
                    words.of(s.field()).get(s.word()),
                    foot,
                    s.release() ? StripStep.By.RELEASE : StripStep.By.HAND));
        }
        if (move instanceof Moves.PutBack p) {
            if (p.withItem()) add(new StripStep.PutIn(p.plug().item(), true));
            add(new StripStep.PlugIn(p.plug(), true));
        }
        if (move instanceof Moves.DoTask d) task(tasks.get(d.task()), benchAtExchange);
    }

    private void task(Task t, boolean benchAtExchange) {
        switch (t.kind()) {
            case LOOSEN -> loosen(tasks.dash.item(t.item()));
            case UNPLUG -> add(new StripStep.Unplug(t.plug()));
            case LIFT -> add(new StripStep.Lift(t.item()));
            case EXCHANGE -> {
                if (benchAtExchange) bench();
                add(new StripStep.Exchange());
            }
            case PUT_IN -> add(new StripStep.PutIn(t.item(), false));
            case PLUG_IN -> add(new StripStep.PlugIn(t.plug(), false));
            case FASTEN -> fasten(tasks.dash.item(t.item()));
            case WORK -> add(new StripStep.DoWork(t.work()));
            case TEST -> add(new StripStep.FunctionTest());
            case END -> {}
        }
    }

    private void loosen(DashItem item) {
        for (FastenerGroup g : inOrder(item))
            undo(new GroupOf(item.id(), g.id()), g.count().least());
        item.clips().ifPresent(c -> undo(new GroupOf(item.id(), GroupOf.CLIPS), c.count()));
        add(new StripStep.Loosen(item.id()));
    }

    private void undo(GroupOf group, int count) {
        Trays.Tray tray = trays.of(group);
        int in = count - (tray.out() - tray.in());
        if (in > 0) add(new StripStep.Undo(group, in));
    }

    private void fasten(DashItem item) {
        item.clips().ifPresent(c -> doUp(new GroupOf(item.id(), GroupOf.CLIPS)));
        List<FastenerGroup> groups = new ArrayList<>(inOrder(item));
        Collections.reverse(groups);
        for (FastenerGroup g : groups) doUp(new GroupOf(item.id(), g.id()));
        add(new StripStep.Fasten(item.id()));
    }

    private void doUp(GroupOf group) {
        int left = trays.of(group).left();
        int stays =
                Math.min(left, tasks.dash.group(group).map(FastenerGroup::stays).orElse(0));
        if (left > stays) add(new StripStep.DoUp(group, left - stays));
        if (stays > 0) add(new StripStep.Spare(group, stays));
    }

    /** Groups that come out first come first. */
    private static List<FastenerGroup> inOrder(DashItem item) {
        List<FastenerGroup> left = new ArrayList<>(item.fasteners());
        List<FastenerGroup> order = new ArrayList<>();
        while (!left.isEmpty()) {
            FastenerGroup next = left.stream()
                    .filter(g -> left.stream().noneMatch(o -> g.after().contains(o.id())))
                    .findFirst()
                    .orElse(left.get(0));
            order.add(next);
            left.remove(next);
        }
        return order;
    }
}
