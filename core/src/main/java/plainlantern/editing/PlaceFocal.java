package plainlantern.editing;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.fitting.FocalPlace;
import plainlantern.fitting.Refit;
import plainlantern.fitting.Sitting;
import plainlantern.fitting.Vistas;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Typed;
import plainlantern.sheet.Content.OwnPicture;
import plainlantern.sheet.Content.VistaSlice;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Focal;
import plainlantern.sheet.Panel;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Placement;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Vista;

/**
 * Brings the focal points of pictures to a place in their panels, as near as staying covered allows.
 *
 * @param whole   whether slices move their whole vista, in the sheet's frame, instead of being nudged against it
 * @param enlarge whether pictures are enlarged as far as it takes to get there
 */
@JsonTypeName("place-focal")
public record PlaceFocal(List<String> panels, FocalPlace to, @Typed.Switch boolean whole, @Typed.Layer int layer,
        @Typed.Switch boolean enlarge) implements Edit {
    /** Nearer to its place than this, mm, it is there. */
    private static final double THERE = 0.01;

    @Override
    public Sheet apply(Sheet before) {
        boolean[] any = {false};
        Sheet after = Pictures.changing(before, panels, whole, layer, (own, sitting) -> before.picture(own.picture()).focal().map(focal -> {
            any[0] = true;
            Placement brought = to.brought(sitting, own.placement(), focal);
            Placement large = enlarge && own.held() ? to.enlarged(sitting, own.placement(), focal).orElse(brought) : brought;
            return own.settled(Fit.FREE, Refit.hold(own, sitting, large));
        }).orElse(own));
        BadInput.unless(any[0], "focal", "None of these pictures has a focal point yet. Point at the spot and press f.");
        return after;
    }

    @Override
    public Optional<Remark> remark(Sheet before, Sheet after) {
        double off = 0;
        boolean offered = false;
        for (Panel panel : after.panels(panels)) {
            Optional<Lit> lit = lit(after, panel);
            if (lit.isEmpty()) continue;
            Lit seen = lit.get();
            double now = to.nearest(seen.sitting(), seen.placement(), seen.focal())
                    .distance(FocalPlace.now(seen.sitting(), seen.placement(), seen.focal()));
            off = Math.max(off, now);
            offered |= now > THERE && to.enlarged(seen.sitting(), seen.placement(), seen.focal()).isPresent();
        }
        if (off <= THERE) return Optional.empty();
        String says = "The focal point stops " + after.length(off) + " short of " + to.place() + ": farther, an edge would show.";
        return Optional.of(new Remark(says, offered && !enlarge
                ? Optional.of(new Remark.Offer("Enlarge until it gets there", new PlaceFocal(panels, to, whole, layer, true)))
                : Optional.empty()));
    }

    private record Lit(Sitting sitting, Placement placement, Focal focal) {}

    /** What this edit means of a panel, where its picture has a focal point. */
    private Optional<Lit> lit(Sheet sheet, Panel panel) {
        Optional<OwnPicture> shown = Vistas.shown(sheet, panel, layer);
        Optional<Picture> picture = shown.map(own -> sheet.picture(own.picture())).filter(p -> p.focal().isPresent());
        if (picture.isEmpty()) return Optional.empty();
        Focal focal = picture.get().focal().orElseThrow();
        if (!whole || !(panel.content().get(panel.acting(layer)) instanceof VistaSlice slice))
            return Optional.of(new Lit(Sitting.of(panel, picture.get()), shown.get().placement(), focal));
        Vista vista = sheet.vista(slice.vista());
        return Optional.of(new Lit(Vistas.sitting(sheet, vista), Vistas.placement(vista, picture.get()), focal));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Focal point to " + to.place(), before, panels);
    }
}
