package plainlantern.studio.shelf;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;

/**
 * What was made last, by its name: while a slider moves, the same preview is asked for again and again, and a check asks the same of every
 * picture after each edit. Nobody changes what is kept.
 */
final class Recently<T> {
    private final Map<String, T> kept;

    Recently(int most) {
        kept = new LinkedHashMap<>(16, 0.75f, true) {
            @Override
            protected boolean removeEldestEntry(Map.Entry<String, T> eldest) {
                return size() > most;
            }
        };
    }

    T of(String name, Supplier<T> make) {
        synchronized (kept) {
            T there = kept.get(name);
            if (there != null) return there;
        }
        T made = make.get();
        synchronized (kept) {
            kept.put(name, made);
        }
        return made;
    }
}
