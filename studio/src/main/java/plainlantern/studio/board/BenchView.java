package plainlantern.studio.board;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import plainlantern.geometry.Unit;
import plainlantern.sheet.Finish;
import plainlantern.sheet.Sheet;

/** What the bench's template shows for one stage and one selection. */
public record BenchView(UUID id, Sheet sheet, Stage stage, SelectionView selection, Numbers numbers, String gap, Optional<PaperView> paper,
                        List<ShelfCard> shelf, boolean sameShelf, String ppi, Optional<ArrangeView> arrange, Optional<SettleView> settle, Optional<DressView> dress, List<DressView.Kept> finishes) {
    static BenchView of(UUID id, Sheet sheet, Looking looking, Collection<String> selected) {
        return of(id, sheet, looking, selected, false);
    }

    /** @param sameShelf whether the page shows the same pictures on the shelf already, so that only their uses are told */
    static BenchView of(UUID id, Sheet sheet, Looking looking, Collection<String> selected, boolean sameShelf) {
        Stage stage = looking.stage();
        Numbers numbers = new Numbers(sheet);
        // Five millimetres, twenty pixels: a gap that is seen as one (common practice).
        String gap = numbers.length(sheet.unit() == Unit.PX ? 20 * Unit.PX.inMm(sheet.ppi()) : sheet.even(5));
        List<ShelfCard> shelf = stage != Stage.FILL ? List.of()
                : ShelfCard.all(sheet);
        return new BenchView(id, sheet, stage, SelectionView.of(sheet, selected, looking), numbers, gap, stage == Stage.DRESS ? Optional.of(PaperView.of(sheet)) : Optional.empty(), shelf, sameShelf, Long.toString(Math.round(sheet.ppi())),
                stage == Stage.ARRANGE ? Optional.of(ArrangeView.of(sheet, selected)) : Optional.empty(),
                stage == Stage.FILL || stage == Stage.SETTLE ? Optional.of(SettleView.of(sheet, selected, stage)) : Optional.empty(),
                stage == Stage.DRESS ? DressView.of(sheet, selected) : Optional.empty(),
                stage == Stage.DRESS ? DressView.kept(sheet, Finish.NONE) : List.of());
    }

    /** How often each picture of the shelf is used, as JSON. */
    public String uses() {
        return ShelfCard.uses(shelf);
    }
}
