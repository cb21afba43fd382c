package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import plainlantern.fitting.Refit;
import plainlantern.fitting.Sitting;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Content.OwnPicture;
import plainlantern.sheet.Content.VistaSlice;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Placement;
import plainlantern.sheet.Sheet;

/**
 * Puts another picture wherever one is shown. It covers the frame that the old one lay in, so that the same part is seen of a picture of the same
 * proportions, whatever its size in pixels; of other proportions the middle. A picture placed by a rule is placed by that rule again.
 *
 * @param panels  where; none means everywhere, vistas included
 * @param picture the picture that goes; absent means whatever the panels show foremost, of a slice its whole vista, and empty panels are
 *                filled
 * @param by      the picture that comes
 */
@JsonTypeName("replace-picture")
public record ReplacePicture(List<String> panels, Optional<String> picture, String by) implements Edit {
    public ReplacePicture {
        panels = panels == null ? List.of() : List.copyOf(panels);
    }

    @Override
    public Sheet apply(Sheet before) {
        Picture comes = before.picture(by);
        if (picture.isEmpty()) {
            List<String> into = before.takers(panels);
            Set<String> vistas = before.panels(into).stream().filter(p -> p.acting(Typed.FRONTMOST) >= 0
                    && p.content().get(p.acting(Typed.FRONTMOST)) instanceof VistaSlice)
                    .map(p -> p.slice().orElseThrow().vista()).collect(Collectors.toSet());
            Sheet after = before.changing(into, p -> replaced(before, p, comes));
            return after.with(after.elements(), after.lastId(), after.vistas().stream()
                    .map(v -> vistas.contains(v.id()) ? v.showing(by) : v).toList());
        }
        String goes = picture.get();
        List<String> meant = before.users(goes).stream().map(Panel::id).filter(id -> panels.isEmpty() || panels.contains(id)).toList();
        boolean paper = panels.isEmpty() && before.paper() instanceof Paper.Pictured pictured && pictured.picture().equals(goes);
        BadInput.unless(paper || !meant.isEmpty(), "panels", before.picture(goes).name() + " is not shown there.");
        Sheet behind = paper ? before.withPaper(new Paper.Pictured(by, ((Paper.Pictured) before.paper()).blur())) : before;
        Sheet after = meant.isEmpty() ? behind : behind.changing(meant, p -> p.changingPictures(own -> own.picture().equals(goes) ? replaced(before, p, own, comes) : own));
        if (!panels.isEmpty()) return after;
        return after.with(after.elements(), after.lastId(), after.vistas().stream().map(v -> v.picture().equals(goes) ? v.showing(by) : v).toList());
    }

    private static Panel replaced(Sheet sheet, Panel panel, Picture comes) {
        int at = panel.acting(Typed.FRONTMOST);
        if (at < 0) return FillPanels.filled(sheet, panel, comes);
        return panel.changingLayer(at, layer -> layer instanceof OwnPicture own ? replaced(sheet, panel, own, comes) : layer);
    }

    private static OwnPicture replaced(Sheet sheet, Panel panel, OwnPicture own, Picture comes) {
        Sitting sitting = Sitting.of(panel, comes);
        Picture was = sheet.picture(own.picture());
        Placement old = own.placement();
        double x = was.width() * old.scaleX() / comes.width();
        double y = was.height() * old.scaleY() / comes.height();
        Placement framed = own.fit() == Fit.FREE ? new Placement(old.centre(), Math.max(x, y), Math.max(x, y), old.turn(), old.mirrored())
                : sitting.fitted(own.fit(), old.turn(), old.mirrored(), sheet.ppi());
        return new OwnPicture(comes.id(), own.fit(), Refit.hold(own, sitting, framed), own.held(), own.look());
    }

    @Override
    public String title(Sheet before) {
        return (picture.isPresent() ? "Replace " + before.picture(picture.get()).name() + " by " : "In the same place: ") + before.picture(by).name();
    }
}
