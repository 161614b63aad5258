package velvetbezel.bench;

import java.util.List;
import java.util.Map;
import java.util.Set;
import velvetbezel.controls.SetUpPlan;
import velvetbezel.controls.SetUpSearch;
import velvetbezel.diagnose.FaultRates;
import velvetbezel.diagnose.SymptomTable;
import velvetbezel.function.CarFunction;
import velvetbezel.function.Catalogue;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.function.Outcomes;
import velvetbezel.harness.Builder;
import velvetbezel.harness.Installation;
import velvetbezel.sheet.Sheet;
import velvetbezel.store.StandardFaultRates;

/** A kit of the demo, set up, with the functions that it is to serve. */
record Searched(String name, Installation kit, List<CarFunction> functions) {
    static final FaultRates RATES = StandardFaultRates.all();
    private static final Catalogue CATALOGUE = Workshop.catalogue();

    static Searched minibus() {
        return of(
                "minibus",
                "corrick-ferryman-2006",
                "pebblefen-p2",
                "quillmoor-ferryman-frame",
                "thornlea-iso-steering",
                "kelfax-microphone");
    }

    static Searched crossover() {
        return of("crossover", "meridale-plover-2019-amplified", "ondel-47", "ashdyke-plover-module");
    }

    private static Searched of(String name, String vehicle, String radio, String... parts) {
        Sheet.Vehicle car = Workshop.find(Sheet.Vehicle.class, vehicle);
        Installation built = Builder.replacement(car, Workshop.find(Sheet.Radio.class, radio), Workshop.parts(parts));
        Installation factory = Builder.factory(car);
        Outcomes.Against against = new Outcomes.Against(factory, CATALOGUE);
        SetUpPlan plan = SetUpSearch.of(
                built,
                CATALOGUE,
                against,
                new SetUpSearch.Asked(Set.of(), Set.of(), Outcomes.fulfilled(factory, CATALOGUE), Map.of(), Map.of()));
        Installation set = plan.applied(built);
        Map<FunctionId, Kind> kinds = against.trial(set)
                .kinds(CATALOGUE.functions().stream().map(CarFunction::id).toList());
        return new Searched(
                name,
                set,
                CATALOGUE.functions().stream()
                        .filter(f -> kinds.get(f.id()).works())
                        .toList());
    }

    SymptomTable table() {
        return SymptomTable.of(kit, functions, RATES, n -> {}, t -> {}, () -> false);
    }
}
