package velvetbezel.run;

import java.util.Optional;
import java.util.stream.Stream;
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
        return guard.accept(new Asked(unit, held));
    }

    /** Who asks: guards name the terminals and modes of the rule's own device. */
    private final class Asked implements Guard.Visitor<Boolean> {
        private final Plan.Unit unit;
        private final boolean held;

        Asked(Plan.Unit unit, boolean held) {
            this.unit = unit;
            this.held = held;
        }

        @Override
        public Boolean all(Guard.All guard) {
            for (Guard g : guard.guards()) if (!g.accept(this)) return false;
            return true;
        }

        @Override
        public Boolean any(Guard.Any guard) {
            for (Guard g : guard.guards()) if (g.accept(this)) return true;
            return false;
        }

        @Override
        public Boolean not(Guard.Not guard) {
            return !guard.guard().accept(this);
        }

        @Override
        public Boolean volts(Guard.Volts guard) {
            return Judge.this.volts(guard, unit, held);
        }

        @Override
        public Boolean amps(Guard.Amps guard) {
            return picture.ampsAt(unit.node(guard.terminal())) >= number(guard.min());
        }

        @Override
        public Boolean met(Guard.Met guard) {
            return Judge.this.met(guard, unit, held);
        }

        @Override
        public Boolean mode(Guard.Mode guard) {
            return picture.modes().get(unit.key(guard.name())).equals(guard.is());
        }

        @Override
        public Boolean setting(Guard.Setting guard) {
            return guard.is().equals(picture.setting(unit.key(guard.name())));
        }

        @Override
        public Boolean hears(Guard.Hears guard) {
            return picture.arrival(unit.sockets.get(guard.port()).ref(), guard.signal())
                    .isPresent();
        }

        @Override
        public Boolean state(Guard.State guard) {
            return guard.field().kind() == StateField.Kind.NAMES
                    ? picture.state().names(guard.field()).containsAll(guard.values())
                    : guard.values().contains(picture.state().word(guard.field()));
        }

        @Override
        public Boolean placed(Guard.Placed guard) {
            return !picture.plan().installation.misplaced().contains(unit.id() + "." + guard.name());
        }

        @Override
        public Boolean open(Guard.Open guard) {
            return picture.assumption().last(guard.field(), picture.state());
        }
    }

    private boolean met(Guard.Met g, Plan.Unit unit, boolean held) {
        int place = 2 * unit.conditions.get(g.condition()) + (held ? 1 : 0);
        if (judged[place] == null)
            judged[place] = holds(unit.device().conditions().get(g.condition()), unit, held);
        return judged[place];
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
        return Stream.concat(own(guard, unit).stream(), guard.inner().stream().flatMap(g -> overload(g, unit).stream()))
                .max(Double::compare);
    }

    private Optional<Double> own(Guard guard, Plan.Unit unit) {
        if (guard instanceof Guard.Met g)
            return overload(unit.device().conditions().get(g.condition()), unit);
        return guard instanceof Guard.Amps g
                ? Optional.of(picture.ampsAt(unit.node(g.terminal())) / Math.max(1e-9, number(g.min())))
                : Optional.empty();
    }
}
