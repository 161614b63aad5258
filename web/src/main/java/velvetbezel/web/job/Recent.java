package velvetbezel.web.job;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.FutureTask;
import java.util.function.Supplier;

/**
 * Keeps the last few results of a slow computation; losing them only costs time. Who asks for a result that is
 * being computed waits for it and does not compute it again.
 */
final class Recent<K, V> {
    private final Map<K, FutureTask<V>> kept;

    Recent(int most) {
        kept = new LinkedHashMap<>(16, 0.75f, true) {
            private static final long serialVersionUID = 1;

            @Override
            protected boolean removeEldestEntry(Map.Entry<K, FutureTask<V>> eldest) {
                return size() > most;
            }
        };
    }

    void forget(K key) {
        synchronized (kept) {
            kept.remove(key);
        }
    }

    /** What the computation throws is thrown to everybody who waits, and is not kept. */
    V get(K key, Supplier<V> compute) {
        FutureTask<V> mine = new FutureTask<>(compute::get);
        FutureTask<V> task;
        synchronized (kept) {
            task = kept.computeIfAbsent(key, k -> mine);
        }
        if (task == mine) mine.run();
        try {
            return task.get();
        } catch (ExecutionException e) {
            synchronized (kept) {
                kept.remove(key, task);
            }
            if (e.getCause() instanceof RuntimeException cause) throw cause;
            throw new IllegalStateException(e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException("Stopped while waiting for a computation.", e);
        }
    }
}
