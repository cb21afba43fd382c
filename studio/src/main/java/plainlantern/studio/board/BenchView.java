package plainlantern.studio.board;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import plainlantern.geometry.BadInput;
import plainlantern.geometry.Unit;
import plainlantern.rendering.RasterPainter;
import plainlantern.sheet.Paper;
import plainlantern.sheet.Picture;
import plainlantern.sheet.Sheet;

/** What the bench's template shows for one stage and one selection. */
public record BenchView(UUID id, Sheet sheet, Stage stage, SelectionView selection, Numbers numbers, String gap, String paper,
                        List<ShelfCard> shelf, String delivered, String ppi, Optional<ArrangeView> arrange, Optional<SettleView> settle) {
    /** A picture on the shelf and where it is used. */
    public record ShelfCard(Picture picture, int uses) {}

    static BenchView of(UUID id, Sheet sheet, Stage stage, Collection<String> selected, boolean whole) {
        Numbers numbers = new Numbers(sheet);
        // Five millimetres, twenty pixels: a gap that is seen as one (common practice).
        String gap = numbers.length(sheet.unit() == Unit.PX ? 20 * Unit.PX.inMm(sheet.ppi()) : 5);
        String paper = sheet.paper() instanceof Paper.Plain plain ? plain.colour().hex() : "";
        List<ShelfCard> shelf = stage != Stage.FILL ? List.of()
                : sheet.shelf().stream().map(p -> new ShelfCard(p, sheet.users(p.id()).size())).toList();
        return new BenchView(id, sheet, stage, SelectionView.of(sheet, selected, whole), numbers, gap, paper, shelf, delivered(sheet), Long.toString(Math.round(sheet.ppi())),
                stage == Stage.ARRANGE ? Optional.of(ArrangeView.of(sheet, selected)) : Optional.empty(),
                stage == Stage.FILL || stage == Stage.SETTLE ? Optional.of(SettleView.of(sheet, selected)) : Optional.empty());
    }

    /** "4961 × 3508 px", or why the sheet cannot be delivered at its own ppi. */
    private static String delivered(Sheet sheet) {
        try {
            int[] size = RasterPainter.size(sheet.width(), sheet.height(), sheet.ppi());
            return size[0] + " \u00d7 " + size[1] + " px";
        } catch (BadInput tooLarge) {
            return tooLarge.getMessage();
        }
    }
}
