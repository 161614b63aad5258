package velvetbezel.web.job;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import velvetbezel.controls.SetUpFile;
import velvetbezel.harness.Instance;
import velvetbezel.job.Design;
import velvetbezel.job.Entry;
import velvetbezel.sheet.HowSet;

/** Devices of a job that are set up by computer, and the files that set them up. */
public final class LoadedDevices {
    private LoadedDevices() {}

    public static Stream<Instance> of(Design design) {
        return design.installation().instances().stream().filter(i -> design.setUp().decisions().stream()
                .anyMatch(d ->
                        d.id().instance().equals(i.id()) && d.how().by().equals(Optional.of(HowSet.Means.COMPUTER))));
    }

    /** Empty where the device is not in the kit, or its serial is not known. */
    public static Optional<SetUpFile> file(OpenJob open, String instance) {
        Design design = open.design().orElseThrow();
        return open.state().get(new Entry.InterfaceSerial(instance)).flatMap(serial -> of(design)
                .filter(i -> i.id().equals(instance))
                .findFirst()
                .map(i -> SetUpFile.of(
                        design.installation(),
                        i,
                        design.setUp(),
                        design.keys(),
                        serial,
                        open.text(new Entry.SerialNoted()))));
    }

    /** By device; those without a serial are left out. */
    public static Map<String, SetUpFile> files(OpenJob open) {
        Map<String, SetUpFile> files = new TreeMap<>();
        open.design().stream().flatMap(LoadedDevices::of).forEach(i -> file(open, i.id())
                .ifPresent(f -> files.put(i.id(), f)));
        return files;
    }
}
