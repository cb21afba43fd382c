package plainlantern.geometry;

import com.fasterxml.jackson.annotation.JacksonAnnotationsInside;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.util.OptionalDouble;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.annotation.JsonDeserialize;

/**
 * Values that people may have typed, for use on record components. A JSON number is taken as it is (mm, or the plain number); a text is read
 * with arithmetic and units, a bare number meaning the unit that the reader was given by the attributes {@link #UNIT} and {@link #PPI}.
 */
public final class Typed {
    public static final String UNIT = "unit";
    public static final String PPI = "ppi";

    private Typed() {}

    @Retention(RetentionPolicy.RUNTIME)
    @JacksonAnnotationsInside
    @JsonDeserialize(using = LengthReader.class)
    public @interface Length {}

    @Retention(RetentionPolicy.RUNTIME)
    @JacksonAnnotationsInside
    @JsonDeserialize(using = NumberReader.class)
    public @interface Number {}

    /** Absent, null or an empty text means "leave as it is". */
    @Retention(RetentionPolicy.RUNTIME)
    @JacksonAnnotationsInside
    @JsonDeserialize(using = OptionalLengthReader.class)
    public @interface OptionalLength {}

    /** As {@link OptionalLength}, without a unit. */
    @Retention(RetentionPolicy.RUNTIME)
    @JacksonAnnotationsInside
    @JsonDeserialize(using = OptionalNumberReader.class)
    public @interface OptionalNumber {}

    private static double length(JsonParser in, DeserializationContext context) {
        if (in.currentToken().isNumeric()) return in.getDoubleValue();
        return Lengths.mm(in.getString(), in.currentName(), (Unit) context.getAttribute(UNIT), (Double) context.getAttribute(PPI));
    }

    private static double number(JsonParser in) {
        return in.currentToken().isNumeric() ? in.getDoubleValue() : Lengths.number(in.getString(), in.currentName());
    }

    private static boolean blank(JsonParser in) {
        return in.hasToken(JsonToken.VALUE_STRING) && in.getString().isBlank();
    }

    static final class LengthReader extends ValueDeserializer<Double> {
        @Override
        public Double deserialize(JsonParser in, DeserializationContext context) {
            return length(in, context);
        }
    }

    static final class NumberReader extends ValueDeserializer<Double> {
        @Override
        public Double deserialize(JsonParser in, DeserializationContext context) {
            return number(in);
        }
    }

    static final class OptionalLengthReader extends Optional {
        @Override
        public OptionalDouble deserialize(JsonParser in, DeserializationContext context) {
            return blank(in) ? OptionalDouble.empty() : OptionalDouble.of(length(in, context));
        }
    }

    static final class OptionalNumberReader extends Optional {
        @Override
        public OptionalDouble deserialize(JsonParser in, DeserializationContext context) {
            return blank(in) ? OptionalDouble.empty() : OptionalDouble.of(number(in));
        }
    }

    private abstract static class Optional extends ValueDeserializer<OptionalDouble> {
        @Override
        public Object getNullValue(DeserializationContext context) {
            return OptionalDouble.empty();
        }

        @Override
        public Object getAbsentValue(DeserializationContext context) {
            return OptionalDouble.empty();
        }
    }
}
