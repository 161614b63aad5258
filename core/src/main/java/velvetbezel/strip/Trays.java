package velvetbezel.strip;

import java.util.Map;
import java.util.TreeMap;
import velvetbezel.sheet.strip.GroupOf;

/** Fasteners and clips that came out, and where they went, by group. What came out goes in again. */
public record Trays(Map<GroupOf, Tray> groups) {
    public static final Trays EMPTY = new Trays(Map.of());

    /** @param spare stays out as planned @param dropped fell into the dash and was not found yet */
    public record Tray(int out, int in, int spare, int dropped) {
        static final Tray EMPTY = new Tray(0, 0, 0, 0);

        /** Still in the tray. */
        public int left() {
            return out - in - spare - dropped;
        }
    }

    public Trays {
        groups = Map.copyOf(groups);
    }

    public Tray of(GroupOf group) {
        return groups.getOrDefault(group, Tray.EMPTY);
    }

    /** Fasteners in all trays together. */
    public int left() {
        return groups.values().stream().mapToInt(Tray::left).sum();
    }

    Trays after(StripStep step) {
        if (step instanceof StripStep.Undo s) return plus(s.group(), new Tray(s.count(), 0, 0, 0));
        if (step instanceof StripStep.DoUp s) return plus(s.group(), new Tray(0, s.count(), 0, 0));
        if (step instanceof StripStep.Spare s) return plus(s.group(), new Tray(0, 0, s.count(), 0));
        return step instanceof StripStep.Dropped s ? plus(s.group(), new Tray(0, 0, 0, s.count())) : this;
    }

    private Trays plus(GroupOf group, Tray more) {
        Map<GroupOf, Tray> then = new TreeMap<>(groups);
        then.merge(
                group, more, (a, b) -> new Tray(a.out + b.out, a.in + b.in, a.spare + b.spare, a.dropped + b.dropped));
        return new Trays(then);
    }
}
