package velvetbezel.harness;

import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.Port;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.Quantity;

/**
 * Carries out edits. An edit that changes what is built in has the installation built anew, with the edits before it
 * done again in their order; one that names something the new kit lacks is kept and has no effect there.
 */
final class Editing implements Edit.Visitor<Installation> {
    private static final double LEAST_OHMS = 0.001;
    private final Installation from;

    private Editing(Installation from) {
        this.from = from;
    }

    /** @throws IllegalArgumentException if the edit names something this installation does not have */
    static Installation edit(Installation installation, Edit edit) {
        List<Edit> all = new ArrayList<>(installation.edits());
        all.add(edit);
        return edit.accept(new Editing(installation)).withEdits(all);
    }

    private Installation rebuilt(Recipe recipe) {
        Installation built = Builder.build(recipe);
        for (Edit edit : from.edits()) {
            if (edit instanceof Edit.ReplacePart || edit instanceof Edit.Insert) continue;
            try {
                built = edit.accept(new Editing(built));
            } catch (NotThere gone) {
                // what it named left with the part; it takes effect again where the part comes back
            }
        }
        return built;
    }

    /** The installation has not got what an edit names. */
    private static final class NotThere extends IllegalArgumentException {
        private static final long serialVersionUID = 1;

        NotThere(String message) {
            super(message);
        }
    }

    @Override
    public Installation open(Edit.Open edit) {
        return changed(from, edit.conductor(), Conductor::open);
    }

    @Override
    public Installation setOhms(Edit.SetOhms edit) {
        return changed(
                from, edit.conductor(), c -> c.withOhms(Quantity.of(edit.ohms().value())));
    }

    @Override
    public Installation move(Edit.Move edit) {
        return changed(from, edit.conductor(), c -> c.to(edit.to()));
    }

    @Override
    public Installation swap(Edit.Swap edit) {
        TerminalId firstFar = require(edit.first()).b();
        TerminalId secondFar = require(edit.second()).b();
        return changed(changed(from, edit.first(), c -> c.to(secondFar)), edit.second(), c -> c.to(firstFar));
    }

    @Override
    public Installation reversePair(Edit.ReversePair edit) {
        Instance owner = from.instance(edit.instance())
                .orElseThrow(() -> new NotThere("There is no device \"%s\".".formatted(edit.instance())));
        Port port = owner.device().ports().stream()
                .filter(p -> p.id().equals(edit.port()))
                .findFirst()
                .orElseThrow(() -> new NotThere("%s has no port \"%s\".".formatted(edit.instance(), edit.port())));
        TerminalId plus = owner.terminal(port.plus().orElseThrow());
        TerminalId minus = owner.terminal(port.minus().orElseThrow());
        return from.withConductors(from.conductors().stream()
                .map(c -> new Conductor(
                        c.id(), c.kind(), cross(c.a(), plus, minus), cross(c.b(), plus, minus), c.ohms(), c.closed()))
                .toList());
    }

    private static TerminalId cross(TerminalId end, TerminalId plus, TerminalId minus) {
        return end.equals(plus) ? minus : end.equals(minus) ? plus : end;
    }

    @Override
    public Installation bridge(Edit.Bridge edit) {
        for (TerminalId end : List.of(edit.a(), edit.b()))
            if (!from.terminals().containsKey(end))
                throw new NotThere("This installation has no terminal \"%s\".".formatted(end));
        List<Conductor> all = new ArrayList<>(from.conductors());
        all.add(new Conductor(
                new ConductorId("bridge " + edit.a() + " to " + edit.b()),
                Conductor.Kind.BRIDGE,
                edit.a(),
                edit.b(),
                Quantity.of(Math.max(edit.ohms().value(), LEAST_OHMS)),
                new Fact.Known<>(true, Provenance.of(Provenance.Origin.STATED))));
        return from.withConductors(all);
    }

    @Override
    public Installation setSetting(Edit.SetSetting edit) {
        return from.withSetting(edit.instance() + "." + edit.setting(), edit.value());
    }

    @Override
    public Installation stick(Edit.Stick edit) {
        return from.stuck(edit.instance() + "." + edit.setting(), edit.value());
    }

    @Override
    public Installation disable(Edit.Disable edit) {
        return from.disabling(edit.instance() + "." + edit.rule());
    }

    @Override
    public Installation startMode(Edit.StartMode edit) {
        return from.withMode(edit.instance() + "." + edit.mode(), edit.value());
    }

    @Override
    public Installation misplace(Edit.Misplace edit) {
        return from.withMisplaced(edit.instance() + "." + edit.placement());
    }

    @Override
    public Installation replacePart(Edit.ReplacePart edit) {
        return rebuilt(from.recipe().with(edit.instance(), edit.part()));
    }

    @Override
    public Installation insert(Edit.Insert edit) {
        return rebuilt(from.recipe().inserted(edit.part()));
    }

    private Conductor require(ConductorId id) {
        return from.conductor(id)
                .orElseThrow(() -> new NotThere("This installation has no conductor \"%s\".".formatted(id)));
    }

    private Installation changed(Installation installation, ConductorId id, UnaryOperator<Conductor> change) {
        require(id);
        return installation.withConductors(installation.conductors().stream()
                .map(c -> c.id().equals(id) ? change.apply(c) : c)
                .toList());
    }
}
