package velvetbezel.web.job;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;

/** Keeps the last few results of a slow computation. Losing them only costs time. */
final class Recent<K, V> {
    private final Map<K, V> kept;

    Recent(int most) {
        kept = new LinkedHashMap<>(16, 0.75f, true) {
            private static final long serialVersionUID = 1;

            @Override protected boolean removeEldestEntry(Map.Entry<K, V> eldest) { return size() > most; }
        };
    }

    V get(K key, Supplier<V> compute) {
        synchronized (kept) {
            V known = kept.get(key);
            if (known != null) return known;
        }
        V computed = compute.get();
        synchronized (kept) {
            kept.put(key, computed);
        }
        return computed;
    }
}
