package plainlantern.editing.sheet;

import com.fasterxml.jackson.annotation.JsonAnyGetter;
import com.fasterxml.jackson.annotation.JsonAnySetter;
import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import plainlantern.asking.BadInput;
import plainlantern.editing.Changes;
import plainlantern.sheet.Guides.Kind;
import plainlantern.sheet.Guides;
import plainlantern.sheet.Sheet;

/**
 * Changes what helps to place.
 *
 * @param show a kind of line to be shown or hidden, whichever it is not
 * @param snap a kind of line that is to catch or to let go, likewise
 * @param set  of {@link Guides}, see {@link Changes}
 */
@JsonTypeName("set-guides")
public record SetGuides(Optional<Kind> show, Optional<Kind> snap, @JsonAnySetter @JsonAnyGetter Map<String, Object> set)
        implements SheetEdit {
    public SetGuides {
        set = Changes.only(set, List.of("columns", "rows", "gutter", "own"));
    }

    @Override
    public Sheet apply(Sheet before) {
        Guides set = Changes.onto(before.guides(), this.set, before);
        Guides next = set.showing(switched(set.shown(), show), switched(set.snaps(), snap));
        before.area().ifPresent(area -> {
            boolean columns = next.columns() == 0 || !Guides.spans(0, area.width(), next.columns(), next.gutter()).isEmpty();
            boolean rows = next.rows() == 0 || !Guides.spans(0, area.height(), next.rows(), next.gutter()).isEmpty();
            BadInput.unless(columns, "gutter", "This gutter leaves no room for the columns.");
            BadInput.unless(rows, "gutter", "This gutter leaves no room for the rows.");
        });
        return before.withGuides(next);
    }

    private static Set<Kind> switched(Set<Kind> now, Optional<Kind> kind) {
        if (kind.isEmpty()) return now;
        Set<Kind> next = new HashSet<>(now);
        if (!next.remove(kind.get())) next.add(kind.get());
        return next;
    }

    @Override
    public String title(Sheet before) {
        return "Guides";
    }
}
