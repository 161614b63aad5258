package velvetbezel.store;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.Future;
import java.util.function.Consumer;
import java.util.stream.Stream;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;

/**
 * A text that was brought in, read.
 *
 * @param document empty where it has faults
 */
record ReadText(String file, Optional<Document> document, List<InputProblem> faults) {
    /** Ten thousand expanded sheets at once are more than the memory holds. */
    private static final int AT_ONCE = 100;

    /**
     * Reads some at a time and hands them over in their order, the next being read meanwhile. The first ones are read one after the other: classes that
     * two threads load at once may wait for each other.
     */
    static void some(Map<String, String> texts, Consumer<List<ReadText>> take) {
        List<Map.Entry<String, String>> all = new ArrayList<>(texts.entrySet());
        Future<List<ReadText>> next = CompletableFuture.completedFuture(read(all, 0, false));
        for (int i = 0; i < all.size(); i += AT_ONCE) {
            List<ReadText> here = get(next);
            int then = i + AT_ONCE;
            next = ForkJoinPool.commonPool().submit(() -> read(all, then, true));
            take.accept(here);
        }
    }

    private static List<ReadText> read(List<Map.Entry<String, String>> all, int from, boolean beside) {
        List<Map.Entry<String, String>> some =
                all.subList(Math.min(all.size(), from), Math.min(all.size(), from + AT_ONCE));
        Stream<Map.Entry<String, String>> each = beside ? some.parallelStream() : some.stream();
        return each.map(t -> read(t.getKey(), t.getValue())).toList();
    }

    private static List<ReadText> get(Future<List<ReadText>> read) {
        try {
            return read.get();
        } catch (ExecutionException e) {
            throw new IllegalStateException(e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("The app is being stopped.", e);
        }
    }

    private static ReadText read(String file, String text) {
        try {
            return new ReadText(file, Optional.of(Document.read(text)), List.of());
        } catch (InvalidInput e) {
            return new ReadText(file, Optional.empty(), e.faults());
        }
    }

    /** Why a sheet is refused whose id came before in the same import. */
    static String twice(Document d) {
        return "id \"%s\" comes twice in this import; keep one.".formatted(d.id());
    }

    /** Why a sheet is refused whose id is one of another kind in the library. */
    static String otherKind(Document d, String kind) {
        return "is a %s in the library and a %s in this import; give one of them another id.".formatted(kind, d.kind());
    }
}
