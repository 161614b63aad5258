package velvetbezel.function;

import java.util.LinkedHashSet;
import java.util.Set;
import velvetbezel.harness.Conductor;
import velvetbezel.harness.Installation;
import velvetbezel.harness.Instance;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.Guard;
import velvetbezel.sheet.Quantity;
import velvetbezel.sheet.Rule;

/** The missing fields that can change how an installation runs. */
public final class MissingFields {
    private final Set<FieldRef> fields = new LinkedHashSet<>();

    private MissingFields() {}

    public static Set<FieldRef> in(Installation installation) {
        MissingFields found = new MissingFields();
        for (Conductor c : installation.conductors()) {
            if (c.closed() instanceof Fact.Missing<Boolean> missing) found.fields.add(missing.field());
            found.quantity(c.ohms());
        }
        for (Instance i : installation.instances()) {
            i.device().conditions().values().forEach(found::guard);
            for (Rule rule : i.device().rules()) {
                found.guard(rule.when());
                rule.then().forEach(found::effect);
            }
        }
        return found.fields;
    }

    private void quantity(Quantity q) {
        if (q instanceof Quantity.Open open) fields.add(open.field());
    }

    private void guard(Guard guard) {
        if (guard instanceof Guard.Open open) fields.add(open.field());
        else if (guard instanceof Guard.All all) all.guards().forEach(this::guard);
        else if (guard instanceof Guard.Any any) any.guards().forEach(this::guard);
        else if (guard instanceof Guard.Not not) guard(not.guard());
        else if (guard instanceof Guard.Amps amps) quantity(amps.min());
        else if (guard instanceof Guard.Volts v) {
            v.min().ifPresent(this::quantity);
            v.max().ifPresent(this::quantity);
            v.hold().ifPresent(this::quantity);
        }
    }

    private void effect(Effect effect) {
        if (effect instanceof Effect.Drive d) {
            quantity(d.volts());
            quantity(d.ohms());
        } else if (effect instanceof Effect.Connect c) quantity(c.ohms());
        else if (effect instanceof Effect.Draw d) quantity(d.ohms());
        else if (effect instanceof Effect.Diode d) {
            quantity(d.forwardVolts());
            quantity(d.onOhms());
        }
    }
}
