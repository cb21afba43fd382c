package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.fitting.Refit;
import plainlantern.fitting.Sitting;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Flat;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Picture;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Pose;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Vista;

/**
 * Puts another picture wherever one is shown. It covers the frame that the old one lay in, so that the same part is seen of a
 * picture of the same proportions, whatever its size in pixels; of other proportions the middle. A picture placed by a rule is
 * placed by that rule again.
 *
 * @param panels  where; none means everywhere, vistas included
 * @param picture the picture that goes; absent means whatever the panels show foremost, of a slice its whole vista, and empty panels are
 *                filled
 * @param by      the picture that comes
 */
@JsonTypeName("replace-picture")
public record ReplacePicture(List<String> panels, Optional<String> picture, String by) implements FillingEdit {
    public ReplacePicture {
        panels = panels == null ? List.of() : List.copyOf(panels);
    }

    @Override
    public Sheet apply(Sheet before) {
        return picture.isPresent() ? everywhere(before, before.picture(by), picture.get()) : foremost(before, before.picture(by));
    }

    private Sheet foremost(Sheet before, Picture comes) {
        List<String> into = before.takers(panels);
        Set<String> vistas = before.holders(into).stream().flatMap(p -> Pictures.vista(before, p, Typed.FRONTMOST).stream()).map(Vista::id)
                .collect(Collectors.toSet());
        return before.holding(into, p -> foremost(before, p, comes)).changingVistas(v -> vistas.contains(v.id()) ? v.showing(comes) : v);
    }

    private Sheet everywhere(Sheet before, Picture comes, String goes) {
        List<String> meant = before.users(goes).stream().map(Holder::id).filter(id -> panels.isEmpty() || panels.contains(id)).toList();
        Optional<Paper.Pictured> paper = before.paper().pictured().filter(p -> panels.isEmpty() && p.picture().equals(goes));
        BadInput.unless(paper.isPresent() || !meant.isEmpty(), "panels", before.picture(goes).name() + " is not shown there.");
        Sheet behind = paper.map(p -> before.withPaper(p.showing(comes))).orElse(before);
        Sheet after = meant.isEmpty() ? behind
                : behind.holding(meant, p -> p.changingOwn(own -> own.shows(goes) ? replaced(before, p, own, comes) : own));
        return panels.isEmpty() ? after.changingVistas(v -> v.picture().equals(goes) ? v.showing(comes) : v) : after;
    }

    private static Holder foremost(Sheet sheet, Holder panel, Picture comes) {
        int at = panel.acting(Typed.FRONTMOST);
        if (at < 0) return FillPanels.filled(sheet, panel, comes);
        PictureLayer there = panel.picture(at).orElseThrow();
        return there.own().isEmpty() ? panel : panel.changingLayer(at, layer -> replaced(sheet, panel, there, comes));
    }

    /** Another picture in the frame that the old one lay in. */
    public static PictureLayer replaced(Sheet sheet, Holder panel, PictureLayer own, Picture comes) {
        Sitting sitting = Sitting.of(panel, comes, own.plane());
        Picture was = sheet.picture(sheet.pictureOf(own));
        Flat flat = own.flat();
        Pose old = flat.pose();
        double scale = Math.max(was.width() * old.scaleX() / comes.width(), was.height() * old.scaleY() / comes.height());
        Pose framed = flat.fit() == Fit.FREE ? new Pose(old.centre(), scale, scale, old.turn(), old.mirrored())
                : sitting.fitted(flat.fit(), old.turn(), old.mirrored(), sheet.ppi());
        return PictureLayer.own(comes, flat.fit(), Refit.hold(flat, sitting, framed), flat.held()).mounted(own.plane())
                .treated(comes.treatment().inPlaceOf(own.treatment())).looking(own.look());
    }

    @Override
    public String title(Sheet before) {
        return (picture.isPresent() ? "Replace " + before.picture(picture.get()).name() + " by " : "In the same place: ")
                + before.picture(by).name();
    }
}
