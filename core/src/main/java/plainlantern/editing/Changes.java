package plainlantern.editing;

import java.lang.reflect.RecordComponent;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import plainlantern.asking.BadInput;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The one mechanism for "set what is present, keep the rest": an edit lists the names of components that it may set, and takes
 * their values by name as they were sent, in JSON or as people typed them. They are laid over the record as it is, which is then
 * read again, so that its own annotations and its own constructor say what is right.
 */
public final class Changes {
    private Changes() {}

    /**
     * What was sent, without what is null; for the compact constructor of an edit.
     *
     * @throws BadInput where a name is none of those
     */
    public static Map<String, Object> only(Map<String, Object> set, List<String> names) {
        Map<String, Object> present = new LinkedHashMap<>();
        if (set != null) set.forEach((name, value) -> {
            BadInput.unless(names.contains(name), name, "“" + name + "” is nothing that can be set here.");
            if (value != null) present.put(name, value);
        });
        return present;
    }

    /** Whether any of the names is set. */
    public static boolean any(Map<String, Object> set, List<String> names) {
        return names.stream().anyMatch(set::containsKey);
    }

    /**
     * The record with those of its components that are named in {@code set}; other names are left to other records. A number that
     * was emptied stays. Lengths are read in the sheet's unit.
     *
     * @throws BadInput with the component's name where a value makes no sense
     */
    public static <T extends Record> T onto(T was, Map<String, Object> set, Sheet sheet) {
        Map<String, Object> meant = new LinkedHashMap<>();
        for (RecordComponent component : was.getClass().getRecordComponents()) {
            Object value = set.get(component.getName());
            boolean emptied = component.getType().isPrimitive() && value instanceof String text && text.isBlank();
            if (value != null && !emptied) meant.put(component.getName(), value);
        }
        if (meant.isEmpty()) return was;
        ObjectNode tree = SheetJson.MAPPER.valueToTree(was);
        meant.forEach((name, value) -> tree.set(name, SheetJson.MAPPER.<JsonNode>valueToTree(value)));
        @SuppressWarnings("unchecked")
        Class<T> type = (Class<T>) was.getClass();
        return Reading.in(sheet, type, reader -> reader.readValue(tree));
    }
}
