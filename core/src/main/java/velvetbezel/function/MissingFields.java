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
        guard.parts().forEach(g -> {
            g.numbers().forEach(this::quantity);
            if (g instanceof Guard.Open open) fields.add(open.field());
        });
    }

    private void effect(Effect effect) {
        effect.numbers().forEach(this::quantity);
    }
}
