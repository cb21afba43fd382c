package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Guides.Kind;
import plainlantern.sheet.Guides;
import plainlantern.sheet.Sheet;

/** Changes what helps to place; what is absent stays. {@code show} and {@code snap} name a kind to be switched over. */
@JsonTypeName("set-guides")
public record SetGuides(@Typed.OptionalNumber OptionalDouble columns, @Typed.OptionalNumber OptionalDouble rows, @Typed.OptionalLength OptionalDouble gutter,
                        Optional<List<Guides.Own>> own, Optional<Kind> show, Optional<Kind> snap) implements Edit {
    @Override
    public Sheet apply(Sheet before) {
        Guides g = before.guides();
        Guides next = new Guides(whole(columns, g.columns(), "columns"), whole(rows, g.rows(), "rows"), gutter.orElse(g.gutter()), own.orElse(g.own()),
                switched(g.shown(), show), switched(g.snaps(), snap));
        before.area().ifPresent(area -> {
            BadInput.unless(next.columns() == 0 || !Guides.spans(0, area.width(), next.columns(), next.gutter()).isEmpty(), "gutter", "This gutter leaves no room for the columns.");
            BadInput.unless(next.rows() == 0 || !Guides.spans(0, area.height(), next.rows(), next.gutter()).isEmpty(), "gutter", "This gutter leaves no room for the rows.");
        });
        return before.withGuides(next);
    }

    private static int whole(OptionalDouble typed, int now, String field) {
        if (typed.isEmpty()) return now;
        BadInput.unless(typed.getAsDouble() == Math.rint(typed.getAsDouble()), field, "This has to be a whole number.");
        return (int) typed.getAsDouble();
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
