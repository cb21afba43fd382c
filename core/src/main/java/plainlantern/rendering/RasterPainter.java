package plainlantern.rendering;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import plainlantern.asking.BadInput;
import plainlantern.asking.Unit;
import plainlantern.geometry.Affine;
import plainlantern.geometry.Box;
import plainlantern.picture.PictureSource;
import plainlantern.scene.Page;
import plainlantern.scene.Scene;

/** Scene to images that are in memory; a page that goes into a file is painted by {@link Strips}, row by row. */
public final class RasterPainter {
    /** An image in memory with more pixels than this is refused before any work. */
    static final long MOST_PIXELS = 400_000_000;

    private RasterPainter() {}

    /**
     * Before anything is drawn: the JDK's rasterizer is told not to cut paths where its image ends before it makes lines of their
     * curves, as covers then depend on which part of a page is painted.
     */
    public static void prepare() {
        System.setProperty("sun.java2d.renderer.clip", "false");
    }

    /** The width and height in pixels of a page of so many millimetres, however large. */
    static int[] sides(double mmAcross, double mmDown, double ppi) {
        BadInput.unless(ppi >= 1 && ppi <= 4800, "ppi", "Pixels per inch go from 1 to 4800.");
        return new int[] {(int) Math.max(1, Math.round(mmAcross / Unit.MM_PER_INCH * ppi)),
            (int) Math.max(1, Math.round(mmDown / Unit.MM_PER_INCH * ppi))};
    }

    /**
     * The width and height in pixels of an image in memory of so many millimetres; throws {@link BadInput} when it is too large or nothing
     * at all.
     */
    public static int[] size(double mmAcross, double mmDown, double ppi) {
        int[] size = sides(mmAcross, mmDown, ppi);
        long pixels = (long) size[0] * size[1];
        if (pixels > MOST_PIXELS) {
            long most = (long) Math.floor(Math.sqrt(MOST_PIXELS / (mmAcross * mmDown)) * Unit.MM_PER_INCH);
            throw new BadInput("ppi", "That makes " + pixels / 1_000_000 + " megapixels. Up to " + most
                    + " ppi is possible for this sheet.");
        }
        return size;
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
        BufferedImage page = new BufferedImage(size[0], size[1], opaque ? BufferedImage.TYPE_INT_RGB : BufferedImage.TYPE_INT_ARGB);
        int[] pixels = ((DataBufferInt) page.getRaster().getDataBuffer()).getData();
        try (Strips strips = new Strips(scene, toPixels, size, opaque, pictures, progress, id -> {})) {
            for (int at = 0; at < pixels.length;) {
                int[] rows = strips.next();
                System.arraycopy(rows, 0, pixels, at, rows.length);
                at += rows.length;
            }
        }
        return page;
    }
}
