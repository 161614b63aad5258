package velvetbezel.web.prove;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleSupplier;
import velvetbezel.diagnose.Advice;
import velvetbezel.diagnose.Finding;
import velvetbezel.diagnose.RepairPoint;
import velvetbezel.diagnose.SimulatedCar;
import velvetbezel.diagnose.Trial;
import velvetbezel.function.FunctionId;
import velvetbezel.job.Change;
import velvetbezel.job.Entry;
import velvetbezel.prove.MeterReading;
import velvetbezel.prove.Result;
import velvetbezel.units.Volts;
import velvetbezel.web.job.OpenJob;

/** A search in a job in which a fault is hidden: the car answers what is asked next. */
record PracticeSearch(OpenJob open, Search search, SimulatedCar car) {
    static Optional<PracticeSearch> of(OpenJob open, Search search) {
        return open.state()
                .get(new Entry.HiddenFault())
                .flatMap(seed -> SimulatedCar.of(search.table(), seed))
                .map(car -> new PracticeSearch(open, search, car));
    }

    /** Whether the place where it lies was mended. */
    boolean mended() {
        return open.state().says(new Entry.PlaceLooked(car.hidden().place().name()), Entry.Look.MENDED);
    }

    /** What the job says once the car has answered the next thing that is asked; nothing where nothing is. */
    List<Change<?>> answered(DoubleSupplier chance) {
        Optional<OpenJob.Tried> unsaid = search.unsaid();
        if (unsaid.isPresent()) return check(unsaid.get().check().function().id());
        Optional<Advice> next = search.diagnosis().next();
        if (next.isEmpty()) return List.of();
        if (next.get() instanceof Advice.LookAt l) return looked(l.place());
        if (next.get() instanceof Advice.ProveMeter)
            return List.of(Change.set(new Entry.MeterProved(), Entry.Done.DONE));
        return next.get() instanceof Advice.Try t ? tried(t.test(), chance) : List.of();
    }

    private List<Change<?>> tried(Trial test, DoubleSupplier chance) {
        if (test instanceof Trial.OfCheck c) return check(c.function());
        if (test instanceof Trial.OfSwap s)
            return List.of(Change.set(Search.entry(s), Search.text((Finding.Symptom) car.shows(s, mended()))));
        Trial.Measured m = (Trial.Measured) test;
        OptionalDouble shown = car.reads(m, mended(), chance);
        if (m instanceof Trial.OfReading r)
            return List.of(Change.set(new Entry.ProbeRead(r.at(), r.in()), new Volts(shown.orElse(0))));
        MeterReading reading = new MeterReading(m.meter(), shown);
        return List.of(
                m instanceof Trial.OfOhms o
                        ? Change.set(new Entry.OhmsRead(o.from(), o.to()), reading)
                        : Change.set(new Entry.StandbyRead(), reading));
    }

    private List<Change<?>> check(FunctionId function) {
        Finding.Symptom shown = (Finding.Symptom) car.shows(new Trial.OfCheck(function), mended());
        List<Change<?>> changes = new ArrayList<>();
        changes.add(Change.set(new Entry.ResultGiven(function), shown.right() ? Result.RIGHT : Result.NOT_RIGHT));
        if (!shown.right()) changes.add(Change.set(new Entry.SymptomSeen(function), shown.key()));
        return changes;
    }

    /** Where it lies, it is found and mended; anywhere else nothing is wrong. */
    private List<Change<?>> looked(RepairPoint place) {
        return car.hidden().place().equals(place) && !mended()
                ? search.mended(place.name(), Optional.of(car.hidden().kind()))
                : List.of(Change.set(new Entry.PlaceLooked(place.name()), search.nothingAt(place)));
    }
}
