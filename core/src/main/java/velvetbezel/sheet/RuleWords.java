package velvetbezel.sheet;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.stream.Collectors;

/** A rule in a sentence: "with met powered, and lamps at least 4 V: shows dimmed". */
public final class RuleWords {
    private RuleWords() {}

    public static String of(Rule rule) {
        String then = rule.then().stream().map(RuleWords::effect).collect(Collectors.joining("; "));
        return rule.when().equals(Guard.All.ALWAYS)
                ? "always " + then
                : "while %s: %s".formatted(guard(rule.when()), then);
    }

    public static String guard(Guard guard) {
        return guard.accept(GUARD);
    }

    private static final Guard.Visitor<String> GUARD = new Guard.Visitor<>() {
        @Override
        public String volts(Guard.Volts guard) {
            return RuleWords.volts(guard);
        }

        @Override
        public String amps(Guard.Amps guard) {
            return "%s carries at least %s A".formatted(guard.terminal(), number(guard.min()));
        }

        @Override
        public String state(Guard.State guard) {
            return "%s %s".formatted(guard.field().label(), String.join(" or ", guard.values()));
        }

        @Override
        public String hears(Guard.Hears guard) {
            return "%s hears %s".formatted(guard.port(), guard.signal());
        }

        @Override
        public String setting(Guard.Setting guard) {
            return "%s = %s".formatted(guard.name(), guard.is());
        }

        @Override
        public String mode(Guard.Mode guard) {
            return "%s is %s".formatted(guard.name(), guard.is());
        }

        @Override
        public String placed(Guard.Placed guard) {
            return guard.name() + " is right";
        }

        @Override
        public String met(Guard.Met guard) {
            return guard.condition();
        }

        @Override
        public String all(Guard.All guard) {
            return joined(guard.guards(), " and ");
        }

        @Override
        public String any(Guard.Any guard) {
            return "(" + joined(guard.guards(), " or ") + ")";
        }

        @Override
        public String not(Guard.Not guard) {
            return "not " + RuleWords.guard(guard.guard());
        }

        @Override
        public String open(Guard.Open guard) {
            return "something that is not known";
        }
    };

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
        return effect.accept(EFFECT);
    }

    private static final Effect.Visitor<String> EFFECT = new Effect.Visitor<>() {
        @Override
        public String drive(Effect.Drive effect) {
            return "drives %s to %s V".formatted(effect.plus(), number(effect.volts()));
        }

        @Override
        public String connect(Effect.Connect effect) {
            return "joins %s and %s".formatted(effect.a(), effect.b());
        }

        @Override
        public String draw(Effect.Draw effect) {
            String amps = effect.ohms() instanceof Quantity.Fixed f
                    ? " (%s A at 12 V)".formatted(number(Quantity.of(12 / f.value())))
                    : "";
            return "loads %s against %s with %s Ω%s".formatted(effect.a(), effect.b(), number(effect.ohms()), amps);
        }

        @Override
        public String diode(Effect.Diode effect) {
            return "lets current from %s to %s".formatted(effect.anode(), effect.cathode());
        }

        @Override
        public String emit(Effect.Emit effect) {
            return "sends %s at %s".formatted(effect.signal(), effect.port());
        }

        @Override
        public String carry(Effect.Carry effect) {
            return "passes %s on to %s%s".formatted(effect.in(), effect.out(), level(effect.gain()));
        }

        @Override
        public String show(Effect.Show effect) {
            return "shows " + effect.what();
        }

        @Override
        public String enter(Effect.Enter effect) {
            return "enters %s = %s".formatted(effect.mode(), effect.value());
        }
    };

    private static String level(SignalLevel gain) {
        double decibels = gain.value().value();
        if (decibels == 0) return "";
        return gain.stated() ? " at %+.0f dB".formatted(decibels) : decibels < 0 ? " at line level" : " amplified";
    }

    private static String number(Quantity q) {
        if (q instanceof Quantity.Fixed f)
            return f.value() == Math.rint(f.value())
                    ? String.valueOf((long) f.value())
                    : new BigDecimal(f.value()).round(new MathContext(3)).toPlainString();
        return q instanceof Quantity.Follows ? "a dimmed" : "an unknown number of";
    }
}
