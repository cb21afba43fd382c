package plainlantern.editing.filling;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.util.List;
import java.util.Optional;
import plainlantern.asking.BadInput;
import plainlantern.asking.Typed;
import plainlantern.editing.Remark;
import plainlantern.editing.Titles;
import plainlantern.fitting.FocalPlace;
import plainlantern.fitting.Refit;
import plainlantern.fitting.Shown;
import plainlantern.fitting.Sitting;
import plainlantern.fitting.Vistas;
import plainlantern.sheet.Fit;
import plainlantern.sheet.Focal;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Pose;
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
        @Typed.Switch boolean enlarge) implements FillingEdit {
    /** Nearer to its place than this, mm, it is there. */
    private static final double THERE = 0.01;

    @Override
    public Sheet apply(Sheet before) {
        boolean[] any = {false};
        Sheet after = Pictures.changing(before, panels, whole, layer, (shown, sitting) -> shown.picture().focal().map(focal -> {
            any[0] = true;
            Pose brought = to.brought(sitting, shown.pose(), focal);
            Pose large = enlarge && shown.held() ? to.enlarged(sitting, shown.pose(), focal).orElse(brought) : brought;
            return shown.flat().settled(Fit.FREE, Refit.hold(shown.flat(), sitting, large));
        }).orElse(shown.flat()));
        BadInput.unless(any[0], "focal", "None of these pictures has a focal point yet. Point at the spot and press f.");
        return after;
    }

    @Override
    public Optional<Remark> remark(Sheet before, Sheet after) {
        double off = 0;
        boolean offered = false;
        for (Holder panel : after.holders(panels)) {
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

    private record Lit(Sitting sitting, Pose placement, Focal focal) {}

    /** What this edit means of a panel, where its picture has a focal point. */
    private Optional<Lit> lit(Sheet sheet, Holder panel) {
        Optional<Vista> vista = whole ? Pictures.vista(sheet, panel, layer) : Optional.empty();
        Optional<Shown> shown = vista.isPresent() ? Optional.of(Vistas.shown(sheet, vista.get())) : Vistas.shown(sheet, panel, layer);
        Optional<Focal> focal = shown.flatMap(s -> s.picture().focal());
        if (focal.isEmpty()) return Optional.empty();
        Sitting sitting = vista.map(v -> Vistas.sitting(sheet, v)).orElseGet(() -> Sitting.of(panel, shown.get()));
        return Optional.of(new Lit(sitting, shown.get().pose(), focal.get()));
    }

    @Override
    public String title(Sheet before) {
        return Titles.of("Focal point to " + to.place(), before, panels);
    }
}
