package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.asking.Typed;
import plainlantern.editing.Foreseen;
import plainlantern.fitting.Dealing.Dealt;
import plainlantern.fitting.Dealing;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;

/**
 * Deals pictures to panels so that least is lost, see {@link Dealing}; each takes the place of the picture that its panel had.
 *
 * @param panels   the selected ones, for {@link To#SELECTED}
 * @param pictures which pictures, in the order that they may have to keep; none means all of the shelf
 */
@JsonTypeName("deal")
public record Deal(To to, List<String> panels, List<String> pictures, @Typed.Switch boolean inOrder, Dealing.Use use)
        implements FillingEdit {
    /** Which panels are dealt to. */
    public enum To implements Choice {
        EMPTY, SELECTED, ALL
    }

    public Deal {
        panels = panels == null ? List.of() : List.copyOf(panels);
        pictures = pictures == null ? List.of() : List.copyOf(pictures);
        use = use == null ? Dealing.Use.ONCE : use;
    }

    /** What goes where; refuses where there is nothing to deal or nothing to deal to. */
    public List<Dealt> dealt(Sheet before) {
        List<Picture> stack = stack(before);
        return Dealing.deal(meant(before), stack, before.ppi(), inOrder, use);
    }

    private List<? extends Holder> meant(Sheet before) {
        List<? extends Holder> meant = switch (to) {
            case EMPTY -> before.holders().stream().filter(p -> p.takesPictures() && p.content().isEmpty()).toList();
            case SELECTED -> before.holders(before.takers(panels));
            case ALL -> before.panels();
        };
        BadInput.unless(!meant.isEmpty(), "to", to == To.EMPTY ? "No panel is empty. Deal to the selected panels, or to all."
                : "There is no panel yet.");
        return meant;
    }

    private List<Picture> stack(Sheet before) {
        List<Picture> stack = pictures.isEmpty() ? before.shelf() : pictures.stream().map(before::picture).toList();
        BadInput.unless(!stack.isEmpty(), "pictures", "Put pictures on the shelf first.");
        return stack;
    }

    @Override
    public Sheet apply(Sheet before) {
        return filled(before, dealt(before));
    }

    /** The sheet with what {@link #dealt} found. */
    public static Sheet filled(Sheet before, List<Dealt> dealt) {
        Map<String, String> byPanel = dealt.stream().collect(Collectors.toMap(Dealt::panel, Dealt::picture));
        return before.holding(byPanel.keySet(), p -> FillPanels.filled(before, p, before.picture(byPanel.get(p.id()))));
    }

    @Override
    public Foreseen foreseen(Sheet before) {
        List<Dealt> dealt = dealt(before);
        return new Foreseen(before, filled(before, dealt), Optional.empty(), dealt, Optional.empty());
    }

    @Override
    public String title(Sheet before) {
        int panels = meant(before).size();
        int count = inOrder || use == Dealing.Use.ONCE ? Math.min(panels, stack(before).size()) : panels;
        return count == 1 ? "Deal one picture" : "Deal pictures to " + count + " panels";
    }
}
