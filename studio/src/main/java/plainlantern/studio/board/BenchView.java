package plainlantern.studio.board;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import plainlantern.asking.Unit;
import plainlantern.sheet.Finish;
import plainlantern.sheet.Sheet;

/**
 * What the bench's template shows for one stage and one selection.
 *
 * @param parts what belongs to that stage alone
 * @param gap   what stands first in a field for a gap
 * @param ppi   the sheet's, in whole numbers
 */
public record BenchView(UUID id, Sheet sheet, Stage stage, SelectionView selection, Numbers numbers, Parts parts, String gap, String ppi) {
    /**
     * @param shelf     the pictures, in Fill
     * @param sameShelf whether the page shows the same pictures on the shelf already, so that only their uses are told
     * @param finishes  those of the sheet, in Dress
     * @param tone      in Tone
     */
    public record Parts(List<ShelfCard> shelf, boolean sameShelf, Optional<ArrangeView> arrange, Optional<SettleView> settle,
            Optional<PaperView> paper,
            Optional<DressView> dress, List<DressView.Kept> finishes, Optional<ToneView> tone) {
        static Parts of(Sheet sheet, Looking looking, Collection<String> selected, boolean sameShelf) {
            Stage stage = looking.stage();
            boolean dress = stage == Stage.DRESS;
            boolean settle = stage == Stage.FILL || stage == Stage.SETTLE;
            return new Parts(stage == Stage.FILL ? ShelfCard.all(sheet) : List.of(), sameShelf,
                    stage == Stage.ARRANGE ? Optional.of(ArrangeView.of(sheet, selected)) : Optional.empty(),
                    settle ? Optional.of(SettleView.of(sheet, selected, looking)) : Optional.empty(),
                    dress ? Optional.of(PaperView.of(sheet)) : Optional.empty(), dress ? DressView.of(sheet, selected) : Optional.empty(),
                    dress ? DressView.kept(sheet, Finish.NONE) : List.of(),
                    stage == Stage.TONE ? Optional.of(ToneView.of(sheet, selected, looking)) : Optional.empty());
        }
    }

    static BenchView of(UUID id, Sheet sheet, Looking looking, Collection<String> selected) {
        return of(id, sheet, looking, selected, false);
    }

    /** @param sameShelf whether the page shows the same pictures on the shelf already, so that only their uses are told */
    static BenchView of(UUID id, Sheet sheet, Looking looking, Collection<String> selected, boolean sameShelf) {
        Stage stage = looking.stage();
        Numbers numbers = new Numbers(sheet);
        // Five millimetres, twenty pixels: a gap that is seen as one (common practice).
        String gap = numbers.length(sheet.unit() == Unit.PX ? 20 * Unit.PX.inMm(sheet.ppi()) : sheet.even(5));
        return new BenchView(id, sheet, stage, SelectionView.of(sheet, selected, looking), numbers,
                Parts.of(sheet, looking, selected, sameShelf), gap,
                Long.toString(Math.round(sheet.ppi())));
    }

    /** How often each picture of the shelf is used, as JSON. */
    public String uses() {
        return ShelfCard.uses(parts.shelf());
    }
}
