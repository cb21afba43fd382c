package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import plainlantern.fitting.Refit;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Choice;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.geometry.Typed;
import plainlantern.geometry.Unit;
import plainlantern.sheet.Content.VistaSlice;
import plainlantern.sheet.Guides;
import plainlantern.sheet.Layout;
import plainlantern.sheet.Margins;
import plainlantern.sheet.Nudge;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Vista;

/**
 * Changes what the sheet is; what is absent stays. On a sheet measured in pixels another ppi keeps the number of pixels of everything.
 *
 * @param panels what becomes of the panels when the size changes
 */
@JsonTypeName("set-up-sheet")
public record SetUpSheet(Optional<String> unit, @Typed.OptionalLength OptionalDouble width, @Typed.OptionalLength OptionalDouble height,
                         @Typed.OptionalNumber OptionalDouble ppi, @Typed.OptionalLength OptionalDouble bleed,
                         @Typed.OptionalLength OptionalDouble top, @Typed.OptionalLength OptionalDouble right,
                         @Typed.OptionalLength OptionalDouble bottom, @Typed.OptionalLength OptionalDouble left, Optional<Then> panels) implements Edit {
    /** What becomes of panels, margins and guides when the sheet gets another size. */
    public enum Then implements Choice {
        /** They stay where they are, measured from the upper left. */
        LEAVE,
        /** They grow and shrink with the sheet. */
        SCALE,
        /** Patterns are laid again on the new sheet; other panels stay. */
        AGAIN
    }

    @Override
    public Sheet apply(Sheet before) {
        Unit newUnit = unit.map(Unit::of).orElse(before.unit());
        double newPpi = ppi.orElse(before.ppi());
        double newWidth = width.orElse(before.width());
        double newHeight = height.orElse(before.height());
        boolean pixels = newUnit == Unit.PX && before.unit() == Unit.PX && newPpi != before.ppi() && newPpi >= 1;
        if (pixels) {
            newWidth *= before.ppi() / newPpi;
            newHeight *= before.ppi() / newPpi;
        }
        Sheet formed = before.formed(newUnit, newWidth, newHeight, newPpi, bleed.orElse(before.bleed()));
        Margins m = before.margins();
        formed = formed.withMargins(new Margins(top.orElse(m.top()), right.orElse(m.right()), bottom.orElse(m.bottom()), left.orElse(m.left())));
        if (formed.area().isEmpty()) throw new BadInput(left.isPresent() || right.isPresent() ? "left" : "top", "These margins leave nothing of the sheet.");
        Then then = pixels ? Then.SCALE : panels.orElse(Then.LEAVE);
        if (then == Then.SCALE) return scaled(formed, formed.width() / before.width(), formed.height() / before.height());
        if (then == Then.AGAIN) return again(formed);
        return formed;
    }

    private static Sheet scaled(Sheet sheet, double fx, double fy) {
        Margins m = sheet.margins();
        Guides g = sheet.guides();
        List<Layout> layouts = sheet.layouts().stream().map(l -> new Layout(l.pattern(), l.area().map(a ->
                new Box(a.x() * fx, a.y() * fy, a.width() * fx, a.height() * fy)), l.turn(), l.within(), l.panels())).toList();
        Sheet framed = sheet.withMargins(new Margins(m.top() * fy, m.right() * fx, m.bottom() * fy, m.left() * fx))
                .withGuides(g.withOwn(g.own().stream().map(o -> new Guides.Own(o.upright(), o.at() * (o.upright() ? fx : fy))).toList())).withLayouts(layouts);
        List<String> all = sheet.panels().stream().map(Panel::id).toList();
        if (all.isEmpty()) return framed;
        List<Vista> vistas = sheet.vistas().stream().map(v -> new Vista(v.id(), v.picture(), new Point(v.centre().x() * fx, v.centre().y() * fy),
                v.width() * fx, v.height() * fy, v.turn(), v.mirrored(), v.held())).toList();
        return framed.with(Vistas.replaced(sheet.elements(), all, p -> Refit.resized(sheet, p, p.withSeat(scaled(p.seat(), fx, fy)))
                .changingSlices(slice -> scaled((VistaSlice) slice, fx, fy))), sheet.lastId(), vistas);
    }

    private static VistaSlice scaled(VistaSlice slice, double fx, double fy) {
        Nudge n = slice.nudge();
        return slice.homed(slice.home().map(home -> scaled(home, fx, fy)))
                .nudged(new Nudge(n.dx() * fx, n.dy() * fy, n.zoom(), n.turn(), n.loosened()));
    }

    private static Seat scaled(Seat seat, double fx, double fy) {
        return ResizePanels.together(seat, Point.ORIGIN, fx, fy);
    }

    private static Sheet again(Sheet sheet) {
        Sheet now = sheet;
        for (Layout layout : sheet.layouts()) {
            List<String> there = new ArrayList<>(layout.panels());
            there.retainAll(sheet.panels().stream().map(Panel::id).toList());
            if (!there.isEmpty()) now = new LayOut(layout.pattern(), LayOut.Where.AGAIN, there.subList(0, 1), Optional.empty(), Optional.empty(), false).apply(now);
        }
        return now;
    }

    @Override
    public String title(Sheet before) {
        return "Set up sheet";
    }
}
