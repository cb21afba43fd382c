package plainlantern.editing.sheet;

import java.util.List;
import plainlantern.fitting.Refit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Layout;
import plainlantern.sheet.NamedFinish;
import plainlantern.sheet.NamedTone;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.SheetFormat;
import plainlantern.sheet.Source;
import plainlantern.sheet.Styles;
import plainlantern.sheet.Vista;

/**
 * Everything on a sheet that grows and shrinks with it. Places and sizes take both factors; what has but one length, such as letters, rims,
 * radii, shadows and gaps, takes the smaller of them.
 */
final class Growing {
    private Growing() {}

    static Sheet grown(Sheet before, SheetFormat format) {
        double fx = format.width() / before.width();
        double fy = format.height() / before.height();
        double length = Math.min(fx, fy);
        Sheet sheet = before.with(format);
        List<Element> elements = before.elements().stream().map(e -> grown(sheet, e, fx, fy)).toList();
        Styles styles = before.styles().withFinishes(before.styles().finishes().stream()
                .map(f -> new NamedFinish(f.id(), f.name(), f.finish().scaled(length))).toList())
                .withTones(before.styles().tones().stream().map(t -> new NamedTone(t.id(), t.name(), t.tone().scaled(length))).toList());
        return sheet.with(elements, before.lastId(), before.vistas().stream().map(v -> grown(v, fx, fy)
                .treated(v.treatment().toning(tone -> tone.scaled(length))))
                .toList())
                .withStyles(styles).withPaper(before.paper().scaled(length)).withGuides(before.guides().scaled(fx, fy, length))
                .withLayouts(before.layouts().stream().map(l -> grown(l, fx, fy)).toList());
    }

    private static Vista grown(Vista vista, double fx, double fy) {
        if (vista.plane().isEmpty()) return vista.framed(vista.frame().scaled(fx, fy), vista.held());
        double own = Math.sqrt(fx * fy);
        return vista.mounted(vista.plane().map(plane -> plane.mapped(Affine.scale(fx, fy))), vista.frame().scaled(own, own));
    }

    private static Element grown(Sheet sheet, Element element, double fx, double fy) {
        Seat seat = element.stretched(Point.ORIGIN, fx, fy);
        return element.scaled(Math.min(fx, fy)).seated(seat, (scaled, is) -> {
            Holder was = element.holder().orElseThrow();
            return Refit.resized(sheet, was, is).changingSlices(slice -> grown(slice, fx, fy));
        });
    }

    private static PictureLayer grown(PictureLayer slice, double fx, double fy) {
        return slice.homed(slice.slice().flatMap(Source.Slice::home).map(home -> home.stretched(Point.ORIGIN, fx, fy)))
                .nudged(slice.nudge().scaled(fx, fy));
    }

    private static Layout grown(Layout layout, double fx, double fy) {
        return new Layout(layout.pattern().scaled(Math.min(fx, fy)), layout.area().map(a -> new Box(a.x() * fx, a.y() * fy, a.width() * fx,
                a.height() * fy)), layout.turn(), layout.within().map(form -> form.scaled(Math.min(fx, fy))), layout.panels());
    }
}
