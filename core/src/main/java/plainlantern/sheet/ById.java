package plainlantern.sheet;

import java.util.AbstractList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.RandomAccess;
import java.util.function.Function;
import plainlantern.asking.BadInput;

/** An immutable list in which each thing is found by its id in constant time. */
final class ById<T> extends AbstractList<T> implements RandomAccess {
    private final List<T> all;
    private final Map<String, T> byId;

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

    @Override
    public T get(int index) {
        return all.get(index);
    }

    @Override
    public int size() {
        return all.size();
    }
}
