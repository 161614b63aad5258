package velvetbezel.diagnose;

import java.util.ArrayList;
import java.util.List;
import velvetbezel.harness.Edit;

/**
 * One thing that can be wrong, as a change of the installation.
 *
 * @param id     tells it from other faults of the installation, and stays the same when it is built again
 * @param words  for people: "the amp remote joint is open"
 * @param place  where it is looked for and mended
 * @param ofCar  of the vehicle as it came, so that it may be older than this job
 * @param rate   how often such a thing is wrong, per job
 * @param called other names of the very same change
 */
public record Fault(
        String id,
        FaultKind kind,
        List<Edit> edits,
        String words,
        RepairPoint place,
        boolean ofCar,
        double rate,
        List<String> called) {
    public Fault {
        edits = List.copyOf(edits);
        called = List.copyOf(called);
    }

    Fault alsoCalled(Fault other) {
        List<String> names = new ArrayList<>(called);
        names.add(other.words);
        return new Fault(id, kind, edits, words, place, ofCar, rate + other.rate, names);
    }
}
