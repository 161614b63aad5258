package velvetbezel.web.controls;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Service;
import org.springframework.util.FileSystemUtils;
import velvetbezel.controls.SetUpFile;
import velvetbezel.simulate.Faults;
import velvetbezel.simulate.Load;
import velvetbezel.simulate.StandInServer;
import velvetbezel.simulate.Transfer;
import velvetbezel.store.SetUpFiles;

/** The stand-ins of jobs' devices, each a process of its own, and what is being loaded into them. */
@Service
class StandIns implements DisposableBean {
    /** Slow enough to see it go, as a slow serial line is. */
    private static final int BAUD = 9600;

    private final Map<String, Running> running = new ConcurrentHashMap<>();
    private final Map<String, Loading> loads = new ConcurrentHashMap<>();
    /** What was read back and is in force, and what is in the other slot. */
    private final Map<String, Slots> slots = new ConcurrentHashMap<>();

    private final ExecutorService senders = Executors.newCachedThreadPool(r -> {
        Thread t = new Thread(r, "set-up");
        t.setDaemon(true);
        return t;
    });

    private record Running(Process process, int port) {}

    /** @param other empty where the other slot holds nothing whole */
    private record Slots(byte[] inForce, Optional<byte[]> other) {}

    /** One load. */
    static final class Loading {
        private final AtomicBoolean cancelled = new AtomicBoolean();
        private volatile Transfer at;

        Loading(int bytes) {
            at = new Transfer.Sending(0, bytes);
        }

        Transfer at() {
            return at;
        }
    }

    /** Which stand-in answers. */
    enum Which {
        RIGHT,
        ANOTHER_SERIAL,
        ANOTHER_REVISION
    }

    private static String key(int job, String device) {
        return job + "/" + device;
    }

    Optional<Transfer> at(int job, String device) {
        return Optional.ofNullable(loads.get(key(job, device))).map(Loading::at);
    }

    /** What a device's stand-in was last read back as; empty where nothing was loaded, or nobody knows. */
    Optional<SetUpFile> inForce(int job, String device) {
        return Optional.ofNullable(slots.get(key(job, device))).map(s -> SetUpFiles.read(s.inForce));
    }

    /** Whether there is a set-up to go back to. */
    boolean canGoBack(int job, String device) {
        return Optional.ofNullable(slots.get(key(job, device)))
                .flatMap(Slots::other)
                .isPresent();
    }

    private void follow(String key, Loading loading, byte[] image, Transfer at) {
        Optional<Slots> was = Optional.ofNullable(slots.get(key));
        if (at instanceof Transfer.InForce) slots.put(key, new Slots(image, was.map(Slots::inForce)));
        // a load that began has blanked the other slot
        else if (at instanceof Transfer.Sending)
            was.ifPresent(s -> slots.put(key, new Slots(s.inForce, Optional.empty())));
        else if (at instanceof Transfer.WentBack)
            was.flatMap(Slots::other).ifPresent(o -> slots.put(key, new Slots(o, was.map(Slots::inForce))));
        else if (at instanceof Transfer.Doubtful) slots.remove(key);
        loading.at = at;
    }

    /** Brings back what was in force before. */
    void goBack(int job, String device, SetUpFile file) {
        String key = key(job, device);
        int port = standIn(key, file, Which.RIGHT).port;
        Loading mine = new Loading(0);
        Loading now = loads.compute(key, (k, old) -> old != null && !old.at.ended() ? old : mine);
        if (now == mine) senders.submit(() -> Load.undo(port, t -> follow(key, mine, new byte[0], t)));
    }

    /** Begins a load; one that is on its way goes on. */
    void load(int job, String device, SetUpFile file, Which which, Faults faults) {
        byte[] image = SetUpFiles.write(file);
        int port = standIn(key(job, device), file, which).port;
        Loading mine = new Loading(image.length);
        Loading now = loads.compute(key(job, device), (k, old) -> old != null && !old.at.ended() ? old : mine);
        if (now == mine)
            senders.submit(() -> Load.into(
                    port,
                    image,
                    file.serial(),
                    file.revision(),
                    faults,
                    t -> follow(key(job, device), mine, image, t),
                    mine.cancelled::get));
    }

    void cancel(int job, String device) {
        Optional.ofNullable(loads.get(key(job, device))).ifPresent(l -> l.cancelled.set(true));
    }

    private Running standIn(String key, SetUpFile file, Which which) {
        String answers = which == Which.ANOTHER_SERIAL ? "ZZ-" + file.serial().replaceAll(".*-", "") : file.serial();
        int revision = which == Which.ANOTHER_REVISION ? file.revision() + 1 : file.revision();
        return running.compute(
                key + "/" + answers + "/" + revision,
                (k, old) -> old != null && old.process.isAlive() ? old : start(answers, revision));
    }

    private static Running start(String serial, int revision) {
        try {
            Process process = new ProcessBuilder(
                            Path.of(System.getProperty("java.home"), "bin", "java")
                                    .toString(),
                            "-Xmx32m",
                            "-cp",
                            Classes.FOLDER.toString(),
                            StandInServer.class.getName(),
                            serial,
                            String.valueOf(revision),
                            String.valueOf(BAUD))
                    .redirectError(ProcessBuilder.Redirect.DISCARD)
                    .start();
            String line = new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))
                    .readLine();
            if (line == null) throw new IOException("the stand-in did not start");
            return new Running(process, Integer.parseInt(line.substring(line.indexOf(' ') + 1)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The stand-in's classes in a folder, wherever this program has them: its own jar holds others inside. */
    private static final class Classes {
        static final Path FOLDER = folder();

        private static Path folder() {
            try {
                Path folder = Files.createTempDirectory("velvet-bezel-stand-in");
                String name = StandInServer.class.getPackageName().replace('.', '/');
                Path into = Files.createDirectories(folder.resolve(name));
                for (Resource r :
                        new PathMatchingResourcePatternResolver().getResources("classpath*:" + name + "/*.class"))
                    try (InputStream in = r.getInputStream()) {
                        Files.write(into.resolve(r.getFilename()), in.readAllBytes());
                    }
                return folder;
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    @Override
    public void destroy() throws IOException {
        senders.shutdownNow();
        running.values().forEach(r -> r.process.destroy());
        if (!running.isEmpty()) FileSystemUtils.deleteRecursively(Classes.FOLDER);
    }
}
