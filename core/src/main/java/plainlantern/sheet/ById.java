package plainlantern.sheet;

import java.util.AbstractList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.RandomAccess;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.Supplier;
import plainlantern.asking.BadInput;

/** An immutable list in which each thing is found by its id in constant time. */
final class ById<T> extends AbstractList<T> implements RandomAccess {
    private final List<T> all;
    private final Map<String, T> byId;
    private final Map<Object, Object> derived = new ConcurrentHashMap<>();

    private ById(List<T> all, Map<String, T> byId) {
        this.all = all;
        this.byId = byId;
    }

    /**
     * The same things; throws {@link BadInput} where two have one id.
     *
     * @param what what they are, for the message
     */
    static <T> ById<T> of(Collection<T> all, Function<T, String> id, String what) {
        if (all instanceof ById<T> indexed) return indexed;
        List<T> list = List.copyOf(all);
        Map<String, T> byId = new HashMap<>(list.size() * 2);
        for (T one : list) {
            if (byId.put(id.apply(one), one) != null) throw new BadInput(what, "Two " + what + " have the id " + id.apply(one) + ".");
        }
        return new ById<>(list, byId);
    }

    Optional<T> find(String id) {
        return Optional.ofNullable(byId.get(id));
    }

    boolean has(String id) {
        return byId.containsKey(id);
    }

    /**
     * A value that depends on these things alone and is expensive to compute: computed once, kept as long as the list. Threads that ask
     * at the same time may both compute it.
     *
     * @param key tells it from other such values
     */
    @SuppressWarnings("unchecked")
    <V> V derived(Object key, Supplier<V> compute) {
        Object known = derived.get(key);
        if (known == null) {
            known = compute.get();
            derived.put(key, known);
        }
        return (V) known;
    }

    @Override
    public T get(int index) {
        return all.get(index);
    }

    @Override
    public int size() {
        return all.size();
    }
}
