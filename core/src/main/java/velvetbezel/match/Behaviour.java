package velvetbezel.match;

import java.util.List;
import java.util.Optional;
import velvetbezel.sheet.Device;
import velvetbezel.sheet.Fact;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.InnerWire;
import velvetbezel.sheet.Lead;
import velvetbezel.sheet.Plug;
import velvetbezel.sheet.Position;
import velvetbezel.sheet.Provenance;
import velvetbezel.sheet.Ratings;

/** What of a device decides how it runs: neither its name, nor its colours, nor who stated a fact. */
final class Behaviour {
    private static final FieldRef NOWHERE = new FieldRef("", "");
    private static final Provenance ANYBODY = Provenance.of(Provenance.Origin.STATED);

    private Behaviour() {}

    static Device of(Device d) {
        return new Device(
                "",
                "",
                d.is(),
                d.plugs().stream().map(Behaviour::plug).toList(),
                d.leads().stream().map(Behaviour::lead).toList(),
                d.terminals(),
                d.wires().stream().map(Behaviour::wire).toList(),
                d.ports(),
                d.settings(),
                d.modes(),
                d.placements(),
                d.conditions(),
                d.rules(),
                d.firstUse(),
                Ratings.NONE);
    }

    private static Plug plug(Plug p) {
        return new Plug(
                p.id(),
                p.family(),
                p.socket(),
                p.size(),
                p.positions().stream().map(Behaviour::position).toList(),
                p.housing(),
                Optional.empty());
    }

    private static Position position(Position p) {
        return new Position(
                p.number(),
                p.name(),
                p.carries().map(Behaviour::plain),
                p.state(),
                p.flow(),
                Fact.missing(NOWHERE),
                plain(p.gauge()),
                p.metres(),
                p.bare(),
                plain(p.wired()),
                p.to());
    }

    private static Lead lead(Lead l) {
        return new Lead(
                l.name(),
                plain(l.carries()),
                l.state(),
                l.flow(),
                Fact.missing(NOWHERE),
                plain(l.gauge()),
                l.metres(),
                l.amplifierOnly(),
                l.end());
    }

    private static InnerWire wire(InnerWire w) {
        return new InnerWire(w.from(), w.to(), plain(w.gauge()), w.metres(), plain(w.wired()));
    }

    private static <T> Fact<T> plain(Fact<T> fact) {
        if (fact instanceof Fact.Missing<T> missing) return new Fact.Missing<>(missing.field(), List.of());
        T said = fact.said().orElseThrow();
        return fact instanceof Fact.Guessed ? new Fact.Guessed<>(said, ANYBODY) : new Fact.Known<>(said, ANYBODY);
    }
}
