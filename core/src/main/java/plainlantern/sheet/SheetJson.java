package plainlantern.sheet;

import plainlantern.asking.FromOutside;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.module.blackbird.BlackbirdModule;

/** The one way sheets become JSON and back: in the database and in bundles. */
public final class SheetJson {
    /** Strict about what it does not know: a document of a newer program must not lose parts in silence. */
    public static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .addModule(FromOutside.module())
            // Constructors of records are called directly: a third less time to read a sheet.
            .addModule(new BlackbirdModule())
            .build();

    private SheetJson() {}

    public static String write(Sheet sheet) {
        return MAPPER.writeValueAsString(sheet);
    }

    /** A document of this version or an earlier one; throws Jackson's exception where the text is not a sheet. */
    public static Sheet read(String json) {
        return current(json) ? MAPPER.readValue(json, Sheet.class) : of(MAPPER.readTree(json));
    }

    /** As {@link #read}, of what was read as a tree. */
    public static Sheet of(JsonNode document) {
        return MAPPER.treeToValue(Upgrade.wanted(document) ? Upgrade.of(document) : document, Sheet.class);
    }

    /** Whether its first member is one that only documents of this version begin with, as written and as PostgreSQL sorts them. */
    private static boolean current(String json) {
        try (JsonParser parser = MAPPER.createParser(json)) {
            return parser.nextToken() == JsonToken.START_OBJECT && "format".equals(parser.nextName());
        }
    }
}
