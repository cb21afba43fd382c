package plainlantern.fitting;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.sheet.Bend;
import plainlantern.sheet.Glaze;
import plainlantern.sheet.Holder;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Through;

/**
 * A bend where it lies.
 *
 * @param toSheet from the frame that it is told in: of a picture its panel's, of a glaze the sheet's
 * @param box     of the form, there
 */
public record Bends(Bend bend, Affine toSheet, Box box) {
    /** That of a glaze, or of the picture of a panel that edits mean, see {@link Holder#acting}; not one that is switched off. */
    public static Optional<Bends> of(Holder holder, int layer) {
        return holder.glaze().map(Glaze::through).or(() -> holder.picture(layer).flatMap(PictureLayer::through)).map(Through::seen)
                .flatMap(Through::bend)
                .map(bend -> in(holder, bend));
    }

    public static Bends in(Holder holder, Bend bend) {
        return holder.glaze().isPresent() ? new Bends(bend, Affine.IDENTITY, holder.pathOnSheet().bounds())
                : new Bends(bend, holder.seat().toSheet(), holder.ownPath().bounds());
    }

    /** Where it is grabbed, on the sheet. */
    public List<Point> handles() {
        return bend.handles(box).stream().map(toSheet::apply).toList();
    }

    /** What is drawn along with its handles, on the sheet. */
    public Path lines() {
        return bend.lines(box).mapped(toSheet);
    }

    /** The bend with some of its handles moved, or as far as they go; mm on the sheet. */
    public Bend moved(Collection<Integer> handles, Point by) {
        Affine back = toSheet.inverse();
        return bend.moved(handles, back.apply(by).minus(back.apply(Point.ORIGIN)), box);
    }
}
