package plainlantern.editing.dressing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.sheet.Element;
import plainlantern.sheet.Finish;
import plainlantern.sheet.Sheet;

/**
 * Gives panels the finish of another one, or a part of it.
 *
 * @param panels the selected ones, for {@link To#SELECTED}
 * @param parts  which parts; none means all
 */
@JsonTypeName("copy-finish")
public record CopyFinish(String from, To to, List<String> panels, Set<Part> parts) implements DressingEdit {
    /** Which panels get it. */
    public enum To implements Choice {
        SELECTED, ALL,
        /** All whose form is of the same kind. */
        ALIKE
    }

    /** A part of a finish. */
    public enum Part implements Choice {
        RIM, SHADOW, INNER, GROUND, FEATHER, LOOK
    }

    public CopyFinish {
        panels = panels == null ? List.of() : List.copyOf(panels);
        parts = parts == null || parts.isEmpty() ? EnumSet.allOf(Part.class) : EnumSet.copyOf(parts);
    }

    @Override
    public Sheet apply(Sheet before) {
        Element giver = before.element(from);
        List<String> meant = before.elements().stream().filter(p -> !p.id().equals(from) && switch (to) {
            case SELECTED -> panels.contains(p.id());
            case ALL -> true;
            case ALIKE -> form(p).equals(form(giver));
        }).map(Element::id).toList();
        BadInput.unless(!meant.isEmpty(), "panels", to == To.SELECTED ? "Select the other panels, too; the first keeps its finish."
                : "There is no other panel of this kind.");
        return before.changing(meant, p -> p.finished(taken(p.finish(), giver.finish())));
    }

    /** What its form is called; that of a line is its kind. */
    private static String form(Element element) {
        return element.holder().map(h -> h.outline().label()).orElse(element.kind());
    }

    private Finish taken(Finish own, Finish given) {
        if (parts.size() == Part.values().length) return given;
        // With a part of another finish it is its own: it follows none any more.
        return new Finish(Optional.empty(), of(Part.RIM, own, given).rim(), of(Part.SHADOW, own, given).shadow(),
                of(Part.INNER, own, given).inner(),
                of(Part.GROUND, own, given).ground(), of(Part.FEATHER, own, given).feather(), of(Part.LOOK, own, given).look());
    }

    private Finish of(Part part, Finish own, Finish given) {
        return parts.contains(part) ? given : own;
    }

    @Override
    public String title(Sheet before) {
        return "Copy finish of " + before.element(from).name();
    }
}
