package velvetbezel.web.controls;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import velvetbezel.controls.SetUpFile;
import velvetbezel.harness.Instance;
import velvetbezel.job.Design;
import velvetbezel.job.Entry;
import velvetbezel.sheet.HowSet;
import velvetbezel.store.JobCodec;
import velvetbezel.store.SetUpFiles;
import velvetbezel.web.job.Ids;
import velvetbezel.web.job.OpenJob;

/**
 * A device that is set up by computer, and its file.
 *
 * @param load   what was last loaded into its stand-in, or is on its way
 * @param digest the first signs of the file's; empty while there is no serial
 * @param stale  whether another set-up is in force in its stand-in than is decided
 */
record InterfaceView(
        String id,
        String instance,
        String device,
        String field,
        String serial,
        String digest,
        boolean stale,
        Optional<LoadView> load) {
    private static final int SIGNS = 8;

    static List<InterfaceView> of(OpenJob open, StandIns standIns) {
        return byComputer(open.design().orElseThrow())
                .map(i -> {
                    Entry.InterfaceSerial entry = new Entry.InterfaceSerial(i.id());
                    return new InterfaceView(
                            Ids.of(entry),
                            i.id(),
                            i.device().name(),
                            JobCodec.key(entry),
                            open.text(entry),
                            file(open, i.id()).map(InterfaceView::digest).orElse(""),
                            stale(open, standIns, i.id()),
                            standIns.at(open.job().number(), i.id()).map(LoadView::of));
                })
                .toList();
    }

    private static Stream<Instance> byComputer(Design design) {
        return design.installation().instances().stream().filter(i -> design.setUp().decisions().stream()
                .anyMatch(d ->
                        d.id().instance().equals(i.id()) && d.how().by().equals(Optional.of(HowSet.Means.COMPUTER))));
    }

    /** Empty where the device is not in the kit, or its serial is not known. */
    static Optional<SetUpFile> file(OpenJob open, String instance) {
        Optional<String> serial = open.state().get(new Entry.InterfaceSerial(instance));
        Design design = open.design().orElseThrow();
        return serial.flatMap(s -> byComputer(design)
                .filter(i -> i.id().equals(instance))
                .findFirst()
                .map(i -> SetUpFile.of(
                        design.installation(),
                        i,
                        design.setUp(),
                        design.keys(),
                        s,
                        open.text(new Entry.SerialNoted()))));
    }

    private static boolean stale(OpenJob open, StandIns standIns, String device) {
        Optional<SetUpFile> loaded = standIns.inForce(open.job().number(), device);
        return loaded.isPresent() && !loaded.equals(file(open, device));
    }

    private static String digest(SetUpFile file) {
        return SetUpFiles.digest(file).substring(0, SIGNS);
    }
}
