package plainlantern.scene;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.Typed;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Algebra;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.geometry.Polygons;
import plainlantern.outline.Ellipse;
import plainlantern.scene.Scene.Around;
import plainlantern.scene.Scene.Form;
import plainlantern.scene.Scene.Item;
import plainlantern.scene.Scene.Layer;
import plainlantern.scene.Scene.Line;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.scene.Scene.Shade;
import plainlantern.scene.Scene.Soft;
import plainlantern.scene.Scene.Within;
import plainlantern.sheet.Element;
import plainlantern.sheet.Finish;
import plainlantern.sheet.Foot;
import plainlantern.sheet.GroundShadow;
import plainlantern.sheet.Rim;
import plainlantern.sheet.Shadow;

/** A panel's finish, resolved to what is painted around its layers. */
final class Dressing {
    private Dressing() {}

    static Item item(Element element, Path whole, List<Layer> layers) {
        Finish finish = element.finish();
        Path form = finish.rim().isPresent() ? Algebra.evenOdd(whole) : whole;
        boolean solid = finish.feather() == 0 && layers.stream().anyMatch(Layer::solid);
        List<Shade> shades = new ArrayList<>();
        int acting = element.holder().map(holder -> holder.acting(Typed.FRONTMOST)).orElse(-1);
        Optional<PaintedPicture> front = layers.stream().filter(layer -> layer.at() == acting)
                .flatMap(layer -> layer.picture().stream()).findFirst();
        finish.ground().flatMap(ground -> front.flatMap(picture -> ground(ground, picture))).ifPresent(shades::add);
        finish.shadow().ifPresent(shadow -> shades.add(shade(shadow, solid ? outer(form, finish.rim(), shadow.spread())
                : Optional.empty())));
        Optional<Shade> inner = finish.inner().map(shadow -> shade(shadow, solid
                ? Optional.of(grown(form, -shadow.spread(), Rim.Join.MITER)) : Optional.empty()));
        // The curve's middle lies half the way in: two deviations reach from there to the edge and to full strength.
        Optional<Soft> soft = finish.feather() == 0 ? Optional.empty()
                : Optional.of(new Soft(grown(form, -finish.feather() / 2, Rim.Join.ROUND), finish.feather() / 4));
        Path under = finish.feather() > 0 || element.rule().isPresent() ? form : under(form, finish.rim());
        Around around = new Around(soft, inner, finish.rim().flatMap(rim -> line(element, form, rim)), shades);
        return new Item(element.id(), element.name(), new Form(form, under), layers, around, finish.look());
    }

    private static Shade shade(Shadow shadow, Optional<Path> form) {
        return new Shade(form.map(path -> path.mapped(Affine.move(shadow.offset()))), form.isPresent() ? 0 : shadow.spread(),
                shadow.offset(), shadow.deviation(),
                shadow.colour(), shadow.opacity());
    }

    /** The form with its rim and so much more; absent where the rim leaves gaps beyond the form, so that what is painted has to tell. */
    private static Optional<Path> outer(Path form, Optional<Rim> rim, double spread) {
        double beyond = rim.map(r -> r.width() * r.side().beyond()).orElse(0.0);
        if (beyond > 0 && rim.orElseThrow().dash() != Rim.Dash.SOLID) return Optional.empty();
        return Optional.of(grown(form, beyond + spread, rim.map(Rim::join).orElse(Rim.Join.MITER)));
    }

    /** The form that ends in the middle of a solid rim on one side of the edge, its corners cut off as no join of a rim cuts more. */
    private static Path under(Path form, Optional<Rim> rim) {
        if (rim.isEmpty() || rim.get().dash() != Rim.Dash.SOLID || rim.get().side() == Rim.Side.CENTRED) return form;
        double half = rim.get().width() / 2;
        return Polygons.grownFlat(form, rim.get().side() == Rim.Side.INSIDE ? -half : half).orElse(Path.EMPTY);
    }

    /** An empty path where nothing is left. */
    private static Path grown(Path form, double by, Rim.Join join) {
        if (by == 0) return form;
        return (join == Rim.Join.MITER ? Polygons.grownSharp(form, by, Line.MITER_LIMIT) : Polygons.grown(form, by)).orElse(Path.EMPTY);
    }

    /** An ellipse under the foot of the frontmost picture, along the line on which that stands. */
    private static Optional<Shade> ground(GroundShadow ground, PaintedPicture picture) {
        Foot foot = picture.pixels().foot().orElse(new Foot(0, 1, 1));
        Point left = picture.pixelsToSheet().apply(new Point(foot.left() * picture.width(), foot.down() * picture.height()));
        Point right = picture.pixelsToSheet().apply(new Point(foot.right() * picture.width(), foot.down() * picture.height()));
        Point way = left.x() <= right.x() ? right.minus(left) : left.minus(right);
        double width = Math.hypot(way.x(), way.y()) * ground.width();
        double height = width * ground.flatness();
        if (!(width > 0)) return Optional.empty();
        Affine map = Affine.move(left.plus(right).times(0.5)).after(Affine.turn(Math.toDegrees(Math.atan2(way.y(), way.x()))))
                .after(Affine.move(0, ground.down() * height));
        return Optional.of(new Shade(Optional.of(new Ellipse().path(width, height).mapped(map)), 0, Point.ORIGIN,
                ground.softness() * height, ground.colour(), ground.opacity()));
    }

    /**
     * A centred rim is drawn along the form's edge; one inside or outside is drawn twice as wide and seen on that side only, so that its
     * edge is the form's own. Dots would be halved so: they run along a path of their own, half a width away.
     */
    private static Optional<Line> line(Element element, Path form, Rim rim) {
        List<Double> dashes = Arrays.stream(rim.dash().lengths(rim.width())).boxed().toList();
        boolean dots = rim.dash() == Rim.Dash.DOTTED;
        Rim.Ends ends = dots ? Rim.Ends.ROUND : rim.ends();
        if (rim.side() == Rim.Side.CENTRED || element.rule().isPresent())
            return Optional.of(new Line(form, rim.width(), rim.colour(), dashes, ends, rim.join(), Within.ALL));
        boolean inside = rim.side() == Rim.Side.INSIDE;
        if (dots) {
            return Polygons.grown(form, inside ? -rim.width() / 2 : rim.width() / 2)
                    .map(path -> new Line(path, rim.width(), rim.colour(), dashes, ends, rim.join(), Within.ALL));
        }
        return Optional.of(new Line(form, 2 * rim.width(), rim.colour(), dashes, ends, rim.join(), inside ? Within.FORM
                : Within.OUTSIDE));
    }
}
