package velvetbezel.run;

import java.util.List;
import java.util.Optional;
import velvetbezel.sheet.Guard;
import velvetbezel.sheet.Quantity;
import velvetbezel.state.StateField;
import velvetbezel.units.Volts;

/** Judges guards against one picture. */
final class Judge {
    private final Picture picture;
    /** What each condition came to, held and not: many rules ask for the same one. */
    private final Boolean[] judged;

    Judge(Picture picture) {
        this.picture = picture;
        this.judged = new Boolean[2 * picture.plan().conditions()];
    }

    /** @param held whether the rule is in force, so that its hold voltage counts */
    boolean holds(Guard guard, Plan.Unit unit, boolean held) {
        if (guard instanceof Guard.All all) return all(all.guards(), unit, held);
        if (guard instanceof Guard.Volts g) return volts(g, unit, held);
        if (guard instanceof Guard.Met g) return met(g, unit, held);
        if (guard instanceof Guard.Mode g)
            return picture.modes().get(unit.key(g.name())).equals(g.is());
        if (guard instanceof Guard.Setting g) return g.is().equals(picture.setting(unit.key(g.name())));
        if (guard instanceof Guard.Hears g)
            return picture.arrival(unit.sockets.get(g.port()).ref(), g.signal()).isPresent();
        if (guard instanceof Guard.State g) return state(g);
        if (guard instanceof Guard.Any any) {
            for (Guard g : any.guards()) if (holds(g, unit, held)) return true;
            return false;
        }
        if (guard instanceof Guard.Not not) return !holds(not.guard(), unit, held);
        if (guard instanceof Guard.Amps g) return picture.ampsAt(unit.node(g.terminal())) >= number(g.min());
        if (guard instanceof Guard.Placed g)
            return !picture.plan().installation.misplaced().contains(unit.id() + "." + g.name());
        return picture.assumption().last(((Guard.Open) guard).field(), picture.state());
    }

    private boolean met(Guard.Met g, Plan.Unit unit, boolean held) {
        int place = 2 * unit.conditions.get(g.condition()) + (held ? 1 : 0);
        if (judged[place] == null)
            judged[place] = holds(unit.device().conditions().get(g.condition()), unit, held);
        return judged[place];
    }

    private boolean all(List<Guard> guards, Plan.Unit unit, boolean held) {
        for (Guard g : guards) if (!holds(g, unit, held)) return false;
        return true;
    }

    private boolean state(Guard.State g) {
        return g.field().kind() == StateField.Kind.NAMES
                ? picture.state().names(g.field()).containsAll(g.values())
                : g.values().contains(picture.state().word(g.field()));
    }

    private boolean volts(Guard.Volts g, Plan.Unit unit, boolean held) {
        Optional<Volts> reading =
                picture.between(unit.node(g.terminal()), unit.node(g.of())).reading();
        if (reading.isEmpty()) return false;
        double volts = reading.get().value();
        Optional<Quantity> least = held && g.hold().isPresent() ? g.hold() : g.min();
        if (least.isPresent() && volts < number(least.get())) return false;
        if (g.max().isPresent() && volts > number(g.max().get())) return false;
        return g.learned().isEmpty()
                || picture.learned()
                        .window(unit.id() + "." + g.terminal(), g.learned().get())
                        .filter(w -> w.holds(volts))
                        .isPresent();
    }

    double number(Quantity q) {
        return q.at(
                picture.state(),
                q instanceof Quantity.Open open && picture.assumption().last(open.field(), picture.state()));
    }

    /** By how much the worst current limit of a guard is passed, as a ratio; empty where the guard has none. */
    Optional<Double> overload(Guard guard, Plan.Unit unit) {
        if (guard instanceof Guard.Amps g)
            return Optional.of(picture.ampsAt(unit.node(g.terminal())) / Math.max(1e-9, number(g.min())));
        if (guard instanceof Guard.Met g)
            return overload(unit.device().conditions().get(g.condition()), unit);
        if (guard instanceof Guard.Not n) return overload(n.guard(), unit);
        List<Guard> inner = guard instanceof Guard.All all
                ? all.guards()
                : guard instanceof Guard.Any any ? any.guards() : List.of();
        return inner.stream().flatMap(g -> overload(g, unit).stream()).max(Double::compare);
    }
}
