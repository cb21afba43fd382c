package plainlantern.studio.board;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import plainlantern.editing.vistas.Loosen;
import plainlantern.fitting.PanelState;
import plainlantern.sheet.Element;
import plainlantern.sheet.Holder;
import plainlantern.sheet.Sheet;
import plainlantern.sheet.Source;

/**
 * What Fill and Settle show of vistas.
 *
 * @param loosen what loosening asks for
 * @param others the vistas that the selection could join
 * @param slices whether any of the selection shows a slice
 * @param bare   all bare panels of the sheet, in Settle
 * @param mount  how the lit picture is mounted, in Settle
 */
public record SettleView(List<Fields.Field> loosen, List<Joinable> others, boolean slices, List<Element> bare,
        Optional<MountView> mount) {
    /** A vista by its id and its picture's name. */
    public record Joinable(String id, String name) {}

    static SettleView of(Sheet sheet, Collection<String> selected, Looking looking) {
        Stage stage = looking.stage();
        List<Element> panels = sheet.chosen(selected);
        double size = panels.stream().mapToDouble(p -> Math.min(p.seat().width(), p.seat().height())).min().orElse(0);
        List<Joinable> others = panels.isEmpty() ? List.of() : sheet.vistas().stream()
                .filter(v -> panels.stream().anyMatch(p -> slice(p).map(s -> !s.vista().equals(v.id())).orElse(true)))
                .map(v -> new Joinable(v.id(), sheet.picture(v.picture()).name())).toList();
        return new SettleView(Fields.of(Loosen.class, Optional.empty(), new Numbers(sheet), size), others, panels.stream()
                .anyMatch(p -> slice(p).isPresent()),
                stage != Stage.SETTLE ? List.of() : sheet.elements().stream().filter(p -> PanelState.of(sheet, p) == PanelState.BARE)
                        .toList(), stage == Stage.SETTLE ? MountView.of(sheet, selected, looking) : Optional.empty());
    }

    /** "Left is bare.", "Left, Centre and 3 more are bare." */
    public String bareSays() {
        String names = String.join(", ", bare.stream().limit(3).map(Element::name).toList());
        return names + (bare.size() > 3 ? " and " + (bare.size() - 3) + " more" : "") + (bare.size() == 1 ? " is bare." : " are bare.");
    }

    private static Optional<Source.Slice> slice(Element element) {
        return element.holder().flatMap(Holder::slice);
    }
}
