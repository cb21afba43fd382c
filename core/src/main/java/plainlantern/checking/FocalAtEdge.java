package plainlantern.checking;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import plainlantern.editing.filling.PlaceFocal;
import plainlantern.fitting.FocalPlace;
import plainlantern.geometry.Point;
import plainlantern.geometry.Polygons;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
import plainlantern.sheet.PictureLayer;
import plainlantern.sheet.Source;

/** Focal points outside their panel, or close to its edge; that of a vista has to be seen in one of its panels. */
final class FocalAtEdge implements Check {
    @Override
    public String title() {
        return "Focal points at the edge";
    }

    @Override
    public List<Fault> find(Checked checked) {
        List<Fault> faults = new ArrayList<>();
        Map<String, Optional<Seen>> vistas = new LinkedHashMap<>();
        for (Checked.Seen shown : checked.pictures()) {
            Holder panel = shown.panel();
            Optional<Seen> seen = shown.focal().map(at -> seen(checked, shown, at));
            if (seen.isEmpty()) continue;
            Optional<Source.Slice> slice = panel.picture(shown.layer()).flatMap(PictureLayer::slice);
            if (slice.isPresent()) {
                Optional<Seen> best = vistas.getOrDefault(slice.get().vista(), Optional.empty());
                vistas.put(slice.get().vista(), best.isPresent() && best.get().depth() >= seen.get().depth() ? best : seen);
            } else if (!seen.get().enough()) {
                faults.add(fault(checked, seen.get(), panel.name(), false));
            }
        }
        // The panel that shows it best speaks for its vista, which is moved as a whole.
        for (Optional<Seen> best : vistas.values())
            best.filter(seen -> !seen.enough()).ifPresent(seen -> faults.add(fault(checked, seen, seen.shown().panel().name(), true)));
        return faults;
    }

    /**
     * Where a focal point is seen, or missed.
     *
     * @param depth how far from the edge, mm; less than zero outside
     */
    private record Seen(Checked.Seen shown, double depth, boolean enough) {}

    private static Seen seen(Checked checked, Checked.Seen shown, Point at) {
        Holder panel = shown.panel();
        double off = Polygons.fromEdge(panel.ownPath(), at);
        double depth = Polygons.contains(panel.ownPath(), at) ? off : -off;
        return new Seen(shown, depth, depth >= 0 && depth >= checked.limits()
                .focal() * Math.min(panel.seat().width(), panel.seat().height()));
    }

    private static Fault fault(Checked checked, Seen seen, String name, boolean vista) {
        Holder panel = seen.shown().panel();
        boolean inside = seen.depth() >= 0;
        String says = name + ": the focal point " + (vista ? "of its vista " : "") + "is "
                + (inside ? "only " + checked.length(seen.depth()) + " from the edge." : checked.length(-seen.depth()) + " outside.");
        List<String> about = vista ? checked.sheet().members(panel.slice().orElseThrow().vista()).stream().map(Element::id).toList()
                : List.of(panel.id());
        return new Fault(inside ? Weight.WARNING : Weight.FAULT, about, says, checked.box(panel),
                Optional.of(new PlaceFocal(List.of(panel.id()), FocalPlace.CENTRE, vista, seen.shown().layer(), false)));
    }
}
