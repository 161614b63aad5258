package velvetbezel.web.library;

import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.BiConsumer;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Service;
import org.springframework.web.multipart.MultipartFile;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.store.Imports;

/** Reads and takes in what people bring, beside their pages. */
@Service
class ImportService implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(ImportService.class);
    /** A small import is read before its page is shown, so that nobody looks at a progress bar for nothing. */
    private static final int SHORT_WAIT_MS = 700;

    private final Imports intakes;
    /** Price lists that may be read once more, with their headings understood otherwise. */
    private final Map<UUID, Path> copies = new ConcurrentHashMap<>();

    private final Path lists;
    private final ExecutorService beside = Executors.newFixedThreadPool(2);

    ImportService(Imports intakes) throws IOException {
        this.intakes = intakes;
        this.lists = Files.createTempDirectory("price-lists");
    }

    UUID sheets(List<MultipartFile> files, String who) {
        List<MultipartFile> chosen = files.stream().filter(f -> !f.isEmpty()).toList();
        Map<String, String> texts = new LinkedHashMap<>(Imports.unzip(chosen.stream()
                .filter(ImportService::zipped)
                .map(ImportService::bytes)
                .toList()));
        chosen.stream()
                .filter(f -> !zipped(f))
                .forEach(f -> texts.put(name(f), new String(bytes(f), StandardCharsets.UTF_8)));
        if (texts.isEmpty())
            throw new InvalidInput(
                    "sheets", "No file was chosen. Choose one or more sheets, as .json files or one ZIP of them.");
        UUID id =
                intakes.openSheets(files.size() == 1 ? name(files.get(0)) : texts.size() + " files", who, texts.size());
        run(() -> intakes.readSheets(id, texts));
        return id;
    }

    private static boolean zipped(MultipartFile file) {
        return name(file).endsWith(".zip");
    }

    private static byte[] bytes(MultipartFile file) {
        try {
            return file.getBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String name(MultipartFile file) {
        return Optional.ofNullable(file.getOriginalFilename())
                .filter(n -> !n.isEmpty())
                .orElse("file");
    }

    /** @param supplier whose list it is; empty where nobody says it */
    UUID list(MultipartFile file, String supplier, String who) {
        if (file.isEmpty())
            throw new InvalidInput("list", "No file was chosen, or it is empty. Choose a price list, as a .csv file.");
        try {
            Path copy = Files.createTempFile(lists, "list", ".csv");
            file.transferTo(copy);
            UUID id = intakes.openList(name(file), who, lines(copy), supplier);
            copies.put(id, copy);
            run(() -> read(id, intakes::readList));
            return id;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @throws InvalidInput where nothing can be read so */
    void learn(UUID id, String supplier, Map<String, String> meanings) {
        intakes.learn(id, supplier, meanings);
        run(() -> read(id, intakes::readList));
    }

    /** Asks again what the headings stand for. */
    void otherwise(UUID id) {
        run(() -> read(id, intakes::showHeadings));
    }

    private static long lines(Path file) throws IOException {
        try (Stream<String> lines = Files.lines(file, StandardCharsets.ISO_8859_1)) {
            return lines.count();
        }
    }

    private void read(UUID id, BiConsumer<UUID, Reader> reading) {
        Path copy = copies.get(id);
        if (copy == null) return;
        try (Reader csv = Files.newBufferedReader(copy)) {
            reading.accept(id, csv);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        Imports.State now = intakes.find(id).orElseThrow().state();
        if (now != Imports.State.READ && now != Imports.State.HEADINGS) forget(id);
    }

    /** Whether a list can be read once more. */
    boolean has(UUID id) {
        return copies.containsKey(id);
    }

    private void forget(UUID id) {
        Optional.ofNullable(copies.remove(id)).ifPresent(c -> c.toFile().delete());
    }

    void cancel(UUID id) {
        intakes.cancel(id);
        forget(id);
    }

    void take(UUID id) {
        run(() -> {
            intakes.take(id);
            forget(id);
        });
    }

    private void run(Runnable work) {
        Future<?> running = beside.submit(() -> {
            try {
                work.run();
            } catch (RuntimeException e) {
                LOG.error("An intake failed", e);
            }
        });
        try {
            running.get(SHORT_WAIT_MS, TimeUnit.MILLISECONDS);
        } catch (TimeoutException e) {
            LOG.debug("still running; its page follows it");
        } catch (ExecutionException e) {
            throw new IllegalStateException(e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void destroy() {
        beside.shutdownNow();
        List.copyOf(copies.keySet()).forEach(this::forget);
        lists.toFile().delete();
    }
}
