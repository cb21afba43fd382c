package plainlantern.studio.board;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import plainlantern.arranging.Snaps;
import plainlantern.editing.Edit;
import plainlantern.editing.Remark;

/**
 * What the page needs after a change.
 *
 * @param version  the sheet's version now
 * @param undo     what undo would take back, empty where nothing
 * @param changed  panels that are new or different, each as its group on the board and its card
 * @param order    all panels from back to front; whatever is not named is gone
 * @param selected what is selected now
 * @param paper    what lies behind all, as SVG; empty where nothing does
 * @param swatches the palette
 * @param bench    the bench's HTML
 * @param vistas  how each vista lies, for gestures
 * @param guides   the lines that are shown to help placing
 * @param remark   what is to be said of it, if anything
 * @param layer    the layer that is chosen now, where that has changed
 */
record Answer(long version, String name, String size, String kept, String undo, String redo, List<Part> changed, List<String> order,
              List<String> selected, String paper, List<Map<String, String>> swatches, String count, String states,
                      String bench, Facts facts,
              List<Snaps.Line> guides, List<Map<String, Object>> vistas, Optional<Said> remark, OptionalInt layer) {
    /** A remark on a change; {@code label} and {@code edit} are what a button offers to do about it. */
    record Said(String says, Optional<String> label, Optional<Edit> edit) {
        static Said of(Remark remark) {
            return new Said(remark.says(), remark.offer().map(Remark.Offer::label), remark.offer().map(Remark.Offer::edit));
        }
    }

    Answer saying(Optional<Said> newRemark) {
        return new Answer(version, name, size, kept, undo, redo, changed, order, selected, paper, swatches, count, states, bench, facts,
                guides, vistas, newRemark, layer);
    }

    Answer choosing(OptionalInt newLayer) {
        return new Answer(version, name, size, kept, undo, redo, changed, order, selected, paper, swatches, count, states, bench, facts,
                guides, vistas, remark, newLayer);
    }

    /** What the sheet is; lengths in mm. */
    record Facts(String unit, double ppi, double width, double height, double bleed) {}

    record Part(String id, String board, String card) {}
}
