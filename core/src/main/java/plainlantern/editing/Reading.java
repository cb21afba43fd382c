package plainlantern.editing;

import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.ObjectReader;
import tools.jackson.databind.json.JsonMapper;

/** How what people sent is read: in the unit of their sheet, and with errors in their own words. */
public final class Reading {
    private Reading() {}

    /** As {@link #with}, by the documents' own mapper. */
    public static <T> T in(Sheet sheet, Class<T> type, Function<ObjectReader, T> read) {
        return with(SheetJson.MAPPER, sheet, type, read);
    }

    /** @throws BadInput with the field's name where a value makes no sense, without one where the text is none of that type */
    public static <T> T with(JsonMapper mapper, Sheet sheet, Class<T> type, Function<ObjectReader, T> read) {
        try {
            return read.apply(mapper.readerFor(type).withAttribute(Typed.UNIT, sheet.unit()).withAttribute(Typed.PPI, sheet.ppi()));
        } catch (JacksonException e) {
            for (Throwable cause = e; cause != null; cause = cause.getCause()) {
                if (cause instanceof BadInput input) throw input;
            }
            throw new BadInput("That is not an edit" + where(e));
        }
    }

    /** Which member was being read, in the sender's words. */
    private static String where(JacksonException e) {
        String path = e.getPath().stream().map(JacksonException.Reference::getPropertyName).filter(Objects::nonNull)
                .collect(Collectors.joining("."));
        return path.isEmpty() ? ": its text is damaged." : ": “" + path + "” cannot be read.";
    }
}
