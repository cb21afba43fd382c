package plainlantern.treating;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;

/** The last few of what takes long to compute, by what it is computed from. Nobody changes what is kept. */
public final class Recent<K, V> {
    private final Map<K, V> kept;

    /** @param most so many are kept */
    public Recent(int most) {
        kept = new LinkedHashMap<>(16, 0.75f, true) {
            @Override
            protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
                return size() > most;
            }
        };
    }

    public V get(K key, Supplier<V> compute) {
        synchronized (kept) {
            V there = kept.get(key);
            if (there != null) return there;
        }
        V made = compute.get();
        synchronized (kept) {
            kept.put(key, made);
        }
        return made;
    }
}
