package velvetbezel.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.units.WireColour;

/** A vehicle with the changes that former owners made to its plugs: true of one car, not of its model. */
public final class AsBuilt {
    /** What is said of a position whose wire was taken out or cut. */
    public static final String NO_WIRE = "no wire";

    private final Sheet.Vehicle sheet;
    private final List<InputProblem> faults = new ArrayList<>();

    private AsBuilt(Sheet.Vehicle sheet) {
        this.sheet = sheet;
    }

    /**
     * @param changes "plug/position" to {@link #NO_WIRE} or the label of the role found there now
     * @throws InvalidInput where a position is not there, or the car has no wire of that role
     */
    public static Sheet.Vehicle of(Sheet.Vehicle sheet, Map<String, String> changes) {
        if (changes.isEmpty()) return sheet;
        AsBuilt built = new AsBuilt(sheet);
        List<Plug> plugs = new ArrayList<>(sheet.car().plugs());
        changes.forEach((place, found) -> built.change(plugs, place, found));
        if (!built.faults.isEmpty()) throw new InvalidInput(built.faults);
        return sheet.withCar(sheet.car().withPlugs(plugs));
    }

    private void change(List<Plug> plugs, String place, String found) {
        int slash = place.lastIndexOf('/');
        String id = slash < 0 ? place : place.substring(0, slash);
        String number = place.substring(slash + 1);
        Optional<Plug> plug = plugs.stream().filter(p -> p.id().equals(id)).findFirst();
        Optional<Position> position = plug.flatMap(p -> p.at(number));
        if (position.isEmpty())
            faults.add(new InputProblem("as built/" + place, "is no position of this car's plugs."));
        else
            now(place, position.get(), found)
                    .ifPresent(now -> plugs.replaceAll(p -> p.id().equals(id) ? with(p, now) : p));
    }

    private static Plug with(Plug p, Position now) {
        return p.withPositions(p.positions().stream()
                .map(q -> q.number().equals(now.number()) ? now : q)
                .toList());
    }

    private Optional<Position> now(String place, Position before, String found) {
        if (found.equals(NO_WIRE))
            return Optional.of(new Position(
                    before.number(),
                    "",
                    Optional.empty(),
                    LeadState.USED,
                    Flow.SHARES,
                    colour(before),
                    before.gauge(),
                    before.metres(),
                    false,
                    new Fact.Known<>(true, sheet.header().from()),
                    Optional.empty()));
        Optional<LeadRole> role = LeadRole.find(found);
        Optional<Position> like = sheet.car().plugs().stream()
                .flatMap(p -> p.positions().stream())
                .filter(p -> role.isPresent() && p.role().equals(role))
                .findFirst();
        if (role.isEmpty())
            faults.add(new InputProblem(
                    "as built/" + place,
                    "\"%s\" is no role of a lead; allowed: %s, %s.".formatted(found, NO_WIRE, LeadRole.all())));
        else if (like.isEmpty())
            faults.add(new InputProblem(
                    "as built/" + place,
                    "this car's sheet has no wire for %s at any plug; add it to the sheet first.".formatted(found)));
        return like.map(l -> new Position(
                before.number(),
                "",
                l.carries(),
                LeadState.USED,
                l.flow(),
                colour(before),
                l.gauge(),
                l.metres(),
                before.bare(),
                l.wired(),
                l.to()));
    }

    /** The colour of a changed position counts only where it was measured. */
    private Fact<WireColour> colour(Position before) {
        boolean measured =
                before.colour() instanceof Fact.Known<WireColour> k && k.from().origin() == Provenance.Origin.MEASURED;
        return measured
                ? before.colour()
                : Fact.missing(new FieldRef(sheet.id(), "plugs.%s.colour as built".formatted(before.number())));
    }
}
