package plainlantern.studio.board;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import plainlantern.asking.Unit;
import plainlantern.geometry.Box;
import plainlantern.outline.Outline;
import plainlantern.outline.Outlines;
import plainlantern.outline.PathData;
import plainlantern.pattern.Pattern;
import plainlantern.pattern.Piece;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;

/** Small drawings of all patterns and all forms, made by the very code that makes panels. */
public final class Gallery {
    /**
     * A card: the kind's name in edits, what people call it, its drawing as path data, and for forms the form as JSON and its width /
     * height.
     */
    public record Card(String kind, String label, String drawing, String json, double aspect) {
        /** "a" or "an". */
        public String article() {
            return "aeiou".indexOf(label.charAt(0)) >= 0 ? "an" : "a";
        }
    }

    private static final Box PATTERN = new Box(1, 1, 70, 46);
    private static final double FORM = 22;
    private static final List<Double> ASPECTS = List.of(1.5, 0.7, 1.5, 1.0, 1.8, 0.7, 1.3);
    /** Numbers that tell a pattern apart at this size, where its first ones would not. */
    private static final Map<String, Object> SMALL = Map.of("width", 12.0, "height", 12.0, "seed", 4, "gap", 2.0, "gapAcross", 2.0,
            "gapDown", 2.0, "count", 9);

    public static final List<Card> PATTERNS = Pattern.KINDS.stream().map(Gallery::pattern).toList();
    public static final List<Card> FORMS = Outlines.KINDS.stream().map(Gallery::form).toList();

    private Gallery() {}

    private static Card pattern(Class<? extends Pattern> type) {
        String kind = type.getAnnotation(JsonTypeName.class).value();
        Pattern pattern = first(type, kind, new Numbers(Sheet.empty("gallery", Unit.MM, 72, 48, 300)));
        List<Piece> pieces = pattern.pieces(PATTERN, ASPECTS);
        return new Card(kind, pattern.label(), pieces.stream().map(p -> PathData.of(p.path())).collect(Collectors.joining()), "", 1);
    }

    private static Pattern first(Class<? extends Pattern> type, String kind, Numbers numbers) {
        Map<String, Object> json = new TreeMap<>(Map.of("kind", kind));
        for (Fields.Field field : Fields.of(type, Optional.empty(), numbers, 48)) {
            Object value = field.kind().equals("switch") ? (Object) field.on() : field.value().replaceAll(" ?(mm|°)$", "");
            json.put(field.name(), SMALL.getOrDefault(field.name(), value));
        }
        return SheetJson.MAPPER.convertValue(json, type);
    }

    private static Card form(Outline outline) {
        double aspect = outline.aspect();
        String drawing = PathData.of(outline.path(aspect > 1 ? FORM : FORM * aspect, aspect > 1 ? FORM / aspect : FORM));
        return new Card(outline.getClass().getAnnotation(JsonTypeName.class).value(), outline.label(), drawing,
                SheetJson.MAPPER.writeValueAsString(outline), aspect);
    }
}
