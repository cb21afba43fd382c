package plainlantern.rendering;

import plainlantern.sheet.SheetJson;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/**
 * The numbers that gestures on the board need, as JSON: to twelve digits, which no gesture can tell from all of them, and much less text
 * for a browser to read.
 */
final class BoardNumbers {
    private static final int DIGITS = 12;
    private static final JsonMapper MAPPER = SheetJson.MAPPER.rebuild().addModule(new SimpleModule()
            .addSerializer(double.class, new Rounded()).addSerializer(Double.class, new Rounded())
            .addSerializer(double[].class, new AllRounded())).build();

    private BoardNumbers() {}

    static String json(Object numbers) {
        return MAPPER.writeValueAsString(numbers);
    }

    private static void write(double value, JsonGenerator out) {
        double fine = Math.pow(10, DIGITS - Math.ceil(Math.log10(Math.abs(value))));
        double rounded = value == 0 || Double.isInfinite(fine) ? value : Math.rint(value * fine) / fine;
        if (rounded == (long) rounded) out.writeNumber((long) rounded);
        else out.writeNumber(rounded);
    }

    private static final class Rounded extends ValueSerializer<Double> {
        @Override
        public void serialize(Double value, JsonGenerator out, SerializationContext context) {
            write(value, out);
        }
    }

    private static final class AllRounded extends ValueSerializer<double[]> {
        @Override
        public void serialize(double[] values, JsonGenerator out, SerializationContext context) {
            out.writeStartArray();
            for (double value : values) write(value, out);
            out.writeEndArray();
        }
    }
}
