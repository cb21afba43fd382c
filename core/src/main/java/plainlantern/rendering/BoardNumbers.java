package plainlantern.rendering;

import plainlantern.sheet.SheetJson;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;

/**
 * The numbers that gestures on the board need, as JSON: rounded to a billionth, of a millimetre or of what they are, which no gesture can
 * tell from them, and a third less text for a browser to read.
 */
final class BoardNumbers {
    private static final double FINE = 1e9;
    /** Smaller ones are scales and shares, of which every digit counts; larger ones would lose digits. */
    private static final double LEAST = 0.01;
    private static final double MOST = 1e6;
    private static final JsonMapper MAPPER = SheetJson.MAPPER.rebuild().addModule(new SimpleModule()
            .addSerializer(double.class, new Rounded()).addSerializer(Double.class, new Rounded())
            .addSerializer(double[].class, new AllRounded())).build();

    private BoardNumbers() {}

    static String json(Object numbers) {
        return MAPPER.writeValueAsString(numbers);
    }

    private static void write(double value, JsonGenerator out) {
        double rounded = Math.abs(value) < MOST && Math.abs(value) > LEAST ? Math.rint(value * FINE) / FINE : value;
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
