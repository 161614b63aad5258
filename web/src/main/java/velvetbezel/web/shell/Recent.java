package velvetbezel.web.shell;

import com.github.benmanes.caffeine.cache.AsyncCache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Supplier;

/**
 * Keeps the last few results of a slow computation; losing them only costs time. Who asks for a result that is
 * being computed waits for it and does not compute it again.
 */
public final class Recent<K, V> {
    private final AsyncCache<K, V> kept;

    public Recent(int most) {
        kept = Caffeine.newBuilder().maximumSize(most).executor(Runnable::run).buildAsync();
    }

    public void forget(K key) {
        kept.synchronous().invalidate(key);
    }

    /** What the computation throws is thrown to everybody who waits, and is not kept. */
    public V get(K key, Supplier<V> compute) {
        CompletableFuture<V> mine = new CompletableFuture<>();
        CompletableFuture<V> first = kept.asMap().putIfAbsent(key, mine);
        if (first == null) {
            try {
                mine.complete(compute.get());
            } catch (RuntimeException | Error e) {
                mine.completeExceptionally(e);
            }
        }
        try {
            return (first == null ? mine : first).join();
        } catch (CompletionException e) {
            if (e.getCause() instanceof RuntimeException cause) throw cause;
            throw e;
        }
    }
}
