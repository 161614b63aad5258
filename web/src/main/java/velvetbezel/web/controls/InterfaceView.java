package velvetbezel.web.controls;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import velvetbezel.controls.Decision;
import velvetbezel.controls.SetUpFile;
import velvetbezel.harness.SettingId;
import velvetbezel.job.Entry;
import velvetbezel.sheet.HowSet;
import velvetbezel.store.JobCodec;
import velvetbezel.store.SetUpFiles;
import velvetbezel.web.job.Ids;
import velvetbezel.web.job.LoadedDevices;
import velvetbezel.web.job.OpenJob;

/**
 * A device that is set up by computer, and its file.
 *
 * @param load   what was last loaded into its stand-in, or is on its way
 * @param digest the first signs of the file's; empty while there is no serial
 * @param back   whether its stand-in has an earlier set-up to go back to
 * @param record whether what is in force is as decided, and not yet ticked
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
        boolean back,
        boolean record,
        Optional<LoadView> load) {
    private static final int SIGNS = 8;

    static List<InterfaceView> of(OpenJob open, StandIns standIns) {
        return LoadedDevices.of(open.design().orElseThrow())
                .map(i -> {
                    Entry.InterfaceSerial entry = new Entry.InterfaceSerial(i.id());
                    return new InterfaceView(
                            Ids.of(entry),
                            i.id(),
                            i.device().name(),
                            JobCodec.key(entry),
                            open.text(entry),
                            LoadedDevices.file(open, i.id())
                                    .map(InterfaceView::digest)
                                    .orElse(""),
                            stale(open, standIns, i.id()),
                            standIns.canGoBack(open.job().number(), i.id()),
                            inForce(open, standIns, i.id())
                                    && toSet(open, i.id()).anyMatch(id -> !open.has(new Entry.SettingMade(id))),
                            standIns.at(open.job().number(), i.id()).map(LoadView::of));
                })
                .toList();
    }

    private static boolean stale(OpenJob open, StandIns standIns, String device) {
        return standIns.inForce(open.job().number(), device).isPresent() && !inForce(open, standIns, device);
    }

    /** Whether what was read back is what is decided. */
    static boolean inForce(OpenJob open, StandIns standIns, String device) {
        Optional<SetUpFile> loaded = standIns.inForce(open.job().number(), device);
        return loaded.isPresent() && loaded.equals(LoadedDevices.file(open, device));
    }

    /** Settings of a device that its file brings, where they are otherwise than as delivered. */
    static Stream<SettingId> toSet(OpenJob open, String device) {
        return open.design().orElseThrow().setUp().decisions().stream()
                .filter(d -> d.id().instance().equals(device)
                        && d.how().by().equals(Optional.of(HowSet.Means.COMPUTER))
                        && d.value().isPresent()
                        && !d.asDelivered())
                .map(Decision::id);
    }

    private static String digest(SetUpFile file) {
        return SetUpFiles.digest(file).substring(0, SIGNS);
    }
}
