package velvetbezel.harness;

import java.util.Optional;
import velvetbezel.sheet.LeadRole;

/** What people call the things of an installation. */
public final class Labels {
    private final Installation installation;

    public Labels(Installation installation) {
        this.installation = installation;
    }

    public String device(String instance) {
        return installation.instance(instance).map(i -> i.device().name()).orElse(instance);
    }

    /** "position A7 of the car's plug", "lead acc of Ondel 47". */
    public String terminal(TerminalId id) {
        Terminal t = installation.terminal(id);
        if (t == null) return id.instance().equals("joint") ? "the " + id.name() : id.toString();
        String role = t.role().map(r -> " (" + r.label() + ")").orElse("");
        if (t.kind() == Terminal.Kind.TAP) return "the wire" + role + " at the " + t.location();
        if (id.instance().equals(Builder.CAR)) return ofCar(id, t, role);
        return switch (t.kind()) {
            case POSITION -> "position " + t.place() + role + " of " + device(id.instance());
            case TAP, BARE -> t.role().map(LeadRole::label).orElse(t.place()) + " lead of " + device(id.instance());
            case INNER -> t.place() + " of the " + device(id.instance());
        };
    }

    /** Cut ends are wires; everything else of the car is spoken of by its position. */
    private static String ofCar(TerminalId id, Terminal t, String role) {
        boolean cut = PositionId.of(id)
                .filter(p -> p.plug().plug().equals(Builder.STUB))
                .isPresent();
        return cut
                ? "wire " + t.place() + role + " of the car's cut harness"
                : "position " + t.place() + role + " of the car's plug";
    }

    public String conductor(Conductor c) {
        return switch (c.kind()) {
            case LEG -> "the " + jointName(c) + ", leg to the " + terminal(c.a());
            case CONTACT -> "the plug contact at " + terminal(c.a());
            case WIRE -> "the wire from " + terminal(c.a()) + " to " + terminal(c.b());
            case BRIDGE -> "a bridge from " + terminal(c.a()) + " to " + terminal(c.b());
        };
    }

    private String jointName(Conductor leg) {
        Optional<Joint> joint = installation.joints().stream()
                .filter(j -> leg.id().text().startsWith(j.id().text() + ":"))
                .findFirst();
        return joint.map(j -> j.id().label()).orElse("joint");
    }
}
