package plainlantern.editing.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import plainlantern.asking.BadInput;
import plainlantern.editing.AskFirst;
import plainlantern.editing.Edit;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetJson;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Steps that were made once, done on other elements, and maybe on another sheet: what each of them was done on gives way to what is
 * selected. A step that means nothing there is left out, and said.
 *
 * @param edits what can be done, in turn
 * @param left  what cannot, each with the reason
 */
public record Again(List<Edit> edits, List<String> left) {
    /** Letters of a step that are kept; what is longer, such as hundreds of pasted panels, is not done again. */
    public static final int LONGEST = 40_000;

    /**
     * A step of a history.
     *
     * @param title what the history calls it
     * @param edit  as {@link #kept} has it
     */
    public record Step(String title, String edit) {}

    /** An edit as it is kept to be done again; empty where it is about nothing but its own sheet. */
    public static Optional<String> kept(Edit edit) {
        if (EditReader.ours(edit)) return Optional.empty();
        return Optional.of(SheetJson.MAPPER.writeValueAsString(edit)).filter(json -> json.length() <= LONGEST);
    }

    /**
     * @param complete gives an edit what it needs from outside of the sheet that it is done on
     */
    public static Again of(Sheet sheet, List<Step> steps, List<String> selected, BiFunction<Edit, Sheet, Edit> complete) {
        List<Edit> edits = new ArrayList<>();
        List<String> left = new ArrayList<>();
        Sheet now = sheet;
        for (Step step : steps) {
            try {
                for (JsonNode meant : meant(SheetJson.MAPPER.readTree(step.edit), selected)) {
                    Edit edit = complete.apply(EditReader.read(meant.toString(), now), now);
                    now = edit.on(now);
                    edits.add(edit);
                }
            } catch (AskFirst question) {
                left.add(step.title + ": this asks a question first, so do it by hand.");
            } catch (BadInput refusal) {
                left.add(step.title + ": " + refusal.getMessage());
            }
        }
        return new Again(edits, left);
    }

    /** The edit on what is selected; several of it where it is about one element. */
    private static List<JsonNode> meant(JsonNode edit, List<String> selected) {
        if (edit.path("edits") instanceof ArrayNode several) {
            List<JsonNode> all = new ArrayList<>();
            for (JsonNode one : several) all.addAll(meant(one, selected));
            return all;
        }
        ObjectNode aimed = (ObjectNode) edit.deepCopy();
        if (aimed.path("of") instanceof ObjectNode of && named(of)) aim(of, selected);
        if (named(aimed)) aim(aimed, selected);
        if (!aimed.path("panel").isString() || aimed.path("panel").asString().isEmpty()) return List.of(aimed);
        some(selected);
        List<JsonNode> each = new ArrayList<>();
        for (String id : selected) each.add(aimed.deepCopy().put("panel", id));
        return each;
    }

    /** Whether it names elements; one that names none means all there are, or makes new ones. */
    private static boolean named(ObjectNode of) {
        return of.path("panels") instanceof ArrayNode panels && !panels.isEmpty() && panels.get(0).isString();
    }

    private static void aim(ObjectNode of, List<String> selected) {
        some(selected);
        of.set("panels", SheetJson.MAPPER.valueToTree(selected));
    }

    private static void some(List<String> selected) {
        BadInput.unless(!selected.isEmpty(), "panels", "Select what it is to be done on.");
    }
}
