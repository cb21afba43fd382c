package plainlantern.sheet;

import java.util.HashMap;
import java.util.Map;
import plainlantern.lettering.LetterStyle;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * Documents of versions 1 to 4 as they are written now. There, a sheet was one flat record; every element was a panel with a role;
 * a picture's plain background was taken out on the shelf, for all its uses.
 */
final class Upgrade {
    private static final JsonNodeFactory NODES = JsonNodeFactory.instance;

    private final ObjectNode old;
    private final Map<String, JsonNode> cleared = new HashMap<>();

    private Upgrade(ObjectNode old) {
        this.old = old;
    }

    /** Whether it is a document of one of those versions. */
    static boolean wanted(JsonNode document) {
        return document.isObject() && !document.has("contents") && document.has("elements");
    }

    static ObjectNode of(JsonNode document) {
        return new Upgrade((ObjectNode) document.deepCopy()).sheet();
    }

    private ObjectNode sheet() {
        ObjectNode contents = NODES.objectNode();
        ArrayNode shelf = contents.putArray("shelf");
        for (JsonNode picture : old.path("shelf")) shelf.add(picture((ObjectNode) picture));
        ArrayNode elements = contents.putArray("elements");
        for (JsonNode element : old.path("elements")) elements.add(element((ObjectNode) element));
        ArrayNode vistas = contents.putArray("vistas");
        for (JsonNode vista : old.path("vistas")) vistas.add(vista((ObjectNode) vista));
        move(old, contents, "lastId", "layouts", "paper");
        if (contents.path("paper").has("picture"))
            treat((ObjectNode) contents.get("paper"), contents.get("paper").path("picture").asString());
        ObjectNode sheet = NODES.objectNode();
        sheet.set("format", taken(old, "name", "unit", "width", "height", "ppi", "bleed", "margins"));
        sheet.set("contents", contents);
        move(old, sheet, "styles", "guides", "limits");
        return sheet;
    }

    private ObjectNode picture(ObjectNode picture) {
        JsonNode clear = picture.remove("clear");
        if (clear != null && !clear.isNull()) cleared.put(picture.path("id").asString(), clear);
        treat(picture, picture.path("id").asString());
        return picture;
    }

    private void treat(ObjectNode shown, String picture) {
        if (cleared.containsKey(picture)) shown.putObject("treatment").set("cleared", cleared.get(picture).deepCopy());
    }

    private ObjectNode element(ObjectNode panel) {
        JsonNode role = panel.has("role") ? panel.get("role") : panel.path("floating");
        JsonNode outline = panel.path("outline");
        boolean afloat = role.asString("").equals("float") || role.isBoolean() && role.asBoolean();
        String kind = afloat ? "float" : role.isString() ? role.asString() : "panel";
        ObjectNode element = NODES.objectNode().put("kind", kind);
        element.set("basics", taken(panel, "id", "name", "locked", "hidden", "group", "seat", "finish"));
        if (kind.equals("rule")) {
            move((ObjectNode) outline, element, "banks", "covering");
            return element;
        }
        if (!afloat) element.set("outline", outline);
        ArrayNode content = element.putArray("content");
        for (JsonNode layer : panel.path("content")) content.add(layer((ObjectNode) layer));
        return element;
    }

    private ObjectNode layer(ObjectNode layer) {
        return switch (layer.path("kind").asString()) {
            case "picture" -> own(layer);
            case "slice" -> slice(layer);
            case "words" -> words(layer);
            default -> layer;
        };
    }

    private ObjectNode own(ObjectNode layer) {
        ObjectNode out = NODES.objectNode().put("kind", "picture");
        String picture = layer.path("picture").asString();
        out.putObject("source").put("kind", "own").put("picture", picture);
        ObjectNode flat = out.putObject("placement").put("kind", "flat");
        flat.set("pose", layer.path("placement"));
        move(layer, flat, "fit", "held");
        treat(out, picture);
        move(layer, out, "look");
        return out;
    }

    private static ObjectNode slice(ObjectNode layer) {
        ObjectNode out = NODES.objectNode().put("kind", "picture");
        move(layer, out.putObject("source").put("kind", "slice"), "vista", "home");
        out.set("placement", ((ObjectNode) layer.path("nudge")).put("kind", "nudged"));
        move(layer, out, "look");
        return out;
    }

    private static ObjectNode words(ObjectNode layer) {
        ObjectNode style = taken(layer, "typeface", "size", "side", "leading", "tracking");
        if (!style.path("leading").isNumber()) style.put("leading", LetterStyle.LEADING);
        if (!style.path("tracking").isNumber()) style.put("tracking", 0.0);
        layer.set("style", style);
        return layer;
    }

    private ObjectNode vista(ObjectNode vista) {
        vista.set("frame", taken(vista, "centre", "width", "height", "turn", "mirrored"));
        treat(vista, vista.path("picture").asString());
        return vista;
    }

    /** Members taken out of one object as one of their own. */
    private static ObjectNode taken(ObjectNode from, String... names) {
        ObjectNode out = NODES.objectNode();
        move(from, out, names);
        return out;
    }

    private static void move(ObjectNode from, ObjectNode to, String... names) {
        for (String name : names) {
            JsonNode value = from.remove(name);
            if (value != null) to.set(name, value);
        }
    }
}
