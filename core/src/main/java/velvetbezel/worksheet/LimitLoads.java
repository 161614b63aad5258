package velvetbezel.worksheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import velvetbezel.harness.Instance;
import velvetbezel.harness.TerminalId;
import velvetbezel.run.RuleRef;
import velvetbezel.sheet.Effect;
import velvetbezel.sheet.Guard;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.Quantity;
import velvetbezel.sheet.Rule;
import velvetbezel.units.Volts;

/**
 * Rules of one device that a current or a voltage beyond a limit sets off: fuses, outputs that switch off, supplies
 * that burn something.
 */
final class LimitLoads {
    private final FullLoad strain;
    private final Instance device;
    private final List<Load> loads = new ArrayList<>();

    private LimitLoads(FullLoad strain, Instance device) {
        this.strain = strain;
        this.device = device;
    }

    static List<Load> of(FullLoad strain, Instance device) {
        LimitLoads found = new LimitLoads(strain, device);
        found.find();
        return found.loads;
    }

    private void find() {
        boolean limited = false;
        for (Rule rule : device.device().rules()) {
            if (rule.then().stream().noneMatch(e -> e instanceof Effect.Enter)) continue;
            RuleRef ref = new RuleRef(device.id(), rule.id());
            for (Guard g : rule.when() instanceof Guard.All all ? all.guards() : List.of(rule.when())) {
                if (g instanceof Guard.Amps a && a.min() instanceof Quantity.Fixed most) {
                    current(ref, device.terminal(a.terminal()), most.value());
                    limited |= isRemote(device.terminal(a.terminal()));
                }
                if (g instanceof Guard.Volts v
                        && v.max().isEmpty()
                        && v.min().orElse(null) instanceof Quantity.Fixed most
                        && most.value() > FullLoad.A_SUPPLY) supply(ref, device.terminal(v.terminal()), most.value());
            }
        }
        Optional<TerminalId> remote = strain.terminal(device, LeadRole.AMP_REMOTE);
        if (device.owner() == Instance.Owner.RADIO && !limited && remote.isPresent()) usualRemote(remote.get());
    }

    private void add(Load.Kind kind, String what, String figures, Load.Verdict verdict, String text, String... goods) {
        loads.add(new Load(kind, what, figures, verdict, text, List.of(goods)));
    }

    private boolean isRemote(TerminalId at) {
        return strain.role(at).filter(r -> r == LeadRole.AMP_REMOTE).isPresent();
    }

    private void current(RuleRef ref, TerminalId at, double most) {
        if (strain.installation.terminal(at) == null) return;
        double amps = strain.worstAmps(at);
        boolean passed = strain.setOff(ref) || amps > most;
        if (!passed && amps < FullLoad.NOTHING) return;
        String name = device.device().name();
        String what =
                strain.role(at).map(r -> "%s of %s".formatted(r.label(), name)).orElse(name);
        String figures = passed && amps <= most
                ? "more than %s asked for".formatted(FullLoad.amps(most))
                : "%s, acts from %s".formatted(FullLoad.amps(amps), FullLoad.amps(most));
        if (!passed) add(Load.Kind.LIMIT, what, figures, FullLoad.verdict(amps / most), "");
        else if (isRemote(at)) relay(what, figures);
        else
            add(
                    Load.Kind.LIMIT,
                    what,
                    figures,
                    Load.Verdict.OVER,
                    device.owner() == Instance.Owner.CAR
                            ? "It would blow: draw less from it, or feed from the battery with a fuse of its own."
                            : "It switches off: draw less from it, or put a relay between.");
    }

    private void usualRemote(TerminalId remote) {
        double amps = strain.worstAmps(remote);
        double most = strain.tables.limits().remote().value();
        String what = "amp remote of " + device.device().name();
        String figures = "%s of %s, the usual limit, as its sheet states none"
                .formatted(FullLoad.amps(amps), FullLoad.amps(most));
        if (amps > most) relay(what, figures);
        else if (amps >= FullLoad.NOTHING) add(Load.Kind.LIMIT, what, figures, FullLoad.verdict(amps / most), "");
    }

    private void relay(String what, String figures) {
        add(
                Load.Kind.LIMIT,
                what,
                figures,
                Load.Verdict.OVER,
                "Put a relay in: the remote lead works its coil only, and what it switches hangs on a fused feed.",
                Tables.RELAY,
                Tables.HOLDER,
                Tables.FUSE);
    }

    private void supply(RuleRef ref, TerminalId at, double most) {
        double volts = strain.pictures.stream()
                .flatMap(p -> p.at(at).reading().stream())
                .mapToDouble(Volts::value)
                .max()
                .orElse(0);
        boolean passed = strain.setOff(ref) || volts >= most;
        if (!passed && volts < FullLoad.NOTHING) return;
        String figures = passed && volts < most
                ? FullLoad.volts(most) + " or more"
                : "%s, bears less than %s".formatted(FullLoad.volts(volts), FullLoad.volts(most));
        if (passed)
            add(
                    Load.Kind.SUPPLY,
                    device.device().name(),
                    figures,
                    Load.Verdict.OVER,
                    "Its supply is too high and would destroy it: take an adapter made for its voltage.");
        else add(Load.Kind.SUPPLY, device.device().name(), figures, FullLoad.verdict(volts / most), "");
    }
}
