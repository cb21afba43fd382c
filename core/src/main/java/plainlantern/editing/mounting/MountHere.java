package plainlantern.editing.mounting;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.editing.Added;
import plainlantern.editing.Remark;
import plainlantern.editing.filling.FillPanels;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.geometry.Point;
import plainlantern.pattern.Piece;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Plane;
import plainlantern.sheet.Seat;
import plainlantern.sheet.Sheet;

/**
 * Mounts a picture of the shelf between four places, such as the corners of a frame in a photograph: a new panel of that form, in front of
 * all others.
 *
 * @param corners mm on the sheet, in any order
 */
@JsonTypeName("mount-here")
public record MountHere(String picture, List<Point> corners) implements MountingEdit {
    private static final String UNSURE = "These corners don\u2019t tell the frame\u2019s proportions for certain. A lens of 28 mm is "
            + "assumed; set them under Mount if you know better.";

    public MountHere {
        BadInput.unless(corners != null && corners.size() == 4, "corners", "A picture is mounted by four corners.");
        corners = List.copyOf(corners);
        for (Point corner : corners) Seat.near("corners", corner.x(), corner.y());
    }

    @Override
    public Sheet apply(Sheet before) {
        Picture chosen = before.picture(picture);
        Path form = Path.polygon(Quads.ordered(corners));
        Plane seen = hung(form).told(Quads.ordered(corners), before);
        Box box = form.bounds();
        int number = before.lastId() + 1;
        Seat seat = Seat.upright(box.centre(), box.width(), box.height());
        Panel panel = Panel.empty("p" + number, "Panel " + number, Piece.outline(form), seat);
        Optional<Plane> plane = Optional.of(seen.mapped(seat.toSheet().inverse()));
        return before.adding(panel.withContent(List.of(FillPanels.covering(before, panel, chosen, plane))));
    }

    private static Planes.Hung hung(Path form) {
        return new Planes.Hung(Optional.empty(), form, Affine.IDENTITY, List.of());
    }

    @Override
    public Optional<Remark> remark(Sheet before, Sheet after) {
        List<Point> frame = Quads.ordered(corners);
        return hung(Path.polygon(frame)).proportions(frame, before).determined() ? Optional.empty()
                : Optional.of(Remark.of(UNSURE));
    }

    @Override
    public List<String> selected(Sheet before, Sheet after, List<String> selected) {
        return Added.to(before, after);
    }

    @Override
    public String title(Sheet before) {
        return "Mount here: " + before.picture(picture).name();
    }
}
