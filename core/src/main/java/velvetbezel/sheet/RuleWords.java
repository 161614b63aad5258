package velvetbezel.sheet;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.stream.Collectors;
import velvetbezel.units.Decibels;

/** A rule in a sentence: "with met powered, and lamps at least 4 V: shows dimmed". */
public final class RuleWords {
    private RuleWords() {}

    public static String of(Rule rule) {
        String then = rule.then().stream().map(RuleWords::effect).collect(Collectors.joining("; "));
        return rule.when().equals(Guard.ALWAYS) ? "always " + then : "while %s: %s".formatted(guard(rule.when()), then);
    }

    public static String guard(Guard guard) {
        if (guard instanceof Guard.All all) return joined(all.guards(), " and ");
        if (guard instanceof Guard.Any any) return "(" + joined(any.guards(), " or ") + ")";
        if (guard instanceof Guard.Not not) return "not " + guard(not.guard());
        if (guard instanceof Guard.Met met) return met.condition();
        if (guard instanceof Guard.Volts v) return volts(v);
        if (guard instanceof Guard.Amps a) return "%s carries at least %s A".formatted(a.terminal(), number(a.min()));
        if (guard instanceof Guard.State s)
            return "%s %s".formatted(s.field().label(), String.join(" or ", s.values()));
        if (guard instanceof Guard.Hears h) return "%s hears %s".formatted(h.port(), h.signal());
        if (guard instanceof Guard.Setting s) return "%s = %s".formatted(s.name(), s.is());
        if (guard instanceof Guard.Mode m) return "%s is %s".formatted(m.name(), m.is());
        if (guard instanceof Guard.Placed p) return p.name() + " is right";
        return "something that is not known";
    }

    private static String joined(List<Guard> guards, String by) {
        return guards.stream().map(RuleWords::guard).collect(Collectors.joining(by));
    }

    private static String volts(Guard.Volts v) {
        String of = v.of().equals("gnd") ? "" : " against " + v.of();
        String held =
                v.hold().map(h -> " (then down to %s V)".formatted(number(h))).orElse("");
        if (v.learned().isPresent())
            return "%s%s reads what was learned for %s"
                    .formatted(v.terminal(), of, v.learned().get());
        if (v.min().isPresent() && v.max().isPresent())
            return "%s%s between %s and %s V"
                    .formatted(
                            v.terminal(),
                            of,
                            number(v.min().get()),
                            number(v.max().get()));
        return v.min()
                .map(m -> "%s%s at least %s V%s".formatted(v.terminal(), of, number(m), held))
                .orElseGet(() -> "%s%s at most %s V"
                        .formatted(v.terminal(), of, number(v.max().orElseThrow())));
    }

    public static String effect(Effect effect) {
        if (effect instanceof Effect.Show s) return "shows " + s.what();
        if (effect instanceof Effect.Emit e) return "sends %s at %s".formatted(e.signal(), e.port());
        if (effect instanceof Effect.Carry c) return "passes %s on to %s%s".formatted(c.in(), c.out(), level(c.gain()));
        if (effect instanceof Effect.Connect c) return "joins %s and %s".formatted(c.a(), c.b());
        if (effect instanceof Effect.Draw d)
            return "loads %s against %s with %s Ω%s"
                    .formatted(
                            d.a(),
                            d.b(),
                            number(d.ohms()),
                            d.ohms() instanceof Quantity.Fixed f
                                    ? " (%s A at 12 V)".formatted(number(Quantity.of(12 / f.value())))
                                    : "");
        if (effect instanceof Effect.Drive d) return "drives %s to %s V".formatted(d.plus(), number(d.volts()));
        if (effect instanceof Effect.Diode d) return "lets current from %s to %s".formatted(d.anode(), d.cathode());
        Effect.Enter e = (Effect.Enter) effect;
        return "enters %s = %s".formatted(e.mode(), e.value());
    }

    private static String level(Decibels gain) {
        return gain.value() == 0 ? "" : " at %+.0f dB".formatted(gain.value());
    }

    private static String number(Quantity q) {
        if (q instanceof Quantity.Fixed f)
            return f.value() == Math.rint(f.value())
                    ? String.valueOf((long) f.value())
                    : new BigDecimal(f.value()).round(new MathContext(3)).toPlainString();
        return q instanceof Quantity.Follows ? "a dimmed" : "an unknown number of";
    }
}
