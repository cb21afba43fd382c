package plainlantern.editing.forms;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.asking.Choice;
import plainlantern.editing.Remark;
import plainlantern.editing.Titles;
import plainlantern.geometry.Regions.Joined;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;

/**
 * Makes one panel of several, in place: it takes name, finish and content of the one clicked last, and its depth.
 *
 * @param key the panel clicked last; another of them where it is not among them
 */
@JsonTypeName("combine")
public record Combine(List<String> panels, How how, String key) implements FormEdit {
    /** What becomes of the forms. */
    public enum How implements Choice {
        /** What any of them covers. */
        TOGETHER("Join"),
        /** What the backmost covers and no other does. */
        LESS_FRONT("Cut out the front"),
        /** What all of them cover. */
        COMMON("Keep the common part"),
        /** What one or more cover, but not all. */
        LESS_COMMON("Remove the common part");

        private final String title;

        How(String title) {
            this.title = title;
        }
    }

    public Combine {
        BadInput.unless(panels != null && how != null, "how", "Say how the panels are to be combined.");
        key = key == null ? "" : key;
    }

    @Override
    public Sheet apply(Sheet before) {
        Overlapping forms = Overlapping.of(before, panels, 2);
        Joined joined = joined(forms);
        BadInput.unless(!joined.path().empty(), "how", how == How.COMMON ? "These panels have no part in common."
                : "Nothing would be left of these panels.");
        List<String> ids = forms.panels().stream().map(Element::id).toList();
        String kept = ids.contains(key) ? key : ids.get(ids.size() - 1);
        Holder one = forms.panels().stream().filter(p -> p.id().equals(kept)).findFirst().orElseThrow();
        return before.with(before.elements().stream().filter(e -> e.id().equals(kept) || !ids.contains(e.id()))
                .map(e -> e.id().equals(kept) ? Overlapping.formed(before, one, joined.path()) : e).toList());
    }

    private Joined joined(Overlapping forms) {
        int all = forms.panels().size();
        return switch (how) {
            case TOGETHER -> forms.regions().where(owners -> true);
            case LESS_FRONT -> forms.regions().where(owners -> owners.get(0) && owners.cardinality() == 1);
            case COMMON -> forms.regions().where(owners -> owners.cardinality() == all);
            case LESS_COMMON -> forms.regions().where(owners -> owners.cardinality() < all);
        };
    }

    @Override
    public Optional<Remark> remark(Sheet before, Sheet after) {
        return Overlapping.said(joined(Overlapping.of(before, panels, 2)).dropped());
    }

    @Override
    public List<String> selected(Sheet before, Sheet after, List<String> selected) {
        return panels.stream().filter(id -> after.find(id).isPresent()).toList();
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(how.title, before, panels);
    }
}
