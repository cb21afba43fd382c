package plainlantern.rendering;

import java.util.Optional;
import java.util.OptionalInt;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.outline.PathData;
import plainlantern.scene.Scene.PaintedPicture;

/**
 * What items are drawn on as SVG.
 *
 * @param href     where pictures are
 * @param mark     begins every id, where the same item is drawn twice on one page
 * @param live     whether words stay text, in fonts that are brought along
 * @param decimals of a millimetre that its paths need; empty for a document, whose paths are written in full
 * @param form     what stands before the item as a path with the id that {@link #form(String)} tells; the item refers to it
 */
record Surface(Addresses href, String mark, boolean live, OptionalInt decimals, Optional<Path> form) {
    /** To half a micrometre: a fifth of a pixel where the board is enlarged most. */
    private static final int BOARD = 3;
    /** A card is less than 100 pixels wide: so many steps of its numbers fit into its larger side. */
    private static final double CARD_STEPS = 300;
    /** A path of so many letters is written twice: browsers take longer to refer to one. */
    private static final int SHORT = 400;

    static Surface document(Addresses href, boolean live) {
        return new Surface(href, "", live, OptionalInt.empty(), Optional.empty());
    }

    static Surface board(Addresses href, Optional<Path> form) {
        return new Surface(href, "", false, OptionalInt.of(BOARD), form);
    }

    /** @param box what it shows */
    static Surface card(Addresses href, Path form, Box box) {
        double steps = Math.log10(CARD_STEPS / Math.max(box.width(), box.height()));
        return new Surface(href, "card-", false, OptionalInt.of((int) Math.max(0, Math.min(BOARD, Math.ceil(steps)))), Optional.of(form));
    }

    /** Whether it is a screen, which shows small images of shadows faster than it blurs. */
    boolean screen() {
        return decimals.isPresent();
    }

    String d(Path path) {
        return screen() ? PathData.brief(path, decimals.getAsInt()) : PathData.of(path);
    }

    /** The id of an item's form. */
    String form(String element) {
        return "form-" + mark + element;
    }

    /** The inside of a clip path: a path, or the form that stands there already and tells its rule, where that is much shorter. */
    String clip(Path path, String element) {
        String d = d(path);
        return form.isPresent() && form.get().equals(path) && d.length() > SHORT ? "<use href=\"#" + form(element) + "\"/>"
                : "<path d=\"" + d + "\" clip-rule=\"" + path.rule().label() + "\"/>";
    }
}
