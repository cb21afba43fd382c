package plainlantern.asking;

import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.module.SimpleModule;

/** How numbers and texts of any document or edit are read: a number is finite, a text is what can be stored and shown. */
public final class FromOutside {
    private FromOutside() {}

    public static SimpleModule module() {
        return new SimpleModule().addDeserializer(double.class, new NumberReader(true))
                .addDeserializer(Double.class, new NumberReader(false))
                .addDeserializer(String.class, new TextReader());
    }

    private static final class NumberReader extends ValueDeserializer<Double> {
        private final boolean needed;

        NumberReader(boolean needed) {
            this.needed = needed;
        }

        @Override
        public Double deserialize(JsonParser in, DeserializationContext context) {
            BadInput.unless(in.currentToken().isNumeric(), in.currentName(), "A number is wanted here.");
            double value = in.getDoubleValue();
            BadInput.unless(Double.isFinite(value), in.currentName(), "That number is too large.");
            return value;
        }

        @Override
        public Double getNullValue(DeserializationContext context) {
            BadInput.unless(!needed, "", "A number is missing.");
            return null;
        }
    }

    /** Texts hold line breaks and tabs, no other control characters, and no halves of characters. */
    private static final class TextReader extends ValueDeserializer<String> {
        @Override
        public String deserialize(JsonParser in, DeserializationContext context) {
            BadInput.unless(in.currentToken().isScalarValue(), in.currentName(), "A text is wanted here.");
            String text = in.getString();
            BadInput.unless(plain(text) || text.codePoints().allMatch(TextReader::fits), in.currentName(),
                    "There is a character in this text that cannot be shown.");
            return text;
        }

        /** Whether all is printable ASCII, as nearly every text of a document is. */
        private static boolean plain(String text) {
            for (int i = 0; i < text.length(); i++) if (text.charAt(i) < ' ' || text.charAt(i) > '~') return false;
            return true;
        }

        private static boolean fits(int point) {
            boolean control = Character.getType(point) == Character.CONTROL && point != '\n' && point != '\t' && point != '\r';
            return !control && Character.getType(point) != Character.SURROGATE;
        }
    }
}
