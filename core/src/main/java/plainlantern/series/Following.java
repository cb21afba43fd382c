package plainlantern.series;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import plainlantern.fitting.Refit;
import plainlantern.sheet.Basics;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/**
 * How a sheet of a series follows its template: what changed on the template is changed on the sheet, part by part, but for parts that
 * were put right there by hand.
 */
public final class Following {
    /** Members whose parts mean nothing alone. */
    private static final Set<String> WHOLE = Set.of("seat", "outline", "placement", "source", "frame", "plane", "home", "centre", "stops",
            "mesh", "bend", "form");

    private Following() {}

    /**
     * The sheet after its template changed.
     *
     * @param was  the sheet as the template before made it
     * @param is   the sheet as the template makes it now
     * @param mine the sheet as it stands
     * @throws plainlantern.asking.BadInput where the two do not go together
     */
    public static Sheet followed(Sheet was, Sheet is, Sheet mine) {
        if (was.equals(mine)) return is;
        if (was.equals(is)) return mine;
        Sheet next = free(was, is, mine);
        JsonNode merged = merged(tree(was), tree(next), tree(mine), "");
        ((ObjectNode) merged.get("contents")).put("lastId", Math.max(next.lastId(), mine.lastId()));
        Sheet after = shelved(merged, is, mine);
        return Filling.tidied(after.everywhere(element -> refitted(after, mine, is, element)));
    }

    private static JsonNode tree(Sheet sheet) {
        return SheetJson.MAPPER.valueToTree(sheet);
    }

    /** The template's new elements under ids that the sheet has not given to others of its own. */
    private static Sheet free(Sheet was, Sheet is, Sheet mine) {
        int[] last = {Math.max(is.lastId(), mine.lastId())};
        List<Element> elements = is.elements().stream().map(e -> was.find(e.id()).isPresent() || mine.find(e.id()).isEmpty() ? e
                : renumbered(e, "p" + ++last[0])).toList();
        return elements.equals(is.elements()) ? is : is.with(elements, last[0]);
    }

    private static Element renumbered(Element element, String id) {
        Basics was = element.basics();
        return element.with(new Basics(id, was.name(), was.locked(), was.hidden(), was.group(), was.seat(), was.finish()));
    }

    private static Sheet shelved(JsonNode merged, Sheet is, Sheet mine) {
        Map<String, JsonNode> shelf = new LinkedHashMap<>();
        for (Sheet from : List.of(mine, is)) {
            for (JsonNode picture : SheetJson.MAPPER.<ArrayNode>valueToTree(from.shelf())) shelf.putIfAbsent(picture.get("id").asString(),
                    picture);
        }
        ArrayNode all = JsonNodeFactory.instance.arrayNode();
        shelf.values().forEach(all::add);
        ((ObjectNode) merged.get("contents")).set("shelf", all);
        return SheetJson.MAPPER.treeToValue(merged, Sheet.class);
    }

    /** A picture that was placed by hand in a form that is another now is covered again, where it is held. */
    private static Element refitted(Sheet sheet, Sheet mine, Sheet is, Element element) {
        Optional<Holder> before = mine.find(element.id()).flatMap(Element::holder);
        if (before.isEmpty() || element.holder().isEmpty()) return element;
        Holder now = element.holder().get();
        boolean moved = !now.seat().equals(before.get().seat()) || !now.outline().equals(before.get().outline());
        boolean byHand = is.find(element.id()).flatMap(Element::holder).map(h -> !h.pictures().equals(now.pictures())).orElse(true);
        return moved && byHand ? Refit.reformed(sheet, now) : element;
    }

    private static JsonNode merged(JsonNode was, JsonNode is, JsonNode mine, String member) {
        if (Objects.equals(was, is) || Objects.equals(is, mine)) return mine;
        if (Objects.equals(was, mine)) return is;
        if (was == null || is == null || mine == null || WHOLE.contains(member)) return mine;
        if (was instanceof ObjectNode a && is instanceof ObjectNode b && mine instanceof ObjectNode c) return members(a, b, c);
        if (was instanceof ArrayNode a && is instanceof ArrayNode b && mine instanceof ArrayNode c) return items(a, b, c);
        return mine;
    }

    private static JsonNode members(ObjectNode was, ObjectNode is, ObjectNode mine) {
        if (!Objects.equals(is.get("kind"), mine.get("kind"))) return mine;
        ObjectNode out = JsonNodeFactory.instance.objectNode();
        Set<String> names = new LinkedHashSet<>(mine.propertyNames());
        names.addAll(is.propertyNames());
        for (String name : names) {
            JsonNode value = merged(was.get(name), is.get(name), mine.get(name), name);
            if (value != null) out.set(name, value);
        }
        return out;
    }

    private static JsonNode items(ArrayNode was, ArrayNode is, ArrayNode mine) {
        if (named(was) && named(is) && named(mine)) return byId(was, is, mine);
        if (was.size() != is.size() || is.size() != mine.size()) return mine;
        ArrayNode out = JsonNodeFactory.instance.arrayNode();
        for (int i = 0; i < was.size(); i++) out.add(merged(was.get(i), is.get(i), mine.get(i), ""));
        return out;
    }

    private static boolean named(ArrayNode all) {
        return all.valueStream().allMatch(item -> id(item) != null);
    }

    private static String id(JsonNode item) {
        JsonNode id = item.has("basics") ? item.get("basics").get("id") : item.get("id");
        return id == null || !id.isString() ? null : id.asString();
    }

    private static Map<String, JsonNode> ids(ArrayNode all) {
        Map<String, JsonNode> byId = new LinkedHashMap<>();
        for (JsonNode item : all) byId.put(id(item), item);
        return byId;
    }

    /**
     * In the template's order where that changed, else in the sheet's own; what one of them has alone stands after what it stands after
     * there.
     */
    private static JsonNode byId(ArrayNode was, ArrayNode is, ArrayNode mine) {
        Map<String, JsonNode> before = ids(was);
        Map<String, JsonNode> next = ids(is);
        Map<String, JsonNode> own = ids(mine);
        Map<String, JsonNode> kept = new HashMap<>();
        Set<String> all = new LinkedHashSet<>(own.keySet());
        all.addAll(next.keySet());
        for (String id : all) {
            JsonNode value = merged(before.get(id), next.get(id), own.get(id), "");
            // Gone from the template and untouched here, or gone from here: it stays away.
            if (value != null) kept.put(id, value);
        }
        List<String> order = orderOf(common(before, next), next) ? new ArrayList<>(own.keySet()) : new ArrayList<>(next.keySet());
        List<String> other = order.containsAll(own.keySet()) ? new ArrayList<>(next.keySet()) : new ArrayList<>(own.keySet());
        for (int i = 0; i < other.size(); i++) {
            if (!order.contains(other.get(i))) order.add(i == 0 ? 0 : order.indexOf(other.get(i - 1)) + 1, other.get(i));
        }
        ArrayNode out = JsonNodeFactory.instance.arrayNode();
        for (String id : order) if (kept.containsKey(id)) out.add(kept.get(id));
        return out;
    }

    private static List<String> common(Map<String, JsonNode> a, Map<String, JsonNode> b) {
        return a.keySet().stream().filter(b::containsKey).toList();
    }

    /** Whether those come in that order there. */
    private static boolean orderOf(List<String> ids, Map<String, JsonNode> there) {
        Set<String> wanted = new HashSet<>(ids);
        return there.keySet().stream().filter(wanted::contains).toList().equals(ids);
    }
}
