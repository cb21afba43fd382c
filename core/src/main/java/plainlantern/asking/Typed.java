package plainlantern.asking;

import com.fasterxml.jackson.annotation.JacksonAnnotationsInside;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.annotation.JsonDeserialize;

/**
 * Values that people may have typed, for use on record components. A JSON number is taken as it is (mm, or the plain number); a
 * text is read with arithmetic and units, a bare number meaning the unit that the reader was given by the attributes {@link #UNIT}
 * and {@link #PPI}.
 */
public final class Typed {
    public static final String UNIT = "unit";
    public static final String PPI = "ppi";
    /** Among a panel's layers: the frontmost picture. */
    public static final int FRONTMOST = -1;

    private Typed() {}

    @Retention(RetentionPolicy.RUNTIME)
    @JacksonAnnotationsInside
    @JsonDeserialize(using = LengthReader.class)
    public @interface Length {}

    @Retention(RetentionPolicy.RUNTIME)
    @JacksonAnnotationsInside
    @JsonDeserialize(using = NumberReader.class)
    public @interface Number {}

    /** A whole number. */
    @Retention(RetentionPolicy.RUNTIME)
    @JacksonAnnotationsInside
    @JsonDeserialize(using = WholeReader.class)
    public @interface Whole {}

    /** A whole number; absent means 0. */
    @Retention(RetentionPolicy.RUNTIME)
    @JacksonAnnotationsInside
    @JsonDeserialize(using = WholeOrZeroReader.class)
    public @interface WholeOrZero {}

    /** A share: 0.5 as a JSON number, 50 or 50 % as people type it. */
    @Retention(RetentionPolicy.RUNTIME)
    @JacksonAnnotationsInside
    @JsonDeserialize(using = ShareReader.class)
    public @interface Share {}

    /** A share as {@link Share} reads it; absent means 0. */
    @Retention(RetentionPolicy.RUNTIME)
    @JacksonAnnotationsInside
    @JsonDeserialize(using = ShareOrZeroReader.class)
    public @interface ShareOrZero {}

    /** A number without a unit; absent means 0. */
    @Retention(RetentionPolicy.RUNTIME)
    @JacksonAnnotationsInside
    @JsonDeserialize(using = NumberOrZeroReader.class)
    public @interface NumberOrZero {}

    /** Degrees, clockwise. */
    @Retention(RetentionPolicy.RUNTIME)
    @JacksonAnnotationsInside
    @JsonDeserialize(using = NumberReader.class)
    public @interface Turn {}

    /** Yes or no; absent means no. */
    @Retention(RetentionPolicy.RUNTIME)
    @JacksonAnnotationsInside
    @JsonDeserialize(using = SwitchReader.class)
    public @interface Switch {}

    /** Which layer of a panel, counted from the back, 0 first; absent means the frontmost picture. */
    @Retention(RetentionPolicy.RUNTIME)
    @JacksonAnnotationsInside
    @JsonDeserialize(using = LayerReader.class)
    public @interface Layer {}

    /** A length; absent means 0. */
    @Retention(RetentionPolicy.RUNTIME)
    @JacksonAnnotationsInside
    @JsonDeserialize(using = OrZeroReader.class)
    public @interface OrZero {}

    /** Weights such as 1:2:1, each above zero; as a JSON array or as people type them. An empty text gives none. */
    @Retention(RetentionPolicy.RUNTIME)
    @JacksonAnnotationsInside
    @JsonDeserialize(using = WeightsReader.class)
    public @interface Weights {}

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

    /** A share as {@link Share} reads it, for an {@code Optional}; absent, null or an empty text means "leave as it is". */
    @Retention(RetentionPolicy.RUNTIME)
    @JacksonAnnotationsInside
    @JsonDeserialize(contentUsing = ShareReader.class)
    public @interface OptionalShare {}

    private static double length(JsonParser in, DeserializationContext context) {
        if (in.currentToken().isNumeric()) return Lengths.sent(in.getDoubleValue(), in.currentName());
        return Lengths.mm(in.getString(), in.currentName(), (Unit) context.getAttribute(UNIT), (Double) context.getAttribute(PPI));
    }

    private static double number(JsonParser in) {
        return in.currentToken().isNumeric() ? Lengths.sent(in.getDoubleValue(), in.currentName())
                : Lengths.number(in.getString(), in.currentName());
    }

    private static int whole(JsonParser in) {
        double value = number(in);
        BadInput.unless(value == Math.rint(value) && Math.abs(value) < 1e9, in.currentName(), "This has to be a whole number.");
        return (int) value;
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

    static final class WholeReader extends ValueDeserializer<Integer> {
        @Override
        public Integer deserialize(JsonParser in, DeserializationContext context) {
            return whole(in);
        }
    }

    static final class WholeOrZeroReader extends OrElse<Integer> {
        WholeOrZeroReader() {
            super(0);
        }

        @Override
        public Integer deserialize(JsonParser in, DeserializationContext context) {
            return blank(in) ? 0 : whole(in);
        }
    }

    static final class ShareReader extends ValueDeserializer<Double> {
        @Override
        public Double deserialize(JsonParser in, DeserializationContext context) {
            return in.currentToken().isNumeric() ? number(in) : number(in) / 100;
        }
    }

    static final class ShareOrZeroReader extends OrElse<Double> {
        ShareOrZeroReader() {
            super(0.0);
        }

        @Override
        public Double deserialize(JsonParser in, DeserializationContext context) {
            return blank(in) ? 0 : in.currentToken().isNumeric() ? number(in) : number(in) / 100;
        }
    }

    static final class NumberOrZeroReader extends OrElse<Double> {
        NumberOrZeroReader() {
            super(0.0);
        }

        @Override
        public Double deserialize(JsonParser in, DeserializationContext context) {
            return blank(in) ? 0 : number(in);
        }
    }

    static final class SwitchReader extends OrElse<Boolean> {
        SwitchReader() {
            super(false);
        }

        @Override
        public Boolean deserialize(JsonParser in, DeserializationContext context) {
            return in.currentToken() == JsonToken.VALUE_TRUE || in.hasToken(JsonToken.VALUE_STRING) && in.getString().equals("true");
        }
    }

    static final class LayerReader extends OrElse<Integer> {
        LayerReader() {
            super(FRONTMOST);
        }

        @Override
        public Integer deserialize(JsonParser in, DeserializationContext context) {
            return in.getIntValue();
        }
    }

    static final class OrZeroReader extends OrElse<Double> {
        OrZeroReader() {
            super(0.0);
        }

        @Override
        public Double deserialize(JsonParser in, DeserializationContext context) {
            return blank(in) ? 0 : length(in, context);
        }
    }

    static final class WeightsReader extends OrElse<List<Double>> {
        WeightsReader() {
            super(List.of());
        }

        @Override
        public List<Double> deserialize(JsonParser in, DeserializationContext context) {
            List<Double> weights = new ArrayList<>();
            String field = in.currentName();
            if (in.hasToken(JsonToken.START_ARRAY)) {
                while (in.nextToken() != JsonToken.END_ARRAY) weights.add(in.getDoubleValue());
            } else {
                for (String part : in.getString().strip().split("\\s*:\\s*|\\s+"))
                    if (!part.isEmpty()) weights.add(weight(part, in.getString(), field));
            }
            BadInput.unless(weights.stream().allMatch(w -> w > 0 && Double.isFinite(w)), field,
                    "Every weight is above zero, such as 1:2:1.");
            return List.copyOf(weights);
        }

        private static double weight(String part, String all, String field) {
            try {
                return Double.parseDouble(part.replace(',', '.'));
            } catch (NumberFormatException e) {
                throw new BadInput(field, "“" + all + "” is no list of weights. Write it like 1:2:1.");
            }
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

    private abstract static class Optional extends OrElse<OptionalDouble> {
        Optional() {
            super(OptionalDouble.empty());
        }
    }

    /** A reader that takes a value for what is absent or null. */
    private abstract static class OrElse<T> extends ValueDeserializer<T> {
        private final T otherwise;

        OrElse(T otherwise) {
            this.otherwise = otherwise;
        }

        @Override
        public T getNullValue(DeserializationContext context) {
            return otherwise;
        }

        @Override
        public Object getAbsentValue(DeserializationContext context) {
            return otherwise;
        }
    }
}
