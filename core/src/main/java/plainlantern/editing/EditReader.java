package plainlantern.editing;

import java.lang.reflect.RecordComponent;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import tools.jackson.core.JacksonException;

/** Reads edits that a browser sends. */
public final class EditReader {
    private EditReader() {}

    /**
     * The edit in {@code json}; what people typed in it is read in the unit and ppi of {@code sheet}.
     *
     * @throws BadInput with the field's name where a value makes no sense, without one where the text is no edit
     */
    public static Edit read(String json, Sheet sheet) {
        try {
            Edit edit = SheetJson.MAPPER.readerFor(Edit.class).withAttribute(Typed.UNIT, sheet.unit()).withAttribute(Typed.PPI, sheet.ppi())
                    .readValue(json);
            BadInput.unless(edit != null, "", "That is not an edit: there is nothing in it.");
            whole((Record) edit);
            return edit;
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

    /** Nothing that an edit needs may be missing; what may be absent was given its usual value when it was read. */
    private static void whole(Record part) {
        for (RecordComponent component : part.getClass().getRecordComponents()) {
            Object value = valued(component, part);
            BadInput.unless(value != null, component.getName(), "That is not an edit: “" + component.getName() + "” is missing.");
            if (value instanceof Record inner) whole(inner);
            if (value instanceof Optional<?> optional && optional.orElse(null) instanceof Record inner) whole(inner);
            if (value instanceof List<?> list) list.stream().filter(Record.class::isInstance).forEach(inner -> whole((Record) inner));
        }
    }

    private static Object valued(RecordComponent component, Record part) {
        try {
            return component.getAccessor().invoke(part);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }
}
