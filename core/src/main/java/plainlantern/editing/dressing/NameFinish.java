package plainlantern.editing.dressing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import plainlantern.sheet.Finish;
import plainlantern.sheet.NamedFinish;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Styles;

/**
 * Keeps the finish of the first of the panels under a name, which all of them follow from now on; or gives another name to one that is
 * kept.
 */
@JsonTypeName("name-finish")
public record NameFinish(List<String> panels, Optional<String> finish, String name) implements DressingEdit {
    public NameFinish {
        panels = panels == null ? List.of() : List.copyOf(panels);
    }

    @Override
    public Sheet apply(Sheet before) {
        Styles styles = before.styles();
        if (finish.isPresent()) {
            Finish same = styles.finish(finish.get()).finish();
            return before.withStyles(styles.withFinishes(styles.finishes().stream().map(f -> f.id().equals(finish.get())
                    ? new NamedFinish(f.id(), name, same) : f).toList()));
        }
        NamedFinish kept = new NamedFinish("f" + (styles.lastId() + 1), name, before.elements(panels).get(0).finish());
        List<NamedFinish> finishes = new ArrayList<>(styles.finishes());
        finishes.add(kept);
        return before.withStyles(styles.withFinishes(finishes, styles.lastId() + 1)).changing(panels, p -> p.finished(kept.finish()));
    }

    @Override
    public String title(Sheet before) {
        return "Name finish: " + name.strip();
    }
}
