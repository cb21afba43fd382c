package plainlantern.scene;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import plainlantern.picture.Sha256;

/**
 * Names for cached values: 128 bits of SHA-256 (FIPS 180-4) over the serialised input that a value depends on. Equal inputs have the same
 * name in every process and on every node; different ones never share a name in practice.
 *
 * <p>An input is made of records, lists, optional values, maps with text keys, enum constants, text, numbers and truth values. Each value
 * is written with a mark of its type and, where it varies, its length, so that no two inputs are written alike.
 */
public final class Fingerprint {
    private static final int BYTES = 16;
    private static final int BUFFER = 1 << 13;
    private static final ClassValue<Shape> SHAPES = new ClassValue<>() {
        @Override
        protected Shape computeValue(Class<?> type) {
            return new Shape(type);
        }
    };

    private final MessageDigest digest = Sha256.digest();
    private final ByteBuffer buffer = ByteBuffer.allocate(BUFFER);

    private Fingerprint() {}

    /** A record type's name and accessors, looked up once. */
    private static final class Shape {
        private final byte[] name;
        private final Method[] components;

        Shape(Class<?> type) {
            name = type.getName().getBytes(StandardCharsets.UTF_8);
            components = Arrays.stream(type.getRecordComponents()).map(RecordComponent::getAccessor).toArray(Method[]::new);
            for (Method component : components) component.setAccessible(true);
        }
    }

    /**
     * The name of these values, 32 hexadecimal digits.
     *
     * @throws IllegalArgumentException if a value is of a type that has no serialised form here
     */
    public static String of(Object... values) {
        Fingerprint fingerprint = new Fingerprint();
        for (Object value : values) fingerprint.add(value);
        fingerprint.flush();
        return HexFormat.of().formatHex(fingerprint.digest.digest(), 0, BYTES);
    }

    private void add(Object value) {
        if (value instanceof Double number) put('d', Double.doubleToLongBits(number));
        else if (value instanceof Number number && !(number instanceof Float)) put('n', number.longValue());
        else if (value instanceof Record record) record(record);
        else if (value instanceof List<?> list) {
            put('l', list.size());
            for (Object each : list) add(each);
        } else if (value instanceof Optional<?> optional) {
            put('o', optional.isPresent() ? 1 : 0);
            optional.ifPresent(this::add);
        } else if (value instanceof CharSequence text) text('s', text.toString().getBytes(StandardCharsets.UTF_8));
        else if (value instanceof Enum<?> constant) text('e', constant.name().getBytes(StandardCharsets.UTF_8));
        else if (value instanceof Boolean truth) put('b', truth ? 1 : 0);
        else if (value instanceof Map<?, ?> map) {
            put('m', map.size());
            Map<String, Object> sorted = new TreeMap<>();
            map.forEach((key, each) -> sorted.put((String) key, each));
            sorted.forEach((key, each) -> {
                add(key);
                add(each);
            });
        } else throw new IllegalArgumentException("no fingerprint of " + (value == null ? "null" : value.getClass().getName()));
    }

    private void record(Record record) {
        Shape shape = SHAPES.get(record.getClass());
        text('r', shape.name);
        try {
            for (Method component : shape.components) add(component.invoke(record));
        } catch (IllegalAccessException | InvocationTargetException e) {
            throw new IllegalStateException(e);
        }
    }

    private void text(char mark, byte[] bytes) {
        put(mark, bytes.length);
        if (bytes.length > buffer.remaining()) flush();
        if (bytes.length > buffer.remaining()) digest.update(bytes);
        else buffer.put(bytes);
    }

    private void put(char mark, long value) {
        if (buffer.remaining() < 1 + Long.BYTES) flush();
        buffer.put((byte) mark).putLong(value);
    }

    private void flush() {
        digest.update(buffer.array(), 0, buffer.position());
        buffer.clear();
    }
}
