package plainlantern.sheet;

import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The one way sheets become JSON and back: in the database and in bundles. */
public final class SheetJson {
    /** Strict about what it does not know: a document of a newer program must not lose parts in silence. */
    public static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .addModule(FromOutside.module())
            .build();

    private SheetJson() {}

    public static String write(Sheet sheet) {
        return MAPPER.writeValueAsString(sheet);
    }

    /** Throws Jackson's exception where the text is not a sheet. */
    public static Sheet read(String json) {
        return MAPPER.readValue(json, Sheet.class);
    }
}
