package plainlantern.editing.reading;

import java.lang.reflect.RecordComponent;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import plainlantern.asking.BadInput;
import plainlantern.editing.Edit;
import plainlantern.editing.Reading;
import plainlantern.editing.dressing.DressingEdit;
import plainlantern.editing.filling.FillingEdit;
import plainlantern.editing.filling.FreshenPicture;
import plainlantern.editing.filling.ShelvePictures;
import plainlantern.editing.forms.FormEdit;
import plainlantern.editing.glazing.GlazingEdit;
import plainlantern.editing.mounting.MountingEdit;
import plainlantern.editing.placing.BringDrawing;
import plainlantern.editing.placing.PlacingEdit;
import plainlantern.editing.sheet.FollowTemplate;
import plainlantern.editing.sheet.ReturnTo;
import plainlantern.editing.sheet.SheetEdit;
import plainlantern.editing.toning.ToningEdit;
import plainlantern.editing.veiling.VeilingEdit;
import plainlantern.editing.vistas.VistaEdit;
import plainlantern.editing.words.WordsEdit;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Reads edits that a browser sends. */
public final class EditReader {
    /** All families of edits. */
    public static final List<Class<? extends Edit>> FAMILIES = List.of(SheetEdit.class, PlacingEdit.class, FormEdit.class,
            FillingEdit.class,
            VistaEdit.class, MountingEdit.class, ToningEdit.class, DressingEdit.class, WordsEdit.class, GlazingEdit.class,
            VeilingEdit.class);
    /** Only the program makes these: imports vouch for the pictures, and a version is one that was kept. */
    private static final List<Class<? extends Edit>> OURS = List.of(ShelvePictures.class, FreshenPicture.class, ReturnTo.class,
            FollowTemplate.class,
            BringDrawing.class);
    private static final JsonMapper MAPPER = SheetJson.MAPPER.rebuild()
            // Numbers that no one reads as numbers stay what was sent.
            .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
            .registerSubtypes(kinds().filter(k -> !OURS.contains(k)).toArray(Class<?>[]::new))
            .build();

    private EditReader() {}

    /** Every kind of edit there is. */
    public static Stream<Class<?>> kinds() {
        return Stream.concat(FAMILIES.stream().flatMap(family -> Stream.of(family.getPermittedSubclasses())), Stream.of(Several.class));
    }

    /** Whether only the program makes it, or a part of it. */
    static boolean ours(Edit edit) {
        return edit instanceof Several several ? several.edits().stream().anyMatch(EditReader::ours) : OURS.contains(edit.getClass());
    }

    /**
     * The edit in {@code json}; what people typed in it is read in the unit and ppi of {@code sheet}.
     *
     * @throws BadInput with the field's name where a value makes no sense, without one where the text is no edit
     */
    public static Edit read(String json, Sheet sheet) {
        Edit edit = Reading.with(MAPPER, sheet, Edit.class, reader -> reader.readValue(json));
        BadInput.unless(edit != null, "", "That is not an edit: there is nothing in it.");
        whole((Record) edit);
        return edit;
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
