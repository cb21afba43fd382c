package plainlantern.editing.glazing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Remark;
import plainlantern.editing.Titles;
import plainlantern.fitting.Bends;
import plainlantern.geometry.Point;
import plainlantern.sheet.Bend;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Through;

/**
 * Moves the handles of bends: of a mesh its own, of a twirl and a bulge the middle and the edge.
 *
 * @param layer   which picture of each panel, see {@link Holder#acting}
 * @param handles which, see {@link Bend#handles}
 * @param dx      so far to the right, mm on the sheet
 * @param dy      so far down
 * @param across of one handle, instead, mm from the sheet's left; absent leaves it
 * @param down    mm from its top
 * @param home    instead, back to where they were at first; all, where none are named
 */
@JsonTypeName("move-bend")
public record MoveBend(List<String> panels, @Typed.Layer int layer, List<Integer> handles, @Typed.OrZero double dx, @Typed.OrZero double dy,
        @Typed.OptionalLength OptionalDouble across, @Typed.OptionalLength OptionalDouble down, @Typed.Switch boolean home)
                implements GlazingEdit {
    /** What is nearer than this is where it was asked for, mm. */
    private static final double SAME = 0.01;

    public MoveBend {
        panels = panels == null ? List.of() : List.copyOf(panels);
        handles = handles == null ? List.of() : handles.stream().distinct().toList();
        across = across == null ? OptionalDouble.empty() : across;
        down = down == null ? OptionalDouble.empty() : down;
        BadInput.unless(home || !handles.isEmpty(), "handles", "Choose a handle first.");
    }

    @Override
    public Sheet apply(Sheet before) {
        return GlazingEdit.seeing(before, panels, layer, (holder, through) -> through.bent(through.bend().map(bend -> moved(holder,
                bend))));
    }

    private Bend moved(Holder holder, Bend bend) {
        if (home) return bend.home(handles);
        Bends lies = Bends.in(holder, bend);
        return lies.moved(handles, by(lies));
    }

    /** So far the handles are to go. */
    private Point by(Bends bends) {
        if (across.isEmpty() && down.isEmpty()) return new Point(dx, dy);
        Point at = at(bends);
        return new Point(across.orElse(at.x()), down.orElse(at.y())).minus(at);
    }

    /** Where the first of the handles is. */
    private Point at(Bends bends) {
        List<Point> all = bends.handles();
        BadInput.unless(handles.get(0) >= 0 && handles.get(0) < all.size(), "handles", "That handle is no longer there.");
        return all.get(handles.get(0));
    }

    @Override
    public Optional<Remark> remark(Sheet before, Sheet after) {
        boolean stopped = before.holders(panels).stream().anyMatch(holder -> stopped(holder, after.holder(holder.id())));
        return stopped ? Optional.of(Remark.of("It stops there: farther, the picture would fold over itself.")) : Optional.empty();
    }

    private boolean stopped(Holder was, Holder now) {
        Optional<Bends> before = Bends.of(was, layer).filter(bends -> bends.bend() instanceof Bend.Mesh);
        if (before.isEmpty() || home) return false;
        Point wanted = at(before.get()).plus(by(before.get()));
        return wanted.distance(at(Bends.of(now, layer).orElseThrow())) > SAME;
    }

    @Override
    public String title(Sheet before) {
        return Titles.of(home && handles.isEmpty() ? "Straighten" : "Bend", before, panels);
    }
}
