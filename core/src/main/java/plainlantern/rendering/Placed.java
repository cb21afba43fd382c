package plainlantern.rendering;

import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import plainlantern.asking.Unit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.picture.Encoder;
import plainlantern.picture.FileKind;
import plainlantern.picture.Orientation;
import plainlantern.picture.PictureFile;
import plainlantern.picture.PictureReader;
import plainlantern.picture.PictureSource;
import plainlantern.scene.Scene.Item;
import plainlantern.scene.Scene.PaintedPicture;
import plainlantern.scene.Scene;
import plainlantern.sheet.Treated;

/**
 * The pictures of a delivery that is not all pixels: each is put into the file once, however often it is seen, with no more pixels an
 * inch than are wanted where it is seen largest.
 */
final class Placed {
    private final double ppi;
    private final PictureSource pictures;

    /** @param ppi the most pixels an inch on the sheet */
    Placed(double ppi, PictureSource pictures) {
        this.ppi = ppi;
        this.pictures = pictures;
    }

    /** Each treated picture of scenes where it is seen largest. */
    static Map<Treated, PaintedPicture> largest(List<Scene> scenes) {
        Map<Treated, PaintedPicture> largest = new LinkedHashMap<>();
        for (Scene scene : scenes) {
            List<Item> items = new ArrayList<>(scene.items());
            scene.paper().ifPresent(items::add);
            for (Item item : items) {
                for (PaintedPicture picture : item.pictures())
                    largest.merge(picture.treated(), picture, (a, b) -> scale(a) >= scale(b) ? a : b);
            }
        }
        return largest;
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
    Optional<byte[]> untouched(PaintedPicture layer) {
        if (share(layer) < 1 || !layer.treated().untouched()) return Optional.empty();
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

    /** Its pixels, as many as are wanted. */
    BufferedImage sized(PaintedPicture layer) {
        int[] size = size(layer);
        return pictures.sized(layer.treated(), share(layer), layer.width(), layer.height(), size);
    }

    /** Of its pixels, as many as are wanted, those in the middle: at most so many along each side. */
    BufferedImage middle(PaintedPicture layer, int most) {
        int[] size = size(layer);
        int[] part = {Math.min(size[0], most), Math.min(size[1], most)};
        Affine map = Affine.scale((double) size[0] / layer.width(), (double) size[1] / layer.height());
        Box middle = new Box((size[0] - part[0]) / 2, (size[1] - part[1]) / 2, part[0], part[1]);
        return pictures.onto(layer.treated(), layer.width(), layer.height(), map, middle)
                .image(layer.pixels().opaque() ? BufferedImage.TYPE_3BYTE_BGR : BufferedImage.TYPE_4BYTE_ABGR);
    }

    /** A file of it: its own where that can stand, PNG where parts are clear, else JPEG. */
    byte[] file(PaintedPicture layer, int quality) {
        return untouched(layer).orElseGet(() -> {
            BufferedImage seen = sized(layer);
            return seen.getColorModel().hasAlpha() ? Encoder.png(seen, 72) : Encoder.jpeg(seen, quality / 100f, 72);
        });
    }
}
