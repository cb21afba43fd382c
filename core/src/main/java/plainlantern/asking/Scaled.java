package plainlantern.asking;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;

/** Records whose lengths grow together. */
public final class Scaled {
    private Scaled() {}

    /** The same record with each component that is a {@link Typed.Length} so many times as long, as far as it may be {@link Asked}. */
    public static <T> T of(T record, double factor) {
        RecordComponent[] components = record.getClass().getRecordComponents();
        Object[] values = new Object[components.length];
        Class<?>[] types = new Class<?>[components.length];
        try {
            for (int i = 0; i < components.length; i++) {
                Object value = components[i].getAccessor().invoke(record);
                values[i] = components[i].isAnnotationPresent(Typed.Length.class) ? scaled(components[i], (Double) value, factor) : value;
                types[i] = components[i].getType();
            }
            @SuppressWarnings("unchecked")
            Constructor<T> canonical = (Constructor<T>) record.getClass().getDeclaredConstructor(types);
            return canonical.newInstance(values);
        } catch (InvocationTargetException e) {
            if (e.getCause() instanceof RuntimeException cause) throw cause;
            throw new IllegalStateException(e);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    private static double scaled(RecordComponent component, double length, double factor) {
        Asked asked = component.getAnnotation(Asked.class);
        return asked == null ? length * factor : Math.max(asked.least(), Math.min(asked.most(), length * factor));
    }
}
