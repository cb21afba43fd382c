package plainlantern.rendering;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.picture.Joined;
import plainlantern.picture.PictureSource;
import plainlantern.picture.Tile;
import plainlantern.scene.Page;
import plainlantern.scene.Scene;

/** Scene to pixels. Elements are painted two at a time and laid down in the scene's order. */
public final class RasterPainter {
    /** More pixels than this are refused before any work. */
    public static final long MOST_PIXELS = 400_000_000;
    private static final int AHEAD = 2;
    /** Pixels of an element that are painted at once, about. */
    static final long BAND = 8_000_000;

    private RasterPainter() {}

    /**
     * The width and height in pixels of an output of so many millimetres; throws {@link BadInput} when it is too large or nothing at all.
     */
    public static int[] size(double mmAcross, double mmDown, double ppi) {
        BadInput.unless(ppi >= 1 && ppi <= 4800, "ppi", "Pixels per inch go from 1 to 4800.");
        long width = Math.max(1, Math.round(mmAcross / Unit.MM_PER_INCH * ppi));
        long height = Math.max(1, Math.round(mmDown / Unit.MM_PER_INCH * ppi));
        if (width * height > MOST_PIXELS) {
            long most = (long) Math.floor(Math.sqrt(MOST_PIXELS / (mmAcross * mmDown)) * Unit.MM_PER_INCH);
            throw new BadInput("ppi", "That makes " + width * height / 1_000_000 + " megapixels. Up to " + most
                    + " ppi is possible for this sheet.");
        }
        return new int[] {(int) width, (int) height};
    }

    /**
     * The whole sheet.
     *
     * @param paper whether the paper is painted; without it (or on paper "none") what no picture covers is transparent
     * @return TYPE_INT_RGB where the paper is painted, else TYPE_INT_ARGB
     */
    public static BufferedImage paint(Scene scene, double ppi, boolean paper, PictureSource pictures) {
        return paint(Page.of(scene), ppi, 1, paper, pictures, Progress.UNHEARD);
    }

    /**
     * A page, {@code scale} times as large as it is on its sheet.
     *
     * @param paper whether the paper is painted
     * @return as {@link #paint(Scene, double, boolean, PictureSource)}
     */
    static BufferedImage paint(Page page, double ppi, double scale, boolean paper, PictureSource pictures, Progress progress) {
        int[] size = size(page.box().width() * scale, page.box().height() * scale, ppi);
        return paint(page.scene(), toPixels(page.box(), size), size, paper && page.scene().paper().isPresent(), pictures, progress);
    }

    /**
     * From mm to the pixels of an image of that size; a page rarely is a whole number of pixels: it is stretched by less than half a pixel
     * to fill its image.
     */
    static Affine toPixels(Box box, int[] size) {
        return Affine.scale(size[0] / box.width(), size[1] / box.height()).after(Affine.move(-box.x(), -box.y()));
    }

    /** The whole sheet on its paper, its longer side about so many pixels, at 1 ppi or more. */
    public static BufferedImage small(Scene scene, double side, PictureSource pictures) {
        return paint(scene, Math.max(1, side / Math.max(scene.width(), scene.height()) * Unit.MM_PER_INCH), true, pictures);
    }

    /**
     * The pixels that a delivery of the whole sheet has from {@code left} and {@code top} on, on its paper, or on white where it has none.
     * TYPE_INT_RGB.
     */
    public static BufferedImage pixels(Scene scene, double ppi, int left, int top, int across, int down, PictureSource pictures) {
        int[] whole = size(scene.width(), scene.height(), ppi);
        Affine toPixels = Affine.move(-left, -top).after(toPixels(new Box(0, 0, scene.width(), scene.height()), whole));
        return paint(scene.onPaper(), toPixels, new int[] {across, down}, true, pictures, Progress.UNHEARD);
    }

    /** A part of the sheet on its paper, or on white where it has none; {@code box} in mm. TYPE_INT_RGB. */
    public static BufferedImage part(Scene scene, Box box, double ppi, PictureSource pictures) {
        int[] size = size(box.width(), box.height(), ppi);
        return paint(scene.onPaper(), toPixels(box, size), size, true, pictures, Progress.UNHEARD);
    }

    static BufferedImage paint(Scene scene, Affine toPixels, int[] size, boolean opaque, PictureSource pictures, Progress progress) {
        int type = opaque ? BufferedImage.TYPE_INT_RGB : BufferedImage.TYPE_INT_ARGB_PRE;
        BufferedImage page = new BufferedImage(size[0], size[1], type);
        int[] pixels = ((DataBufferInt) page.getRaster().getDataBuffer()).getData();
        Tile onto = new Tile(0, 0, size[0], size[1], pixels);
        Deque<CompletableFuture<List<ItemPainter.Painted>>> ahead = new ArrayDeque<>();
        List<Scene.Item> all = new ArrayList<>(scene.joined().items());
        if (opaque) all.add(0, scene.paper().get());
        int begun = 0;
        for (Scene.Item item : all) {
            progress.at((double) begun++ / all.size());
            for (Box box : bands(item, toPixels, size)) {
                if (ahead.size() == AHEAD) lay(Joined.of(ahead.remove()), onto);
                ahead.add(CompletableFuture.supplyAsync(() -> ItemPainter.painted(item, toPixels, box, pictures)));
            }
        }
        while (!ahead.isEmpty()) lay(Joined.of(ahead.remove()), onto);
        return opaque ? page : onto.straight();
    }

    /**
     * The parts of a page in which an element is painted: all of it at once, or strips where it is large and nothing about it is blurred.
     */
    private static List<Box> bands(Scene.Item item, Affine toPixels, int[] size) {
        Box reach = item.clip().mapped(toPixels).bounds();
        if (item.blurred() || Math.min(reach.width(), size[0]) * Math.min(reach.height(), size[1]) <= BAND)
            return List.of(new Box(0, 0, size[0], size[1]));
        List<Box> bands = new ArrayList<>();
        int rows = (int) Math.max(1, BAND / size[0]);
        for (int top = 0; top < size[1]; top += rows) bands.add(new Box(0, top, size[0], Math.min(rows, size[1] - top)));
        return bands;
    }

    private static void lay(List<ItemPainter.Painted> parts, Tile onto) {
        for (ItemPainter.Painted part : parts) Blending.over(onto, part.tile(), part.form(), part.look());
    }
}
