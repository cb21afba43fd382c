package plainlantern.sheet;

import java.util.IdentityHashMap;
import java.util.Map;
import java.util.Optional;
import plainlantern.asking.BadInput;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.ObjectWriter;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.jsontype.TypeDeserializer;
import tools.jackson.databind.jsontype.TypeSerializer;

/**
 * A sheet as text that was read back. The text of each element serves for the next sheet, too, where the same element is on it: of
 * thousands an edit changes a few.
 *
 * @param json     as {@link SheetJson#read} reads it
 * @param elements the texts of its elements
 */
public record SheetText(String json, Elements elements) {
    private static final Object TEXTS = SheetText.class;
    private static final Object SAME = Elements.class;
    private static final ObjectWriter ELEMENT = SheetJson.MAPPER.writerFor(Element.class);

    /** The texts of elements, by which one they are, not by what they are like. */
    public static final class Elements {
        public static final Elements NONE = new Elements();
        private final Map<Element, String> texts = new IdentityHashMap<>();

        Optional<String> of(Element element) {
            return Optional.ofNullable(texts.get(element));
        }
    }

    /**
     * Writes a sheet and reads back what is new of it: what could not be opened again is refused.
     *
     * @param before the texts of what may be on it, which were read back when they were written
     */
    public static SheetText of(Sheet sheet, Elements before) {
        Elements now = new Elements();
        Map<Element, String> shorter = new IdentityHashMap<>();
        Element[] same = new Element[sheet.elements().size()];
        try {
            int at = 0;
            for (Element element : sheet.elements()) {
                Optional<String> known = before.of(element);
                if (known.isPresent()) same[at] = element;
                String text = known.orElseGet(() -> ELEMENT.writeValueAsString(element));
                now.texts.put(element, text);
                shorter.put(element, known.isPresent() ? String.valueOf(at) : text);
                at++;
            }
            String back = SheetJson.MAPPER.writer().withAttribute(TEXTS, shorter).writeValueAsString(sheet);
            SheetJson.MAPPER.readerFor(Sheet.class).withAttribute(SAME, same).readValue(back);
            return new SheetText(SheetJson.MAPPER.writer().withAttribute(TEXTS, now.texts).writeValueAsString(sheet), now);
        } catch (JacksonException | IllegalArgumentException e) {
            throw new BadInput("", "That would make a sheet that can’t be opened again, so it was not done.");
        }
    }

    /** Writes an element, by its text where that is given. */
    static final class Writer extends ValueSerializer<Element> {
        @Override
        public void serialize(Element element, JsonGenerator out, SerializationContext context) {
            if (context.getAttribute(TEXTS) instanceof Map<?, ?> texts) out.writeRawValue((String) texts.get(element));
            else context.findTypedValueSerializer(element.getClass(), true).serialize(element, out, context);
        }

        @Override
        public void serializeWithType(Element element, JsonGenerator out, SerializationContext context, TypeSerializer types) {
            serialize(element, out, context);
        }
    }

    /** Reads an element; a number stands for one that is there already. */
    static final class Reader extends ValueDeserializer<Element> {
        @Override
        public Element deserialize(JsonParser in, DeserializationContext context) {
            return in.currentToken().isNumeric() && context.getAttribute(SAME) instanceof Element[] same ? same[in.getIntValue()]
                    : context.readValue(in, Element.class);
        }

        @Override
        public Object deserializeWithType(JsonParser in, DeserializationContext context, TypeDeserializer types) {
            return deserialize(in, context);
        }
    }
}
