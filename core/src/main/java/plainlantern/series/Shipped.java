package plainlantern.series;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import plainlantern.asking.Unit;
import plainlantern.editing.Edit;
import plainlantern.editing.reading.EditReader;
import plainlantern.sheet.Element;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import plainlantern.sheet.StandIn;
import tools.jackson.databind.JsonNode;

/**
 * A template that comes with the application. It is told as the edits that make it, in {@code templates.json}: where an edit says
 * {@code ALL} it means all elements, {@code LAST} the one in front, {@code $TIDE} that stand-in; {@code "stand-ins"} fills all panels that
 * are empty then.
 *
 * @param id short, for addresses
 */
public record Shipped(String id, String name, String about, Sheet sheet) {
    private static final class Kept {
        private static final List<Shipped> ALL = read();
    }

    /** All of them. */
    public static List<Shipped> all() {
        return Kept.ALL;
    }

    public static Optional<Shipped> find(String id) {
        return all().stream().filter(s -> s.id.equals(id)).findFirst();
    }

    private static List<Shipped> read() {
        try (InputStream in = Shipped.class.getResourceAsStream("templates.json")) {
            List<Shipped> all = new ArrayList<>();
            for (JsonNode told : SheetJson.MAPPER.readTree(in)) {
                String name = told.get("name").asString();
                Sheet sheet = Sheet.empty(name, Unit.of(told.get("unit").asString()), told.get("width").asDouble(),
                        told.get("height").asDouble(), 300).withShelf(Arrays.stream(StandIn.values()).map(StandIn::picture).toList());
                for (JsonNode step : told.get("steps")) sheet = step.isString() ? emptyOnes(sheet) : edited(sheet, step.toString());
                all.add(new Shipped(told.get("id").asString(), name, told.get("about").asString(), Filling.tidied(sheet)));
            }
            return List.copyOf(all);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Sheet emptyOnes(Sheet sheet) {
        return Filling.standIns(sheet, place -> place.picture(sheet).isEmpty());
    }

    private static Sheet edited(Sheet sheet, String step) {
        List<Element> elements = sheet.elements();
        String json = step.replace("\"ALL\"", elements.stream().map(e -> "\"" + e.id() + "\"").collect(Collectors.joining(",")))
                .replace("LAST", elements.isEmpty() ? "" : elements.get(elements.size() - 1).id());
        for (StandIn standIn : StandIn.values()) json = json.replace("$" + standIn, standIn.picture().id());
        Edit edit = EditReader.read(json, sheet);
        return edit.on(sheet);
    }
}
