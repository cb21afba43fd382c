package plainlantern.rendering;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import plainlantern.asking.Unit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.geometry.Path;
import plainlantern.picture.Encoder;
import plainlantern.picture.FileKind;
import plainlantern.picture.Orientation;
import plainlantern.picture.PictureFile;
import plainlantern.picture.PictureReader;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Tile;
import plainlantern.scene.Scene.Item;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.scene.Scene;
import plainlantern.sheet.Treated;

/**
 * The pictures of a delivery that is not all pixels: each is put into the file once, however often it is seen, with no more pixels an
 * inch than are wanted where it is seen largest.
 */
final class Placed {
    /** Hidden pixels stay out where the part that is seen, with a margin, is at most so much of the whole. */
    private static final double WORTH = 2.0 / 3;
    /** What is kept around the part that is seen, as a share of its longer side, for whoever goes on with the document. */
    private static final double MARGIN = 0.05;
    /** At least so many pixels, so that no reader mixes colours of beyond the part into it. */
    private static final int LEAST_MARGIN = 4;
    /** So many deviations of a blur reach into what is seen. */
    private static final double BLURRED = 3;

    private final double ppi;
    private final PictureSource pictures;

    /** @param ppi the most pixels an inch on the sheet */
    Placed(double ppi, PictureSource pictures) {
        this.ppi = ppi;
        this.pictures = pictures;
    }

    /**
     * A treated picture as a document needs it.
     *
     * @param layer where it is seen largest
     * @param seen  the part of its pixels that is seen anywhere; without width where none is
     */
    record Needed(PaintedPicture layer, Box seen) {
        /** The same without its veil. */
        Needed unveiled() {
            return new Needed(layer.unveiled(), seen);
        }

        /** Whether a document may have its pixels and what its veil leaves of them apart. */
        boolean apart() {
            return layer.treated().veil().isPresent() && layer.unveiled().pixels().opaque();
        }

        private Needed with(Needed other) {
            PaintedPicture larger = scale(layer) >= scale(other.layer) ? layer : other.layer;
            return new Needed(larger, seen.width() == 0 ? other.seen : other.seen.width() == 0 ? seen : seen.union(other.seen));
        }
    }

    /**
     * What a veil leaves of a layer as a file has it: a byte a pixel.
     *
     * @param map  from the box that the mask is told for to its pixels
     * @param part which of them the file has, whole ones
     */
    record Grey(Scene.Layer layer, Affine map, Box part) {
        int width() {
            return (int) part.width();
        }

        int height() {
            return (int) part.height();
        }
    }

    /** Each treated picture of scenes, as they need it. */
    static Map<Treated, Needed> needed(List<Scene> scenes) {
        Map<Treated, Needed> needed = new LinkedHashMap<>();
        for (Scene scene : scenes) {
            List<Item> items = new ArrayList<>(scene.items());
            scene.paper().ifPresent(items::add);
            for (Item item : items) {
                for (PaintedPicture picture : item.pictures())
                    needed.merge(picture.treated(), new Needed(picture, seen(item, picture)), Needed::with);
            }
        }
        return needed;
    }

    /** The part of a picture's pixels that lies in an element's form, or is blurred into it. */
    private static Box seen(Item item, PaintedPicture picture) {
        if (item.under().empty()) return new Box(0, 0, 0, 0);
        Box there = item.under().bounds().grown(BLURRED * picture.blur());
        return Path.box(there).mapped(picture.pixelsToSheet().inverse()).bounds();
    }

    /** Millimetres a pixel, along the longer of its axes. */
    private static double scale(PaintedPicture layer) {
        return Math.max(layer.pixelsToSheet().xScale(), layer.pixelsToSheet().yScale());
    }

    /** How many of the picture's own pixels are wanted along each side, as a share, 1 at most. */
    double share(PaintedPicture layer) {
        return Math.min(1, scale(layer) * ppi / Unit.MM_PER_INCH);
    }

    /**
     * The picture's own file where that can stand as it is: an upright sRGB JPEG of three colours, all of whose pixels are wanted, nothing
     * taken out of it.
     */
    Optional<byte[]> untouched(Needed needed) {
        PaintedPicture layer = needed.layer();
        if (share(layer) < 1 || !layer.treated().untouched() || !whole(needed)) return Optional.empty();
        return pictures.original(layer.treated().picture()).filter(bytes -> FileKind.of(bytes).orElse(null) == FileKind.JPEG)
                .filter(bytes -> {
            PictureFile file = PictureReader.inspect("picture", bytes);
            return file.srgb() && file.orientation() == Orientation.TOP_LEFT && file.width() == layer.width()
                    && file.height() == layer.height();
        });
    }

    /** Its width and height with as many pixels as are wanted. */
    int[] size(PaintedPicture layer) {
        double share = share(layer);
        return new int[] {(int) Math.max(1, Math.ceil(layer.width() * share)), (int) Math.max(1, Math.ceil(layer.height() * share))};
    }

    /** Which of its pixels, as many as are wanted, a file gets: all of them, or those that are seen with some around them. */
    Box part(Needed needed) {
        if (glaze(needed.layer())) return whole(Path.box(new Box(0, 0, needed.layer().width(), needed.layer().height()))
                .mapped(map(needed.layer())).bounds());
        int[] size = size(needed.layer());
        double across = (double) size[0] / needed.layer().width();
        double down = (double) size[1] / needed.layer().height();
        Box seen = needed.seen();
        double margin = MARGIN * Math.max(seen.width() * across, seen.height() * down) + LEAST_MARGIN;
        double left = Math.max(0, Math.floor(seen.x() * across - margin));
        double top = Math.max(0, Math.floor(seen.y() * down - margin));
        double right = Math.min(size[0], Math.ceil(seen.right() * across + margin));
        double bottom = Math.min(size[1], Math.ceil(seen.bottom() * down + margin));
        boolean less = right > left && bottom > top && (right - left) * (bottom - top) <= WORTH * size[0] * size[1];
        return less ? Box.between(left, top, right, bottom) : new Box(0, 0, size[0], size[1]);
    }

    /** Whether it is what a glaze shows: its pixels are those of the sheet, so that what lies beneath keeps its sharp edges. */
    private static boolean glaze(PaintedPicture layer) {
        return layer.treated().through().isPresent();
    }

    private static Box whole(Box box) {
        return Box.between(Math.floor(box.x() + 1e-6), Math.floor(box.y() + 1e-6), Math.ceil(box.right() - 1e-6),
                Math.ceil(box.bottom() - 1e-6));
    }

    /** From its own pixels to those that are wanted. */
    private Affine map(PaintedPicture layer) {
        double pixels = ppi / Unit.MM_PER_INCH;
        if (glaze(layer)) return Affine.scale(pixels, pixels).after(layer.pixelsToSheet());
        int[] size = size(layer);
        return Affine.scale((double) size[0] / layer.width(), (double) size[1] / layer.height());
    }

    private boolean whole(Needed needed) {
        if (glaze(needed.layer())) return false;
        int[] size = size(needed.layer());
        return part(needed).equals(new Box(0, 0, size[0], size[1]));
    }

    /** Where what a file gets lies among the picture's own pixels. */
    Box place(Needed needed) {
        return Path.box(part(needed)).mapped(map(needed.layer()).inverse()).bounds();
    }

    /** Its pixels, as many as are wanted. */
    BufferedImage sized(Needed needed) {
        PaintedPicture layer = needed.layer();
        return whole(needed) ? pictures.sized(layer.treated(), share(layer), layer.width(), layer.height(), size(layer))
                : cut(layer, part(needed));
    }

    /** What its veil leaves of {@link #sized}. */
    Grey grey(Needed needed) {
        return new Grey(needed.layer(), map(needed.layer()), part(needed));
    }

    /** What the veil of a wash or of words leaves of it. */
    Grey grey(Scene.Layer layer) {
        Scene.Mask mask = layer.mask().orElseThrow();
        int[] size = Masks.size(mask, Unit.MM_PER_INCH / ppi);
        return new Grey(layer, Masks.map(mask, size[0], size[1]), new Box(0, 0, size[0], size[1]));
    }

    /** The same as an image. */
    BufferedImage left(Scene.Layer layer) {
        Grey grey = grey(layer);
        return Masks.of(layer, Math.max(grey.width(), grey.height()), pictures);
    }

    /** Writes a part of it, as {@link Masks#write}. */
    void write(Grey grey, Box part, OutputStream to) throws IOException {
        Masks.write(grey.layer(), grey.map(), part, pictures, to);
    }

    /** Of its pixels, as many as are wanted, {@link Samples} side by side. */
    BufferedImage squares(Needed needed, int along, int side) {
        Samples samples = Samples.of(part(needed), along, side);
        Tile all = Tile.over(new Box(0, 0, samples.width(), samples.height()));
        for (int i = 0; i < samples.squares().size(); i++) {
            int[] square = tile(needed.layer(), samples.squares().get(i)).argb();
            for (int y = 0; y < samples.down(); y++) System.arraycopy(square, y * samples.across(), all.argb(),
                    (samples.top(i) + y) * samples.width() + samples.left(i), samples.across());
        }
        return image(needed.layer(), all);
    }

    private BufferedImage cut(PaintedPicture layer, Box part) {
        return image(layer, tile(layer, part));
    }

    private Tile tile(PaintedPicture layer, Box part) {
        return pictures.onto(layer.treated(), layer.width(), layer.height(), map(layer), part);
    }

    private static BufferedImage image(PaintedPicture layer, Tile tile) {
        boolean opaque = layer.pixels().opaque() || glaze(layer) && Arrays.stream(tile.argb()).allMatch(pixel -> pixel >>> 24 == 255);
        return tile.image(opaque ? BufferedImage.TYPE_3BYTE_BGR : BufferedImage.TYPE_4BYTE_ABGR);
    }

    /** A file of it: its own where that can stand, PNG where parts are clear, else JPEG. */
    byte[] file(Needed needed, int quality) {
        return untouched(needed).orElseGet(() -> {
            BufferedImage seen = sized(needed);
            return seen.getColorModel().hasAlpha() ? Encoder.png(seen, 72) : jpeg(needed, seen, quality);
        });
    }

    /** What a glaze shows has edges of forms and letters, whose colour keeps its full resolution. */
    static byte[] jpeg(Needed needed, BufferedImage seen, int quality) {
        return glaze(needed.layer()) ? Encoder.jpeg(seen, quality / 100f, true, 72)
                : Encoder.jpeg(seen, quality / 100f, 72);
    }
}
