package velvetbezel.strip;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import velvetbezel.sheet.strip.Behind;
import velvetbezel.sheet.strip.Circuit;
import velvetbezel.sheet.strip.ConnectorOf;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.ItemConnector;
import velvetbezel.sheet.strip.ItemPosition;
import velvetbezel.sheet.strip.Lever;
import velvetbezel.sheet.strip.Work;
import velvetbezel.state.StateField;

/** What can be done next in a car that is partly open. */
final class Moves {
    /** A change other than of a clamp (starting figure, from memory). */
    private static final double SET_MINUTES = 0.2;

    private static final double PUT_BACK_MINUTES = 0.4;
    private static final int PER_MINUTE = 100;
    /** What a stored fault weighs where one is allowed at all: more than any detour. */
    private static final int FAULT = 100;

    /** What is done, as bits of tasks, and the number of each field's word. */
    record Car(long[] done, byte[] words) {
        Car copy() {
            return new Car(done.clone(), words.clone());
        }
    }

    /** One way on. */
    sealed interface Move {
        default int changes() {
            return 0;
        }

        default long price() {
            return 0;
        }
    }

    record DoTask(int task) implements Move {}

    /** @param fault whether it stores an airbag fault */
    record SetWord(int field, int word, boolean release, boolean fault, double minutes) implements Move {
        @Override
        public int changes() {
            return fault ? FAULT : 1;
        }

        @Override
        public long price() {
            return Math.round(minutes * PER_MINUTE);
        }
    }

    /** A plug goes in once more, with its part where that is away, so that power can be used. */
    record PutBack(ConnectorOf plug, boolean withItem) implements Move {
        @Override
        public int changes() {
            return 1;
        }

        @Override
        public long price() {
            return Math.round(PUT_BACK_MINUTES * PER_MINUTE);
        }
    }

    /** A plug whose place in the order matters for what wants power. */
    private record Special(ConnectorOf plug, int unplug, int lift, List<Integer> users) {}

    private final Tasks tasks;
    private final Words words;
    private final boolean faultsAllowed;
    private final int[][] demandFields;
    private final int[][] demandMasks;
    private final List<Special> specials = new ArrayList<>();
    private final List<DashItem> pinning = new ArrayList<>();
    private final List<Work> powerWorks = new ArrayList<>();
    private final int key;
    private final int gear;
    private final int brake;
    private final int[] negative;
    private final int[] positive;
    private final int keyOff;
    private final int park;

    /** @param faultsAllowed whether the battery may be on with an airbag plug open, at a price */
    Moves(Tasks tasks, Words words, boolean faultsAllowed) {
        this.tasks = tasks;
        this.words = words;
        this.faultsAllowed = faultsAllowed;
        key = words.field(StateField.KEY);
        gear = words.field(StateField.GEAR);
        brake = words.field(StateField.PARKING_BRAKE);
        keyOff = words.word(key, CarState.KEY_OFF);
        park = words.word(gear, CarState.PARK);
        int batteries = tasks.dash.batteries();
        negative = new int[batteries];
        positive = new int[batteries];
        for (int b = 0; b < batteries; b++) {
            negative[b] = words.field(CarState.NEGATIVES.get(b));
            positive[b] = words.field(CarState.POSITIVES.get(b));
        }
        demandFields = new int[tasks.size()][];
        demandMasks = new int[tasks.size()][];
        for (Task t : tasks.all()) demands(t);
        for (DashItem i : tasks.needed().items()) if (i.pins()) pinning.add(i);
        for (Work w : tasks.dash.works()) if (w.wantsPower() && tasks.numberOfWork(w.id()) >= 0) powerWorks.add(w);
        for (ConnectorOf c : tasks.needed().off())
            special(tasks.dash.connector(c).orElseThrow());
    }

    private void demands(Task t) {
        int n = t.number();
        demandFields[n] = t.demands().keySet().stream().mapToInt(words::field).toArray();
        demandMasks[n] = t.demands().entrySet().stream()
                .mapToInt(e -> words.mask(words.field(e.getKey()), e.getValue()))
                .toArray();
    }

    /** Who may want a plug on after it came off. */
    private void special(ItemConnector c) {
        int plugIn = tasks.number(c.id(), Task.Kind.PLUG_IN);
        List<Integer> users = new ArrayList<>();
        for (Task t : tasks.all()) {
            boolean airbag = c.circuit() == Circuit.AIRBAG && wantsPower(t);
            if ((airbag || uses(t, c)) && !(plugIn >= 0 && Bits.has(tasks.ancestors(t.number()), plugIn)))
                users.add(t.number());
        }
        if (!users.isEmpty())
            specials.add(new Special(
                    c.id(),
                    tasks.number(c.id(), Task.Kind.UNPLUG),
                    tasks.number(c.id().item(), Task.Kind.LIFT),
                    users));
    }

    /** Whether the battery must be on for it, or for moving the lever to where it wants it. */
    private boolean wantsPower(Task t) {
        if (t.kind() == Task.Kind.TEST || t.kind() == Task.Kind.END) return false;
        boolean on = t.demands().getOrDefault(StateField.BATTERY, Set.of()).contains(CarState.ON);
        return on
                || movesLever(t)
                        && tasks.dash.lever().filter(Lever::needsBattery).isPresent();
    }

    private boolean movesLever(Task t) {
        return t.demands().containsKey(StateField.GEAR)
                && !t.demands().get(StateField.GEAR).contains(CarState.PARK)
                && tasks.dash.parkInterlock();
    }

    private boolean uses(Task t, ItemConnector c) {
        if (t.kind() == Task.Kind.WORK)
            return tasks.dash.work(t.work()).orElseThrow().plugged().contains(c.id());
        if (c.gives().contains(ItemConnector.LEVER) && movesLever(t)) return true;
        return t.kind() == Task.Kind.LOOSEN
                && tasks.dash.item(t.item()).uses().stream().anyMatch(c.gives()::contains);
    }

    Car start() {
        byte[] now = new byte[words.fields().size()];
        for (int f = 0; f < now.length; f++)
            now[f] = (byte) words.word(f, tasks.start.word(words.fields().get(f)));
        return new Car(tasks.startDone().clone(), now);
    }

    // --- tasks

    /** Whether a task can be done now. */
    private boolean ready(Car car, int t) {
        if (Bits.has(car.done, t) || !Bits.covers(car.done, tasks.before(t))) return false;
        for (int d = 0; d < demandFields[t].length; d++)
            if ((demandMasks[t][d] & 1 << car.words[demandFields[t][d]]) == 0) return false;
        return functionsThere(car, tasks.get(t));
    }

    private boolean functionsThere(Car car, Task t) {
        if (t.kind() == Task.Kind.WORK)
            return tasks.dash.work(t.work()).orElseThrow().plugged().stream().noneMatch(c -> isOff(car, c));
        return t.kind() != Task.Kind.LOOSEN
                || tasks.dash.item(t.item()).uses().stream()
                        .flatMap(f -> tasks.dash.givers(f).stream())
                        .noneMatch(c -> isOff(car, c));
    }

    private boolean isOff(Car car, ConnectorOf c) {
        int off = tasks.number(c, Task.Kind.UNPLUG);
        int on = tasks.number(c, Task.Kind.PLUG_IN);
        return off < 0
                ? tasks.start.off().contains(c)
                : Bits.has(car.done, off) && !(on >= 0 && Bits.has(car.done, on));
    }

    /** Does whatever spoils nothing, in this car, and tells it in order. */
    List<Integer> atOnce(Car car) {
        List<Integer> did = new ArrayList<>();
        boolean more = true;
        while (more) {
            more = false;
            for (int t : tasks.inOrder())
                if (ready(car, t) && !maySpoil(car, t)) {
                    Bits.add(car.done, t);
                    did.add(t);
                    more = true;
                }
        }
        return did;
    }

    private boolean maySpoil(Car car, int t) {
        Task task = tasks.get(t);
        return switch (task.kind()) {
            case LOOSEN, PUT_IN -> tasks.dash.item(task.item()).pins();
            case UNPLUG -> special(car, task.plug());
            case LIFT -> tasks.dash.item(task.item()).connectors().stream().anyMatch(c -> special(car, c.id()));
            case WORK, EXCHANGE, PLUG_IN, FASTEN, TEST, END -> false;
        };
    }

    /** Whether something that is left to do may want this plug on. */
    private boolean special(Car car, ConnectorOf plug) {
        for (Special s : specials)
            if (s.plug.equals(plug)) for (int u : s.users) if (!Bits.has(car.done, u)) return true;
        return false;
    }

    // --- ways on

    /** Every way on from here that branches. */
    List<Move> from(Car car) {
        List<Move> on = new ArrayList<>();
        for (int t : tasks.inOrder()) if (ready(car, t)) on.add(new DoTask(t));
        for (int f = 0; f < words.fields().size(); f++) sets(car, f, on);
        putBacks(car, on);
        return on;
    }

    Car after(Car car, Move move) {
        Car then = car.copy();
        if (move instanceof DoTask d) Bits.add(then.done, d.task);
        if (move instanceof SetWord s) then.words[s.field] = (byte) s.word;
        if (move instanceof PutBack p) {
            Bits.remove(then.done, tasks.number(p.plug, Task.Kind.UNPLUG));
            if (p.withItem) Bits.remove(then.done, tasks.number(p.plug.item(), Task.Kind.LIFT));
        }
        return then;
    }

    private void putBacks(Car car, List<Move> on) {
        boolean exchanged = tasks.exchange().filter(e -> Bits.has(car.done, e)).isPresent();
        if (exchanged) return;
        for (Special s : specials)
            if (isOff(car, s.plug) && special(car, s.plug) && quietFor(car, s.unplug)) {
                boolean away = s.lift >= 0 && Bits.has(car.done, s.lift);
                on.add(new PutBack(s.plug, away));
            }
    }

    private boolean quietFor(Car car, int t) {
        for (int d = 0; d < demandFields[t].length; d++)
            if ((demandMasks[t][d] & 1 << car.words[demandFields[t][d]]) == 0) return false;
        return true;
    }

    private void sets(Car car, int f, List<Move> on) {
        for (int w = 0; w < words.of(f).size(); w++) {
            if (w == car.words[f] || pinned(car, f, w)) continue;
            StateField field = words.fields().get(f);
            if (allowed(car, field, f, w)) on.add(new SetWord(f, w, false, stores(car, f, w), minutes(field)));
            else if (field == StateField.GEAR && release(car)) on.add(new SetWord(f, w, true, false, releaseMinutes()));
        }
    }

    /** Whether it makes the car live with the key on or a battery on while an airbag plug is open. */
    private boolean stores(Car car, int f, int w) {
        if (!airbagOpen(car)) return false;
        Car then = after(car, new SetWord(f, w, false, false, 0));
        boolean keyTurned = f == key && w != keyOff;
        boolean clampOn =
                HazardRules.isClamp(words.fields().get(f)) && words.of(f).get(w).equals(CarState.ON);
        return live(then) && (keyTurned || clampOn);
    }

    private double minutes(StateField field) {
        for (int b = 0; b < negative.length; b++)
            if (field == CarState.NEGATIVES.get(b) || field == CarState.POSITIVES.get(b)) {
                var known = tasks.dash.strip().facts().batteries();
                return known.size() > b ? known.get(b).minutes().usual() : SET_MINUTES;
            }
        return SET_MINUTES;
    }

    private double releaseMinutes() {
        return tasks.dash
                .lever()
                .flatMap(Lever::release)
                .map(r -> r.minutes().usual())
                .orElse(SET_MINUTES);
    }

    private boolean allowed(Car car, StateField field, int f, int w) {
        if (field == StateField.GEAR) return lever(car);
        if (field == StateField.KEY) return turnKey(car, w);
        if (field == StateField.PARKING_BRAKE)
            return words.of(f).get(w).equals("set") || gear < 0 || !tasks.dash.parkInterlock() || inPark(car);
        for (int b = 0; b < negative.length; b++) {
            if (f == negative[b])
                return clamp(car) && negative(car, words.of(f).get(w).equals(CarState.ON));
            if (f == positive[b]) return clamp(car) && allNegativesOff(car);
        }
        return wantedNow(car, f, w);
    }

    /** A door or the column is moved only for a task that waits for nothing else of what is done before it. */
    private boolean wantedNow(Car car, int f, int w) {
        for (Task t : tasks.all()) {
            int n = t.number();
            if (Bits.has(car.done, n) || !Bits.covers(car.done, tasks.before(n))) continue;
            for (int d = 0; d < demandFields[n].length; d++)
                if (demandFields[n][d] == f && (demandMasks[n][d] & 1 << w) != 0) return true;
        }
        return false;
    }

    private boolean inPark(Car car) {
        return gear < 0 || !tasks.dash.parkInterlock() || car.words[gear] == park;
    }

    private boolean lever(Car car) {
        Lever lever = tasks.dash.lever().orElseThrow();
        if (!words.of(brake).get(car.words[brake]).equals("set")) return false;
        if (lever.manual()) return true;
        if (tasks.dash.givers(ItemConnector.LEVER).stream().anyMatch(c -> isOff(car, c))) return false;
        return lever.keyWords().contains(words.of(key).get(car.words[key])) && (!lever.needsBattery() || live(car));
    }

    private boolean release(Car car) {
        Lever lever = tasks.dash.lever().orElseThrow();
        return lever.release().isPresent()
                && words.of(brake).get(car.words[brake]).equals("set")
                && lever.release().get().behind().stream().allMatch(b -> open(car, b));
    }

    private boolean turnKey(Car car, int w) {
        if (w == keyOff) return inPark(car);
        return !live(car) || faultsAllowed || !airbagOpen(car);
    }

    private boolean live(Car car) {
        for (int b = 0; b < negative.length; b++) if (feeds(car, b)) return true;
        return false;
    }

    private boolean feeds(Car car, int b) {
        return isOn(car, negative[b]) && isOn(car, positive[b]);
    }

    private boolean isOn(Car car, int f) {
        return words.of(f).get(car.words[f]).equals(CarState.ON);
    }

    private boolean airbagOpen(Car car) {
        for (ConnectorOf c : tasks.needed().off())
            if (isOff(car, c) && tasks.dash.connector(c).orElseThrow().circuit() == Circuit.AIRBAG) return true;
        return false;
    }

    /** Clamps move with the key off and, where the lever needs the battery, in park. */
    private boolean clamp(Car car) {
        boolean stuck = tasks.dash.lever().filter(Lever::needsBattery).isPresent() && !inPark(car);
        return car.words[key] == keyOff && !stuck;
    }

    private boolean uncovered(Car car, int battery) {
        var batteries = tasks.dash.strip().facts().batteries();
        return batteries.size() <= battery
                || batteries.get(battery).behind().stream().allMatch(b -> open(car, b));
    }

    private boolean open(Car car, Behind b) {
        return tasks.reached(b)
                .map(t -> Bits.has(car.done, t))
                .orElse(tasks.start.position(b.item()) != ItemPosition.HOME);
    }

    private boolean negative(Car car, boolean on) {
        if (!on) return powerWorks.stream().noneMatch(w -> couldBeDone(car, w));
        for (int p : positive) if (!isOn(car, p)) return false;
        return faultsAllowed || !airbagOpen(car);
    }

    private boolean couldBeDone(Car car, Work w) {
        int t = tasks.numberOfWork(w.id());
        return !Bits.has(car.done, t)
                && live(car)
                && Bits.covers(car.done, tasks.before(t))
                && functionsThere(car, tasks.get(t));
    }

    private boolean allNegativesOff(Car car) {
        for (int n : negative) if (isOn(car, n)) return false;
        return true;
    }

    /** Whether a part that hangs is in the way of a movement. */
    private boolean pinned(Car car, int f, int w) {
        StateField field = words.fields().get(f);
        for (DashItem i : pinning)
            if (i.clear().containsKey(field)
                    && !i.clear().get(field).contains(words.of(f).get(w))
                    && hangs(car, i)) return true;
        return false;
    }

    private boolean hangs(Car car, DashItem item) {
        return is(car, item, Task.Kind.LOOSEN)
                && (tasks.number(item.id(), Task.Kind.LIFT) < 0
                        || !is(car, item, Task.Kind.LIFT)
                        || is(car, item, Task.Kind.PUT_IN))
                && !is(car, item, Task.Kind.FASTEN);
    }

    private boolean is(Car car, DashItem item, Task.Kind kind) {
        int n = tasks.number(item.id(), kind);
        return n >= 0 && Bits.has(car.done, n);
    }
}
