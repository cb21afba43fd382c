package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import plainlantern.asking.Typed;
import plainlantern.editing.Added;
import plainlantern.geometry.Box;
import plainlantern.geometry.Point;
import plainlantern.outline.Outline;
import plainlantern.outline.Rectangle;
import plainlantern.sheet.Float;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Makes a panel of a picture: the form appears around it, as large as the picture at half of the sheet, and trims it; or a float, whole,
 * without one.
 *
 * @param outline absent for a float
 * @param x the panel's middle on the sheet, mm; absent means the sheet's middle
 * @param y likewise
 * @param over whether it covers the whole sheet with its bleed instead, such as a texture
 * @param locked whether it is locked at once
 */
@JsonTypeName("frame-picture")
public record FramePicture(String picture, Optional<Outline> outline, OptionalDouble x, OptionalDouble y, @Typed.Switch boolean over,
        @Typed.Switch boolean locked) implements FillingEdit {
    @Override
    public Sheet apply(Sheet before) {
        Picture chosen = before.picture(picture);
        double scale = Math.min(before.width() / chosen.width(), before.height() / chosen.height()) / 2;
        double across = Math.max(Seat.THINNEST, chosen.width() * scale);
        double down = Math.max(Seat.THINNEST, chosen.height() * scale);
        // A regular form keeps its own proportions within the picture's.
        Outline form = outline.orElse(Rectangle.SHARP);
        double aspect = form.aspect();
        if (!form.stretches()) {
            across = Math.min(across, down * aspect);
            down = across / aspect;
        }
        Point middle = new Point(x.orElse(before.width() / 2), y.orElse(before.height() / 2));
        int number = before.lastId() + 1;
        if (over) {
            Box all = before.bounds().grown(before.bleed());
            Panel sheet = Panel.empty("p" + number, chosen.name(), Rectangle.SHARP, Seat.upright(all.centre(), all.width(), all.height()));
            return before.adding(FillPanels.filled(before, sheet, chosen).lockedTo(locked));
        }
        Holder framed = FillPanels.filled(before, Panel.empty("p" + number, chosen.name(), form, Seat.upright(middle, across, down)),
                chosen);
        return before.adding((outline.isPresent() ? framed : Float.of(framed)).lockedTo(locked));
    }

    @Override
    public List<String> selected(Sheet before, Sheet after, List<String> selected) {
        return Added.to(before, after);
    }

    @Override
    public String title(Sheet before) {
        return (over ? "Over the sheet: " : outline.isPresent() ? "Panel of " : "Float: ") + before.picture(picture).name();
    }
}
